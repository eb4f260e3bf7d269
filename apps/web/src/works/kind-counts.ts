import type { Assignment, Chip, TopicKind, TopicMap } from '@ichnograph/core';

/** How a kind stands on the map: "6 of 14" where terms of the kind are given, else how many there are. */
export function matchesKind(
  { id }: TopicKind,
  map: TopicMap,
  chips: readonly Chip[],
  { terms, starter }: Assignment,
): string {
  const given = terms.filter(({ kind }) => kind === id).length;
  const starting = (starter?.topics ?? []).filter(({ kind }) => kind === id).length;
  const waiting = chips.filter(({ kind, own }) => kind === id && own === undefined).length;
  if (given > 0) return `${given - Math.min(given, waiting)} of ${given}`;
  if (starting > 0) return `${starting - Math.min(starting, waiting)} of ${starting}`;
  return String(map.topics.filter(({ kind }) => kind === id).length);
}
