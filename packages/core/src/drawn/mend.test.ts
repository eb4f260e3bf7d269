import fc from 'fast-check';
import { understood } from '../formats/problems.js';
import { readMap, writeMap } from '../formats/map-file.js';
import { link, mapOf, topic } from '../testing/make.js';
import { mend } from './mend.js';
import { sortMap } from '../map/order.js';
import { emptyMap } from '../map/types.js';
import type { Topic, TopicMap } from '../map/types.js';

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

/** What a client might write into a field: what belongs there now and then, and anything else. */
const anything = fc.oneof(
  fc.constantFrom<unknown>(null, '', 'a', 'x'.repeat(201), 'x'.repeat(301), 'x'.repeat(1001), 'x'.repeat(20_001)),
  fc.constantFrom<unknown>('#ffffff', 'none', 'red', 'rounded', 'elbow', 'both', 'left', true, 0, 1, -1, 0.5, 1e9, NaN),
  fc.constantFrom<unknown>({}, [], ['a'], [1], [null], [{ url: 'x' }], [{ url: 1 }], [{ src: 'a', alt: 'b' }]),
  fc.constantFrom<unknown>([{ topic: 'a', words: 'w' }], [{ topic: '', words: 'w' }], [{ topic: 'a' }]),
);
const ids = fc.constantFrom('a', 'b', 'c', 'd', '', 'x'.repeat(201));
const members = (names: string) =>
  fc.array(
    fc.record(
      { id: ids, ...Object.fromEntries(names.split(' ').map((name) => [name, anything])) },
      { requiredKeys: ['id'] },
    ),
    { maxLength: 4 },
  );
const written = fc.record({
  title: fc.constantFrom('', 'A map', 'x'.repeat(400)),
  author: fc.constantFrom('', 'Noor', 'x'.repeat(400)),
  focusQuestion: fc.constantFrom('', 'x'.repeat(1200)),
  topics: members(
    'text kind x y width height minWidth minHeight shape fill outline ink fontSize bold italic align z note source ' +
      'weblinks pictures files marks sequence when origin toComplete folded by anything-else',
  ),
  links: fc.array(
    fc.record(
      {
        id: ids,
        from: ids,
        to: ids,
        phrase: anything,
        kind: anything,
        route: anything,
        width: anything,
        bend: anything,
      },
      { requiredKeys: ['id', 'from', 'to'] },
    ),
    { maxLength: 4 },
  ),
  pictures: members('x y width height src alt z'),
  regions: members('topics title fill'),
  groups: members('topics'),
  tours: members('title stops'),
  wordBank: members('text by note'),
});

test('whatever is written into a map, what is left of it is a map that the file’s reader takes, and is left again', () => {
  fc.assert(
    fc.property(written, (fields) => {
      const { map } = mend({ ...emptyMap(), ...(fields as unknown as Partial<TopicMap>) });
      const asJson = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
      const { wordBank, ...read } = understood(readMap(asJson(writeMap(map))));
      expect(wordBank.map(({ text }) => text)).toEqual(map.wordBank.map(({ text }) => text));
      const { title, topics, links, tours } = asJson(map);
      expect(read).toMatchObject({ title, topics, links, tours });
      expect(mend(map)).toEqual({ map, dropped: [] });
    }),
    { numRuns: 1000 },
  );
});

test('what the file’s reader takes, mend leaves as it is, up to the edge of every limit', () => {
  const edge = topic('i'.repeat(200), {
    text: '橋'.repeat(300),
    note: '橋'.repeat(20_000),
    kind: 'k'.repeat(200),
    x: -1e6,
    width: 0.5,
    height: 20_000,
    fontSize: 4,
    sequence: -1e15,
    marks: ['m'.repeat(100)],
  });
  const title = 't'.repeat(300);
  const map = understood(
    readMap(writeMap({ ...mapOf([edge, topic('b')], [link(edge.id, 'b', { id: 'l', width: 0.1, bend: -1 })]), title })),
  );
  expect(mend(map)).toEqual({ map, dropped: [] });
  const long = mend({ ...map, title: `${title}t` }).map.title;
  expect(long).toBe(title);
});

test('what lies beside topics and links is dropped whole where it lacks what it needs, and said', () => {
  const { map, dropped } = mend({
    ...emptyMap(),
    title: 'x'.repeat(400),
    pictures: [
      { id: 'p', x: 0, y: 0, width: 10, height: 10, src: 'a.png', alt: '' },
      { id: 'q', x: 0, y: 0, width: 0, height: 10, src: 'a.png', alt: '' },
    ],
    regions: [{ id: 'r', topics: ['gone'], title: 'Stone', fill: '#ffffff' }, { id: 's' } as never],
    tours: [
      { id: 't', title: 'Down', stops: [{ topic: 'gone', words: '' }] },
      { id: 'u', title: 'Up', stops: [null] } as never,
    ],
    wordBank: [{ id: 'w', text: 'Truss', note: 'x'.repeat(2001) }, { id: 'v', text: 7 } as never],
  });
  expect(map.title).toHaveLength(300);
  expect([map.pictures, map.regions, map.tours].map((list) => list.map(({ id }) => id))).toEqual([['p'], ['r'], ['t']]);
  expect(map.wordBank).toEqual([{ id: 'w', text: 'Truss' }]);
  expect(dropped.map(({ what, id }) => `${what} ${id}`)).toEqual([
    'picture q',
    'region s',
    'tour u',
    'value w',
    'bank entry v',
  ]);
});

test('lists are sorted by (order, id), whatever order they came in', () => {
  const topics = [topic('b', { order: 'a1' }), topic('a', { order: 'a1' }), topic('c', { order: 'a0' }), topic('d')];
  for (const shuffled of [topics, [...topics].reverse()])
    expect(sortMap(mapOf(shuffled)).topics.map(({ id }) => id)).toEqual(['d', 'c', 'a', 'b']);
});
