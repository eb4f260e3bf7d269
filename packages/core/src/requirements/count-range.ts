import { ramp } from './fractions.js';
import type { Finding, ParamRule, Verdict } from './types.js';
import { more, tooMany } from './words.js';

/** What the types share that ask for a number of things between two bounds, each of which may be left out. */
export interface Range {
  min?: number;
  max?: number;
}

export const RANGE_PARAMS = {
  min: { type: 'number', least: 0, whole: true },
  max: { type: 'number', least: 0, whole: true },
} as const satisfies Record<string, ParamRule>;

/** A lower bound asks for something; an upper one alone only forbids. */
export const rangeAsks = ({ min = 0 }: Range): 'made' | 'kept' => (min > 0 ? 'made' : 'kept');

type Data = Record<string, string | number>;

export const RANGE_MESSAGES = {
  enough: ({ count }: Data) => `${count} on the map.`,
  few: ({ count, min }: Data) => `${count} on the map: ${more(count, min)}.`,
  many: ({ count, max }: Data) => `${count} on the map: ${tooMany(count, max)}.`,
};

/** The verdict on a count. @param over what is flagged when there are too many */
export function rangeVerdict(count: number, { min, max }: Range, over: readonly Finding[] = []): Verdict {
  const isOver = max !== undefined && count > max;
  return {
    fraction: ramp(count, min, max),
    figures: { count },
    message: isOver ? 'many' : min !== undefined && count < min ? 'few' : 'enough',
    data: { count, ...(min !== undefined && { min }), ...(max !== undefined && { max }) },
    evidence: isOver ? [...over] : [],
  };
}
