// Reads the shipped fonts and writes their advance widths as a table that core lays text out with.
// Output: packages/core/src/geometry/font-tables.ts, remade at each build, never edited.
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import * as fontkit from 'fontkit';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const require = createRequire(path.join(root, 'packages/core/package.json'));
const folder = path.join(path.dirname(require.resolve('@fontsource/atkinson-hyperlegible-next/package.json')), 'files');
const open = (part, weight, slant) =>
  fontkit.create(readFileSync(path.join(folder, `atkinson-hyperlegible-next-${part}-${weight}-${slant}.woff2`)));

function advances(slant, weight) {
  const widths = {};
  let metrics;
  for (const part of ['latin-ext', 'latin']) {
    const font = open(part, weight, slant);
    metrics = { unitsPerEm: font.unitsPerEm, ascent: font.ascent, descent: -font.descent };
    for (const codePoint of font.characterSet) {
      if (codePoint < 32) continue;
      widths[codePoint] = Math.round(font.glyphForCodePoint(codePoint).advanceWidth);
    }
  }
  return { ...metrics, advances: widths };
}

const tables = {
  regular: advances('normal', 400),
  bold: advances('normal', 700),
  italic: advances('italic', 400),
  boldItalic: advances('italic', 700),
};
const text = `// Made by scripts/make-font-tables.mjs from the shipped fonts. Do not edit.
export interface FontTable { unitsPerEm: number; ascent: number; descent: number; advances: Record<number, number> }
export const FONT_TABLES: Record<'regular' | 'bold' | 'italic' | 'boldItalic', FontTable> = ${JSON.stringify(tables)};
`;
writeFileSync(path.join(root, 'packages/core/src/geometry/font-tables.ts'), text);
