import { boxOf, unionOf } from '../../geometry/points.js';
import { shapesOf } from './block-shapes.js';
import type { Sort } from './block-shapes.js';
import type { Block, Gaps, Laid, Twig } from './blocks.js';
import { branchesOf } from './branches.js';
import type { Branches } from './branches.js';
import { lettersIn } from '../frame.js';
import type { Frame } from '../frame.js';
import type { Box, Graph } from '../graph.js';
import type { Place } from '../layers/layered.js';

const GAPS = { beside: 24, below: 14, drop: 34, lead: 26 };
/** How airily blocks are drawn, from wide to close. */
const AIR = [1.8, 1.5, 1.25, 1, 0.85];
/** What of the largest letters is as good as they are, and what is worth a look where lines are clearer then. */
const [SAME, NEARLY] = [0.97, 0.8];
/** What of them is enough for what is there to stay about where it is. */
const STAYS = 0.86;
/** Between parts that nothing joins. */
const APART = 44;

export interface InBlocks extends Laid {
  /** by box, the tie that it hangs by; null for roots */
  hangsBy: (number | null)[];
  /** its letters beside the largest that any drawing has */
  share: number;
}

/**
 * A graph laid out to be read in a frame: each part a tree of blocks, as large as the frame lets it be; what is tied beside
 * that has no part in it.
 * @param roots the box that each part goes out from, by position
 * @param stays whether it is in blocks already, and is to change as little as letters nearly as large let it
 * @returns drawings of about the largest letters, the best first: by their letters and their air, or by how little they move
 */
export function inBlocks(graph: Graph, roots: readonly number[], frame: Frame, sort: Sort, stays: boolean): InBlocks[] {
  const branches = roots.map((root) => branchesOf(graph, root));
  const hangsBy = graph.boxes.map((_, box) => branches.find((one) => one.hangsBy[box] != null)?.hangsBy[box] ?? null);
  const drawn = AIR.map((air) => {
    const blocks = branches.map((one) => blocksOf(graph, one, air, sort));
    return packings(blocks, frame, APART * air);
  });
  const best = Math.max(...drawn.flat().map(({ letters }) => letters));
  const laid = ({ letters, put }: Packed): InBlocks => {
    const into: Laid = {
      places: graph.boxes.map(() => ({ x: 0, y: 0 })),
      turns: graph.boxes.map(() => null),
      words: graph.boxes.map(() => null),
    };
    put(into);
    return { ...into, hangsBy, share: letters / best };
  };
  const all = drawn.flat();
  if (stays) return byWayMoved(all.filter(({ letters }) => letters >= STAYS * best).map(laid), graph.boxes);
  const grade = ({ letters }: Packed): number => (letters >= SAME * best ? 0 : 1 - letters / best);
  const bests = drawn
    .map((tried) => tried.reduce((most, one) => (one.letters > most.letters ? one : most)))
    .filter(({ letters }) => letters >= NEARLY * best)
    .sort((a, b) => grade(a) - grade(b));
  const others = all
    .filter((one) => one.letters >= NEARLY * best && !bests.includes(one))
    .sort((a, b) => b.letters - a.letters);
  return [...bests, ...others].map(laid);
}

/** The drawings by how far their boxes would go from where they are, seen from the middle of all. */
function byWayMoved(drawings: readonly InBlocks[], boxes: readonly Box[]): InBlocks[] {
  const from = middleOf(boxes);
  const moved = new Map(
    drawings.map((drawing) => {
      const to = middleOf(boxes.map((box, i) => ({ ...box, ...drawing.places[i]! })));
      const way = drawing.places.reduce((sum, { x, y }, i) => {
        const [dx, dy] = [x - to.x - boxes[i]!.x + from.x, y - to.y - boxes[i]!.y + from.y];
        return sum + Math.sqrt(dx * dx + dy * dy);
      }, 0);
      return [drawing, way];
    }),
  );
  return [...drawings].sort((a, b) => moved.get(a)! - moved.get(b)!);
}

function middleOf(boxes: readonly Box[]): Place {
  const { left, top, right, bottom } = unionOf(boxes.map((box) => boxOf(box)))!;
  return { x: (left + right) / 2, y: (top + bottom) / 2 };
}

function blocksOf({ boxes, ties }: Graph, tree: Branches, air: number, sort: Sort): Block[] {
  const gaps: Gaps = { beside: GAPS.beside * air, below: GAPS.below * air, drop: GAPS.drop * air, lead: GAPS.lead };
  const twigs: Twig[] = [];
  for (const box of tree.order) {
    const { width, height } = boxes[box]!;
    const wordsOf = (tie: number | null): Twig['words'] => (tie === null ? null : ties[tie]!.words);
    twigs[box] = { box, width, height, words: wordsOf(tree.hangsBy[box]!), beside: wordsOf(tree.besides[box]!) };
  }
  return shapesOf(tree, boxes, twigs, gaps, sort);
}

interface Packed {
  letters: number;
  put: (into: Laid) => void;
}

/** Parts in their order in rows, each in a shape that fits: as many drawings as there are shapes, or sizes of a frame. */
function packings(parts: readonly (readonly Block[])[], frame: Frame, apart: number): Packed[] {
  const [only, ...more] = parts;
  const tried =
    only && more.length === 0 ? only.map((block) => inRows([block], Infinity, apart)) : shelves(parts, frame, apart);
  return tried.map(({ width, height, put }) => ({ letters: lettersIn({ width, height }, frame), put }));
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
