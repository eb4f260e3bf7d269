import { boxOf, unionOf } from '../geometry/points.js';
import { done, refused } from '../map/changes.js';
import type { Change, Outcome } from '../map/changes.js';
import { topicStyle, linkStyle } from '../map/style.js';
import { FAR } from '../map/types.js';
import type { Legend, Topic, TopicMap } from '../map/types.js';
import { onMap, refitted } from './maker.js';
import type { Spot } from './maker.js';

/** What arranges several topics at once. Units; nothing moves that is not named. */

/** The least between two that stand beside each other. */
const APART = 24;
export type Along = 'x' | 'y';
const SIZE = { x: 'width', y: 'height' } as const;
const ACROSS = { x: 'y', y: 'x' } as const;

const chosen = (map: TopicMap, ids: readonly string[]): Topic[] => map.topics.filter(({ id }) => ids.includes(id));
const put = ({ id }: Topic, at: Partial<Spot>): Change => ({ do: 'set', in: 'topics', id, fields: { ...at } });

/**
 * *Set in a row* (along x) and *Stack* (along y): in their order, on one line through their middle, the same room between each
 * two, as much as they have now and at least so much that none lies on another.
 */
export function setInRow(map: TopicMap, ids: readonly string[], along: Along): Outcome {
  const topics = chosen(map, ids).sort((a, b) => a[along] - b[along]);
  if (topics.length < 2) return refused('fewToArrange');
  const size = SIZE[along];
  const [first, last] = [topics[0]!, topics.at(-1)!];
  const start = first[along] - first[size] / 2;
  const room = last[along] + last[size] / 2 - start - topics.reduce((sum, topic) => sum + topic[size], 0);
  const between = Math.max(APART, room / (topics.length - 1));
  const line = Math.round(topics.reduce((sum, topic) => sum + topic[ACROSS[along]], 0) / topics.length);
  let at = start;
  return done(
    ...topics.map((topic) => {
      const middle = Math.round(at + topic[size] / 2);
      at += topic[size] + between;
      return put(topic, onMap(along === 'x' ? { x: middle, y: line } : { x: line, y: middle }));
    }),
  );
}

/** Spaces a row or stack anew when its end is taken elsewhere: the other end stays, what is between shares the room. */
export function stretchRow(map: TopicMap, ids: readonly string[], along: Along, to: number): Outcome {
  const topics = chosen(map, ids).sort((a, b) => a[along] - b[along]);
  if (topics.length < 2) return refused('fewToArrange');
  const size = SIZE[along];
  const start = topics[0]![along] - topics[0]![size] / 2;
  const all = topics.reduce((sum, topic) => sum + topic[size], 0);
  const between = Math.max(0, (to - start - all) / (topics.length - 1));
  let at = start;
  return done(
    ...topics.map((topic) => {
      const middle = Math.round(at + topic[size] / 2);
      at += topic[size] + between;
      return put(topic, { [along]: middle });
    }),
  );
}

export const EDGES = ['left', 'centre', 'right', 'top', 'middle', 'bottom'] as const;
export type Edge = (typeof EDGES)[number];

/** Lines topics up by one edge or their centres: that of the outermost, or the mean of centres. */
export function lineUp(map: TopicMap, ids: readonly string[], edge: Edge): Outcome {
  const topics = chosen(map, ids);
  if (topics.length < 2) return refused('fewToArrange');
  const along: Along = edge === 'left' || edge === 'centre' || edge === 'right' ? 'x' : 'y';
  const half = (topic: Topic): number => topic[SIZE[along]] / 2;
  const isFirst = edge === 'left' || edge === 'top';
  if (edge === 'centre' || edge === 'middle') {
    const line = Math.round(topics.reduce((sum, topic) => sum + topic[along], 0) / topics.length);
    return done(...topics.map((topic) => put(topic, { [along]: line })));
  }
  const line = isFirst
    ? Math.min(...topics.map((topic) => topic[along] - half(topic)))
    : Math.max(...topics.map((topic) => topic[along] + half(topic)));
  return done(...topics.map((topic) => put(topic, { [along]: isFirst ? line + half(topic) : line - half(topic) })));
}

/** Makes topics as wide, as high, or both, as the widest and highest of them. */
export function sameSize(
  map: TopicMap,
  ids: readonly string[],
  of: 'width' | 'height' | 'both',
  legend: Legend,
): Outcome {
  const topics = chosen(map, ids);
  if (topics.length < 2) return refused('fewToArrange');
  const most = (side: 'width' | 'height'): number => Math.max(...topics.map((topic) => topic[side]));
  const least = {
    ...(of !== 'height' && { minWidth: most('width') }),
    ...(of !== 'width' && { minHeight: most('height') }),
  };
  return done(
    ...topics.map((topic): Change => ({
      do: 'set',
      in: 'topics',
      id: topic.id,
      fields: refitted(topic, least, legend),
    })),
  );
}

export const LAYERS = ['front', 'forward', 'back', 'behind'] as const;
export type Layer = (typeof LAYERS)[number];

/** Draws topics and links over or under others: one step, or before or behind all. */
export function setLayer(map: TopicMap, ids: readonly string[], to: Layer, legend: Legend): Outcome {
  const all = [
    ...map.topics.map((topic) => ({ in: 'topics' as const, id: topic.id, z: topicStyle(topic, legend).z })),
    ...map.links.map((link) => ({ in: 'links' as const, id: link.id, z: linkStyle(link, legend).z })),
  ];
  const held = all.filter(({ id }) => ids.includes(id));
  if (held.length === 0) return refused('nothingChosen');
  const others = all.filter(({ id }) => !ids.includes(id)).map(({ z }) => z);
  const levels = [...new Set(others)].sort((a, b) => a - b);
  const zOf = (z: number): number => {
    if (others.length === 0) return z;
    if (to === 'front') return levels.at(-1)! + 1;
    if (to === 'behind') return levels[0]! - 1;
    // One step: past the next that others stand at.
    if (to === 'forward') return (levels.find((level) => level >= z) ?? z - 1) + 1;
    return (levels.findLast((level) => level <= z) ?? z + 1) - 1;
  };
  return done(
    ...held.map(({ in: list, id, z }): Change => ({
      do: 'set',
      in: list,
      id,
      fields: { z: Math.max(-FAR, Math.min(FAR, zOf(z))) },
    })),
  );
}

/** Makes room: everything that begins beyond a line is pushed aside, topics and loose pictures alike. */
export function makeRoom(map: TopicMap, along: Along, line: number, by: number): Outcome {
  const pushed = (['topics', 'pictures'] as const).flatMap((list) =>
    map[list]
      .filter((mark) => mark[along] >= line)
      .map(({ id, x, y }): Change => {
        const spot = along === 'x' ? { x: x + by, y } : { x, y: y + by };
        return { do: 'set', in: list, id, fields: { ...onMap(spot) } };
      }),
  );
  return pushed.length === 0 ? refused('nothingBeyond') : done(...pushed);
}

/** The step that takes topics clear of all others, by the shortest way of four; null where they are clear already. */
export function stepClear(map: TopicMap, ids: readonly string[]): Spot | null {
  const held = chosen(map, ids).map((topic) => boxOf(topic, APART / 2));
  const around = unionOf(held);
  const others = map.topics.filter(({ id }) => !ids.includes(id)).map((topic) => boxOf(topic));
  const meets = ({ x, y }: Spot): boolean =>
    held.some((box) =>
      others.some(
        (other) =>
          box.left + x < other.right &&
          other.left < box.right + x &&
          box.top + y < other.bottom &&
          other.top < box.bottom + y,
      ),
    );
  if (!around || !meets({ x: 0, y: 0 })) return null;
  for (let far = 10; far <= 4000; far += 10)
    for (const step of [
      { x: far, y: 0 },
      { x: -far, y: 0 },
      { x: 0, y: far },
      { x: 0, y: -far },
    ])
      if (!meets(step)) return step;
  return null;
}

/** Moves topics clear of what they lie on: together of all others, then each of the others that were named with it. */
export function moveClear(map: TopicMap, ids: readonly string[]): Outcome {
  const together = stepClear(map, ids);
  let now = together ? stepped(map, ids, together) : map;
  const own = new Set(ids);
  for (const id of ids.slice(1)) {
    const step = stepClear(now, [id]);
    if (step) now = stepped(now, [id], step);
  }
  const moved = now.topics.filter((topic, i) => topic !== map.topics[i] && own.has(topic.id));
  return moved.length === 0 ? refused('clearAlready') : done(...moved.map((topic) => put(topic, onMap(topic))));
}

const stepped = (map: TopicMap, ids: readonly string[], { x, y }: Spot): TopicMap => ({
  ...map,
  topics: map.topics.map((topic) => (ids.includes(topic.id) ? { ...topic, x: topic.x + x, y: topic.y + y } : topic)),
});
