import bidiFactory from 'bidi-js';

// Its types speak of a default export within a CommonJS module; what is imported is the function itself.
const bidi = (bidiFactory as unknown as typeof bidiFactory.default)();

export type Direction = 'ltr' | 'rtl';

const RIGHT_TO_LEFT =
  /[\u0590-\u08ff\u200f\u202b\u202e\u2067\ufb1d-\ufdff\ufe70-\ufeff\u{10800}-\u{10fff}\u{1e800}-\u{1efff}]/u;
export const hasRightToLeft = (text: string): boolean => RIGHT_TO_LEFT.test(text);

/** Which way a paragraph runs: by its first letter that says so (UAX 9, P2 and P3). */
export const directionOf = (text: string): Direction =>
  hasRightToLeft(text) && bidi.getEmbeddingLevels(text, 'auto').paragraphs[0]?.level === 1 ? 'rtl' : 'ltr';

/** Part of a line that runs one way. */
export interface DirectedRun {
  text: string;
  rtl: boolean;
}

/** A line in runs of one direction each, in the order in which they stand from left to right (UAX 9). */
export function directedRuns(line: string, direction: Direction): DirectedRun[] {
  const embedding = bidi.getEmbeddingLevels(line, direction);
  const { levels } = embedding;
  const starts = Array.from(levels.keys()).filter((i) => i === 0 || levels[i] !== levels[i - 1]);
  const runs = starts.map((start, i) => ({ start, end: starts[i + 1] ?? line.length }));
  const placeOf = new Map(bidi.getReorderedIndices(line, embedding).map((index, place) => [index, place]));
  return runs
    .map(({ start, end }) => ({
      text: line.slice(start, end),
      rtl: levels[start]! % 2 === 1,
      place: Math.min(placeOf.get(start)!, placeOf.get(end - 1)!),
    }))
    .sort((a, b) => a.place - b.place)
    .map(({ text, rtl }) => ({ text, rtl }));
}

/** A letter as it stands where text runs from right to left: brackets turn. */
export const mirrored = (character: string): string => bidi.getMirroredCharacter(character) ?? character;

const [EMBED, END] = ['\u202b', '\u202c'];
/** A run for what draws text by itself: it keeps its direction, whatever it begins and ends with. */
export const asDirected = ({ text, rtl }: DirectedRun): string => (rtl ? `${EMBED}${text}${END}` : text);
