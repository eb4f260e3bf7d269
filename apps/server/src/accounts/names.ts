/**
 * A sign-in name as it is compared, counted and stored: one form of what a person may type. Whatever is not of the form
 * of a name after that is nobody's.
 */
export const normalName = (typed: string): string => typed.normalize('NFKC').trim().toLowerCase();

const letters = (text: string): string =>
  text
    .normalize('NFKD')
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .replace(/[øœ]/g, 'o')
    .replace(/[æ]/g, 'ae')
    .replace(/[đð]/g, 'd')
    .replace(/ł/g, 'l')
    .replace(/[^a-z0-9]/g, '');

/** Sign-in names for a person, the plainest first, without an end. */
export function* namesFor(givenName: string, familyName: string): Generator<string> {
  const [given, family] = [letters(givenName), letters(familyName)];
  // A name in another script leaves no letters: such a person is a student with a number.
  const stem = (given || family || 'student').slice(0, 24);
  if (given.length > 1) yield given.slice(0, 24);
  if (given && family) {
    yield `${given.slice(0, 20)}.${family[0]!}`;
    yield `${given.slice(0, 16)}.${family.slice(0, 16)}`;
  }
  for (let number = 2; ; number++) yield `${stem}${number}`;
}
