/** Somebody whose file may be among many. */
export interface Named {
  id: string;
  givenName: string;
  familyName: string;
}

/** Letters without their marks, in lower case: names of files often have none. */
const plain = (words: string): string => words.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();
const wordsOf = (words: string): string[] =>
  plain(words.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2'))
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');

const [WHOLE, FAMILY, GIVEN] = [3, 2, 1];

/** How surely a file's name, with the folders it lies in, is somebody's: by both names, by the family's, or by the given one. */
function surety(file: { words: ReadonlySet<string>; run: string }, { givenName, familyName }: Named): number {
  const [given, family] = [wordsOf(givenName), wordsOf(familyName)];
  const holds = (words: readonly string[]): boolean => words.length > 0 && words.every((word) => file.words.has(word));
  const runs = [`${given.join('')}${family.join('')}`, `${family.join('')}${given.join('')}`];
  if (
    given.length + family.length > 1 &&
    ((holds(given) && holds(family)) || runs.some((run) => file.run.includes(run)))
  )
    return WHOLE;
  return holds(family) ? FAMILY : holds(given) ? GIVEN : 0;
}

/**
 * Whose each of many files is, told by its name as people and learning platforms give them: a given and a family name in any
 * order, parted or not, in the file's name or its folder's. Where two would do, or a name could be that of two files, nobody
 * is named.
 * @returns for each file the id of whose it is, or null
 */
export function whoseFiles(files: readonly string[], people: readonly Named[]): (string | null)[] {
  const told = files.map((name) => {
    const words = wordsOf(name.replace(/\.[^./\\]+$/, ''));
    const file = { words: new Set(words), run: words.join('') };
    const sure = people.map((one) => ({ id: one.id, by: surety(file, one) }));
    const most = Math.max(0, ...sure.map(({ by }) => by));
    const best = sure.filter(({ by }) => by === most);
    return most > 0 && best.length === 1 ? best[0]! : null;
  });
  return told.map((one) => {
    if (!one) return null;
    const rivals = told.filter((other) => other?.id === one.id && other.by >= one.by);
    return rivals.length === 1 ? one.id : null;
  });
}
