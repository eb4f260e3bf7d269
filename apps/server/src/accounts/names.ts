import anyAscii from 'any-ascii';

/**
 * A sign-in name as it is compared, counted and stored: one form of what a person may type. Whatever is not of the form
 * of a name after that is nobody's.
 */
export const normalName = (typed: string): string => typed.normalize('NFKC').trim().toLowerCase();

/** The plain letters of a name in any script; a name of signs that no table knows leaves none. */
const letters = (text: string): string =>
  anyAscii(text.normalize('NFKC'))
    .toLowerCase()
    .replace(/[^a-z0-9]/g, '');

/** What every sign-in name of a person begins with. */
export function stemOf(givenName: string, familyName: string): string {
  // Who leaves no letters is a student with a number.
  return (letters(givenName) || letters(familyName) || 'student').slice(0, 16);
}

/** Sign-in names for a person, the plainest first, without an end. */
export function* namesFor(givenName: string, familyName: string): Generator<string> {
  const [given, family] = [letters(givenName), letters(familyName)];
  const stem = stemOf(givenName, familyName);
  if (given.length > 1) yield given.slice(0, 24);
  if (given && family) {
    yield `${given.slice(0, 20)}.${family[0]!}`;
    yield `${given.slice(0, 16)}.${family.slice(0, 16)}`;
  }
  for (let number = 2; ; number++) yield `${stem}${number}`;
}
