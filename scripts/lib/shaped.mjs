// Text shaped by HarfBuzz with a shipped font: what the tables are made from, and what tests hold them against.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import * as hb from 'harfbuzzjs';
import { decompress } from 'wawoff2';

const require = createRequire(import.meta.url);

/** The file of one part of a shipped font, WOFF2. */
export const fontFile = (name, part, weight, slant) =>
  path.join(
    path.dirname(require.resolve(`@fontsource/${name}/package.json`)),
    'files',
    `${name}-${part}-${weight}-${slant}.woff2`,
  );

/** A WOFF2 file's font as it is before it was packed. */
export const plainFont = async (file) => Uint8Array.from(await decompress(readFileSync(file)));

/**
 * @param file a WOFF2 file
 * @returns `advance(text)`: how far a text of one script moves the pen, in units of the font, without kerning;
 * `glyphs(text)`: the glyphs it is drawn with, in one string
 */
export async function shaperOf(file) {
  const font = new hb.Font(new hb.Face(new hb.Blob((await plainFont(file)).buffer)));
  const shape = (text) => {
    const buffer = new hb.Buffer();
    buffer.addText(text);
    buffer.guessSegmentProperties();
    hb.shape(font, buffer, [new hb.Feature('kern', 0)]);
    return buffer;
  };
  // The glyph of a joiner is no part of a letter's form.
  const joiner = shape('\u200d').getGlyphInfos()[0]?.codepoint;
  return {
    advance: (text) =>
      shape(text)
        .getGlyphPositions()
        .reduce((sum, { xAdvance }) => sum + xAdvance, 0),
    glyphs: (text) =>
      shape(text)
        .getGlyphInfos()
        .map(({ codepoint }) => codepoint)
        .filter((glyph) => glyph !== joiner)
        .join(' '),
  };
}
