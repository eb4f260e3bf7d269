import { pictureSrc } from '@ichnograph/core';

/** Where the content of a map's `src` is; null where it names nothing here. */
export function pictureHref(src: string): string | null {
  const named = pictureSrc(src);
  if (!named) return null;
  return named.from === 'upload' ? `/api/files/${named.hash}` : `/library/pictures/${named.set}/${named.name}.svg`;
}
