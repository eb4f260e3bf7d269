import { CHECK_LIMIT_MS, checkMap, readClass, readHeld, structuralScoreOf, warmUp } from '@ichnograph/core';
import type {
  Assignment,
  CheckContext,
  ClassReading,
  Held,
  Report,
  StructuralScore,
  TopicMap,
  Verdict,
} from '@ichnograph/core';

import { markedPaperPdf } from '../papers/marked-paper.js';
import type { MarkedPaper } from '../papers/marked-paper.js';

/** What runs in a worker thread of the pool: one function a task, by its name. */

warmUp();

export interface CheckTask {
  map: TopicMap;
  assignment: Assignment;
  context: CheckContext;
}

export function check({ map, assignment, context }: CheckTask): { report: Report; faults: string[] } {
  const faults: string[] = [];
  const report = checkMap(map, assignment, context, {
    limit: { milliseconds: CHECK_LIMIT_MS, now: () => performance.now() },
    onFault: ({ id, type }, fault) =>
      faults.push(`${id} (${type}): ${fault instanceof Error ? (fault.stack ?? fault.message) : String(fault)}`),
  });
  return { report, faults };
}

export const together = ({ maps, assignment }: { maps: TopicMap[]; assignment: Assignment }): ClassReading =>
  readClass(maps, assignment);

export const held = ({ map, assignment }: { map: TopicMap; assignment: Assignment }): Held => readHeld(map, assignment);

/** The papers of students as one PDF document. */
export const paper = ({ papers, onePage }: { papers: MarkedPaper[]; onePage: boolean }): Promise<Uint8Array> =>
  markedPaperPdf(papers, onePage);

/** How the structure of a map scores, for an assignment that asks for it. */
export const structural = ({
  map,
  assignment,
  verdicts,
}: {
  map: TopicMap;
  assignment: Assignment;
  verdicts: Record<string, Verdict>;
}): StructuralScore | null =>
  assignment.marks?.structural
    ? structuralScoreOf(map, assignment, assignment.marks.structural, (key) => verdicts[key])
    : null;
