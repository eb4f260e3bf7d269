/** Characters of a long text that stand for it on a map. */
const SHOWN = 120;

/** The beginning of a text that is too long to be read on a map, to the end of a word, and a mark that it goes on. */
export function beginningOf(text: string): string {
  const head = text.slice(0, SHOWN).toWellFormed();
  const end = head.search(/\s\S*$/u);
  return `${(end > SHOWN / 2 ? head.slice(0, end) : head).trimEnd()} …`;
}
