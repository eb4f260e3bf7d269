import { countVerdicts, onScale, openStoredMap, PLAIN_MARKS, structuralScoreOf, sumOf } from '@ichnograph/core';
import type { Assignment, Judgement, MarkSum, Report, ShownMark, StructuralScore, Verdict } from '@ichnograph/core';
import type { JudgementKind, JudgementRow, MapProposition, SubmissionDetail } from '@ichnograph/contract';

/** What was judged of a map, by what it is about. */
export interface Judged {
  rows: readonly JudgementRow[];
  judgement: Judgement;
  verdictOf: (key: string) => Verdict | undefined;
  of: (kind: JudgementKind, subject: string) => JudgementRow | undefined;
}

export function judgedOf(rows: readonly JudgementRow[], propositions: readonly MapProposition[]): Judged {
  const valuesOf = (kind: JudgementKind): Record<string, number> =>
    Object.fromEntries(rows.filter((row) => row.kind === kind).map(({ subject, value }) => [subject, value]));
  const byKey = new Map(propositions.map(({ key, judged }) => [key, judged?.verdict]));
  const verdictOf = (key: string): Verdict | undefined => byKey.get(key);
  return {
    rows,
    judgement: {
      points: valuesOf('result'),
      levels: valuesOf('criterion'),
      verdicts: countVerdicts(byKey.keys(), verdictOf),
    },
    verdictOf,
    of: (kind, subject) => rows.find((row) => row.kind === kind && row.subject === subject),
  };
}

export interface Mark {
  sum: MarkSum;
  shown: ShownMark;
  /** what was counted of its structure, where that is asked for */
  structure: StructuralScore | null;
}

/** A mark in the two figures there is room for on a rail. */
export const figuresOf = ({ sum: { sum, outOf } }: Mark): { earned: number; outOf: number } => ({ earned: sum, outOf });

/** The mark as it is, or will be, returned. */
export function markOf(
  { due, handedInAt, map }: Pick<SubmissionDetail, 'due' | 'handedInAt' | 'map'>,
  report: Report,
  assignment: Assignment,
  { judgement, verdictOf }: Judged,
): Mark {
  const rules = assignment.marks ?? PLAIN_MARKS;
  const structure = rules.structural
    ? structuralScoreOf(openStoredMap(map), assignment, rules.structural, verdictOf)
    : null;
  const sum = sumOf(
    report,
    assignment,
    { ...judgement, ...(structure && { structural: structure.score }) },
    { due: due === null ? null : new Date(due), handedIn: new Date(handedInAt) },
  );
  return { sum, shown: onScale(sum, rules), structure };
}
