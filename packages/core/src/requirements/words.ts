import type { Assignment } from '../map/types.js';
import type { SentencePart } from './types.js';

/** Small helpers that sentences and messages share. English; the sheet's other languages come with their own. */

export const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;
export const quoted = (text: string | number | undefined): string => `“${String(text)}”`;

export function kindName(assignment: Assignment, id: string): string {
  return assignment.legend.topicKinds.find((kind) => kind.id === id)?.name ?? id;
}

export const manyOf = (name: string): string =>
  /[^aeiou]y$/i.test(name) ? `${name.slice(0, -1)}ies` : /(s|x|ch|sh)$/i.test(name) ? `${name}es` : `${name}s`;

/** "A, B and C" */
export const listed = (names: readonly string[], last = 'and'): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} ${last} ${names.at(-1)}`;

export const kindNames = (assignment: Assignment, ids: readonly string[]): string =>
  listed(ids.map((id) => kindName(assignment, id)));

export const blank = (param: string, text: string | number): SentencePart => ({ param, text: String(text) });

export const filled = (parts: readonly SentencePart[]): string =>
  parts.map((part) => (typeof part === 'string' ? part : part.text)).join('');

export const linkKindNames = (assignment: Assignment, ids: readonly string[]): string =>
  listed(ids.map((id) => assignment.legend.linkKinds.find((kind) => kind.id === id)?.name ?? id));

export const percent = (share: number): string => `${Math.round(share * 100)} %`;

type Figure = string | number | undefined;

/** "3 of 5 are short enough." */
export const ofThem = (count: Figure, of: Figure, what: string): string =>
  count === of
    ? of === 1
      ? `The one there is, is ${what}.`
      : `All ${of} are ${what}.`
    : of === 1
      ? `The one there is, is not ${what}.`
      : `${count} of ${of} ${count === 1 ? 'is' : 'are'} ${what}.`;

export const more = (count: Figure, min: Figure): string => `add ${Number(min) - Number(count)} more`;
export const tooMany = (count: Figure, max: Figure): string => `${Number(count) - Number(max)} too many`;

/** "At least 3 topics", "Between 3 and 5 topics", "At most 5 topics" */
export function between(min: number | undefined, max: number | undefined, what: string): SentencePart[] {
  if (min !== undefined && max !== undefined)
    return ['Between ', blank('min', min), ' and ', blank('max', max), ` ${what}`];
  if (max !== undefined) return ['At most ', blank('max', max), ` ${what}`];
  return min !== undefined ? ['At least ', blank('min', min), ` ${what}`] : [`Any number of ${what}`];
}
