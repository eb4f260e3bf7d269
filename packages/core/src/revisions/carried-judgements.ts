import type { Criterion } from '../map/types.js';
import { valuesBy } from '../marking/judgement-of.js';
import { isCounted } from '../marking/sum.js';
import type { Judgement } from '../marking/sum.js';
import type { Result } from '../requirements/types.js';

type Given = Pick<Judgement, 'points' | 'levels'>;

/**
 * What was judged under one revision, under the next. A level is known by its name, wherever it stands now; one that is
 * gone is to be judged again. Points are never more than a result is out of now, and go where nothing is asked any more.
 * @param results of the map, checked under the next revision
 */
export function carriedJudgements(
  { points, levels }: Given,
  before: readonly Criterion[],
  after: readonly Criterion[],
  results: readonly Result[],
): Given {
  const counted = new Map(results.filter(isCounted).map((one) => [one.id, one]));
  return {
    points: valuesBy(
      Object.entries(points).flatMap(([id, value]): [string, number][] => {
        const result = counted.get(id);
        return result ? [[id, Math.min(value, result.outOf)]] : [];
      }),
    ),
    levels: valuesBy(
      Object.entries(levels).flatMap(([id, level]): [string, number][] => {
        const name = before.find((one) => one.id === id)?.levels[level]?.name;
        const now = after.find((one) => one.id === id)?.levels.findIndex((one) => one.name === name) ?? -1;
        return now < 0 ? [] : [[id, now]];
      }),
    ),
  };
}
