import { mapOutline, wordsOf } from '@ichnograph/core';
import type { OutlineRow, TopicMap } from '@ichnograph/core';

/** A part of what is written: a branch with all below it, or the beginning, which is the topic that all hangs from. */
export interface EssaySection {
  /** the topic at its head */
  id: string;
  title: string;
  /** what is written in it, in the order of reading; depths from 0 at its head */
  rows: OutlineRow[];
  words: number;
  /** topics about which nothing is written yet */
  unwritten: number;
}

/**
 * A map as the parts of an essay, in the order of reading: each branch of a topic that others hang from, after that topic's own
 * words; what nothing hangs from is a part by itself.
 */
export function essaySections(map: TopicMap): EssaySection[] {
  const parts: OutlineRow[][] = [];
  for (const row of mapOutline(map)) {
    if (row.depth < 2) parts.push([{ ...row, depth: 0 }]);
    else parts.at(-1)!.push({ ...row, depth: row.depth - 1 });
  }
  return parts.map((part) => {
    const [head] = part;
    const words = part.map(({ note }) => wordsOf(note).length);
    return {
      id: head!.id,
      title: head!.text,
      rows: part,
      words: words.reduce((sum, count) => sum + count, 0),
      unwritten: words.filter((count) => count === 0).length,
    };
  });
}

/** The part in which a topic is written about. */
export const sectionOf = (sections: readonly EssaySection[], id: string | null): EssaySection | undefined =>
  sections.find(({ rows }) => rows.some((row) => row.id === id));
