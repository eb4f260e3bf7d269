import { fileTypeFromBuffer } from 'file-type';
import { refused } from '../common/problem.js';
import type { Picture } from './drawing.js';
import { isSvg } from './is-svg.js';

/** What an upload is, judged by its content alone; what it was called plays no part. */
export interface Examined {
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

const NOT_TAKEN = refused(
  'Files of this sort are not taken. Pictures, PDF, text, office documents, sound and film are.',
);
/** @param draw draws a picture anew */
export async function examined(bytes: Buffer, draw: (bytes: Buffer) => Promise<Picture>): Promise<Examined> {
  if (bytes.length === 0) throw refused('This file is empty.');
  const known = (await fileTypeFromBuffer(bytes))?.mime;
  if ((known && DRAWN.has(known)) || isSvg(bytes)) return draw(bytes);
  if (known && KEPT_AS_THEY_ARE.has(known)) return { content: bytes, type: known, width: null, height: null };
  // Text of any sort, a page or a script too, is text to be saved: nothing that a browser would run.
  if (isText(bytes)) return { content: bytes, type: 'text/plain; charset=utf-8', width: null, height: null };
  throw NOT_TAKEN;
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
