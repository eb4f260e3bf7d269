import type { FaceName, FontTable } from './font-tables.js';
import { FONT_TABLES } from './font-tables.js';
import { fontRuns, isUnseen, tableOf, unlistedEms } from './fonts.js';

/**
 * How far a text moves the pen, in ems, without kerning; and whether it has letters that the shipped fonts lack. What HarfBuzz
 * finds for joined letters and clusters stands in the tables.
 */
export function emsOf(text: string, face: FaceName): { ems: number; foreign: boolean } {
  const plain = plainEms(text, FONT_TABLES.latin[face]!);
  if (plain !== null) return { ems: plain, foreign: false };
  let [ems, foreign] = [0, false];
  for (const run of fontRuns(text)) {
    if (run.font === null) foreign = true;
    if (run.font === null || run.font === 'east-asian') ems += unlistedEms(run);
    else {
      const table = tableOf(run.font, face);
      ems += unitsOf(run.text, table) / table.unitsPerEm;
    }
  }
  return { ems, foreign };
}

/** Of a text that the first font has all letters of: by far the most. */
function plainEms(text: string, { advances, unitsPerEm }: FontTable): number | null {
  let ems = 0;
  for (const character of text) {
    const advance = advances[character.codePointAt(0)!];
    if (advance === undefined) return null;
    ems += advance / unitsPerEm;
  }
  return ems;
}

const unitsOf = (text: string, table: FontTable): number =>
  table.joined ? joinedUnits(text, table) : table.clusters ? clusteredUnits(text, table) : summed(text, table);

const summed = (text: string, { advances }: FontTable): number => {
  let units = 0;
  for (const character of text) units += advances[character.codePointAt(0)!] ?? 0;
  return units;
};

/** Joins like a letter of two sides, and is none: tatweel and the joiner. */
const JOINS = new Set(['\u0640', '\u200d']);

/** Arabic: each letter by what it joins (Unicode, *Arabic Joining Rules*); marks between letters do not part them. */
function joinedUnits(text: string, { advances, joined, joinedPairs }: FontTable): number {
  const letters = [...text];
  const isMark = (letter: string): boolean => /\p{Mn}/u.test(letter);
  const formsOf = (letter: string | undefined) => joined![letter?.codePointAt(0) ?? -1];
  const joinsNext = (letter: string | undefined): boolean =>
    letter !== undefined && (JOINS.has(letter) || (formsOf(letter)?.[0] ?? null) !== null);
  const joinsBefore = (letter: string | undefined): boolean =>
    letter !== undefined && (JOINS.has(letter) || formsOf(letter) !== undefined);
  const beside = (at: number, step: 1 | -1): number => {
    let i = at + step;
    while (letters[i] !== undefined && isMark(letters[i]!)) i += step;
    return i;
  };
  let units = 0;
  for (let i = 0; i < letters.length; i++) {
    const letter = letters[i]!;
    const advance = isUnseen(letter) ? 0 : (advances[letter.codePointAt(0)!] ?? 0);
    const forms = formsOf(letter);
    if (!forms) {
      units += advance;
      continue;
    }
    const next = beside(i, 1);
    const isJoinedBefore = joinsNext(letters[beside(i, -1)]);
    const pair = joinedPairs![letter + (letters[next] ?? '')];
    if (pair) {
      units += pair[isJoinedBefore ? 1 : 0];
      i = next;
      continue;
    }
    const [initial, medial, final] = forms;
    const isJoinedNext = initial !== null && joinsBefore(letters[next]);
    units += isJoinedNext ? (isJoinedBefore ? medial : initial) : isJoinedBefore ? final : advance;
  }
  return units;
}

const VIRAMA = '\u094d';

/** Devanagari: clusters as the table has them, the longest first, half letters before the last, all else by itself. */
function clusteredUnits(text: string, table: FontTable): number {
  const { half, found } = table.clusters!;
  const own = (part: string): number => summed(part, table);
  let units = 0;
  for (const [whole, stem, vowels] of text.matchAll(CLUSTER)) {
    if (stem === undefined) {
      units += own(whole);
      continue;
    }
    const letters = stem.split(VIRAMA);
    const pair = (i: number): number =>
      found[letters[i]! + VIRAMA + letters[i + 1]!] ?? half[letters[i]!]! + own(letters[i + 1]!);
    // Each pair adds what it is wider than its first letter alone, which the pair before has counted.
    let sum = letters.length > 1 ? pair(letters.length - 2) : own(letters[0]!);
    for (let i = letters.length - 3; i >= 0; i--) {
      const three = found[letters.slice(i, i + 3).join(VIRAMA)];
      sum += three === undefined || letters.length > i + 3 ? pair(i) - own(letters[i + 1]!) : three - pair(i + 1);
    }
    const first = vowels?.[0];
    const withVowel = first && letters.length === 1 ? found[letters[0]! + first] : undefined;
    units += withVowel === undefined ? sum + own(vowels ?? '') : withVowel + own(vowels!.slice(1));
  }
  return units;
}
/** Consonants joined by viramas, with the vowel signs and marks that follow; or any other character. */
const CLUSTER = /([\u0915-\u0939](?:\u094d[\u0915-\u0939])*)([\u093e-\u094c\u0901-\u0903]*)|[\s\S]/gu;
