import { useReactFlow } from '@xyflow/react';
import { useState } from 'react';
import type { PointerEvent } from 'react';
import { useEditor, useEditorState } from '../editor';

/** Lower right of the one selected topic or picture: pull to give it a (least) size. A topic's text always fits. */
export function ResizeGrip() {
  const { actions } = useEditor();
  const flow = useReactFlow();
  const one = useEditorState(({ map, selection, typing }) =>
    selection.length === 1 && !typing
      ? [...map.topics, ...map.pictures].find(({ id }) => id === selection[0])
      : undefined,
  );
  const [pulled, setPulled] = useState<{ width: number; height: number } | null>(null);
  if (!one) return null;
  const [left, top] = [one.x - one.width / 2, one.y - one.height / 2];
  const sizeAt = ({ clientX, clientY }: PointerEvent): { width: number; height: number } => {
    const at = flow.screenToFlowPosition({ x: clientX, y: clientY });
    return { width: Math.max(20, at.x - left), height: Math.max(20, at.y - top) };
  };
  const { width, height } = pulled ?? one;
  return (
    <>
      {pulled && (
        <div
          className="pointer-events-none absolute border border-dashed border-action"
          style={{ left, top, width, height }}
        />
      )}
      <div
        data-grip="size"
        className="nodrag nopan pointer-events-auto absolute z-[999] h-3 w-3 cursor-nwse-resize border-[1.5px] border-action bg-white pointer-coarse:before:absolute pointer-coarse:before:-inset-4 pointer-coarse:before:content-['']"
        aria-hidden
        style={{ left: left + width - 3, top: top + height - 3 }}
        onPointerDown={(event) => {
          event.stopPropagation();
          event.currentTarget.setPointerCapture(event.pointerId);
          setPulled(sizeAt(event));
        }}
        onPointerMove={(event) => {
          if (pulled) setPulled(sizeAt(event));
        }}
        onPointerUp={(event) => {
          setPulled(null);
          actions.resize(one.id, sizeAt(event));
        }}
        onPointerCancel={() => setPulled(null)}
      />
    </>
  );
}
