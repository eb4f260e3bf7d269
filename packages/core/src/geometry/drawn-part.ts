import { linkStyle, topicStyle } from '../map/style.js';
import type { Legend, Link, Topic } from '../map/types.js';
import { centreLine } from './path.js';
import { lengthOf } from './points.js';
import type { Point } from './points.js';
import { polygonOf } from './shapes.js';

/**
 * The drawn part of a link: its line less what lies inside either end's shape; of several pieces the longest, the first
 * if equal. Empty when nothing is left. Used by every geometric requirement.
 */
export function drawnPart(link: Link, from: Topic, to: Topic, legend: Legend | undefined): Point[] {
  const { route, bend } = linkStyle(link, legend);
  const line = centreLine(from, to, route, bend);
  return longestOutside(
    line,
    [from, to].map((topic) => polygonOf(topicStyle(topic, legend).shape, topic)),
  );
}

/** The longest piece of a polyline outside all the given convex polygons. */
export function longestOutside(line: readonly Point[], polygons: readonly (readonly Point[])[]): Point[] {
  let longest: Point[] = [];
  let most = 0;
  let piece: Point[] = [];
  const finish = (): void => {
    const length = lengthOf(piece);
    // Equal lengths differ in their last bits; the first piece is kept unless a later one is longer beyond that noise.
    if (length > most * (1 + 1e-12) && length > 1e-9) [longest, most] = [piece, length];
    piece = [];
  };
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1]!, line[i]!];
    const at = (t: number): Point =>
      t === 0 ? a : t === 1 ? b : { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t };
    let t = 0;
    for (const [enter, leave] of merged(polygons.map((polygon) => insideOf(a, b, polygon)))) {
      if (enter > t) piece.push(...(piece.length === 0 ? [at(t)] : []), at(enter));
      finish();
      t = leave;
    }
    if (t < 1) piece.push(...(piece.length === 0 ? [at(t)] : []), b);
  }
  finish();
  return longest;
}

type Interval = [enter: number, leave: number];

/** The parameters between which the segment ab is strictly inside a convex clockwise polygon (Cyrus and Beck, 1978). */
export function insideOf(a: Point, b: Point, polygon: readonly Point[]): Interval | null {
  let [enter, leave] = [0, 1];
  for (let i = 0; i < polygon.length; i++) {
    const [p, q] = [polygon[i]!, polygon[(i + 1) % polygon.length]!];
    const [nx, ny] = [q.y - p.y, p.x - q.x];
    // Where two round corners meet, an outline has edges of no length, which point nowhere.
    if (Math.abs(nx) + Math.abs(ny) < 1e-9) continue;
    const outside = nx * (a.x - p.x) + ny * (a.y - p.y);
    const speed = nx * (b.x - a.x) + ny * (b.y - a.y);
    if (speed === 0) {
      if (outside >= 0) return null;
    } else if (speed < 0) enter = Math.max(enter, -outside / speed);
    else leave = Math.min(leave, -outside / speed);
    if (enter >= leave) return null;
  }
  return [enter, leave];
}

function merged(intervals: readonly (Interval | null)[]): Interval[] {
  const result: Interval[] = [];
  for (const [enter, leave] of intervals.filter((i) => i !== null).sort((x, y) => x[0] - y[0])) {
    const last = result.at(-1);
    if (last && enter <= last[1]) last[1] = Math.max(last[1], leave);
    else result.push([enter, leave]);
  }
  return result;
}
