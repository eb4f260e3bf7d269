import type { Point } from '../geometry/points.js';
import type { Pair } from './pairs.js';

const halfUp = (value: number): number => Math.floor(value + 0.5);

/** How far each went, as whole units. */
const steps = ({ before, after }: Pair<Point>): Point => ({
  x: halfUp(after.x - before.x),
  y: halfUp(after.y - before.y),
});

/**
 * The shift that most pairs share: a map that was moved as a whole has moved nothing on it. Of several as common the
 * nearest to no shift, then the smaller dx, then dy. No pairs: none.
 */
export function sharedShift(pairs: readonly Pair<Point>[]): Point {
  const counts = new Map<string, { shift: Point; count: number }>();
  for (const pair of pairs) {
    const shift = steps(pair);
    const key = `${shift.x} ${shift.y}`;
    counts.set(key, { shift, count: (counts.get(key)?.count ?? 0) + 1 });
  }
  const far = ({ x, y }: Point): number => x * x + y * y;
  const [commonest] = [...counts.values()].sort(
    (a, b) => b.count - a.count || far(a.shift) - far(b.shift) || a.shift.x - b.shift.x || a.shift.y - b.shift.y,
  );
  return commonest?.shift ?? { x: 0, y: 0 };
}
