import { fontRules } from './font-rules.js';
import { paperRuns, readFontsFor } from './paper-fonts.js';

const drawn = (text: string): [string, string][] =>
  paperRuns(text, 'regular').map(({ text: run, part }) => [
    run,
    part.name.replace(/-400-normal|-next|noto-sans-/g, ''),
  ]);

const TEXTS = ['Łódź → CO₂', 'שלום (12)', 'نعم ١٢٣', '植物', '植物の', '식물', 'ψυχή цепь', 'ไทย हिन्दी', 'ꦧ'];
beforeAll(() => readFontsFor(TEXTS.join('')));

test('each letter is drawn by a part that has it', () => {
  for (const text of TEXTS.slice(0, -1))
    for (const { text: run, part } of paperRuns(text, 'bold italic'))
      for (const letter of run.trim())
        expect([letter, part.font.hasGlyphForCodePoint(letter.codePointAt(0)!)]).toEqual([letter, true]);
  expect(drawn('Łódź → CO₂').map(([, part]) => part)).toEqual([
    'atkinson-hyperlegible-latin-ext',
    'atkinson-hyperlegible-latin',
    'atkinson-hyperlegible-latin-ext',
    'atkinson-hyperlegible-latin',
    'math-latin',
    'atkinson-hyperlegible-latin',
    'roboto-math',
  ]);
  expect(drawn('植物の')[0]![1]).toMatch(/^jp-/);
  expect(drawn('植物')[0]![1]).toMatch(/^sc-/);
});

test('runs stand from left to right; brackets are turned, figures of Arabic keep their order once they are set', () => {
  expect(drawn('שלום (12)').map(([run]) => run)).toEqual(['(', '12', ') ', 'שלום']);
  expect(drawn('نعم ١٢٣').map(([run]) => run)).toEqual(['٣٢١', ' ', 'نعم']);
});

test('what no font has is drawn as a box of the first, and control characters as nothing', () => {
  expect(drawn('ꦧ')).toEqual([['ꦧ', 'atkinson-hyperlegible-latin']]);
  expect(drawn('a\u0000b')).toEqual([['a b', 'atkinson-hyperlegible-latin']]);
});

test('a font that is in a file is for all letters that are drawn with it, as on the screen', async () => {
  const rules = await fontRules([{ text: 'a → ₂', face: 'regular' }]);
  const ranges = new Map(
    [...rules.matchAll(/font-family:'([^']*)'[^}]*unicode-range:([^}]*)/g)].map(([, family, range]) => [family, range]),
  );
  expect(ranges.get('Noto Sans Math')).toContain('U+2190-27FF');
  expect(ranges.get('Roboto')).toContain('U+2070-209F');
});
