import { shapesOf } from './block-shapes.js';
import type { Sort } from './block-shapes.js';
import type { Block, Gaps, Laid, Twig } from './blocks.js';
import { branchesOf } from './branches.js';
import type { Branches } from './branches.js';
import { lettersIn } from './frame.js';
import type { Frame } from './frame.js';
import type { Graph } from './graph.js';

const GAPS = { beside: 24, below: 14, drop: 34, lead: 26 };
/** How airily blocks are drawn, from wide to close. */
const AIR = [1.8, 1.5, 1.25, 1, 0.85];
/** What of the largest letters is as good as they are, and what is worth a look where lines are clearer then. */
const [SAME, NEARLY] = [0.97, 0.8];
/** Between parts that nothing joins. */
const APART = 44;

export interface InBlocks extends Laid {
  /** by box, the tie that it hangs by; null for roots */
  hangsBy: (number | null)[];
}

/**
 * A graph laid out to be read in a frame: each part a tree of blocks, as large as the frame lets it be; what is tied beside
 * that has no part in it.
 * @param roots the box that each part goes out from, by position
 * @returns the same more and less airily: the largest letters first, as far as they are nearly as large
 */
export function inBlocks(graph: Graph, roots: readonly number[], frame: Frame, sort: Sort): InBlocks[] {
  const branches = roots.map((root) => branchesOf(graph, root));
  const hangsBy = graph.boxes.map((_, box) => branches.find((one) => one.hangsBy[box] != null)?.hangsBy[box] ?? null);
  const drawn = AIR.map((air) =>
    packed(
      branches.map((one) => blocksOf(graph, one, air, sort)),
      frame,
      APART * air,
    ),
  );
  const best = Math.max(...drawn.map(({ letters }) => letters));
  const grade = (letters: number): number => (letters >= SAME * best ? 0 : 1 - letters / best);
  return drawn
    .filter(({ letters }) => letters >= NEARLY * best)
    .sort((a, b) => grade(a.letters) - grade(b.letters))
    .map(({ put }) => {
      const laid: Laid = {
        places: graph.boxes.map(() => ({ x: 0, y: 0 })),
        turns: graph.boxes.map(() => null),
        words: graph.boxes.map(() => null),
      };
      put(laid);
      return { ...laid, hangsBy };
    });
}

function blocksOf({ boxes, ties }: Graph, tree: Branches, air: number, sort: Sort): Block[] {
  const gaps: Gaps = { beside: GAPS.beside * air, below: GAPS.below * air, drop: GAPS.drop * air, lead: GAPS.lead };
  const twigs: Twig[] = [];
  for (const box of tree.order) {
    const { width, height } = boxes[box]!;
    const tie = tree.hangsBy[box]!;
    twigs[box] = { box, width, height, words: tie === null ? null : ties[tie]!.words };
  }
  return shapesOf(tree, boxes, twigs, gaps, sort);
}

interface Packed {
  letters: number;
  put: (into: Laid) => void;
}

/** Parts in their order in rows, each in the shape that fits, drawn as large as the frame lets them. */
function packed(parts: readonly (readonly Block[])[], frame: Frame, apart: number): Packed {
  const [only, ...more] = parts;
  const tried =
    only && more.length === 0 ? only.map((block) => inRows([block], Infinity, apart)) : shelves(parts, frame, apart);
  return tried
    .map(({ width, height, put }) => ({ letters: lettersIn({ width, height }, frame), put }))
    .reduce((best, one) => (one.letters > best.letters ? one : best));
}

/** Sizes of a frame's own proportion from small to large, until all fits. */
function shelves(parts: readonly (readonly Block[])[], frame: Frame, apart: number) {
  const area = parts.reduce(
    (sum, blocks) => sum + Math.min(...blocks.map(({ width, height }) => (width + apart) * (height + apart))),
    0,
  );
  const least = Math.sqrt(area / (frame.width * frame.height));
  return Array.from({ length: 24 }, (_, i) => least * 1.05 ** i).flatMap((scale) =>
    [1, 2, 3, 5, 8].map((rows) => {
      const [width, height] = [scale * frame.width, (scale * frame.height) / rows];
      const chosen = parts.map((blocks) => {
        const fits = blocks.find((one) => one.height <= height) ?? blocks.at(-1)!;
        return fits.width <= width ? fits : (blocks.findLast((one) => one.width <= width) ?? blocks[0]!);
      });
      return inRows(chosen, width, apart);
    }),
  );
}

function inRows(blocks: readonly Block[], widest: number, apart: number) {
  let [left, top, tall, width] = [0, 0, 0, 0];
  const seats = blocks.map((block) => {
    if (left > 0 && left + block.width > widest) [left, top, tall] = [0, top + tall + apart, 0];
    const seat = { x: left, y: top, across: 1, down: 1 } as const;
    left += block.width + apart;
    tall = Math.max(tall, block.height);
    width = Math.max(width, left - apart);
    return seat;
  });
  return {
    width,
    height: top + tall,
    put: (into: Laid): void => blocks.forEach((block, i) => block.put(seats[i]!, into)),
  };
}
