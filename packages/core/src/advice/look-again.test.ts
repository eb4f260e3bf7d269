import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { lookAgainSentence } from '../wording/say.js';
import { bestPage, pointsOn } from '../on-paper/page.js';
import { lookAgain } from './look-again.js';

const assignment = { ...assignmentOf(), terms: [{ text: 'Keystone' }] };

test('what is worth another look is counted and named, with what it is about', () => {
  const map = mapOf(
    [
      topic('a', { text: 'Arch', fill: '#101010' }),
      topic('b', { text: 'one two three four five six seven eight nine ten eleven twelve thirteen' }),
      topic('loose', { text: 'Pier', marks: ['question', 'done'] }),
    ],
    [link('a', 'b', { phrase: '  ' })],
  );
  const found = lookAgain(map, assignment);
  expect(found.map(({ code, marks }) => [code, marks])).toEqual([
    ['waiting', []],
    ['loose', ['loose']],
    ['wordless', [map.links[0]!.id]],
    ['marked', ['loose']],
    ['long', ['b']],
    ['dark', ['a']],
  ]);
  expect(lookAgainSentence(found[1]!)).toBe('One topic is joined to nothing. Where do they belong?');
});

test('a map that is too wide for a sheet says how small it prints', () => {
  const near = mapOf([topic('a', { text: 'Keystone' }), topic('b', { x: 300 })], [link('a', 'b', { phrase: 'holds' })]);
  expect(lookAgain(near, assignment)).toEqual([]);
  expect(pointsOn(near, assignment.legend, bestPage(near, assignment.legend))).toBeGreaterThan(9);
  const wide = mapOf([near.topics[0]!, topic('b', { x: 6000 })], [...near.links]);
  expect(lookAgain(wide, assignment)).toMatchObject([{ code: 'small' }]);
});
