import type { Graph } from './graph.js';
import type { Place } from './layered.js';

/** Canvas units between columns beside the words of ties, and between what stands in one. */
const [BETWEEN, BELOW] = [40, 46];

/**
 * A map laid out in time: what has a place in a sequence stands on one line, in a column for each; what has none stands in
 * the column of what it is tied to, below and above in turn.
 * @param sequence by box its place in time, undefined for none
 */
export function timeline({ boxes, ties }: Graph, sequence: readonly (number | undefined)[]): Place[] {
  const times = [...new Set(sequence.filter((one) => one !== undefined))].sort((a, b) => a - b);
  const column = columnsOf(boxes.length, ties, sequence, times);
  const count = 1 + Math.max(...column);
  const words = Math.max(0, ...ties.map((tie) => tie.words?.width ?? 0));
  const members = Array.from({ length: count }, (_, c) => [...boxes.keys()].filter((box) => column[box] === c));
  const places: Place[] = boxes.map(() => ({ x: 0, y: 0 }));
  let left = 0;
  for (const own of members) {
    const width = Math.max(0, ...own.map((box) => boxes[box]!.width));
    const x = left + width / 2;
    const onTheLine = own.filter((box) => sequence[box] !== undefined);
    const beside = own.filter((box) => sequence[box] === undefined).sort((a, b) => boxes[a]!.y - boxes[b]!.y);
    let [above, below] = [0, 0];
    onTheLine.forEach((box, i) => {
      const { height } = boxes[box]!;
      // Of several at one time the others stand below the first.
      if (i === 0) [above, below] = [height / 2, height / 2];
      places[box] = { x, y: i === 0 ? 0 : below + BELOW + height / 2 };
      if (i > 0) below += BELOW + height;
    });
    beside.forEach((box, i) => {
      const { height } = boxes[box]!;
      const isBelow = i % 2 === 0;
      places[box] = { x, y: isBelow ? below + BELOW + height / 2 : -(above + BELOW + height / 2) };
      if (isBelow) below += BELOW + height;
      else above += BELOW + height;
    });
    left += width + words + BETWEEN;
  }
  return places;
}

/** The column of each box: its time's, or that of the nearest box with a time; what is tied to none stands behind all. */
function columnsOf(
  count: number,
  ties: Graph['ties'],
  sequence: readonly (number | undefined)[],
  times: readonly number[],
): number[] {
  const column = sequence.map((one) => (one === undefined ? -1 : times.indexOf(one)));
  const next: number[][] = Array.from({ length: count }, () => []);
  for (const { from, to } of ties) {
    next[from]!.push(to);
    next[to]!.push(from);
  }
  const reached = [...column.keys()].filter((box) => column[box] !== -1);
  for (const box of reached)
    for (const other of next[box]!)
      if (column[other] === -1) {
        column[other] = column[box]!;
        reached.push(other);
      }
  return column.map((one) => (one === -1 ? times.length : one));
}
