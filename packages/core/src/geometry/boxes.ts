import Flatbush from 'flatbush';
import { insideOf } from './drawn-part.js';
import type { Pulse } from './meetings.js';
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

/** Visits each line with each box that its own box meets, in the order of their numbers, by a packed Hilbert R-tree. */
export function eachBoxNear(
  lines: readonly (readonly Point[])[],
  boxes: readonly Box[],
  visit: (line: number, box: number) => void,
  pulse: Pulse = () => undefined,
): void {
  if (boxes.length === 0) return;
  const tree = new Flatbush(boxes.length);
  for (const { left, top, right, bottom } of boxes) tree.add(left, top, right, bottom);
  tree.finish();
  lines.forEach((line, l) => {
    pulse();
    if (line.length === 0) return;
    const { left, top, right, bottom } = boxAround(line);
    for (const b of tree.search(left, top, right, bottom).sort((x, y) => x - y)) visit(l, b);
  });
}
