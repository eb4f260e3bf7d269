import { done, refused } from '../map/changes.js';
import type { Change, Outcome } from '../map/changes.js';
import type { TopicMap } from '../map/types.js';
import { branchOf, hangsBy } from './hanging.js';

/** Folds topics that have something hanging from them, or unfolds them where all are folded. */
export function toggleFold(map: TopicMap, ids: readonly string[]): Outcome {
  const parents = new Set([...hangsBy(map).values()].map(({ from }) => from));
  const topics = map.topics.filter(({ id }) => ids.includes(id) && parents.has(id));
  if (topics.length === 0) return refused('nothingToFold');
  const isFolded = topics.every(({ folded }) => folded);
  return done(
    ...topics.map(({ id }): Change => ({
      do: 'set',
      in: 'topics',
      id,
      fields: { folded: isFolded ? undefined : true },
    })),
  );
}

export function unfoldAll(map: TopicMap): Outcome {
  const folded = map.topics.filter((topic) => topic.folded);
  if (folded.length === 0) return refused('nothingFolded');
  return done(...folded.map(({ id }): Change => ({ do: 'set', in: 'topics', id, fields: { folded: undefined } })));
}

/**
 * Folds a whole map to a level: what hangs so many links below a topic that hangs from nothing is the last that is seen; what is
 * nearer is unfolded.
 */
export function foldToLevel(map: TopicMap, level: number): Outcome {
  const hangs = hangsBy(map);
  const parents = new Set([...hangs.values()].map(({ from }) => from));
  const levelOf = (id: string): number => {
    let links = 0;
    for (let at = hangs.get(id)?.from; at !== undefined; at = hangs.get(at)?.from) links++;
    return links;
  };
  const changes = map.topics.flatMap(({ id, folded }): Change[] => {
    const shouldFold = parents.has(id) && levelOf(id) >= level;
    return shouldFold === Boolean(folded)
      ? []
      : [{ do: 'set', in: 'topics', id, fields: { folded: shouldFold || undefined } }];
  });
  return changes.length > 0 ? done(...changes) : refused('foldedSo', { level });
}

export interface Folded {
  /** ids of topics that are out of sight */
  hidden: ReadonlySet<string>;
  /** by folded topic, how many hang from it out of sight */
  counts: ReadonlyMap<string, number>;
}
const NOTHING: Folded = { hidden: new Set(), counts: new Map() };

/** What is out of sight because something it hangs from is folded. */
export function foldedOf(map: TopicMap): Folded {
  const folds = map.topics.filter(({ folded }) => folded);
  if (folds.length === 0) return NOTHING;
  const hidden = new Set<string>();
  const counts = new Map<string, number>();
  for (const { id } of folds) {
    const branch = branchOf(map, [id]).filter((one) => one !== id);
    if (branch.length > 0) counts.set(id, branch.length);
    for (const one of branch) hidden.add(one);
  }
  return { hidden, counts };
}

/** A map without some of its topics and all that hangs on them: what a screen shows of it. The map itself where none is left out. */
export function mapWithout(map: TopicMap, hidden: ReadonlySet<string>): TopicMap {
  if (hidden.size === 0) return map;
  const isSeen = ({ id }: { id: string }): boolean => !hidden.has(id);
  return {
    ...map,
    topics: map.topics.filter(isSeen),
    links: map.links.filter(({ from, to }) => !hidden.has(from) && !hidden.has(to)),
    regions: map.regions.flatMap((region) => {
      const topics = region.topics.filter((id) => !hidden.has(id));
      return topics.length === region.topics.length ? [region] : topics.length > 0 ? [{ ...region, topics }] : [];
    }),
  };
}
