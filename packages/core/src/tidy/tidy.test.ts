import { checkMap } from '../checking/check-map.js';
import { boxesMeet } from '../geometry/boxes.js';
import { fitTopic } from '../geometry/fit.js';
import { boxOf } from '../geometry/points.js';
import { MapIndex } from '../map-index/map-index.js';
import { applyChanges } from '../map/changes.js';
import type { Requirement, TopicMap } from '../map/types.js';
import { drawnBox } from '../drawn/drawn.js';
import { seeded } from '../random.js';
import { bridges, bridgesMap } from '../testing/bridges.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { spread } from './layers/spread.js';
import { tidyInto } from './tidy-into.js';
import type { Frame } from './frame.js';
import { TIDY_WAYS } from './tidied.js';
import { tidyMap } from './tidy.js';
import type { TidyWay } from './tidied.js';

const assignment = assignmentOf();
const PHRASES = ['holds', 'stands on a', 'hands its load to', 'is', 'pushes outward on'];

/** A tree with some links across it, thrown down anyhow. */
function tangle(topics: number, across: number, seed: number): TopicMap {
  const random = seeded(seed);
  const any = (most: number): number => Math.floor(random() * most);
  const made = Array.from({ length: topics }, (_, i) => {
    const one = topic(`t${i}`, { text: `Topic number ${i}`, x: any(900), y: any(600) });
    return { ...one, ...fitTopic(one, assignment.legend) };
  });
  const pairs = new Map<string, [number, number]>();
  for (let i = 1; i < topics; i++) pairs.set(`${i}`, [any(i), i]);
  for (let i = 0; i < across; i++) {
    const [a, b] = [any(topics), any(topics)];
    if (a !== b) pairs.set(`x${i}`, [a, b]);
  }
  return mapOf(
    made,
    [...pairs].map(([id, [a, b]]) => link(`t${a}`, `t${b}`, { id: `l${id}`, phrase: PHRASES[any(5)]! })),
  );
}

const tidied = (map: TopicMap, way: TidyWay, topicIds?: string[]): TopicMap =>
  applyChanges(map, tidyMap(map, { way, ...(topicIds && { topicIds }) }, assignment.legend));
const crossings = (map: TopicMap): number => new MapIndex(map, assignment).crossings.length;
const apart = ({ topics }: TopicMap): boolean =>
  topics.every((one, i) => topics.slice(i + 1).every((other) => !boxesMeet(boxOf(one, -0.5), boxOf(other, -0.5))));

/** The fractions of what a check says of how a map can be read. */
function readable(map: TopicMap, of = assignment): Record<string, number> {
  const asked = ['no-overlaps', 'clear-text', 'clear-phrases'].map((type): Requirement => ({
    id: type,
    type,
    params: {},
    level: 'must',
    points: 1,
  }));
  const { results } = checkMap(map, { ...of, requirements: asked });
  return Object.fromEntries(results.map(({ id, fraction }) => [id, fraction ?? 1]));
}

describe.each(TIDY_WAYS)('%s', (way) => {
  test.each([
    [1, 0, 1],
    [12, 3, 2],
    [40, 12, 3],
    [60, 15, 4],
  ])('%i topics with %i links across: nothing lies on anything', (topics, across, seed) => {
    const map = tidied(tangle(topics, across, seed), way);
    expect(apart(map)).toBe(true);
    expect(readable(map)['no-overlaps']).toBe(1);
  });
  test('the same twice, and nothing of nothing', () => {
    const map = tangle(30, 8, 5);
    expect(tidyMap(map, { way }, assignment.legend)).toEqual(tidyMap(map, { way }, assignment.legend));
    expect(tidyMap(mapOf([]), { way })).toEqual([]);
  });
  test('words, ends and looks stay as they are', () => {
    const before = tangle(20, 5, 6);
    const after = tidied(before, way);
    const bare = (map: TopicMap) => [
      map.topics.map(({ x: _x, y: _y, ...rest }) => rest),
      map.links.map(({ route: _r, bend: _b, phraseAt: _p, ...rest }) => rest),
    ];
    expect(bare(after)).toEqual(bare(before));
  });
});

test.each([10, 30, 60])(
  'downward, the links of a tree of %i topics do not cross, and what is linked stands below',
  (n) => {
    const map = tidied(tangle(n, 0, n), 'downward');
    expect(crossings(map)).toBe(0);
    const y = new Map(map.topics.map((one) => [one.id, one.y]));
    for (const { from, to } of map.links) expect(y.get(to)!).toBeGreaterThan(y.get(from)!);
  },
);

test.each(['downward', 'outward', 'sideways'] as const)('%s, words and lines stay clear of each other', (way) => {
  const seeds = [11, 12, 13, 14, 15, 16];
  const clear = seeds.map((seed) => readable(tidied(tangle(20 + seed, 5, seed), way)));
  for (const { 'clear-text': text } of clear) expect(text).toBe(1);
  const phrases = clear.reduce((sum, one) => sum + one['clear-phrases']!, 0) / seeds.length;
  expect(phrases).toBe(1);
});

test('links on a route that their kind sets keep it; what the default says is left to it', () => {
  const target = { ...assignment.legend, linkKinds: [{ id: 'shows', name: 'shows', route: 'elbow' as const }] };
  const map = tangle(12, 4, 9);
  const mixed = { ...map, links: map.links.map((one, i) => ({ ...one, kind: i % 2 ? 'shows' : null, bend: 0.4 })) };
  const { links } = applyChanges(mixed, tidyMap(mixed, { way: 'downward' }, target));
  for (const { kind, route, bend } of links) {
    if (kind === 'shows') expect(route).toBeUndefined();
    else expect(['curved', undefined]).toContain(route);
    if (kind === null && route === undefined) expect(bend).toBeUndefined();
  }
});

test('in time without any times, what leads to something stands left of it', () => {
  const map = tangle(15, 0, 3);
  const at = new Map(tidied(map, 'timeline').topics.map((one) => [one.id, one.x]));
  for (const { from, to } of map.links) expect(at.get(to)!).toBeGreaterThan(at.get(from)!);
});

test('rings lead through, and what only some are tied to is laid out beside', () => {
  const ring = mapOf(
    ['a', 'b', 'c', 'd', 'e'].map((id) => topic(id)),
    [link('a', 'b'), link('b', 'c'), link('c', 'a'), link('d', 'e'), link('e', 'd')],
  );
  for (const way of TIDY_WAYS) expect(apart(tidied(ring, way))).toBe(true);
});

test('a selection moves alone, beside what stays', () => {
  const map = tangle(30, 6, 7);
  const chosen = map.topics.slice(0, 12).map(({ id }) => id);
  const after = tidied(tidied(map, 'downward'), 'sideways', chosen);
  const before = tidied(map, 'downward');
  expect(after.topics.slice(12)).toEqual(before.topics.slice(12));
  expect(apart(after)).toBe(true);
});

test('in time, each stands right of what came before it', () => {
  const times = [3, 1, undefined, 2, 1];
  const map = mapOf(
    times.map((sequence, i) => topic(`t${i}`, { ...(sequence !== undefined && { sequence }) })),
    [link('t1', 't2')],
  );
  const at = new Map(tidied(map, 'timeline').topics.map((one) => [one.id, one.x]));
  expect(at.get('t1')!).toBeLessThan(at.get('t3')!);
  expect(at.get('t3')!).toBeLessThan(at.get('t0')!);
  expect(at.get('t2')).toBe(at.get('t1'));
  expect(at.get('t4')).toBe(at.get('t1'));
});

test('a real map is read as well as before, or better', () => {
  const after = applyChanges(bridgesMap(), tidyMap(bridgesMap(), { way: 'downward' }, bridges().legend));
  const [now, was] = [readable(after, bridges()), readable(bridgesMap(), bridges())];
  for (const [what, fraction] of Object.entries(now))
    expect([what, fraction >= was[what]! - 0.02]).toEqual([what, true]);
});

test('things in a row are as near to where they want to be as their order lets them', () => {
  const want = (...ats: number[]) => ats.map((at) => ({ at, weight: 1 }));
  expect(spread(want(0, 10, 20), [0, 5, 5])).toEqual([0, 10, 20]);
  expect(spread(want(10, 0), [0, 4])).toEqual([3, 7]);
  expect(
    spread(
      [
        { at: 10, weight: 3 },
        { at: 0, weight: 1 },
      ],
      [0, 4],
    ),
  ).toEqual([6.5, 10.5]);
  expect(spread([], [])).toEqual([]);
});

test('for a frame a map is tidied in the way that shows it largest there', () => {
  const map = tangle(24, 6, 3);
  const share = (laid: TopicMap, { width, height }: Frame): number => {
    const { left, right, top, bottom } = drawnBox(laid, assignment.legend)!;
    return Math.min(width / (right - left), height / (bottom - top));
  };
  for (const frame of [
    { width: 1600, height: 900 },
    { width: 500, height: 900 },
  ]) {
    const shares = TIDY_WAYS.map((way) => share(tidied(map, way), frame));
    const into = share(applyChanges(map, tidyInto(map, frame, assignment.legend)), frame);
    expect(into).toBeGreaterThanOrEqual(Math.max(...shares));
    expect(into).toBeGreaterThan(Math.min(...shares));
  }
  expect(tidyInto(mapOf([], []), { width: 1, height: 1 }, assignment.legend)).toEqual([]);
});

test('in time, a line that could not be read in its frame goes on in further rows, each in order from the left', () => {
  const events = Array.from({ length: 40 }, (_, i) => {
    const one = topic(`e${i}`, { text: `What happened in year ${i}`, sequence: i });
    return { ...one, ...fitTopic(one, assignment.legend) };
  });
  const map = mapOf(
    events,
    events
      .slice(1)
      .map((_, i) => link(`e${i}`, `e${i + 1}`, { id: `l${i}`, phrase: i % 3 ? 'then' : 'and after that' })),
  );
  const inTime = (frame?: Frame): TopicMap =>
    applyChanges(map, tidyMap(map, { way: 'timeline', ...(frame && { frame }) }, assignment.legend));
  const rowsOf = ({ topics }: TopicMap): number[][] =>
    [...new Set(topics.map(({ y }) => y))]
      .sort((a, b) => a - b)
      .map((y) => topics.filter((one) => one.y === y).map(({ x }) => x));
  const [plain, framed] = [inTime(), inTime({ width: 1126, height: 662 })];
  expect(rowsOf(plain)).toHaveLength(1);
  const rows = rowsOf(framed);
  expect(rows.length).toBeGreaterThan(3);
  for (const row of rows) expect(row).toEqual(row.toSorted((a, b) => a - b));
  expect(framed.topics.map(({ y }) => y)).toEqual(framed.topics.map(({ y }) => y).toSorted((a, b) => a - b));
  const widthOf = (of: TopicMap): number => {
    const box = drawnBox(of, assignment.legend)!;
    return box.right - box.left;
  };
  expect(widthOf(framed)).toBeLessThan(widthOf(plain) / 3);
  expect([apart(framed), readable(framed)['clear-phrases']]).toEqual([true, 1]);
  // A few that can be read stay in one row, as a check of their order wants it.
  const few = mapOf(events.slice(0, 5), []);
  const short = applyChanges(
    few,
    tidyMap(few, { way: 'timeline', frame: { width: 1126, height: 662 } }, assignment.legend),
  );
  expect(rowsOf(short)).toHaveLength(1);
});
