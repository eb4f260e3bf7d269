import type { Assignment } from '../map/types.js';
import type { MarkDetail } from './mark-of.js';
import { onScale } from './scale.js';
import { PLAIN_MARKS } from './sum.js';

/** What somebody has more or less than the group they drew with, in points, and why. */
export interface Adjustment {
  value: number;
  reason: string;
}

/**
 * A group's mark as one of them has it: points more or fewer, with the reason as a line of its own. It never falls below
 * nothing, and rises above what can be reached only as far as the group's own mark does.
 */
export function ownMark(
  group: MarkDetail,
  { value, reason }: Adjustment,
  { marks = PLAIN_MARKS }: Pick<Assignment, 'marks'>,
): MarkDetail {
  const sum = Math.max(0, Math.min(group.sum + value, Math.max(group.outOf, group.sum)));
  return {
    ...group,
    sum,
    shown: onScale({ sum, outOf: group.outOf }, marks),
    lines: [...group.lines, { what: 'Own part in the group', how: reason, points: sum - group.sum, outOf: null }],
    own: { group: group.shown, reason },
  };
}
