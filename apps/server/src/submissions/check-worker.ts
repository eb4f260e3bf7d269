import { CHECK_LIMIT_MS, checkMap, warmUp } from '@ichnograph/core';
import type { Assignment, CheckContext, Report, TopicMap } from '@ichnograph/core';

export interface CheckTask {
  map: TopicMap;
  assignment: Assignment;
  context: CheckContext;
}

warmUp();

/** Runs in a worker thread of the pool. */
export default function check({ map, assignment, context }: CheckTask): { report: Report; faults: string[] } {
  const faults: string[] = [];
  const report = checkMap(map, assignment, context, {
    limit: { milliseconds: CHECK_LIMIT_MS, now: () => performance.now() },
    onFault: ({ id, type }, fault) =>
      faults.push(`${id} (${type}): ${fault instanceof Error ? (fault.stack ?? fault.message) : String(fault)}`),
  });
  return { report, faults };
}
