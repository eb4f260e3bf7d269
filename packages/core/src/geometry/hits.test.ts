import fc from 'fast-check';
import { boxesMeet } from './boxes.js';
import { Hits } from './hits.js';
import type { Thing } from './hits.js';

const thing = (left: number, top: number, size: number): Thing => ({
  key: {},
  box: { left, top, right: left + size, bottom: top + size },
});
const things = fc.array(
  fc.tuple(fc.nat(40), fc.nat(40), fc.nat(9)).map(([left, top, size]) => thing(left, top, size)),
  { maxLength: 40 },
);
const pairs = (found: readonly { a: Thing; b: Thing }[]): unknown[] => found.map(({ a, b }) => [a.box, b.box]);
const meets = (a: Thing, b: Thing): true | null => (boxesMeet(a.box, b.box) && a.box.left !== b.box.top ? true : null);

/** Every pair looked at, the same as with no memory and no index. */
const plainly = (as: readonly Thing[], bs: readonly Thing[], within: boolean): unknown[] =>
  as.flatMap((a, i) => bs.flatMap((b, k) => ((!within || k > i) && meets(a, b) ? [[a.box, b.box]] : [])));

test('whatever moved in between, the same pairs are found in the same order as by looking at all', () => {
  fc.assert(
    fc.property(things, things, fc.array(fc.tuple(fc.nat(39), fc.nat(40)), { maxLength: 6 }), (as, bs, moves) => {
      const [across, among] = [new Hits<true>(), new Hits<true>()];
      let [ones, others] = [as, bs];
      for (const [which, to] of [[0, 0] as [number, number], ...moves]) {
        expect(pairs(across.find(ones, others, meets))).toEqual(plainly(ones, others, false));
        expect(pairs(among.find(ones, ones, meets, { within: true }))).toEqual(plainly(ones, ones, true));
        ones = ones.map((one, i) => (i === which ? thing(to, to, 5) : one));
        others = others.filter((_, i) => i !== which);
        if (to % 5 === 0) ones = [...ones].reverse();
      }
    }),
    { numRuns: 200 },
  );
});

test('a pair of old things is not tested again', () => {
  const list = Array.from({ length: 20 }, (_, i) => thing(i * 3, 0, 5));
  const hits = new Hits<true>();
  let tested = 0;
  const count = (): true => {
    tested++;
    return true;
  };
  const first = hits.find(list, list, count, { within: true });
  tested = 0;
  expect(hits.find(list, list, count, { within: true })).toEqual(first);
  expect(tested).toBe(0);
  hits.find([thing(0, 0, 5), ...list.slice(1)], [thing(0, 0, 5), ...list.slice(1)], count);
  expect(tested).toBeGreaterThan(0);
  expect(hits.find([], [], count)).toEqual([]);
});
