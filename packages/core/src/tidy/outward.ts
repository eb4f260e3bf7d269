import type { Layout, Place } from './layers/layered.js';
import type { Box, Graph, Tie } from './graph.js';

/** Canvas units between what stands on neighbouring rings, and between any two boxes. */
const [BETWEEN, APART] = [60, 22];
const ROUNDS = 8;

/**
 * A part laid out around its centre: each level of a breadth-first tree on a ring of its own, each branch in a wedge as wide
 * as what it ends in (radial trees: Eades 1992). Branches begin in the order in which the person has them around the centre
 * and are turned towards what they are tied to while that takes crossings away; each ring is as wide as it must be for
 * nothing on it to lie on anything.
 * @param centre position of the box in the middle
 */
export function outward(graph: Graph, centre: number): Layout {
  const tree = treeFrom(graph, centre);
  let best = placed(graph, tree);
  let least = crossings(graph.ties, best);
  let orders = tree.children.map((own) => [...own]);
  for (let round = 0, now = best; round < ROUNDS && least > 0; round++) {
    turn(graph, tree, now);
    now = placed(graph, tree);
    const count = crossings(graph.ties, now);
    if (count < least) [best, least, orders] = [now, count, tree.children.map((own) => [...own])];
  }
  tree.children = orders;
  return { places: exchanged(graph, tree, best, least), ways: graph.ties.map(() => []) };
}

/** How many exchanges are tried, fewer where each takes longer. */
const TRIED = { most: 1500, work: 120_000_000 } as const;

/** Branches that stand beside each other change places where that takes crossings away, those of the middle first. */
function exchanged(graph: Graph, tree: Tree, before: Place[], crossed: number): Place[] {
  const rings = before.map(({ x, y }) => Math.sqrt(x * x + y * y));
  // The rings stay about as wide as they are: they are measured again when all is done.
  const count = (): number =>
    crossings(
      graph.ties,
      waysOf(graph, tree).map(({ x, y }, box) => ({ x: x * rings[box]!, y: y * rings[box]! })),
    );
  let left = Math.min(TRIED.most, Math.round(TRIED.work / (1 + graph.ties.length ** 2)));
  let least = crossed;
  for (let better = true; better && left > 0 && least > 0;) {
    better = false;
    for (const box of tree.order) {
      const own = tree.children[box]!;
      for (let i = 0; i + 1 < own.length && left > 0; i++, left--) {
        [own[i], own[i + 1]] = [own[i + 1]!, own[i]!];
        const now = count();
        if (now < least) [least, better] = [now, true];
        else [own[i], own[i + 1]] = [own[i + 1]!, own[i]!];
      }
    }
  }
  const after = placed(graph, tree);
  return crossings(graph.ties, after) < crossed ? after : before;
}

interface Tree {
  /** boxes as a search in breadth comes to them */
  order: number[];
  level: number[];
  /** by box, the tie to its parent; null for the centre */
  hangsBy: (Tie | null)[];
  parent: number[];
  children: number[][];
}

function treeFrom({ boxes, ties }: Graph, centre: number): Tree {
  const next: { other: number; tie: Tie }[][] = boxes.map(() => []);
  for (const tie of ties) {
    next[tie.from]!.push({ other: tie.to, tie });
    next[tie.to]!.push({ other: tie.from, tie });
  }
  const tree: Tree = {
    order: [centre],
    level: boxes.map(() => -1),
    hangsBy: boxes.map(() => null),
    parent: boxes.map(() => -1),
    children: boxes.map(() => []),
  };
  tree.level[centre] = 0;
  for (const box of tree.order)
    for (const { other, tie } of next[box]!) {
      if (tree.level[other] !== -1) continue;
      tree.level[other] = tree.level[box]! + 1;
      tree.parent[other] = box;
      tree.hangsBy[other] = tie;
      tree.children[box]!.push(other);
      tree.order.push(other);
    }
  const around = boxes.map(({ x, y }) => turned(Math.atan2(y - boxes[centre]!.y, x - boxes[centre]!.x) + Math.PI / 2));
  for (const box of tree.order) tree.children[box]!.sort((a, b) => around[a]! - around[b]! || a - b);
  return tree;
}

/** From 0 to less than a whole turn. */
const turned = (angle: number): number => ((angle % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);

/** The children of each box by where what is tied to their branches stands on average, seen from the box. */
function turn({ boxes, ties }: Graph, { order, parent, children }: Tree, places: readonly Place[]): void {
  // What all of a branch is tied to, as sums of directions from the middle.
  const pull = boxes.map(() => ({ x: 0, y: 0 }));
  const far = (from: number, to: number): void => {
    const long = Math.sqrt(places[to]!.x ** 2 + places[to]!.y ** 2) || 1;
    pull[from]!.x += places[to]!.x / long;
    pull[from]!.y += places[to]!.y / long;
  };
  for (const { from, to } of ties)
    if (parent[from] !== to && parent[to] !== from) {
      far(from, to);
      far(to, from);
    }
  for (const box of order.toReversed())
    if (parent[box] !== -1) {
      pull[parent[box]!]!.x += pull[box]!.x;
      pull[parent[box]!]!.y += pull[box]!.y;
    }
  for (const box of order) {
    const own = turned(Math.atan2(places[box]!.y, places[box]!.x) + Math.PI / 2);
    // The angle from the box's own, as far as the other side: what is tied to nothing stays where it is.
    const wants = new Map(
      children[box]!.map((child) => {
        const { x, y } = pull[child]!;
        const at = places[child]!;
        const to =
          x === 0 && y === 0
            ? at
            : { x: at.x / (Math.hypot(at.x, at.y) || 1) + x, y: at.y / (Math.hypot(at.x, at.y) || 1) + y };
        const angle = turned(Math.atan2(to.y, to.x) + Math.PI / 2);
        return [child, parent[box] === -1 ? angle : turned(angle - own + Math.PI)];
      }),
    );
    children[box]!.sort((a, b) => wants.get(a)! - wants.get(b)! || a - b);
  }
}

/** Crossings of straight ties without an end in common. */
function crossings(ties: readonly Tie[], places: readonly Place[]): number {
  let count = 0;
  ties.forEach(({ from: a, to: b }, i) => {
    const [p, q] = [places[a]!, places[b]!];
    for (let j = 0; j < i; j++) {
      const { from: c, to: d } = ties[j]!;
      if (a === c || a === d || b === c || b === d) continue;
      const [r, s] = [places[c]!, places[d]!];
      if (side(p, q, r) !== side(p, q, s) && side(r, s, p) !== side(r, s, q)) count++;
    }
  });
  return count;
}
const side = (a: Place, b: Place, c: Place): boolean => (b.x - a.x) * (c.y - a.y) > (b.y - a.y) * (c.x - a.x);

/** By box, the direction it stands in, of length 1. */
function waysOf({ boxes }: Graph, { order, children }: Tree): Place[] {
  const room = boxes.map(({ width, height }) => Math.sqrt(width * height));
  const share = boxes.map((_, box) => room[box]!);
  for (const box of order.toReversed())
    if (children[box]!.length > 0)
      share[box] = Math.max(
        room[box]!,
        children[box]!.reduce((sum, child) => sum + share[child]!, 0),
      );
  const wedge = boxes.map(() => ({ from: 0, width: 2 * Math.PI }));
  for (const box of order) {
    const all = children[box]!.reduce((sum, child) => sum + share[child]!, 0);
    let { from } = wedge[box]!;
    for (const child of children[box]!) {
      const width = (wedge[box]!.width * share[child]!) / all;
      wedge[child] = { from, width };
      from += width;
    }
  }
  return wedge.map(({ from, width }) => {
    const angle = from + width / 2 - Math.PI / 2;
    return { x: Math.cos(angle), y: Math.sin(angle) };
  });
}

function placed(graph: Graph, tree: Tree): Place[] {
  const { boxes } = graph;
  const { order, level, hangsBy, parent } = tree;
  const way = waysOf(graph, tree);
  const places: Place[] = boxes.map(() => ({ x: 0, y: 0 }));
  const inside: number[] = [];
  let radius = 0;
  for (let ring = 0; ring <= level[order.at(-1)!]!; ring++) {
    const on = order.filter((box) => level[box] === ring);
    if (ring > 0) radius = radiusFor(on, inside, radius + BETWEEN, { boxes, way, places, hangsBy, parent });
    for (const box of on) places[box] = { x: radius * way[box]!.x, y: radius * way[box]!.y };
    inside.push(...on);
  }
  return places;
}

interface Standing {
  boxes: readonly Box[];
  /** by box, the direction it stands in, of length 1 */
  way: readonly Place[];
  places: readonly Place[];
  hangsBy: readonly (Tie | null)[];
  parent: readonly number[];
}

/** The least radius from `least` on at which boxes in their directions lie neither on each other nor on what is inside. */
function radiusFor(on: readonly number[], inside: readonly number[], least: number, standing: Standing): number {
  const { boxes, way, places, hangsBy, parent } = standing;
  let from = least;
  on.forEach((box, i) => {
    for (const other of on.slice(i + 1)) {
      const [x, y] = [Math.abs(way[box]!.x - way[other]!.x), Math.abs(way[box]!.y - way[other]!.y)];
      const room = between(boxes[box]!, boxes[other]!);
      from = Math.max(from, Math.min(room.width / x, room.height / y));
    }
  });
  const closed = on
    .flatMap((box) =>
      inside.map((other) => {
        const words = parent[box] === other ? hangsBy[box]!.words : null;
        const { width, height } = between(boxes[box]!, boxes[other]!, words);
        const [x, y] = [within(way[box]!.x, places[other]!.x, width), within(way[box]!.y, places[other]!.y, height)];
        return { low: Math.max(x.low, y.low), high: Math.min(x.high, y.high) };
      }),
    )
    .filter(({ low, high }) => low < high)
    .sort((a, b) => a.low - b.low);
  for (const { low, high } of closed) if (low < from && from < high) from = high;
  return from;
}

/** How far apart the centres of two boxes must be in one of both directions; with words between, those have room too. */
const between = (a: Box, b: Box, words: Tie['words'] = null) => ({
  width: (a.width + b.width) / 2 + APART + (words ? words.width : 0),
  height: (a.height + b.height) / 2 + APART + (words ? words.height + 12 : 0),
});

/** The radii at which a box that goes outward is less than `room` from a place, along one axis. */
function within(step: number, place: number, room: number): { low: number; high: number } {
  if (Math.abs(step) < 1e-9) return Math.abs(place) < room ? { low: -Infinity, high: Infinity } : { low: 0, high: 0 };
  const [a, b] = [(place - room) / step, (place + room) / step];
  return { low: Math.min(a, b), high: Math.max(a, b) };
}
