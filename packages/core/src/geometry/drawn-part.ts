import { linkStyle, topicStyle } from '../map/style.js';
import type { Legend, Link, Topic } from '../map/types.js';
import { centreLine } from './path.js';
import { boxOf, lengthOf } from './points.js';
import type { Box, Point } from './points.js';
import { polygonCorners } from './shapes.js';
import type { Corners } from './shapes.js';

/** A convex polygon, clockwise, and the box it keeps to: the box tells quickly what is nowhere near. */
export interface Solid {
  corners: Corners;
  box: Box;
}

/** What checks take off a link's line at a topic. */
export const solidOf = (topic: Topic, legend: Legend | undefined): Solid => ({
  corners: polygonCorners(topicStyle(topic, legend).shape, topic),
  box: boxOf(topic),
});

/**
 * The drawn part of a link: its line less what lies inside either end's shape; of several pieces the longest, the first
 * if equal. Empty when nothing is left. Used by every geometric requirement.
 */
export function drawnPart(link: Link, from: Topic, to: Topic, legend: Legend | undefined): Point[] {
  return partOutside(link, from, to, legend, [solidOf(from, legend), solidOf(to, legend)]);
}

/** The same, with the ends' shapes worked out before. */
export function partOutside(
  link: Link,
  from: Point,
  to: Point,
  legend: Legend | undefined,
  ends: readonly Solid[],
): Point[] {
  const { route, bend } = linkStyle(link, legend);
  return longestOutside(centreLine(from, to, route, bend), ends);
}

/** The longest piece of a polyline outside all the given solids. */
export function longestOutside(line: readonly Point[], solids: readonly Solid[]): Point[] {
  let longest: Point[] = [];
  let most = 0;
  let piece: Point[] = [];
  const finish = (): void => {
    if (piece.length === 0) return;
    const length = lengthOf(piece);
    // Equal lengths differ in their last bits; the first piece is kept unless a later one is longer beyond that noise.
    if (length > most * (1 + 1e-12) && length > 1e-9) [longest, most] = [piece, length];
    piece = [];
  };
  for (let i = 1; i < line.length; i++) {
    const a = line[i - 1]!;
    const b = line[i]!;
    let t = 0;
    for (const { enter, leave } of coveredOf(a, b, solids)) {
      if (enter > t) {
        if (piece.length === 0) piece.push(pointAt(a, b, t));
        piece.push(pointAt(a, b, enter));
      }
      finish();
      t = leave;
    }
    if (t < 1) {
      if (piece.length === 0) piece.push(pointAt(a, b, t));
      piece.push(b);
    }
  }
  finish();
  return longest;
}

const NOTHING: readonly Interval[] = [];

/** The parts of a segment that lie inside any of the solids, in order, none meeting another. */
function coveredOf(a: Point, b: Point, solids: readonly Solid[]): readonly Interval[] {
  let found: Interval[] | null = null;
  for (const { corners, box } of solids) {
    const inside = isBeside(a, b, box) ? null : insideOf(a, b, corners);
    if (inside) found = found ? [...found, inside] : [inside];
  }
  return found ? merged(found) : NOTHING;
}

const pointAt = (a: Point, b: Point, t: number): Point =>
  t === 0 ? a : t === 1 ? b : { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t };

/** Whether a segment's own box lies beside a box, so that the two have no point in common. */
export const isBeside = (a: Point, b: Point, { left, top, right, bottom }: Box): boolean =>
  Math.max(a.x, b.x) < left || Math.min(a.x, b.x) > right || Math.max(a.y, b.y) < top || Math.min(a.y, b.y) > bottom;

interface Interval {
  enter: number;
  leave: number;
}

/** The parameters between which the segment ab is strictly inside a convex clockwise polygon (Cyrus and Beck, 1978). */
function insideOf(a: Point, b: Point, corners: Corners): Interval | null {
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  let enter = 0;
  let leave = 1;
  let px = corners[corners.length - 2]!;
  let py = corners[corners.length - 1]!;
  for (let i = 0; i < corners.length; i += 2) {
    const qx = corners[i]!;
    const qy = corners[i + 1]!;
    const nx = qy - py;
    const ny = px - qx;
    const outside = nx * (a.x - px) + ny * (a.y - py);
    px = qx;
    py = qy;
    // Where two round corners meet, an outline has edges of no length, which point nowhere.
    if (Math.abs(nx) + Math.abs(ny) < 1e-9) continue;
    const speed = nx * dx + ny * dy;
    if (speed === 0) {
      if (outside >= 0) return null;
    } else if (speed < 0) enter = Math.max(enter, -outside / speed);
    else leave = Math.min(leave, -outside / speed);
    if (enter >= leave) return null;
  }
  return { enter, leave };
}

function merged(intervals: Interval[]): Interval[] {
  if (intervals.length === 1) return intervals;
  const result: Interval[] = [];
  for (const { enter, leave } of intervals.sort((x, y) => x.enter - y.enter)) {
    const last = result.at(-1);
    if (last && enter <= last.leave) last.leave = Math.max(last.leave, leave);
    else result.push({ enter, leave });
  }
  return result;
}
