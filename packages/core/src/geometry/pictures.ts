import { isBlank } from '../words/normal-form.js';
import type { Box } from './points.js';

/** The side of the square a picture stands in until a hand sets its size, and what lies between two; canvas units. */
const [SIDE, GAP] = [64, 6];
/** Smaller pictures are not drawn: a topic that is too small for them bears a sign. */
const LEAST = 12;

interface Sized {
  width?: number | undefined;
  height?: number | undefined;
}

export interface PicturesBlock {
  /** around the block's upper left corner, in the order of the pictures */
  boxes: Box[];
  width: number;
  height: number;
}

const NONE: PicturesBlock = { boxes: [], width: 0, height: 0 };

/** Pictures side by side in as many rows as they need, each row in the middle. Canvas units. */
export function layoutPictures(pictures: readonly Sized[], across: number, scale = 1): PicturesBlock {
  const rows: { sizes: { width: number; height: number }[]; width: number; height: number }[] = [];
  for (const { width = SIDE, height = SIDE } of pictures) {
    const size = { width: width * scale, height: height * scale };
    const row = rows.at(-1);
    if (row && row.width + GAP + size.width <= across) {
      row.sizes.push(size);
      row.width += GAP + size.width;
      row.height = Math.max(row.height, size.height);
    } else rows.push({ sizes: [size], width: size.width, height: size.height });
  }
  if (rows.length === 0) return NONE;
  const width = Math.max(...rows.map((row) => row.width));
  const boxes: Box[] = [];
  let top = 0;
  for (const row of rows) {
    let left = (width - row.width) / 2;
    for (const size of row.sizes) {
      boxes.push({ left, top, right: left + size.width, bottom: top + size.height });
      left += size.width + GAP;
    }
    top += row.height + GAP;
  }
  return { boxes, width, height: top - GAP };
}

/**
 * A topic's pictures as they stand over its words in the room there is; smaller where that is less than they want, none
 * where nothing could be seen of them.
 * @param room what the topic has inside, and how much of its height the words take
 */
export function picturesWithin(
  pictures: readonly Sized[],
  room: { width: number; height: number; words: number },
): PicturesBlock {
  const high = room.height - (room.words > 0 ? room.words + GAP : 0);
  let scale = 1;
  for (let tries = 0; tries < 12; tries++) {
    const block = layoutPictures(pictures, room.width, scale);
    const fits = Math.min(room.width / block.width, high / block.height);
    if (fits >= 0.999) return block;
    scale *= Math.max(0.5, Math.min(0.95, fits));
    if (scale * SIDE < LEAST) return NONE;
  }
  return NONE;
}

/** How high words and pictures are together. */
export const stackedHeight = (pictures: PicturesBlock, text: string, words: number): number =>
  pictures.height === 0 ? words : isBlank(text) ? pictures.height : pictures.height + GAP + words;
