import type { Assignment } from '../map/types.js';
import type { MarkDetail } from './mark-of.js';
import { onScale } from './scale.js';
import { levelOf, PLAIN_MARKS } from './sum.js';
import type { Judgement } from './sum.js';

/** What others gave for the criteria of a map, and at what share it counts. */
export interface Reviews {
  /** of 1 */
  share: number;
  /** by criterion: the positions of the levels that reviewers gave */
  levels: Readonly<Record<string, readonly number[]>>;
}

/**
 * A mark in which reviews count at a share: of each criterion that the teacher judged and somebody reviewed, the points are
 * `1 − share` of the teacher's and `share` of the reviewers' mean. It is a line of its own, so that the teacher's points stand.
 */
export function reviewedMark(
  mark: MarkDetail,
  { share, levels }: Reviews,
  { criteria, marks = PLAIN_MARKS }: Pick<Assignment, 'criteria' | 'marks'>,
  judgement: Pick<Judgement, 'levels'>,
): MarkDetail {
  const differences = criteria.flatMap((criterion) => {
    const own = levelOf(criterion, judgement);
    const given = (Object.hasOwn(levels, criterion.id) ? levels[criterion.id]! : []).flatMap(
      (level) => criterion.levels[level]?.points ?? [],
    );
    if (!own || given.length === 0) return [];
    return [given.reduce((sum, points) => sum + points, 0) / given.length - own.points];
  });
  if (differences.length === 0 || share === 0) return mark;
  const wanted = mark.sum + share * differences.reduce((sum, one) => sum + one, 0);
  const sum = Math.max(0, Math.min(wanted, Math.max(mark.outOf, mark.sum)));
  return {
    ...mark,
    sum,
    shown: onScale({ sum, outOf: mark.outOf }, marks),
    lines: [
      ...mark.lines,
      {
        what: 'Reviews by others',
        how: `counted at ${Math.round(share * 100)} % of the criteria`,
        points: sum - mark.sum,
        outOf: null,
      },
    ],
  };
}
