import { branchOf, mapWithout } from '@ichnograph/core';
import type { Folded, TopicMap } from '@ichnograph/core';

/** What is seen of a map: not what is folded, and of one branch alone nothing else. */
export function shownOf(map: TopicMap, { hidden }: Folded, alone: string | null): TopicMap {
  const branch = alone !== null && map.topics.some(({ id }) => id === alone) ? new Set(branchOf(map, [alone])) : null;
  const others = branch ? map.topics.flatMap(({ id }) => (branch.has(id) ? [] : [id])) : [];
  return mapWithout(map, others.length > 0 ? new Set([...hidden, ...others]) : hidden);
}
