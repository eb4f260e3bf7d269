import { boxOf, unionOf } from '../geometry/points.js';
import { boxesMeet } from '../geometry/boxes.js';
import type { TopicMap } from '../map/types.js';
import type { Spot } from './maker.js';

const GAP = 14;

/**
 * The free place nearest to a wanted one for something of a size: first along the row, left and right in turn, then row
 * by row downward. Where nothing is free nearby, below all that is there.
 */
export function freeSpot(
  map: Pick<TopicMap, 'topics' | 'pictures'>,
  wanted: Spot,
  size: { width: number; height: number },
): Spot {
  const taken = [...map.topics, ...map.pictures].map((one) => boxOf(one, GAP));
  const isFree = (spot: Spot): boolean => taken.every((box) => !boxesMeet(box, boxOf({ ...size, ...spot })));
  const across = size.width / 2 + GAP;
  for (let row = 0; row < 12; row++) {
    for (let step = 0; step < 12; step++) {
      const side = step % 2 === 0 ? 1 : -1;
      const spot = { x: wanted.x + side * Math.ceil(step / 2) * across, y: wanted.y + row * (size.height + GAP * 2) };
      if (isFree(spot)) return spot;
    }
  }
  return { x: wanted.x, y: unionOf(taken)!.bottom + size.height / 2 };
}

/** A place that a person chose, or the free one nearest to it where something of the size would lie on a topic there. */
export function clearSpot(
  map: Pick<TopicMap, 'topics' | 'pictures'>,
  at: Spot,
  size: { width: number; height: number },
): Spot {
  const box = boxOf({ ...size, ...at });
  return map.topics.some((topic) => boxesMeet(boxOf(topic), box)) ? freeSpot(map, at, size) : at;
}
