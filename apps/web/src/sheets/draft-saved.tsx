import type { Person } from '@ichnograph/contract';
import { useStore } from 'zustand';
import { Button } from '../ui/button';
import type { PartState } from './sheet-store';
import { useSheetPage } from './use-sheet';
import type { OpenSheet } from './use-sheet';

const WORDS: Record<PartState, string> = {
  saved: 'Saved',
  waiting: 'Saving …',
  unreachable: 'Offline, kept here',
  overtaken: 'Not saved',
  refused: 'Not saved',
};
/** The worst of the parts is said. */
const WORST: readonly PartState[] = ['refused', 'overtaken', 'unreachable', 'waiting'];

/** Who else is there, and whether what is written is safe. It stands in the head of the window, outside the sheet. */
export function DraftSaved({
  open: { writing, starter, reference },
  others,
}: {
  open: OpenSheet;
  others: readonly Person[];
}) {
  const states = useStore(writing.store, (store) => store.states);
  const maps = [useStore(starter.store, ({ state }) => state), useStore(reference.store, ({ state }) => state)];
  const worst = WORST.find((state) => Object.values(states).includes(state));
  const isSaving = worst === undefined && maps.some((state) => state === 'saving' || state === 'opening');
  const words = isSaving ? WORDS.waiting : WORDS[worst ?? 'saved'];
  const colour = words === WORDS.saved ? 'bg-action' : words === WORDS.waiting ? 'bg-quiet' : 'bg-madder';
  return (
    <span className="flex shrink-0 items-center gap-3 text-sm text-quiet">
      {others.length > 0 && (
        <span data-testid="others">{others.map(({ givenName }) => givenName).join(', ')} is here too</span>
      )}
      <span className="inline-flex items-center gap-1.5" data-testid="save-state">
        <span aria-hidden data-drawn className={`h-2 w-2 shrink-0 ${colour}`} />
        {words}
      </span>
    </span>
  );
}

/** Somebody else was faster on a part: nothing is lost on either side until one says which stands. */
export function Overtaken() {
  const { writing } = useSheetPage();
  const states = useStore(writing.store, (store) => store.states);
  const trouble = useStore(writing.store, (store) => store.trouble);
  if (!trouble) return null;
  return (
    <div
      role="alert"
      className="sticky top-0 z-20 -mx-6 flex items-center gap-3 border-b border-madder bg-madder-wash px-6 py-2"
    >
      <p className="words min-w-0 flex-1">{trouble}</p>
      {Object.values(states).includes('overtaken') && (
        <>
          <Button small onClick={() => void writing.settle('theirs')}>
            Take what is there
          </Button>
          <Button small look="action" onClick={() => void writing.settle('mine')}>
            Save mine over it
          </Button>
        </>
      )}
    </div>
  );
}
