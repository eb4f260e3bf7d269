import type { Assignment } from '../map/types.js';
import { byCodePoints } from './code-points.js';
import type { Concept } from './concepts.js';
import type { ClassProposition } from './propositions.js';
import type { Reading } from './reading.js';

export interface CompositeTopic {
  concept: Concept;
  label: string;
  /** the commonest kind of all its topics, by id */
  kind: string | null;
  /** how many maps have it */
  maps: number;
}

/** Two concepts that at least one map joins; a before b. */
export interface Tie {
  a: Concept;
  b: Concept;
  maps: number;
  phrases: { from: Concept; phrase: string; maps: number }[];
}

/** All maps laid into one: topics weighted by how many placed them, ties by how many drew them. Most maps first. */
export interface Composite {
  topics: CompositeTopic[];
  ties: Tie[];
}

export function compositeOf(
  readings: readonly Reading[],
  propositions: readonly ClassProposition[],
  labelOf: (concept: Concept) => string,
  { legend }: Assignment,
): Composite {
  const concepts = [...new Set(readings.flatMap(({ topics }) => [...topics.keys()]))];
  const topics = concepts
    .map((concept): CompositeTopic => {
      const having = readings.filter((reading) => reading.topics.has(concept));
      const kinds = having.flatMap(({ index, topics: of }) =>
        of.get(concept)!.map((topic) => index.kindOf(topic)?.id ?? null),
      );
      return { concept, label: labelOf(concept), kind: commonestKind(kinds, legend.topicKinds), maps: having.length };
    })
    .sort((a, b) => b.maps - a.maps || byCodePoints(a.concept, b.concept));
  return { topics, ties: tiesOf(propositions) };
}

/** Ties: the first in the legend, then none. */
function commonestKind(kinds: readonly (string | null)[], legend: readonly { id: string }[]): string | null {
  const count = (kind: string | null): number => kinds.filter((one) => one === kind).length;
  let [best, most] = [null as string | null, 0];
  for (const kind of [...legend.map(({ id }) => id), null]) if (count(kind) > most) [best, most] = [kind, count(kind)];
  return best;
}

function tiesOf(propositions: readonly ClassProposition[]): Tie[] {
  const ties = new Map<string, { a: Concept; b: Concept; maps: Set<number>; said: ClassProposition[] }>();
  for (const one of propositions) {
    const [a, b] = [one.from, one.to].sort(byCodePoints) as [Concept, Concept];
    const key = JSON.stringify([a, b]);
    const tie = ties.get(key) ?? { a, b, maps: new Set(), said: [] };
    ties.set(key, tie);
    for (const position of one.maps) tie.maps.add(position);
    tie.said.push(one);
  }
  return [...ties.values()]
    .map(({ a, b, maps, said }): Tie => ({
      a,
      b,
      maps: maps.size,
      phrases: said
        .sort(
          (x, y) => y.maps.length - x.maps.length || byCodePoints(x.from, y.from) || byCodePoints(x.phrase, y.phrase),
        )
        .map(({ from, label, maps: holding }) => ({ from, phrase: label.phrase, maps: holding.length })),
    }))
    .sort((x, y) => y.maps - x.maps || byCodePoints(x.a, y.a) || byCodePoints(x.b, y.b));
}

/** What at least so many maps drew. */
export const drawnByAtLeast = ({ topics, ties }: Composite, n: number): Composite => ({
  topics: topics.filter(({ maps }) => maps >= n),
  ties: ties.filter(({ maps }) => maps >= n),
});
