import { drawnBox } from '@ichnograph/core';
import type { Box, Legend, TopicMap } from '@ichnograph/core';
import { useReactFlow, useStoreApi } from '@xyflow/react';
import { useMemo } from 'react';
import { isStill } from '../../common/use-media';

/** Screen pixels that stay free around what is shown: a little air, and what covers the canvas. */
export interface Padding {
  top: number;
  right: number;
  bottom: number;
  left: number;
}

const AIR = 24;
/** How long the view takes to follow what was made. */
const SEEN_MS = 160;
/** What covers the canvas: nothing, as a rule; a margin with comments, a notice. */
export const FREE: Padding = { top: AIR, right: AIR, bottom: AIR, left: AIR };

interface Options {
  padding?: Padding;
  maxZoom?: number;
  duration?: number;
}

/** The viewport that shows a box of the map whole, in the middle of what the padding leaves. */
export function viewportFor(
  box: Box,
  size: { width: number; height: number },
  { padding = FREE, maxZoom = 1 }: Options,
): { x: number; y: number; zoom: number } {
  const [width, height] = [Math.max(1, box.right - box.left), Math.max(1, box.bottom - box.top)];
  const [across, down] = [
    Math.max(40, size.width - padding.left - padding.right),
    Math.max(40, size.height - padding.top - padding.bottom),
  ];
  const zoom = Math.max(0.08, Math.min(maxZoom, across / width, down / height));
  return {
    x: padding.left + across / 2 - ((box.left + box.right) / 2) * zoom,
    y: padding.top + down / 2 - ((box.top + box.bottom) / 2) * zoom,
    zoom,
  };
}

/** The viewport that has all of a box in sight, by the least movement; further away only where it is too large for this one. */
export function viewportSeeing(
  now: { x: number; y: number; zoom: number },
  box: Box,
  size: { width: number; height: number },
  padding: Padding = FREE,
): { x: number; y: number; zoom: number } {
  const { zoom } = now;
  const room = { x: size.width - padding.left - padding.right, y: size.height - padding.top - padding.bottom };
  if ((box.right - box.left) * zoom > room.x || (box.bottom - box.top) * zoom > room.y)
    return viewportFor(box, size, { padding, maxZoom: zoom });
  const step = (low: number, high: number, least: number, most: number): number =>
    low < least ? least - low : Math.min(0, most - high);
  return {
    x: now.x + step(box.left * zoom + now.x, box.right * zoom + now.x, padding.left, size.width - padding.right),
    y: now.y + step(box.top * zoom + now.y, box.bottom * zoom + now.y, padding.top, size.height - padding.bottom),
    zoom,
  };
}

/** A part of a map: topics, pictures, regions with what is in them, and links with their ends. */
function partOf(map: TopicMap, ids: readonly string[]): TopicMap {
  const links = map.links.filter(({ id }) => ids.includes(id));
  const wanted = new Set([...ids, ...links.flatMap(({ from, to }) => [from, to])]);
  const regions = map.regions.filter(({ id }) => ids.includes(id));
  for (const topic of regions.flatMap(({ topics }) => topics)) wanted.add(topic);
  return {
    ...map,
    links,
    topics: map.topics.filter(({ id }) => wanted.has(id)),
    pictures: map.pictures.filter(({ id }) => wanted.has(id)),
    regions,
  };
}

/** Shows parts of a map, by the boxes core draws them in. */
export function useShow() {
  const flow = useReactFlow();
  const api = useStoreApi();
  return useMemo(() => {
    const show = (box: Box | null, options: Options = {}): void => {
      const { width, height } = api.getState();
      if (!box || width === 0 || height === 0) return;
      void flow.setViewport(viewportFor(box, { width, height }, options), {
        duration: isStill() ? 0 : (options.duration ?? 0),
      });
    };
    const showMarks = (map: TopicMap, legend: Legend, ids: readonly string[], options: Options = {}): void =>
      show(drawnBox(partOf(map, ids), legend), { ...options, maxZoom: Math.max(1, flow.getZoom()) });
    /** Brings a box, or marks, into sight by as little as will do. */
    const see = (box: Box | null, padding: Padding = FREE): void => {
      const { width, height } = api.getState();
      if (!box || width === 0 || height === 0) return;
      const now = flow.getViewport();
      const next = viewportSeeing(now, box, { width, height }, padding);
      if (next.x !== now.x || next.y !== now.y || next.zoom !== now.zoom)
        void flow.setViewport(next, { duration: isStill() ? 0 : SEEN_MS });
    };
    const seeMarks = (map: TopicMap, legend: Legend, ids: readonly string[], padding?: Padding): void =>
      see(drawnBox(partOf(map, ids), legend), padding);
    return { show, showMarks, see, seeMarks };
  }, [flow, api]);
}
