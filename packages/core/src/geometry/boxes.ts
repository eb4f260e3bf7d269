import Flatbush from 'flatbush';
import { insideOf } from './drawn-part.js';
import { boxAround } from './points.js';
import type { Box, Point } from './points.js';

const cornersOf = ({ left, top, right, bottom }: Box): Point[] => [
  { x: left, y: top },
  { x: right, y: top },
  { x: right, y: bottom },
  { x: left, y: bottom },
];

/** Whether a polyline has a point inside a box. */
export function entersBox(line: readonly Point[], box: Box): boolean {
  if (box.right <= box.left || box.bottom <= box.top) return false;
  const corners = cornersOf(box);
  return line.slice(1).some((b, i) => insideOf(line[i]!, b, corners) !== null);
}

export const boxesMeet = (a: Box, b: Box): boolean =>
  a.left <= b.right && b.left <= a.right && a.top <= b.bottom && b.top <= a.bottom;

/** For each line, the indices of the boxes that its own box meets, by a packed Hilbert R-tree. */
export function boxesNear(lines: readonly (readonly Point[])[], boxes: readonly Box[]): number[][] {
  if (boxes.length === 0) return lines.map(() => []);
  const tree = new Flatbush(boxes.length);
  for (const { left, top, right, bottom } of boxes) tree.add(left, top, right, bottom);
  tree.finish();
  return lines.map((line) => {
    if (line.length === 0) return [];
    const { left, top, right, bottom } = boxAround(line);
    return tree.search(left, top, right, bottom).sort((a, b) => a - b);
  });
}
