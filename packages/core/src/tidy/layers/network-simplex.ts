/** Leads down by one rank at least. */
export type Arc = readonly [from: number, to: number];

/**
 * Ranks in which the arcs of an acyclic graph are shortest in sum (network simplex: Gansner, Koutsofios, North and Vo, *A
 * technique for drawing directed graphs*, 1993). Work is bounded, not time: the same graph has the same ranks.
 * @param ranks feasible ranks to begin with, by vertex
 * @returns by vertex, a whole number; what no arcs join has places of its own
 */
export function shortestRanks(ranks: readonly number[], arcs: readonly Arc[]): number[] {
  const now = [...ranks];
  const forest = tightForest(now, arcs);
  // With arcs of one weight, what cutting the forest above a vertex gains is the sum of these over all that hangs there.
  const surplus = now.map(() => 0);
  for (const [from, to] of arcs) {
    surplus[from]! -= 1;
    surplus[to]! += 1;
  }
  const most = ROUNDS * ranks.length;
  for (let round = 0, next = 0; round < most; round++) {
    const { order, up } = rooted(now.length, forest, arcs);
    const gain = [...surplus];
    for (const v of order.toReversed()) if (up[v] !== null) gain[otherEnd(arcs[up[v]!]!, v)]! += gain[v]!;
    const cuts = order.filter((v) => up[v] !== null && (arcs[up[v]!]![1] === v ? gain[v]! : -gain[v]!) < 0);
    if (cuts.length === 0) break;
    const child = cuts[next++ % cuts.length]!;
    exchange(now, forest, arcs, { child, leaving: up[child]!, order, up });
  }
  return now;
}
/** Exchanges for each vertex, at most. */
const ROUNDS = 6;

const otherEnd = ([from, to]: Arc, v: number): number => (from === v ? to : from);
const slack = (ranks: readonly number[], [from, to]: Arc): number => ranks[to]! - ranks[from]! - 1;

/** The arcs of trees that span every part of the graph, none longer than it must be; ranks are moved for that. */
function tightForest(ranks: number[], arcs: readonly Arc[]): Set<number> {
  const forest = new Set<number>();
  const treeOf = ranks.map((_, v) => [v]);
  const isApart = ([from, to]: Arc): boolean => treeOf[from] !== treeOf[to];
  for (;;) {
    let [joining, least] = [-1, Infinity];
    arcs.forEach((arc, a) => {
      if (isApart(arc) && slack(ranks, arc) < least) [joining, least] = [a, slack(ranks, arc)];
    });
    if (joining < 0) return forest;
    const [from, to] = arcs[joining]!;
    const isFrom = treeOf[from]!.length < treeOf[to]!.length;
    const [small, large] = isFrom ? [treeOf[from]!, treeOf[to]!] : [treeOf[to]!, treeOf[from]!];
    for (const v of small) {
      ranks[v]! += isFrom ? least : -least;
      large.push(v);
      treeOf[v] = large;
    }
    forest.add(joining);
  }
}

interface Rooted {
  /** every vertex after the one above it */
  order: number[];
  /** by vertex the arc to the one above it; null at roots */
  up: (number | null)[];
}

function rooted(count: number, forest: ReadonlySet<number>, arcs: readonly Arc[]): Rooted {
  const ends: number[][] = Array.from({ length: count }, () => []);
  for (const a of forest) for (const v of arcs[a]!) ends[v]!.push(a);
  const up = Array.from({ length: count }, (): number | null | undefined => undefined);
  const order: number[] = [];
  for (let root = 0; root < count; root++) {
    if (up[root] !== undefined) continue;
    up[root] = null;
    for (let i = order.push(root) - 1; i < order.length; i++)
      for (const a of ends[order[i]!]!) {
        const other = otherEnd(arcs[a]!, order[i]!);
        if (up[other] !== undefined) continue;
        up[other] = a;
        order.push(other);
      }
  }
  return { order, up: up as (number | null)[] };
}

/** Takes the arc above a vertex out of the forest, and the shortest that leads back over the cut into it. */
function exchange(
  ranks: number[],
  forest: Set<number>,
  arcs: readonly Arc[],
  { child, leaving, order, up }: Rooted & { child: number; leaving: number },
): void {
  const below = new Set([child]);
  for (const v of order) if (up[v] !== null && below.has(otherEnd(arcs[up[v]!]!, v))) below.add(v);
  const isIntoBelow = arcs[leaving]![1] === child;
  let [entering, least] = [leaving, Infinity];
  arcs.forEach((arc, a) => {
    const [from, to] = [below.has(arc[0]), below.has(arc[1])];
    if (from === to || to === isIntoBelow || slack(ranks, arc) >= least) return;
    [entering, least] = [a, slack(ranks, arc)];
  });
  if (entering === leaving) return;
  for (const v of below) ranks[v]! += isIntoBelow ? least : -least;
  forest.delete(leaving);
  forest.add(entering);
}
