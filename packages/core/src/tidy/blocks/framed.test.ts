import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { mend } from '../../drawn/mend.js';
import { boxesMeet, entersBox } from '../../geometry/boxes.js';
import { drawLink } from '../../geometry/draw-link.js';
import { fitTopic } from '../../geometry/fit.js';
import { boxOf, polyline, unionOf } from '../../geometry/points.js';
import { levelsFrom } from '../../map-index/graph.js';
import { applyChanges } from '../../map/changes.js';
import type { Legend, Link, TopicMap } from '../../map/types.js';
import { starterFrom } from '../../outline/starter.js';
import { readAssignmentText } from '../../formats/assignment-file.js';
import { readMapText } from '../../formats/map-file.js';
import { understood } from '../../formats/problems.js';
import { assignmentOf, link, mapOf, topic } from '../../testing/make.js';
import { lettersIn, SCREEN } from '../frame.js';
import type { Frame } from '../frame.js';
import { tidyMap } from '../tidy.js';
import type { TidyWay } from '../tidied.js';

const WAYS = ['downward', 'outward', 'sideways'] as const;
const { legend } = assignmentOf();
const PHRASES = ['', 'holds', 'is a kind of', 'hands its load to', 'says much more than fits into one line of words'];

const inFrame = (map: TopicMap, way: TidyWay, frame: Frame | undefined, of: Legend | undefined = legend): TopicMap =>
  applyChanges(map, tidyMap(map, { way, ...(frame && { frame }) }, of));

function letters(map: TopicMap, frame: Frame): number {
  const { left, top, right, bottom } = unionOf(map.topics.map((one) => boxOf(one)))!;
  return lettersIn({ width: right - left, height: bottom - top }, frame);
}

/** What letters could be if topics and words left nothing between them but a little air. */
function bound({ topics, links }: TopicMap, frame: Frame): number {
  const rooms = topics.map(({ width, height }) => (width + 40) * (height + 36));
  const words = links.map(({ phrase }) => (phrase === '' ? 0 : (7 * phrase.length + 10) * 26));
  const area = [...rooms, ...words].reduce((sum, one) => sum + one, 0);
  return 14 * Math.min(1, Math.sqrt((frame.width * frame.height) / area));
}

/** What lies on what, and which words have a line of another link through them. */
function faults(map: TopicMap, of: Legend | undefined = legend) {
  const byId = new Map(map.topics.map((one) => [one.id, one]));
  const boxes = map.topics.map((one) => boxOf(one, -0.5));
  const drawn = map.links.map((one) => {
    const { line, phrase } = drawLink(one, byId.get(one.from)!, byId.get(one.to)!, of);
    return { line: polyline(line), words: phrase?.box ?? null };
  });
  const words = drawn.flatMap((one) => (one.words ? [one.words] : []));
  const pairs = <T>(list: readonly T[], is: (a: T, b: T) => boolean): number =>
    list.reduce((sum, one, i) => sum + list.slice(i + 1).filter((other) => is(one, other)).length, 0);
  return {
    topicsOnTopics: pairs(boxes, boxesMeet),
    wordsOnTopics: words.reduce((sum, one) => sum + boxes.filter((box) => boxesMeet(one, box)).length, 0),
    wordsOnWords: pairs(words, boxesMeet),
    linesOverWords: drawn.reduce(
      (sum, one) =>
        sum + drawn.filter((other) => other !== one && other.words && entersBox(one.line, other.words)).length,
      0,
    ),
  };
}
const CLEAR = { topicsOnTopics: 0, wordsOnTopics: 0, wordsOnWords: 0 };

/** The share of steps from level to level that lead the way a map goes. */
function inOrder({ topics, links }: TopicMap, way: TidyWay): number {
  const next = new Map(topics.map(({ id }): [string, string[]] => [id, []]));
  for (const { from, to } of links) {
    next.get(from)!.push(to);
    next.get(to)!.push(from);
  }
  const root = topics[0]!;
  const levels = levelsFrom(root.id, (id) => next.get(id)!);
  const byId = new Map(topics.map((one) => [one.id, one]));
  const far = (id: string): number => {
    const { x, y } = byId.get(id)!;
    return way === 'outward' ? Math.hypot(x - root.x, y - root.y) : way === 'sideways' ? x : y;
  };
  const steps = links.filter(({ from, to }) => Math.abs((levels.get(from) ?? 0) - (levels.get(to) ?? 0)) === 1);
  const right = steps.filter(({ from, to }) =>
    levels.get(from)! < levels.get(to)! ? far(to) > far(from) : far(from) > far(to),
  );
  return steps.length === 0 ? 1 : right.length / steps.length;
}

const here = path.join(process.cwd(), 'packages/core/testdata/frame-cases');
const file = (name: string, folder = here): string => readFileSync(path.join(folder, name), 'utf8');

test.each(['2x24', '3x5x4', '6x10', '9x2-12'])('a starter of a chapter can be read on a screen: %s', (name) => {
  const assignment = understood(readAssignmentText(file(`starter-${name}.json`)));
  const map = starterFrom(assignment);
  expect(letters(map, SCREEN)).toBeGreaterThan(0.7 * bound(map, SCREEN));
  expect(faults(map, assignment.legend)).toEqual({ ...CLEAR, linesOverWords: 0 });
  expect(inOrder(map, 'downward')).toBe(1);
});

describe.each(WAYS)('%s', (way) => {
  // One of them takes long outward; the bench has all.
  const cases: [size: number, share: number][] = [
    [24, 0.5],
    [45, 0.5],
    ...(way === 'outward' ? [] : [[90, 0.45] as [number, number]]),
    [150, 0.35],
  ];
  test.each(cases)(
    'a map of %i topics with words can be read on a screen, nothing on anything, in order',
    (size, share) => {
      const { map: thrown } = mend(understood(readMapText(file(`map-${size}.json`))));
      const map = inFrame(thrown, way, SCREEN, undefined);
      expect(letters(map, SCREEN)).toBeGreaterThan((way === 'outward' ? share - 0.1 : share) * bound(map, SCREEN));
      const { linesOverWords, ...others } = faults(map, undefined);
      expect(others).toEqual(CLEAR);
      expect(linesOverWords).toBeLessThanOrEqual(0.01 * map.links.length);
      expect(inOrder(map, way)).toBeGreaterThan(0.95);
    },
  );

  test('whatever the map and the frame: nothing is lost, topics lie apart, the same twice, no smaller than without', () => {
    const made = fc.record({
      size: fc.integer({ min: 1, max: 24 }),
      picks: fc.infiniteStream(fc.nat()),
      across: fc.nat(6),
      frame: fc.record({ width: fc.integer({ min: 200, max: 1400 }), height: fc.integer({ min: 200, max: 1400 }) }),
    });
    fc.assert(
      fc.property(made, ({ size, picks, across, frame }) => {
        const map = grown(size, across, () => Number(picks.next().value));
        const once = inFrame(map, way, frame);
        expect(once.topics.map(({ id, text }) => [id, text])).toEqual(map.topics.map(({ id, text }) => [id, text]));
        expect(once.links.map(({ id, from, to }) => [id, from, to])).toEqual(
          map.links.map(({ id, from, to }) => [id, from, to]),
        );
        expect(mend(once).map).toEqual(once);
        expect(faults(once).topicsOnTopics).toBe(0);
        expect(inFrame(map, way, frame)).toEqual(once);
        expect(letters(once, frame)).toBeGreaterThanOrEqual(0.9 * letters(inFrame(map, way, undefined), frame));
      }),
      { numRuns: 5 },
    );
  });
});

/** Topics that hang from earlier ones or from none, some links across, words on some. */
function grown(size: number, across: number, pick: () => number): TopicMap {
  const topics = Array.from({ length: size }, (_, i) => {
    const one = topic(`t${i}`, { text: `Topic ${'long '.repeat(pick() % 4)}${i}`, x: pick() % 900, y: pick() % 600 });
    return { ...one, ...fitTopic(one, legend) };
  });
  const pairs = new Map<string, Link>();
  const tie = (a: number, b: number): void => {
    const phrase = PHRASES[pick() % PHRASES.length]!;
    if (a !== b) pairs.set(`${a} ${b}`, link(`t${a}`, `t${b}`, { id: `l${pairs.size}-${a}-${b}`, phrase }));
  };
  for (let i = 1; i < size; i++) if (pick() % 9 > 0) tie(pick() % i, i);
  for (let i = 0; i < across; i++) tie(pick() % size, pick() % size);
  return mapOf(topics, [...pairs.values()]);
}

test('a link whose kind sets another route takes none of a trunk; where too few may, no blocks are made', () => {
  const straight: Legend = { ...legend, linkKinds: [{ id: 'ray', name: 'ray', route: 'straight' }] };
  const fan = (kind: (i: number) => string | null): TopicMap =>
    mapOf(
      Array.from({ length: 41 }, (_, i) => ({ ...topic(`t${i}`, { x: 30 * i, y: 60 }), width: 90, height: 30 })),
      Array.from({ length: 40 }, (_, i) => link('t0', `t${i + 1}`, { id: `l${i}`, phrase: '', kind: kind(i) })),
    );
  const routes = (map: TopicMap) => map.links.map(({ route }) => route);
  const one = inFrame(
    fan((i) => (i === 7 ? 'ray' : null)),
    'downward',
    SCREEN,
    straight,
  );
  expect(routes(one).filter((route) => route !== 'elbow')).toEqual([undefined]);
  expect(one.links[7]!.route).toBeUndefined();
  expect(
    routes(
      inFrame(
        fan(() => 'ray'),
        'downward',
        SCREEN,
        straight,
      ),
    ),
  ).not.toContain('elbow');
});

test('some topics are tidied within their own place, beside the others', () => {
  const topics = Array.from({ length: 30 }, (_, i) => ({
    ...topic(`t${i}`, { x: (i % 6) * 120, y: 900 + 60 * i }),
    width: 90,
    height: 30,
  }));
  const map = mapOf(
    [topic('alone', { x: 0, y: 0 }), ...topics],
    topics.slice(1).map(({ id }, i) => link('t0', id, { id: `l${i}` })),
  );
  const after = applyChanges(
    map,
    tidyMap(map, { way: 'downward', topicIds: topics.map(({ id }) => id), frame: SCREEN }, legend),
  );
  const size = (of: TopicMap) => {
    const { left, top, right, bottom } = unionOf(of.topics.slice(1).map((one) => boxOf(one)))!;
    return { width: right - left, height: bottom - top };
  };
  // Their place is higher than wide, and so is what they are laid out in.
  expect(size(after).height).toBeGreaterThan(size(after).width);
  expect(after.topics[0]).toEqual(map.topics[0]);
});

const shared = path.join(process.cwd(), '../shared/frame-cases');
(existsSync(shared) ? test : test.skip)('the copies of the cases are those handed out', () => {
  for (const name of readdirSync(here)) expect(file(name)).toBe(file(name, shared));
});
