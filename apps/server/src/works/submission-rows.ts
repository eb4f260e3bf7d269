import type { Report } from '@ichnograph/core';
import type { SubmissionRow } from '@ichnograph/contract';
import type { Submission } from './submission.entity.js';

export const reportOf = ({ report }: Submission): Report => report as unknown as Report;

export function submissionRowOf(submission: Submission): SubmissionRow {
  const { id, number, handedInAt, late, returnedAt } = submission;
  const { earned, outOf } = reportOf(submission);
  return {
    id,
    number,
    handedInAt: handedInAt.toISOString(),
    late,
    earned,
    outOf,
    returnedAt: returnedAt?.toISOString() ?? null,
  };
}

/** How many results a marker must look at. */
export const flagsOf = (submission: Submission): number =>
  reportOf(submission).results.filter(({ status }) => status !== 'met' && status !== 'not-applicable').length;
