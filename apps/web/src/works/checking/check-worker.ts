import { bankChips, CHECK_LIMIT_MS, LiveCheck, OutOfTime, warmUp } from '@ichnograph/core';
import type { Assignment, CheckContext, Chip, Report, TopicMap } from '@ichnograph/core';

/** The first message says what is asked for; every later one is a snapshot to be checked. */
export type Question = { assignment: Assignment; context: CheckContext } | { map: TopicMap };
export interface Answer {
  report: Report;
  chips: Chip[];
}

let asked: { assignment: Assignment; live: LiveCheck } | null = null;

/** Checks snapshots beside the page. It answers each in turn; the page asks again only after an answer. */
self.onmessage = ({ data }: MessageEvent<Question>) => {
  if ('assignment' in data) {
    warmUp();
    const live = new LiveCheck(data.assignment, data.context, {
      limit: { milliseconds: CHECK_LIMIT_MS, now: () => performance.now() },
      onFault: ({ id }, fault) => {
        // A slow machine is no fault of the program; the list says it, and the page asks again.
        if (!(fault instanceof OutOfTime)) console.error(`requirement ${id} could not be checked`, fault);
      },
    });
    asked = { assignment: data.assignment, live };
  } else if (asked) {
    const chips = bankChips(data.map, asked.assignment);
    self.postMessage({ report: asked.live.check(data.map), chips } satisfies Answer);
  }
};
