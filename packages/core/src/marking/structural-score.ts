import { MapIndex } from '../map-index/map-index.js';
import { levelsFrom } from '../map-index/graph.js';
import type { Assignment, StructuralScoring, TopicMap } from '../map/types.js';
import { readHeld } from '../together/class-together.js';
import type { Verdict } from './verdicts.js';

/** What was counted, by the ids of what shows it on the map. */
export interface StructuralScore {
  score: number;
  /** links of propositions judged sound, each proposition by its first */
  propositions: string[];
  /** by level below the root, the topics that sound propositions lead to step by step */
  levels: string[][];
  /** links between main branches that are judged sound */
  crossLinks: string[];
  /** topics of the kinds that hold examples, tied by a sound proposition */
  examples: string[];
}

/** The weights of the classical scheme. Source: Novak and Gowin (1984), "Learning how to learn", chapter 2. */
export const NOVAK_GOWIN = { proposition: 1, level: 5, crossLink: 10, example: 1 } as const;

/**
 * Scores a map by its verdicts and its structure: valid propositions, valid levels of hierarchy, valid cross-links and
 * examples, each with its weight. Valid is what the teacher judged sound.
 * @param verdictOf the verdict on a proposition, by key
 */
export function structuralScoreOf(
  map: TopicMap,
  assignment: Assignment,
  scoring: StructuralScoring,
  verdictOf: (key: string) => Verdict | undefined,
): StructuralScore {
  const index = new MapIndex(map, assignment);
  const held = Object.entries(readHeld(map, assignment)).filter(([key]) => verdictOf(key) === 'sound');
  const valid = new Set(held.flatMap(([, links]) => links));
  const next = (id: string): string[] =>
    (index.outLinks.get(id) ?? [])
      .filter((link) => valid.has(link.id))
      .map(({ from, to }) => (from === id ? to : from));
  const reached = index.root ? levelsFrom(index.root.id, next) : new Map<string, number>();
  const deepest = Math.max(0, ...reached.values());
  const levels = Array.from({ length: deepest }, (_, i) =>
    [...reached].flatMap(([id, level]) => (level === i + 1 ? [id] : [])),
  );
  const propositions = held.map(([, links]) => links[0]!);
  const crossLinks = index.crossLinks.filter(({ id }) => valid.has(id)).map(({ id }) => id);
  const examples = map.topics
    .filter((topic) => scoring.exampleKinds.includes(index.kindOf(topic)?.id ?? ''))
    .filter(({ id }) => (index.linksAt.get(id) ?? []).some((link) => valid.has(link.id)))
    .map(({ id }) => id);
  return {
    score:
      scoring.proposition * propositions.length +
      scoring.level * levels.length +
      scoring.crossLink * crossLinks.length +
      scoring.example * examples.length,
    propositions,
    levels,
    crossLinks,
    examples,
  };
}
