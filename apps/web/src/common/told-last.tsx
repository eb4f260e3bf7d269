import { Toast } from 'radix-ui';
import { Button } from '../ui/button';
import { hideTold, takeBack, useTold } from './told';

/** Long enough to be read, and to find the button. */
const SHOWN_MS = 12_000;

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
            if (!open) hideTold();
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
