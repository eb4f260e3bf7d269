import { applyChanges, mapOutline, SCREEN, tidyMap } from '@ichnograph/core';
import type { Topic, TopicMap } from '@ichnograph/core';

/** Larger maps are only set down: to lay them out takes longer than anybody waits for a file to be read. */
const MOST = { topics: 300, links: 450 };
/** What stands below another, what hangs from it, columns; canvas units. */
const [BELOW, INWARD, APART] = [14, 36, 80];

/** A map of a file that told no places: laid out downward to be read on a screen. */
export function placed(map: TopicMap): TopicMap {
  if (map.topics.length <= MOST.topics && map.links.length <= MOST.links)
    return applyChanges(map, tidyMap(map, { way: 'downward', frame: SCREEN }, map.legend));
  return inColumns(map);
}

/** What hangs deep is not set in without end. */
const inwardOf = (depth: number): number => Math.min(depth, 12) * INWARD;

/** Each topic below the one before it in the outline, set in by how deep it hangs, in columns that fill a screen. */
function inColumns(map: TopicMap): TopicMap {
  const byId = new Map(map.topics.map((topic) => [topic.id, topic]));
  const rows = mapOutline(map).map(({ id, depth }) => ({ topic: byId.get(id)!, depth }));
  const all = rows.reduce((sum, { topic }) => sum + topic.height + BELOW, 0);
  const widest = rows.reduce((most, { topic, depth }) => Math.max(most, inwardOf(depth) + topic.width), 0) + APART;
  const columns = Math.max(1, Math.round(Math.sqrt((SCREEN.width / SCREEN.height) * (all / widest))));
  const places = new Map<string, Pick<Topic, 'x' | 'y'>>();
  let [left, top, reach] = [0, 0, 0];
  for (const { topic, depth } of rows) {
    if (top > 0 && top + topic.height > all / columns) [left, top, reach] = [left + reach + APART, 0, 0];
    const inward = inwardOf(depth);
    places.set(topic.id, { x: left + inward + topic.width / 2, y: top + topic.height / 2 });
    reach = Math.max(reach, inward + topic.width);
    top += topic.height + BELOW;
  }
  return { ...map, topics: map.topics.map((topic) => ({ ...topic, ...places.get(topic.id)! })) };
}
