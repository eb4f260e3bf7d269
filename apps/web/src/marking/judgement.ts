import { judgementOf } from '@ichnograph/core';
import type { Judgement } from '@ichnograph/core';
import type { JudgementKind, JudgementRow } from '@ichnograph/contract';

/** What was judged of a map, by what it is about. */
export interface Judged {
  rows: readonly JudgementRow[];
  judgement: Judgement;
  of: (kind: JudgementKind, subject: string) => JudgementRow | undefined;
}

export function judgedOf(rows: readonly JudgementRow[]): Judged {
  return {
    rows,
    judgement: judgementOf(rows),
    of: (kind, subject) => rows.find((row) => row.kind === kind && row.subject === subject),
  };
}
