import type { MapIndex } from '../map-index/map-index.js';
import type { Assignment, Link, Topic, TopicMap } from '../map/types.js';
import { shuffled } from '../random.js';
import type { Random } from '../random.js';

export interface Spoiling {
  map: TopicMap;
  assignment: Assignment;
  /** of the map as it was */
  index: MapIndex;
  random: Random;
}

/** One way in which real maps go wrong. It gives back the map itself where there is nothing to spoil. */
export type Way = (spoiling: Spoiling) => TopicMap;

/** A share of a list, at least one where there is one, in a random order. */
export const some = <T>(list: readonly T[], share: number, random: Random): T[] =>
  shuffled(list, random).slice(0, Math.max(1, Math.round(list.length * share)));

export function withTopics(map: TopicMap, changed: readonly Topic[]): TopicMap {
  const byId = new Map(changed.map((topic) => [topic.id, topic]));
  return changed.length === 0 ? map : { ...map, topics: map.topics.map((topic) => byId.get(topic.id) ?? topic) };
}

export function withLinks(map: TopicMap, changed: readonly Link[]): TopicMap {
  const byId = new Map(changed.map((link) => [link.id, link]));
  return changed.length === 0 ? map : { ...map, links: map.links.map((link) => byId.get(link.id) ?? link) };
}

export function without(map: TopicMap, topics: ReadonlySet<string>, links: ReadonlySet<string> = new Set()): TopicMap {
  return {
    ...map,
    topics: map.topics.filter(({ id }) => !topics.has(id)),
    links: map.links.filter(({ id, from, to }) => !links.has(id) && !topics.has(from) && !topics.has(to)),
  };
}
