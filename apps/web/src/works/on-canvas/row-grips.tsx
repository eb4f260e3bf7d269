import { boxOf, unionOf } from '@ichnograph/core';
import type { Along, Topic } from '@ichnograph/core';
import { useReactFlow } from '@xyflow/react';
import { useState } from 'react';
import type { PointerEvent } from 'react';
import { chosenOf } from '../commands/selected';
import { useEditor, useEditorState } from '../editor';

/** How far out of line a topic may stand and still be of the row, as a share of its size. */
const OUT_OF_LINE = 0.5;

/** Along what three or more selected topics stand in a row; null where they do not. */
function rowOf(topics: readonly Topic[]): Along | null {
  if (topics.length < 3) return null;
  const inLine = (across: Along, size: 'width' | 'height'): boolean => {
    const places = topics.map((topic) => topic[across]);
    const least = Math.min(...topics.map((topic) => topic[size]));
    return Math.max(...places) - Math.min(...places) <= least * OUT_OF_LINE;
  };
  return inLine('y', 'height') ? 'x' : inLine('x', 'width') ? 'y' : null;
}

/** At the end of a row or stack that is selected: pulled, it spaces all of it anew. */
export function RowGrips() {
  const { actions } = useEditor();
  const flow = useReactFlow();
  const map = useEditorState((state) => state.map);
  const selection = useEditorState((state) => state.selection);
  const [pulled, setPulled] = useState<number | null>(null);
  const { topics } = chosenOf({ map, selection });
  const along = rowOf(topics);
  const box = along && unionOf(topics.map((topic) => boxOf(topic)));
  if (!along || !box) return null;
  const end = along === 'x' ? box.right : box.bottom;
  const middle = along === 'x' ? (box.top + box.bottom) / 2 : (box.left + box.right) / 2;
  const placeOf = ({ clientX, clientY }: PointerEvent): number =>
    flow.screenToFlowPosition({ x: clientX, y: clientY })[along];
  const at = (pulled ?? end) + 14;
  return (
    // Larger to the hand than to the eye.
    <div
      data-grip="row"
      title="Pull to space them anew"
      className={`nodrag nopan pointer-events-auto absolute z-[999] grid h-6 w-6 -translate-x-1/2 -translate-y-1/2 place-items-center pointer-coarse:h-11 pointer-coarse:w-11 ${along === 'x' ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
      style={along === 'x' ? { left: at, top: middle } : { left: middle, top: at }}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        setPulled(placeOf(event) - 14);
      }}
      onPointerMove={(event) => {
        if (pulled !== null) setPulled(placeOf(event) - 14);
      }}
      onPointerUp={(event) => {
        setPulled(null);
        actions.stretch(along, placeOf(event) - 14);
      }}
      onPointerCancel={() => setPulled(null)}
    >
      <div className={`border-[1.5px] border-action bg-white ${along === 'x' ? 'h-6 w-2' : 'h-2 w-6'}`} />
    </div>
  );
}
