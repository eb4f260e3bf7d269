import type { Route } from '../map/types.js';
import type { Point } from './points.js';

const STEPS = 32;
/** The weights of a quadratic curve's three points at each of its steps. */
const WEIGHTS = Array.from({ length: STEPS + 1 }, (_, i) => {
  const t = i / STEPS;
  return [(1 - t) ** 2, 2 * t * (1 - t), t ** 2] as const;
});

/** The whole way of a link from centre to centre as a polyline, before the ends' shapes are taken off it. */
export function centreLine(a: Point, b: Point, route: Route, bend: number): Point[] {
  const d = { x: b.x - a.x, y: b.y - a.y };
  switch (route) {
    case 'straight':
      return [a, b];
    case 'curved': {
      const c = { x: (a.x + b.x) / 2 - bend * d.y, y: (a.y + b.y) / 2 + bend * d.x };
      return WEIGHTS.map(([p, q, r]) => ({ x: p * a.x + q * c.x + r * b.x, y: p * a.y + q * c.y + r * b.y }));
    }
    case 'elbow': {
      if (Math.abs(d.x) >= Math.abs(d.y)) {
        const x = a.x + d.x * (0.5 + bend);
        return [a, { x, y: a.y }, { x, y: b.y }, b];
      }
      const y = a.y + d.y * (0.5 + bend);
      return [a, { x: a.x, y }, { x: b.x, y }, b];
    }
  }
}

/**
 * The bend (whole parts of one, not bounded) with which a link's line comes by a point: for a curve half way, for an elbow with
 * its turn. The inverse of `centreLine`; 0 where the ends are in one place.
 */
export function bendThrough(route: Route, a: Point, b: Point, by: Point, parts = 100): number {
  const [x, y] = [b.x - a.x, b.y - a.y];
  const whole = (bend: number): number => (Number.isFinite(bend) ? Math.round(bend * parts) / parts : 0);
  if (route === 'elbow') return whole(Math.abs(x) >= Math.abs(y) ? (by.x - a.x) / x - 0.5 : (by.y - a.y) / y - 0.5);
  // How far to the side of the straight line, as a share of it; the control point is twice as far.
  return whole((2 * (x * (by.y - a.y) - y * (by.x - a.x))) / (x * x + y * y));
}
