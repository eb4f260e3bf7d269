import {
  CannotWeigh,
  CHECK_LIMIT_MS,
  learnWeights,
  smallestMend,
  checkMap,
  readClass,
  readForMarks,
  warmUp,
} from '@ichnograph/core';
import type { Assignment, CheckContext, ClassReading, LearnedWeights, SmallestMend, TopicMap } from '@ichnograph/core';

import { setPriority } from 'node:os';
import { isMainThread } from 'node:worker_threads';
import { markedPaperPdf } from '../papers/marked-paper.js';
import type { MarkedPaper } from '../papers/marked-paper.js';
import { unpacked } from './shared-assignment.js';

/** What runs in a worker thread of the pool: one function a task, by its name. */

/** On Linux this is the thread's own: heavy work gives way to whoever waits for an answer. */
const NICENESS = 10;
if (!isMainThread) setPriority(0, NICENESS);

warmUp();

export interface CheckTask {
  map: TopicMap;
  assignment: Assignment;
  context: CheckContext;
}

export interface MendTask extends CheckTask {
  requirement: string;
}

/** What a map that is handed in is frozen with: its report, and what marks will ask of it. */
export const freeze = unpacked((task: CheckTask): { report: string; faults: string[]; reading: string } => ({
  ...checked(task),
  reading: JSON.stringify(readForMarks(task.map, task.assignment)),
}));

/** The report comes as JSON: as one text it goes between threads in a fraction of the time its objects take. */
export const check = unpacked((task: CheckTask) => checked(task));

function checked({ map, assignment, context }: CheckTask): { report: string; faults: string[] } {
  const faults: string[] = [];
  const report = checkMap(map, assignment, context, {
    limit: { milliseconds: CHECK_LIMIT_MS, now: () => performance.now() },
    onFault: ({ id, type }, fault) =>
      faults.push(`${id} (${type}): ${fault instanceof Error ? (fault.stack ?? fault.message) : String(fault)}`),
  });
  return { report: JSON.stringify(report), faults };
}

export const together = unpacked(({ maps, assignment }: { maps: TopicMap[]; assignment: Assignment }): ClassReading =>
  readClass(maps, assignment),
);

/** Milliseconds that looking for a mend may take. */
const MEND_LIMIT = 8000;

/** The fewest edits that would meet a requirement, as far as they are found in time. */
export const mend = unpacked(({ map, assignment, requirement, context }: MendTask): SmallestMend | null => {
  const end = performance.now() + MEND_LIMIT;
  return smallestMend(map, assignment, requirement, context, () => performance.now() > end);
});

/** The points that reproduce marks given by feel; a sentence where none can be learned. */
export const weigh = unpacked(
  ({
    maps,
    marks,
    assignment,
  }: {
    maps: TopicMap[];
    marks: number[];
    assignment: Assignment;
  }): LearnedWeights | string => {
    try {
      return learnWeights(maps, marks, assignment);
    } catch (error) {
      if (error instanceof CannotWeigh) return error.message;
      throw error;
    }
  },
);

/** The papers of students as one PDF document. */
export const paper = ({ papers, onePage }: { papers: MarkedPaper[]; onePage: boolean }): Promise<Uint8Array> =>
  markedPaperPdf(papers, onePage);
