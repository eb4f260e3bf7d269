import { lettersIn } from './frame.js';
import type { Frame } from './frame.js';
import type { Graph } from './graph.js';
import type { Place } from './layers/layered.js';

/** Canvas units between columns beside the words of ties, between what stands in one, and between rows of columns. */
const [BETWEEN, BELOW, ROWS] = [40, 46, 70];
/** Letters of which size can be read, canvas units as seen in the frame; how much larger rows have to make smaller ones. */
const [READABLE, LARGER] = [8, 1.1];

/** What stands at one time: places around the middle of its first box, and how far it reaches. */
interface Column {
  places: readonly { box: number; y: number }[];
  width: number;
  above: number;
  below: number;
  /** what lies between it and the next */
  gap: number;
}

/**
 * A map laid out in time: what has a place in a sequence stands on one line, in a column for each; what has none stands in
 * the column of what it is tied to, below and above in turn. In a frame in which that could not be read the line goes on in
 * further rows, each from the left again.
 * @param sequence by box its place in time, undefined for none
 */
export function timeline(
  { boxes, ties }: Graph,
  sequence: readonly (number | undefined)[],
  frame: Frame | undefined,
): Place[] {
  const times = [...new Set(sequence.filter((one) => one !== undefined))].sort((a, b) => a - b);
  const column = columnsOf(boxes.length, ties, sequence, times);
  const columns = Array.from({ length: 1 + Math.max(...column) }, (_, c): Column => {
    const own = [...boxes.keys()].filter((box) => column[box] === c);
    const passing = ties.filter(
      ({ from, to }) => Math.min(column[from]!, column[to]!) === c && column[from] !== column[to],
    );
    const words = Math.max(0, ...passing.map((tie) => tie.words?.width ?? 0));
    return { ...stacked(own, boxes, sequence), gap: words + BETWEEN };
  });
  const places: Place[] = boxes.map(() => ({ x: 0, y: 0 }));
  let top = 0;
  for (const row of frame ? rowsIn(columns, frame) : [columns]) {
    const above = Math.max(...row.map((one) => one.above));
    let left = 0;
    for (const { places: own, width, gap } of row) {
      for (const { box, y } of own) places[box] = { x: left + width / 2, y: top + above + y };
      left += width + gap;
    }
    top += heightOf(row) + ROWS;
  }
  return places;
}

/** Of several at one time the others stand below the first; what has no time, below and above in turn. */
function stacked(own: readonly number[], boxes: Graph['boxes'], sequence: readonly (number | undefined)[]) {
  const heightOf = (box: number): number => boxes[box]!.height;
  const onTheLine = own.filter((box) => sequence[box] !== undefined);
  const beside = own.filter((box) => sequence[box] === undefined).sort((a, b) => boxes[a]!.y - boxes[b]!.y);
  const places: { box: number; y: number }[] = [];
  let [above, below] = [0, 0];
  onTheLine.forEach((box, i) => {
    if (i === 0) [above, below] = [heightOf(box) / 2, heightOf(box) / 2];
    places.push({ box, y: i === 0 ? 0 : below + BELOW + heightOf(box) / 2 });
    if (i > 0) below += BELOW + heightOf(box);
  });
  beside.forEach((box, i) => {
    const isBelow = i % 2 === 0;
    places.push({ box, y: isBelow ? below + BELOW + heightOf(box) / 2 : -(above + BELOW + heightOf(box) / 2) });
    if (isBelow) below += BELOW + heightOf(box);
    else above += BELOW + heightOf(box);
  });
  return { places, width: Math.max(0, ...own.map((box) => boxes[box]!.width)), above, below };
}

const heightOf = (row: readonly Column[]): number =>
  Math.max(...row.map(({ above }) => above)) + Math.max(...row.map(({ below }) => below));
const widthOf = (row: readonly Column[]): number =>
  row.reduce((sum, { width, gap }) => sum + width + gap, -row.at(-1)!.gap);

/** One row where that can be read, else as many as make the largest letters. */
function rowsIn(columns: readonly Column[], frame: Frame): Column[][] {
  const letters = (rows: readonly Column[][]): number =>
    lettersIn(
      {
        width: Math.max(...rows.map(widthOf)),
        height: rows.reduce((sum, row) => sum + heightOf(row) + ROWS, -ROWS),
      },
      frame,
    );
  const one = [[...columns]];
  if (letters(one) >= READABLE) return one;
  const whole = widthOf(columns);
  const tried = columns.map((_, i) => filled(columns, whole / (i + 1)));
  const best = tried.reduce((most, rows) => (letters(rows) > letters(most) ? rows : most), one);
  return letters(best) >= LARGER * letters(one) ? best : one;
}

/** Columns in rows that are no wider than asked, save by one column. */
function filled(columns: readonly Column[], wide: number): Column[][] {
  const rows: Column[][] = [];
  for (const column of columns) {
    const last = rows.at(-1);
    if (last && widthOf([...last, column]) <= wide + column.width) last.push(column);
    else rows.push([column]);
  }
  return rows;
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
