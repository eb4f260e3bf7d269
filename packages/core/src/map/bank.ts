import { normalForm } from '../words/normal-form.js';
import { matchTerms } from './terms.js';
import type { Assignment, TopicMap } from './types.js';

/** A chip of the word bank: a given term, a starter topic that was taken off, or a term of the student's own. */
export interface Chip {
  /** stable within one map */
  key: string;
  text: string;
  kind: string | null;
  /** brings a starter topic back as what it was */
  origin?: string;
  /** the entry it removes from the student's own list when placed */
  own?: string;
  /** why it could not be placed, as the student says */
  note?: string;
  /** the entry that says so, of a given term */
  noteEntry?: string;
}

type Given = Pick<Assignment, 'terms' | 'starter' | 'language'>;

/** The terms not on the map yet, derived anew from each snapshot: nothing about the bank is stored but own terms. */
export function bankChips(map: TopicMap, { terms, starter, language }: Given): Chip[] {
  const origins = new Set(map.topics.map((topic) => topic.origin));
  const gone = (starter?.topics ?? []).filter((topic) => !origins.has(topic.id));
  const matches = matchTerms(terms, map.topics, language);
  const unplaced = terms.filter((_, i) => !matches[i]);
  const comesBack = matchTerms(unplaced, gone, language);
  const given: Chip[] = [
    ...gone.map(({ id, text, kind }): Chip => ({ key: `starter:${id}`, text, kind, origin: id })),
    ...unplaced
      .filter((_, i) => !comesBack[i])
      .map(({ text, kind }): Chip => ({ key: `term:${text}`, text, kind: kind ?? null })),
  ];
  // An entry with the words of a given term says why that waits; it is no term of one's own.
  const reasons = new Map(map.wordBank.map((entry) => [normalForm(entry.text), entry]));
  const words = new Set([...given, ...map.topics].map(({ text }) => normalForm(text)));
  return [
    ...given.map((chip): Chip => {
      const entry = reasons.get(normalForm(chip.text));
      return entry ? { ...chip, noteEntry: entry.id, ...(entry.note !== undefined && { note: entry.note }) } : chip;
    }),
    ...map.wordBank
      .filter(({ text }) => !words.has(normalForm(text)))
      .map(({ id, text, note }): Chip => ({
        key: `own:${id}`,
        text,
        kind: null,
        own: id,
        ...(note !== undefined && { note }),
      })),
  ];
}
