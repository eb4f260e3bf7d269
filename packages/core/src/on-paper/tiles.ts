import type { Box } from '../geometry/points.js';
import { POINTS_PER_UNIT, printedOn } from './page.js';
import type { PaperPage } from './page.js';

/** Letters of a map on several sheets are at least as high, points. */
export const TILE_POINTS = 8;
/** What two sheets that lie side by side both show, so that they can be glued, points. */
const OVERLAP = 24;

export interface Tiles {
  across: number;
  down: number;
  /** the part of the map on each sheet, row by row, canvas units */
  boxes: Box[];
}

/**
 * The sheets that a drawing is laid over, so that its smallest letters can be read: as few as will do, the drawing in their
 * middle.
 * @param smallest the height of its smallest letters, canvas units
 */
export function tilesOf(drawn: Box, smallest: number, page: PaperPage): Tiles {
  const scale = Math.min(POINTS_PER_UNIT, TILE_POINTS / smallest);
  const sheet = printedOn(page);
  const [width, height, overlap] = [sheet.width / scale, sheet.height / scale, OVERLAP / scale];
  const count = (length: number, of: number): number => Math.max(1, Math.ceil((length - overlap) / (of - overlap)));
  const [across, down] = [count(drawn.right - drawn.left, width), count(drawn.bottom - drawn.top, height)];
  const start = (low: number, high: number, sheets: number, of: number): number =>
    (low + high) / 2 - (sheets * (of - overlap) + overlap) / 2;
  const left = start(drawn.left, drawn.right, across, width);
  const top = start(drawn.top, drawn.bottom, down, height);
  const boxes = Array.from({ length: across * down }, (_, i): Box => {
    const x = left + (i % across) * (width - overlap);
    const y = top + Math.floor(i / across) * (height - overlap);
    return { left: x, top: y, right: x + width, bottom: y + height };
  });
  return { across, down, boxes };
}

/** The way round in which fewer sheets do. */
export function fewestTiles(drawn: Box, smallest: number, { paper }: PaperPage): Tiles & { sideways: boolean } {
  const [upright, sideways] = [false, true].map((turned) => ({
    ...tilesOf(drawn, smallest, { paper, sideways: turned }),
    sideways: turned,
  }));
  return sideways!.boxes.length <= upright!.boxes.length ? sideways! : upright!;
}
