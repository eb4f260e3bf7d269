import { tidyMap } from '@ichnograph/core';
import type { Change, Legend, TidyWay, TopicMap } from '@ichnograph/core';

export interface TidyQuestion {
  map: TopicMap;
  wanted: { way: TidyWay; topicIds?: readonly string[]; keepRoutes: boolean };
  legend: Legend;
}
export type TidyAnswer = Change[];

/** Lays one map out beside the page, and is ended after it. */
self.onmessage = ({ data: { map, wanted, legend } }: MessageEvent<TidyQuestion>) => {
  self.postMessage(tidyMap(map, wanted, legend) satisfies TidyAnswer);
};
