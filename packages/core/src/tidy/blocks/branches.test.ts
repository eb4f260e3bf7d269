import { branchesOf } from './branches.js';
import type { Graph } from '../graph.js';

const words = { width: 60, height: 20 };
/** A head (0) with boxes below each other that hang from it, further ones from the fourth, and ties between some. */
function graph(count: number, between: readonly [number, number][], further = 0): Graph {
  const box = (_: unknown, i: number) => ({ width: 80, height: 30, x: i === 0 ? 0 : 40, y: 50 * i });
  return {
    boxes: Array.from({ length: 1 + count + further }, box),
    ties: [
      ...Array.from({ length: count }, (_, i) => ({ from: 0, to: i + 1, words })),
      ...Array.from({ length: further }, (_, i) => ({ from: 4, to: count + 1 + i, words: null })),
      ...between.map(([from, to]) => ({ from, to, words })),
    ],
  };
}
const children = (between: readonly [number, number][], further = 0) =>
  branchesOf(graph(6, between, further), 0).children[0];

test('what hangs from a head stays in its order where nothing ties it', () =>
  expect(children([])).toEqual([1, 2, 3, 4, 5, 6]));

test('two that are tied with words come one after the other, and the second knows of the tie', () => {
  const { children, besides } = branchesOf(graph(6, [[2, 5]]), 0);
  expect(children[0]).toEqual([1, 2, 5, 3, 4, 6]);
  expect(besides).toEqual([null, null, null, null, null, 6, null]);
});

test('of two the upper is a leaf: what has a branch comes second', () => {
  expect(children([[6, 4]], 2)).toEqual([1, 2, 3, 6, 4, 5]);
  expect(children([[1, 4]], 2)).toEqual([1, 4, 2, 3, 5, 6]);
});

test('nothing parts two that stand together', () => {
  const order = children([
    [1, 3],
    [2, 3],
    [5, 1],
  ]);
  expect(order!.indexOf(3)).toBe(order!.indexOf(1) + 1);
  expect([...order!].sort((a, b) => a - b)).toEqual([1, 2, 3, 4, 5, 6]);
});

test('a tie without words, and one that something hangs by, moves nothing', () => {
  const bare = graph(6, []);
  expect(branchesOf({ ...bare, ties: [...bare.ties, { from: 2, to: 5, words: null }] }, 0).children[0]).toEqual([
    1, 2, 3, 4, 5, 6,
  ]);
});
