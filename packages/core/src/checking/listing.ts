import { groupOf } from '../requirements/registry.js';
import { GROUPS } from '../requirements/types.js';
import type { GroupId } from '../requirements/types.js';

/**
 * Requirements, or their results, as every list shows them: under what a teacher wants to see, in the order of the
 * assignment there, numbered from 1 in the order they are read. A balloon on the map wears that same number.
 */
export function inGroups<T extends { type: string }>(
  all: readonly T[],
): { group: GroupId; members: (T & { number: number })[] }[] {
  let number = 0;
  return GROUPS.map((group) => ({
    group,
    members: all.filter(({ type }) => groupOf(type) === group).map((one) => ({ ...one, number: ++number })),
  })).filter(({ members }) => members.length > 0);
}

export const numbered = <T extends { type: string }>(all: readonly T[]): (T & { number: number })[] =>
  inGroups(all).flatMap(({ members }) => members);
