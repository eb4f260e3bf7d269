import { onScale, PLAIN_MARKS } from '@ichnograph/core';
import type { ShownMark } from '@ichnograph/core';
import type { SubmissionRow } from '@ichnograph/contract';
import type { Submission } from './submission.entity.js';

/** @param marks whether whoever asks may see what it is marked with before it is returned */
export const submissionRowOf = (
  { id, number, handedInAt, late, earned, outOf, extra, returnedAt, sum, sumOutOf, notJudged, shown }: Submission,
  marks: boolean,
  /** for whoever marks a second time: nothing of the first's mark, returned or not */
  isBlind = false,
): SubmissionRow => ({
  id,
  number,
  handedInAt: handedInAt.toISOString(),
  late,
  earned,
  outOf,
  extra,
  mark:
    !isBlind && (marks || returnedAt)
      ? {
          sum,
          outOf: sumOutOf,
          notJudged,
          shown: (shown as ShownMark | null) ?? onScale({ sum, outOf: sumOutOf }, PLAIN_MARKS),
        }
      : null,
  returnedAt: returnedAt?.toISOString() ?? null,
});
