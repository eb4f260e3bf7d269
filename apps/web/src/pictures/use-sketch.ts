import { hasRoom, rubbed } from '@ichnograph/core';
import type { Sketch, Stroke } from '@ichnograph/core';
import { useRef, useState } from 'react';
import { useDraft } from '../common/drafts';

export const SHEET = { width: 640, height: 400 } as const;
const EMPTY: Sketch = { ...SHEET, strokes: [] };

interface History {
  past: readonly Sketch[];
  future: readonly Sketch[];
}
const MOST_STEPS = 200;

/**
 * A sketch while it is drawn: each stroke a step that can be taken back. It outlives a reload until it is put on the map.
 * @param name what it is for
 * @param first the sketch that is drawn on again, if there is one
 */
export function useSketch(name: string, first: Sketch | null) {
  const [draft, keep] = useDraft<Sketch>(name);
  const [{ past, future }, setHistory] = useState<History>({ past: [], future: [] });
  const sketch = draft ?? first ?? EMPTY;
  /** whether the rub under way is a step already */
  const isStep = useRef(false);
  const to = (next: Sketch): void => {
    if (next === sketch) return;
    setHistory({ past: [...past, sketch].slice(-MOST_STEPS), future: [] });
    keep(next);
  };
  return {
    sketch,
    isEmpty: sketch.strokes.length === 0,
    isFull: !hasRoom(sketch),
    draw: (stroke: Stroke): void => {
      if (stroke.points.length > 0 && hasRoom(sketch)) to({ ...sketch, strokes: [...sketch.strokes, stroke] });
    },
    /** @param begins whether the hand has just come down: all it takes away until it is lifted is one step */
    rub: (at: { x: number; y: number }, reach: number, begins: boolean): void => {
      if (begins) isStep.current = false;
      const next = rubbed(sketch, at, reach);
      if (next === sketch) return;
      if (isStep.current) keep(next);
      else to(next);
      isStep.current = true;
    },
    clear: (): void => to({ ...sketch, strokes: [] }),
    undo:
      past.length === 0
        ? null
        : (): void => {
            setHistory({ past: past.slice(0, -1), future: [sketch, ...future] });
            keep(past.at(-1)!);
          },
    redo:
      future.length === 0
        ? null
        : (): void => {
            setHistory({ past: [...past, sketch], future: future.slice(1) });
            keep(future[0]!);
          },
    /** It is on the map: the next one begins empty. */
    done: (): void => {
      keep(null);
      setHistory({ past: [], future: [] });
    },
  };
}
