import fc from 'fast-check';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { MapIndex } from './map-index.js';
import type { Link } from '../map/types.js';

const IDS = ['r', 'a', 'b', 'c', 'd', 'e'];
const KINDS = [null, 'part', 'own', 'target', 'nobody’s'];

/** Maps of six topics, some of them beside the structure, with links of every sort. */
const maps = fc
  .record({
    kinds: fc.array(fc.constantFrom(...KINDS), { minLength: 5, maxLength: 5 }),
    ties: fc.array(
      fc.tuple(
        fc.nat(5),
        fc.nat(5),
        fc.constantFrom('forward' as const, 'both' as const, 'none' as const),
        fc.constantFrom(null, 'says', 'shows'),
      ),
      { maxLength: 9 },
    ),
  })
  .map(({ kinds, ties }) =>
    mapOf(
      IDS.map((id, i) => topic(id, { kind: i === 0 ? 'root' : kinds[i - 1]! })),
      ties
        .filter(([a, b]) => a !== b)
        .map(([a, b, arrow, kind], i): Link => link(IDS[a]!, IDS[b]!, { id: `l${i}`, arrow, kind })),
    ),
  );
const assignment = assignmentOf();
const beside = (kind: string | null): boolean => kind === 'target';

test('structure leaves out what stands beside it; neighbours are distinct and mutual', () => {
  fc.assert(
    fc.property(maps, (map) => {
      const index = new MapIndex(map, assignment);
      const inside = map.topics.filter(({ kind }) => !beside(kind)).map(({ id }) => id);
      expect(index.structuralTopics.map(({ id }) => id)).toEqual(inside);
      const links = map.links.filter(
        ({ from, to, kind }) => kind !== 'shows' && inside.includes(from) && inside.includes(to),
      );
      expect(index.structuralLinks).toEqual(links);
      for (const id of inside) {
        const next = links.flatMap(({ from, to }) => (from === id ? [to] : to === id ? [from] : []));
        expect(index.neighbours.get(id)).toEqual(new Set(next));
      }
    }),
  );
});

test('the way of an arrow: forward from its start, both and none from either end', () => {
  fc.assert(
    fc.property(maps, (map) => {
      const index = new MapIndex(map, assignment);
      for (const { id } of map.topics) {
        const own = index.structuralLinks.filter(({ from, to }) => from === id || to === id);
        expect(index.outLinks.get(id)).toEqual(own.filter(({ from, arrow }) => from === id || arrow !== 'forward'));
        expect(index.inLinks.get(id)).toEqual(own.filter(({ to, arrow }) => to === id || arrow !== 'forward'));
      }
    }),
  );
});

test('a topic’s branches are the first steps of its shortest ways from the root, and one of them is its home', () => {
  fc.assert(
    fc.property(maps, (map) => {
      const index = new MapIndex(map, assignment);
      /** Every shortest way from the root, as lists of ids, grown step by step. */
      const ways = new Map<string, string[][]>([['r', [['r']]]]);
      for (let step = 0; step < IDS.length; step++) {
        const fresh = new Map<string, string[][]>();
        for (const lists of ways.values()) {
          for (const way of lists.filter(({ length }) => length === step + 1)) {
            for (const next of index.neighbours.get(way.at(-1)!) ?? [])
              if (!ways.has(next)) fresh.set(next, [...(fresh.get(next) ?? []), [...way, next]]);
          }
        }
        for (const [id, lists] of fresh) ways.set(id, lists);
      }
      expect(new Map([...ways].map(([id, [way]]) => [id, way!.length - 1]))).toEqual(new Map(index.levels));
      for (const [id, lists] of ways)
        if (id !== 'r') expect(index.branches.get(id)).toEqual(new Set(lists.map((way) => way[1])));
      /** Up from a topic, each time by the first structural link in file order that leads nearer to the root. */
      const home = (id: string): string => {
        const level = index.levels.get(id)!;
        if (level === 1) return id;
        const up = index.structuralLinks
          .filter(({ from, to }) => from === id || to === id)
          .map(({ from, to }) => (from === id ? to : from))
          .find((other) => index.levels.get(other) === level - 1)!;
        return home(up);
      };
      const reached = (id: string): boolean => (index.levels.get(id) ?? 0) > 0;
      expect(index.crossLinks).toEqual(
        index.structuralLinks.filter(({ from, to }) => reached(from) && reached(to) && home(from) !== home(to)),
      );
      for (const id of [...ways.keys()].filter(reached)) expect(index.branches.get(id)).toContain(index.homes.get(id));
    }),
  );
});

test.each([
  ['the one named', ['Bridge', 'Arch'], 'Bridge', 't0'],
  ['the one named, misspelt', ['Brigde', 'Arch'], 'Bridge', 't0'],
  ['the only one of the root’s kind, when the one named is not there', ['Arch', 'Start'], 'Bridge', 't1'],
  ['the only one of the root’s kind, when none is named', ['Arch', 'Start'], undefined, 't1'],
])('the root is %s', (_, texts, root, wanted) => {
  const topics = texts.map((text, i) => topic(`t${i}`, { text, kind: text === 'Start' ? 'root' : 'part' }));
  expect(new MapIndex(mapOf(topics), assignmentOf({ ...(root && { root }) })).root?.id).toBe(wanted);
});

test('two of the root’s kind make none; neither does one beside the structure', () => {
  const two = ['a', 'b'].map((id) => topic(id, { kind: 'root' }));
  expect(new MapIndex(mapOf(two), assignmentOf()).root).toBeNull();
  expect(new MapIndex(mapOf([topic('Bridge', { kind: 'target' })]), assignmentOf({ root: 'Bridge' })).root).toBeNull();
});

test('a link whose end is not on the map is a fault of the caller, and said', () => {
  const index = new MapIndex(mapOf([topic('a')], []), assignmentOf());
  expect(() => index.ends(link('a', 'gone'))).toThrow('a link ends at a topic that is not on the map: a, gone');
});
