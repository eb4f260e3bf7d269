import { sumOf } from '@ichnograph/core';
import type { Assignment, Judgement, Report } from '@ichnograph/core';
import type { Submission } from './submission.entity.js';

/** A submission's mark in figures, for lists; nothing in them is rounded. */
export function figuresOfMark(
  report: Report,
  assignment: Assignment,
  judgement: Judgement,
  { due, handedInAt }: Pick<Submission, 'due' | 'handedInAt'>,
): Pick<Submission, 'sum' | 'sumOutOf' | 'notJudged'> {
  const { sum, outOf, notJudged, toJudge, propositionsToJudge } = sumOf(report, assignment, judgement, {
    due,
    handedIn: handedInAt,
  });
  return { sum, sumOutOf: outOf, notJudged: notJudged.length + toJudge.length + propositionsToJudge };
}
