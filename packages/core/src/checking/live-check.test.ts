import fc from 'fast-check';
import type { Link, Topic, TopicMap } from '../map/types.js';
import { link, mapOf, topic } from '../testing/make.js';
import { maps, whole } from '../testing/random-maps.js';
import { checkMap } from './check-map.js';
import { LiveCheck } from './live-check.js';

type Edit = (map: TopicMap, pick: number) => TopicMap;
const onTopic =
  (change: (topic: Topic) => Partial<Topic>): Edit =>
  (map, pick) => ({
    ...map,
    topics: map.topics.map((one, i) => (i === pick % map.topics.length ? { ...one, ...change(one) } : one)),
  });
const onLink =
  (change: (link: Link) => Partial<Link>): Edit =>
  (map, pick) => ({
    ...map,
    links: map.links.map((one, i) => (i === pick % map.links.length ? { ...one, ...change(one) } : one)),
  });

const EDITS: Record<string, Edit> = {
  move: onTopic(({ x, y }) => ({ x: x + 61.3, y: y - 17.9 })),
  grow: onTopic(({ width }) => ({ width: width + 80 })),
  raise: onTopic(() => ({ z: 4 })),
  write: onTopic(({ text }) => ({ text: text === 'Arch' ? 'Pier' : 'Arch' })),
  dress: onTopic(({ kind }) => ({ kind: kind === 'part' ? 'own' : 'part' })),
  // In free style these make it a topic of another kind, or of none.
  colour: onTopic(({ fill }) => ({ fill: fill === '#d7e7ec' ? '#f6dcd2' : '#d7e7ec' })),
  shape: onTopic(({ shape }) => ({ shape: shape === 'rectangle' ? 'diamond' : 'rectangle' })),
  number: onTopic(({ x }) => ({ sequence: Math.round(x) })),
  annotate: onTopic(() => ({ note: 'seen on the way to the river' })),
  bend: onLink(({ bend = 0 }) => ({ bend: 0.4 - bend, route: 'curved' })),
  slide: onLink(() => ({ phraseAt: 0.2 })),
  phrase: onLink(({ phrase }) => ({ phrase: phrase === '' ? 'presses on' : '' })),
  turn: onLink(({ from, to }) => ({ from: to, to: from })),
  remove: (map, pick) => {
    const gone = map.topics[pick % map.topics.length]?.id;
    return {
      ...map,
      topics: map.topics.filter(({ id }) => id !== gone),
      links: map.links.filter(({ from, to }) => from !== gone && to !== gone),
    };
  },
  reorder: (map) => ({ ...map, topics: [...map.topics].reverse() }),
  entitle: (map) => ({ ...map, title: `${map.title}!` }),
  nothing: (map) => map,
};

test.each(['guided', 'free'] as const)(
  'in %s style a live report is, after any edits, the report of a whole check to the last bit',
  (styleMode) => {
    const asked = { ...whole, styleMode };
    const edits = fc.array(fc.tuple(fc.constantFrom(...Object.keys(EDITS)), fc.nat(50)), { maxLength: 8 });
    fc.assert(
      fc.property(maps, edits, (first, steps) => {
        const live = new LiveCheck(asked);
        let map = first;
        for (const [name, pick] of [['nothing', 0] as [string, number], ...steps]) {
          if (map.topics.length > 0) map = EDITS[name]!(map, pick);
          // A worker is sent copies: nothing is ever the very same object.
          expect(live.check(structuredClone(map))).toEqual(checkMap(map, asked));
        }
      }),
      { numRuns: 45 },
    );
  },
);

test('a move long after the last check is checked in its own time', () => {
  let now = 0;
  const asked = {
    ...whole,
    root: 'Arch',
    requirements: whole.requirements.filter(({ type }) => type === 'short-links'),
  };
  const live = new LiveCheck(asked, undefined, { limit: { milliseconds: 2000, now: () => now } });
  const map = mapOf([topic('a', { text: 'Arch' }), topic('b', { x: 300 })], [link('a', 'b')]);
  live.check(map);
  now += 60_000;
  const moved = EDITS.move!(map, 1);
  expect(live.check(moved)).toEqual(checkMap(moved, asked));
});

test('what was moved only is not asked again by what does not read places', () => {
  const map = mapOf([topic('a', { text: 'Arch' }), topic('b', { x: 300 })], [link('a', 'b')]);
  const live = new LiveCheck(whole);
  const before = live.check(map);
  const after = live.check(EDITS.move!(map, 1));
  const isKept = (type: string): boolean =>
    before.results.find((one) => one.type === type) === after.results.find((one) => one.type === type);
  expect(['all-connected', 'precise-phrases', 'kind-style'].map(isKept)).toEqual([true, true, true]);
  expect(['few-crossings', 'short-links', 'fits-paper'].map(isKept)).toEqual([false, false, false]);
  expect(live.check(EDITS.write!(map, 1)).results.some((one) => before.results.includes(one))).toBe(false);
});

test('a check whose time is up leaves the rest to a person, and tries again at the next change', () => {
  let now = 0;
  const faults: string[] = [];
  const live = new LiveCheck(whole, undefined, {
    // Each look at the clock takes long, so that nothing which takes many looks comes to its end.
    limit: { milliseconds: 2000, now: () => (now += 50) },
    onFault: ({ type }) => faults.push(type),
  });
  const line = Array.from({ length: 60 }, (_, i) => topic(`t${i}`, { x: i * 130 }));
  const map = mapOf(
    line,
    line.slice(1).map(({ id }, i) => link(`t${i}`, id)),
  );
  const report = live.check(map);
  const stopped = report.results.filter(({ code }) => code === 'outOfTime');
  expect(stopped.map(({ type }) => type)).toEqual(faults);
  expect(faults).toContain('few-crossings');
  expect(stopped.every(({ status, points }) => status === 'judge' && points === 0)).toBe(true);
  expect(report.results.find(({ type }) => type === 'all-connected')?.status).toBe('met');
  now = -Infinity;
  expect(live.check(map)).toEqual(checkMap(map, whole));
});
