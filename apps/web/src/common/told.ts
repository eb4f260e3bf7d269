import { useEffect } from 'react';
import { create } from 'zustand';
import { useKeys } from './keys';

interface Told {
  id: number;
  words: string;
  takeBack?: () => unknown;
}

/** What was done last and can be taken back, newest first; and which of it stands on the screen. */
export const useTold = create<{ done: Told[]; shown: number | null; count: number }>(() => ({
  done: [],
  shown: null,
  count: 0,
}));

/** More than anyone remembers. */
const KEPT = 30;

/** Says what was done where it can be seen, with a way to take it back. */
export function tell(words: string, takeBack?: () => unknown): void {
  useTold.setState(({ done, count }) => ({
    done: [{ id: count, words, ...(takeBack && { takeBack }) }, ...done].slice(0, KEPT),
    shown: count,
    count: count + 1,
  }));
}

/** It leaves the screen; what can be taken back stays in reach of its key. */
export const hideTold = (): void => useTold.setState({ shown: null });

export function takeBack({ id, takeBack: undo }: Told): void {
  useTold.setState(({ done }) => ({ done: done.filter((one) => one.id !== id), shown: null }));
  undo?.();
}

/** On a page whose removals can be taken back: Mod+Z takes back the last, as long as the page stands. */
export function useTakeBack(): void {
  useKeys((chord) => {
    const last = useTold.getState().done.find((one) => one.takeBack);
    return chord === 'Mod+Z' && last ? { run: () => takeBack(last) } : null;
  });
  useEffect(() => () => useTold.setState({ done: [], shown: null }), []);
}
