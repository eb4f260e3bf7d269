import { existsSync, readFileSync, realpathSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { MOST_FILE_BYTES } from '@ichnograph/formats';
import { Refusal } from '../tool.js';

const realPath = (file: string): string => (existsSync(file) ? realpathSync(file) : path.resolve(file));
export const isSameFile = (one: string, other: string): boolean => realPath(one) === realPath(other);

/** @throws Refusal where nothing could be put */
export function mayBeWritten(file: string): void {
  const folder = path.dirname(path.resolve(file));
  if (!existsSync(folder)) throw new Refusal(`${file}: there is no such folder`);
  if (!statSync(folder).isDirectory()) throw new Refusal(`${file}: ${folder} is no folder`);
  if (existsSync(file) && statSync(file).isDirectory()) throw new Refusal(`${file}: is a folder`);
}

export function contentOf(file: string): Uint8Array {
  return orRefuse(`${file}: could not be read`, () => {
    if (statSync(file).size > MOST_FILE_BYTES)
      throw new Refusal(`${file}: is larger than ${MOST_FILE_BYTES / 1024 / 1024} MiB`);
    return readFileSync(file);
  });
}

/** Written beside it first: what is there is not touched before all of the new is. */
export function keep(file: string, content: Uint8Array): void {
  const draft = `${file}.${process.pid}.part`;
  orRefuse(`${file}: could not be written`, () => {
    try {
      writeFileSync(draft, content, { flag: 'wx' });
      renameSync(draft, file);
    } finally {
      rmSync(draft, { force: true });
    }
  });
}

function orRefuse<T>(what: string, make: () => T): T {
  try {
    return make();
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code) throw new Refusal(`${what} (${code})`);
    throw error;
  }
}
