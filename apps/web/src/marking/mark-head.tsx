import type { Assignment } from '@ichnograph/core';
import type { Report } from '@ichnograph/core';
import { figure } from '../app/figures';
import type { Judged, Mark } from './judgement';
import { MarkLines } from './mark-lines';
import { markWords } from '@ichnograph/core';

/** The mark as it will be returned, and what is still missing from it. */
export function MarkHead({
  mark: { sum, shown, structure },
  report,
  assignment,
  judged,
  asReturned = false,
  onShow,
}: {
  mark: Mark;
  report: Report;
  assignment: Assignment;
  judged: Judged;
  asReturned?: boolean;
  onShow?: (ids: readonly string[]) => void;
}) {
  const { earned, extra, outOf, late, notJudged, toJudge, propositionsToJudge } = sum;
  const left = notJudged.length + toJudge.length + propositionsToJudge;
  const names = notJudged.flatMap((id) => assignment.criteria.find((one) => one.id === id)?.name ?? []);
  return (
    <div className="border-b border-rule px-3.5 pb-3" data-testid="mark">
      <p className="flex flex-wrap items-baseline justify-between gap-x-3">
        <b className="text-xl font-bold">{markWords(shown)}</b>
        {shown.as !== 'points' && (
          <span className="text-quiet">
            {figure(sum.sum)} of {figure(outOf)}
          </span>
        )}
      </p>
      {(extra > 0 || late > 0) && (
        <p className="text-sm text-quiet">
          {extra > 0 && `with ${figure(extra)} extra`}
          {extra > 0 && late > 0 && ', '}
          {late > 0 && `${figure(earned)} before ${figure(late)} were taken off for being late`}
        </p>
      )}
      {!asReturned && left > 0 && (
        <p className="words text-sm text-indigo">
          Still to judge:{' '}
          {[...names, ...counted(toJudge.length, 'result'), ...counted(propositionsToJudge, 'sentence')].join(', ')}.
          Until then {left === 1 ? 'it counts' : 'they count'} nothing.
        </p>
      )}
      <MarkLines {...{ report, assignment, judged, sum, structure, onShow }} />
    </div>
  );
}

const counted = (count: number, what: string): string[] =>
  count === 0 ? [] : count === 1 ? [`one ${what}`] : [`${count} ${what}s`];
