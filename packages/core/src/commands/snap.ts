import { boxOf, unionOf } from '../geometry/points.js';
import type { Box } from '../geometry/points.js';
import type { TopicMap } from '../map/types.js';
import type { Spot } from './maker.js';

/** A line that shows with what something is in line. */
export interface Guide {
  /** the axis on which it was snapped; the line runs across it */
  along: 'x' | 'y';
  at: number;
  from: number;
  to: number;
}

export interface Snapped {
  step: Spot;
  guides: readonly Guide[];
}

interface Span {
  start: number;
  end: number;
}
const spanOf = (box: Box, along: 'x' | 'y'): Span =>
  along === 'x' ? { start: box.left, end: box.right } : { start: box.top, end: box.bottom };
const middle = ({ start, end }: Span): number => (start + end) / 2;
const meets = (a: Span, b: Span): boolean => a.start < b.end && b.start < a.end;

/**
 * A step of what is dragged, a little changed where that brings it in line with an edge or the middle of another topic, or
 * makes its gap to a neighbour as wide as that one's to the next.
 * @param reach how far it may be drawn aside, canvas units
 */
export function snapStep(map: TopicMap, ids: ReadonlySet<string>, step: Spot, reach: number): Snapped {
  const standing = [...map.topics, ...map.pictures];
  const held = unionOf(standing.filter(({ id }) => ids.has(id)).map((one) => boxOf(one)));
  if (!held) return { step, guides: [] };
  const moved: Box = {
    left: held.left + step.x,
    right: held.right + step.x,
    top: held.top + step.y,
    bottom: held.bottom + step.y,
  };
  const others = standing.filter(({ id }) => !ids.has(id)).map((one) => boxOf(one));
  const [x, y] = (['x', 'y'] as const).map((along) => nearest(moved, others, along, reach));
  const guides = [x, y].flatMap((found) => (found ? [found.guide] : []));
  return { step: { x: step.x + (x?.by ?? 0), y: step.y + (y?.by ?? 0) }, guides };
}

function nearest(
  moved: Box,
  others: readonly Box[],
  along: 'x' | 'y',
  reach: number,
): { by: number; guide: Guide } | null {
  const across = along === 'x' ? 'y' : 'x';
  const own = spanOf(moved, along);
  const side = spanOf(moved, across);
  let best: { by: number; guide: Guide } | null = null;
  const offer = (by: number, at: number, with_: Box): void => {
    if (Math.abs(by) > reach || Math.abs(by) >= Math.abs(best?.by ?? Infinity)) return;
    const other = spanOf(with_, across);
    const guide = { along, at, from: Math.min(side.start, other.start), to: Math.max(side.end, other.end) };
    best = { by, guide };
  };
  for (const other of others) {
    const span = spanOf(other, along);
    offer(middle(span) - middle(own), middle(span), other);
    for (const edge of [span.start, span.end]) {
      offer(edge - own.start, edge, other);
      offer(edge - own.end, edge, other);
    }
  }
  // In one row: as far from its neighbour as that one is from the next, or in the middle between two.
  const row = others
    .filter((other) => meets(spanOf(other, across), side))
    .map((other) => ({ other, ...spanOf(other, along) }));
  const before = row.filter(({ end }) => end <= own.start + reach).sort((a, b) => b.end - a.end);
  const behind = row.filter(({ start }) => start >= own.end - reach).sort((a, b) => a.start - b.start);
  const [left, left2] = before;
  const [right, right2] = behind;
  if (left && left2) {
    const start = left.end + (left.start - left2.end);
    offer(start - own.start, start, left.other);
  }
  if (right && right2) {
    const end = right.start - (right2.start - right.end);
    offer(end - own.end, end, right.other);
  }
  if (left && right) offer((left.end + right.start) / 2 - middle(own), (left.end + right.start) / 2, left.other);
  return best;
}
