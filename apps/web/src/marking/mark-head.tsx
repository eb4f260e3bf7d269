import { leftToJudge, markWords } from '@ichnograph/core';
import type { Assignment, MarkDetail } from '@ichnograph/core';
import { figure } from '../common/figures';
import { MarkLines } from './mark-lines';

/** The mark as it will be returned, and what is still missing from it. */
export function MarkHead({
  mark,
  assignment,
  asReturned = false,
  onShow,
}: {
  mark: MarkDetail;
  assignment: Assignment;
  asReturned?: boolean;
  onShow?: (ids: readonly string[]) => void;
}) {
  const { earned, extra, outOf, late, shown, sum, own } = mark;
  const left = leftToJudge(mark);
  return (
    <div className="border-b border-rule px-3.5 pb-3" data-testid="mark">
      <p className="flex flex-wrap items-baseline justify-between gap-x-3">
        <b className="text-xl font-bold">{markWords(shown)}</b>
        {shown.as !== 'points' && (
          <span className="text-quiet">
            {figure(sum)} of {figure(outOf)}
          </span>
        )}
      </p>
      {own && (
        <p className="words text-sm text-indigo">
          Your group has {markWords(own.group)}. Yours is another: {own.reason}
        </p>
      )}
      {(extra > 0 || late > 0) && (
        <p className="text-sm text-quiet">
          {extra > 0 && `with ${figure(extra)} extra`}
          {extra > 0 && late > 0 && ', '}
          {late > 0 && `${figure(earned)} before ${figure(late)} were taken off for being late`}
        </p>
      )}
      {left > 0 && (
        <p className="words text-sm text-indigo">
          {asReturned ? 'Returned without a judgement of' : 'Still to judge'}:{' '}
          {notJudgedWords(mark, assignment).join(', ')}.{' '}
          {asReturned
            ? left === 1
              ? 'It counted'
              : 'They counted'
            : `Until then ${left === 1 ? 'it counts' : 'they count'}`}{' '}
          nothing.
        </p>
      )}
      <MarkLines mark={mark} onShow={onShow} />
    </div>
  );
}

/** What of a mark is not judged, in words. */
export const notJudgedWords = (
  { notJudged, toJudge, propositionsToJudge }: MarkDetail,
  { criteria }: Assignment,
): string[] => [
  ...notJudged.flatMap((id) => criteria.find((one) => one.id === id)?.name ?? []),
  ...counted(toJudge.length, 'result'),
  ...counted(propositionsToJudge, 'sentence'),
];

const counted = (count: number, what: string): string[] =>
  count === 0 ? [] : count === 1 ? [`one ${what}`] : [`${count} ${what}s`];
