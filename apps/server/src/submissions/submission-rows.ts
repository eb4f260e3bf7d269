import { onScale, PLAIN_MARKS } from '@ichnograph/core';
import type { ShownMark } from '@ichnograph/core';
import type { SubmissionRow } from '@ichnograph/contract';
import type { Submission } from './submission.entity.js';

/** Who reads a row: those who teach see marks before they are returned, a second marker none, a member their own. */
export interface ReadBy {
  isStaff: boolean;
  isBlind: boolean;
  accountId?: string;
}

export function submissionRowOf(submission: Submission, { isStaff, isBlind, accountId }: ReadBy): SubmissionRow {
  const { id, number, handedInAt, late, earned, outOf, extra, returnedAt, sumOutOf, notJudged } = submission;
  const group = {
    sum: submission.sum,
    shown: (submission.shown as ShownMark | null) ?? onScale({ sum: submission.sum, outOf: sumOutOf }, PLAIN_MARKS),
  };
  const { sum, shown } = (!isStaff && submission.ownMarks?.find((one) => one.accountId === accountId)) || group;
  return {
    id,
    number,
    handedInAt: handedInAt.toISOString(),
    late,
    earned,
    outOf,
    extra,
    mark: !isBlind && (isStaff || returnedAt) ? { sum, outOf: sumOutOf, notJudged, shown } : null,
    returnedAt: returnedAt?.toISOString() ?? null,
  };
}
