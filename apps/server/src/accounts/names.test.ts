import { NAME_FORM } from '@ichnograph/contract';
import { firstPassword } from './first-password.js';
import { namesFor, normalName } from './names.js';

const first = (given: string, family: string, count: number): string[] => {
  const names = namesFor(given, family);
  return Array.from({ length: count }, () => names.next().value as string);
};

test('sign-in names begin with the plainest and never end', () => {
  expect(first('Noor', 'Halvorsen', 5)).toEqual(['noor', 'noor.h', 'noor.halvorsen', 'noor2', 'noor3']);
  expect(first('Åsa', 'Øberg', 2)).toEqual(['asa', 'asa.o']);
  expect(first('愛', '山田', 2)).toEqual(['ai', 'ai.s']);
  expect(first('Ярослав', 'Щука', 2)).toEqual(['yaroslav', 'yaroslav.s']);
  // Signs that no table knows leave no letters.
  expect(first('☙', '', 2)).toEqual(['student2', 'student3']);
  expect(first('J', '', 1)).toEqual(['j2']);
});

test.each([
  ['x'.repeat(60), 'y'.repeat(60)],
  ['-- .', '_'],
  ['Łucja', 'Đorđević'],
])('for %s %s each is a name that can be signed in with', (given, family) => {
  for (const name of first(given, family, 6)) {
    expect(name).toMatch(NAME_FORM);
    expect(normalName(` ${name.toUpperCase()} `)).toBe(name);
  }
});

test('first passwords are long enough, easy to read off a card, and not twice the same', () => {
  const many = Array.from({ length: 200 }, firstPassword);
  for (const one of many) expect(one).toMatch(/^[a-z]{4,9}-[a-z]{4,9}-\d{4}$/);
  // Chance may give one twice, once in some thousand runs; not more.
  expect(new Set(many).size).toBeGreaterThan(197);
});
