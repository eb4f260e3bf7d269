import { fitTopic } from '../geometry/fit.js';
import type { Legend, Topic, TopicMap } from '../map/types.js';
import { FAR } from '../map/types.js';

export interface Spot {
  x: number;
  y: number;
}

const within = (value: number): number => Math.min(FAR, Math.max(-FAR, value));
/** A spot that a map may hold: whoever goes further stops at the edge, canvas units. */
export const onMap = ({ x, y }: Spot): Spot => ({ x: within(x), y: within(y) });

/** A topic's fields after a change of what it shows, with the size that follows: they belong in one change. */
export function refitted(topic: Topic, fields: Partial<Topic>, legend: Legend): Partial<Topic> {
  return { ...fields, ...fitTopic({ ...topic, ...fields }, legend) };
}

export const topicOf = (map: TopicMap, id: string): Topic | undefined => map.topics.find((topic) => topic.id === id);
