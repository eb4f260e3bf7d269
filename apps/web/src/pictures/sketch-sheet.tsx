import { strokePath } from '@ichnograph/core';
import type { Sketch, Stroke } from '@ichnograph/core';
import { memo, useRef, useState } from 'react';
import type { KeyboardEvent, PointerEvent } from 'react';

export interface Pen {
  colour: string;
  size: number;
  rubs: boolean;
}

/** How far an arrow key carries the pen, units of the sheet; with Shift further. */
const [STEP, FAR_STEP] = [8, 40];
const RUBBER = 8;
/** What a mouse and the keys press with; a pen tells its own. */
const EVEN_PRESSURE = 0.5;

const tenth = (value: number): number => Math.round(value * 10) / 10;

/**
 * The sheet one draws on: with a pen, a finger, a mouse; or with arrow keys, which carry the pen, and the space bar, which
 * sets it down and lifts it.
 */
export function SketchSheet({
  sketch,
  pen,
  onDraw,
  onRub,
}: {
  sketch: Sketch;
  pen: Pen;
  onDraw: (stroke: Stroke) => void;
  onRub: (at: { x: number; y: number }, reach: number, begins: boolean) => void;
}) {
  const sheet = useRef<SVGSVGElement>(null);
  const points = useRef<number[]>([]);
  const [live, setLive] = useState<readonly number[]>([]);
  const frame = useRef(0);
  const rubbing = useRef(false);
  /** the one pointer that draws: a palm that comes down beside a pen draws nothing, and ends nothing */
  const drawing = useRef<{ id: number; type: string } | null>(null);
  const [cursor, setCursor] = useState<{ x: number; y: number } | null>(null);
  const isDown = useRef(false);

  const at = ({ clientX, clientY }: { clientX: number; clientY: number }): { x: number; y: number } => {
    const box = sheet.current!.getBoundingClientRect();
    return {
      x: tenth(((clientX - box.left) / box.width) * sketch.width),
      y: tenth(((clientY - box.top) / box.height) * sketch.height),
    };
  };
  const show = (): void => {
    frame.current ||= requestAnimationFrame(() => {
      frame.current = 0;
      setLive([...points.current]);
    });
  };
  const add = (event: PointerEvent | globalThis.PointerEvent): void => {
    const { x, y } = at(event);
    const pressure = event.pointerType === 'pen' ? Math.round(event.pressure * 100) / 100 : EVEN_PRESSURE;
    points.current.push(x, y, pressure);
  };
  const end = (): void => {
    rubbing.current = false;
    drawing.current = null;
    if (points.current.length > 0) onDraw({ colour: pen.colour, size: pen.size, points: points.current });
    points.current = [];
    cancelAnimationFrame(frame.current);
    frame.current = 0;
    setLive([]);
  };
  const carry = (event: KeyboardEvent): void => {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    const from = cursor ?? { x: sketch.width / 2, y: sketch.height / 2 };
    if (way) {
      event.preventDefault();
      const step = event.shiftKey ? FAR_STEP : STEP;
      const next = {
        x: Math.max(0, Math.min(sketch.width, from.x + way[0]! * step)),
        y: Math.max(0, Math.min(sketch.height, from.y + way[1]! * step)),
      };
      setCursor(next);
      if (!isDown.current) return;
      if (pen.rubs) return onRub(next, RUBBER, false);
      points.current.push(next.x, next.y, EVEN_PRESSURE);
      setLive([...points.current]);
    } else if (event.key === ' ') {
      event.preventDefault();
      isDown.current = !isDown.current;
      setCursor(from);
      if (pen.rubs) {
        if (isDown.current) onRub(from, RUBBER, true);
      } else if (isDown.current) {
        points.current = [from.x, from.y, EVEN_PRESSURE];
        setLive([...points.current]);
      } else end();
    }
  };
  return (
    <svg
      ref={sheet}
      role="application"
      aria-label="Sheet to draw on. Arrow keys carry the pen, the space bar sets it down and lifts it."
      data-testid="sheet"
      tabIndex={0}
      viewBox={`0 0 ${sketch.width} ${sketch.height}`}
      className={`block h-auto w-full touch-none border border-[#8b9389] bg-white ${pen.rubs ? 'cursor-cell' : 'cursor-crosshair'}`}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        const held = drawing.current;
        // Only a pen takes over, from the palm that came down before it: what that drew is nothing.
        if (held && !(event.pointerType === 'pen' && held.type === 'touch')) return;
        drawing.current = { id: event.pointerId, type: event.pointerType };
        event.currentTarget.setPointerCapture(event.pointerId);
        setCursor(null);
        if (pen.rubs) {
          rubbing.current = true;
          onRub(at(event), RUBBER, true);
        } else {
          points.current = [];
          add(event);
          show();
        }
      }}
      onPointerMove={(event) => {
        if (drawing.current?.id !== event.pointerId) return;
        if (rubbing.current) return onRub(at(event), RUBBER, false);
        if (points.current.length === 0 || isDown.current) return;
        // A hand tells more points than there are frames; none of them is lost.
        const all = event.nativeEvent.getCoalescedEvents?.() ?? [];
        for (const one of all.length > 0 ? all : [event]) add(one);
        show();
      }}
      onPointerUp={({ pointerId }) => {
        if (!isDown.current && drawing.current?.id === pointerId) end();
      }}
      onPointerCancel={({ pointerId }) => {
        if (drawing.current?.id === pointerId) end();
      }}
      onKeyDown={carry}
      onBlur={() => {
        if (isDown.current) end();
        isDown.current = false;
        setCursor(null);
      }}
    >
      <g data-testid="strokes">
        <Strokes strokes={sketch.strokes} />
      </g>
      {/* Always there: a dialog takes the focus to itself when something in it goes as the focus leaves the sheet. */}
      <path fill={pen.colour} d={live.length > 0 ? strokePath({ ...pen, points: live }) : ''} />
      <path
        d={cursor ? `M${cursor.x - 10} ${cursor.y}h20M${cursor.x} ${cursor.y - 10}v20` : ''}
        stroke="#1f6f63"
        strokeWidth="1.5"
        fill="none"
      />
    </svg>
  );
}

const Strokes = memo(function Strokes({ strokes }: { strokes: readonly Stroke[] }) {
  return strokes.map((stroke, i) => <Drawn key={i} stroke={stroke} />);
});
const Drawn = memo(function Drawn({ stroke }: { stroke: Stroke }) {
  return <path fill={stroke.colour} d={strokePath(stroke)} />;
});
