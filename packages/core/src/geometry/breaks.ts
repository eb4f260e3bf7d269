import LineBreaker from 'linebreak';
import { splitGraphemes } from 'unicode-segmenter/grapheme';

/** What is broken at spaces and nowhere else, by whatever rules: plain words, which are by far the most. */
const PLAIN = /^[ A-Za-z\u00c0-\u024f0-9,.;:'’]*$/;
const THAI = /\p{Script=Thai}/u;
const thaiWords = new Intl.Segmenter('th', { granularity: 'word' });

/**
 * The parts of a line of text between which it may be broken, spaces at their ends: by the Unicode rules (UAX 14); Thai, which
 * sets no spaces, by its words.
 */
export function breakable(text: string): string[] {
  if (PLAIN.test(text)) return text.split(/(?<= )/);
  const parts: string[] = [];
  const breaker = new LineBreaker(text);
  let start = 0;
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    parts.push(text.slice(start, next.position));
    start = next.position;
  }
  return parts.flatMap((part) => (THAI.test(part) ? inThaiWords(part) : [part])).filter((part) => part !== '');
}

/** Spaces and what is no word stay with the word before. */
function inThaiWords(text: string): string[] {
  const parts: string[] = [];
  for (const { segment, isWordLike } of thaiWords.segment(text))
    if (isWordLike || parts.length === 0) parts.push(segment);
    else parts.push(parts.pop()! + segment);
  return parts;
}

/** What a reader takes for one letter each: no line is broken within. */
export const graphemes = (text: string): string[] => [...splitGraphemes(text)];
