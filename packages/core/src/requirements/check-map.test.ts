import { readdirSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { applyChanges } from '../map/changes.js';
import { MapIndex } from '../map/map-index.js';
import { crossingsOf } from '../map/crossings.js';
import type { Requirement, TopicMap } from '../map/types.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { checkMap } from './check-map.js';
import { ramp, rounded, settled, share } from './fractions.js';
import { CATALOGUE, groupOf, requirementTypeOf, requirementTypes } from './registry.js';
import { withDefaults } from './params.js';
import { filled } from './words.js';

const need = (type: string, params: Record<string, unknown> = {}, more: Partial<Requirement> = {}): Requirement => ({
  id: type,
  type,
  params,
  level: 'must',
  points: 3,
  ...more,
});
const all = [
  need('all-terms-present'),
  need('terms-unchanged'),
  need('right-kind'),
  need('kind-count', { kind: 'own', min: 1, max: 2 }),
  need('all-connected'),
  need('links-labelled', { minShare: 0.9 }),
  need('few-crossings'),
  need('no-overlaps', { gap: 10 }),
];
const assignment = assignmentOf({
  terms: [
    { text: 'Arch', kind: 'part' },
    { text: 'Pier', kind: 'part' },
    { text: 'Keystone', kind: 'part' },
  ],
  root: 'Bridge',
  starter: mapOf([topic('s1', { text: 'Arch', kind: 'part' })]),
  requirements: all,
});

/** Maps of a few topics on shaken coordinates, some with an origin, some overlapping, some linked. */
const maps = fc
  .array(
    fc.record({
      text: fc.constantFrom('Bridge', 'Arch', 'Keyston', 'Pier', 'rust', ''),
      kind: fc.constantFrom('root', 'part', 'own', null),
      x: fc.integer({ min: 0, max: 12 }),
      y: fc.integer({ min: 0, max: 8 }),
      origin: fc.constantFrom('s1', undefined),
      shake: fc.integer({ min: 1, max: 1008 }),
    }),
    { maxLength: 9 },
  )
  .chain((rows) =>
    fc.array(fc.tuple(fc.nat(8), fc.nat(8), fc.constantFrom('', 'holds')), { maxLength: 10 }).map((pairs): TopicMap => {
      const topics = rows.map(({ text, kind, x, y, origin, shake }, i) =>
        topic(`t${i}`, {
          text,
          kind, // No two topics touch to the last bit, so that moving them all cannot turn touching into meeting.
          x: x * 60 + shake / 1009 + i * 0.137,
          y: y * 45 + shake / 3027 + i * 0.071,
          ...(origin && { origin }),
        }),
      );
      const links = pairs.flatMap(([a, b, phrase], i) =>
        a !== b && topics[a] && topics[b] ? [link(`t${a}`, `t${b}`, { id: `l${i}`, phrase })] : [],
      );
      return mapOf(topics, links);
    }),
  );

test('0 of 0, ramps and sums', () => {
  expect([share(0, 0), share(1, 2)]).toEqual([0, 0.5]);
  expect([ramp(1, 2), ramp(2, 2), ramp(3, 1, 2), ramp(0, 0), ramp(5, undefined)]).toEqual([0.5, 1, 2 / 3, 1, 1]);
  expect([settled(1 - 1e-10), settled(1e-10), settled(0.5)]).toEqual([1, 0, 0.5]);
  expect([rounded(0.285), rounded(1.005), rounded(2.344)]).toEqual([0.29, 1.01, 2.34]);
});

test('a map with no topics has nothing of anything that applies', () => {
  const { results, earned, outOf } = checkMap(mapOf([]), assignment);
  expect(results.map(({ fraction }) => fraction)).toEqual(all.map(() => 0));
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
    message: expect.stringContaining('cannot be checked yet') as string,
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

/** Parameters that must be given, for the types that have such. */
const NEEDED: Record<string, Record<string, unknown>> = {
  'kind-count': { kind: 'own' },
  'blanks-filled': { answers: [{ origin: 's1', accept: ['Arch'] }] },
  'sits-under': { kinds: ['part'], parents: ['own'] },
  'anchor-links': { kind: 'target', targets: ['part'] },
  'allowed-links': { pairs: [['own', 'part']] },
  'propositions-present': { propositions: [{ from: 'Arch', to: 'Pier', phrases: ['holds'] }] },
  'propositions-absent': { propositions: [{ from: 'Pier', to: 'Arch', direction: 'either' }] },
  'link-style': { linkKind: 'shows', from: ['target'] },
};
const every = requirementTypes().map((type) => need(type.id, NEEDED[type.id]));

test('folder, registry and catalogue are the same 52; every sentence fills its blanks', () => {
  const ids = Object.values(CATALOGUE).flat() as string[];
  expect(new Set(ids).size).toBe(52);
  expect(
    requirementTypes()
      .map(({ id }) => id)
      .sort(),
  ).toEqual([...ids].sort());
  const files = readdirSync(path.join(process.cwd(), 'packages/core/src/requirements'));
  expect(ids.filter((id) => !files.includes(`${id}.ts`))).toEqual([]);
  for (const type of requirementTypes()) {
    expect(groupOf(type.id)).toBe(type.group);
    const sentence = filled(type.sentence(withDefaults(type, NEEDED[type.id] ?? {}), assignment));
    expect(sentence).toMatch(/^\p{Lu}/u);
    expect(sentence).not.toMatch(/undefined|NaN| {2}/);
  }
  expect(requirementTypeOf('nonsense')).toBeUndefined();
});

test('no type breaks off on any map, and what each flags exists', () => {
  const whole = {
    ...assignment,
    reference: mapOf([topic('r1', { text: 'Arch' }), topic('r2', { text: 'Pier' })], [link('r1', 'r2')]),
    requirements: every,
  };
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
      for (const { evidence, fraction, message } of results) {
        expect(fraction === null || (fraction >= 0 && fraction <= 1)).toBe(true);
        for (const piece of evidence) expect([...piece.topics, ...piece.links].every((id) => there.has(id))).toBe(true);
        for (const words of [message, ...evidence.map((piece) => piece.message)])
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
        crossingsOf(new MapIndex(of, assignment))
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
