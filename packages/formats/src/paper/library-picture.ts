import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { pictureSrc } from '@ichnograph/core';
import { libraryFolder } from '@ichnograph/library/folder';

/** The content of a picture of the shipped library; null for what names none. */
export function libraryPicture(src: string): Promise<Buffer> | null {
  const named = pictureSrc(src);
  return named?.from === 'library'
    ? readFile(path.join(libraryFolder, 'pictures', named.set, `${named.name}.svg`))
    : null;
}
