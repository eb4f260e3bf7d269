import { boxesMeet } from '../geometry/boxes.js';
import { boxOf, pointAlong } from '../geometry/points.js';
import { MapIndex } from '../map-index/map-index.js';
import type { Topic, TopicMap } from '../map/types.js';
import { pick, shuffled } from '../random.js';
import { some, withLinks, withTopics } from './way.js';
import type { Way } from './way.js';

const overlapsOf = ({ topics }: TopicMap, of: readonly Topic[]): number =>
  of.reduce(
    (sum, one) => sum + topics.filter((other) => other.id !== one.id && boxesMeet(boxOf(one), boxOf(other))).length,
    0,
  );

/** Topics change places until many links cross. */
export const crossLines: Way = ({ map, assignment, random }) => {
  const crossingsIn = (of: TopicMap): number => new MapIndex(of, assignment).crossings.length;
  let best = map;
  let most = crossingsIn(map);
  const moved = new Set<string>();
  // A large map is only tried a few times: each try looks at all its links.
  const tries = Math.max(8, Math.min(60, Math.round(20_000 / (map.links.length + 1))));
  for (let i = 0; i < tries && moved.size + 2 <= map.topics.length * 0.3 + 1; i++) {
    const free = map.topics.filter(({ id }) => !moved.has(id));
    if (free.length < 2) break;
    const [a, b] = shuffled(free, random) as [Topic, Topic];
    const swapped = [
      { ...a, x: b.x, y: b.y },
      { ...b, x: a.x, y: a.y },
    ];
    const next = withTopics(best, swapped);
    const crossings = crossingsIn(next);
    if (crossings <= most || overlapsOf(next, swapped) > overlapsOf(best, [a, b])) continue;
    [best, most] = [next, crossings];
    moved.add(a.id).add(b.id);
  }
  return best;
};

/** Topics are pushed onto their neighbours. */
export const overlapTopics: Way = ({ map, random }) => {
  if (map.topics.length < 2) return map;
  const chosen = some(map.topics, 0.15, random);
  const ids = new Set(chosen.map(({ id }) => id));
  const others = map.topics.filter(({ id }) => !ids.has(id));
  return withTopics(
    map,
    chosen.map((topic) => {
      const near = nearest(topic, others);
      if (!near) return topic;
      return { ...topic, x: near.x + near.width * (0.2 + 0.2 * random()), y: near.y + near.height * 0.6 };
    }),
  );
};

const nearest = (topic: Topic, others: readonly Topic[]): Topic | undefined =>
  others.reduce<Topic | undefined>((best, other) => {
    const far = (one: Topic): number => Math.hypot(one.x - topic.x, one.y - topic.y);
    return best && far(best) <= far(other) ? best : other;
  }, undefined);

/** Topics lie in the way of links that run over their words, in front of them. */
export const linesOverText: Way = ({ map, index, random }) => {
  const links = some(map.links, 0.2, random).filter((link) => index.drawnPart(link).points.length > 0);
  const moved = new Map<string, Topic>();
  for (const link of map.links.length === 0 ? [] : links) {
    const free = map.topics.filter(({ id }) => id !== link.from && id !== link.to && !moved.has(id));
    if (free.length === 0) break;
    const topic = pick(free, random);
    const at = pointAlong(index.drawnPart(link).points, 0.35 + 0.3 * random())!;
    const placed = { ...topic, x: at.x, y: at.y };
    if (overlapsOf(withTopics(map, [...moved.values()]), [placed]) > 0) continue;
    moved.set(topic.id, placed);
  }
  const inFront = links.map((link) => ({ ...link, z: 2 + Math.max(1, ...map.topics.map(({ z = 1 }) => z)) }));
  // A topic that was moved takes its own links along: the line under which it lay may have gone with it.
  return map.links.length === 0 ? map : withLinks(withTopics(map, [...moved.values()]), inFront);
};
