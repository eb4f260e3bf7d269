import { emsOf } from './advance.js';
import { breakable, graphemes } from './breaks.js';
import { asDirected, directedRuns, directionOf, hasRightToLeft } from './direction.js';
import type { Direction, DirectedRun } from './direction.js';
import type { FaceName } from './font-tables.js';
import { hanOf } from './font-families.js';
import type { Han } from './font-families.js';

export interface Face {
  fontSize: number;
  bold?: boolean;
  italic?: boolean;
}

/** Part of a line that runs one way, with its place from the line's left end, canvas units. */
export interface LineRun extends DirectedRun {
  x: number;
  width: number;
}

export interface TextLine {
  text: string;
  /** its advance width, canvas units */
  width: number;
  /** whether it has characters that the shipped fonts lack, so that a drawing must squeeze or stretch it to `width` */
  foreign: boolean;
  /** which way its paragraph runs, where that is from right to left */
  direction?: 'rtl';
  /** its parts from left to right, where some of it runs from right to left */
  runs?: LineRun[];
  /** which shapes its Han characters take, where it has any */
  han?: Han;
}

export interface TextBlock {
  lines: TextLine[];
  width: number;
  height: number;
  lineHeight: number;
}

export const LINE_HEIGHT = 1.3;

const faceName = ({ bold, italic }: Face): FaceName =>
  bold ? (italic ? 'boldItalic' : 'bold') : italic ? 'italic' : 'regular';

/** Width of one line of text in canvas units, from the shipped fonts' advances, without kerning. */
export const textWidth = (text: string, face: Face): number => emsOf(text, faceName(face)).ems * face.fontSize;

/**
 * Breaks text into lines no wider than `maxWidth` units: where the Unicode rules let a line be broken, at line breaks of its
 * own, and inside a word only when the word alone is wider. The one place where lines are made: browser, SVG and PDF draw
 * these.
 */
export function layoutText(text: string, face: Face, maxWidth: number): TextBlock {
  const width = (part: string): number => textWidth(part, face);
  const han = hanOf(text);
  const lines = text.split(/\r\n|\r|\n/).flatMap((paragraph) => {
    const direction = directionOf(paragraph);
    return breakParagraph(paragraph, width, maxWidth).map((line) => laidOut(line, direction, face, han));
  });
  const lineHeight = Math.round(face.fontSize * LINE_HEIGHT);
  return {
    lines,
    lineHeight,
    height: lines.length * lineHeight,
    width: lines.reduce((most, line) => Math.max(most, line.width), 0),
  };
}

function laidOut(text: string, direction: Direction, face: Face, han: Han | undefined): TextLine {
  const line: TextLine = { text, ...measured(text, face), ...(han && { han }) };
  if (direction === 'ltr' && !hasRightToLeft(text)) return line;
  let x = 0;
  const runs = directedRuns(text, direction).flatMap(({ text: run, rtl }): LineRun[] => {
    // Spaces at its ends are room beside it: a reader of SVG takes them away.
    const [before, after] = [run.length - run.trimStart().length, run.trimEnd().length];
    const words = measured(run.slice(before, after), face).width;
    const width = measured(run, face).width;
    const start = x + measured(rtl ? run.slice(Math.max(before, after)) : run.slice(0, before), face).width;
    x += width;
    return before < after ? [{ text: run.slice(before, after), rtl, x: start, width: words }] : [];
  });
  return { ...line, width: x, ...(direction === 'rtl' && { direction }), runs };
}

function measured(text: string, face: Face): { width: number; foreign: boolean } {
  const { ems, foreign } = emsOf(text, faceName(face));
  return { width: ems * face.fontSize, foreign };
}

const SOFT_HYPHEN = '\u00ad';
/** A line as it ends: without its spaces, its soft hyphen shown. */
const ended = (line: string): string => {
  const trimmed = line.trimEnd();
  return trimmed.endsWith(SOFT_HYPHEN) ? `${trimmed.slice(0, -1)}-` : trimmed;
};

function breakParagraph(paragraph: string, width: (part: string) => number, maxWidth: number): string[] {
  const lines: string[] = [];
  let line = '';
  const text = paragraph.replace(/[ \t]+/g, ' ').trim();
  for (const part of breakable(text).flatMap((one) => breakWord(one, width, maxWidth))) {
    if (line !== '' && width(ended(line + part)) > maxWidth) {
      lines.push(ended(line));
      line = part;
    } else line += part;
  }
  return [...lines, line.trimEnd()];
}

function breakWord(word: string, width: (part: string) => number, maxWidth: number): string[] {
  if (width(word.trimEnd()) <= maxWidth) return [word];
  const parts: string[] = [];
  let part = '';
  for (const letter of graphemes(word)) {
    if (part !== '' && width(part + letter) > maxWidth && letter !== ' ') {
      parts.push(part);
      part = letter;
    } else part += letter;
  }
  return [...parts, part];
}

/** A piece of a line as a drawing sets it: its text, its place from the line's left end, and what it is squeezed to. */
export interface SetText {
  text: string;
  x: number;
  squeezedTo?: number;
}

/** The pieces of a line, each of which a browser or another reader of SVG draws without knowing the others. */
export const setTexts = ({ text, width, foreign, runs }: TextLine): SetText[] =>
  runs
    ? runs.map((run) => ({ text: asDirected(run), x: run.x, ...(foreign && { squeezedTo: run.width }) }))
    : [{ text, x: 0, ...(foreign && { squeezedTo: width }) }];
