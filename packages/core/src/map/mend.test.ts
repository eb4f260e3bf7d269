import fc from 'fast-check';
import { link, mapOf, topic } from '../testing/make.js';
import { mend } from './mend.js';
import { sortMap } from './order.js';
import type { Topic } from './types.js';

test('a whole map comes back as the very same object', () => {
  const map = mapOf([topic('a'), topic('b')], [link('a', 'b')]);
  expect(mend(map)).toEqual({ map, dropped: [] });
  expect(mend(map).map).toBe(map);
});

test('what cannot be kept is dropped, and said', () => {
  const map = mapOf(
    [topic('a', { fill: 'red', fontSize: Number.NaN }), topic('b', { x: Infinity }), topic('a')],
    [link('a', 'gone'), link('a', 'a'), link('a', 'b', { id: 'b' }), link('a', 'b', { width: -3 })],
  );
  const { map: mended, dropped } = mend(map);
  expect(mended.topics.map(({ id }) => id)).toEqual(['a', 'b']);
  expect(mended.topics[0]).not.toHaveProperty('fill');
  expect(mended.topics[1]!.x).toBe(0);
  expect(mended.links.map(({ id }) => id)).toEqual(['a-b']);
  expect(mended.links[0]).not.toHaveProperty('width');
  expect(dropped.map(({ because }) => because).sort()).toEqual([
    'end is gone',
    'joins a topic to itself',
    'out of range',
    'out of range',
    'out of range',
    'out of range',
    'repeated id',
    'repeated id',
  ]);
});

test('mending twice is mending once', () => {
  const field = fc.oneof(fc.constant(undefined), fc.string(), fc.double(), fc.boolean(), fc.constant(null));
  const junk = fc.record({
    id: fc.constantFrom('a', 'b', 'c'),
    text: field,
    kind: field,
    x: field,
    y: field,
    width: field,
    height: field,
    fill: field,
    note: field,
    z: field,
  });
  fc.assert(
    fc.property(fc.array(junk, { maxLength: 6 }), (topics) => {
      const once = mend(mapOf(topics as Topic[], [link('a', 'b'), link('b', 'c')])).map;
      expect(mend(once)).toEqual({ map: once, dropped: [] });
    }),
  );
});

test('lists are sorted by (order, id), whatever order they came in', () => {
  const topics = [topic('b', { order: 'a1' }), topic('a', { order: 'a1' }), topic('c', { order: 'a0' }), topic('d')];
  for (const shuffled of [topics, [...topics].reverse()])
    expect(sortMap(mapOf(shuffled)).topics.map(({ id }) => id)).toEqual(['d', 'c', 'a', 'b']);
});
