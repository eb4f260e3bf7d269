import type { Sums } from '@ichnograph/core';

/** A figure as people say it: at most one decimal. Files and reports have two. */
export const figure = (value: number): string => String(Math.round(value * 10 + 1e-7) / 10);

/** "37.5 of 50", "42 of 42, and 1 extra". */
export const sumWords = ({ earned, outOf, extra }: Pick<Sums, 'earned' | 'outOf' | 'extra'>): string =>
  `${figure(earned)} of ${figure(outOf)}${extra > 0 ? `, and ${figure(extra)} extra` : ''}`;

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];
const RULES = new Intl.PluralRules('en-GB', { type: 'ordinal' });
const ENDINGS = { one: 'st', two: 'nd', few: 'rd', other: 'th' };
/** "for the second time", "for the 11th time" */
export const timeWords = (number: number): string =>
  `for the ${ORDINALS[number - 1] ?? `${number}${ENDINGS[RULES.select(number) as keyof typeof ENDINGS]}`} time`;
