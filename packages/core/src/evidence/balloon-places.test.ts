import { boxesMeet } from '../geometry/boxes.js';
import { drawLink } from '../geometry/draw-link.js';
import { boxOf } from '../geometry/points.js';
import { link, mapOf, topic } from '../testing/make.js';
import { balloonPlaces, RING } from './balloon-places.js';

const legend = { topicKinds: [], linkKinds: [] };
const numbers = (flag: number): number => flag;
const ringBox = ({ x, y }: { x: number; y: number }, scale = 1) => ({
  left: x - RING.radius * scale,
  right: x + RING.radius * scale,
  top: y - RING.radius * scale,
  bottom: y + RING.radius * scale,
});

test('nothing flagged, nothing placed; a flag on what is gone is none', () => {
  expect(balloonPlaces(mapOf([topic('a')]), legend, new Map(), numbers)).toEqual([]);
  expect(balloonPlaces(mapOf([topic('a')]), legend, new Map([['b', [1]]]), numbers)).toEqual([]);
});

test('rings of a crowd cover no words and not each other', () => {
  const topics = Array.from({ length: 12 }, (_, i) => topic(`t${i}`, { x: (i % 4) * 130, y: Math.floor(i / 4) * 90 }));
  const links = topics.slice(1).map(({ id }) => link('t0', id, { phrase: 'holds' }));
  const map = mapOf(topics, links);
  const flags = new Map([...topics, ...links].map(({ id }, i) => [id, [i % 3]]));
  const places = balloonPlaces(map, legend, flags, numbers);
  expect(places).toHaveLength(23);
  const byId = new Map(topics.map((one) => [one.id, one]));
  const phrases = links.flatMap(
    (one) => drawLink(one, byId.get(one.from)!, byId.get(one.to)!, legend).phrase?.box ?? [],
  );
  const covered = places.filter(({ at }) =>
    [...topics.map((one) => boxOf(one, -3)), ...phrases].some((box) => boxesMeet(ringBox(at), box)),
  );
  // Twelve topics under a fan of eleven links: most have room, and none covers the middle of another.
  expect(covered.length).toBeLessThan(6);
  for (const [i, one] of places.entries())
    for (const other of places.slice(i + 1))
      expect(Math.hypot(one.at.x - other.at.x, one.at.y - other.at.y)).toBeGreaterThan(9);
});

test('drawn small, rings of one number that lie together are one with their count; others stay apart', () => {
  const map = mapOf([
    topic('a', { x: 0 }),
    topic('b', { x: 60 }),
    topic('c', { x: 61, y: 30 }),
    topic('far', { x: 900 }),
  ]);
  const flags = new Map([
    ['a', [1]],
    ['b', [1]],
    ['c', [2]],
    ['far', [1]],
  ]);
  const small = balloonPlaces(map, legend, flags, numbers, 2.4);
  expect(small.map(({ marks, count }) => [marks, count])).toEqual([
    [['a', 'b'], 2],
    [['c'], 1],
    [['far'], 1],
  ]);
  expect(balloonPlaces(map, legend, flags, numbers, 1)).toHaveLength(4);
});
