import { normalForm, wordsIn } from './normal-form.js';
import { stemmerFor } from './stemmers.js';
import { holdsVerb } from './verbs.js';

/** Beyond so many texts a long-lived memory is emptied: it serves one map after the other, not all there ever were. */
const MOST = 20_000;

/** What is worked out of texts alone, remembered. One may serve many checks of one language. */
export class WordForms {
  private readonly stem;
  readonly normal = remembered(normalForm);
  /** Normal form with each word stemmed by the Snowball stemmer of the language. */
  readonly folded = remembered((text: string) => {
    const form = this.normal(text);
    return form === '' ? '' : form.split(' ').map(this.stem).join(' ');
  });
  readonly holdsVerb = remembered(holdsVerb);

  /** Words of the normal form; a blank text has none. */
  wordsOf(text: string): string[] {
    return wordsIn(this.normal(text));
  }

  /** @param language BCP 47; its primary subtag counts */
  constructor(readonly language: string) {
    const stem = stemmerFor(language);
    // No language stems a number, and maps number their topics.
    this.stem = remembered((word) => (/^\p{Nd}+$/u.test(word) ? word : stem(word)));
  }
}

/** A function of a text that remembers what it answered. */
export function remembered<T>(compute: (text: string) => T): (text: string) => T {
  const known = new Map<string, T>();
  return (text) => {
    const before = known.get(text);
    if (before !== undefined) return before;
    if (known.size >= MOST) known.clear();
    const value = compute(text);
    known.set(text, value);
    return value;
  };
}
