import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import type { DragEndEvent } from '@dnd-kit/core';
import { arrayMove, SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';

/** Rows that a pointer drags into another order. Keys move them by the row's own keys and menu. */
export function Sortable({
  ids,
  onOrder,
  children,
}: {
  ids: readonly string[];
  onOrder: (ids: readonly string[]) => void;
  children: ReactNode;
}) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const drop = ({ active, over }: DragEndEvent): void => {
    if (!over || over.id === active.id) return;
    onOrder(arrayMove([...ids], ids.indexOf(String(active.id)), ids.indexOf(String(over.id))));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

export function useSortableRow(id: string) {
  const { setNodeRef, transform, transition, isDragging, listeners } = useSortable({ id });
  return {
    ref: setNodeRef,
    listeners,
    style: {
      transform: CSS.Translate.toString(transform),
      transition,
      ...(isDragging && { position: 'relative' as const, zIndex: 10, boxShadow: '0 0 0 1px #1c2321' }),
    },
  };
}

/** Where a row is taken hold of; a pointer's alone, since keys have ways of their own. */
export function Grip({ of: { listeners } }: { of: ReturnType<typeof useSortableRow> }) {
  return (
    <span
      aria-hidden
      data-grip
      title="Drag into another place"
      className="-ml-2 -mr-2 shrink-0 cursor-grab touch-none pt-1.5 text-[#8b9389] opacity-0 group-hover:opacity-100"
      {...listeners}
    >
      <GripVertical size={14} />
    </span>
  );
}
