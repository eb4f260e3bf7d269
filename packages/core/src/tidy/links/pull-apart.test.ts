import { checkMap } from '../../checking/check-map.js';
import { applyChanges } from '../../map/changes.js';
import { assignmentOf, link, mapOf, topic } from '../../testing/make.js';
import { need } from '../../testing/random-maps.js';
import { pullApart } from './pull-apart.js';

const assignment = assignmentOf({ requirements: [need('clear-phrases'), need('clear-text')] });
const { legend } = assignment;
const map = mapOf(
  [topic('a'), topic('b', { x: 300 }), topic('c', { x: 600 }), topic('d', { x: 300, y: 300 })],
  [
    link('a', 'c', { phrase: 'goes past' }),
    link('a', 'b'),
    link('b', 'd', { phrase: 'holds up', bend: 0.3, route: 'curved' }),
  ],
);
const after = (ids: readonly string[] = []) => applyChanges(map, pullApart(map, ids, legend));
const fractions = (one: typeof map) => checkMap(one, assignment).results.map(({ fraction }) => fraction);

test('a line through a topic and its words on it are pulled aside; no topic is moved', () => {
  expect(fractions(map).every((fraction) => fraction === 1)).toBe(false);
  expect(fractions(after())).toEqual([1, 1]);
  expect(after().topics).toBe(map.topics);
});
test('what a hand bent stays as it is', () => expect(after().links[2]).toBe(map.links[2]));
test('of a selection alone the links at it change', () => {
  expect(after(['d']).links[0]).toBe(map.links[0]);
  expect(after(['a-c']).links[0]).not.toEqual(map.links[0]);
});
test('where all is clear nothing changes', () => expect(pullApart(after(), [], legend)).toEqual([]));
