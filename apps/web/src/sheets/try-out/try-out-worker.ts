import { CHECK_LIMIT_MS, checkMap, isWay, seeded, spoil, warmUp } from '@ichnograph/core';
import type { Assignment, Report, TopicMap } from '@ichnograph/core';

/** A map to try requirements on: as it is, or spoilt in one way. */
export interface Trial {
  id: string;
  map: TopicMap;
  way?: string;
  seed?: number;
}
export interface TryOutQuestion {
  assignment: Assignment;
  trials: Trial[];
}
export interface Tried {
  id: string;
  /** the map that was checked, spoilt where that was asked */
  map: TopicMap;
  report: Report;
}

warmUp();

self.onmessage = ({ data: { assignment, trials } }: MessageEvent<TryOutQuestion>) => {
  self.postMessage(
    trials.map(({ id, map: whole, way, seed = 1 }): Tried => {
      const map = way !== undefined && isWay(way) ? spoil(whole, assignment, way, seeded(seed)) : whole;
      const limit = { milliseconds: CHECK_LIMIT_MS, now: () => performance.now() };
      return { id, map, report: checkMap(map, assignment, undefined, { limit }) };
    }),
  );
};
