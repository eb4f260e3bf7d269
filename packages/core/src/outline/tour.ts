import { boxOf } from '../geometry/points.js';
import type { Box, Point } from '../geometry/points.js';
import { branchOf } from '../commands/hanging.js';
import type { Tour, Topic, TopicMap } from '../map/types.js';
import { mapOutline } from './map-outline.js';

/** A stop of a tour whose topic is on the map. */
export interface TourStop {
  /** its place among the tour's stops, as they are stored */
  at: number;
  topic: Topic;
  words: string;
}

/** The stops of a tour that can be gone to, in order: what is no longer on the map is passed over. */
export function tourStops({ topics }: Pick<TopicMap, 'topics'>, tour: Tour): TourStop[] {
  const byId = new Map(topics.map((topic) => [topic.id, topic]));
  return tour.stops.flatMap(({ topic: id, words }, at) => {
    const topic = byId.get(id);
    return topic ? [{ at, topic, words }] : [];
  });
}

/** Topics to begin a tour with, where nobody chose any: what most hangs from and its branches, in the order of reading. */
export function usualStops(map: TopicMap): string[] {
  const rows = mapOutline(map);
  const second = rows.findIndex(({ depth }, i) => depth === 0 && i > 0);
  return rows.flatMap(({ id, depth }, i) => (depth < 2 && (second < 0 || i < second) ? [id] : []));
}

/** How a tour is drawn on its map: a line from stop to stop, and the number of each, canvas units. */
export interface TourLine {
  /** from the middle of a stop to that of the next */
  points: Point[];
  /** the upper left corner of each stop's topic, with the numbers of the stops that are made there */
  numbers: { x: number; y: number; words: string }[];
}

export function tourLine(map: Pick<TopicMap, 'topics'>, tour: Tour): TourLine {
  const stops = tourStops(map, tour);
  const at = new Map<Topic, number[]>();
  stops.forEach(({ topic }, i) => at.set(topic, [...(at.get(topic) ?? []), i + 1]));
  return {
    points: stops.map(({ topic: { x, y } }) => ({ x, y })),
    numbers: [...at].map(([topic, places]) => {
      const { left, top } = boxOf(topic);
      return { x: left, y: top, words: places.join(', ') };
    }),
  };
}

/** Times a stop's own size that are seen around it. */
const AROUND = 1.6;
/** So much of the map is seen at least, canvas units: a short word is not blown up to fill a wall. */
const LEAST = { width: 420, height: 260 };

/** What of a map is seen at a stop: the topic, what hangs from it, and what it hangs from, as far as that is near. */
export function stopView(map: TopicMap, topic: Topic): Box {
  const near = new Set(branchOf(map, [topic.id]));
  const neighbours = map.links.flatMap(({ from, to }) => (from === topic.id ? [to] : to === topic.id ? [from] : []));
  const wanted = map.topics.filter(({ id }) => id === topic.id || (neighbours.includes(id) && near.has(id)));
  const boxes = wanted.map((one) => boxOf(one));
  const half = boxes.reduce(
    (most, { left, right, top, bottom }) => ({
      x: Math.max(most.x, Math.abs(left - topic.x), Math.abs(right - topic.x)),
      y: Math.max(most.y, Math.abs(top - topic.y), Math.abs(bottom - topic.y)),
    }),
    { x: LEAST.width / 2 / AROUND, y: LEAST.height / 2 / AROUND },
  );
  const most = { x: Math.min(half.x, LEAST.width), y: Math.min(half.y, LEAST.height) };
  return {
    left: topic.x - most.x * AROUND,
    right: topic.x + most.x * AROUND,
    top: topic.y - most.y * AROUND,
    bottom: topic.y + most.y * AROUND,
  };
}
