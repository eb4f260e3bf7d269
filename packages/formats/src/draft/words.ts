/** Runs of white space as one space. */
export const onOneLine = (text: string): string => text.replace(/\s+/gu, ' ').trim();

/** So too, but line breaks stay. */
export const onLines = (text: string): string =>
  text
    .replace(/\r\n?|\u2028|\u2029/g, '\n')
    .split('\n')
    .map(onOneLine)
    .join('\n')
    .trim();

/** As much of a text as there is room for, never half a character. */
export const cutTo = (text: string, room: number): string =>
  text
    .slice(0, room)
    .replace(/[\ud800-\udbff]$/, '')
    .trimEnd();

/** A text as one that is spoken of: on one line, and no longer than need be. */
export function named(text: string): string {
  const words = onOneLine(text);
  return words.length > 80 ? `${cutTo(words, 79)}…` : words;
}
