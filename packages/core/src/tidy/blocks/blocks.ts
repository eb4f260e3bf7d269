import type { Place } from '../layers/layered.js';

interface Size {
  width: number;
  height: number;
}

/** A box that is laid out, with the words of what it hangs by. */
export interface Twig extends Size {
  /** by its position in the graph */
  box: number;
  words: Size | null;
  /** the words of a tie to what hangs right before it from the same head */
  beside: Size | null;
}

/** How airily blocks are drawn, canvas units. */
export interface Gaps {
  beside: number;
  below: number;
  /** between a head and what hangs below it in a row */
  drop: number;
  /** of a line before it reaches what hangs from a trunk */
  lead: number;
}

/** What the end of a line needs beside its words. */
const ARROW = 12;
const AROUND = 5;

/** Where a block is put: its upper left corner, and whether it is turned over to the left or upward. */
export interface Seat extends Place {
  across: 1 | -1;
  down: 1 | -1;
}

/** What was put on the map, by box. */
export interface Laid {
  places: Place[];
  /** where the line that it hangs by turns first, an elbow; null where it is straight */
  turns: (Place | null)[];
  /** the middle of the words of what it hangs by */
  words: (Place | null)[];
}

/**
 * A box with all that hangs from it, as a rectangle. Lines come to its head from above, and from the left where nothing of
 * it is left of the head.
 */
export interface Block extends Size {
  /** its centre, from the upper left corner of the block */
  head: Place;
  put: (seat: Seat, into: Laid) => void;
}

/** Of shapes from narrow to wide the one that is the least of those that are no wider or higher, else the nearest; undefined of none. */
export const flattest = <T extends Size>(shapes: readonly T[], width: number): T | undefined =>
  shapes.findLast((shape) => shape.width <= width) ?? shapes[0];
export const narrowest = <T extends Size>(shapes: readonly T[], height: number): T | undefined =>
  shapes.find((shape) => shape.height <= height) ?? shapes.at(-1);

/** A block with the room of the words it hangs by. */
export interface Slot extends Block {
  box: number;
}

const at = ({ x, y, across, down }: Seat, dx: number, dy: number): Place => ({ x: x + across * dx, y: y + down * dy });
const within = (seat: Seat, dx: number, dy: number): Seat => ({ ...seat, ...at(seat, dx, dy) });
export const leaf = ({ box, width, height }: Twig): Block => ({
  width,
  height,
  head: { x: width / 2, y: height / 2 },
  put: (seat, { places }) => {
    places[box] = at(seat, width / 2, height / 2);
  },
});

/** How much a line from the side needs before it reaches what hangs there: with its words on it. */
export const besides = ({ words }: Twig, { lead }: Gaps): number =>
  words ? Math.max(lead, words.width + ARROW + 2 * AROUND) : lead;

/** Hanging from a line that comes from the left: the words stand on it before the head. */
export function fromTheSide(block: Block, twig: Twig, gaps: Gaps): Slot {
  const { box, words, beside } = twig;
  const left = besides(twig, gaps);
  const y = Math.max(block.head.y, (words?.height ?? 0) / 2) + (beside ? beside.height + ARROW : 0);
  const top = y - block.head.y;
  return {
    box,
    width: left + block.width,
    height: top + block.height,
    head: { x: left + block.head.x, y },
    put: (seat, into) => {
      block.put(within(seat, left, top), into);
      into.words[box] = words && at(seat, (left - ARROW) / 2, y);
    },
  };
}

/** Hanging from a line that comes from above: the words stand on it over the head. */
export function fromAbove(block: Block, { box, words, beside }: Twig, { drop }: Gaps): Slot {
  const half = (words?.width ?? 0) / 2;
  const top = words ? Math.max(drop, words.height + ARROW + 2 * AROUND) : drop;
  const x = Math.max(block.head.x, half) + (beside ? beside.width + ARROW : 0);
  return {
    box,
    width: x + Math.max(block.width - block.head.x, half),
    height: top + block.height,
    head: { x, y: top + block.head.y },
    put: (seat, into) => {
      block.put(within(seat, x - block.head.x, top), into);
      into.words[box] = words && at(seat, x, top - ARROW - words.height / 2);
    },
  };
}

/** What hangs from a head beside each other, from one line at the height of the head. */
export function row(twig: Twig, slots: readonly Slot[], { beside }: Gaps): Block {
  const { width, height } = twig;
  let next = 0;
  const lefts = slots.map((slot) => {
    const left = next;
    next += slot.width + beside;
    return left;
  });
  const wanted = (slots[0]!.head.x + lefts.at(-1)! + slots.at(-1)!.head.x) / 2;
  const shift = Math.max(0, width / 2 - wanted);
  const x = wanted + shift;
  return {
    width: Math.max(x + width / 2, shift + next - beside),
    height: height + Math.max(...slots.map((slot) => slot.height)),
    head: { x, y: height / 2 },
    put: (seat, into) => {
      into.places[twig.box] = at(seat, x, height / 2);
      slots.forEach((slot, i) => {
        slot.put(within(seat, shift + lefts[i]!, height), into);
        into.turns[slot.box] = at(seat, shift + lefts[i]! + slot.head.x, height / 2);
      });
    },
  };
}

/** What hangs alone, right of its head and a little lower, on a straight line. */
export function beside(twig: Twig, slot: Slot, lower: number): Block {
  const { width, height } = twig;
  const y = Math.max(height / 2, slot.head.y - lower);
  const top = y + lower - slot.head.y;
  return {
    width: width + slot.width,
    height: Math.max(y + height / 2, top + slot.height),
    head: { x: width / 2, y },
    put: (seat, into) => {
      into.places[twig.box] = at(seat, width / 2, y);
      slot.put(within(seat, width, top), into);
    },
  };
}

/**
 * What hangs from a head one under the other, in columns: the first on a trunk straight below the head, each further one on a
 * trunk that comes from the height of the head.
 * @param columns from the left, each from above to below
 */
export function comb(twig: Twig, columns: readonly (readonly Slot[])[], { beside, below }: Gaps): Block {
  const { width, height } = twig;
  const x = width / 2;
  const hung: { slot: Slot; trunk: number; top: number }[] = [];
  let [right, bottom, trunk] = [width, 0, x];
  columns.forEach((column, c) => {
    let top = height + below;
    const tops = column.map((slot) => {
      const own = top;
      top += slot.height + below;
      return own;
    });
    bottom = Math.max(bottom, top - below);
    // An elbow that begins sideways leads further across than down.
    if (c > 0) trunk = Math.max(trunk, ...column.map(({ head }, i) => x + tops[i]! + head.y - height / 2 - head.x + 2));
    column.forEach((slot, i) => hung.push({ slot, trunk, top: tops[i]! }));
    right = Math.max(right, ...column.map((slot) => trunk + slot.width));
    trunk = right + beside;
  });
  return {
    width: right,
    height: bottom,
    head: { x, y: height / 2 },
    put: (seat, into) => {
      into.places[twig.box] = at(seat, x, height / 2);
      for (const { slot, trunk, top } of hung) {
        slot.put(within(seat, trunk, top), into);
        into.turns[slot.box] = trunk === x ? at(seat, x, top + slot.head.y) : at(seat, trunk, height / 2);
      }
    },
  };
}
