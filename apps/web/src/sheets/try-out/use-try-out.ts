import type { Assignment } from '@ichnograph/core';
import { useEffect, useRef, useState } from 'react';
import type { Trial, Tried, TryOutQuestion } from './try-out-worker';

const REST_MS = 300;

/** Checks all trial maps beside the page; while it works, what is asked meanwhile replaces what was asked before. */
export function useTryOut(assignment: Assignment, trials: readonly Trial[]): readonly Tried[] {
  const [tried, setTried] = useState<readonly Tried[]>([]);
  const worker = useRef<Worker | null>(null);
  const busy = useRef(false);
  const waiting = useRef<TryOutQuestion | null>(null);
  useEffect(() => {
    const made = new Worker(new URL('./try-out-worker.ts', import.meta.url), { type: 'module' });
    worker.current = made;
    made.onmessage = ({ data }: MessageEvent<Tried[]>) => {
      busy.current = false;
      setTried(data);
      if (waiting.current) {
        busy.current = true;
        made.postMessage(waiting.current);
        waiting.current = null;
      }
    };
    return () => {
      made.terminate();
      busy.current = false;
    };
  }, []);
  useEffect(() => {
    const timer = setTimeout(() => {
      const question: TryOutQuestion = { assignment, trials: [...trials] };
      if (busy.current) waiting.current = question;
      else {
        busy.current = true;
        worker.current?.postMessage(question);
      }
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [assignment, trials]);
  return tried;
}
