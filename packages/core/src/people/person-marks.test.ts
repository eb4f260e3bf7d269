import { colourDistance, contrast } from '../map/colour.js';
import { PERSON_COLOURS, personMarks } from './person-marks.js';

const person = (givenName: string, familyName: string, id = `${givenName} ${familyName}`) => ({
  id,
  givenName,
  familyName,
});
const initials = (...names: [string, string][]): string[] =>
  [...personMarks(names.map(([given, family], i) => person(given, family, String(i)))).values()].map(
    (mark) => mark.initials,
  );

test('white letters can be read on each colour, and no two colours are taken for one another', () => {
  for (const colour of PERSON_COLOURS) expect(contrast('#ffffff', colour)).toBeGreaterThanOrEqual(4.5);
  for (const [i, one] of PERSON_COLOURS.entries())
    for (const other of PERSON_COLOURS.slice(i + 1)) expect(colourDistance(one, other)).toBeGreaterThan(15);
});

test('initials are those of both names, and more letters or a figure where somebody has them already', () => {
  expect(initials(['Juno', 'Bakker'], ['Jomo', 'Brandt'], ['Jo', 'Bakker'], ['Jo', 'Bakker'])).toEqual([
    'JB',
    'JBr',
    'JBa',
    'JBak',
  ]);
  expect(initials(['Li', ''], ['Lo', ''])).toEqual(['L', 'L2']);
  expect(initials(['', 'de Vos'])).toEqual(['D']);
  expect(initials(['عمر', 'حداد'])).toEqual(['عح']);
});

test('each of the first eight has a line of their own, and who comes later changes nobody', () => {
  const people = Array.from({ length: 11 }, (_, i) => person(String.fromCharCode(65 + i), 'Z'));
  const marks = personMarks(people);
  expect(new Set([...marks.values()].slice(0, 8).map(({ dash }) => dash.join(' '))).size).toBe(8);
  const fewer = personMarks(people.slice(0, 4));
  for (const [id, mark] of fewer) expect(marks.get(id)).toEqual(mark);
});
