import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { seeded } from '../random.js';
import { byCodePoints } from './code-points.js';
import { drawnByAtLeast } from './composite.js';
import type { Tie } from './composite.js';
import { strongestOf } from './strongest.js';
import { togetherOf } from './class-together.js';

test('texts are ordered by code points, not by halves of characters', () => {
  expect(['\u{1F309}', '\uFF5E', 'b', 'a', ''].sort(byCodePoints)).toEqual(['', 'a', 'b', '\uFF5E', '\u{1F309}']);
});

describe('the strongest structure', () => {
  const names = ['a', 'b', 'c', 'd', 'e', 'f'];
  const ties = (seed: number): Tie[] => {
    const random = seeded(seed);
    return names
      .flatMap((a, i) => names.slice(i + 1).map((b) => ({ a, b, maps: Math.floor(random() * 5), phrases: [] })))
      .filter(({ maps }) => maps > 0)
      .sort((x, y) => y.maps - x.maps || byCodePoints(x.a + x.b, y.a + y.b));
  };
  /** By the definition: is there another way whose every tie is drawn by more maps? */
  const isOutdone = (all: readonly Tie[], { a, b, maps }: Tie): boolean => {
    const reached = new Set([a]);
    for (let grown = true; grown;) {
      grown = false;
      for (const tie of all)
        if (tie.maps > maps && reached.has(tie.a) !== reached.has(tie.b)) {
          reached.add(tie.a).add(tie.b);
          grown = true;
        }
    }
    return reached.has(b);
  };
  test.each(Array.from({ length: 40 }, (_, i) => i + 1))('by its definition, seed %i', (seed) => {
    const all = ties(seed);
    expect(strongestOf(all)).toEqual(
      all.filter((tie) => !isOutdone(all, tie)).map(({ a, b, maps }) => ({ a, b, maps })),
    );
  });
});

describe('a class', () => {
  const assignment = assignmentOf({ terms: [{ text: 'Arch', accept: ['vault'] }] });
  test('of none and of one has nothing alike, and breaks nothing', () => {
    expect(togetherOf([], assignment)).toEqual({
      terms: [{ term: 'Arch', maps: [], near: [] }],
      propositions: [],
      composite: { topics: [], ties: [] },
      strongest: [],
      likeness: [],
    });
    const one = togetherOf([mapOf([topic('Arch'), topic('Pier')], [link('Arch', 'Pier')])], assignment);
    expect(one.likeness).toEqual([]);
    expect(one.strongest).toEqual([{ a: 'term:arch', b: 'text:pier', maps: 1 }]);
  });
  test('reads other wordings as their term, and shows what at least so many drew', () => {
    const maps = [
      mapOf([topic('a', { text: 'Vaults' }), topic('b', { text: 'Pier' })], [link('a', 'b')]),
      mapOf([topic('a', { text: 'Arch' }), topic('b', { text: 'piers' })], [link('b', 'a')]),
      mapOf([topic('a', { text: 'Arch' }), topic('b', { text: ' ' })], [link('a', 'b')]),
    ];
    const { composite, propositions } = togetherOf(maps, assignment);
    expect(composite.topics.map(({ label, maps: n }) => [label, n])).toEqual([
      ['Arch', 3],
      ['Pier', 2],
    ]);
    expect(propositions.map(({ label, turned }) => [label.from, label.to, turned])).toEqual([
      ['Arch', 'Pier', 1],
      ['Pier', 'Arch', 1],
    ]);
    expect(drawnByAtLeast(composite, 3)).toMatchObject({ topics: [{ label: 'Arch' }], ties: [] });
  });
  test('a copy that was moved as a whole is alike in what it says and in where it lies', () => {
    const own = mapOf(
      ['Arch', 'Pier', 'Deck', 'Span', 'Wind', 'Rain'].map((id, i) => topic(id, { x: 130 * i, y: 40 * (i % 3) })),
      [link('Pier', 'Deck'), link('Wind', 'Rain')],
    );
    const copy = { ...own, topics: own.topics.map((one) => ({ ...one, x: one.x + 33, y: one.y - 7 })) };
    const other = mapOf(['Ice', 'Fog'].map((id) => topic(id)));
    const [first, ...rest] = togetherOf([own, other, copy], assignment).likeness;
    expect(first).toEqual({ a: 0, b: 2, likeness: 1, placement: 1 });
    expect(rest.every(({ likeness, placement }) => likeness === 0 && placement === 0)).toBe(true);
  });
});
