import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { drawnBox, mend } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { Resvg } from '@resvg/resvg-js';
import type { RenderedImage } from '@resvg/resvg-js';
import sharp from 'sharp';
import type { Sharp } from 'sharp';
import { DRAWN_FORMATS } from '../drawn-formats.js';
import { Unreadable } from '../format.js';
import type { Format, Writing } from '../format.js';
import { partsFor } from '../paper/font-rules.js';
import type { Part } from '../paper/paper-fonts.js';
import { wordsDrawn } from './letters.js';
import { blockOf, drawnWith } from './svg.js';

/** Pixels that a picture may have: what is more no program opens. */
const MOST_PIXELS = 100_000_000;

/** Portable Network Graphics: the drawing in pixels. */
export const png: Format = {
  ...DRAWN_FORMATS.png,
  write: async (map, writing) => ({ content: await rasterOf(map, writing), said: [] }),
};

/** JPEG: the drawing in pixels, for what takes nothing else. */
export const jpg: Format = {
  ...DRAWN_FORMATS.jpg,
  write: async (map, writing) => {
    const drawn = await pixelsOf(map, { ...writing, clear: false }, writing.scale);
    return { content: new Uint8Array(await opaque(drawn).jpeg({ quality: 92 }).toBuffer()), said: [] };
  },
};

/**
 * The drawing as a PNG.
 * @param scale pixels to a canvas unit
 * @throws Unreadable where it would be too large to be opened
 */
export async function rasterOf(
  map: TopicMap,
  writing: Writing,
  scale: number | undefined = writing.scale,
): Promise<Uint8Array> {
  const drawn = await pixelsOf(map, writing, scale);
  // What can be seen through is taken apart again by the library that drew it; the other packs in a fraction of the time.
  return new Uint8Array(writing.clear ? drawn.asPng() : await opaque(drawn).png().toBuffer());
}

const opaque = ({ pixels, width, height }: RenderedImage): Sharp =>
  sharp(pixels, { raw: { width, height, channels: 4 } }).removeAlpha();

async function pixelsOf(map: TopicMap, writing: Writing, scale = 1): Promise<RenderedImage> {
  const { clear = false } = writing;
  const box = drawnBox(mend(map).map, writing.legend);
  if (box && (box.right - box.left) * (box.bottom - box.top) * scale ** 2 > MOST_PIXELS)
    throw new Unreadable('would have more than 100 million pixels; take a smaller scale, or svg');
  const block = writing.block ? blockOf(map, writing) : undefined;
  const parts = await partsFor(wordsDrawn(mend(map).map, writing.legend, block));
  const drawn = new Resvg(await drawnWith(map, writing), {
    ...(!clear && { background: '#ffffff' }),
    fitTo: { mode: 'zoom', value: scale },
    font: {
      loadSystemFonts: false,
      fontFiles: [...parts].map(fileOf),
      defaultFontFamily: 'Atkinson Hyperlegible Next',
    },
  });
  return drawn.render();
}

let folder: string | null = null;
const written = new Map<string, string>();

/** The library that draws takes fonts from files: each is unpacked into one, once a process. */
function fileOf({ name, content }: Part): string {
  let file = written.get(name);
  if (file === undefined) {
    file = path.join((folder ??= newFolder()), `${name}.ttf`);
    writeFileSync(file, content);
    written.set(name, file);
  }
  return file;
}

function newFolder(): string {
  const made = mkdtempSync(path.join(os.tmpdir(), 'ichnograph-fonts-'));
  process.once('exit', () => rmSync(made, { recursive: true, force: true }));
  return made;
}
