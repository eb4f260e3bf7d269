import { useEffect, useRef, useState } from 'react';

export interface Answered<Q, A> {
  question: Q;
  answer: A;
}

/** What asks and answers from beside the page: a worker, or what stands for one. */
type Beside = Pick<Worker, 'postMessage' | 'terminate' | 'onmessage'>;

/**
 * Asks a worker beside the page. While it works, what is asked meanwhile replaces what was asked before.
 * @param question kept by the caller as long as it is the same; null asks nothing
 * @param restMs how long a question must rest before it is asked
 * @returns the last answer, with the question it is to; null before the first
 */
export function useBeside<Q, A>(newWorker: () => Beside, question: Q | null, restMs: number): Answered<Q, A> | null {
  const [answered, setAnswered] = useState<Answered<Q, A> | null>(null);
  const worker = useRef<Beside | null>(null);
  const asked = useRef<Q | null>(null);
  const waiting = useRef<Q | null>(null);
  const make = useRef(newWorker);
  useEffect(() => {
    const made = make.current();
    worker.current = made;
    made.onmessage = ({ data }: MessageEvent<A>) => {
      setAnswered({ question: asked.current!, answer: data });
      asked.current = waiting.current;
      waiting.current = null;
      if (asked.current !== null) made.postMessage(asked.current);
    };
    return () => {
      made.terminate();
      asked.current = null;
      waiting.current = null;
    };
  }, []);
  useEffect(() => {
    if (question === null) return;
    const timer = setTimeout(() => {
      if (asked.current !== null) waiting.current = question;
      else {
        asked.current = question;
        worker.current?.postMessage(question);
      }
    }, restMs);
    return () => clearTimeout(timer);
  }, [question, restMs]);
  return answered;
}
