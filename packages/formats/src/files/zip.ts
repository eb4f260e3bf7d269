import { Unzip, UnzipInflate } from 'fflate';
import { Unreadable } from '../format.js';

const MOST_BYTES = 100 * 1024 * 1024;
const MOST_ENTRIES = 10_000;
const MOST_RATIO = 200;
/** Below this a high ratio harms nobody. */
const SMALL = 1024 * 1024;

/** A name that leads out of the folder it is unpacked into. */
const leadsOut = (name: string): boolean =>
  /^([/\\]|[a-z]:)/i.test(name) || name.split(/[/\\]/).some((part) => part === '..');

/**
 * Unpacks a ZIP, counting while it does: what claims to be small and is not is found out.
 * @param wanted whose content is kept
 * @returns by name, in the archive's order
 * @throws Unreadable
 */
export function unzipped(content: Uint8Array, wanted: (name: string) => boolean = () => true): Map<string, Uint8Array> {
  if (content[0] !== 0x50 || content[1] !== 0x4b) throw new Unreadable('is no ZIP archive');
  const files = new Map<string, Uint8Array>();
  let [bytes, entries] = [0, 0];
  const refuse = (reason: string): never => {
    throw new Unreadable(reason);
  };
  const unzip = new Unzip((file) => {
    entries += 1;
    if (entries > MOST_ENTRIES) refuse(`holds more than ${MOST_ENTRIES} files`);
    if (leadsOut(file.name)) refuse(`holds a file whose name leads out of it: ${JSON.stringify(file.name)}`);
    const pieces: Uint8Array[] = [];
    file.ondata = (error, piece, isLast) => {
      if (error) refuse(`cannot be unpacked: ${error.message}`);
      bytes += piece.length;
      if (bytes > MOST_BYTES) refuse(`holds more than ${MOST_BYTES / 1024 / 1024} MiB`);
      if (bytes > SMALL && bytes > MOST_RATIO * content.length) refuse('unpacks to far more than it is');
      if (!wanted(file.name)) return;
      pieces.push(piece);
      if (isLast) files.set(file.name, joined(pieces));
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  // In pieces, so that what grows without end is found out before it has grown.
  const PIECE = 64 * 1024;
  for (let at = 0; at < content.length; at += PIECE)
    unzip.push(content.subarray(at, at + PIECE), at + PIECE >= content.length);
  if (entries === 0) throw new Unreadable('is an empty ZIP archive, or a broken one');
  return files;
}

function joined(pieces: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(pieces.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const piece of pieces) {
    all.set(piece, at);
    at += piece.length;
  }
  return all;
}
