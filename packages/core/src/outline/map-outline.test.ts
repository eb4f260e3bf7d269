import { link, mapOf, topic } from '../testing/make.js';
import { mapOutline } from './map-outline.js';

const map = {
  ...mapOf(
    [
      topic('lone', { text: 'Alone' }),
      topic('claim', { text: 'I claim' }),
      topic('a', { text: 'Point A', note: 'A paragraph.\n\nAnd another.' }),
      topic('b', { text: 'Point *B*' }),
      topic('proof', { text: 'Proof' }),
    ],
    [
      link('claim', 'b', { phrase: 'because' }),
      link('claim', 'a', { phrase: 'since' }),
      link('a', 'proof', { phrase: 'as shown by' }),
      link('b', 'proof', { phrase: 'rests on' }),
    ],
  ),
  title: 'Rebuild it',
};

test('each topic once, below what it hangs from, in the order of the links; other links are ties', () => {
  expect(mapOutline(map).map(({ depth, phrase, text }) => [depth, phrase, text])).toEqual([
    [0, '', 'I claim'],
    [1, 'because', 'Point *B*'],
    [1, 'since', 'Point A'],
    [2, 'as shown by', 'Proof'],
    [0, '', 'Alone'],
  ]);
  expect(mapOutline(map)[1]!.ties).toMatchObject([{ phrase: 'rests on', text: 'Proof' }]);
});

test('in a ring too, and on an empty map', () => {
  const ring = mapOf([topic('a'), topic('b')], [link('a', 'b'), link('b', 'a')]);
  expect(mapOutline(ring).map(({ id, depth }) => [id, depth])).toEqual([
    ['a', 0],
    ['b', 1],
  ]);
  expect(mapOutline(mapOf([]))).toEqual([]);
});
