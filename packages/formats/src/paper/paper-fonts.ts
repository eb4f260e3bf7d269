import { existsSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import {
  directedRuns,
  directionOf,
  FONT_SOURCES,
  fontRuns,
  graphemes,
  hanOf,
  hasRightToLeft,
  mirrored,
} from '@ichnograph/core';
import type { FontName, Han } from '@ichnograph/core';
import * as fontkit from 'fontkit';
import type { Font } from 'fontkit';
import { decompress } from 'wawoff2';

const require = createRequire(import.meta.url);
const FACES = { regular: '400-normal', bold: '700-normal', italic: '400-italic', 'bold italic': '700-italic' } as const;
export type Face = keyof typeof FACES;
const UPRIGHT: Partial<Record<Face, Face>> = { italic: 'regular', 'bold italic': 'bold' };
const PACKAGES: Readonly<Record<Han, string>> = {
  chinese: 'noto-sans-sc',
  japanese: 'noto-sans-jp',
  korean: 'noto-sans-kr',
};

/** One file of a font: what a document embeds of it is what it draws. */
export interface Part {
  name: string;
  content: Buffer;
  font: Font;
  /** as CSS knows it, and the file as it ships (WOFF2) */
  family: string;
  weight: string;
  style: string;
  packed: Buffer;
  /** the letters that it is for, as CSS writes them */
  ranges: string;
}

const folderOf = (name: string): string => path.dirname(require.resolve(`@fontsource/${name}/package.json`));

const read = new Map<string, Promise<Part | null>>();
/** By name: parts that have been read; what is drawn is looked for among these. */
const ready = new Map<string, Part>();
const keyOf = (name: string, part: string, face: Face): string => `${name}-${part}-${FACES[face]}`;
const partOf = (name: string, part: string, face: Face): Part | null => ready.get(keyOf(name, part, face)) ?? null;

/** Reads a part of a font in each of its faces, once a process. */
async function readPart(name: string, part: string): Promise<void> {
  for (const face of Object.keys(FACES) as Face[]) {
    const key = keyOf(name, part, face);
    if (!read.has(key)) read.set(key, fileOf(name, part, face));
    const found = await read.get(key)!;
    if (found) ready.set(key, found);
  }
}

/** Unpacked too, since what embeds fonts in documents takes parts of plain ones alone; null where the font has no such face. */
async function fileOf(name: string, part: string, face: Face): Promise<Part | null> {
  const key = keyOf(name, part, face);
  const file = path.join(folderOf(name), 'files', `${key}.woff2`);
  if (!existsSync(file)) return null;
  const packed = readFileSync(file);
  const content = Buffer.from(await decompress(packed));
  const [weight, style] = FACES[face].split('-') as [string, string];
  // As the screen has it, or a browser would draw a letter of the file in another font than we did.
  const own = Object.values(FONT_SOURCES).find((source) => source.name === name)?.range;
  const ranges = own ?? rangesIn(name)[part] ?? rangesIn(name)[`[${part}]`] ?? 'U+0-10FFFF';
  return {
    name: key,
    content,
    font: fontkit.create(content) as Font,
    family: familyOf(name),
    weight,
    style,
    packed,
    ranges,
  };
}

/** `noto-sans-hebrew` is Noto Sans Hebrew, `noto-sans-sc` Noto Sans SC. */
const familyOf = (name: string): string =>
  name
    .split('-')
    .map((word) => (word.length === 2 ? word.toUpperCase() : word[0]!.toUpperCase() + word.slice(1)))
    .join(' ');

/** By part of a font, the letters that it is for. */
const rangesIn = (name: string): Record<string, string> =>
  JSON.parse(readFileSync(path.join(folderOf(name), 'unicode.json'), 'utf8')) as Record<string, string>;

/** Reads the fonts that some text needs. All that is drawn has to be in it. */
export async function readFontsFor(text: string): Promise<void> {
  const { latin } = FONT_SOURCES;
  for (const part of latin.parts) await readPart(latin.name, part);
  const letters = [...new Set(text)].join('');
  for (const { text: run, font } of fontRuns(letters)) {
    if (font === null || font === 'latin') continue;
    if (font === 'east-asian') await readEastAsian(run);
    else for (const part of FONT_SOURCES[font].parts) await readPart(FONT_SOURCES[font].name, part);
  }
}

async function readEastAsian(letters: string): Promise<void> {
  for (const name of Object.values(PACKAGES))
    for (const part of new Set([...letters].flatMap((letter) => partsWith(name, letter.codePointAt(0)!))))
      await readPart(name, part);
}

const partsWith = (name: string, code: number): string[] =>
  rangesOf(name)
    .filter(({ first, last }) => first <= code && code <= last)
    .map(({ part }) => part);

const draws = ({ font }: Part, cluster: string): boolean =>
  [...cluster].every((letter) => font.hasGlyphForCodePoint(letter.codePointAt(0)!));

/** Which part of a large font has a letter, by the ranges its package gives. */
const ranges = new Map<string, { part: string; first: number; last: number }[]>();
function rangesOf(name: string): { part: string; first: number; last: number }[] {
  const known = ranges.get(name);
  if (known) return known;
  const found = Object.entries(rangesIn(name)).flatMap(([part, said]) =>
    said.split(',').map((range) => {
      const [first, last = first] = range
        .slice(2)
        .split('-')
        .map((end) => Number.parseInt(end, 16));
      return { part: part.replace(/[[\]]/g, ''), first: first!, last: last! };
    }),
  );
  ranges.set(name, found);
  return found;
}

function eastAsianPart(cluster: string, face: Face, han: Han): Part | null {
  const upright = UPRIGHT[face] ?? face;
  const code = cluster.codePointAt(0)!;
  for (const one of [han, 'chinese', 'japanese', 'korean'] as const) {
    const parts = partsWith(PACKAGES[one], code).map((part) => partOf(PACKAGES[one], part, upright));
    const part = parts.find((found) => found && draws(found, cluster));
    if (part) return part;
  }
  return null;
}

function partFor(cluster: string, font: FontName, face: Face): Part | null {
  const { name, parts } = FONT_SOURCES[font];
  for (const one of [face, UPRIGHT[face] ?? face, 'regular'] as const)
    for (const part of parts) {
      const found = partOf(name, part, one);
      if (found && draws(found, cluster)) return found;
    }
  return null;
}

/** A run of text that one part of a font draws, as it is given to the document. */
export interface PaperRun {
  text: string;
  part: Part;
}

/** A line of text in runs of one part each, from left to right. What no shipped font has is drawn as the first one's box. */
export function paperRuns(line: string, face: Face, direction = directionOf(line)): PaperRun[] {
  // Control characters are drawn by nothing.
  const text = line.replace(/\p{Cc}/gu, ' ');
  if (!hasRightToLeft(text)) return inParts(text, face);
  return directedRuns(text, direction).flatMap(({ text: run, rtl }) => {
    const runs = inParts(run, face).map((one) => ({ ...one, text: asSet(one.text, rtl) }));
    return rtl ? runs.reverse() : runs;
  });
}

/**
 * What sets type turns the letters of scripts that run from right to left by itself, and nothing else: not the brackets
 * between them, but their figures too, which run from left to right.
 */
function asSet(text: string, rtl: boolean): string {
  if (rtl === hasRightToLeft(text)) return text;
  const turned = graphemes(text).reverse();
  return (rtl ? turned.map(mirrored) : turned).join('');
}

function inParts(text: string, face: Face): PaperRun[] {
  const runs: PaperRun[] = [];
  const han = hanOf(text) ?? 'chinese';
  for (const { text: run, font } of fontRuns(text))
    for (const cluster of graphemes(run)) {
      const part =
        (font === 'east-asian' ? eastAsianPart(cluster, face, han) : font && partFor(cluster, font, face)) ??
        partOf(FONT_SOURCES.latin.name, 'latin', face)!;
      const last = runs.at(-1);
      if (last?.part === part) last.text += cluster;
      else runs.push({ text: cluster, part });
    }
  return runs;
}
