import { emptyMap } from '@ichnograph/core';
import { link, topic } from '../../testing/marks';
import { essaySections, sectionOf } from './sections';

const map = {
  ...emptyMap(),
  topics: [
    topic('bridge', 0, 0, { note: 'To begin with' }),
    topic('loads', 0, 0),
    topic('wind', 0, 0, { note: 'It gusts.' }),
    topic('gusts', 0, 0),
    topic('shapes', 0, 0, { note: 'Many' }),
    topic('loose', 0, 0),
  ],
  links: [link('bridge', 'loads'), link('loads', 'wind'), link('wind', 'gusts'), link('bridge', 'shapes')],
};
const told = essaySections(map).map(({ title, rows, words, unwritten }) => [
  title,
  rows.map(({ id, depth }) => `${id} ${depth}`),
  words,
  unwritten,
]);

test('the parts of an essay are the branches, after what stands at their head', () => {
  expect(told).toEqual([
    ['bridge', ['bridge 0'], 3, 0],
    ['loads', ['loads 0', 'wind 1', 'gusts 2'], 2, 2],
    ['shapes', ['shapes 0'], 1, 0],
    ['loose', ['loose 0'], 0, 1],
  ]);
});

test('a topic is written about in the part it belongs to', () => {
  const sections = essaySections(map);
  expect(sectionOf(sections, 'gusts')?.title).toBe('loads');
  expect(sectionOf(sections, null)).toBeUndefined();
  expect(essaySections(emptyMap())).toEqual([]);
});
