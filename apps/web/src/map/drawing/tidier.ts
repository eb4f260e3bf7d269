import type { Change } from '@ichnograph/core';
import type { TidyAnswer, TidyQuestion } from './tidy-worker';

/** Tidies in a worker of its own, which can be ended at any time. */
export function startTidying(
  question: TidyQuestion,
  newWorker = () => new Worker(new URL('./tidy-worker.ts', import.meta.url), { type: 'module' }),
): { done: Promise<Change[] | 'cancelled' | 'failed'>; cancel: () => void } {
  const worker = newWorker();
  let end: (how: Change[] | 'cancelled' | 'failed') => void = () => undefined;
  const done = new Promise<Change[] | 'cancelled' | 'failed'>((resolve) => {
    end = (how) => {
      worker.terminate();
      resolve(how);
    };
    worker.onmessage = ({ data }: MessageEvent<TidyAnswer>) => end(data);
    worker.onerror = (fault) => {
      console.error('tidying failed', fault.message);
      end('failed');
    };
  });
  worker.postMessage(question);
  return { done, cancel: () => end('cancelled') };
}
