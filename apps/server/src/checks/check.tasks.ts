import { CHECK_LIMIT_MS, checkMap, readForMarks } from '@ichnograph/core';
import type { Assignment, CheckContext, TopicMap } from '@ichnograph/core';
import { unpacked } from '../workers/thread.js';
import { busyClock } from './busy-time.js';

export interface CheckTask {
  map: TopicMap;
  assignment: Assignment;
  context: CheckContext;
}

/** The report comes as JSON: as one text it goes between threads in a fraction of the time its objects take. */
export const check = unpacked((task: CheckTask) => checked(task));

/** What a map that is handed in is frozen with: its report, and what marks will ask of it. */
export const freeze = unpacked((task: CheckTask): { report: string; faults: string[]; reading: string } => ({
  ...checked(task),
  reading: JSON.stringify(readForMarks(task.map, task.assignment)),
}));

function checked({ map, assignment, context }: CheckTask): { report: string; faults: string[] } {
  const faults: string[] = [];
  const report = checkMap(map, assignment, context, {
    limit: { milliseconds: CHECK_LIMIT_MS, now: busyClock(CHECK_LIMIT_MS) },
    onFault: ({ id, type }, fault) =>
      faults.push(`${id} (${type}): ${fault instanceof Error ? (fault.stack ?? fault.message) : String(fault)}`),
  });
  return { report: JSON.stringify(report), faults };
}
