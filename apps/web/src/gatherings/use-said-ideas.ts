import { useEffect, useRef } from 'react';
import { announce } from '../common/announcer';

/** In bursts nobody listens: what came in is said at most this often. */
const PAUSE_MS = 6000;

/** Says how many ideas there are to those who do not see the board, as more come in. */
export function useSaidIdeas(count: number): void {
  const [said, timer] = [useRef(count), useRef<ReturnType<typeof setTimeout> | null>(null)];
  const now = useRef(count);
  now.current = count;
  useEffect(() => {
    if (count <= said.current || timer.current) return;
    timer.current = setTimeout(() => {
      timer.current = null;
      said.current = now.current;
      announce(now.current === 1 ? 'One idea has come in.' : `${now.current} ideas so far.`);
    }, PAUSE_MS);
  }, [count, said, timer]);
  useEffect(() => () => clearTimeout(timer.current ?? undefined), [timer]);
}
