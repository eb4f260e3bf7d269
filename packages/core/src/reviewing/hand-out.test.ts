import fc from 'fast-check';
import { handOut } from './hand-out.js';
import type { ReviewedMap } from './hand-out.js';

const alone = (n: number): ReviewedMap[] => Array.from({ length: n }, (_, i) => ({ id: `m${i}`, makers: [`p${i}`] }));
const people = (n: number): string[] => Array.from({ length: n }, (_, i) => `p${i}`);
const plain = { apart: [], before: [], seed: 1 };
const counts = (list: readonly string[]): number[] => [
  ...new Map(list.map((one) => [one, list.filter((other) => other === one).length])).values(),
];

test('whatever the class: nobody their own, nobody one twice, everybody as many, every map as often', () => {
  fc.assert(
    fc.property(fc.integer({ min: 4, max: 40 }), fc.integer({ min: 1, max: 3 }), fc.nat(), (n, each, seed) => {
      const given = handOut({ maps: alone(n), reviewers: people(n), each, ...plain, seed });
      expect(given.every(({ reviewer, map }) => reviewer.slice(1) !== map.slice(1))).toBe(true);
      expect(new Set(given.map(({ reviewer, map }) => `${reviewer} ${map}`)).size).toBe(given.length);
      expect(counts(given.map(({ reviewer }) => reviewer))).toEqual(people(n).map(() => each));
      expect(counts(given.map(({ map }) => map))).toEqual(alone(n).map(() => each));
    }),
    { numRuns: 60 },
  );
});

test('groups: every map as often as every other, or once more; the same for the same seed, another for another', () => {
  const maps: ReviewedMap[] = [0, 1, 2, 3].map((g) => ({ id: `m${g}`, makers: [0, 1, 2].map((i) => `p${3 * g + i}`) }));
  const wanted = { maps, reviewers: people(11), each: 2, ...plain };
  const given = handOut(wanted);
  expect(given).toHaveLength(22);
  expect(given.some(({ reviewer, map }) => maps.find(({ id }) => id === map)!.makers.includes(reviewer))).toBe(false);
  const often = counts(given.map(({ map }) => map));
  expect(Math.max(...often) - Math.min(...often)).toBeLessThanOrEqual(1);
  expect(handOut(wanted)).toEqual(given);
  expect(handOut({ ...wanted, seed: 2 })).not.toEqual(given);
});

test('friends are kept apart, also where the others have to make room', () => {
  fc.assert(
    fc.property(fc.nat(), (seed) => {
      const apart: [string, string][] = [
        ['p0', 'p1'],
        ['p2', 'p0'],
        ['p3', 'p0'],
      ];
      const given = handOut({ maps: alone(6), reviewers: people(6), each: 2, apart, before: [], seed });
      const isApart = ({ reviewer, map }: { reviewer: string; map: string }): boolean =>
        apart.some((pair) => pair.includes(reviewer) && pair.includes(map.replace('m', 'p')));
      expect(given.filter(isApart)).toEqual([]);
      expect(given).toHaveLength(12);
    }),
  );
});

test('who cannot be given so many is given as many as there are', () => {
  expect(handOut({ maps: alone(2), reviewers: people(2), each: 3, ...plain })).toHaveLength(2);
  expect(handOut({ maps: alone(1), reviewers: people(1), each: 2, ...plain })).toEqual([]);
  expect(handOut({ maps: [], reviewers: people(3), each: 2, ...plain })).toEqual([]);
  const many = handOut({ maps: alone(3), reviewers: people(9), each: 2, ...plain });
  expect(counts(many.map(({ map }) => map))).toEqual([6, 6, 6]);
});

test('what was handed out before stays; what came since is handed out beside it', () => {
  const first = handOut({ maps: alone(5), reviewers: people(5), each: 2, ...plain });
  const more = handOut({ maps: alone(8), reviewers: people(8), each: 2, apart: [], before: first, seed: 3 });
  const all = [...first, ...more];
  expect(counts(all.map(({ reviewer }) => reviewer))).toEqual(people(8).map(() => 2));
  const often = alone(8).map(({ id }) => all.filter(({ map }) => map === id).length);
  expect(Math.max(...often) - Math.min(...often)).toBeLessThanOrEqual(1);
});
