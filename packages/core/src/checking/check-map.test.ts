import { readdirSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { applyChanges } from '../map/changes.js';
import { MapIndex } from '../map-index/map-index.js';
import type { TopicMap } from '../map/types.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { assignment, maps, need, NEEDED, whole } from '../testing/random-maps.js';
import { checkMap } from './check-map.js';
import { ramp, rounded, settled, share } from '../requirements/fractions.js';
import { CATALOGUE } from '../requirements/registry.js';
import { groupOf, requirementTypeOf, requirementTypes } from '../requirements/registry.js';
import { requirementSentence, say } from '../wording/say.js';

test('0 of 0, ramps and sums', () => {
  expect([share(0, 0), share(1, 2)]).toEqual([0, 0.5]);
  expect([ramp(1, 2), ramp(2, 2), ramp(3, 1, 2), ramp(0, 0), ramp(5, undefined)]).toEqual([0.5, 1, 2 / 3, 1, 1]);
  expect([settled(1 - 1e-10), settled(1e-10), settled(0.5)]).toEqual([1, 0, 0.5]);
  expect([rounded(0.285), rounded(1.005), rounded(2.344)]).toEqual([0.29, 1.01, 2.34]);
});

test('a map with no topics has nothing of anything that applies', () => {
  const { results, earned, outOf } = checkMap(mapOf([]), assignment);
  expect(results.map(({ fraction }) => fraction)).toEqual(results.map(() => 0));
  expect([earned, outOf]).toEqual([0, 24]);
});

test('what does not apply leaves both sums, and an extra adds to what is earned alone', () => {
  const plain = assignmentOf({
    requirements: [
      need('all-terms-present'),
      need('all-connected', {}, { level: 'extra', points: 2 }),
      need('no-overlaps'),
    ],
  });
  const report = checkMap(mapOf([topic('a')]), plain);
  expect(report).toMatchObject({
    earned: 5,
    outOf: 3,
    results: [{ status: 'not-applicable', fraction: null, points: 0, outOf: 3 }, { status: 'met' }, { status: 'met' }],
  });
});

test('a type that this version does not know says so and counts for nothing', () => {
  const report = checkMap(mapOf([topic('a')]), assignmentOf({ requirements: [need('of-a-later-version')] }));
  expect(report.results[0]).toMatchObject({
    status: 'not-applicable',
    code: 'unknownType',
  });
});

test('a check that breaks off is for a person to judge and leaves the rest standing', () => {
  const broken = { ...mapOf([topic('a'), topic('b', { x: 300 })]), links: [link('a', 'gone')] };
  const faults: string[] = [];
  const report = checkMap(
    broken,
    assignmentOf({ requirements: [need('all-connected'), need('no-overlaps')] }),
    undefined,
    { onFault: ({ id }) => faults.push(id) },
  );
  expect(report.results).toMatchObject([{ status: 'judge', fraction: 0, points: 0 }, { status: 'met' }]);
  expect(faults).toEqual(['all-connected']);
});

test('folder, registry and catalogue are the same 52; every sentence fills its blanks', () => {
  const ids = Object.values(CATALOGUE).flat() as string[];
  expect(new Set(ids).size).toBe(52);
  expect(
    requirementTypes()
      .map(({ id }) => id)
      .sort(),
  ).toEqual([...ids].sort());
  const folder = path.join(process.cwd(), 'packages/core/src/requirements');
  for (const [group, wanted] of Object.entries(CATALOGUE)) {
    const files = readdirSync(path.join(folder, group));
    expect([group, wanted.filter((id) => !files.includes(`${id}.ts`))]).toEqual([group, []]);
  }
  for (const type of requirementTypes()) {
    expect(groupOf(type.id)).toBe(type.group);
    const sentence = requirementSentence({ type: type.id, params: NEEDED[type.id] ?? {} }, assignment);
    expect(sentence).toMatch(/^\p{Lu}/u);
    expect(sentence).not.toMatch(/undefined|NaN| {2}/);
  }
  expect(requirementTypeOf('nonsense')).toBeUndefined();
});

test('no type breaks off on any map, and what each flags exists', () => {
  fc.assert(
    fc.property(maps, (map) => {
      const faults: string[] = [];
      const { results } = checkMap(
        map,
        whole,
        { members: ['me', 'you'], due: '2026-01-01T10:00:00Z', handedIn: '2026-01-01T11:00:00+02:00' },
        { onFault: ({ id }, fault) => faults.push(`${id}: ${String(fault)}`) },
      );
      expect(faults).toEqual([]);
      const there = new Set([...map.topics, ...map.links].map(({ id }) => id));
      for (const result of results) {
        const { evidence, fraction } = result;
        expect(fraction === null || (fraction >= 0 && fraction <= 1)).toBe(true);
        for (const piece of evidence) expect([...piece.topics, ...piece.links].every((id) => there.has(id))).toBe(true);
        for (const words of [result, ...evidence].map((one) => say(result.type, one)))
          expect(words).not.toMatch(/undefined|NaN/);
      }
    }),
    { numRuns: 80 },
  );
});

test('laws that hold of every map', () => {
  fc.assert(
    fc.property(maps, (map) => {
      const before = JSON.stringify(map);
      const report = checkMap(map, assignment);
      expect(JSON.stringify(map)).toBe(before);
      expect(checkMap(map, assignment)).toEqual(report);
      expect(JSON.parse(JSON.stringify(report))).toEqual(report);
      expect(report.earned).toBe(rounded(report.results.reduce((sum, { points }) => sum + points, 0)));
      const there = new Set([...map.topics, ...map.links].map(({ id }) => id));
      for (const { evidence, fraction } of report.results) {
        expect(fraction === null || (fraction >= 0 && fraction <= 1)).toBe(true);
        for (const piece of evidence) expect([...piece.topics, ...piece.links].every((id) => there.has(id))).toBe(true);
      }
      const moved = { ...map, topics: map.topics.map((one) => ({ ...one, x: one.x + 4096, y: one.y - 2048 })) };
      expect(checkMap(moved, assignment).results.map(({ status, fraction }) => [status, fraction])).toEqual(
        report.results.map(({ status, fraction }) => [status, fraction]),
      );
    }),
    { numRuns: 150 },
  );
});

test('renaming ids changes ids alone', () => {
  fc.assert(
    fc.property(maps, (map) => {
      const renamed: TopicMap = {
        ...map,
        topics: map.topics.map((one) => ({ ...one, id: `x-${one.id}` })),
        links: map.links.map((one) => ({ ...one, id: `x-${one.id}`, from: `x-${one.from}`, to: `x-${one.to}` })),
      };
      const plain = (of: TopicMap, strip: boolean) =>
        JSON.parse(JSON.stringify(checkMap(of, assignment)).replaceAll(strip ? '"x-' : '\u0000', '"')) as unknown;
      expect(plain(renamed, true)).toEqual(plain(map, false));
    }),
    { numRuns: 60 },
  );
});

test('adding a link never lowers all-connected, and crossings do not depend on the order of links', () => {
  fc.assert(
    fc.property(maps, fc.nat(8), fc.nat(8), (map, a, b) => {
      const joined = (of: TopicMap): number => checkMap(of, assignment).results[4]!.fraction!;
      if (a !== b && map.topics[a] && map.topics[b]) {
        const more = applyChanges(map, [{ do: 'add', to: 'links', item: link(`t${a}`, `t${b}`, { id: 'more' }) }]);
        expect(joined(more)).toBeGreaterThanOrEqual(joined(map));
      }
      const pairs = (of: TopicMap): string[] =>
        new MapIndex(of, assignment).crossings
          .map(({ links }) =>
            links
              .map(({ id }) => id)
              .sort()
              .join(),
          )
          .sort();
      expect(pairs({ ...map, links: [...map.links].reverse() })).toEqual(pairs(map));
    }),
    { numRuns: 100 },
  );
});
