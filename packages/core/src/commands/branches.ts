import { boxOf, holdsPoint, unionOf } from '../geometry/points.js';
import { done, refused } from '../map/changes.js';
import type { Change, Maker, Outcome } from '../map/changes.js';
import { LIMITS } from '../map/types.js';
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

/** Of topics those that hang from none of the others: they take the others along. */
export function headsOf(map: TopicMap, ids: readonly string[]): string[] {
  const hangs = hangsBy(map);
  const held = new Set(ids);
  const isBelow = (id: string): boolean => {
    for (let at = hangs.get(id)?.from; at !== undefined; at = hangs.get(at)?.from) if (held.has(at)) return true;
    return false;
  };
  return ids.filter((id) => !isBelow(id));
}

/**
 * Hangs topics, each with all that hangs from it, from another: the link one hung by is taken along with its words, else a
 * new one is made. Each branch comes to stand whole in a free place below.
 */
export function hangFrom(
  map: TopicMap,
  { ids, from, linkKind }: { ids: readonly string[]; from: string; linkKind: string | null },
  maker: Maker,
): Outcome {
  const parent = topicOf(map, from);
  const heads = headsOf(map, ids).map((id) => topicOf(map, id));
  if (!parent || heads.length === 0) return refused('endGone');
  const hangs = hangsBy(map);
  const changes: Change[] = [];
  const held = new Set(branchOf(map, ids));
  let standing = map.topics.filter(({ id }) => !held.has(id));
  for (const topic of heads) {
    if (!topic) return refused('endGone');
    const { id, text } = topic;
    if (id === from) return refused('toItself', { text });
    const branchIds = new Set(branchOf(map, [id]));
    const branch = map.topics.filter((one) => branchIds.has(one.id));
    if (branchIds.has(from)) return refused('hangsBelow', { from: parent.text, text });
    const link = hangs.get(id);
    if (map.links.some((one) => one.from === from && one.to === id && one !== link))
      return refused('linkedAlready', { from: parent.text, to: text });
    const step = stepBelow({ ...map, topics: standing }, topic, branch, parent);
    changes.push(
      ...moved(map, [...branchIds], step),
      link
        ? { do: 'set', in: 'links', id: link.id, fields: { from } }
        : { do: 'add', to: 'links', item: newLink({ from, to: id, phrase: '', kind: linkKind }, maker) },
    );
    standing = [...standing, ...branch.map((one) => ({ ...one, x: one.x + step.x, y: one.y + step.y }))];
  }
  if (map.links.length + changes.filter((change) => change.do === 'add').length > LIMITS.links)
    return refused('linksFull', { most: LIMITS.links });
  return done(...changes);
}

/** The step that takes a branch below a topic, to where all of it has room. */
function stepBelow(map: TopicMap, head: Topic, branch: readonly Topic[], parent: Topic): Spot {
  const box = unionOf(branch.map((one) => boxOf(one)))!;
  const [width, height] = [box.right - box.left, box.bottom - box.top];
  const [middleX, middleY] = [box.left + width / 2, box.top + height / 2];
  const below = parent.y + parent.height / 2 + 70 + head.height / 2;
  const wanted = { x: parent.x + middleX - head.x, y: below + middleY - head.y };
  const spot = freeSpot(map, wanted, { width, height });
  return { x: spot.x - middleX, y: spot.y - middleY };
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
