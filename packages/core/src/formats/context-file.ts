import type { CheckContext } from '../map/types.js';
import { problemsOf, readJson, strictly } from './problems.js';
import type { Reading } from './problems.js';
import { context as validateContext } from '#validators';

/** Reads a check context file. */
export const readContextText = (text: string): Reading<CheckContext> =>
  readJson(text, (value) => strictly(value as CheckContext, problemsOf('ichnograph-context', validateContext, value)));
