import sharp from 'sharp';
import { worker } from 'workerpool';
import { isSvg, withoutFilters } from './is-svg.js';

/** What runs in the process that draws: it can be ended whatever a picture makes it do. */

/** Longest side of a picture that is kept, and how many pixels one may have that comes; a bomb has more. */
const [LONGEST_SIDE, MOST_PIXELS] = [2000, 80_000_000];

export interface Drawn {
  /** base64 */
  content: string;
  type: string;
  width: number;
  height: number;
}

/**
 * A picture drawn anew as pixels, turned as its camera meant and no larger than it can be used. Whatever else the file held
 * (where it was taken, with what, hidden data) stays behind.
 * @param encoded the file, in base64
 */
async function draw(encoded: string, density: number | null): Promise<Drawn> {
  const sent = Buffer.from(encoded, 'base64');
  const bytes = isSvg(sent) ? Buffer.from(withoutFilters(sent.toString('utf8'))) : sent;
  const picture = sharp(bytes, {
    limitInputPixels: MOST_PIXELS,
    failOn: 'error',
    ...(density !== null && { density }),
  })
    .rotate()
    .resize(LONGEST_SIDE, LONGEST_SIDE, { fit: 'inside', withoutEnlargement: true })
    .toColourspace('srgb');
  const { hasAlpha, format } = await sharp(bytes, { limitInputPixels: MOST_PIXELS }).metadata();
  const isDrawing = hasAlpha || format === 'png' || format === 'gif' || format === 'svg';
  const { data, info } = await (
    isDrawing ? picture.png({ compressionLevel: 9 }) : picture.jpeg({ quality: 84 })
  ).toBuffer({ resolveWithObject: true });
  return {
    content: data.toString('base64'),
    type: isDrawing ? 'image/png' : 'image/jpeg',
    width: info.width,
    height: info.height,
  };
}

worker({ draw });
