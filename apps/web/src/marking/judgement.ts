import type { Judgement } from '@ichnograph/core';
import type { JudgementKind, JudgementRow } from '@ichnograph/contract';

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
