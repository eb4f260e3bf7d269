import { alignmentDistance, normalForm } from '@ichnograph/core';
import { EVERY_SYNONYM, standingFor } from './synonyms.js';

export interface LibraryPicture {
  /** as a map's `src` names it */
  id: string;
  name: string;
  category: string;
  /** English words it is found by */
  words: string;
}

/** The library as its index has it. */
export interface Library {
  sets: readonly { id: string; title: string; licence: string; author: string; url: string }[];
  categories: readonly string[];
  pictures: readonly LibraryPicture[];
}

export interface Search {
  /** words of the picture looked for, each of which must be there or begin one that is; none finds all */
  words: string;
  /** one category, or null for all */
  category: string | null;
}

interface Known {
  picture: LibraryPicture;
  name: readonly string[];
  words: readonly string[];
}

const wordsIn = (text: string): string[] => normalForm(text).split(/[^\p{L}\p{N}]+/u);

/**
 * Looks for pictures by word, in English and in one other language. Those come first whose name is what was looked for, then
 * those with it in their name, then all others, and after them what stands for it; in the library's order where nothing tells
 * them apart. A word that finds nothing is taken for the nearest that does: it was mistyped.
 * @param others words of another language, by the picture's id
 */
export function librarySearch(
  { pictures }: Library,
  others: Readonly<Record<string, string>> = {},
): (search: Search) => LibraryPicture[] {
  const known = pictures.map((picture): Known => {
    const name = wordsIn(picture.name);
    return { picture, name, words: [...name, ...wordsIn(picture.words), ...wordsIn(others[picture.id] ?? '')] };
  });
  const vocabulary = [...new Set(known.flatMap(({ words }) => words))].filter(({ length }) => length >= LEAST);
  const meant = (word: string): Worth => {
    const asWritten = bestOf(word);
    if (known.some((one) => asWritten(one) > 0)) return asWritten;
    const near = [...vocabulary, ...EVERY_SYNONYM].filter(
      (one) => alignmentDistance(one, word, slips(word)) <= slips(word),
    );
    return near.length === 0 ? asWritten : (one) => Math.max(...near.map((each) => bestOf(each)(one))) * MISTYPED;
  };
  return ({ words, category }) => {
    const sought = wordsIn(words)
      .filter((word) => word !== '')
      .map(meant);
    return known
      .filter(({ picture }) => category === null || picture.category === category)
      .flatMap((one) => {
        const worth = sought.map((worthOf_) => worthOf_(one));
        return worth.includes(0) ? [] : [{ one, worth: worth.reduce((sum, each) => sum + each, 0) }];
      })
      .sort((a, b) => b.worth - a.worth)
      .map(({ one: { picture } }) => picture);
  };
}

type Worth = (one: Known) => number;

/** Letters from which on a word may be mistyped, and how much less what is found so is worth. */
const [LEAST, MISTYPED] = [4, 0.5];
const slips = (word: string): number => (word.length < LEAST ? 0 : word.length < 8 ? 1 : 2);

/** By the word itself, and less by what stands for it, the best of that first. */
const bestOf =
  (word: string): Worth =>
  (one) =>
    Math.max(
      worthOf(word, one),
      ...standingFor(word).map((other, i) => (one.words.includes(other) ? 1.5 / (i + 1) : 0)),
    );

function worthOf(word: string, { name, words }: Known): number {
  if (name.includes(word)) return 8 + 4 / name.length;
  if (words.includes(word)) return 6;
  if (name.some((one) => one.startsWith(word))) return 4;
  return words.some((one) => one.startsWith(word)) ? 2 : 0;
}
