import { around, quartersOf } from './around.js';
import { beside, comb, flattest, fromAbove, fromTheSide, leaf, narrowest, row } from './blocks.js';
import type { Block, Gaps, Slot, Twig } from './blocks.js';
import type { Branches } from './branches.js';
import { SLOPE, winding } from './chains.js';
import type { Box } from '../graph.js';

/** How many shapes of a branch are kept, and how many widths or heights of what hangs from it are tried. */
const [KEPT, TRIED] = [40, 16];
const MOST_COLUMNS = 10;
/** Chains of so many boxes turn. */
const LONG = 5;

/**
 * How what hangs from a head stands: below it in a row or in columns; in columns alone, and so right of it; or about it, and
 * from there on in columns that lead away.
 */
export type Sort = 'below' | 'beside' | 'around';

/** Shapes of a branch, none both wider and higher than another, from narrow to wide. */
interface Shapes {
  /** with nothing left of the head: these can hang from a trunk */
  cornered: Block[];
  all: Block[];
}

/**
 * The shapes in which a tree can be drawn, from those of its leaves to those of all of it, whatever hangs from a head in
 * whatever shape fits the width or height that is tried (shape functions: Stockmeyer, *Optimal orientations of cells in
 * slicing floorplan designs*, 1983).
 */
export function shapesOf(
  { order, children }: Branches,
  boxes: readonly Box[],
  twigs: readonly Twig[],
  gaps: Gaps,
  sort: Sort,
): Block[] {
  const shapes: Shapes[] = [];
  const isAlone = new Set(children.flatMap((own) => (own.length === 1 ? own : [])));
  const hanging = (list: readonly number[]): Hanging[] =>
    list.map((box) => ({ twig: twigs[box]!, shapes: shapes[box]! }));
  for (const box of order.toReversed()) {
    const own = shapesWith(twigs[box]!, hanging(children[box]!), gaps, sort);
    const wound = woundFrom(box, children, twigs, shapes, gaps, isAlone.has(box));
    const withWound = (blocks: readonly Block[]): Block[] =>
      wound.length > 0 ? thinned([...blocks, ...wound]) : [...blocks];
    shapes[box] = { cornered: withWound(own.cornered), all: withWound(own.all) };
  }
  const root = order[0]!;
  if (sort !== 'around' || children[root]!.length === 0) return shapes[root]!.all;
  const room = shapes.map(({ cornered }) => Math.min(...cornered.map(({ width, height }) => width * height)));
  const quarters = quartersOf(children[root]!, boxes[root]!, boxes, room);
  return around(
    twigs[root]!,
    quarters.map((list) => (list.length === 0 ? [] : thinned(columns(twigs[root]!, hanging(list), gaps)))),
  );
}

interface Hanging {
  twig: Twig;
  shapes: Shapes;
}

function shapesWith(twig: Twig, hanging: readonly Hanging[], gaps: Gaps, sort: Sort): Shapes {
  if (hanging.length === 0) return { cornered: [leaf(twig)], all: [leaf(twig)] };
  const cornered = thinned([...columns(twig, hanging, gaps), ...alone(twig, hanging, gaps)]);
  const all = sort !== 'below' ? cornered : thinned([...cornered, ...rows(twig, hanging, gaps)]);
  return { cornered, all };
}

/** As a chain that turns, where one alone hangs from each for long enough. */
function woundFrom(
  box: number,
  children: Branches['children'],
  twigs: readonly Twig[],
  shapes: readonly Shapes[],
  gaps: Gaps,
  isInside: boolean,
): Block[] {
  // A chain turns as a whole: what hangs alone is in one that began above it.
  if (isInside) return [];
  const chain = [box];
  while (children[chain.at(-1)!]!.length === 1) chain.push(children[chain.at(-1)!]![0]!);
  if (chain.length < LONG) return [];
  const last = chain.at(-1)!;
  const isEnd = children[last]!.length === 0;
  const wound = (isEnd ? chain : chain.slice(0, -1)).map((one) => twigs[one]!);
  return winding(wound, isEnd ? null : { twig: twigs[last]!, shapes: shapes[last]!.cornered }, gaps);
}

function rows(twig: Twig, hanging: readonly Hanging[], gaps: Gaps): Block[] {
  const slots = hanging.map((one) => one.shapes.all.map((block) => fromAbove(block, one.twig, gaps)));
  return spaced(slots.flat().map(({ height }) => height)).map((height) =>
    row(
      twig,
      slots.map((own) => narrowest(own, height)!),
      gaps,
    ),
  );
}

function alone(twig: Twig, hanging: readonly Hanging[], gaps: Gaps): Block[] {
  const [only, ...more] = hanging;
  if (!only || more.length > 0) return [];
  return only.shapes.cornered.map((block) => beside(twig, fromTheSide(block, only.twig, gaps), SLOPE));
}

function columns(twig: Twig, hanging: readonly Hanging[], gaps: Gaps): Block[] {
  const slots = hanging.map((one) => one.shapes.cornered.map((block) => fromTheSide(block, one.twig, gaps)));
  return spaced(slots.flat().map(({ width }) => width)).flatMap((width) =>
    fillings(
      slots.map((own) => flattest(own, width)!),
      gaps,
    ).map((filled) => comb(twig, filled, gaps)),
  );
}

/** In one column, two, and so on, all about equally high. */
function fillings(slots: readonly Slot[], { below }: Gaps): Slot[][][] {
  const room = (of: readonly Slot[]): number => of.reduce((sum, { height }) => sum + height + below, 0);
  const total = room(slots);
  return Array.from({ length: Math.min(MOST_COLUMNS, slots.length) }, (_, more) => {
    const columns: Slot[][] = [[]];
    let [left, filled] = [total, 0];
    for (const slot of slots) {
      if (filled > 0 && filled + slot.height / 2 > left / (more + 2 - columns.length)) {
        columns.push([]);
        [left, filled] = [left - filled, 0];
      }
      columns.at(-1)!.push(slot);
      filled += slot.height + below;
    }
    return columns;
  });
}

/** From narrow to wide, none higher than a narrower one; of many, some from all along. */
function thinned(blocks: readonly Block[]): Block[] {
  const best: Block[] = [];
  for (const block of [...blocks].sort((a, b) => a.width - b.width || a.height - b.height))
    if (block.height < (best.at(-1)?.height ?? Infinity)) best.push(block);
  return some(best, KEPT);
}

const spaced = (sizes: readonly number[]): number[] =>
  some(
    [...new Set(sizes)].sort((a, b) => a - b),
    TRIED,
  );

function some<T>(list: readonly T[], most: number): T[] {
  if (list.length <= most) return [...list];
  return Array.from({ length: most }, (_, i) => list[Math.round((i * (list.length - 1)) / (most - 1))]!);
}
