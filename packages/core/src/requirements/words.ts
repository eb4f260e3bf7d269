import type { Assignment, TopicKind } from '../map/types.js';
import type { SentencePart } from './types.js';

/** Small helpers that sentences and messages share. English; the sheet's other languages come with their own. */

export const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;
export const quoted = (text: string): string => `“${text}”`;

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

export const shapeName = (kind: TopicKind): string => kind.shape;
