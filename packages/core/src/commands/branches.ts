import { boxOf, holdsPoint } from '../geometry/points.js';
import { done, refused } from '../map/changes.js';
import type { Change, Maker, Outcome } from '../map/changes.js';
import type { Link, Topic, TopicMap } from '../map/types.js';
import { freeSpot } from './free-spot.js';
import { newLink } from './links.js';
import { onMap, topicOf } from './maker.js';
import type { Spot } from './maker.js';

/** The link by which each topic hangs: the first that leads to it. What only a ring leads to hangs by the ring's first. */
export function hangsBy({ topics, links }: Pick<TopicMap, 'topics' | 'links'>): Map<string, Link> {
  const first = new Map<string, Link>();
  for (const link of links) if (!first.has(link.to)) first.set(link.to, link);
  // In a ring each would hang from the next: the topic that comes first in the map hangs from nothing.
  for (const { id } of topics) {
    const seen = new Set<string>();
    for (let at: string | undefined = id; at !== undefined; at = first.get(at)?.from) {
      if (seen.has(at)) {
        const ring = new Set<string>();
        for (let on = at; !ring.has(on); on = first.get(on)!.from) ring.add(on);
        first.delete(topics.find((topic) => ring.has(topic.id))!.id);
        break;
      }
      seen.add(at);
    }
  }
  return first;
}

/** The ids of topics and of all that hangs from them, in the map's order. */
export function branchOf(map: Pick<TopicMap, 'topics' | 'links'>, ids: readonly string[]): string[] {
  const children = new Map<string, string[]>();
  for (const [id, { from }] of hangsBy(map)) children.set(from, [...(children.get(from) ?? []), id]);
  const branch = new Set(ids);
  for (const id of branch) for (const child of children.get(id) ?? []) branch.add(child);
  return map.topics.flatMap(({ id }) => (branch.has(id) ? [id] : []));
}

/** The topmost topic, other than those in the hand, whose box holds a spot: where a drop would hang them. */
export function dropTarget(map: TopicMap, held: readonly string[], at: Spot): Topic | undefined {
  return map.topics.findLast((topic) => !held.includes(topic.id) && holdsPoint(boxOf(topic), at));
}

/**
 * Hangs a topic, with all that hangs from it, from another: the link it hung by is taken along with its words, else a new
 * one is made. The branch comes to stand in a free place below.
 */
export function hangFrom(
  map: TopicMap,
  { id, from, linkKind }: { id: string; from: string; linkKind: string | null },
  maker: Maker,
): Outcome {
  const [topic, parent] = [topicOf(map, id), topicOf(map, from)];
  if (!topic || !parent) return refused('endGone');
  if (id === from) return refused('toItself', { text: topic.text });
  const branch = branchOf(map, [id]);
  if (branch.includes(from)) return refused('hangsBelow', { from: parent.text, text: topic.text });
  if (map.links.some((link) => link.from === from && link.to === id && hangsBy(map).get(id) !== link))
    return refused('linkedAlready', { from: parent.text, to: topic.text });
  const held = hangsBy(map).get(id);
  const others = { ...map, topics: map.topics.filter((one) => !branch.includes(one.id)) };
  const below = { x: parent.x, y: parent.y + parent.height / 2 + 70 + topic.height / 2 };
  const spot = freeSpot(others, below, topic);
  return done(
    ...moved(map, branch, { x: spot.x - topic.x, y: spot.y - topic.y }),
    held
      ? { do: 'set', in: 'links', id: held.id, fields: { from } }
      : { do: 'add', to: 'links', item: newLink({ from, to: id, phrase: '', kind: linkKind }, maker) },
  );
}

/** Cuts topics loose: the links that lead to them from outside are taken away, with what hangs from them they stay together. */
export function cutLoose(map: TopicMap, ids: readonly string[]): Outcome {
  const branch = new Set(branchOf(map, ids));
  const cut = map.links.filter(({ from, to }) => ids.includes(to) && !branch.has(from));
  if (cut.length === 0) return refused('hangsFromNothing');
  return done(...cut.map(({ id }): Change => ({ do: 'remove', from: 'links', id })));
}

const moved = (map: TopicMap, ids: readonly string[], step: Spot): Change[] =>
  map.topics
    .filter(({ id }) => ids.includes(id))
    .map(({ id, x, y }) => ({
      do: 'set',
      in: 'topics',
      id,
      fields: { ...onMap({ x: x + step.x, y: y + step.y }) },
    }));
