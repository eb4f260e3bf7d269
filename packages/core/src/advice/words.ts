/** Small helpers of English sentences in the review and the distances of a legend. */

export const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;
export const quoted = (text: string | number | undefined): string => `“${String(text)}”`;

/** "A, B and C" */
export const listed = (names: readonly string[], last = 'and'): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} ${last} ${names.at(-1)}`;
