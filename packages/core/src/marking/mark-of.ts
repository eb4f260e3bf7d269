import type { Assignment, TopicMap } from '../map/types.js';
import type { Report } from '../requirements/types.js';
import { readHeld } from '../class-readings/class-together.js';
import type { Held } from '../class-readings/class-together.js';
import { markLines } from './mark-lines.js';
import type { MarkLine } from './mark-lines.js';
import { onScale } from './scale.js';
import type { ShownMark } from './scale.js';
import { scoredStructureOf, structuralScoreOf } from './structural-score.js';
import type { ScoredStructure, StructuralScore } from './structural-score.js';
import { countsVerdicts, PLAIN_MARKS, sumOf } from './sum.js';
import type { Judgement, MarkSum, Timing } from './sum.js';
import { countVerdicts } from './verdicts.js';
import type { Verdict } from './verdicts.js';

/** What marks ask of a map, read once with its revision: a sum then needs no map, and no time. */
export interface MarkReading {
  held: Held;
  /** null where the assignment scores no structure */
  structure: ScoredStructure | null;
}

/** A mark with all that explains it. */
export interface MarkDetail extends MarkSum {
  shown: ShownMark;
  lines: MarkLine[];
  structure: StructuralScore | null;
  /** where it is one person's and differs from their group's: what the group has, and why */
  own?: { group: ShownMark; reason: string };
}

/** How many things still wait to be judged. */
export const leftToJudge = ({ notJudged, toJudge, propositionsToJudge }: MarkSum): number =>
  notJudged.length + toJudge.length + propositionsToJudge;

export const readForMarks = (map: TopicMap, assignment: Assignment): MarkReading => ({
  held: readHeld(map, assignment),
  structure: assignment.marks?.structural ? scoredStructureOf(map, assignment, assignment.marks.structural) : null,
});

/**
 * The mark of a map: its report, what was judged by hand, and the verdicts on its propositions.
 * @param given points in place of results', levels of criteria
 * @param verdictOf the verdict on a proposition, by key
 */
export function markOf(
  report: Pick<Report, 'results'>,
  { held, structure }: MarkReading,
  assignment: Pick<Assignment, 'criteria' | 'marks'>,
  given: Pick<Judgement, 'points' | 'levels'>,
  verdictOf: (key: string) => Verdict | undefined,
  timing: Timing,
): MarkDetail {
  const rules = assignment.marks ?? PLAIN_MARKS;
  const scored = rules.structural && structure ? structuralScoreOf(held, structure, rules.structural, verdictOf) : null;
  const judgement: Judgement = {
    ...given,
    ...(countsVerdicts(rules) && { verdicts: countVerdicts(Object.keys(held), verdictOf) }),
    ...(scored && { structural: scored.score }),
  };
  const sum = sumOf(report, assignment, judgement, timing);
  return {
    ...sum,
    shown: onScale(sum, rules),
    lines: markLines(report, assignment, judgement, sum, scored),
    structure: scored,
  };
}
