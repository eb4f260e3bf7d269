import { mapOf, topic } from '../testing/make.js';
import { snapStep } from './snap.js';

const box = (id: string, x: number, y: number) => topic(id, { x, y, width: 100, height: 40 });
const held = new Set(['a']);

test('what is dragged is drawn into line with an edge or the middle of another, and no further than it may', () => {
  const map = mapOf([box('a', 0, 0), box('b', 300, 200)]);
  expect(snapStep(map, held, { x: 297, y: 90 }, 6)).toEqual({
    step: { x: 300, y: 90 },
    guides: [{ along: 'x', at: 300, from: 70, to: 220 }],
  });
  expect(snapStep(map, held, { x: 290, y: 90 }, 6)).toEqual({ step: { x: 290, y: 90 }, guides: [] });
  expect(snapStep(map, held, { x: 196, y: 202 }, 6).step).toEqual({ x: 200, y: 200 });
});

test('in a row it stands as far from its neighbour as that one from the next, or between two', () => {
  const row = mapOf([box('a', 0, 0), box('b', 1000, 7), box('c', 1150, 7)]);
  expect(snapStep(row, held, { x: 1297, y: 30 }, 6).step.x).toBe(1300);
  const gap = mapOf([box('a', 0, 0), box('b', 0, 200), box('c', 413, 200)]);
  expect(snapStep(gap, held, { x: 204, y: 185 }, 6).step.x).toBe(206.5);
});

test('alone, or with nothing in the hand, nothing is drawn aside', () => {
  const map = mapOf([box('a', 0, 0)]);
  expect(snapStep(map, held, { x: 3, y: 3 }, 6)).toEqual({ step: { x: 3, y: 3 }, guides: [] });
  expect(snapStep(map, new Set(), { x: 3, y: 3 }, 6).guides).toEqual([]);
});
