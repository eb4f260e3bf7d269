import fc from 'fast-check';
import { boxOf } from '../geometry/points.js';
import { boxesMeet } from '../geometry/boxes.js';
import { MapIndex } from '../map-index/map-index.js';
import { mend } from '../drawn/mend.js';
import type { Term } from '../map/types.js';
import { assignmentOf } from '../testing/make.js';
import { readOutline } from './outline.js';
import { starterFrom } from './starter.js';

const onMap = (text: string, under: string | null = null, more: Partial<Term> = {}): Term => ({
  text,
  under,
  place: 'map',
  ...more,
});
const linked = (terms: Term[], root?: string) => {
  const map = starterFrom(assignmentOf({ terms, ...(root !== undefined && { root }) }));
  const textOf = new Map(map.topics.map(({ id, text }) => [id, text]));
  return {
    texts: map.topics.map(({ text, kind }) => [text, kind]),
    links: map.links.map(({ from, to, phrase }) => `${textOf.get(from)} ${phrase}> ${textOf.get(to)}`),
  };
};

test('a topic for each term on the map and for the root, with its kind, linked from what it is handed out under', () => {
  const terms = [onMap('Bridge'), onMap('Arch', 'bridge', { kind: 'part' }), onMap('Keystone', 'Arch')];
  expect(linked([...terms, { text: 'Rust', under: 'Arch' }], 'Bridge')).toEqual({
    texts: [
      ['Bridge', null],
      ['Arch', 'part'],
      ['Keystone', null],
    ],
    links: ['Bridge > Arch', 'Arch > Keystone'],
  });
});

test('the root is there although no term is it, or its term waits in the bank', () => {
  expect(linked([onMap('Arch')], 'Bridge').texts).toEqual([
    ['Bridge', 'root'],
    ['Arch', null],
  ]);
  expect(linked([onMap('Arch'), { text: 'Bridge', kind: 'part' }], 'bridge').texts).toEqual([
    ['Arch', null],
    ['Bridge', 'part'],
  ]);
});

test('under what is not on the map, or in a ring, it hangs from nothing', () => {
  expect(linked([onMap('Arch', 'Span'), { text: 'Span' }]).links).toEqual([]);
  expect(linked([onMap('a', 'b'), onMap('b', 'c'), onMap('c', 'a'), onMap('d', 'd')]).links).toEqual([
    'b > a',
    'c > b',
  ]);
});

test('an empty assignment gives an empty map', () => {
  expect(starterFrom(assignmentOf())).toMatchObject({ topics: [], links: [] });
});

test('whatever the outline, nothing overlaps, no two links cross, deeper is lower, and it is the same twice', () => {
  const line = fc.tuple(fc.nat(4), fc.string({ minLength: 1, maxLength: 60 }));
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 40 }), (lines) => {
      const outline = lines.map(([depth, text]) => '\t'.repeat(depth) + text).join('\n');
      const { terms } = readOutline(outline);
      const assignment = assignmentOf({ terms: terms.map(({ text, under }) => onMap(text, under)) });
      const map = starterFrom(assignment);
      expect(starterFrom(assignment)).toEqual(map);
      expect(mend(map)).toEqual({ map, dropped: [] });
      const boxes = map.topics.map((topic) => boxOf(topic));
      boxes.forEach((box, i) => boxes.slice(i + 1).forEach((other) => expect(boxesMeet(box, other)).toBe(false)));
      expect(new MapIndex(map, assignment).crossings).toEqual([]);
      const levelOf = new Map(terms.map(({ text, level }) => [text, level]));
      for (const { from, to } of map.links) {
        const [above, below] = [from, to].map((id) => map.topics.find((topic) => topic.id === id)!);
        expect(below!.y).toBeGreaterThan(above!.y);
        expect(levelOf.get(below!.text)).toBeGreaterThan(levelOf.get(above!.text)!);
      }
    }),
    { numRuns: 60 },
  );
});
