import { boxOf, holdsPoint, unionOf } from '../geometry/points.js';
import { applyChanges, done, refused } from '../map/changes.js';
import type { Change, Maker, Outcome } from '../map/changes.js';
import { LIMITS } from '../map/types.js';
import type { Legend, Topic, TopicMap } from '../map/types.js';
import { freeSpot } from './free-spot.js';
import { newLink } from './links.js';
import { branchOf, hangsBy } from './hanging.js';
import { onMap, topicOf } from './maker.js';
import type { Spot } from './maker.js';
import { nextOnTrunk, trunkCourse } from './trunk.js';

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
 * new one is made. Each branch comes to stand whole: below the last on a trunk where others hang on one, else in a free place
 * below.
 */
export function hangFrom(
  map: TopicMap,
  { ids, from, linkKind }: { ids: readonly string[]; from: string; linkKind: string | null },
  maker: Maker,
  legend?: Legend,
): Outcome {
  const parent = topicOf(map, from);
  const heads = headsOf(map, ids).map((id) => topicOf(map, id));
  if (!parent || heads.length === 0) return refused('endGone');
  const hangs = hangsBy(map);
  const changes: Change[] = [];
  const held = new Set(branchOf(map, ids));
  const waiting = new Set(held);
  let now = map;
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
    const standing = { ...now, topics: now.topics.filter((one) => !waiting.has(one.id) && !branchIds.has(one.id)) };
    const trunk = nextOnTrunk(standing, parent, legend);
    const { left, top } = boxOf(topic);
    const step = trunk ? { x: trunk.left - left, y: trunk.top - top } : stepBelow(standing, topic, branch, parent);
    const spot = { x: topic.x + step.x, y: topic.y + step.y };
    // It is led as its new neighbours are; elsewhere the course it had would lead anywhere.
    const course = trunk
      ? { route: undefined, ...trunkCourse(parent, { ...topic, ...spot }, trunk.route) }
      : { bend: undefined, phraseAt: undefined, ...(link?.route === 'elbow' && { route: undefined }) };
    const its: Change[] = [
      ...moved(map, [...branchIds], step),
      link
        ? { do: 'set', in: 'links', id: link.id, fields: { from, ...course } }
        : {
            do: 'add',
            to: 'links',
            item: { ...newLink({ from, to: id, phrase: '', kind: linkKind }, maker), ...given(course) },
          },
    ];
    for (const one of branchIds) waiting.delete(one);
    now = applyChanges(now, its);
    changes.push(...its);
  }
  if (map.links.length + changes.filter((change) => change.do === 'add').length > LIMITS.links)
    return refused('linksFull', { most: LIMITS.links });
  return done(...changes);
}

const given = <T extends object>(fields: T): Partial<T> =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as Partial<T>;

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
