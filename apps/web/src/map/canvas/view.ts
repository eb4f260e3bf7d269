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
    /** Topics, pictures, regions with what is in them, and links with their ends. */
    const showMarks = (map: TopicMap, legend: Legend, ids: readonly string[], options: Options = {}): void => {
      const links = map.links.filter(({ id }) => ids.includes(id));
      const wanted = new Set([...ids, ...links.flatMap(({ from, to }) => [from, to])]);
      const regions = map.regions.filter(({ id }) => ids.includes(id));
      for (const topic of regions.flatMap(({ topics }) => topics)) wanted.add(topic);
      const part = {
        ...map,
        links,
        topics: map.topics.filter(({ id }) => wanted.has(id)),
        pictures: map.pictures.filter(({ id }) => wanted.has(id)),
        regions,
      };
      show(drawnBox(part, legend), { ...options, maxZoom: Math.max(1, flow.getZoom()) });
    };
    return { show, showMarks };
  }, [flow, api]);
}
