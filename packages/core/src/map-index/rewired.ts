import { grouped } from '../grouped.js';
import type { Topic } from '../map/types.js';
import type { MapIndex } from './map-index.js';

/** A starter topic that stands on a map, and whether it has found a place of its own there. */
export interface Standing {
  given: Topic;
  /** the map's topics that stand for it */
  standing: readonly Topic[];
  /** whether one of them is tied to what stands for none of the starter topic's neighbours */
  rewired: boolean;
}

/**
 * Which of the starter's topics stand on a map, and which of those are tied to something new. A topic stands for the starter
 * topic that its origin names, or without one its id.
 */
export function standingsOf(index: MapIndex, before: MapIndex, wanted: readonly Topic[]): Standing[] {
  const starterIds = new Set(before.map.topics.map(({ id }) => id));
  const standsFor = new Map(
    index.map.topics.flatMap(({ id, origin }) => {
      const given = origin ?? id;
      return starterIds.has(given) ? [[id, given] as const] : [];
    }),
  );
  const standingFor = grouped(index.map.topics, ({ id }) => standsFor.get(id));
  return wanted.flatMap((given) => {
    const standing = standingFor.get(given.id) ?? [];
    if (standing.length === 0) return [];
    const old = before.neighbours.get(given.id) ?? new Set<string>();
    const rewired = standing.some(({ id }) =>
      [...(index.neighbours.get(id) ?? [])].some((next) => {
        const other = standsFor.get(next);
        return other === undefined || !old.has(other);
      }),
    );
    return [{ given, standing, rewired }];
  });
}
