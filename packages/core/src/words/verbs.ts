import { english } from '#english';
import { wordsOf } from './normal-form.js';

/** Verbs are looked for in English only. */
export const knowsVerbsOf = (language: string): boolean => language.toLowerCase().split(/[-_]/)[0] === 'en';

/** What the library knows of a word before it reads a sentence: its tags, and the two it may have by its place. */
interface Model {
  one: { lexicon: Readonly<Record<string, string | readonly string[]>> };
  two: { switches: Readonly<Record<string, string>> };
}
let model: Model | undefined;
const known = (): Model => (model ??= english().model() as Model);

const SURE_VERBS = new Set(['Copula', 'Modal', 'PresentTense', 'PastTense']);
const NEVER_VERBS = new Set(['Preposition', 'Determiner', 'Conjunction']);
/** A noun before one of these is no verb, whatever it might be elsewhere: “source of”, “symbol for”. */
const AFTER_NOUNS = new Set(['of', 'for']);

function tagsOf(word: string): readonly string[] {
  const { lexicon } = known().one;
  return Object.hasOwn(lexicon, word) ? [lexicon[word]!].flat() : [];
}

/**
 * Whether an English linking phrase holds a verb. Most phrases are decided by their first word, or by having nothing but
 * small words, from the library's own lexicon; the others are read as what they are, the middle of a sentence.
 */
export function holdsVerb(phrase: string): boolean {
  const words = wordsOf(phrase);
  const [first, second] = words;
  if (first === undefined) return false;
  const tags = tagsOf(first);
  if (tags.some((tag) => SURE_VERBS.has(tag))) return true;
  if (isSwitch(first, 'Plural|Verb') && second !== 'of') return true;
  if (words.every((word) => tagsOf(word).some((tag) => NEVER_VERBS.has(tag)))) return false;
  if (words.length === 2 && AFTER_NOUNS.has(second!) && !mayBeVerb(first)) return false;
  return english()(`it ${phrase} them`).has('#Verb');
}

/** “presses” may be several or what one does; a phrase that begins with it says what one does. */
function isSwitch(word: string, between: string): boolean {
  const { switches } = known().two;
  return Object.hasOwn(switches, word) && switches[word]!.endsWith(between);
}
const mayBeVerb = (word: string): boolean => tagsOf(word).includes('Infinitive') || isSwitch(word, 'Verb');
