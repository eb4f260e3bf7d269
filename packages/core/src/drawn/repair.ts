import type { Field } from '../map/fields.js';

/** Cut to length; a character that is cut through becomes a replacement character. What is no text is an empty one. */
export const cut = (text: unknown, most: number): string =>
  typeof text === 'string' ? text.slice(0, most).toWellFormed() : '';

/** The value, where the field may hold it. */
export const or = <T>(field: Field<T>, value: T, otherwise: T): T => (field.allows(value) ? value : otherwise);
