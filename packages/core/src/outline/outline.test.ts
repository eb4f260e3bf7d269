import fc from 'fast-check';
import { LIMITS } from '../map/types.js';
import { MOST_LINES, readOutline } from './outline.js';

const terms = (text: string, kinds?: string[]) =>
  readOutline(text, kinds).terms.map(({ text: words, level, under }) => [words, level, under]);
const said = (text: string) => readOutline(text).messages.map(({ line, code }) => [line, code]);

test('indentation by spaces: the smallest step is one level', () => {
  expect(terms('Bridge\n    Arch\n        Keystone\n    Beam')).toEqual([
    ['Bridge', 1, null],
    ['Arch', 2, 'Bridge'],
    ['Keystone', 3, 'Arch'],
    ['Beam', 2, 'Bridge'],
  ]);
  expect(terms('Bridge\n  Arch\n    Keystone')).toEqual(terms('Bridge\n    Arch\n        Keystone'));
});

test('a tab is one level, alone and before spaces', () => {
  expect(terms('Bridge\n\tArch\n\t\tKeystone')).toEqual(terms('Bridge\n  Arch\n    Keystone'));
  expect(terms('Bridge\n\tArch\n\t  Keystone')).toEqual(terms('Bridge\n  Arch\n    Keystone'));
});

test('without any indentation the parts of a dotted number are the level', () => {
  expect(terms('1. Bridge\n1.1 Arch\n1.1.1. Keystone\n1.2 Beam\n2) Load\nplain')).toEqual([
    ['Bridge', 1, null],
    ['Arch', 2, 'Bridge'],
    ['Keystone', 3, 'Arch'],
    ['Beam', 2, 'Bridge'],
    ['Load', 1, null],
    ['plain', 1, null],
  ]);
  expect(terms('1. Bridge\n  1.1 Arch')).toEqual([
    ['Bridge', 1, null],
    ['Arch', 2, 'Bridge'],
  ]);
});

test.each([
  ['- Arch', 'Arch'],
  ['* Arch', 'Arch'],
  ['+ Arch', 'Arch'],
  ['•\tArch', 'Arch'],
  ['– Arch', 'Arch'],
  ['— Arch', 'Arch'],
  ['1. Arch', 'Arch'],
  ['12) Arch', 'Arch'],
  ['1.2 Arch', 'Arch'],
  ['1.2.3. Arch', 'Arch'],
  ['a) Arch', 'Arch'],
  ['b. Arch', 'Arch'],
  ['iv. Arch', 'Arch'],
  ['(2) Arch', 'Arch'],
  ['- 1. Arch', '1. Arch'],
  ['-Arch', '-Arch'],
  ['1.Arch', '1.Arch'],
  ['3 Arches', '3 Arches'],
  ['ab. Arch', 'ab. Arch'],
])('of “%s” is left “%s”', (line, text) => {
  expect(terms(line)).toEqual([[text, 1, null]]);
});

test('a line is at most one level deeper than the last, and the first stands at the margin', () => {
  expect(terms('      Bridge\n Arch\n      Keystone')).toEqual([
    ['Bridge', 1, null],
    ['Arch', 2, 'Bridge'],
    ['Keystone', 3, 'Arch'],
  ]);
});

test('bars separate other wordings; white space is collapsed', () => {
  expect(readOutline('Dead   load |  own weight | self-load\na|b').terms).toEqual([
    { text: 'Dead load', accept: ['own weight', 'self-load'], level: 1, under: null, kind: null },
    { text: 'a|b', accept: [], level: 1, under: null, kind: null },
  ]);
});

test('what came before is left out and said, and what follows it deeper stands under the first', () => {
  const text = 'Arch\n\tKeystone\nBeam\nARCH!\n\tAbutment';
  expect(terms(text)).toEqual([
    ['Arch', 1, null],
    ['Keystone', 2, 'Arch'],
    ['Beam', 1, null],
    ['Abutment', 2, 'Arch'],
  ]);
  expect(said(text)).toEqual([[4, 'repeated']]);
});

test('kinds by level, the last for all deeper', () => {
  const kinds = (names: string[]) => readOutline('a\n\tb\n\t\tc\n\t\t\td', names).terms.map(({ kind }) => kind);
  expect(kinds(['top', 'part'])).toEqual(['top', 'part', 'part', 'part']);
  expect(kinds([])).toEqual([null, null, null, null]);
});

test('too long a text is cut and said; so is too long an outline', () => {
  const long = readOutline(`\n${'x'.repeat(400)}`);
  expect(long.terms[0]!.text).toHaveLength(LIMITS.text);
  expect(long.messages).toMatchObject([{ line: 2, code: 'cut' }]);
  const many = readOutline(Array.from({ length: MOST_LINES + 5 }, (_, i) => `t${i}`).join('\n\n'));
  expect(many.terms).toHaveLength(MOST_LINES);
  expect(many.messages).toMatchObject([{ line: 2 * MOST_LINES + 1, code: 'tooMany' }]);
});

test('whatever is pasted, levels grow by one at most, and every term but those at the margin stands under one above', () => {
  const line = fc.tuple(
    fc.constantFrom('', ' ', '  ', '\t', '    ', '1.2 ', '- '),
    fc.string({ unit: 'grapheme', maxLength: 12 }),
  );
  fc.assert(
    fc.property(fc.array(line, { maxLength: 20 }), (lines) => {
      const { terms: found } = readOutline(lines.map((parts) => parts.join('')).join('\n'));
      const texts = new Set<string>();
      found.forEach(({ text, level, under }) => {
        expect(level).toBeGreaterThanOrEqual(1);
        expect(text).toBe(text.replace(/\s+/g, ' ').trim());
        if (under !== null) expect(texts).toContain(under);
        texts.add(text);
      });
      expect(texts.size).toBe(found.length);
    }),
  );
});
