import { seeded } from '../../random.js';
import { shortestRanks } from './network-simplex.js';
import type { Arc } from './network-simplex.js';

const lengthOf = (ranks: readonly number[], arcs: readonly Arc[]): number =>
  arcs.reduce((sum, [from, to]) => sum + ranks[to]! - ranks[from]!, 0);

/** The least sum of lengths, by trying all ranks below a bound. */
function leastByTrying(count: number, arcs: readonly Arc[]): number {
  let least = Infinity;
  const ranks = Array.from({ length: count }, () => 0);
  const from = (v: number): void => {
    if (v === count) {
      if (arcs.every(([a, b]) => ranks[b]! > ranks[a]!)) least = Math.min(least, lengthOf(ranks, arcs));
      return;
    }
    for (ranks[v] = 0; ranks[v] < count; ranks[v] += 1) from(v + 1);
  };
  from(0);
  return least;
}

test('arcs are shortest in sum, and each leads down, on small graphs of chance', () => {
  const random = seeded(3);
  for (let round = 0; round < 40; round++) {
    const count = 6;
    const arcs: Arc[] = [];
    for (let a = 0; a < count; a++) for (let b = a + 1; b < count; b++) if (random() < 0.4) arcs.push([a, b]);
    const ranks = shortestRanks([...Array(count).keys()], arcs);
    expect(arcs.every(([a, b]) => ranks[b]! > ranks[a]!)).toBe(true);
    expect(lengthOf(ranks, arcs)).toBe(leastByTrying(count, arcs));
  }
});

test('what the first tight trees leave longer than it must be is shortened', () => {
  const arcs: Arc[] = [
    [0, 1],
    [0, 3],
    [0, 4],
    [0, 5],
    [1, 3],
    [1, 6],
    [2, 3],
    [2, 4],
    [4, 5],
    [4, 6],
    [5, 6],
  ];
  expect(lengthOf(shortestRanks([...Array(7).keys()], arcs), arcs)).toBe(16);
});
