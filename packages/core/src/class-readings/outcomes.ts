import { byCodePoints } from './code-points.js';
import type { TopicKind } from '../map/types.js';
import type { Concept } from './concepts.js';
import type { Reading } from './reading.js';

/** A target of the assignment and a topic that maps chose to show it by. */
export interface OutcomePoint {
  target: Concept;
  topic: Concept;
  label: { target: string; topic: string };
  /** positions of the maps that chose it */
  maps: number[];
}

/** Names an outcome point. It has two parts, and so is no proposition's key. */
export const outcomeKeyOf = ({ target, topic }: Pick<OutcomePoint, 'target' | 'topic'>): string =>
  JSON.stringify([target, topic]);

/** A kind the teacher gives, beside the structure. What students put there themselves is no target, and stays out. */
const isTarget = (kind: TopicKind | undefined): boolean => kind?.structural === false && kind.givenBy === 'teacher';

/** What maps chose to show the targets by: a topic is chosen by any link to it. Targets by code points, then most maps first. */
export function outcomesOf(readings: readonly Reading[], labelOf: (concept: Concept) => string): OutcomePoint[] {
  const found = new Map<string, OutcomePoint>();
  readings.forEach(({ index, topics }, position) => {
    const conceptOf = new Map([...topics].flatMap(([concept, own]) => own.map(({ id }) => [id, concept] as const)));
    for (const link of index.map.links) {
      const ends = index.ends(link);
      const target = ends.find((end) => isTarget(index.kindOf(end)));
      const topic = ends.find((end) => index.isStructuralTopic(end));
      const [to, by] = [target && conceptOf.get(target.id), topic && conceptOf.get(topic.id)];
      if (to === undefined || by === undefined) continue;
      const key = outcomeKeyOf({ target: to, topic: by });
      const known = found.get(key);
      if (!known)
        found.set(key, {
          target: to,
          topic: by,
          label: { target: labelOf(to), topic: labelOf(by) },
          maps: [position],
        });
      else if (known.maps.at(-1) !== position) known.maps.push(position);
    }
  });
  return [...found.values()].sort(
    (a, b) => byCodePoints(a.target, b.target) || b.maps.length - a.maps.length || byCodePoints(a.topic, b.topic),
  );
}
