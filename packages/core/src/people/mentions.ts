interface Named {
  id: string;
  givenName: string;
  familyName: string;
}

/** A name that is begun with the sign, as somebody types it: what stands before it is not part of a word. */
const SIGN = '@';
const isLetter = (letter: string | undefined): boolean => letter !== undefined && /[\p{L}\p{M}\p{N}_]/u.test(letter);
const plain = (words: string): string => words.normalize('NFC').toLocaleLowerCase();

/** How somebody is mentioned: by their given name, or by both where another one has it too. */
export function mentionOf(person: Named, people: readonly Named[]): string {
  const isShared = people.some((other) => other.id !== person.id && plain(other.givenName) === plain(person.givenName));
  return `${SIGN}${isShared ? `${person.givenName} ${person.familyName}` : person.givenName}`;
}

/** Who is mentioned in some words, by the names they are mentioned with; the longest name counts. */
export function mentionedIn(words: string, people: readonly Named[]): Set<string> {
  const text = plain(words);
  const wanted = people
    .map((person) => ({ id: person.id, mention: plain(mentionOf(person, people)) }))
    .toSorted((a, b) => b.mention.length - a.mention.length);
  const found = new Set<string>();
  for (let at = text.indexOf(SIGN); at >= 0; at = text.indexOf(SIGN, at + 1)) {
    if (isLetter(text[at - 1])) continue;
    const one = wanted.find(({ mention }) => text.startsWith(mention, at) && !isLetter(text[at + mention.length]));
    if (one) found.add(one.id);
  }
  return found;
}

/** The beginning of a mention before the caret, for which names are offered; null where none is begun. */
export function mentionBegun(words: string, caret: number): { at: number; name: string } | null {
  const at = words.lastIndexOf(SIGN, caret - 1);
  if (at < 0 || isLetter(words[at - 1])) return null;
  const name = words.slice(at + 1, caret);
  return name.length > 40 || /[\n@]/.test(name) ? null : { at, name };
}
