import type { SubmissionRow } from '@ichnograph/contract';
import type { Submission } from './submission.entity.js';

export const submissionRowOf = ({
  id,
  number,
  handedInAt,
  late,
  earned,
  outOf,
  extra,
  returnedAt,
}: Submission): SubmissionRow => ({
  id,
  number,
  handedInAt: handedInAt.toISOString(),
  late,
  earned,
  outOf,
  extra,
  returnedAt: returnedAt?.toISOString() ?? null,
});
