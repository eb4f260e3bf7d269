import { useDraggable } from '@dnd-kit/core';
import { isBlank } from '@ichnograph/core';
import type { NoteAim } from '@ichnograph/core';
import { ChevronDown, ChevronRight, GripVertical } from 'lucide-react';
import { useRef } from 'react';
import type { ReactNode } from 'react';
import { useKeptNote } from '../kept-note';
import { useCaret } from '../use-caret';
import type { TreeRow } from './outline-rows';
import { WordCount } from './word-count';

/** The words of a topic with its ties, and what folds and drags it. */
export function TopicCell({
  row: { id, depth, text, ties, below, folded },
  mayEdit,
  onFold,
  children,
}: {
  row: TreeRow;
  mayEdit: boolean;
  onFold: () => void;
  children: ReactNode;
}) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id, disabled: !mayEdit });
  const Sign = folded ? ChevronRight : ChevronDown;
  return (
    <>
      <span ref={setNodeRef} className={`flex items-start gap-1 ${isDragging ? 'opacity-50' : ''}`}>
        {below > 0 ? (
          <button
            type="button"
            tabIndex={-1}
            disabled={!mayEdit}
            className="shrink-0 pt-0.5 text-quiet hover:text-ink"
            // The row itself says whether it is unfolded, and arrows fold it.
            aria-hidden
            title={folded ? 'Unfold' : 'Fold'}
            onClick={onFold}
          >
            <Sign aria-hidden size={16} />
          </button>
        ) : (
          <span aria-hidden className="w-4 shrink-0 text-center text-quiet">
            ·
          </span>
        )}
        <span dir="auto" className={`min-w-0 flex-1 whitespace-pre-line ${depth === 0 ? 'font-semibold' : ''}`}>
          {isBlank(text) ? <span className="text-quiet">without words</span> : text}
        </span>
        {mayEdit && (
          <span
            aria-hidden
            title="Drag it elsewhere"
            className="shrink-0 cursor-grab touch-none pt-0.5 text-[#8b9389] opacity-0 group-hover:opacity-100"
            {...listeners}
          >
            <GripVertical size={14} />
          </span>
        )}
      </span>
      {ties.length > 0 && (
        <ul aria-label={`Ties of ${text}`} className="ml-5 flex flex-wrap gap-x-4 text-sm text-quiet">
          {ties.map((tie) => (
            <li key={tie.link.id}>
              <span aria-hidden>→ </span>
              <i>{tie.phrase}</i> {tie.text}
            </li>
          ))}
        </ul>
      )}
      {children}
    </>
  );
}

/** The words by which it hangs. */
export function Phrase({ row: { by, phrase } }: { row: TreeRow }) {
  if (!by) return null;
  return isBlank(phrase) ? (
    <span className="text-sm text-quiet">no words</span>
  ) : (
    <i dir="auto" className="text-quiet">
      {phrase}
    </i>
  );
}

/** The beginning of a note, and how many words there are beside what is asked and what its author set out to write. */
export function NoteCell({
  row: { note, branchWords },
  aim,
  goal,
}: {
  row: TreeRow;
  aim: NoteAim | undefined;
  goal: number | undefined;
}) {
  const count = aim?.words ?? branchWords;
  return (
    <span className="flex items-start justify-between gap-2">
      <span dir="auto" className="line-clamp-3 min-w-0 flex-1 whitespace-pre-line text-sm">
        {note}
      </span>
      {(count > 0 || aim !== undefined || goal !== undefined) && <WordCount count={count} aim={aim} goal={goal} />}
    </span>
  );
}

/** A note that is written in its cell, kept while one writes. */
export function NoteField({ id, note, of, onClose }: { id: string; note: string; of: string; onClose: () => void }) {
  const { text, type, keep, merged } = useKeptNote({ id, note });
  const field = useRef<HTMLTextAreaElement>(null);
  const onSelect = useCaret(field, merged);
  return (
    <textarea
      ref={field}
      onSelect={onSelect}
      autoFocus
      // What is there is written on, not before.
      onFocus={({ target }) => target.setSelectionRange(target.value.length, target.value.length)}
      aria-label={`Note of ${of}`}
      className="field min-h-20 w-full text-sm"
      style={{ fieldSizing: 'content' } as object}
      maxLength={20_000}
      spellCheck
      value={text}
      onChange={({ target }) => type(target.value)}
      onBlur={() => {
        keep();
        onClose();
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key !== 'Escape' || event.nativeEvent.isComposing) return;
        event.preventDefault();
        keep();
        onClose();
      }}
    />
  );
}
