// Reads the shipped fonts and writes how far each letter moves the pen: core lays text out with these tables alone.
// Where letters change with their neighbours (Arabic, Devanagari) HarfBuzz shapes them here, once, at build time.
// Output: packages/core/src/geometry/font-tables.ts and font-sources.ts, and apps/web/src/script-fonts.css, which says to browsers in which file
// a letter is; both remade at each build, never edited.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import * as fontkit from 'fontkit';
import { fontFile, plainFont, shaperOf } from './lib/shaped.mjs';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));

const FACES = { regular: [400, 'normal'], bold: [700, 'normal'], italic: [400, 'italic'], boldItalic: [700, 'italic'] };
/** What each font is read from, its most general part last, and which faces are drawn anew: the others are upright. */
const FONTS = {
  latin: { name: 'atkinson-hyperlegible-next', parts: ['latin-ext', 'latin'] },
  sans: {
    name: 'noto-sans',
    parts: ['vietnamese', 'latin-ext', 'cyrillic-ext', 'cyrillic', 'greek-ext', 'greek'],
  },
  hebrew: { name: 'noto-sans-hebrew', parts: ['hebrew'] },
  arabic: { name: 'noto-sans-arabic', parts: ['arabic'], takes: /[\u0600-\u08ff]/u },
  devanagari: { name: 'noto-sans-devanagari', parts: ['devanagari'] },
  thai: { name: 'noto-sans-thai', parts: ['thai'] },
  /** figures that are raised or lowered */
  small: { name: 'roboto', parts: ['math'], range: 'U+2070-209F' },
  math: { name: 'noto-sans-math', parts: ['latin'], range: 'U+2190-27FF,U+2900-2BFF' },
};

const rangesOf = (name) =>
  JSON.parse(readFileSync(path.join(path.dirname(fontFile(name, 'latin', 400, 'normal')), '../unicode.json')));

/** Whether a browser looks for a letter in a part: what lies outside it never draws, though the file may have it. */
function rangeOf(said) {
  const ranges = said.split(',').map((range) =>
    range
      .slice(2)
      .split('-')
      .map((end) => Number.parseInt(end, 16)),
  );
  return (codePoint) => ranges.some(([first, last = first]) => first <= codePoint && codePoint <= last);
}

async function tableOf({ name, parts, takes = /./u, range }, weight, slant) {
  const advances = {};
  let unitsPerEm;
  for (const part of parts) {
    const isSaid = rangeOf(range ?? rangesOf(name)[part]);
    const font = fontkit.create(await plainFont(fontFile(name, part, weight, slant)));
    ({ unitsPerEm } = font);
    for (const codePoint of font.characterSet)
      // A mark moves no pen, whatever its glyph's own width: every shaper takes that away.
      if (codePoint >= 32 && isSaid(codePoint) && takes.test(String.fromCodePoint(codePoint)))
        advances[codePoint] = /\p{Mn}|\p{Me}/u.test(String.fromCodePoint(codePoint))
          ? 0
          : Math.round(font.glyphForCodePoint(codePoint).advanceWidth);
  }
  return { unitsPerEm, advances };
}

const ZWJ = '\u200d';

/** Arabic: how wide a letter is that joins the next, both, and the one before. Those that join nothing are left out. */
function joinedForms(advance, glyphs, advances) {
  const joined = {};
  for (const codePoint of Object.keys(advances).map(Number)) {
    const letter = String.fromCodePoint(codePoint);
    if (!/\p{Script=Arabic}/u.test(letter) || !/\p{L}/u.test(letter)) continue;
    const [alone, next, before] = [letter, letter + ZWJ, ZWJ + letter].map((text) => glyphs(text));
    if (alone === next && alone === before) continue;
    joined[codePoint] = [
      alone === next ? null : advance(letter + ZWJ),
      advance(ZWJ + letter + ZWJ),
      advance(ZWJ + letter),
    ];
  }
  return joined;
}

/** Lam before alef is one glyph, by itself and after a letter that joins it. */
function lamAlef(advance) {
  return Object.fromEntries(
    ['\u0622', '\u0623', '\u0625', '\u0627'].map((alef) => {
      const text = `\u0644${alef}`;
      return [text, [advance(text), advance(ZWJ + text)]];
    }),
  );
}

const [VIRAMA, REPHA] = ['\u094d', 'र'];
const CONSONANTS = [...'कखगघङचछजझञटठडढणतथदधनपफबभमयरलळवशषसह'];
const VOWELS = [...'ािीुूृेैोौं'];
/** Three consonants that words of school books have, besides those that are the sum of their pairs. */
const ENDS = ['य', 'र', 'व', 'म', 'न', 'त'];

/**
 * Devanagari: how wide half letters are, and every cluster whose width is not the sum of its half letters and its last.
 * Clusters of three are written out where they are not told by their pairs.
 */
function clusters(advance, advances) {
  const half = Object.fromEntries(CONSONANTS.map((letter) => [letter, advance(letter + VIRAMA + ZWJ)]));
  const own = (letter) => advances[letter.codePointAt(0)];
  const found = {};
  const summed = (letters) => letters.slice(0, -1).reduce((sum, letter) => sum + half[letter], own(letters.at(-1)));
  for (const one of CONSONANTS) {
    for (const vowel of VOWELS) {
      const text = one + vowel;
      if (advance(text) !== own(one) + own(vowel)) found[text] = advance(text);
    }
    for (const other of CONSONANTS) {
      const text = one + VIRAMA + other;
      if (advance(text) !== summed([one, other])) found[text] = advance(text);
    }
  }
  const pair = (one, other) => found[one + VIRAMA + other] ?? summed([one, other]);
  for (const one of CONSONANTS)
    for (const other of CONSONANTS)
      for (const last of ENDS) {
        const text = [one, other, last].join(VIRAMA);
        if (one !== REPHA && advance(text) !== pair(one, other) - own(other) + pair(other, last))
          found[text] = advance(text);
      }
  return { half, found };
}

const tables = {};
for (const [font, source] of Object.entries(FONTS)) {
  tables[font] = {};
  for (const [face, [weight, slant]] of Object.entries(FACES)) {
    if (!existsSync(fontFile(source.name, source.parts[0], weight, slant))) continue;
    const table = await tableOf(source, weight, slant);
    if (font === 'arabic' || font === 'devanagari') {
      const { advance, glyphs } = await shaperOf(fontFile(source.name, source.parts[0], weight, slant));
      if (font === 'arabic')
        Object.assign(table, { joined: joinedForms(advance, glyphs, table.advances), joinedPairs: lamAlef(advance) });
      else Object.assign(table, { clusters: clusters(advance, table.advances) });
    }
    tables[font][face] = table;
  }
}
const sources = Object.fromEntries(
  Object.entries(FONTS).map(([font, { name, parts, range }]) => [
    font,
    { name, parts: parts.toReversed(), ...(range && { range }) },
  ]),
);
const text = `// Made by scripts/make-font-tables.mjs from the shipped fonts. Do not edit.
import type { FontName } from './font-sources.js';

/** Advances in units of the font, \`unitsPerEm\` to the em. */
export interface FontTable {
  unitsPerEm: number;
  /** by code point */
  advances: Record<number, number>;
  /** by code point of an Arabic letter: joined to the next (null: it never is), to both, to the one before */
  joined?: Record<number, [number | null, number, number]>;
  /** of two letters drawn as one, by themselves and joined to the one before */
  joinedPairs?: Record<string, [number, number]>;
  /** of Devanagari: half letters, and clusters that are not as wide as their letters */
  clusters?: { half: Record<string, number>; found: Record<string, number> };
}
export type FaceName = 'regular' | 'bold' | 'italic' | 'boldItalic';
/** A face that a font has not is drawn as the upright one of its weight. */
export const FONT_TABLES: Record<FontName, { regular: FontTable } & Partial<Record<FaceName, FontTable>>> = ${JSON.stringify(tables)};
`;
writeFileSync(path.join(root, 'packages/core/src/geometry/font-tables.ts'), text);
writeFileSync(
  path.join(root, 'packages/core/src/geometry/font-sources.ts'),
  `// Made by scripts/make-font-tables.mjs. Do not edit.
export type FontName = ${Object.keys(FONTS)
    .map((name) => `'${name}'`)
    .join(' | ')};
/**
 * The packages that the fonts come in and the parts of them that are taken, in the order in which a letter is looked for.
 * A range, as CSS writes it, is what a font is taken for where that is not what its package says.
 */
export const FONT_SOURCES: Record<FontName, { name: string; parts: readonly string[]; range?: string }> = ${JSON.stringify(sources)};
`,
);

const familyOf = (name) => name.replace(/(^|-)([a-z])/g, (_, gap, letter) => (gap ? ' ' : '') + letter.toUpperCase());

/** A font face for each file: its range makes a browser load it when a letter of it is drawn, and not before. */
function* fontFaces() {
  for (const [font, { name, parts, range }] of Object.entries(FONTS)) {
    if (font === 'latin') continue;
    const ranges = rangesOf(name);
    for (const part of parts)
      for (const [weight, slant] of Object.values(FACES)) {
        const file = fontFile(name, part, weight, slant);
        if (!existsSync(file)) continue;
        yield `@font-face {
  font-family: '${familyOf(name)}';
  font-style: ${slant};
  font-weight: ${weight};
  font-display: swap;
  src: url('@fontsource/${name}/files/${path.basename(file)}') format('woff2');
  unicode-range: ${range ?? ranges[part]};
}
`;
      }
  }
}
writeFileSync(
  path.join(root, 'apps/web/src/script-fonts.css'),
  `/* Made by scripts/make-font-tables.mjs. Do not edit. */\n${[...fontFaces()].join('')}`,
);
