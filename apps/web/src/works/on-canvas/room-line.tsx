import { drawnBox } from '@ichnograph/core';
import { useReactFlow } from '@xyflow/react';
import { useEffect, useState } from 'react';
import type { PointerEvent } from 'react';
import { useEditor, useEditorState } from '../editor';

/** How far the line reaches beyond the map, and how broad it is to the hand; canvas units. */
const [BEYOND, BROAD] = [60, 26];

/** A line across the map: pulled, it pushes everything beyond it aside. Escape takes it away. */
export function RoomLine() {
  const { actions, assignment } = useEditor();
  const flow = useReactFlow();
  const room = useEditorState((state) => state.room);
  const map = useEditorState((state) => state.map);
  const [pulled, setPulled] = useState<number | null>(null);
  useEffect(() => {
    if (!room) return;
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== 'Escape') return;
      event.stopPropagation();
      actions.closeRoom();
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, [room, actions]);
  const box = room && drawnBox(map, assignment.legend);
  if (!room || !box) return null;
  const { along, at } = room;
  const [start, end] = along === 'x' ? [box.top, box.bottom] : [box.left, box.right];
  const length = end - start + 2 * BEYOND;
  const placeOf = ({ clientX, clientY }: PointerEvent): number =>
    flow.screenToFlowPosition({ x: clientX, y: clientY })[along];
  const style = (place: number, broad: number) =>
    along === 'x'
      ? { left: place - broad / 2, top: start - BEYOND, width: broad, height: length }
      : { left: start - BEYOND, top: place - broad / 2, width: length, height: broad };
  return (
    <>
      {pulled !== null && (
        <div
          className="pointer-events-none absolute bg-action/10"
          style={style((at + pulled) / 2, Math.abs(pulled - at))}
        />
      )}
      <div
        data-grip="room"
        title="Pull to push everything beyond this line aside"
        className={`nodrag nopan pointer-events-auto absolute z-[999] grid place-items-center ${along === 'x' ? 'cursor-col-resize' : 'cursor-row-resize'}`}
        style={style(pulled ?? at, BROAD)}
        onPointerDown={(event) => {
          event.stopPropagation();
          event.currentTarget.setPointerCapture(event.pointerId);
          setPulled(at);
        }}
        onPointerMove={(event) => {
          if (pulled !== null) setPulled(placeOf(event));
        }}
        onPointerUp={(event) => {
          const by = placeOf(event) - at;
          setPulled(null);
          actions.closeRoom();
          if (Math.abs(by) > 2) actions.pushFrom(along, at, by);
        }}
        onPointerCancel={() => setPulled(null)}
      >
        <div
          className={`border-action ${along === 'x' ? 'h-full border-l-2 border-dashed' : 'w-full border-t-2 border-dashed'}`}
        />
      </div>
    </>
  );
}
