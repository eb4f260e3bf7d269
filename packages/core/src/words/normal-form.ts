export const isBlank = (text: string | undefined): boolean => text === undefined || text.trim() === '';

/**
 * Normal form of a text: Unicode NFKC, lower case, diacritics dropped (NFD without `\p{M}`), apostrophes dropped, all
 * else that is neither letter nor digit a space, spaces collapsed. A text without letters or digits is itself, trimmed.
 * Idempotent.
 */
export function normalForm(text: string): string {
  const plain = text.normalize('NFKC').toLowerCase().normalize('NFD').replace(/\p{M}/gu, '').replace(/['’]/g, '');
  const words = plain.replace(/[^\p{L}\p{Nd}]+/gu, ' ').trim();
  return words === '' ? text.trim() : words;
}

/** Words of the normal form; a blank text has none. */
export function wordsOf(text: string): string[] {
  const form = normalForm(text);
  return form === '' ? [] : form.split(' ');
}
