import { flattest, narrowest } from './blocks.js';
import type { Block, Seat, Twig } from './blocks.js';
import { asRead } from './branches.js';
import type { Box } from '../graph.js';

/** The four quarters about a middle: whether they lie to its right or left, below or above it; clockwise from the top. */
const QUARTERS = [
  { across: 1, down: -1 },
  { across: 1, down: 1 },
  { across: -1, down: 1 },
  { across: -1, down: -1 },
] as const;

/** Proportions of width to height that are tried, and steps by which a size grows until everything has room in it. */
const PROPORTIONS = Array.from({ length: 25 }, (_, i) => 1.14 ** (i - 8));
const [GROWS, MOST_STEPS] = [1.04, 120];
/** Quarters are kept as the person has them while none holds more of all than this, or little more than dealt anew. */
const [MOST, AS_EVEN] = [0.45, 1.15];

/**
 * Divides what hangs from a middle among its quarters: as it stands, where that is about even; else clockwise by where it
 * stands, from the top, so that each has about as much.
 * @param room by box, the area of all that hangs from it
 * @returns for each quarter what stands in it, as it is read from the middle outward
 */
export function quartersOf(
  children: readonly number[],
  middle: Box,
  boxes: readonly Box[],
  room: readonly number[],
): number[][] {
  const sum = (list: readonly number[]): number => list.reduce((so, box) => so + room[box]!, 0);
  const standing = QUARTERS.map(({ across, down }) =>
    children.filter((box) => isTowards(boxes[box]!.x - middle.x, across) && isTowards(boxes[box]!.y - middle.y, down)),
  );
  const anew = dealt(children, middle, boxes, room);
  const fullest = (quarters: readonly number[][]): number => Math.max(...quarters.map(sum));
  const isEven = fullest(standing) <= Math.max(MOST * sum(children), AS_EVEN * fullest(anew));
  return (children.length > FEW.length && isEven ? standing : anew).map((list, q) => {
    const { across, down } = QUARTERS[q]!;
    const seen = boxes.map(({ x, y, width, height }) => ({ x: across * x, y: down * y, width, height }));
    return asRead(list, seen);
  });
}

const isTowards = (step: number, way: 1 | -1): boolean => (way === 1 ? step > 0 : step <= 0);

/** Of up to three each has a quarter: the first to the right below, the others to the left and above. */
const FEW = [1, 2, 0] as const;

function dealt(children: readonly number[], middle: Box, boxes: readonly Box[], room: readonly number[]): number[][] {
  const turn = (box: number): number => {
    const angle = Math.atan2(boxes[box]!.y - middle.y, boxes[box]!.x - middle.x) + Math.PI / 2;
    return (angle + 4 * Math.PI) % (2 * Math.PI);
  };
  const around = [...children].sort((a, b) => turn(a) - turn(b) || a - b);
  const quarters: number[][] = QUARTERS.map(() => []);
  if (children.length <= FEW.length) around.forEach((box, i) => quarters[FEW[i]!]!.push(box));
  else {
    const all = around.reduce((sum, box) => sum + room[box]!, 0);
    let before = 0;
    for (const box of around) {
      quarters[Math.min(3, Math.floor((4 * (before + room[box]! / 2)) / all))]!.push(box);
      before += room[box]!;
    }
  }
  return quarters;
}

/**
 * A head with what hangs from it in all four quarters about it: for each of some proportions as small as it can be, and about
 * each shape of the largest quarter.
 * @param quarters for each the shapes of the head with what hangs from it there, as if it hung to the right below
 */
export const around = (twig: Twig, quarters: readonly (readonly Block[])[]): Block[] => [
  ...inProportion(twig, quarters),
  ...aboutTheLargest(twig, quarters),
];

const smallestArea = (shapes: readonly Block[]): number =>
  shapes.reduce((least, { width, height }) => Math.min(least, width * height), Infinity);

/** Small quarters beside one that holds nearly everything: they stand where its shapes leave them room. */
function aboutTheLargest(twig: Twig, quarters: readonly (readonly Block[])[]): Block[] {
  const areas = quarters.map((shapes) => (shapes.length === 0 ? 0 : smallestArea(shapes)));
  const largest = areas.indexOf(Math.max(...areas));
  const { across, down } = QUARTERS[largest]!;
  const at = (one: 1 | -1, other: 1 | -1): number =>
    QUARTERS.findIndex((quarter) => quarter.across === one && quarter.down === other);
  const [next, over, opposite] = [
    at(-across as 1 | -1, down),
    at(across, -down as 1 | -1),
    at(-across as 1 | -1, -down as 1 | -1),
  ];
  return quarters[largest]!.map((shape) => {
    const chosen: (Block | undefined)[] = [];
    chosen[largest] = shape;
    chosen[next] = narrowest(quarters[next]!, shape.height);
    chosen[over] = flattest(quarters[over]!, shape.width);
    chosen[opposite] = flattest(quarters[opposite]!, chosen[next]?.width ?? 0);
    return together(
      twig,
      QUARTERS.map((_, q) => chosen[q]),
    );
  });
}

function inProportion(twig: Twig, quarters: readonly (readonly Block[])[]): Block[] {
  const areas = quarters.map(smallestArea);
  const areaOf = (is: (quarter: (typeof QUARTERS)[number]) => boolean): number =>
    QUARTERS.reduce((sum, quarter, q) => sum + (is(quarter) && Number.isFinite(areas[q]) ? areas[q]! : 0), 0);
  const all = areaOf(() => true);
  const [right, below] = [areaOf(({ across }) => across === 1) / all, areaOf(({ down }) => down === 1) / all];
  const room = QUARTERS.map(({ across, down }) => ({
    width: across === 1 ? right : 1 - right,
    height: down === 1 ? below : 1 - below,
  }));
  return PROPORTIONS.flatMap((proportion) => {
    for (let step = 0, size = Math.sqrt(all); step < MOST_STEPS; step++, size *= GROWS) {
      const [width, height] = [size * Math.sqrt(proportion), size / Math.sqrt(proportion)];
      const chosen = quarters.map((shapes, q) =>
        shapes.find((one) => one.height <= height * room[q]!.height && one.width <= width * room[q]!.width),
      );
      if (chosen.every((one, q) => one || quarters[q]!.length === 0)) return [together(twig, chosen)];
    }
    return [];
  });
}

function together({ box, width, height }: Twig, chosen: readonly (Block | undefined)[]): Block {
  // How far each side reaches from the middle of the head.
  const reach = (
    is: (quarter: (typeof QUARTERS)[number]) => boolean,
    least: number,
    of: (block: Block) => number,
  ): number => chosen.reduce((most, block, q) => (block && is(QUARTERS[q]!) ? Math.max(most, of(block)) : most), least);
  const across = (way: 1 | -1): number =>
    reach(
      (one) => one.across === way,
      width / 2,
      (one) => one.width - one.head.x,
    );
  const down = (way: 1 | -1): number =>
    reach(
      (one) => one.down === way,
      height / 2,
      (one) => one.height - one.head.y,
    );
  const head = { x: across(-1), y: down(-1) };
  return {
    width: head.x + across(1),
    height: head.y + down(1),
    head,
    put: (seat, into) => {
      into.places[box] = { x: seat.x + seat.across * head.x, y: seat.y + seat.down * head.y };
      chosen.forEach((block, q) => {
        if (!block) return;
        const quarter: Seat = {
          across: seat.across === QUARTERS[q]!.across ? 1 : -1,
          down: seat.down === QUARTERS[q]!.down ? 1 : -1,
          x: into.places[box]!.x,
          y: into.places[box]!.y,
        };
        block.put(
          { ...quarter, x: quarter.x - quarter.across * block.head.x, y: quarter.y - quarter.down * block.head.y },
          into,
        );
      });
    },
  };
}
