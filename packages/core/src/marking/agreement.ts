/** What two markers gave one work for a criterion: positions of levels. */
export interface TwoLevels {
  first: number;
  second: number;
}

/** Below so many works marked twice there is no agreement to speak of. */
const LEAST_WORKS = 2;

/**
 * Cohen's kappa with quadratic weights over the positions of the levels: 1 for full agreement, 0 for what chance would
 * give. Source: Cohen (1968), "Weighted kappa", Psychological Bulletin 70.
 * @param levels how many levels the criterion has
 * @returns null where it is undefined: fewer than two works
 */
export function agreementOf(works: readonly TwoLevels[], levels: number): number | null {
  if (works.length < LEAST_WORKS) return null;
  const share = (which: keyof TwoLevels): number[] =>
    Array.from({ length: levels }, (_, level) => works.filter((work) => work[which] === level).length / works.length);
  const [first, second] = [share('first'), share('second')];
  const observed = works.reduce((sum, work) => sum + (work.first - work.second) ** 2, 0) / works.length;
  const byChance = first.reduce(
    (sum, one, i) => sum + second.reduce((inner, other, j) => inner + one * other * (i - j) ** 2, 0),
    0,
  );
  // Everything the same one level, by both: nothing could disagree.
  return byChance === 0 ? 1 : 1 - observed / byChance;
}
