import type { MapIndex } from '../map-index/map-index.js';
import type { Assignment, Topic } from '../map/types.js';
import { isBlank } from '../words/normal-form.js';
import type { WordForms } from '../words/word-forms.js';

/** A class-wide name of what topics speak of: `term:` and a term's normal form, or `text:` and a folded form. */
export type Concept = string;

/** Names what the topics of a class's maps speak of, so that maps can be read together. */
export class Concepts {
  private readonly terms: readonly Concept[];
  /** a term's text by its concept; of two terms of one normal form the first's */
  private readonly labels = new Map<Concept, string>();
  /** by folded form of a wording, the first term's that has it */
  private readonly wordings = new Map<string, Concept>();

  constructor(
    { terms }: Assignment,
    private readonly words: WordForms,
  ) {
    this.terms = terms.map(({ text }) => `term:${words.normal(text)}`);
    terms.forEach(({ text, accept = [] }, i) => {
      const concept = this.terms[i]!;
      if (!this.labels.has(concept)) this.labels.set(concept, text);
      for (const wording of [text, ...accept]) {
        const folded = words.folded(wording);
        if (!isBlank(wording) && !this.wordings.has(folded)) this.wordings.set(folded, concept);
      }
    });
  }

  /** The text of the term that a concept names, if it names one. */
  termOf = (concept: Concept): string | undefined => this.labels.get(concept);

  /** The concept of each topic of a map, by the topic's id; a blank topic has none. */
  of({ map: { topics }, termMatches }: MapIndex): ReadonlyMap<string, Concept> {
    const matched = new Map<Topic, Concept>();
    termMatches.forEach((match, i) => {
      if (match && !matched.has(match.topic)) matched.set(match.topic, this.terms[i]!);
    });
    return new Map(
      topics.flatMap((topic): [string, Concept][] => {
        if (isBlank(topic.text)) return [];
        const folded = this.words.folded(topic.text);
        return [[topic.id, matched.get(topic) ?? this.wordings.get(folded) ?? `text:${folded}`]];
      }),
    );
  }
}
