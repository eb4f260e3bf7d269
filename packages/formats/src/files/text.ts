import { Unreadable } from '../format.js';

const BOMS = [
  { encoding: 'utf-8', bytes: [0xef, 0xbb, 0xbf] },
  { encoding: 'utf-16le', bytes: [0xff, 0xfe] },
  { encoding: 'utf-16be', bytes: [0xfe, 0xff] },
] as const;

/**
 * A file's text: UTF-8, or UTF-16 where it begins with its mark.
 * @param fallback how bytes are read that are no UTF-8; left out, they are refused
 * @throws Unreadable with the position of what is no text
 */
export function textOf(content: Uint8Array, fallback?: 'windows-1252'): string {
  const mark = BOMS.find(({ bytes }) => bytes.every((byte, i) => content[i] === byte));
  const encoding = mark?.encoding ?? 'utf-8';
  const text =
    decoded(content, encoding) ??
    (fallback && !mark ? new TextDecoder(fallback).decode(content) : refuse(content, encoding));
  const nul = text.indexOf('\0');
  if (nul >= 0) throw new Unreadable(`holds a NUL at ${placeIn(text, nul)}, so it is no text`);
  return text;
}

function decoded(content: Uint8Array, encoding: string): string | null {
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(content);
  } catch (error) {
    if (!isNoText(error)) throw error;
    return null;
  }
}

/** By its name: the class is that of whoever made the decoder. */
const isNoText = (error: unknown): boolean => (error as Error).name === 'TypeError';

/** Finds the first byte that is no text, by halves: what comes before it can be read. */
function refuse(content: Uint8Array, encoding: string): never {
  let [fine, bad] = [0, content.length];
  while (bad - fine > 1) {
    const middle = (fine + bad) >> 1;
    if (canBeBegun(content.subarray(0, middle), encoding)) fine = middle;
    else bad = middle;
  }
  throw new Unreadable(`is no ${encoding.toUpperCase()} text at byte ${fine + 1}`);
}

function canBeBegun(content: Uint8Array, encoding: string): boolean {
  try {
    new TextDecoder(encoding, { fatal: true }).decode(content, { stream: true });
    return true;
  } catch (error) {
    if (!isNoText(error)) throw error;
    return false;
  }
}

/** Where a character stands, as editors count. */
export function placeIn(text: string, index: number): string {
  const before = text.slice(0, index).split(/\r\n|\r|\n/);
  return `line ${before.length}, column ${before.at(-1)!.length + 1}`;
}

export const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);
