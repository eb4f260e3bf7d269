import type { MapIndex } from '../map-index/map-index.js';
import { standingsOf } from '../map-index/rewired.js';

/** How rich a map is, in figures that stand beside the class's. */
export interface StructureFigures {
  topics: number;
  links: number;
  /** steps from the starting topic to the furthest */
  levels: number;
  crossLinks: number;
  /** topics of the student's own that join others */
  ownHeadings: number;
  /** topics of the student's own at an end */
  ownAdditions: number;
  /** given topics that were tied to something new */
  rehung: number;
}

export const FIGURES = [
  'topics',
  'links',
  'levels',
  'crossLinks',
  'ownHeadings',
  'ownAdditions',
  'rehung',
] as const satisfies readonly (keyof StructureFigures)[];

/** @param starter the starter map, read with the same assignment; null where there is none */
export function structureFiguresOf(index: MapIndex, starter: MapIndex | null): StructureFigures {
  const matched = new Set(index.termMatches.flatMap((match) => match?.topic.id ?? []));
  const own = index.structuralTopics.filter(({ id, origin }) => origin === undefined && !matched.has(id));
  // What only one other topic knows of is an end; what joins two is a heading or a step between them.
  const leadsOn = own.filter(({ id }) => (index.neighbours.get(id)?.size ?? 0) > 1);
  return {
    topics: index.structuralTopics.length,
    links: index.structuralLinks.length,
    levels: Math.max(0, ...index.levels.values()),
    crossLinks: index.crossLinks.length,
    ownHeadings: leadsOn.length,
    ownAdditions: own.length - leadsOn.length,
    rehung: starter ? standingsOf(index, starter, starter.structuralTopics).filter(({ rewired }) => rewired).length : 0,
  };
}
