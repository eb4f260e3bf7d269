import { pullApart, tidyInto, tidyMap } from '@ichnograph/core';
import type { Change, Frame, Legend, TidyWay, TopicMap } from '@ichnograph/core';

export interface TidyQuestion {
  map: TopicMap;
  /** links alone are pulled apart where they are; else everything is laid out anew, in a way or for a frame */
  wanted:
    { way: TidyWay | 'links'; topicIds?: readonly string[]; keepRoutes: boolean; frame?: Frame } | { frame: Frame };
  legend: Legend;
}
export type TidyAnswer = Change[];

/** Lays one map out beside the page, and is ended after it. */
self.onmessage = ({ data: { map, wanted, legend } }: MessageEvent<TidyQuestion>) => {
  self.postMessage(answerTo(map, wanted, legend));
};

function answerTo(map: TopicMap, wanted: TidyQuestion['wanted'], legend: Legend): TidyAnswer {
  if (!('way' in wanted)) return tidyInto(map, wanted.frame, legend);
  const { way, topicIds = [], keepRoutes } = wanted;
  return way === 'links' ? pullApart(map, topicIds, legend, keepRoutes) : tidyMap(map, { ...wanted, way }, legend);
}
