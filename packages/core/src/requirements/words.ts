import type { Assignment } from '../map/types.js';

/** What sentences of requirements are about, and English messages that several types share. */

/** The names of kinds any of which will do; undefined where none are asked for. */
type AnyKind = { anyOf: readonly string[] } | undefined;

const names = (kinds: readonly { id: string; name: string }[], ids: readonly string[] | undefined): AnyKind =>
  ids && { anyOf: ids.map((id) => kinds.find((kind) => kind.id === id)?.name ?? id) };

export const kindNames = ({ legend }: Assignment, ids: readonly string[] | undefined): AnyKind =>
  names(legend.topicKinds, ids);

export const linkKindNames = ({ legend }: Assignment, ids: readonly string[] | undefined): AnyKind =>
  names(legend.linkKinds, ids);

export const percent = (share: number): number => Math.round(share * 100);

/** "3 of 5 are short enough." Of none nothing can be said. Needs `partOf`. */
export const ofThem = (what: string): string =>
  `{left, plural, =0 {{of, plural, =0 {There are none yet.} =1 {The one there is, is ${what}.} other {All {of} are ${what}.}}} other {{of, plural, =1 {The one there is, is not ${what}.} other {{count} of {of} {count, plural, one {is} other {are}} ${what}.}}}}`;

/** Of a topic where no kind is given by students. */
export const NOT_GIVEN =
  'was not given, and there is no kind for ideas of your own here: take it away, or ask your teacher.';

/** A count, of how many, and how many are left. */
export const partOf = (count: number, of: number): { count: number; of: number; left: number } => ({
  count,
  of,
  left: of - count,
});

interface Counted {
  /** in small letters, inside a sentence */
  within?: true;
  /** what they do, of one and of several */
  verb?: readonly [one: string, several: string];
}

/** "At least 3 topics", "Between 3 and 5 topics", "Exactly 3 topics", "At most 5 topics". `exact` is given with the blanks. */
export function between(what: string, { within, verb }: Counted = {}): string {
  const begun = (words: string): string => (within ? words.toLowerCase() : words);
  const [min, max] = ['<b-min>{min}</b-min>', '<b-max>{max}</b-max>'];
  const [one, several] = verb ? [` ${verb[0]}`, ` ${verb[1]}`] : ['', ''];
  const all = `${what}${several}`;
  const single = `${what.replace(/(?<=ch)es$|s$/, '')}${one}`;
  const numbered = `{min, plural, one {${single}} other {${all}}}`;
  const ranges =
    `{min, select, undefined {{max, select, undefined {${begun('Any')} number of ${all}} other {${begun('At')} most ${max} ${all}}}} ` +
    `other {{max, select, undefined {${begun('At')} least ${min} ${numbered}} other {${begun('Between')} ${min} and ${max} ${all}}}}}`;
  return `{exact, select, yes {${begun('Exactly')} ${min} ${numbered}} other {${ranges}}}`;
}
