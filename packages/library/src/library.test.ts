import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { pictureSrc } from '@ichnograph/core';
import { librarySearch } from './search.js';
import { EVERY_SYNONYM, standingFor } from './synonyms.js';
import type { Library } from './search.js';

const folder = path.resolve('packages/library/generated');
const read = <T>(name: string): T => JSON.parse(readFileSync(path.join(folder, name), 'utf8')) as T;
const library = read<Library>('index.json');

test('holds several thousand pictures, each a drawing of its own that a map can name, in a category and credited', () => {
  const { pictures, sets, categories } = library;
  expect(pictures.length).toBeGreaterThan(2500);
  expect(new Set(pictures.map(({ id }) => id)).size).toBe(pictures.length);
  for (const { id, category, name } of pictures) {
    expect(pictureSrc(id)).toMatchObject({ from: 'library' });
    expect(categories).toContain(category);
    expect(name).not.toBe('');
    expect(sets.some((set) => id.startsWith(`${set.id}/`) && set.licence !== '')).toBe(true);
  }
  const unlike = pictures.filter(({ id }) => !existsSync(path.join(folder, 'pictures', `${id}.svg`)));
  expect(unlike).toEqual([]);
});

test('drawings are drawings alone: no script, no address elsewhere, nothing that moves', () => {
  const unfit = library.pictures.filter(({ id }) =>
    /<script|<foreignObject|<animate|\son\w+=|href="(?!#)/i.test(
      readFileSync(path.join(folder, 'pictures', `${id}.svg`), 'utf8'),
    ),
  );
  expect(unfit).toEqual([]);
});

describe('looking for a picture', () => {
  const find = librarySearch(library);
  const german = librarySearch(library, read('words/de.json'));
  const first = (words: string, category: string | null = null): string | undefined => find({ words, category })[0]?.id;

  test('what is called so comes before what has to do with it', () => {
    expect(first('bell')).toBe('noto/bell');
    expect(find({ words: 'bell', category: null }).length).toBeGreaterThan(3);
  });
  test('the beginning of a word is enough, and every word must be there', () => {
    expect(find({ words: 'umbr', category: null }).length).toBeGreaterThan(0);
    expect(find({ words: 'umbrella xylophone', category: null })).toEqual([]);
  });
  test('a category holds its own alone, and no words find all of it', () => {
    const weather = find({ words: '  ', category: 'Weather and sky' });
    expect(weather.length).toBeGreaterThan(50);
    expect(new Set(weather.map(({ category }) => category))).toEqual(new Set(['Weather and sky']));
  });
  test('in the language of the assignment, whatever its accents, and in English too', () => {
    expect(german({ words: 'brucke', category: null }).map(({ id }) => id)).toContain('noto/bridge-at-night');
    expect(german({ words: 'Glocke', category: null })[0]!.id).toBe('noto/bell');
    expect(german({ words: 'bell', category: null })[0]!.id).toBe('noto/bell');
  });
  test.each([
    ['river', /water|wave|boat|canoe/i],
    ['floods', /water|wave|rain|droplets/i],
    ['lantren', /lantern/i],
    ['ferrymann', /ferry|canoe|boat/i],
    ['umbrela', /umbrella/i],
    ['widow', /woman|cry|sad/i],
  ])('%s finds what stands for it, or what was meant', (words, wanted) => {
    const found = find({ words, category: null });
    expect(found.length).toBeGreaterThan(0);
    expect(`${found[0]!.name} ${found[0]!.words}`).toMatch(wanted);
  });
  test('every word that stands for another has a drawing', () => {
    const words = EVERY_SYNONYM.flatMap(standingFor);
    const lost = [...new Set(words)].filter((word) => !library.pictures.some((one) => `${one.name} ${one.words}`.toLowerCase().split(/\W+/).includes(word))); // prettier-ignore
    expect(lost).toEqual([]);
  });
  test.each(['(', '\\', '*', '""', '\u0000'])('%j is looked for as anything else', (words) => {
    expect(() => find({ words, category: null })).not.toThrow();
  });
});
