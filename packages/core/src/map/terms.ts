import { grouped } from '../grouped.js';
import { alignmentDistance } from '../words/edit-distance.js';
import type { Pulse } from '../pulse.js';
import { isBlank } from '../words/normal-form.js';
import { WordForms } from '../words/word-forms.js';
import type { Topic } from './types.js';

export interface TermMatch {
  topic: Topic;
  /** whether only a probable misspelling made the match */
  near: boolean;
}

interface Wording {
  normal: string;
  folded: string;
}
interface Wanted {
  text: string;
  accept?: string[];
}

interface Candidate extends Wording {
  topic: Topic;
}

/** Topics made ready to be matched: what depends on them alone is worked out once, however many lists are matched. */
export class Matcher {
  private readonly byNormal: Map<string, Candidate[]>;
  private readonly byFolded: Map<string, Candidate[]>;
  private readonly byFirst: Map<string, Candidate[]>;

  constructor(
    topics: readonly Topic[],
    private readonly words: WordForms,
    private readonly pulse: Pulse = () => undefined,
  ) {
    const candidates = topics
      .filter((topic) => !isBlank(topic.text))
      .map((topic): Candidate => ({ topic, ...this.wordingOf(topic.text) }));
    this.byNormal = grouped(candidates, (candidate) => candidate.normal);
    this.byFolded = grouped(candidates, (candidate) => candidate.folded);
    this.byFirst = grouped(candidates, (candidate) => firstCharacter(candidate.normal));
  }

  private wordingOf(text: string): Wording {
    return isBlank(text)
      ? { normal: '', folded: '' }
      : { normal: this.words.normal(text), folded: this.words.folded(text) };
  }

  /**
   * Matches terms to topics in three passes: equal normal form, equal folded form, near. In each, terms in order, each
   * tries its text and then its other wordings and takes the first topic in file order not yet taken.
   * @returns for each term, in the order given, its match or null
   */
  terms(terms: readonly Wanted[]): (TermMatch | null)[] {
    const wordings = terms.map((term) => [term.text, ...(term.accept ?? [])].map((text) => this.wordingOf(text)));
    const owners = new Map<string, Set<number>>();
    wordings.forEach((list, term) => {
      for (const { folded } of list) owners.set(folded, (owners.get(folded) ?? new Set()).add(term));
    });
    const isAnothers = (folded: string, term: number): boolean =>
      [...(owners.get(folded) ?? [])].some((owner) => owner !== term);
    const taken = new Set<Candidate>();
    const free = (candidate: Candidate): boolean => !taken.has(candidate);

    const passes: ((wording: Wording, term: number) => Candidate | undefined)[] = [
      ({ normal }) => this.byNormal.get(normal)?.find(free),
      ({ folded }) => this.byFolded.get(folded)?.find(free),
      ({ normal }, term) => {
        const most = slack(normal);
        return this.byFirst
          .get(firstCharacter(normal))
          ?.find(
            (candidate) =>
              free(candidate) &&
              alignmentDistance(normal, candidate.normal, most) <= most &&
              !isAnothers(candidate.folded, term),
          );
      },
    ];
    const matches: (TermMatch | null)[] = terms.map(() => null);
    passes.forEach((find, pass) => {
      wordings.forEach((list, term) => {
        if (matches[term]) return;
        this.pulse();
        for (const wording of list) {
          if (wording.normal === '') continue;
          const found = find(wording, term);
          if (!found) continue;
          taken.add(found);
          matches[term] = { topic: found.topic, near: pass === 2 };
          return;
        }
      });
    });
    return matches;
  }

  /**
   * Matches one text alone, as a list of one term would be, with the other wordings of the first term of the same normal
   * form. For texts named elsewhere: the root's, a proposition's ends.
   */
  text(text: string, terms: readonly Wanted[]): TermMatch | null {
    const form = this.words.normal(text);
    const accept = terms.find((term) => this.words.normal(term.text) === form)?.accept;
    return this.terms([{ text, ...(accept && { accept }) }])[0] ?? null;
  }
}

export const matchTerms = (
  terms: readonly Wanted[],
  topics: readonly Topic[],
  language: string,
): (TermMatch | null)[] => new Matcher(topics, new WordForms(language)).terms(terms);

export const matchText = (
  text: string,
  terms: readonly Wanted[],
  topics: readonly Topic[],
  language: string,
): TermMatch | null => new Matcher(topics, new WordForms(language)).text(text, terms);

const firstCharacter = (form: string): string => String.fromCodePoint(form.codePointAt(0) ?? 0);

/** How far a misspelling may be from a wording, by the wording's length in code points, spaces counted. */
export const slack = (normal: string): number => {
  const { length } = [...normal];
  return length < 5 ? 0 : length < 12 ? 1 : 2;
};
