import type { TopicMap } from '@ichnograph/core';
import { Unreadable } from './format.js';
import type { Format, Reading, Understood, Writing, Written } from './format.js';

export const MOST_FILE_BYTES = 50 * 1024 * 1024;
/** What reading a file may take, wherever it is done: milliseconds, and MiB. */
export const READING_LIMITS = { ms: 10_000, mebibytes: 512 } as const;

/** Reads a file of a format. @throws Unreadable */
export async function readFile(format: Format, content: Uint8Array, reading: Reading): Promise<Understood> {
  if (!format.read) throw new Unreadable(`is of a format that is not read: ${format.label}`);
  if (content.length > MOST_FILE_BYTES) throw new Unreadable(`is larger than ${MOST_FILE_BYTES / 1024 / 1024} MiB`);
  const { read } = format;
  return orTooDeep(() => read(content, reading));
}

/** Writes a map as a file of a format. @throws Unreadable */
export async function writeFile(format: Format, map: TopicMap, writing: Writing): Promise<Written> {
  if (!format.write) throw new Unreadable(`is of a format that is not written: ${format.label}`);
  const { write } = format;
  return orTooDeep(() => write(map, writing));
}

/** Whoever nests without end gets no further than a program's stack. */
async function orTooDeep<T>(make: () => T | Promise<T>): Promise<T> {
  try {
    return await make();
  } catch (error) {
    if ((error as Error).name !== 'RangeError') throw error;
    throw new Unreadable('is nested too deep for this format, or holds a text that is too long');
  }
}
