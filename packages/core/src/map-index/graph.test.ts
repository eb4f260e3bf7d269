import fc from 'fast-check';
import { connectedParts, levelsFrom, strongParts } from './graph.js';

const IDS = ['a', 'b', 'c', 'd', 'e', 'f', 'g'];
const edges = fc.array(fc.tuple(fc.constantFrom(...IDS), fc.constantFrom(...IDS)), { maxLength: 12 });

const targets = (list: readonly (readonly [string, string])[]): Map<string, string[]> => {
  const next = new Map<string, string[]>();
  for (const [from, to] of list) next.set(from, [...(next.get(from) ?? []), to]);
  return next;
};
/** Everything a vertex reaches, itself included, by trying again until nothing is new. */
const reached = (from: string, list: readonly (readonly [string, string])[]): Set<string> => {
  const all = new Set([from]);
  for (let size = 0; size < all.size;) {
    size = all.size;
    for (const [a, b] of list) if (all.has(a)) all.add(b);
  }
  return all;
};
const bothWays = (list: readonly (readonly [string, string])[]): [string, string][] =>
  list.flatMap(([a, b]): [string, string][] => [
    [a, b],
    [b, a],
  ]);

test('connected parts are what reaches each other, in the order of the ids', () => {
  fc.assert(
    fc.property(edges, (list) => {
      const both = bothWays(list);
      const neighbours = new Map([...targets(both)].map(([id, found]) => [id, new Set(found)] as const));
      const parts = connectedParts(IDS, neighbours);
      expect(parts.flat().sort()).toEqual(IDS);
      for (const part of parts) expect(part).toEqual(IDS.filter((id) => reached(part[0]!, both).has(id)));
      expect(parts.map(([first]) => first)).toEqual([...parts.map(([first]) => first)].sort());
    }),
  );
});

test('levels are the lengths of shortest ways, nearest first', () => {
  fc.assert(
    fc.property(edges, (list) => {
      const next = targets(list);
      const levels = levelsFrom('a', (id) => next.get(id) ?? []);
      expect(new Set(levels.keys())).toEqual(reached('a', list));
      for (const [id, level] of levels) {
        const before = list.filter(([, to]) => to === id).flatMap(([from]) => levels.get(from) ?? []);
        expect(level).toBe(id === 'a' ? 0 : Math.min(...before) + 1);
      }
      expect([...levels.values()]).toEqual([...levels.values()].sort((x, y) => x - y));
    }),
  );
});

test('strong parts are what reaches each other along the arrows', () => {
  fc.assert(
    fc.property(edges, (list) => {
      const parts = strongParts(IDS, targets(list));
      expect(parts.flat().sort()).toEqual(IDS);
      for (const part of parts) {
        const mutual = IDS.filter((id) => reached(part[0]!, list).has(id) && reached(id, list).has(part[0]!));
        expect(part).toEqual(mutual);
      }
    }),
    { numRuns: 300 },
  );
});

test('a chain of many thousands does not end the stack', () => {
  const ids = Array.from({ length: 20_000 }, (_, i) => String(i));
  const next = new Map(ids.map((id, i) => [id, [String((i + 1) % ids.length)]]));
  expect(strongParts(ids, next)).toHaveLength(1);
  next.set('19999', []);
  expect(strongParts(ids, next)).toHaveLength(20_000);
});
