import { ontoLegend, propose, readAssignment, reviewRequirements, writeAssignment } from '@ichnograph/core';
import type { Assignment, Requirement, ReviewFinding, TopicMap } from '@ichnograph/core';

/** What is asked of a sheet as it is written just now: what it lacks and what cannot work, or what a map proposes. */
export type SheetQuestion =
  | { ask: 'reading'; assignment: Assignment; hasMaps: boolean }
  | { ask: 'proposals'; assignment: Assignment; map: TopicMap };
export interface SheetReading {
  /** places that are incomplete, by JSON path */
  missing: readonly { path: string; reason: string }[];
  findings: readonly ReviewFinding[];
}
export type Proposed = readonly Requirement[];

const answerTo = (question: SheetQuestion): SheetReading | Proposed => {
  const { assignment } = question;
  if (question.ask === 'proposals') return propose(ontoLegend(question.map, assignment.legend), assignment);
  return {
    missing: readAssignment(writeAssignment(assignment)).messages,
    findings: question.hasMaps ? reviewRequirements(assignment) : [],
  };
};

self.onmessage = ({ data }: MessageEvent<SheetQuestion>) => self.postMessage(answerTo(data));
