import Flatbush from 'flatbush';
import { orient2d } from 'robust-predicates';
import type { Pulse } from '../pulse.js';
import type { Box, Point } from './points.js';

/**
 * Visits the index pairs (a < b) of the boxes that overlap or touch, by a packed Hilbert R-tree, in the order of their
 * numbers, so the answer does not depend on the tree's shape.
 */
export function eachOverlap(
  boxes: readonly Box[],
  visit: (a: number, b: number) => void,
  pulse: Pulse = () => undefined,
): void {
  if (boxes.length < 2) return;
  const tree = new Flatbush(boxes.length);
  for (const { left, top, right, bottom } of boxes) tree.add(left, top, right, bottom);
  tree.finish();
  boxes.forEach(({ left, top, right, bottom }, a) => {
    pulse();
    for (const b of tree.search(left, top, right, bottom, (other) => other > a).sort((x, y) => x - y)) visit(a, b);
  });
}

/** The first point at which two polylines meet, or null. Touching is meeting. */
export function meetingPoint(one: readonly Point[], other: readonly Point[]): Point | null {
  for (let i = 1; i < one.length; i++) {
    for (let j = 1; j < other.length; j++) {
      const point = segmentsMeet(one[i - 1]!, one[i]!, other[j - 1]!, other[j]!);
      if (point) return point;
    }
  }
  return null;
}

/**
 * A point that both segments share, or null. Which side an end lies on is decided by adaptive-precision orientation
 * tests (Shewchuk, 1997), so the answer does not change with the order of arguments.
 */
export function segmentsMeet(a: Point, b: Point, c: Point, d: Point): Point | null {
  if (
    Math.max(a.x, b.x) < Math.min(c.x, d.x) ||
    Math.max(c.x, d.x) < Math.min(a.x, b.x) ||
    Math.max(a.y, b.y) < Math.min(c.y, d.y) ||
    Math.max(c.y, d.y) < Math.min(a.y, b.y)
  )
    return null;
  const sideC = side(a, b, c);
  const sideD = side(a, b, d);
  if (sideC * sideD > 0) return null;
  const sideA = side(c, d, a);
  const sideB = side(c, d, b);
  if (sideA * sideB > 0) return null;
  if (sideC === 0 && sideD === 0) return between(a, b, c) ? c : between(a, b, d) ? d : between(c, d, a) ? a : null;
  const t = sideA / (sideA - sideB);
  return { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t };
}

const side = (a: Point, b: Point, p: Point): number => orient2d(a.x, a.y, b.x, b.y, p.x, p.y);
const between = (a: Point, b: Point, p: Point): boolean =>
  Math.min(a.x, b.x) <= p.x && p.x <= Math.max(a.x, b.x) && Math.min(a.y, b.y) <= p.y && p.y <= Math.max(a.y, b.y);
