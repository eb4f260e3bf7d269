import type { CheckContext } from '../map/types.js';
import { insist, parseJson } from './problems.js';
import { context as validateContext } from '#validators';

/** Reads a check context file. Throws `FileRefused`. */
export function readContextText(text: string): CheckContext {
  const value = parseJson(text);
  insist('ichnograph-context', validateContext, value);
  return value as CheckContext;
}
