import { link, mapOf, topic } from '../testing/make.js';
import { bearersOf, bearsWords } from './borne.js';

test('a note, a source, an address and a file are something to read; blanks are not', () => {
  expect(bearsWords(topic('a', {}))).toBe(false);
  expect(bearsWords(topic('a', { note: ' \n', source: '' }))).toBe(false);
  expect(bearsWords(topic('a', { weblinks: [], files: [] }))).toBe(false);
  expect(bearsWords(topic('a', { note: 'Arches push outward.' }))).toBe(true);
  expect(bearsWords(topic('a', { source: 'Our book, p. 12' }))).toBe(true);
  expect(bearsWords(topic('a', { weblinks: [{ url: 'https://example.org' }] }))).toBe(true);
  expect(bearsWords(topic('a', { files: [{ src: `upload:${'a'.repeat(64)}` }] }))).toBe(true);
});

test('those that bear something stand as the map is read, also what hangs from nothing', () => {
  const note = 'n';
  const map = mapOf(
    [topic('alone', { note }), topic('root', {}), topic('leaf', { note }), topic('branch', { note })],
    [link('root', 'branch'), link('branch', 'leaf')],
  );
  expect(bearersOf(map).map(({ id }) => id)).toEqual(['branch', 'leaf', 'alone']);
});
