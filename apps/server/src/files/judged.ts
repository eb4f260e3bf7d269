import { fileTypeFromBuffer } from 'file-type';
import sharp from 'sharp';
import { refused } from '../common/problem.js';

/** What an upload is, judged by its content alone; what it was called plays no part. */
export interface Judged {
  content: Buffer;
  /** how it will be served */
  type: string;
  width: number | null;
  height: number | null;
}

/** Files that are kept as they are, and only ever handed out to be saved, never shown. */
const KEPT_AS_THEY_ARE = new Set([
  'application/pdf',
  'application/epub+zip',
  'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  'application/vnd.openxmlformats-officedocument.presentationml.presentation',
  'application/vnd.oasis.opendocument.text',
  'application/vnd.oasis.opendocument.spreadsheet',
  'application/vnd.oasis.opendocument.presentation',
  'audio/mpeg',
  'audio/mp4',
  'audio/x-m4a',
  'audio/ogg',
  'audio/wav',
  'audio/flac',
  'video/mp4',
  'video/webm',
  'video/quicktime',
]);
const DRAWN = new Set(['image/png', 'image/jpeg', 'image/webp', 'image/gif', 'image/avif', 'image/tiff']);

/** Longest side of a picture that is kept, and how many pixels one may have that comes; a bomb has more. */
const [LONGEST_SIDE, MOST_PIXELS] = [2000, 80_000_000];
const PATIENCE_S = 15;

const NOT_TAKEN = refused(
  'Files of this sort are not taken. Pictures, PDF, text, office documents, sound and film are.',
);
const BROKEN = refused('This picture cannot be read: it is broken, or larger than 80 million pixels.');

export async function judged(bytes: Buffer): Promise<Judged> {
  if (bytes.length === 0) throw refused('This file is empty.');
  const known = (await fileTypeFromBuffer(bytes))?.mime;
  if (known && DRAWN.has(known)) return drawnAnew(bytes);
  if (isSvg(bytes)) return drawnAnew(bytes);
  if (known && KEPT_AS_THEY_ARE.has(known)) return { content: bytes, type: known, width: null, height: null };
  // Text of any sort, a page or a script too, is text to be saved: nothing that a browser would run.
  if (isText(bytes)) return { content: bytes, type: 'text/plain; charset=utf-8', width: null, height: null };
  throw NOT_TAKEN;
}

/**
 * A picture drawn anew as pixels, turned as its camera meant and no larger than it can be used. Whatever else the file held
 * (where it was taken, with what, hidden data) stays behind.
 */
export async function drawnAnew(bytes: Buffer, density?: number): Promise<Judged> {
  try {
    const picture = sharp(bytes, {
      limitInputPixels: MOST_PIXELS,
      failOn: 'error',
      ...(density !== undefined && { density }),
    })
      .timeout({ seconds: PATIENCE_S })
      .rotate()
      .resize(LONGEST_SIDE, LONGEST_SIDE, { fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb');
    const { hasAlpha, format } = await sharp(bytes, { limitInputPixels: MOST_PIXELS }).metadata();
    const isDrawing = hasAlpha || format === 'png' || format === 'gif' || format === 'svg';
    const { data, info } = await (
      isDrawing ? picture.png({ compressionLevel: 9 }) : picture.jpeg({ quality: 84 })
    ).toBuffer({ resolveWithObject: true });
    return { content: data, type: isDrawing ? 'image/png' : 'image/jpeg', width: info.width, height: info.height };
  } catch {
    // The library says what is wrong with the bytes, which helps nobody who chose a file.
    throw BROKEN;
  }
}

const utf8 = new TextDecoder('utf-8', { fatal: true });
const decoded = (bytes: Buffer): string | null => {
  try {
    return utf8.decode(bytes);
  } catch {
    return null;
  }
};

/** Text without control characters. */
function isText(bytes: Buffer): boolean {
  const text = decoded(bytes);
  // eslint-disable-next-line no-control-regex -- those are what is looked for
  return text !== null && !/[\u0000-\u0008\u000e-\u001f]/.test(text);
}

const isSvg = (bytes: Buffer): boolean =>
  /^\s*(?:<\?xml[^>]*\?>\s*)?(?:<!--[\s\S]*?-->\s*|<!DOCTYPE[^>[]*(?:\[[\s\S]*?\])?>\s*)*<svg[\s>]/.test(
    bytes
      .subarray(0, 8192)
      .toString('utf8')
      .replace(/^\uFEFF/, ''),
  );
