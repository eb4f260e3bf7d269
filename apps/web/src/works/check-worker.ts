import { bankChips, checkMap } from '@ichnograph/core';
import type { Assignment, CheckContext, Chip, Report, TopicMap } from '@ichnograph/core';

export interface Question {
  map: TopicMap;
  assignment: Assignment;
  context: CheckContext;
}
export interface Answer {
  report: Report;
  chips: Chip[];
}

/** Checks snapshots beside the page. It answers each question in turn; the page asks again only after an answer. */
self.onmessage = ({ data: { map, assignment, context } }: MessageEvent<Question>) => {
  const report = checkMap(map, assignment, context, {
    onFault: ({ id }, fault) => console.error(`requirement ${id} could not be checked`, fault),
  });
  self.postMessage({ report, chips: bankChips(map, assignment) } satisfies Answer);
};
