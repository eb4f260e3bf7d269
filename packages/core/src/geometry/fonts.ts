import { splitGraphemes } from 'unicode-segmenter/grapheme';
import { EAST_ASIAN, HANGUL, ORDER } from './font-families.js';
import type { FontName } from './font-sources.js';
import { FONT_TABLES } from './font-tables.js';
import type { FaceName, FontTable } from './font-tables.js';

const HALF_WIDE = /[\uff61-\uffdc\uffe8-\uffee]/u;

/** Ems of one character of those fonts, all faces alike; a Hangul syllable of several letters counts with its first. */
const eastAsianEms = (character: string): number =>
  HALF_WIDE.test(character) ? 0.5 : /[\u1160-\u11ff]/.test(character) ? 0 : HANGUL.test(character) ? 0.92 : 1;

/** Draws nothing and moves nothing: joiners, marks of direction, soft hyphens, variation selectors. */
const UNSEEN = /[\u00ad\u061c\u200b-\u200f\u202a-\u202e\u2060-\u206f\ufeff]|\p{Variation_Selector}|\u034f/u;
export const isUnseen = (character: string): boolean => UNSEEN.test(character);

/** Part of a text that one font draws. `font` is null where the shipped fonts lack it. */
export interface FontRun {
  text: string;
  font: FontName | 'east-asian' | null;
}

export const tableOf = (font: FontName, face: FaceName): FontTable =>
  FONT_TABLES[font][face] ??
  (face.startsWith('bold') ? FONT_TABLES[font].bold : undefined) ??
  FONT_TABLES[font].regular;

/**
 * A text in runs of one font each, as browsers choose: the first in the list that has all of a cluster, a letter with its
 * marks, which is never drawn by two.
 */
export function fontRuns(text: string): FontRun[] {
  const runs: FontRun[] = [];
  for (const cluster of splitGraphemes(text)) {
    const font = fontOf(cluster);
    const last = runs.at(-1);
    if (last && (font === last.font || isUnseen(cluster))) last.text += cluster;
    else runs.push({ text: cluster, font });
  }
  return runs;
}

function fontOf(cluster: string): FontRun['font'] {
  const characters = [...cluster].filter((character) => !isUnseen(character));
  const font = ORDER.find((one) =>
    characters.every((character) => FONT_TABLES[one].regular.advances[character.codePointAt(0)!] !== undefined),
  );
  return font ?? (EAST_ASIAN.test(characters[0]!) ? 'east-asian' : null);
}

/** Ems of a run that no table speaks of: by the width class of its characters. */
export function unlistedEms({ text, font }: FontRun): number {
  if (font === 'east-asian') return sum([...text], (one) => (isUnseen(one) ? 0 : eastAsianEms(one)));
  return sum(splitGraphemes(text), (cluster) => (/\p{Extended_Pictographic}/u.test(cluster) ? 1 : otherEms(cluster)));
}

/** Of scripts that the fonts lack: none for marks, one for what no table knows as narrow. */
const otherEms = (cluster: string): number =>
  sum([...cluster], (one) => (isUnseen(one) || /\p{M}/u.test(one) ? 0 : 0.6));

function sum<T>(of: Iterable<T>, value: (one: T) => number): number {
  let all = 0;
  for (const one of of) all += value(one);
  return all;
}
