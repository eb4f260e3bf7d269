import { checkMap } from '../checking/check-map.js';
import type { Assignment, TopicMap } from '../map/types.js';
import { nonNegativeLeastSquares } from './least-squares.js';

export interface LearnedWeights {
  /** in the assignment's order; points sum to the points of all requirements */
  weights: { requirement: string; weight: number; points: number }[];
  /** root mean square of the residuals */
  error: number;
  /** by position; what disagrees most first */
  maps: { map: number; mark: number; fitted: number; residual: number }[];
}

/** Why no weights can be learned, as a sentence for a person. */
export class CannotWeigh extends Error {}

/** Below so many marked maps a fit says more about chance than about a teacher. */
const LEAST_MAPS = 5;
/** How firmly the fit holds on to the points that are there. */
const RIDGE = 0.1;

/**
 * The points that reproduce a teacher's marks best: weights w ≥ 0 minimise |Xw − y|² + 0.1·|w − w₀|², where X holds the
 * fractions of the results (what does not apply as 0), y the marks, w₀ the points as shares of those that are not extra.
 * @param marks one share (0 to 1) a map
 * @throws CannotWeigh
 */
export function learnWeights(
  maps: readonly TopicMap[],
  marks: readonly number[],
  assignment: Assignment,
): LearnedWeights {
  const { requirements } = assignment;
  const counted = requirements.filter(({ level }) => level !== 'extra').reduce((sum, { points }) => sum + points, 0);
  if (marks.length !== maps.length)
    throw new CannotWeigh(`There are ${maps.length} maps and ${marks.length} marks: each map needs one.`);
  if (maps.length < LEAST_MAPS)
    throw new CannotWeigh(`Weights are learned from at least ${LEAST_MAPS} marked maps, and there are ${maps.length}.`);
  if (marks.every((mark) => mark === marks[0]))
    throw new CannotWeigh('All maps have the same mark, so nothing can be learned from them.');
  if (counted === 0)
    throw new CannotWeigh('The assignment has no points but extra ones, so there is nothing to weigh.');

  const rows = maps.map((map) => checkMap(map, assignment).results.map(({ fraction }) => fraction ?? 0));
  const before = requirements.map(({ points }) => points / counted);
  const weights = nonNegativeLeastSquares(rows, marks, { ridge: RIDGE, towards: before });
  const all = requirements.reduce((sum, { points }) => sum + points, 0);
  const sum = weights.reduce((total, weight) => total + weight, 0);
  const fits = rows.map((row, map) => {
    const fitted = row.reduce((total, fraction, i) => total + fraction * weights[i]!, 0);
    return { map, mark: marks[map]!, fitted, residual: marks[map]! - fitted };
  });
  return {
    weights: requirements.map(({ id }, i) => ({
      requirement: id,
      weight: weights[i]!,
      points: sum === 0 ? 0 : (weights[i]! / sum) * all,
    })),
    error: Math.sqrt(fits.reduce((total, { residual }) => total + residual ** 2, 0) / fits.length),
    maps: fits.sort((a, b) => Math.abs(b.residual) - Math.abs(a.residual) || a.map - b.map),
  };
}
