import type { CommentRow } from '@ichnograph/contract';

/** a, b, … z, aa, ab …: comments carry letters, as requirements carry numbers. */
export function letterOf(index: number): string {
  const last = String.fromCharCode(97 + (index % 26));
  return index < 26 ? last : `${letterOf(Math.floor(index / 26) - 1)}${last}`;
}

/** Comments with their letters, in the order in which they were written. */
export const lettered = (comments: readonly CommentRow[]): { comment: CommentRow; letter: string }[] =>
  comments.map((comment, i) => ({ comment, letter: letterOf(i) }));
