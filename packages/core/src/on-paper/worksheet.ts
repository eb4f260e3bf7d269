import type { TopicMap } from '../map/types.js';
import { seeded, shuffled } from '../random.js';
import { isBlank } from '../words/normal-form.js';

/** Whose words are left out of a worksheet. */
export interface Blanks {
  topics: 'none' | 'some' | 'all';
  phrases: 'none' | 'some' | 'all';
}

const LINE = '_______';

/**
 * A map with blanks to be filled in on paper: topics keep their size and shape, links a line to write on. The words that are
 * missing come beside it, in another order.
 * @param seed of what is left out where only some is, and of the order of the words: the same gives the same sheet
 */
export function worksheetOf(map: TopicMap, blanks: Blanks, seed: number): { map: TopicMap; words: string[] } {
  const random = seeded(seed);
  const left = <T extends { id: string }>(all: readonly T[], how: Blanks['topics']): Set<string> => {
    if (how === 'none') return new Set();
    const shown = how === 'all' ? all : shuffled(all, random).slice(0, Math.ceil(all.length / 3));
    return new Set(shown.map(({ id }) => id));
  };
  const worded = map.links.filter(({ phrase }) => !isBlank(phrase));
  const [topics, links] = [left(map.topics, blanks.topics), left(worded, blanks.phrases)];
  const words = [
    ...map.topics.filter(({ id }) => topics.has(id)).map(({ text }) => text),
    ...worded.filter(({ id }) => links.has(id)).map(({ phrase }) => phrase),
  ];
  return {
    map: {
      ...map,
      topics: map.topics.map((topic) => (topics.has(topic.id) ? { ...topic, text: '' } : topic)),
      links: map.links.map((link) => (links.has(link.id) ? { ...link, phrase: LINE } : link)),
    },
    words: shuffled([...new Set(words)], random),
  };
}
