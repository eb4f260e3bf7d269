import type { Box } from '@ichnograph/core';
import { interpolateZoom } from 'd3-interpolate';
import { useEffect, useRef } from 'react';
import type { RefObject } from 'react';

/** As long as anything here moves to explain, milliseconds. */
const MOVE_MS = 220;

type View = [x: number, y: number, width: number];

/** A part of the map as the way of a camera knows it: its middle, and the width that shows all of it in a window's shape. */
function viewOf({ left, right, top, bottom }: Box, { clientWidth, clientHeight }: Element): View {
  const ratio = clientWidth / Math.max(1, clientHeight);
  return [(left + right) / 2, (top + bottom) / 2, Math.max(right - left, (bottom - top) * ratio)];
}

/**
 * Shows a part of a drawing, and goes from one part to the next by zooming and panning at once (van Wijk and Nuij, *Smooth and
 * efficient zooming and panning*, 2003); without movement where a person asked for none.
 */
export function useCamera(stage: RefObject<HTMLElement | null>, box: Box, drawing: string): void {
  const at = useRef<View | null>(null);
  const { left, right, top, bottom } = box;
  useEffect(() => {
    const host = stage.current;
    if (!host) return undefined;
    const show = ([x, y, width]: View): void => {
      at.current = [x, y, width];
      const height = (width * host.clientHeight) / Math.max(1, host.clientWidth);
      for (const svg of host.querySelectorAll('svg'))
        svg.setAttribute('viewBox', `${x - width / 2} ${y - height / 2} ${width} ${height}`);
    };
    const goal = (): View => viewOf({ left, right, top, bottom }, host);
    const observer = new ResizeObserver(() => show(goal()));
    let frame = 0;
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    if (at.current === null || still) show(goal());
    else {
      const way = interpolateZoom(at.current, goal());
      const begun = performance.now();
      const step = (now: number): void => {
        const t = Math.min(1, Math.max(0, (now - begun) / MOVE_MS));
        show(way(t * t * (3 - 2 * t)));
        if (t < 1) frame = requestAnimationFrame(step);
      };
      frame = requestAnimationFrame(step);
    }
    observer.observe(host);
    return () => {
      observer.disconnect();
      cancelAnimationFrame(frame);
    };
  }, [stage, left, right, top, bottom, drawing]);
}
