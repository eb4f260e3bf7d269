import type { Graph } from '../graph.js';
import { shortestRanks } from './network-simplex.js';
import type { Arc } from './network-simplex.js';

/**
 * How far down each box stands: every tie leads down by one at least, and few lead further than they must. Ties that would
 * close a ring lead up instead (depth-first search from what nothing leads to, in the person's order); the sum of lengths is
 * shortened box by box until nothing is gained.
 * @returns by box, from 0
 */
export function ranksOf({ boxes, ties }: Graph): number[] {
  const order = [...boxes.keys()].sort((a, b) => boxes[a]!.y - boxes[b]!.y || boxes[a]!.x - boxes[b]!.x || a - b);
  const arcs = withoutRings(order, ties);
  const [into, out] = [adjacent(boxes.length, arcs, 1), adjacent(boxes.length, arcs, 0)];
  const ranks = shortestRanks(longestPaths(boxes.length, into, out), arcs);
  const least = Math.min(...ranks);
  return ranks.map((rank) => rank - least);
}

/** For each box the other ends of its arcs; `end` 0: of those that leave it, 1: of those that come. */
function adjacent(count: number, arcs: readonly Arc[], end: 0 | 1): number[][] {
  const lists: number[][] = Array.from({ length: count }, () => []);
  for (const arc of arcs) lists[arc[end]]!.push(arc[end === 0 ? 1 : 0]);
  return lists;
}

function withoutRings(order: readonly number[], ties: Graph['ties']): Arc[] {
  const out = new Map<number, number[]>();
  const comes = new Set<number>();
  for (const { from, to } of ties) {
    out.set(from, [...(out.get(from) ?? []), to]);
    comes.add(to);
  }
  const place = new Map(order.map((box, i) => [box, i]));
  for (const list of out.values()) list.sort((a, b) => place.get(a)! - place.get(b)!);
  const arcs: Arc[] = [];
  const state = new Map<number, 'open' | 'done'>();
  const starts = [...order.filter((box) => !comes.has(box)), ...order];
  for (const start of starts) {
    if (state.has(start)) continue;
    const path: { box: number; next: number }[] = [{ box: start, next: 0 }];
    state.set(start, 'open');
    for (let top = path.at(-1); top; top = path.at(-1)) {
      const to = out.get(top.box)?.[top.next++];
      if (to === undefined) {
        state.set(top.box, 'done');
        path.pop();
        continue;
      }
      // Back to what is still open: a ring, which this tie closes from below.
      arcs.push(state.get(to) === 'open' ? [to, top.box] : [top.box, to]);
      if (!state.has(to)) {
        state.set(to, 'open');
        path.push({ box: to, next: 0 });
      }
    }
  }
  return arcs;
}

function longestPaths(count: number, into: readonly number[][], out: readonly number[][]): number[] {
  const ranks = Array.from({ length: count }, () => 0);
  const left = into.map((list) => list.length);
  const ready = [...left.keys()].filter((box) => left[box] === 0);
  for (const box of ready)
    for (const next of out[box]!) {
      ranks[next] = Math.max(ranks[next]!, ranks[box]! + 1);
      left[next]! -= 1;
      if (left[next] === 0) ready.push(next);
    }
  return ranks;
}
