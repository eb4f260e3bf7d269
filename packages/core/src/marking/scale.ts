import type { MarkRules } from '../map/types.js';

const CLOSE = 1e-9;

/** A mark as it is shown: a figure of the scale, or the name of a threshold. */
export type ShownMark =
  | { as: 'points'; sum: number; outOf: number }
  | { as: 'percent'; percent: number }
  | { as: 'named'; name: string | null }
  | { as: 'pass'; passed: boolean };

/** Half up to so many decimals, once and at the end. A sum is never negative. */
export const toDecimals = (value: number, decimals: number): number =>
  Math.floor(value * 10 ** decimals + 0.5 + CLOSE) / 10 ** decimals;

/** A sum on the assignment's scale. Thresholds are compared before anything is rounded. */
export function onScale(
  { sum, outOf }: { sum: number; outOf: number },
  { scale }: Pick<MarkRules, 'scale'>,
): ShownMark {
  const share = outOf === 0 ? 0 : sum / outOf;
  const decimals = scale.decimals ?? 1;
  if (scale.as === 'percent') return { as: 'percent', percent: toDecimals(share * 100, decimals) };
  if (scale.as === 'pass') return { as: 'pass', passed: share >= (scale.passAt ?? 0.5) - CLOSE };
  if (scale.as === 'named') {
    const reached = (scale.thresholds ?? []).filter(({ from }) => share >= from - CLOSE);
    const highest = reached.reduce<(typeof reached)[number] | null>(
      (best, one) => (best && best.from >= one.from ? best : one),
      null,
    );
    return { as: 'named', name: highest?.name ?? null };
  }
  return { as: 'points', sum: toDecimals(sum, decimals), outOf: toDecimals(outOf, decimals) };
}
