import type { Reading } from '@ichnograph/core';
import { refused } from '../common/problem.js';

/** What was understood of a file that somebody brought in. Refuses by path and reason. */
export function understoodFile<T>({ value, messages }: Reading<T>): T {
  if (value) return value;
  const [first] = messages;
  throw refused(`This file was not taken: ${first?.path} ${first?.reason}.`, messages.slice(0, 20));
}
