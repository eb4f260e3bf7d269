import { MapIndex } from '../map-index/map-index.js';
import { levelsFrom } from '../map-index/graph.js';
import type { Assignment, StructuralScoring, TopicMap } from '../map/types.js';
import type { Held } from '../class-readings/class-together.js';
import type { Verdict } from './verdicts.js';

/** What of a map's structure a score may count, by ids: all that summing needs, so that it needs no map. */
export interface ScoredStructure {
  root: string | null;
  /** the structural links out of topics: from, to and the link; one without a head goes both ways */
  steps: [from: string, to: string, link: string][];
  /** links between main branches */
  crossLinks: string[];
  /** topics of the kinds that hold examples, with their links */
  examples: [topic: string, links: string[]][];
}

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

export function scoredStructureOf(
  map: TopicMap,
  assignment: Assignment,
  { exampleKinds }: Pick<StructuralScoring, 'exampleKinds'>,
): ScoredStructure {
  const index = new MapIndex(map, assignment);
  return {
    root: index.root?.id ?? null,
    steps: map.topics.flatMap(({ id }) =>
      (index.outLinks.get(id) ?? []).map((link): ScoredStructure['steps'][number] => [
        id,
        link.from === id ? link.to : link.from,
        link.id,
      ]),
    ),
    crossLinks: index.crossLinks.map(({ id }) => id),
    examples: map.topics
      .filter((topic) => exampleKinds.includes(index.kindOf(topic)?.id ?? ''))
      .map(({ id }) => [id, (index.linksAt.get(id) ?? []).map((link) => link.id)]),
  };
}

/**
 * Scores a map by its verdicts and its structure: valid propositions, valid levels of hierarchy, valid cross-links and
 * examples, each with its weight. Valid is what the teacher judged sound.
 * @param held the map's propositions with their links
 * @param verdictOf the verdict on a proposition, by key
 */
export function structuralScoreOf(
  held: Held,
  structure: ScoredStructure,
  scoring: StructuralScoring,
  verdictOf: (key: string) => Verdict | undefined,
): StructuralScore {
  const sound = Object.entries(held).filter(([key]) => verdictOf(key) === 'sound');
  const valid = new Set(sound.flatMap(([, links]) => links));
  const next = new Map<string, string[]>();
  for (const [from, to, link] of structure.steps) {
    if (!valid.has(link)) continue;
    const known = next.get(from);
    if (known) known.push(to);
    else next.set(from, [to]);
  }
  const reached =
    structure.root === null ? new Map<string, number>() : levelsFrom(structure.root, (id) => next.get(id) ?? []);
  const deepest = Math.max(0, ...reached.values());
  const levels = Array.from({ length: deepest }, (_, i) =>
    [...reached].flatMap(([id, level]) => (level === i + 1 ? [id] : [])),
  );
  const propositions = sound.map(([, links]) => links[0]!);
  const crossLinks = structure.crossLinks.filter((id) => valid.has(id));
  const examples = structure.examples.filter(([, links]) => links.some((id) => valid.has(id))).map(([id]) => id);
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
