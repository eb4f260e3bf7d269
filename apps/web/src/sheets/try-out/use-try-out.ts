import type { Assignment } from '@ichnograph/core';
import { useMemo } from 'react';
import { useBeside } from '../use-beside';
import type { Trial, Tried, TryOutQuestion } from './try-out-worker';

const REST_MS = 300;
const NONE: readonly Tried[] = [];
const newWorker = (): Worker => new Worker(new URL('./try-out-worker.ts', import.meta.url), { type: 'module' });

/** Checks all trial maps beside the page. */
export function useTryOut(assignment: Assignment, trials: readonly Trial[]): readonly Tried[] {
  const question = useMemo((): TryOutQuestion => ({ assignment, trials: [...trials] }), [assignment, trials]);
  return useBeside<TryOutQuestion, Tried[]>(newWorker, question, REST_MS)?.answer ?? NONE;
}
