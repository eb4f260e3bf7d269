import { ramp } from './fractions.js';
import type { Finding, ParamRule, Verdict } from './types.js';

/** What the types share that ask for a number of things between two bounds, each of which may be left out. */
export interface Range {
  min?: number;
  max?: number;
}

export const RANGE_PARAMS = {
  min: { type: 'number', least: 0, whole: true },
  max: { type: 'number', least: 0, whole: true },
} as const satisfies Record<string, ParamRule>;

/** Whether neither bound leaves anything out. */
export const rangeAsksNothing = ({ min = 0, max }: Range): boolean => min === 0 && max === undefined;

/** A lower bound asks for something; an upper one alone only forbids. */
export const rangeAsks = ({ min = 0 }: Range): 'made' | 'kept' => (min > 0 ? 'made' : 'kept');

export const RANGE_MESSAGES = {
  enough: '{count} on the map.',
  few: '{count} on the map: add {missing} more.',
  many: '{count} on the map: {over} too many.',
} as const;

/** The verdict on a count. @param over what is flagged when there are too many */
export function rangeVerdict(count: number, { min, max }: Range, over: readonly Finding[] = []): Verdict {
  const isOver = max !== undefined && count > max;
  return {
    fraction: ramp(count, min, max),
    figures: { count },
    code: isOver ? 'many' : min !== undefined && count < min ? 'few' : 'enough',
    data: {
      count,
      ...(min !== undefined && { missing: min - count }),
      ...(max !== undefined && { over: count - max }),
    },
    evidence: isOver ? [...over] : [],
  };
}
