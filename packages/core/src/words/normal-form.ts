export const isBlank = (text: string | undefined): boolean => text === undefined || text.trim() === '';

/** Text that is its own compatibility decomposition: most of what a class writes in English. */
const PLAIN = /^[\x20-\x7e]*$/;

/**
 * Normal form of a text: Unicode NFKC, lower case, diacritics dropped (NFD without `\p{M}`), apostrophes dropped, all
 * else that is neither letter nor digit a space, spaces collapsed. A text without letters or digits is itself, trimmed.
 * Idempotent.
 */
export function normalForm(text: string): string {
  const plain = PLAIN.test(text)
    ? text.toLowerCase()
    : text.normalize('NFKC').toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');
  const words = plain
    .replace(/['’]/g, '')
    .replace(/[^\p{L}\p{Nd}]+/gu, ' ')
    .trim();
  return words === '' ? text.trim() : words;
}

/** Words of the normal form; a blank text has none. */
export const wordsOf = (text: string): string[] => wordsIn(normalForm(text));

export const wordsIn = (form: string): string[] => (form === '' ? [] : form.split(' '));
