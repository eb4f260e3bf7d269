import { done, refused } from '../map/changes.js';
import type { Change, Maker, Outcome } from '../map/changes.js';
import { LIMITS } from '../map/types.js';
import type { TopicMap } from '../map/types.js';

/** Topics that belong together: regions, which are seen, and groups, which move as one. */

const REGION_FILL = '#e7e2d3';

const chosen = (map: TopicMap, ids: readonly string[]): string[] =>
  map.topics.flatMap(({ id }) => (ids.includes(id) ? [id] : []));

/** Draws an outline with a title around topics. */
export function makeRegion(map: TopicMap, ids: readonly string[], title: string, maker: Maker): Outcome {
  const topics = chosen(map, ids);
  if (topics.length === 0) return refused('nothingChosen');
  if (title.length > LIMITS.text) return refused('titleTooLong', { most: LIMITS.text });
  return done({
    do: 'add',
    to: 'regions',
    item: { id: maker.newId(), topics, title: title.trim(), fill: REGION_FILL },
  });
}

/** Changes a region's title or colour. */
export function setRegion(map: TopicMap, id: string, fields: { title?: string; fill?: string }): Outcome {
  if (!map.regions.some((region) => region.id === id)) return refused('regionGone');
  if ((fields.title?.length ?? 0) > LIMITS.text) return refused('titleTooLong', { most: LIMITS.text });
  return done({ do: 'set', in: 'regions', id, fields });
}

/** Makes topics move as one. A topic is of one group at most: it leaves the one it was in. Links are never part of it. */
export function makeGroup(map: TopicMap, ids: readonly string[], maker: Maker): Outcome {
  const topics = chosen(map, ids);
  if (topics.length < 2) return refused('fewToArrange');
  return done(...without(map, topics), { do: 'add', to: 'groups', item: { id: maker.newId(), topics } });
}

/** Takes topics out of the groups they are in. */
export function ungroup(map: TopicMap, ids: readonly string[]): Outcome {
  const held = map.groups.filter(({ topics }) => topics.some((id) => ids.includes(id)));
  if (held.length === 0) return refused('noGroup');
  return done(...held.map(({ id }): Change => ({ do: 'remove', from: 'groups', id })));
}

/** A group that keeps fewer than two topics is none. */
function without(map: TopicMap, ids: readonly string[]): Change[] {
  return map.groups
    .filter(({ topics }) => topics.some((id) => ids.includes(id)))
    .map(({ id, topics }): Change => {
      const left = topics.filter((one) => !ids.includes(one));
      return left.length < 2
        ? { do: 'remove', from: 'groups', id }
        : { do: 'set', in: 'groups', id, fields: { topics: left } };
    });
}

/** The topics named and all that move as one with them. */
export function withGroups(map: TopicMap, ids: readonly string[]): string[] {
  const held = map.groups.filter(({ topics }) => topics.some((id) => ids.includes(id)));
  if (held.length === 0) return [...ids];
  return [
    ...new Set([
      ...ids,
      ...chosen(
        map,
        held.flatMap(({ topics }) => topics),
      ),
    ]),
  ];
}
