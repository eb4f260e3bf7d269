import { rounded } from '../requirements/fractions.js';
import type { Report } from '../requirements/types.js';

/** A report in figures, for lists. Points of `extra` requirements stand apart: "42 of 42, and 1 extra". */
export interface Sums {
  earned: number;
  outOf: number;
  extra: number;
  /** results that a marker must look at */
  flags: number;
}

export function sumsOf({ results, earned, outOf }: Report): Sums {
  const extra = rounded(results.reduce((sum, { level, points }) => (level === 'extra' ? sum + points : sum), 0));
  return {
    earned: rounded(earned - extra),
    outOf,
    extra,
    flags: results.filter(({ status }) => status !== 'met' && status !== 'not-applicable').length,
  };
}
