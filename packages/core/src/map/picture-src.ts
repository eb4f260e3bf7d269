/**
 * What a map's `src` can name: a file that was uploaded, by the SHA-256 of its content, or a picture of the shipped library,
 * by set and name. Anything else names nothing here, and its words are drawn in its place.
 */
export type PictureSrc = { from: 'upload'; hash: string } | { from: 'library'; set: string; name: string };

const HASH = /^[0-9a-f]{64}$/;
const SHIPPED = /^([a-z][a-z0-9-]*)\/([a-z0-9][a-z0-9-]*)$/;

export function pictureSrc(src: string): PictureSrc | null {
  if (HASH.test(src)) return { from: 'upload', hash: src };
  const [, set, name] = SHIPPED.exec(src) ?? [];
  return set && name ? { from: 'library', set, name } : null;
}

export const isUpload = (src: string): boolean => HASH.test(src);
