import { onScale, PLAIN_MARKS, sumOf } from '@ichnograph/core';
import type { Assignment, Judgement, MarkSum, Report, ShownMark } from '@ichnograph/core';
import type { JudgementKind, JudgementRow, SubmissionDetail } from '@ichnograph/contract';

/** What was judged of a map, by what it is about. */
export interface Judged {
  rows: readonly JudgementRow[];
  judgement: Judgement;
  of: (kind: JudgementKind, subject: string) => JudgementRow | undefined;
}

export function judgedOf(rows: readonly JudgementRow[]): Judged {
  const valuesOf = (kind: JudgementKind): Record<string, number> =>
    Object.fromEntries(rows.filter((row) => row.kind === kind).map(({ subject, value }) => [subject, value]));
  return {
    rows,
    judgement: { points: valuesOf('result'), levels: valuesOf('criterion') },
    of: (kind, subject) => rows.find((row) => row.kind === kind && row.subject === subject),
  };
}

/** The mark as it is, or will be, returned. */
export function markOf(
  { due, handedInAt }: Pick<SubmissionDetail, 'due' | 'handedInAt'>,
  report: Report,
  assignment: Assignment,
  { judgement }: Judged,
): { sum: MarkSum; shown: ShownMark } {
  const sum = sumOf(report, assignment, judgement, {
    due: due === null ? null : new Date(due),
    handedIn: new Date(handedInAt),
  });
  return { sum, shown: onScale(sum, assignment.marks ?? PLAIN_MARKS) };
}
