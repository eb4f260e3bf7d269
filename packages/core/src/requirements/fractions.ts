import { CLOSE } from '../map/kinds.js';

/** X of Y; a share of nothing is 0. */
export const share = (part: number, whole: number): number => (whole === 0 ? 0 : part / whole);

/** n/min below min, max/n above max, else 1. */
export function ramp(n: number, min: number | undefined, max?: number): number {
  if (min !== undefined && n < min - CLOSE) return n / min;
  if (max !== undefined && n > max + CLOSE) return max / n;
  return 1;
}

/** A fraction within 1e-9 of 0 or 1 is 0 or 1. */
export const settled = (fraction: number): number => (fraction < CLOSE ? 0 : fraction > 1 - CLOSE ? 1 : fraction);

/** Half up to two decimals. A hair of grace first, since 0.285 is stored a little below itself. */
export const rounded = (sum: number): number => Math.floor(sum * 100 + 0.5 + 1e-7) / 100;
