import { drawnBox, mend } from '@ichnograph/core';
import type { Box, TopicMap } from '@ichnograph/core';
import { DRAWN_FORMATS } from '../drawn-formats.js';
import type { Format, Writing } from '../format.js';
import { drawMap } from '../paper/draw-map.js';
import { readFontsFor } from '../paper/paper-fonts.js';
import { pictureForPaper } from '../paper/picture-for-paper.js';
import { MARGIN, Typesetter } from '../paper/typesetter.js';
import { greyOf } from './grey.js';
import { wordsDrawn } from './letters.js';
import { picturesOf } from './pictures.js';
import { nameOf } from './svg.js';

/** A canvas unit at full size, points; what two sheets side by side both show, and how long cutting marks are. */
const [FULL, OVERLAP, MARK] = [0.75, 24, 12];
const SIZES = { a4: 'A4', letter: 'LETTER', a3: 'A3' } as const;
const EMPTY: Box = { left: 0, top: 0, right: 0, bottom: 0 };

/** Portable Document Format: the drawing on a page, or at full size over as many as it needs. */
export const pdf: Format = {
  ...DRAWN_FORMATS.pdf,
  write: async (map, writing) => ({ content: await documentOf(mend(map).map, writing), said: [] }),
};

async function documentOf(map: TopicMap, writing: Writing): Promise<Uint8Array> {
  const { legend, at, grey = false } = writing;
  const name = nameOf(map);
  await readFontsFor(
    `${wordsDrawn(map, legend)
      .map(({ text }) => text)
      .join('')}${name} of 0123456789`,
  );
  const pictures = await picturesOf(map, writing.pictureOf, (content) => pictureForPaper(content, grey));
  const drawn = { map, legend, pictures, largest: FULL, isCentred: true, ...(grey && { colour: greyOf }) };
  const box = drawnBox(map, legend) ?? EMPTY;
  const [width, height] = [box.right - box.left, box.bottom - box.top];
  const pages = new Typesetter(name, at);
  const addPage = (): Box => {
    pages.page(width > height ? 'landscape' : 'portrait', SIZES[writing.paper ?? 'a4']);
    return frameOf(pages);
  };
  const first = addPage();
  const sheets = writing.tiles ? sheetsOf(box, first) : [];
  if (sheets.length === 0) drawMap(pages, drawn, first);
  sheets.forEach(({ view }, i) => {
    const frame = i === 0 ? first : addPage();
    drawMap(pages, { ...drawn, view }, frame);
    markCuts(pages, frame);
  });
  return pages.end((page, of) => [name, sheets[page - 1]?.name, `${page} of ${of}`].filter(Boolean).join(' · '));
}

/** What of a page is drawn on, points. */
function frameOf({ doc }: Typesetter): Box {
  const { width, height } = doc.page;
  return { left: MARGIN, top: MARGIN, right: width - MARGIN, bottom: height - MARGIN };
}

interface Sheet {
  /** a letter for its row, a number for its column */
  name: string;
  view: Box;
}

/** The parts of a drawing on each of several sheets, row by row, the drawing in their middle. */
function sheetsOf(box: Box, frame: Box): Sheet[] {
  const [wide, high] = [(frame.right - frame.left) / FULL, (frame.bottom - frame.top) / FULL];
  const overlap = OVERLAP / FULL;
  const count = (length: number, of: number): number => Math.max(1, Math.ceil((length - overlap) / (of - overlap)));
  const [across, down] = [count(box.right - box.left, wide), count(box.bottom - box.top, high)];
  const start = (low: number, high_: number, sheets: number, of: number): number =>
    (low + high_) / 2 - (sheets * (of - overlap) + overlap) / 2;
  const [left, top] = [start(box.left, box.right, across, wide), start(box.top, box.bottom, down, high)];
  return Array.from({ length: across * down }, (_, i) => {
    const [column, row] = [i % across, Math.floor(i / across)];
    const view = { left: left + column * (wide - overlap), top: top + row * (high - overlap), right: 0, bottom: 0 };
    return {
      name: `${letters(row)}${column + 1}`,
      view: { ...view, right: view.left + wide, bottom: view.top + high },
    };
  });
}

/** A to Z, then AA and on. */
const letters = (row: number): string =>
  (row >= 26 ? letters(Math.floor(row / 26) - 1) : '') + String.fromCharCode(65 + (row % 26));

/** Where a sheet is cut: half of what it shares with the next. */
function markCuts({ doc }: Typesetter, { left, top, right, bottom }: Box): void {
  const half = OVERLAP / 2;
  doc.save().lineWidth(0.5).strokeColor('#333333');
  for (const [x, out] of [
    [left + half, left],
    [right - half, right],
  ] as const)
    for (const [y, over] of [
      [top + half, top],
      [bottom - half, bottom],
    ] as const) {
      const [stepX, stepY] = [Math.sign(out - x), Math.sign(over - y)];
      doc
        .moveTo(x, over)
        .lineTo(x, over + stepY * MARK)
        .stroke();
      doc
        .moveTo(out, y)
        .lineTo(out + stepX * MARK, y)
        .stroke();
    }
  doc.restore();
}
