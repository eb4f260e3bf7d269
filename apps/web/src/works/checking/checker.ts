import { CHECK_LIMIT_MS } from '@ichnograph/core';
import type { Assignment, CheckContext, TopicMap } from '@ichnograph/core';
import type { Answer, Question } from './check-worker';

const MOST_TRIES = 3;

/**
 * Keeps one worker at the newest snapshot: while it works, later snapshots replace each other, so that a fast hand never
 * piles up checks. A check that takes too long is ended with its worker, and the next snapshot begins anew. What a busy
 * machine left undone is tried again when nothing else waits.
 */
export function startChecker(
  assignment: Assignment,
  context: CheckContext,
  onAnswer: (answer: Answer) => void,
  onTooLong: () => void,
  newWorker = () => new Worker(new URL('./check-worker.ts', import.meta.url), { type: 'module' }),
) {
  // Checks end by themselves; the first one of a worker loads its code too.
  const PATIENCE = CHECK_LIMIT_MS * 4;
  let worker = startWorker();
  let busy: ReturnType<typeof setTimeout> | null = null;
  let waiting: TopicMap | null = null;
  let [asked, tries] = [null as TopicMap | null, 0];

  function startWorker(): Worker {
    const made = newWorker();
    made.onmessage = ({ data }: MessageEvent<Answer>) => {
      finish();
      onAnswer(data);
      if (!waiting && tries < MOST_TRIES && data.report.results.some(({ code }) => code === 'outOfTime'))
        waiting = asked;
      next();
    };
    made.postMessage({ assignment, context } satisfies Question);
    return made;
  }
  function finish(): void {
    if (busy) clearTimeout(busy);
    busy = null;
  }
  function next(): void {
    if (busy || !waiting) return;
    const map = waiting;
    waiting = null;
    tries = map === asked ? tries + 1 : 1;
    asked = map;
    busy = setTimeout(() => {
      worker.terminate();
      worker = startWorker();
      finish();
      onTooLong();
      next();
    }, PATIENCE);
    worker.postMessage({ map } satisfies Question);
  }
  return {
    check: (map: TopicMap): void => {
      waiting = map;
      next();
    },
    stop: (): void => {
      finish();
      worker.terminate();
    },
  };
}
