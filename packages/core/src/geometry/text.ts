import { FONT_TABLES } from './font-tables.js';
import type { FontTable } from './font-tables.js';

export interface Face {
  fontSize: number;
  bold?: boolean;
  italic?: boolean;
}

export interface TextLine {
  text: string;
  /** its advance width, canvas units */
  width: number;
  /** whether it has characters that the shipped fonts lack, so that a drawing must squeeze or stretch it to `width` */
  foreign: boolean;
}

export interface TextBlock {
  lines: TextLine[];
  width: number;
  height: number;
  lineHeight: number;
}

export const LINE_HEIGHT = 1.3;

const tableOf = ({ bold, italic }: Face): FontTable =>
  FONT_TABLES[bold ? (italic ? 'boldItalic' : 'bold') : italic ? 'italic' : 'regular'];

/** Advance in ems of a character the shipped fonts lack: none for marks, a full em for the wide scripts. */
function foreignAdvance(character: string): number {
  if (/\p{M}|\u200d|\ufe0f/u.test(character)) return 0;
  const wide =
    /[\u1100-\u115f\u2e80-\ua4cf\uac00-\ud7a3\uf900-\ufaff\ufe30-\ufe6f\uff00-\uff60\uffe0-\uffe6]|\p{Extended_Pictographic}/u;
  return wide.test(character) ? 1 : 0.6;
}

function measure(text: string, table: FontTable): { ems: number; foreign: boolean } {
  let [ems, foreign] = [0, false];
  for (const character of text) {
    const advance = table.advances[character.codePointAt(0)!];
    if (advance === undefined) [ems, foreign] = [ems + foreignAdvance(character), true];
    else ems += advance / table.unitsPerEm;
  }
  return { ems, foreign };
}

/** Width of one line of text in canvas units, from the shipped fonts' advances, without kerning. */
export const textWidth = (text: string, face: Face): number => measure(text, tableOf(face)).ems * face.fontSize;

/**
 * Breaks text into lines no wider than `maxWidth` units: at spaces, at line breaks of its own, and inside a word only
 * when the word alone is wider. The one place where lines are made: browser, SVG and PDF draw these.
 */
export function layoutText(text: string, face: Face, maxWidth: number): TextBlock {
  const table = tableOf(face);
  const width = (part: string): number => measure(part, table).ems * face.fontSize;
  const texts = text.split(/\r\n|\r|\n/).flatMap((paragraph) => breakParagraph(paragraph, width, maxWidth));
  const lines = texts.map((line) => {
    const { ems, foreign } = measure(line, table);
    return { text: line, width: ems * face.fontSize, foreign };
  });
  const lineHeight = Math.round(face.fontSize * LINE_HEIGHT);
  return {
    lines,
    lineHeight,
    height: lines.length * lineHeight,
    width: lines.reduce((most, line) => Math.max(most, line.width), 0),
  };
}

function breakParagraph(paragraph: string, width: (part: string) => number, maxWidth: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of paragraph
    .split(/[ \t]+/)
    .filter((part) => part !== '')
    .flatMap((part) => breakWord(part, width, maxWidth))) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (line !== '' && width(longer) > maxWidth) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}

function breakWord(word: string, width: (part: string) => number, maxWidth: number): string[] {
  if (width(word) <= maxWidth) return [word];
  const parts: string[] = [];
  let part = '';
  for (const character of word) {
    if (part !== '' && width(part + character) > maxWidth) {
      parts.push(part);
      part = character;
    } else part += character;
  }
  return [...parts, part];
}
