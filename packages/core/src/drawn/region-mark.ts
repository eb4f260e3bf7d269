import { polygonContains, polygonHull } from 'd3-polygon';
import { pathData } from '../geometry/draw-link.js';
import { boxAround, boxOf } from '../geometry/points.js';
import type { Point } from '../geometry/points.js';
import { layoutText } from '../geometry/text.js';
import { REGION } from '../map/types.js';
import type { Region } from '../map/types.js';
import type { MarkType, Scene } from './mark-type.js';

/** How far its outline stays from what it holds, and how wide its title runs before it wraps; canvas units. */
const [AROUND, TITLE_SIZE, TITLE_WIDTH, TITLE_GAP] = [18, 13, 220, 4];
const INK = '#4d5867';
/** Behind all that stands on it. */
const Z = -1e7;

/** The convex outline around the topics of a region that are there; null where none is left. */
function outlineOf({ topics }: Region, { topicById }: Scene): Point[] | null {
  const corners = topics
    .flatMap((id) => topicById.get(id) ?? [])
    .map((topic) => boxOf(topic, AROUND))
    .flatMap(({ left, top, right, bottom }): [number, number][] => [
      [left, top],
      [right, top],
      [right, bottom],
      [left, bottom],
    ]);
  return polygonHull(corners)?.map(([x, y]) => ({ x, y })) ?? null;
}

const titleOf = ({ title }: Region) => layoutText(title, { fontSize: TITLE_SIZE, bold: true }, TITLE_WIDTH);

export const regionMark: MarkType<Region> = {
  list: 'regions',
  name: 'region',
  fields: REGION,
  topics: ({ topics }) => topics,
  onTopics: (region, idOf) => {
    const topics = region.topics.flatMap((id) => idOf(id) ?? []);
    if (topics.length === 0 && region.topics.length > 0) return null;
    return { ...region, topics };
  },
  isCopied: true,
  moved: (region) => region,
  bounds: (region, scene) => {
    const outline = outlineOf(region, scene);
    if (!outline) return null;
    const [around, title] = [boxAround(outline), titleOf(region)];
    return {
      ...around,
      top: around.top - title.height - TITLE_GAP,
      right: Math.max(around.right, around.left + title.width),
    };
  },
  draw: (region, scene) => {
    const outline = outlineOf(region, scene);
    if (!outline) return null;
    const [{ left, top }, title] = [boxAround(outline), titleOf(region)];
    const first = top - title.height - TITLE_GAP;
    return {
      at: { x: 0, y: 0 },
      z: Z,
      shapes: [
        {
          draw: 'path',
          part: 'region',
          d: `${pathData(outline)}Z`,
          fill: region.fill,
          opacity: 0.35,
          stroke: { colour: INK, width: 1, dash: 'dashed' },
        },
        {
          draw: 'words',
          lines: title.lines.map((line, i) => ({
            ...line,
            x: left,
            y: first + (i + 0.5) * title.lineHeight + TITLE_SIZE * 0.34,
          })),
          ink: INK,
          size: TITLE_SIZE,
          bold: true,
          italic: false,
        },
      ],
    };
  },
  hits: (region, { x, y }, scene) => {
    const outline = outlineOf(region, scene);
    return (
      outline !== null &&
      polygonContains(
        outline.map((corner) => [corner.x, corner.y] as [number, number]),
        [x, y],
      )
    );
  },
};
