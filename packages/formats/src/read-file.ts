import { Unreadable } from './format.js';
import type { Format, Reading, Understood } from './format.js';

export const MOST_FILE_BYTES = 50 * 1024 * 1024;
/** What reading a file may take, wherever it is done: milliseconds, and MiB. */
export const READING_LIMITS = { ms: 10_000, mebibytes: 512 } as const;

/** Reads a file of a format. @throws Unreadable */
export async function readFile(format: Format, content: Uint8Array, reading: Reading): Promise<Understood> {
  if (!format.read) throw new Unreadable(`is of a format that is not read: ${format.label}`);
  if (content.length > MOST_FILE_BYTES) throw new Unreadable(`is larger than ${MOST_FILE_BYTES / 1024 / 1024} MiB`);
  try {
    return await format.read(content, reading);
  } catch (error) {
    // Whoever nests without end gets no further than a program's stack.
    if (error instanceof RangeError) throw new Unreadable('is nested too deep, or holds a text that is too long');
    throw error;
  }
}
