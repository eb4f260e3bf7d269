import type { Assignment, TopicMap } from '../map/types.js';
import { compositeOf } from './composite.js';
import type { Composite } from './composite.js';
import type { Concept } from './concepts.js';
import { outcomesOf } from './outcomes.js';
import type { OutcomePoint } from './outcomes.js';
import { likenessOf } from './likeness.js';
import type { Likeness } from './likeness.js';
import { propositionsOf } from './propositions.js';
import type { ClassProposition } from './propositions.js';
import { Reader } from './reading.js';
import type { Reading } from './reading.js';
import { structureFiguresOf } from './structure-figures.js';
import type { StructureFigures } from './structure-figures.js';
import { MapIndex } from '../map-index/map-index.js';
import { Spellings } from './spellings.js';
import { strongestOf } from './strongest.js';
import type { StrongTie } from './strongest.js';

/** What the maps of a class say together; maps by position. */
export interface Together {
  /** by term: who places it, and where only a near match does */
  terms: { term: string; maps: number[]; near: number[] }[];
  propositions: ClassProposition[];
  composite: Composite;
  strongest: StrongTie[];
  likeness: Likeness[];
}

/** What a class's maps say together, and what each of them holds of it. */
export interface ClassReading {
  together: Together;
  outcomes: OutcomePoint[];
  /** by map */
  figures: StructureFigures[];
  /** the reference laid out as a composite of its own; null where there is none */
  reference: { composite: Composite; strongest: StrongTie[] } | null;
  /** by map: the links that say each of its propositions, by key */
  held: Held[];
}

/** Of one map: by a proposition's key, the ids of the links that say it, in file order. */
export type Held = Record<string, string[]>;

/** @param maps mended, sorted snapshots, all read with the assignment's legend and terms */
export const togetherOf = (maps: readonly TopicMap[], assignment: Assignment): Together =>
  readClass(maps, assignment).together;

/** @param maps as for `togetherOf` */
export function readClass(maps: readonly TopicMap[], assignment: Assignment): ClassReading {
  const reader = new Reader(assignment);
  const readings = maps.map((map) => reader.read(map));
  const labelOf = labels(readings, reader);
  const starter = assignment.starter && new MapIndex(assignment.starter, assignment);
  return {
    together: layTogether(readings, reader, labelOf),
    outcomes: outcomesOf(readings, labelOf),
    figures: readings.map(({ index }) => structureFiguresOf(index, starter)),
    reference: assignment.reference && referenceOf(assignment.reference, reader),
    held: readings.map(heldOf),
  };
}

function referenceOf(reference: TopicMap, reader: Reader): ClassReading['reference'] {
  const readings = [reader.read(reference)];
  const labelOf = labels(readings, reader);
  const composite = compositeOf(readings, propositionsOf(readings, labelOf), labelOf, reader.assignment);
  return { composite, strongest: strongestOf(composite.ties) };
}

/** What one map holds, by key. */
export const readHeld = (map: TopicMap, assignment: Assignment): Held => heldOf(new Reader(assignment).read(map));

const heldOf = ({ propositions }: Reading): Held =>
  Object.fromEntries([...propositions].map(([key, { links }]) => [key, links.map(({ id }) => id)]));

function layTogether(readings: readonly Reading[], reader: Reader, labelOf: (concept: Concept) => string): Together {
  const { assignment } = reader;
  const propositions = propositionsOf(readings, labelOf);
  const composite = compositeOf(readings, propositions, labelOf, assignment);
  return {
    terms: assignment.terms.map(({ text: term }, i) => {
      const matches = readings.map(({ index }) => index.termMatches[i] ?? null);
      const where = (is: (match: (typeof matches)[number]) => boolean): number[] =>
        matches.flatMap((match, position) => (is(match) ? [position] : []));
      return { term, maps: where((match) => match !== null), near: where((match) => match?.near ?? false) };
    }),
    propositions,
    composite,
    strongest: strongestOf(composite.ties),
    likeness: likenessOf(readings, assignment.starter && reader.read(assignment.starter)),
  };
}

/** A concept as people read it: its term's text, or the commonest spelling over all maps. */
function labels(readings: readonly Reading[], { concepts }: Reader): (concept: Concept) => string {
  const spellings = new Map<Concept, Spellings>();
  for (const { topics } of readings)
    for (const [concept, own] of topics) {
      const known = spellings.get(concept) ?? new Spellings();
      spellings.set(concept, known);
      for (const { text } of own) known.add(text);
    }
  return (concept) => concepts.termOf(concept) ?? spellings.get(concept)?.commonest ?? '';
}
