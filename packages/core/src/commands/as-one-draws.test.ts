import fc from 'fast-check';
import { boxesMeet, entersBox } from '../geometry/boxes.js';
import { drawLink } from '../geometry/draw-link.js';
import { boxOf, polyline } from '../geometry/points.js';
import { applyChanges } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import type { Topic, TopicMap } from '../map/types.js';
import { starterFrom } from '../outline/starter.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { tidyMap } from '../tidy/tidy.js';
import { roomFor } from './as-one-draws.js';
import { hangFrom } from './branches.js';
import { hangsBy } from './hanging.js';
import { setPhrase } from './links.js';
import { growTopic, setText, splitLink } from './topics.js';
import { isOnTrunk } from './trunk.js';

const { legend } = assignmentOf();
const maker = (named = 'new') => {
  let count = 0;
  return { newId: () => `${named}-${(count += 1)}`, by: 'me' };
};
const drawn = (map: TopicMap, outcome: Outcome): TopicMap => {
  if (!outcome.ok) throw new Error(outcome.code);
  return applyChanges(map, [...outcome.changes, ...roomFor(map, outcome.changes, legend)]);
};
const at = (map: TopicMap, id: string): Topic => map.topics.find((one) => one.id === id)!;
const overlaps = ({ topics }: TopicMap): string[] =>
  topics.flatMap((one, i) =>
    topics.slice(i + 1).flatMap((other) => (boxesMeet(boxOf(one), boxOf(other)) ? [`${one.id} ${other.id}`] : [])),
  );

/** Three headings of five, in blocks. */
const HEADINGS = ['Piers', 'Decks', 'Cables'];
const blocks = starterFrom(
  {
    root: 'Bridge',
    legend,
    terms: [
      { text: 'Bridge', place: 'map' },
      ...HEADINGS.flatMap((under) => [
        { text: under, place: 'map', under: 'Bridge' } as const,
        ...Array.from({ length: 5 }, (_, i) => ({ text: `${under} ${i}`, place: 'map', under }) as const),
      ]),
    ],
  },
  { width: 500, height: 420 },
);
const named = (map: TopicMap, text: string): Topic => map.topics.find((one) => one.text === text)!;
const isTrunk = (map: TopicMap, id: string): boolean => {
  const own = hangsBy(map).get(id)!;
  return isOnTrunk(own, at(map, own.from), at(map, id), legend);
};

test('what hangs on a trunk is continued at its end; what stood below makes way in its own column, and keeps its trunk', () => {
  const heading = named(blocks, 'Piers');
  expect(isTrunk(blocks, named(blocks, 'Piers 4').id)).toBe(true);
  const wanted = { text: 'Caisson', kind: null, from: heading.id, linkKind: null };
  const map = drawn(blocks, growTopic(blocks, wanted, maker(), legend));
  const made = named(map, 'Caisson');
  expect(isTrunk(map, made.id)).toBe(true);
  expect(boxOf(made).left).toBeCloseTo(boxOf(named(map, 'Piers 4')).left);
  expect(boxOf(made).top).toBeGreaterThan(boxOf(named(map, 'Piers 4')).bottom);
  expect(overlaps(map)).toEqual([]);
  // Its words stand on the part that leads across, and stay there when the trunk grows longer.
  const words = (of: TopicMap): number => {
    const own = { ...hangsBy(of).get(made.id)!, phrase: 'is' };
    return drawLink(own, at(of, own.from), at(of, made.id), legend).phrase!.centre.y;
  };
  expect(words(map)).toBeCloseTo(made.y, 0);
  const longer = drawn(
    map,
    setText(map, named(map, 'Piers 0').id, 'a pier in the middle of a very wide river', legend),
  );
  expect(at(longer, made.id).y).toBeGreaterThan(made.y);
  expect(words(longer)).toBeCloseTo(at(longer, made.id).y, 0);
  for (const { id, text, x } of blocks.topics) {
    expect([text, at(map, id).x]).toEqual([text, x]);
    if (id !== named(blocks, 'Bridge').id) expect([text, isTrunk(map, id)]).toEqual([text, isTrunk(blocks, id)]);
  }
});

test('below one that hangs on a trunk and has nothing, the first is set in; between two on a trunk, the lower is set in', () => {
  const leaf = named(blocks, 'Piers 1');
  const grown = drawn(
    blocks,
    growTopic(blocks, { text: 'Stone', kind: null, from: leaf.id, linkKind: null }, maker(), legend),
  );
  const stone = named(grown, 'Stone');
  expect(isTrunk(grown, stone.id)).toBe(true);
  expect(boxOf(stone).left).toBeGreaterThan(boxOf(leaf).left);
  expect(overlaps(grown)).toEqual([]);
  const own = hangsBy(blocks).get(leaf.id)!;
  const split = drawn(blocks, splitLink(blocks, own.id, { text: 'Middle', kind: null }, maker(), legend));
  const middle = named(split, 'Middle');
  expect([isTrunk(split, middle.id), isTrunk(split, leaf.id), overlaps(split)]).toEqual([true, true, []]);
  expect(boxOf(middle).left).toBeCloseTo(boxOf(leaf).left);
  expect(boxOf(at(split, leaf.id)).left).toBeGreaterThan(boxOf(middle).left);
});

test('where a trunk grows longer, what its line would run through goes down before it', () => {
  const [one, next] = [named(blocks, 'Piers 1'), named(blocks, 'Piers 2')];
  let map = blocks;
  for (const text of ['Stone', 'Brick', 'Timber'])
    map = drawn(map, growTopic(map, { text, kind: null, from: one.id, linkKind: null }, maker(text), legend));
  expect(boxOf(at(map, next.id)).top).toBeGreaterThan(boxOf(named(map, 'Timber')).bottom);
  expect(overlaps(map)).toEqual([]);
  for (const each of map.links) {
    const [from, to] = [at(map, each.from), at(map, each.to)];
    const line = polyline(drawLink(each, from, to, legend).line);
    for (const other of map.topics)
      if (other !== from && other !== to)
        expect([each.id, other.text, entersBox(line, boxOf(other))]).toEqual([each.id, other.text, false]);
  }
});

test('words that are longer than the way across from the trunk push what hangs there to the right', () => {
  const leaf = named(blocks, 'Piers 1');
  const own = hangsBy(blocks).get(leaf.id)!;
  const map = drawn(blocks, setPhrase(blocks, own.id, 'are held in their places by'));
  const { phrase } = drawLink(hangsBy(map).get(leaf.id)!, at(map, own.from), at(map, leaf.id), legend);
  expect(phrase!.box.left).toBeGreaterThan(at(map, own.from).x);
  expect(phrase!.box.right).toBeLessThan(boxOf(at(map, leaf.id)).left);
  expect([isTrunk(map, leaf.id), overlaps(map)]).toEqual([true, []]);
  const short = drawn(blocks, setPhrase(blocks, own.id, 'is'));
  expect(at(short, leaf.id).x - leaf.x).toBeLessThan(40);
});

test('hung elsewhere, a branch comes to the end of the trunk there, and its line runs through nothing', () => {
  const [leaf, to] = [named(blocks, 'Piers 0'), named(blocks, 'Cables')];
  const map = drawn(blocks, hangFrom(blocks, { ids: [leaf.id], from: to.id, linkKind: null }, maker(), legend));
  expect(isTrunk(map, leaf.id)).toBe(true);
  expect(boxOf(at(map, leaf.id)).top).toBeGreaterThan(boxOf(at(map, named(map, 'Cables 4').id)).bottom);
  expect(overlaps(map)).toEqual([]);
});

test('grown by its words, a topic pushes its neighbours aside by as little as will do, and none that is to stay', () => {
  const row = [topic('a', { x: 0 }), topic('b', { x: 140 }), topic('c', { x: 280 }), topic('far', { x: 900 })];
  const map = mapOf(row, [link('a', 'b'), link('b', 'c')]);
  const words = 'a much longer text than it had before';
  const longer = drawn(map, setText(map, 'a', words, legend));
  expect(overlaps(longer)).toEqual([]);
  expect(at(longer, 'far').x).toBe(900);
  expect(at(longer, 'b').x - 140).toBeLessThan(60);
  expect(at(longer, 'b').y).toBe(at(map, 'b').y);
  const fast = mapOf([row[0]!, { ...row[1]!, marks: ['kept'] }, row[2]!], []);
  const kept = drawn(fast, setText(fast, 'a', words, legend));
  expect(at(kept, 'b')).toMatchObject({ x: 140, y: at(fast, 'b').y });
  const tidied = applyChanges(fast, tidyMap(fast, { way: 'downward' }, legend));
  expect(at(tidied, 'b')).toMatchObject({ x: 140, y: at(fast, 'b').y });
});

test('whatever is made in whatever map, it lies on nothing and nothing else begins to', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ x: fc.integer({ min: -600, max: 600 }), y: fc.integer({ min: -400, max: 400 }) }), {
        minLength: 1,
        maxLength: 25,
      }),
      fc.string({ minLength: 1, maxLength: 60 }),
      (spots, words) => {
        const map = mapOf(
          spots.map((spot, i) => topic(`t${i}`, spot)),
          spots.slice(1).map((_, i) => link(`t${i >> 1}`, `t${i + 1}`, { id: `l${i}` })),
        );
        const text = `x${words.trim()}`;
        const before = new Set(overlaps(map));
        for (const outcome of [
          growTopic(map, { text, kind: null, from: 't0', linkKind: null }, maker(), legend),
          setText(map, 't0', text, legend),
        ]) {
          const fresh = overlaps(drawn(map, outcome)).filter((pair) => !before.has(pair) && /\bt0\b|new/.test(pair));
          expect(fresh).toEqual([]);
        }
      },
    ),
    { numRuns: 60 },
  );
});
