import { insideOf, isBeside } from './drawn-part.js';
import type { Box, Point, Polyline } from './points.js';

const cornersOf = ({ left, top, right, bottom }: Box): Point[] => [
  { x: left, y: top },
  { x: right, y: top },
  { x: right, y: bottom },
  { x: left, y: bottom },
];

/** Whether a polyline has a point inside a box. */
export function entersBox({ points: line }: Polyline, box: Box): boolean {
  if (box.right <= box.left || box.bottom <= box.top) return false;
  let corners: Point[] | null = null;
  for (let i = 1; i < line.length; i++) {
    const a = line[i - 1]!;
    const b = line[i]!;
    if (!isBeside(a, b, box) && insideOf(a, b, (corners ??= cornersOf(box)))) return true;
  }
  return false;
}

export const boxesMeet = (a: Box, b: Box): boolean =>
  a.left <= b.right && b.left <= a.right && a.top <= b.bottom && b.top <= a.bottom;
