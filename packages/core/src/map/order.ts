import { COLLECTIONS } from './types.js';
import type { TopicMap } from './types.js';

interface Ordered {
  id: string;
  order?: string;
}

const byOrder = (a: Ordered, b: Ordered): number => {
  const [x, y] = [a.order ?? '', b.order ?? ''];
  if (x !== y) return x < y ? -1 : 1;
  return a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
};

/** Sorts every list of a live map by (order, id), the one order two replicas agree on. Code units, not a locale. */
export function sortMap(map: TopicMap): TopicMap {
  const sorted = Object.fromEntries(COLLECTIONS.map((name) => [name, ([...map[name]] as Ordered[]).sort(byOrder)]));
  return { ...map, ...sorted };
}
