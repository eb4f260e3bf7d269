import type { Assignment, Topic, TopicMap } from '../map/types.js';
import { keyOf, Reader } from './reading.js';
import type { Reading, Said } from './reading.js';

/** A proposition of the reference beside what a map says of its two concepts. */
export interface BesideReference {
  /** how it is said in the reference */
  label: { from: string; phrase: string; to: string };
  how: 'shared' | 'other phrase' | 'turned' | 'missing';
  /** the map's links that say it, or say otherwise; none where it is missing */
  links: string[];
  /** the map's topics that a missing tie would join, null where the map has no such topic */
  ends: [string | null, string | null];
}

/** Every proposition of the assignment's reference, in its file's order, beside a map. */
export function againstReference(map: TopicMap, assignment: Assignment): BesideReference[] {
  if (!assignment.reference) return [];
  const reader = new Reader(assignment);
  const [own, reference] = [reader.read(map), reader.read(assignment.reference)];
  return [...reference.propositions.values()].map(({ said, links: [first] }) => {
    const topic = (id: string): Topic => reference.index.topicById.get(id)!;
    const labels = [topic(first!.from).text, topic(first!.to).text];
    // Read against its arrow, where an arrow points both ways.
    const isAlong = reference.topics.get(said.from)?.some(({ id }) => id === first!.from);
    const [from, to] = isAlong ? labels : labels.toReversed();
    return {
      label: { from: from!, phrase: first!.phrase, to: to! },
      ...standingOf(own, said),
      ends: [own.topics.get(said.from)?.[0]?.id ?? null, own.topics.get(said.to)?.[0]?.id ?? null],
    };
  });
}

function standingOf(own: Reading, said: Said): Pick<BesideReference, 'how' | 'links'> {
  const ids = (held: { links: readonly { id: string }[] }): string[] => held.links.map(({ id }) => id);
  const shared = own.propositions.get(keyOf(said));
  if (shared) return { how: 'shared', links: ids(shared) };
  const { from, phrase, to } = said;
  const turned = own.propositions.get(keyOf({ from: to, phrase, to: from }));
  if (turned) return { how: 'turned', links: ids(turned) };
  const otherwise = [...own.propositions.values()].filter(
    (one) => (one.said.from === from && one.said.to === to) || (one.said.from === to && one.said.to === from),
  );
  return otherwise.length > 0
    ? { how: 'other phrase', links: [...new Set(otherwise.flatMap(ids))] }
    : { how: 'missing', links: [] };
}
