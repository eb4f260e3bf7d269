import fc from 'fast-check';
import { link, topic } from '../testing/make.js';
import { SHAPES } from '../map/types.js';
import { drawnPart, longestOutside } from './drawn-part.js';
import { entersBox } from './boxes.js';
import { drawLink } from './draw-link.js';
import { eachOverlap, meetingPoint, segmentsMeet } from './meetings.js';
import { boxAround, boxOf, distance, lengthOf, pointAlong, polyline, shareAt } from './points.js';
import type { Box, Point } from './points.js';
import { bendThrough, centreLine } from './path.js';
import { outlineOf, polygonCorners, polygonOf } from './shapes.js';

const p = (x: number, y: number): Point => ({ x, y });
const from = topic('from', { x: 0, y: 0 });
const to = topic('to', { x: 300, y: 0 });

test('the drawn part is the line less what lies inside either shape', () => {
  expect(drawnPart(link('from', 'to'), from, to, undefined)).toEqual([p(50, 0), p(250, 0)]);
  expect(
    drawnPart(
      link('from', 'to'),
      topic('from', { shape: 'diamond' }),
      topic('to', { x: 200, y: 200, shape: 'plain' }),
      undefined,
    )[0]!.x,
  ).toBeCloseTo(100 / 7, 9);
});

test('shapes that cover the whole line leave nothing', () => {
  expect(drawnPart(link('from', 'to'), from, topic('to', { x: 60 }), undefined)).toEqual([]);
  expect(drawnPart(link('from', 'to'), from, topic('to'), undefined)).toEqual([]);
});

test('a line enters a box only where it has a point inside, not on its edge; a box shrunk to nothing is never entered', () => {
  const topic = { x: 0, y: 0, width: 20, height: 10 };
  const enters = (box: Box, ...line: Point[]): boolean => entersBox(polyline(line), box);
  expect(enters(boxOf(topic), p(-30, 0), p(30, 0))).toBe(true);
  expect(enters(boxOf(topic), p(-30, -9), p(30, 9))).toBe(true);
  expect(enters(boxOf(topic), p(1, 1), p(1, 1))).toBe(true);
  expect(enters(boxOf(topic), p(-30, 5), p(30, 5))).toBe(false);
  expect(enters(boxOf(topic), p(10, -30), p(10, 30))).toBe(false);
  expect(enters(boxOf(topic), p(-30, 0), p(-10, 0))).toBe(false);
  expect(enters(boxOf(topic), p(0, 10), p(20, 0))).toBe(false);
  expect(enters(boxOf(topic), p(-30, 0), p(-30, 40), p(0, 1))).toBe(true);
  expect(enters(boxOf(topic, -6), p(-30, -9), p(30, 9))).toBe(false);
  expect(enters(boxOf(topic), p(0, 0))).toBe(false);
});

test('of several pieces the longest is drawn, the first if equal', () => {
  const topic = { x: 0, y: 0, width: 2, height: 20 };
  const wall = { corners: polygonCorners('rectangle', topic), box: boxOf(topic) };
  expect(longestOutside([p(-10, 0), p(30, 0)], [wall])).toEqual([p(1, 0), p(30, 0)]);
  expect(longestOutside([p(-11, 0), p(11, 0)], [wall])).toEqual([p(-11, 0), p(-1, 0)]);
});

test.each([
  ['straight', 2],
  ['curved', 33],
  ['elbow', 4],
] as const)('a %s line has %i points from centre to centre', (route, points) => {
  const line = centreLine(p(0, 0), p(100, 40), route, 0.2);
  expect(line).toHaveLength(points);
  expect([line[0], line.at(-1)]).toEqual([p(0, 0), p(100, 40)]);
});

test('an elbow turns at half way and bend, first along the longer side', () => {
  expect(centreLine(p(0, 0), p(100, 40), 'elbow', 0.2)).toEqual([p(0, 0), p(70, 0), p(70, 40), p(100, 40)]);
  expect(centreLine(p(0, 0), p(40, 100), 'elbow', 0)).toEqual([p(0, 0), p(0, 50), p(40, 50), p(40, 100)]);
});

test.each<[string, Point[], boolean]>([
  ['crossing', [p(0, 0), p(10, 10), p(0, 10), p(10, 0)], true],
  ['touching at an end', [p(0, 0), p(10, 0), p(10, 0), p(20, 5)], true],
  ['touching inside', [p(0, 0), p(10, 0), p(5, 0), p(5, 9)], true],
  ['running along', [p(0, 0), p(10, 0), p(4, 0), p(20, 0)], true],
  ['in line, apart', [p(0, 0), p(10, 0), p(11, 0), p(20, 0)], false],
  ['parallel', [p(0, 0), p(10, 0), p(0, 1), p(10, 1)], false],
  ['near', [p(0, 0), p(10, 0), p(5, 1e-9), p(5, 9)], false],
  ['a point on the other', [p(5, 0), p(5, 0), p(0, 0), p(10, 0)], true],
  ['a point beside it', [p(5, 1), p(5, 1), p(0, 0), p(10, 2.1)], false],
])('segments %s', (_, [a, b, c, d], meet) => {
  for (const pair of [
    [a!, b!, c!, d!],
    [c!, d!, a!, b!],
    [b!, a!, d!, c!],
  ] as const)
    expect(segmentsMeet(...pair) !== null).toBe(meet);
});

test('whether lines meet does not depend on their order or direction', () => {
  const point = fc.record({ x: fc.integer({ min: -6, max: 6 }), y: fc.integer({ min: -6, max: 6 }) });
  const line = fc.array(point, { minLength: 2, maxLength: 5 });
  fc.assert(
    fc.property(line, line, (one, other) => {
      const meet = meetingPoint(one, other) !== null;
      expect(meetingPoint(other, one) !== null).toBe(meet);
      expect(meetingPoint([...one].reverse(), other) !== null).toBe(meet);
    }),
    { numRuns: 500 },
  );
});

test('the index finds the same pairs as looking at every pair', () => {
  const box = fc
    .record({
      left: fc.integer({ min: 0, max: 50 }),
      top: fc.integer({ min: 0, max: 50 }),
      w: fc.integer({ min: 0, max: 9 }),
      h: fc.integer({ min: 0, max: 9 }),
    })
    .map(({ left, top, w, h }): Box => ({ left, top, right: left + w, bottom: top + h }));
  fc.assert(
    fc.property(fc.array(box, { maxLength: 40 }), (boxes) => {
      const pairs = boxes.flatMap((a, i) =>
        boxes.flatMap((b, j) =>
          j > i && a.left <= b.right && b.left <= a.right && a.top <= b.bottom && b.top <= a.bottom ? [[i, j]] : [],
        ),
      );
      const found: number[][] = [];
      eachOverlap(boxes, (a, b) => found.push([a, b]));
      expect(found).toEqual(pairs);
    }),
  );
});

test('every outline and polygon keeps to its box, runs clockwise and is convex', () => {
  const box = { x: 10, y: -5, width: 120, height: 44 };
  for (const shape of SHAPES) {
    for (const polygon of [polygonOf(shape, box), outlineOf(shape, box)]) {
      const { left, top, right, bottom } = boxAround(polygon);
      expect([left >= -50 - 1e-9, top >= -27 - 1e-9, right <= 70 + 1e-9, bottom <= 17 + 1e-9]).toEqual([
        true,
        true,
        true,
        true,
      ]);
      polygon.forEach((b, i) => {
        const [a, c] = [polygon.at(i - 1)!, polygon[(i + 1) % polygon.length]!];
        expect((b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x)).toBeGreaterThanOrEqual(-1e-9);
      });
    }
  }
});

test('a drawn link ends at both outlines, carries its head on the far one and its phrase in the middle', () => {
  const { line, heads, phrase } = drawLink(
    link('from', 'to', { phrase: 'pushes on' }),
    topic('from', { shape: 'capsule' }),
    to,
    undefined,
  );
  expect(line[0]!.x).toBeCloseTo(50, 1);
  expect(heads).toHaveLength(1);
  expect(heads[0]![0]).toEqual(line.at(-1));
  expect(phrase!.centre.x).toBeCloseTo(150, 1);
  expect(drawLink(link('from', 'to', { arrow: 'none', phrase: ' ' }), from, to, undefined)).toMatchObject({
    heads: [],
    phrase: null,
  });
  expect(drawLink(link('from', 'to', { arrow: 'both' }), from, to, undefined).heads).toHaveLength(2);
});

test('points along a line share its length', () => {
  const line = [p(0, 0), p(3, 0), p(3, 4)];
  expect(lengthOf(line)).toBe(7);
  expect(pointAlong(line, 0)).toEqual(p(0, 0));
  expect(pointAlong(line, 5 / 7)).toEqual(p(3, 2));
  expect(pointAlong(line, 1)).toEqual(p(3, 4));
  expect(pointAlong([], 0.5)).toBeNull();
});

test.each(['curved', 'elbow'] as const)('a %s line bent through a point comes by it', (route) => {
  const [a, b, by] = [
    { x: 10, y: 20 },
    { x: 410, y: 120 },
    { x: 170, y: 90 },
  ];
  const line = centreLine(a, b, route, bendThrough(route, a, b, by));
  const point = pointAlong(line, shareAt(line, by))!;
  if (route === 'elbow') expect(line[1]!.x).toBeCloseTo(by.x, -1);
  else expect(distance(point, by)).toBeLessThan(2);
  expect(bendThrough(route, a, a, by)).toBe(0);
});

test('words on a link break where their author broke them, and run as wide as their size lets them', () => {
  const drawn = (fields: object): NonNullable<ReturnType<typeof drawLink>['phrase']> =>
    drawLink(link('from', 'to', { phrase: 'takes the thrust\nof the arch', ...fields }), from, to, undefined).phrase!;
  const plain = drawn({});
  expect(plain.block.lines.map(({ text }) => text)).toEqual(['takes the thrust', 'of the arch']);
  expect(drawn({ phraseSize: 13 })).toEqual(plain);
  const large = drawn({ phraseSize: 26 });
  expect(large.block.lines.map(({ text }) => text)).toEqual(['takes the thrust', 'of the arch']);
  expect(large.block.width).toBeCloseTo(2 * plain.block.width, 9);
  expect(large.box.bottom - large.box.top).toBe(2 * plain.block.height + 2);
});
