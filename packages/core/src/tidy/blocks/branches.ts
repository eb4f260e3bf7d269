import type { Box, Graph } from '../graph.js';

/** A part of a graph as a tree. */
export interface Branches {
  /** every box after what it hangs from; the first is the root */
  order: number[];
  /** by box, from first to last as they are to be read */
  children: number[][];
  /** by box, the tie that it hangs by; null for the root */
  hangsBy: (number | null)[];
  /** by box, a tie with words to the one that hangs right before it from the same box */
  besides: (number | null)[];
}

/**
 * What hangs from what: every box as near to the root as its ties let it, by the first tie that leads nearer (as cross-links
 * are told from others, docs: requirements). What hangs from the same box is in the order in which the person has it; two
 * that are tied with words come one after the other, the first a leaf, so that there is room for the words between them.
 */
export function branchesOf({ boxes, ties }: Graph, root: number): Branches {
  const ends: { other: number; tie: number }[][] = boxes.map(() => []);
  ties.forEach(({ from, to }, tie) => {
    ends[from]!.push({ other: to, tie });
    ends[to]!.push({ other: from, tie });
  });
  const level = new Map([[root, 0]]);
  for (const [box, own] of level) for (const { other } of ends[box]!) if (!level.has(other)) level.set(other, own + 1);
  const children: number[][] = boxes.map(() => []);
  const hangsBy: (number | null)[] = boxes.map(() => null);
  for (const [box, own] of level) {
    const by = ends[box]!.find(({ other }) => level.get(other) === own - 1);
    if (!by) continue;
    children[by.other]!.push(box);
    hangsBy[box] = by.tie;
  }
  for (const own of children) own.splice(0, own.length, ...asRead(own, boxes));
  const besides: (number | null)[] = boxes.map(() => null);
  ties.forEach(({ from, to, words }, tie) => {
    const head = headOf(ties, hangsBy[from]!, from);
    if (!words || head === null || head !== headOf(ties, hangsBy[to]!, to)) return;
    const second = drawnTogether(children[head]!, [from, to], children, besides);
    if (second !== null) besides[second] = tie;
  });
  const order = [root];
  for (const box of order) order.push(...children[box]!);
  return { order, children, hangsBy, besides };
}

/** What a box hangs from by a tie. */
function headOf(ties: Graph['ties'], by: number | null, box: number): number | null {
  if (by === null) return null;
  const { from, to } = ties[by]!;
  return from === box ? to : from;
}

/**
 * Moves one of two that hang from the same box to the other, unless that parts two others or none is a leaf.
 * @returns the second of the two, where they stand together now
 */
function drawnTogether(
  list: number[],
  [one, other]: readonly [number, number],
  children: Branches['children'],
  besides: Branches['besides'],
): number | null {
  const isLeaf = (box: number): boolean => children[box]!.length === 0;
  const [first, second] = list.indexOf(one) < list.indexOf(other) ? [one, other] : [other, one];
  const [upper, lower] = isLeaf(first) ? [first, second] : [second, first];
  if (!isLeaf(upper) || besides[lower] !== null) return null;
  const next = list[list.indexOf(upper) + 1];
  if (next === lower) return lower;
  // What stands between two that are tied parts them.
  const isParted = (at: number | undefined): boolean => at !== undefined && besides[at] !== null;
  if (upper === first && !isParted(next) && !isParted(list[list.indexOf(lower) + 1])) {
    list.splice(list.indexOf(lower), 1);
    list.splice(list.indexOf(upper) + 1, 0, lower);
    return lower;
  }
  if (isParted(next) || isParted(upper)) return null;
  list.splice(list.indexOf(upper), 1);
  list.splice(list.indexOf(lower), 0, upper);
  return lower;
}

/** Columns from the left, each from above: those stand in one column that have something of their width in common. */
export function asRead(list: readonly number[], boxes: readonly Box[]): number[] {
  const left = (box: number): number => boxes[box]!.x - boxes[box]!.width / 2;
  const columns: { right: number; own: number[] }[] = [];
  for (const box of [...list].sort((a, b) => left(a) - left(b) || a - b)) {
    const right = left(box) + boxes[box]!.width;
    const last = columns.at(-1);
    if (last && left(box) < last.right) {
      last.own.push(box);
      last.right = Math.max(last.right, right);
    } else columns.push({ right, own: [box] });
  }
  return columns.flatMap(({ own }) => own.sort((a, b) => boxes[a]!.y - boxes[b]!.y || a - b));
}
