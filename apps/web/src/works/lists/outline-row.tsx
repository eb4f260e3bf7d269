import { useDndContext, useDroppable } from '@dnd-kit/core';
import type { ReactNode } from 'react';
import type { TreeRow } from './outline-rows';

export const COLUMNS = ['topic', 'phrase', 'note'] as const;
export type Column = (typeof COLUMNS)[number];
export const NAMES: Record<Column, string> = { topic: 'Topic', phrase: 'Hangs by', note: 'Note' };
export const TEMPLATE = 'minmax(14rem,1.5fr) minmax(6rem,0.7fr) minmax(10rem,1.4fr)';

/** A line of the outline: what it is to those who listen, and where others may be let go on it. */
export function Row({
  row: { id, depth, below, place, beside, folded },
  index,
  start,
  measure,
  isChosen,
  children,
}: {
  row: TreeRow;
  index: number;
  start: number;
  measure: (element: HTMLElement | null) => void;
  isChosen: boolean;
  children: ReactNode;
}) {
  const { active } = useDndContext();
  const held = active !== null && active.id !== id;
  return (
    <div
      role="row"
      ref={measure}
      data-index={index}
      aria-rowindex={index + 2}
      aria-level={depth + 1}
      aria-posinset={place}
      aria-setsize={beside}
      aria-expanded={below > 0 ? !folded : undefined}
      aria-selected={isChosen}
      className={`group absolute left-0 top-0 grid w-full border-b border-rule px-3 ${isChosen ? 'bg-wash' : 'hover:bg-canvas'}`}
      style={{ gridTemplateColumns: TEMPLATE, transform: `translateY(${start}px)` }}
    >
      {children}
      {held && (['before', 'on', 'after'] as const).map((place) => <Place key={place} id={id} place={place} />)}
    </div>
  );
}

/** Where a row that is dragged may be let go: before another, on it, after it. */
function Place({ id, place }: { id: string; place: 'before' | 'on' | 'after' }) {
  const { setNodeRef, isOver } = useDroppable({ id: `${place}/${id}` });
  const [top, height] = { before: ['0', '28%'], on: ['28%', '44%'], after: ['72%', '28%'] }[place] as [string, string];
  const line = { before: 'border-t-2', on: 'bg-action/10', after: 'border-b-2' }[place];
  return (
    <span
      aria-hidden
      ref={setNodeRef}
      className={`absolute inset-x-0 border-action ${isOver ? line : ''}`}
      style={{ top, height }}
    />
  );
}
