import { Toast } from 'radix-ui';
import { useEffect } from 'react';
import { create } from 'zustand';
import { Button } from '../ui/button';
import { useKeys } from './keys';

interface Told {
  id: number;
  words: string;
  takeBack?: () => unknown;
}

/** What was done last and can be taken back, newest first; and which of it stands on the screen. */
const useTold = create<{ done: Told[]; shown: number | null; count: number }>(() => ({
  done: [],
  shown: null,
  count: 0,
}));

/** Long enough to be read, and to find the button. */
const SHOWN_MS = 12_000;
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
const hide = (): void => useTold.setState({ shown: null });

function takeBack({ id, takeBack: undo }: Told): void {
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

/** The last thing that was done, for a while. */
export function ToldLast() {
  const last = useTold(({ done, shown }) => done.find(({ id }) => id === shown));
  return (
    <Toast.Provider duration={SHOWN_MS} swipeDirection="down" label="What was done">
      {last && (
        <Toast.Root
          key={last.id}
          className="card flex items-center gap-3 border-ink bg-paper px-3.5 py-2"
          onOpenChange={(open) => {
            if (!open) hide();
          }}
        >
          <Toast.Description className="words min-w-0">{last.words}</Toast.Description>
          {last.takeBack && (
            <Toast.Action asChild altText="Press Ctrl Z to take it back">
              <Button small onClick={() => takeBack(last)}>
                Take it back
              </Button>
            </Toast.Action>
          )}
        </Toast.Root>
      )}
      <Toast.Viewport className="no-print fixed bottom-3 left-1/2 z-50 flex w-max max-w-[94vw] -translate-x-1/2 flex-col gap-2 outline-none" />
    </Toast.Provider>
  );
}
