import { boxOf } from '../geometry/points.js';
import type { TopicMap } from '../map/types.js';
import type { Spot } from './maker.js';

const GAP = 14;

/**
 * The free place nearest to a wanted one for something of a size: first along the row, left and right in turn, then row
 * by row downward. The wanted place itself when nothing is free nearby.
 */
export function freeSpot(
  map: Pick<TopicMap, 'topics' | 'pictures'>,
  wanted: Spot,
  size: { width: number; height: number },
): Spot {
  const taken = [...map.topics, ...map.pictures].map((one) => boxOf(one, GAP));
  const isFree = ({ x, y }: Spot): boolean =>
    taken.every(
      (box) =>
        x + size.width / 2 <= box.left ||
        x - size.width / 2 >= box.right ||
        y + size.height / 2 <= box.top ||
        y - size.height / 2 >= box.bottom,
    );
  const across = size.width / 2 + GAP;
  for (let row = 0; row < 12; row++) {
    for (let step = 0; step < 12; step++) {
      const side = step % 2 === 0 ? 1 : -1;
      const spot = { x: wanted.x + side * Math.ceil(step / 2) * across, y: wanted.y + row * (size.height + GAP * 2) };
      if (isFree(spot)) return spot;
    }
  }
  return wanted;
}
