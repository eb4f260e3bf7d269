import { SHEET_PARTS } from '@ichnograph/core';
import type { SheetPart } from '@ichnograph/core';
import type { Person } from '@ichnograph/contract';
import { useStore } from 'zustand';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { SECTION_NAMES } from './section-names';
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
  const parts = useStore(writing.store, (store) => store.parts);
  const maps = [useStore(starter.store, ({ state }) => state), useStore(reference.store, ({ state }) => state)];
  const worst = WORST.find((state) => Object.values(parts).some((part) => part.state === state));
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

/** What keeps a part from being saved. Where somebody else was faster nothing is lost on either side until one says which stands. */
export function NotSaved() {
  const { writing } = useSheetPage();
  const parts = useStore(writing.store, (store) => store.parts);
  const { send } = useSend([]);
  const settle = (part: SheetPart, keep: 'mine' | 'theirs'): Promise<boolean> =>
    send(() => writing.settle(part, keep), '', { as: part });
  const troubled = SHEET_PARTS.filter((part) => parts[part].trouble !== null);
  if (troubled.length === 0) return null;
  return (
    <ul role="alert" className="sticky top-0 z-20 -mx-6 grid gap-1 border-b border-madder bg-madder-wash px-6 py-2">
      {troubled.map((part) => (
        <li key={part} className="flex items-center gap-3">
          <p className="words min-w-0 flex-1">
            {SECTION_NAMES[part]}: {parts[part].trouble}
          </p>
          {parts[part].state === 'overtaken' && (
            <>
              <Button small onClick={() => void settle(part, 'theirs')}>
                Take what is there
              </Button>
              <Button small look="action" onClick={() => void settle(part, 'mine')}>
                Save mine over it
              </Button>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}
