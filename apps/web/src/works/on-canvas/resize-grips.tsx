import { drawTopic } from '@ichnograph/core';
import { useReactFlow } from '@xyflow/react';
import { useState } from 'react';
import type { PointerEvent } from 'react';
import { useEditor, useEditorState } from '../editor';

interface Size {
  width: number;
  height: number;
}

/** Lower right of the one selected topic or picture, and of each picture in that topic: pull to give it a size. */
export function ResizeGrips() {
  const { actions, assignment } = useEditor();
  const one = useEditorState(({ map, selection, typing }) =>
    selection.length === 1 && !typing
      ? [...map.topics, ...map.pictures].find(({ id }) => id === selection[0])
      : undefined,
  );
  if (!one) return null;
  const [left, top] = [one.x - one.width / 2, one.y - one.height / 2];
  const pictures = 'text' in one ? drawTopic(one, assignment.legend).pictures : [];
  return (
    <>
      <Grip
        name="size"
        at={{ left, top, width: one.width, height: one.height }}
        onSize={(size) => actions.resize(one.id, size)}
      />
      {pictures.map(({ src, box }) => (
        <Grip
          key={src}
          name="picture"
          keepsShape
          at={{
            left: one.x + box.left,
            top: one.y + box.top,
            width: box.right - box.left,
            height: box.bottom - box.top,
          }}
          onSize={(size) => actions.sizePicture(one.id, src, size)}
        />
      ))}
    </>
  );
}

const LEAST = 20;

function Grip({
  name,
  at,
  keepsShape = false,
  onSize,
}: {
  name: 'size' | 'picture';
  /** what it is pulled from, canvas units */
  at: Size & { left: number; top: number };
  /** whether its height follows its width */
  keepsShape?: boolean;
  onSize: (size: Size) => void;
}) {
  const flow = useReactFlow();
  const [pulled, setPulled] = useState<Size | null>(null);
  const sizeAt = ({ clientX, clientY }: PointerEvent): Size => {
    const pointer = flow.screenToFlowPosition({ x: clientX, y: clientY });
    const free = { width: Math.max(LEAST, pointer.x - at.left), height: Math.max(LEAST, pointer.y - at.top) };
    if (!keepsShape) return free;
    const by = Math.max(free.width / at.width, free.height / at.height);
    return { width: by * at.width, height: by * at.height };
  };
  const { width, height } = pulled ?? at;
  return (
    <>
      {pulled && (
        <div
          className="pointer-events-none absolute z-[999] border border-dashed border-action"
          style={{ left: at.left, top: at.top, width, height }}
        />
      )}
      <div
        data-grip={name}
        className={`nodrag nopan pointer-events-auto absolute z-[999] h-3 w-3 cursor-nwse-resize border-[1.5px] border-action bg-white pointer-coarse:before:absolute pointer-coarse:before:-inset-4 pointer-coarse:before:content-[''] ${keepsShape ? 'rounded-full' : ''}`}
        aria-hidden
        style={{ left: at.left + width - (keepsShape ? 6 : 3), top: at.top + height - (keepsShape ? 6 : 3) }}
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
          onSize(sizeAt(event));
        }}
        onPointerCancel={() => setPulled(null)}
      />
    </>
  );
}
