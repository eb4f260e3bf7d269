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
const useTold = create<{ done: Told[]; count: number }>(() => ({ done: [], count: 0 }));

/** Long enough to be read, and to find the button. */
const SHOWN_MS = 12_000;
/** More than anyone remembers. */
const KEPT = 30;

/** Says what was done where it can be seen, with a way to take it back. */
export function tell(words: string, takeBack?: () => unknown): void {
  useTold.setState(({ done, count }) => ({
    done: [{ id: count, words, ...(takeBack && { takeBack }) }, ...done].slice(0, KEPT),
    count: count + 1,
  }));
}

function forget(id: number): void {
  useTold.setState(({ done }) => ({ done: done.filter((one) => one.id !== id) }));
}

function takeBack({ id, takeBack: undo }: Told): void {
  forget(id);
  undo?.();
}

/** On a page whose removals can be taken back: Mod+Z takes back the last, as long as the page stands. */
export function useTakeBack(): void {
  useKeys((chord) => {
    const last = useTold.getState().done.find((one) => one.takeBack);
    return chord === 'Mod+Z' && last ? { run: () => takeBack(last) } : null;
  });
  useEffect(() => () => useTold.setState({ done: [] }), []);
}

/** The last thing that was done, for a while. */
export function ToldLast() {
  const last = useTold(({ done }) => done[0]);
  return (
    <Toast.Provider duration={SHOWN_MS} swipeDirection="down" label="What was done">
      {last && (
        <Toast.Root
          key={last.id}
          className="card flex items-center gap-3 border-ink bg-paper px-3.5 py-2"
          onOpenChange={(open) => {
            // What can be taken back stays in reach of its key.
            if (!open && !last.takeBack) forget(last.id);
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
