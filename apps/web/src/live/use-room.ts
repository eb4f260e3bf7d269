import type { LiveMessage } from '@ichnograph/contract';
import { useEffect, useRef, useState } from 'react';
import { askAgain } from '../common/queries';
import { openRoom } from './room';

/**
 * Stays in a room as long as the page stands. What was told before one was let in was missed, and so was what was told while
 * there was no way: then all is asked for again.
 * @param path of what is told there, below the API
 * @returns whether what is new is heard now
 */
export function useRoom(name: string, path: string, hear: (message: LiveMessage) => void): boolean {
  const [isOpen, setOpen] = useState(false);
  const latest = useRef(hear);
  useEffect(() => {
    latest.current = hear;
  });
  useEffect(
    () =>
      openRoom(name, {
        hear: (message) => {
          if (message.type === 'work changed') void askAgain(path);
          else latest.current(message);
        },
        onOpen: setOpen,
        onEnd: () => void askAgain(path),
      }),
    [name, path],
  );
  return isOpen;
}
