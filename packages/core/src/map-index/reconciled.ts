import type { Link, Topic, TopicMap } from '../map/types.js';

/** What of a topic or link says only where it is drawn. */
const PLACES = new Set(['x', 'y', 'width', 'height', 'minWidth', 'minHeight', 'z', 'bend', 'phraseAt']);

/** In the order of how much is lost by it. */
const CHANGES = ['none', 'moved', 'other'] as const;
type Change = (typeof CHANGES)[number];

const worse = (a: Change, b: Change): Change => (CHANGES.indexOf(a) > CHANGES.indexOf(b) ? a : b);

/**
 * The next map with every topic and link that is as it was being the very same object as before, so that what is
 * remembered of it holds.
 * @returns `map` is `before` itself when nothing changed; `onlyMoved`: the two differ only in where things are drawn
 */
export function reconciled(before: TopicMap, next: TopicMap): { map: TopicMap; onlyMoved: boolean } {
  const { topics: _topics, links: _links, ...rest } = next;
  const topics = members(before.topics, next.topics);
  const links = members(before.links, next.links);
  const others = Object.entries(rest).every(([name, value]) => isSame(before[name as keyof TopicMap], value));
  const isWhole = others && Object.keys(before).length === Object.keys(next).length;
  if (isWhole && topics.change === 'none' && links.change === 'none') return { map: before, onlyMoved: true };
  return {
    map: { ...next, topics: topics.list, links: links.list },
    onlyMoved: isWhole && topics.change !== 'other' && links.change !== 'other',
  };
}

function members<T extends Topic | Link>(before: readonly T[], next: readonly T[]): { list: T[]; change: Change } {
  const byId = new Map(before.map((one) => [one.id, one]));
  let change: Change = before.length === next.length ? 'none' : 'other';
  const list = next.map((one, i) => {
    const was = byId.get(one.id);
    const difference = was ? changeOf(was, one) : 'other';
    change = worse(change, was === before[i] ? difference : 'other');
    return was && difference === 'none' ? was : one;
  });
  return { list, change };
}

function changeOf(was: Topic | Link, now: Topic | Link): Change {
  if (was === now) return 'none';
  const names = Object.keys(now) as (keyof typeof now)[];
  let change: Change = 'none';
  for (const name of names) {
    if (isSame(was[name], now[name])) continue;
    if (!PLACES.has(name)) return 'other';
    change = 'moved';
  }
  if (names.length === Object.keys(was).length) return change;
  // Something is there no more: a place may be left out, anything else is another change.
  const gone = Object.keys(was).filter((name) => !(name in now));
  return gone.every((name) => PLACES.has(name)) ? (gone.length > 0 ? 'moved' : change) : 'other';
}

const isSame = (a: unknown, b: unknown): boolean =>
  Object.is(a, b) ||
  (typeof a === 'object' &&
    typeof b === 'object' &&
    a !== null &&
    b !== null &&
    JSON.stringify(a) === JSON.stringify(b));
