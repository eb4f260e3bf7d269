import { refitted } from '../commands/maker.js';
import { done } from '../map/changes.js';
import type { Change, Outcome } from '../map/changes.js';
import type { Assignment, TopicMap } from '../map/types.js';

/** A word that a person wrote themselves, and the topics and links it stands in. */
export interface OwnWord {
  word: string;
  in: string[];
}

const WORDS = /\p{L}[\p{L}\p{M}]*(?:[’'\u2010-][\p{L}\p{M}]+)*/gu;
const wordsIn = (text: string): string[] => text.match(WORDS) ?? [];
const plain = (word: string): string => word.replaceAll('’', "'");

/**
 * The words on a map that whoever draws it wrote, once each, in the order in which they first stand there. Left out is what
 * was given (topics of the starter, terms, kinds) and what is no word of a language: short forms in capitals, words with
 * figures in them.
 */
export function ownWords(
  map: TopicMap,
  { terms, legend, title, focusQuestion }: Pick<Assignment, 'terms' | 'legend' | 'title' | 'focusQuestion'>,
): OwnWord[] {
  const given = new Set(
    [
      title,
      focusQuestion,
      ...terms.flatMap(({ text, accept = [] }) => [text, ...accept]),
      ...[...legend.topicKinds, ...legend.linkKinds].map(({ name }) => name),
    ].flatMap((text) => wordsIn(text).map((word) => plain(word).toLowerCase())),
  );
  const found = new Map<string, Set<string>>();
  const look = (text: string, id: string): void => {
    // What has figures in it, and addresses, are no words to spell.
    const spelt = text.split(/\s+/).filter((piece) => !/\d|.@.|https?:./.test(piece));
    for (const word of spelt.flatMap((piece) => wordsIn(piece))) {
      const isShortForm = word.length > 1 && word === word.toUpperCase();
      if (word.length < 2 || isShortForm || given.has(plain(word).toLowerCase())) continue;
      found.set(plain(word), (found.get(plain(word)) ?? new Set()).add(id));
    }
  };
  for (const { id, text, note = '', origin } of map.topics) {
    if (origin === undefined) look(text, id);
    look(note, id);
  }
  for (const { id, phrase, origin } of map.links) if (origin === undefined) look(phrase, id);
  return [...found].map(([word, ids]) => ({ word, in: [...ids] }));
}

/** Writes a word otherwise wherever its author wrote it; what was given stays. Notes are theirs to change. */
export function respell(map: TopicMap, word: string, as: string, legend: Assignment['legend']): Outcome {
  const swapped = (text: string): string => text.replace(WORDS, (one) => (plain(one) === plain(word) ? as : one));
  const changes: Change[] = [];
  for (const topic of map.topics) {
    if (topic.origin !== undefined) continue;
    const text = swapped(topic.text).slice(0, 300);
    if (text !== topic.text)
      changes.push({ do: 'set', in: 'topics', id: topic.id, fields: refitted(topic, { text }, legend) });
  }
  for (const { id, phrase, origin } of map.links) {
    if (origin !== undefined) continue;
    const next = swapped(phrase).slice(0, 300);
    if (next !== phrase) changes.push({ do: 'set', in: 'links', id, fields: { phrase: next } });
  }
  return done(...changes);
}
