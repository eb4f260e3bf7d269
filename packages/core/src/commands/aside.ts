import { boxesMeet } from '../geometry/boxes.js';
import { boxOf } from '../geometry/points.js';
import type { Box } from '../geometry/points.js';
import type { Topic } from '../map/types.js';
import type { Spot } from './maker.js';

/** What is kept between two when one makes way: as much as there was, within these; canvas units. */
const [LEAST, MOST] = [12, 30];
/** Beyond as many pushes a heap is left as it is. */
const PUSHES = 2000;

export type Way = 'right' | 'left' | 'down' | 'up';
const WAYS: readonly Way[] = ['down', 'right', 'up', 'left'];
const AXIS = { right: 'x', left: 'x', down: 'y', up: 'y' } as const;
const SIGN = { right: 1, left: -1, down: 1, up: -1 } as const;

/** What makes others move, and stays: the room it takes where that is more than its own, and the one way it pushes them. */
export interface Standing {
  room?: Box;
  way?: Way;
}

/**
 * Where topics go that are in the way of others: aside by as little as will do, each pushing those it comes too near to on
 * the same way, so that what stood in a row or stack stays so.
 * @param stand by id, those that make the others move
 * @param metBefore whether two lay on each other already, which is nobody's doing
 * @returns places by id of those that move; null where a heap has no room to make
 */
export function pushedAside(
  topics: readonly Topic[],
  stand: ReadonlyMap<string, Standing>,
  metBefore: (one: string, other: string) => boolean = () => false,
): Map<string, Spot> | null {
  const places = new Map<string, Spot>(topics.map(({ id, x, y }) => [id, { x, y }]));
  const original = new Map(topics.map((topic) => [topic.id, boxOf(topic)]));
  const boxNow = (topic: Topic): Box => stand.get(topic.id)?.room ?? boxOf({ ...topic, ...places.get(topic.id)! });
  const isFast = ({ id, marks }: Topic): boolean => stand.has(id) || (marks?.includes('kept') ?? false);
  const movable = topics.filter((topic) => !isFast(topic));
  const moved = new Set<string>();
  const queue: { topic: Topic; way: Way | null }[] = topics
    .filter(({ id }) => stand.has(id))
    .map((topic) => ({ topic, way: null }));
  for (let pushes = 0; queue.length > 0;) {
    const { topic, way } = queue.shift()!;
    for (const other of movable) {
      if (other === topic || (way === null && metBefore(topic.id, other.id))) continue;
      const only = way ?? stand.get(topic.id)?.way;
      const ways = only ? [only] : WAYS;
      const steps = ways.map((one) => ({
        way: one,
        by: reach(boxNow(topic), boxNow(other), one, airOf(topic, other, one)),
      }));
      const least = steps.reduce((best, step) => (step.by < best.by ? step : best));
      if (least.by <= 0) continue;
      if (++pushes > PUSHES) return null;
      const place = places.get(other.id)!;
      places.set(other.id, { ...place, [AXIS[least.way]]: place[AXIS[least.way]] + SIGN[least.way] * least.by });
      moved.add(other.id);
      queue.push({ topic: other, way: least.way });
    }
  }
  return new Map([...moved].map((id) => [id, places.get(id)!]));

  /** What has to lie between two on a way: of what stands anew the least, of others as much as there was. */
  function airOf(topic: Topic, other: Topic, way: Way): number {
    if (stand.has(topic.id)) return LEAST;
    const [a, b] = [original.get(topic.id)!, original.get(other.id)!];
    const was = { right: b.left - a.right, left: a.left - b.right, down: b.top - a.bottom, up: a.top - b.bottom }[way];
    return Math.min(MOST, Math.max(LEAST, was));
  }
}

/** How far one has to go on a way to be clear of another; 0 where it is. */
function reach(box: Box, other: Box, way: Way, air: number): number {
  const across = AXIS[way] === 'x' ? { x: air, y: LEAST / 2 } : { x: LEAST / 2, y: air };
  const grown = {
    left: box.left - across.x,
    right: box.right + across.x,
    top: box.top - across.y,
    bottom: box.bottom + across.y,
  };
  if (!boxesMeet(grown, other)) return 0;
  return {
    right: grown.right - other.left,
    left: other.right - grown.left,
    down: grown.bottom - other.top,
    up: other.bottom - grown.top,
  }[way];
}
