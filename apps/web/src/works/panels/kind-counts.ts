import { effectiveKind } from '@ichnograph/core';
import type { Assignment, Chip, TopicKind, TopicMap } from '@ichnograph/core';

/**
 * How a kind stands on the map: "6 of 14" where terms of the kind are given, else how many there are.
 * @param chips null as long as it is not known what waits in the bank
 */
export function matchesKind(
  { id }: TopicKind,
  map: TopicMap,
  chips: readonly Chip[] | null,
  assignment: Assignment,
): string {
  const { terms, starter } = assignment;
  const given = terms.filter(({ kind }) => kind === id).length;
  const starting = (starter?.topics ?? []).filter(({ kind }) => kind === id).length;
  if (chips === null && (given > 0 || starting > 0)) return `… of ${given || starting}`;
  const waiting = (chips ?? []).filter(({ kind, own }) => kind === id && own === undefined).length;
  if (given > 0) return `${given - Math.min(given, waiting)} of ${given}`;
  if (starting > 0) return `${starting - Math.min(starting, waiting)} of ${starting}`;
  return String(map.topics.filter((topic) => effectiveKind(topic, assignment)?.id === id).length);
}
