import type { TopicMap } from '@ichnograph/core';
import { useEffect, useLayoutEffect, useRef } from 'react';
import { isStill } from '../../common/use-media';
import type { Spot } from './gestures';

export const NOT_MOVED: ReadonlyMap<string, Spot> = new Map();
const GLIDE_MS = 200;
/** More would not run smoothly: they are simply there. */
const MOST_GLIDING = 250;

/** Topics are seen to go from where they stood to where they were laid, unless less motion is asked for. */
export function useGlide(
  from: ReadonlyMap<string, Spot> | null,
  map: TopicMap,
  setMoved: (places: ReadonlyMap<string, Spot>) => void,
  onEnd: (() => void) | undefined,
): void {
  const newest = useRef({ map, onEnd });
  useEffect(() => {
    newest.current = { map, onEnd };
  });
  useLayoutEffect(() => {
    if (!from) return;
    if (from.size > MOST_GLIDING || isStill()) return newest.current.onEnd?.();
    const begun = performance.now();
    let frame = 0;
    const step = (): void => {
      const share = Math.min(1, (performance.now() - begun) / GLIDE_MS);
      const eased = 1 - (1 - share) ** 3;
      if (share === 1) {
        setMoved(NOT_MOVED);
        return newest.current.onEnd?.();
      }
      setMoved(
        new Map(
          newest.current.map.topics.flatMap(({ id, x, y }) => {
            const at = from.get(id);
            return at ? [[id, { x: at.x + (x - at.x) * eased, y: at.y + (y - at.y) * eased }] as const] : [];
          }),
        ),
      );
      frame = requestAnimationFrame(step);
    };
    setMoved(from);
    frame = requestAnimationFrame(step);
    return () => {
      cancelAnimationFrame(frame);
      setMoved(NOT_MOVED);
    };
  }, [from, setMoved]);
}
