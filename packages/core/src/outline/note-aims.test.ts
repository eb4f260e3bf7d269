import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import type { Requirement } from '../map/types.js';
import { noteAims } from './note-aims.js';

const map = mapOf(
  [
    topic('bridge', { kind: 'root' }),
    topic('Loads', { note: 'one two' }),
    topic('wind', { note: 'three' }),
    topic('Shapes'),
  ],
  [link('bridge', 'Loads'), link('Loads', 'wind'), link('bridge', 'Shapes')],
);
const aims = (params: Requirement['params']) => [
  ...noteAims(
    map,
    assignmentOf({ requirements: [{ id: 'n', type: 'note-length', params, level: 'must', points: 1 }] }),
  ),
];

test('by branch: its words, and what is asked of it or of all', () => {
  expect(aims({ per: 'branch', minWords: 100, maxWords: 150, each: [{ branch: 'loads', minWords: 40 }] })).toEqual([
    ['Loads', { words: 3, least: 40, most: null }],
    ['Shapes', { words: 0, least: 100, most: 150 }],
  ]);
});

test('by topic, with what a requirement leaves out', () => {
  expect(aims({ kinds: ['root'] })).toEqual([['bridge', { words: 0, least: 30, most: null }]]);
});

test('nothing is asked where no requirement asks it', () => {
  expect(noteAims(map, assignmentOf()).size).toBe(0);
});
