import { fitTopic } from '../geometry/fit.js';
import type { Legend, Topic, TopicMap } from '../map/types.js';

export interface Spot {
  x: number;
  y: number;
}

/** A topic's fields after a change of what it shows, with the size that follows: they belong in one change. */
export function refitted(topic: Topic, fields: Partial<Topic>, legend: Legend): Partial<Topic> {
  return { ...fields, ...fitTopic({ ...topic, ...fields }, legend) };
}

export const topicOf = (map: TopicMap, id: string): Topic | undefined => map.topics.find((topic) => topic.id === id);
