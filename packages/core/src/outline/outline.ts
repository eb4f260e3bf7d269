import { LIMITS } from '../map/types.js';
import { normalForm } from '../words/normal-form.js';

/** A term as an outline has it. */
export interface OutlineTerm {
  text: string;
  /** other wordings, which stood behind bars */
  accept: string[];
  /** 1 at the margin */
  level: number;
  /** the text, as first written, of the nearest line above with a smaller level */
  under: string | null;
  kind: string | null;
}

/**
 * What is said of a line: numbered from 1. Its sentence is made at the edge. Of a term that was cut `text` is what is left,
 * and `whole` what it was.
 */
export interface OutlineMessage {
  line: number;
  code: keyof typeof OUTLINE_MESSAGES;
  data: Readonly<Record<string, string | number>>;
}

/** ICU messages, in English. */
export const OUTLINE_MESSAGES = {
  repeated: '“{text}” stands further up already, so it is not taken twice.',
  cut: 'This is longer than {most, number} characters and was cut.',
  inNote: 'This is longer than {most, number} characters: all of it is in the note of “{text}”.',
  tooMany: 'An outline may have {most, number} lines. From here on nothing was taken.',
} as const;

export const MOST_LINES = 1000;

interface Line {
  number: number;
  /** how it is indented, as written */
  indent: string;
  words: string;
  /** how many parts its dotted number has; 0 without one */
  parts: number;
}

/**
 * The terms of a chapter outline, one a line: indentation or dotted numbers say how deep, leading marks and numbers are
 * taken off, ` | ` separates other wordings.
 * @param kinds of each level from the first; the last for all that is deeper
 */
export function readOutline(
  text: string,
  kinds: readonly string[] = [],
): { terms: OutlineTerm[]; messages: OutlineMessage[] } {
  const messages: OutlineMessage[] = [];
  const lines = linesOf(text);
  const first = lines[MOST_LINES];
  if (first) messages.push({ line: first.number, code: 'tooMany', data: { most: MOST_LINES } });
  const taken = lines.slice(0, MOST_LINES);
  const levelOf = levels(taken);
  const written = new Map<string, string>();
  const above: { level: number; text: string }[] = [];
  const terms: OutlineTerm[] = [];
  let last = 0;
  for (const line of taken) {
    const level = (last = Math.max(1, Math.min(levelOf(line), last + 1)));
    const wordings = line.words
      .split(/\s\|\s/)
      .map(tidy)
      .filter((words) => words !== '');
    const [words = line.words, ...accept] = wordings.map((one) => cut(one));
    if (wordings.some((one) => one.length > LIMITS.text))
      messages.push({
        line: line.number,
        code: 'cut',
        data: {
          most: LIMITS.text,
          ...(wordings[0]!.length > LIMITS.text && { text: words, whole: line.words }),
        },
      });
    while (above.length > 0 && above.at(-1)!.level >= level) above.pop();
    const form = normalForm(words);
    const before = written.get(form);
    const own = before ?? words;
    if (before === undefined) {
      written.set(form, words);
      const kind = kinds[Math.min(level, kinds.length) - 1] ?? null;
      terms.push({ text: words, accept, level, under: above.at(-1)?.text ?? null, kind });
    } else messages.push({ line: line.number, code: 'repeated', data: { text: before } });
    // What follows deeper stands under the first of two that are the same.
    above.push({ level, text: own });
  }
  return { terms, messages: messages.sort((a, b) => a.line - b.line) };
}

const tidy = (text: string): string => text.replace(/\s+/g, ' ').trim();
const cut = (text: string): string => text.slice(0, LIMITS.text).toWellFormed().trimEnd();

const MARK = /^[-*+•–—](?=\s)/;
/** `1.` `1)` `1.2` `1.2.3.` `a)` `a.` `iv.` `(2)`, in that order. */
const NUMBER = /^(?:(?<dotted>\d+(?:\.\d+)+\.?|\d+[.)])|[a-z][.)]|[ivx]+\.|\(\d+\))(?=\s)/i;

/** `(iv)` too, where a text is read that is no chapter's outline. */
const ROMAN = /^\([ivx]+\)(?=\s)/i;

function linesOf(text: string, markOf = markBefore): Line[] {
  return text
    .replace(/^\ufeff/, '')
    .split(/\r\n|\r|\n/)
    .flatMap((whole, i): Line[] => {
      const words = whole.trim();
      if (words === '') return [];
      const indent = /^[\t ]*/.exec(whole)![0];
      const found = markOf(words);
      const parts = found?.groups?.dotted?.match(/\d+/g)?.length ?? 0;
      return [{ number: i + 1, indent, words: tidy(words.slice(found?.[0].length ?? 0)), parts }];
    });
}

const markBefore = (words: string): RegExpExecArray | null => MARK.exec(words) ?? NUMBER.exec(words);
const markOfPlainText = (words: string): RegExpExecArray | null => markBefore(words) ?? ROMAN.exec(words);

/** Whether a line that says this would lose its beginning, where lines of plain text are read. */
export const beginsWithMark = (words: string): boolean => markOfPlainText(words) !== null;

/** The lines of a plain text: how deep each stands, from 0, and what it says without leading marks and numbers. */
export function plainLines(text: string): { depth: number; words: string }[] {
  const lines = linesOf(text, markOfPlainText).filter(({ words }) => words !== '');
  const levelOf = levels(lines);
  let last = 0;
  return lines.map((line) => {
    last = Math.max(1, Math.min(levelOf(line), last + 1));
    return { depth: last - 1, words: line.words };
  });
}

const spacesIn = ({ indent }: Line): number => indent.replaceAll('\t', '').length;
const tabsIn = ({ indent }: Line): number => indent.length - spacesIn({ indent } as Line);

/** How deep each line stands, before it is held to one level more than the last. */
function levels(lines: readonly Line[]): (line: Line) => number {
  if (lines.every(({ indent }) => indent === '')) return ({ parts }) => Math.max(1, parts);
  const widths = [...new Set([0, ...lines.map(spacesIn)])].sort((a, b) => a - b);
  const step = Math.min(...widths.slice(1).map((width, i) => width - widths[i]!));
  return (line) => 1 + tabsIn(line) + (Number.isFinite(step) ? Math.round(spacesIn(line) / step) : 0);
}
