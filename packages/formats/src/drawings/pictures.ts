import type { TopicMap } from '@ichnograph/core';
import { libraryPicture } from '../paper/library-picture.js';
import type { PictureOf } from '../format.js';

/** The pictures of a map, each as `make` wants it; what cannot be had is not among them, and is drawn in words. */
export async function picturesOf<T>(
  { topics, pictures }: TopicMap,
  pictureOf: PictureOf = shippedPicture,
  make: (content: Uint8Array) => Promise<T> | T,
): Promise<Record<string, T>> {
  const named = new Set([...topics.flatMap((topic) => topic.pictures ?? []), ...pictures].map(({ src }) => src));
  const found = await Promise.all(
    [...named].map(async (src): Promise<[string, T][]> => {
      const content = await pictureOf(src);
      return content ? [[src, await make(content)]] : [];
    }),
  );
  return Object.fromEntries(found.flat());
}

/** A picture of the shipped library; null for what names none there. */
export const shippedPicture: PictureOf = async (src) => {
  try {
    return await libraryPicture(src);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'ENOENT') throw error;
    return null;
  }
};
