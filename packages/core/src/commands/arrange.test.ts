import { boxesMeet, entersBox } from '../geometry/boxes.js';
import { drawLink } from '../geometry/draw-link.js';
import { drawnPart } from '../geometry/drawn-part.js';
import { boxOf, polyline } from '../geometry/points.js';
import { applyChanges } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import { linkStyle, topicStyle } from '../map/style.js';
import type { TopicMap } from '../map/types.js';
import { seeded } from '../random.js';
import { assignmentOf, link, maker, mapOf, topic } from '../testing/make.js';
import { EDGES, lineUp, makeRoom, moveClear, sameSize, setInRow, setLayer, stretchRow } from './arrange.js';
import { chooseBy } from './choose.js';
import { foldedOf, foldToLevel, mapWithout, toggleFold, unfoldAll } from './fold.js';
import { makeGroup, makeRegion, setRegion, ungroup, withGroups } from './together.js';
import { CrossingCounter, makeMove, uncross } from './uncross.js';

const rules = assignmentOf();
const { legend } = rules;
const heap = mapOf(
  [
    topic('a', { x: 0, y: 0, width: 100, height: 40 }),
    topic('b', { x: 30, y: 20, width: 80, height: 60 }),
    topic('c', { x: 90, y: -10, width: 120, height: 40 }),
    topic('far', { x: 900, y: 900 }),
  ],
  [link('a', 'b', { id: 'ab' }), link('b', 'c', { id: 'bc', colour: '#aa0000' }), link('a', 'far', { id: 'af' })],
);
const ids = ['a', 'b', 'c'];
const linksOver = ({ topics, links }: TopicMap): string[] =>
  links.flatMap((one) => {
    const [from, to] = [one.from, one.to].map((id) => topics.find((each) => each.id === id)!);
    const line = polyline(drawnPart(one, from!, to!, legend));
    return topics.flatMap((each) =>
      each !== from && each !== to && entersBox(line, boxOf(each)) ? [`${one.id} ${each.id}`] : [],
    );
  });
const after = (map: TopicMap, outcome: Outcome): TopicMap => {
  if (!outcome.ok) throw new Error(outcome.code);
  return applyChanges(map, outcome.changes);
};
const some = (map: TopicMap) => map.topics.filter(({ id }) => ids.includes(id));

describe.each([
  ['x', 'y', 'width'],
  ['y', 'x', 'height'],
] as const)('set along %s', (along, across, size) => {
  test('in order, on one line, evenly, none on another; the rest stays', () => {
    const map = after(heap, setInRow(heap, ids, along));
    const set = some(map).sort((p, q) => p[along] - q[along]);
    expect(new Set(set.map((one) => one[across])).size).toBe(1);
    const gaps = set.slice(1).map((one, i) => one[along] - one[size] / 2 - set[i]![along] - set[i]![size] / 2);
    expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(1.5);
    expect(Math.min(...gaps)).toBeGreaterThan(20);
    expect(set.map(({ id }) => id)).toEqual([...some(heap)].sort((p, q) => p[along] - q[along]).map(({ id }) => id));
    expect(map.topics.at(-1)).toBe(heap.topics.at(-1));
  });
  test('an end taken elsewhere spaces the others anew', () => {
    const row = after(heap, setInRow(heap, ids, along));
    const wide = after(row, stretchRow(row, ids, along, 1000));
    const edges = some(wide).map((one) => one[along] + one[size] / 2);
    expect(Math.max(...edges)).toBeCloseTo(1000, -1);
  });
});

test.each(EDGES)('lined up by %s', (edge) => {
  const along = edge === 'left' || edge === 'centre' || edge === 'right' ? 'x' : 'y';
  const size = along === 'x' ? 'width' : 'height';
  const side = { left: -1, top: -1, centre: 0, middle: 0, right: 1, bottom: 1 }[edge];
  const places = some(after(heap, lineUp(heap, ids, edge))).map((one) => one[along] + (side * one[size]) / 2);
  expect(new Set(places).size).toBe(1);
});

test('as wide as the widest; text still decides what is least', () => {
  const widths = some(after(heap, sameSize(heap, ids, 'width', legend))).map(({ width }) => width);
  expect(new Set(widths)).toEqual(new Set([120]));
});

test('fewer than two are not arranged', () => {
  for (const outcome of [setInRow(heap, ['a'], 'x'), lineUp(heap, [], 'left'), sameSize(heap, ['a'], 'both', legend)])
    expect(outcome).toMatchObject({ ok: false, code: 'fewToArrange' });
});

test('layers: before and behind all, and one step past the next', () => {
  const z = (map: TopicMap, id: string): number =>
    topicStyle(
      map.topics.find((one) => one.id === id)!,
      legend,
    ).z;
  const front = after(heap, setLayer(heap, ['a'], 'front', legend));
  expect(z(front, 'a')).toBeGreaterThan(z(front, 'b'));
  const behind = after(front, setLayer(front, ['a'], 'behind', legend));
  expect(z(behind, 'a')).toBeLessThan(Math.min(...heap.links.map((one) => linkStyle(one, legend).z)));
  const forward = after(behind, setLayer(behind, ['a'], 'forward', legend));
  expect(z(forward, 'a')).toBeGreaterThan(z(behind, 'a'));
});

test('room is made beyond a line, and a heap is left by the shortest way', () => {
  const wider = after(heap, makeRoom(heap, 'x', 60, 200));
  expect(wider.topics.map(({ x }) => x)).toEqual([0, 30, 290, 1100]);
  expect(makeRoom(heap, 'y', 5000, 10)).toMatchObject({ code: 'nothingBeyond' });
  const clear = after(heap, moveClear(heap, ['a']));
  for (const other of clear.topics.slice(1)) expect(boxesMeet(boxOf(clear.topics[0]!), boxOf(other))).toBe(false);
  expect(moveClear(heap, ['far'])).toMatchObject({ code: 'clearAlready' });
  // Two that lie exactly on each other and were chosen together part as well.
  const twice = mapOf([topic('one'), topic('other')], []);
  const [one, other] = after(twice, moveClear(twice, ['one', 'other'])).topics;
  expect(boxesMeet(boxOf(one!), boxOf(other!))).toBe(false);
});

test('chosen in one step', () => {
  const chosen = (from: string[], choice: Parameters<typeof chooseBy>[2]) => chooseBy(heap, from, choice, rules);
  expect(chosen(['a'], 'links that leave')).toEqual(['ab', 'af']);
  expect(chosen(['c'], 'links that arrive')).toEqual(['bc']);
  expect(chosen(['b'], 'branch')).toEqual(['b', 'c', 'bc']);
  expect(chosen(['ab'], 'same looks')).toEqual(['ab', 'af']);
  expect(chosen(['a'], 'same kind')).toEqual(['a', 'b', 'c', 'far']);
});

test('folded away, a branch is out of sight with its links and counted', () => {
  const folded = after(heap, toggleFold(heap, ['b']));
  const { hidden, counts } = foldedOf(folded);
  expect([[...hidden], [...counts]]).toEqual([['c'], [['b', 1]]]);
  expect(mapWithout(folded, hidden).links.map(({ id }) => id)).toEqual(['ab', 'af']);
  expect(after(folded, unfoldAll(folded)).topics.some((one) => one.folded)).toBe(false);
  expect(toggleFold(heap, ['c'])).toMatchObject({ code: 'nothingToFold' });
  expect(mapWithout(heap, foldedOf(heap).hidden)).toBe(heap);
});

test('folded to a level, nothing below it is seen and nothing above it is folded', () => {
  const shown = (map: TopicMap): string[] => mapWithout(map, foldedOf(map).hidden).topics.map(({ id }) => id);
  const first = after(heap, foldToLevel(heap, 1));
  expect(shown(first)).toEqual(shown(heap).filter((id) => id !== 'c'));
  expect(shown(after(first, foldToLevel(first, 0)))).toEqual(['a']);
  expect(shown(after(first, foldToLevel(first, 2)))).toEqual(shown(heap));
  expect(foldToLevel(first, 1)).toMatchObject({ code: 'foldedSo' });
});

/** Which lines run through which words of others, and which words lie on topics. */
const wordsUnder = (map: TopicMap): string[] => {
  const drawn = map.links.map((one) => {
    const [from, to] = [one.from, one.to].map((id) => map.topics.find((each) => each.id === id)!);
    return { one, ...drawLink(one, from!, to!, legend) };
  });
  return drawn.flatMap(({ one, phrase }) => {
    if (!phrase) return [];
    const through = drawn.filter((other) => other.one !== one && entersBox(polyline(other.line), phrase.box));
    const on = map.topics.filter((each) => boxesMeet(boxOf(each), phrase.box));
    return [...through.map((other) => other.one), ...on].map(({ id }) => `${id} and the words of ${one.id}`);
  });
};

test('no move lays a line over words or words on a topic; several are offered, that which takes most away first', () => {
  const random = seeded(7);
  const any = (most: number): number => Math.floor(random() * most);
  let offered = 0;
  for (let round = 0; round < 10; round++) {
    const map = mapOf(
      Array.from({ length: 9 }, (_, i) =>
        topic(`t${i}`, { x: (i % 3) * 230 + any(60), y: Math.floor(i / 3) * 150 + any(40) }),
      ),
      Array.from({ length: 10 }, (_, i) =>
        link(`t${i % 9}`, `t${(i * 2 + 4) % 9}`, { id: `l${i}`, phrase: 'leads to' }),
      ),
    );
    const moves = new CrossingCounter(map, legend).moves(4);
    const before = new Set(wordsUnder(map));
    const all = new Set(map.topics.map(({ id }) => id));
    const crossings = new CrossingCounter(map, legend).of(all);
    expect(moves.map(({ fewer }) => fewer)).toEqual(moves.map(({ fewer }) => fewer).toSorted((a, b) => b - a));
    for (const move of moves) {
      const next = after(map, makeMove(move));
      expect(new CrossingCounter(next, legend).of(all)).toBe(crossings - move.fewer);
      expect(wordsUnder(next).filter((pair) => !before.has(pair))).toEqual([]);
    }
    offered += moves.length;
  }
  expect(offered).toBeGreaterThan(10);
});

test('groups move as one, a topic is in one at most, and regions are named', () => {
  const make = maker();
  const grouped = after(heap, makeGroup(heap, ['a', 'b'], make));
  expect(withGroups(grouped, ['b']).sort()).toEqual(['a', 'b']);
  const again = after(grouped, makeGroup(grouped, ['b', 'c'], make));
  expect(again.groups.map(({ topics }) => topics)).toEqual([['b', 'c']]);
  expect(after(again, ungroup(again, ['c'])).groups).toEqual([]);
  const region = after(heap, makeRegion(heap, ['c', 'a'], ' Spans ', make));
  expect(region.regions).toMatchObject([{ topics: ['a', 'c'], title: 'Spans' }]);
  const { id } = region.regions[0]!;
  expect(after(region, setRegion(region, id, { title: 'Ways' })).regions[0]!.title).toBe('Ways');
  expect(setRegion(heap, id, {})).toMatchObject({ code: 'regionGone' });
});

test('no move that saves a crossing lays a link over a topic it did not run over before', () => {
  // The crossing goes if `p` is taken anywhere else; near its links a wall of topics stands.
  const random = seeded(4);
  for (let round = 0; round < 12; round++) {
    const map = mapOf(
      Array.from({ length: 14 }, (_, i) => topic(`t${i}`, { x: random() * 700, y: random() * 500 })),
      Array.from({ length: 16 }, (_, i) => link(`t${i % 14}`, `t${(i * 5 + 3) % 14}`, { id: `l${i}` })).filter(
        ({ from, to }) => from !== to,
      ),
    );
    const outcome = uncross(map, legend);
    if (outcome.ok) {
      const before = new Set(linksOver(map));
      expect(linksOver(after(map, outcome)).filter((pair) => !before.has(pair))).toEqual([]);
    }
  }
});

test('the one move that takes most crossings away does', () => {
  const crossed = mapOf(
    [
      topic('p', { x: 0, y: 0 }),
      topic('q', { x: 600, y: 600 }),
      topic('r', { x: 600, y: 0 }),
      topic('s', { x: 0, y: 600 }),
    ],
    [link('p', 'q'), link('r', 's')],
  );
  const all = new Set(['p', 'q', 'r', 's']);
  expect(new CrossingCounter(crossed, legend).of(all)).toBe(1);
  expect(new CrossingCounter(after(crossed, uncross(crossed, legend)), legend).of(all)).toBe(0);
  expect(uncross(heap, legend)).toMatchObject({ code: 'noBetterPlace' });
});
