import { LARGEST, namesIn, readNames, textOfFile } from './read-names';

const namesOf = (text: string, known: string[] = []) => {
  const table = readNames(text);
  return namesIn(table, table.columns, known);
};
const short = (text: string, known?: string[]) =>
  namesOf(text, known).map(({ givenName, familyName, trouble, odd }) => [givenName, familyName, trouble ?? odd]);

test('one a line: the last word is the family name', () => {
  expect(short('Noor Halvorsen\n\n  Ana Maria  de Souza \nJuno')).toEqual([
    ['Noor', 'Halvorsen', null],
    ['Ana Maria de', 'Souza', null],
    ['Juno', '', 'one word'],
  ]);
});
test('a family name before a comma', () => {
  expect(short('Halvorsen, Noor\nde Souza, Ana Maria')).toEqual([
    ['Noor', 'Halvorsen', null],
    ['Ana Maria', 'de Souza', null],
  ]);
});
test('CSV by its heading, whatever its delimiter and order', () => {
  expect(short('No;Surname;First name\n1;Halvorsen;Noor\n2;"Lund; junior";Kofi')).toEqual([
    ['Noor', 'Halvorsen', null],
    ['Kofi', 'Lund; junior', null],
  ]);
});
test('the users file of OneRoster', () => {
  const table = readNames(
    '"sourcedId","status","dateLastModified","enabledUser","username","userIds","givenName","familyName"\n' +
      '"u1","active","2026-01-01T00:00:00Z","true","noor","","Noor","Halvorsen"',
  );
  expect(table.columns).toEqual({ given: 6, family: 7 });
  expect(namesIn(table, table.columns, [])).toMatchObject([
    { givenName: 'Noor', familyName: 'Halvorsen', trouble: null },
  ]);
});
test('what is wrong or odd is said by its line', () => {
  expect(
    short(`Noor Halvorsen\nnoor  HALVORSEN\n=SUM(A1) X\n${'x'.repeat(61)} Y\nR2 D2\nKofi Lund`, ['Kofi Lund']),
  ).toEqual([
    ['Noor', 'Halvorsen', null],
    ['noor', 'HALVORSEN', 'twice'],
    ['=SUM(A1)', 'X', 'formula'],
    ['x'.repeat(61), 'Y', 'too long'],
    ['R2', 'D2', 'digits'],
    ['Kofi', 'Lund', 'in the class'],
  ]);
  expect(namesOf('a b\n\nc d').map(({ line }) => line)).toEqual([1, 3]);
});
test('nothing is nothing', () => {
  expect(namesOf('')).toEqual([]);
  expect(namesOf(' \n,,\n')).toEqual([]);
});
test('files in UTF-8 with a mark and in UTF-16, and none that is too large', () => {
  const utf16 = Buffer.from('\ufeffÅsa Öberg', 'utf16le');
  expect(short(textOfFile(new Uint8Array(utf16)))).toEqual([['Åsa', 'Öberg', null]]);
  expect(short(textOfFile(new Uint8Array(utf16.swap16())))).toEqual([['Åsa', 'Öberg', null]]);
  expect(short(textOfFile(new TextEncoder().encode('\ufeffÅsa Öberg')))).toEqual([['Åsa', 'Öberg', null]]);
  expect(() => textOfFile(new Uint8Array(LARGEST + 1))).toThrow(RangeError);
});
