import { useRef } from 'react';

/**
 * Something that is done once, however fast the keys are hit: asked for again while it is under way, and until what it
 * changed is on the screen, it is not done again.
 */
export function useOnce<A extends unknown[]>(work: (...args: A) => Promise<void>): (...args: A) => void {
  const isUnderWay = useRef(false);
  return (...args) => {
    if (isUnderWay.current) return;
    isUnderWay.current = true;
    void work(...args).finally(() => setTimeout(() => (isUnderWay.current = false)));
  };
}
