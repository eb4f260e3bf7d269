import { MapIndex } from '../map-index/map-index.js';
import { grouped } from '../grouped.js';
import type { Assignment, Link, Topic, TopicMap } from '../map/types.js';
import { WordForms } from '../words/word-forms.js';
import { Concepts } from './concepts.js';
import type { Concept } from './concepts.js';

/** What two concepts are said to have to do with each other; the phrase folded, '' when blank. */
export interface Said {
  from: Concept;
  phrase: string;
  to: Concept;
}

/** Names a proposition: the same in every map that holds it. */
export const keyOf = ({ from, phrase, to }: Said): string => JSON.stringify([from, phrase, to]);

/** A map as it is read beside others. */
export interface Reading {
  index: MapIndex;
  /** by concept, its topics in file order */
  topics: ReadonlyMap<Concept, readonly Topic[]>;
  /** by key, what is said and the links that say it, in file order; a map holds a key once, however often it draws it */
  propositions: ReadonlyMap<string, { said: Said; links: readonly Link[] }>;
}

/** Reads maps with one assignment's terms and legend; serves many maps, and remembers words across them. */
export class Reader {
  private readonly words: WordForms;
  readonly concepts: Concepts;

  constructor(readonly assignment: Assignment) {
    this.words = new WordForms(assignment.language);
    this.concepts = new Concepts(assignment, this.words);
  }

  /** @param map a mended, sorted snapshot */
  read(map: TopicMap): Reading {
    const index = new MapIndex(map, this.assignment, undefined, this.words);
    const conceptOf = this.concepts.of(index);
    const topics = grouped(
      map.topics.filter(({ id }) => conceptOf.has(id)),
      ({ id }) => conceptOf.get(id)!,
    );
    const propositions = new Map<string, { said: Said; links: Link[] }>();
    const add = (said: Said, link: Link): void => {
      const key = keyOf(said);
      const known = propositions.get(key);
      if (known) known.links.push(link);
      else propositions.set(key, { said, links: [link] });
    };
    for (const link of index.structuralLinks) {
      const [from, to] = [conceptOf.get(link.from), conceptOf.get(link.to)];
      if (from === undefined || to === undefined || from === to) continue;
      const phrase = this.words.folded(link.phrase);
      add({ from, phrase, to }, link);
      if (index.arrowOf(link) !== 'forward') add({ from: to, phrase, to: from }, link);
    }
    return { index, topics, propositions };
  }
}
