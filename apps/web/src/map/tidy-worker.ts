import { pullApart, tidyMap } from '@ichnograph/core';
import type { Change, Legend, TidyWay, TopicMap } from '@ichnograph/core';

export interface TidyQuestion {
  map: TopicMap;
  /** links alone are pulled apart where they are; else everything is laid out anew */
  wanted: { way: TidyWay | 'links'; topicIds?: readonly string[]; keepRoutes: boolean };
  legend: Legend;
}
export type TidyAnswer = Change[];

/** Lays one map out beside the page, and is ended after it. */
self.onmessage = ({ data: { map, wanted, legend } }: MessageEvent<TidyQuestion>) => {
  const { way, topicIds = [], keepRoutes } = wanted;
  const answer: TidyAnswer =
    way === 'links' ? pullApart(map, topicIds, legend, keepRoutes) : tidyMap(map, { ...wanted, way }, legend);
  self.postMessage(answer);
};
