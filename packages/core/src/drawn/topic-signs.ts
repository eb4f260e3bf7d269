import { layoutText } from '../geometry/text.js';
import type { Topic } from '../map/types.js';
import { isBlank } from '../words/normal-form.js';
import type { DrawnShape } from './mark-type.js';

/** Small signs on a topic's lower edge that tell what it bears, and on its upper edge its place in time. All drawn here. */

/** Marks a person puts on topics while working, by the name that a map holds, each with what it is called. */
export const TOPIC_MARKS = {
  done: 'Done',
  question: 'Question',
  important: 'Important',
  idea: 'Idea',
  check: 'Look it up',
  weak: 'Not sure',
  kept: 'Keep where it is',
} as const;
export type TopicMark = keyof typeof TOPIC_MARKS;
export const topicMarks = Object.keys(TOPIC_MARKS) as TopicMark[];

const [PAPER, INK] = ['#fbfbf8', '#4d5867'];
/** Side of a sign and what lies between two, canvas units. */
const [SIDE, STEP] = [13, 16];

/** Lines within 13 × 13 units around the middle of a sign. */
const STROKES: Record<string, string> = {
  note: 'M-3.5 -2.5H3.5M-3.5 0H3.5M-3.5 2.5H1',
  source: 'M0 -3.5V3.5M0 -3.5C-1.5 -4 -3 -4 -4 -3.5V3C-3 2.5 -1.5 2.5 0 3.5C1.5 2.5 3 2.5 4 3V-3.5C3 -4 1.5 -4 0 -3.5',
  address: 'M-1 1L1 -1M-1.5 -1L0 -2.5A2 2 0 0 1 3 0.5L2 1.5M1.5 1L0 2.5A2 2 0 0 1 -3 -0.5L-2 -1.5',
  file: 'M-2.5 -4H1L3 -2V4H-2.5ZM1 -4V-2H3',
  picture: 'M-4 3.5L-1 -0.5L1 2L2.2 0.8L4 3.5M2.4 -2.6A0.8 0.8 0 1 0 2.4 -2.5',
  done: 'M-3.2 0.2L-1 2.6L3.4 -2.8',
  question: 'M-2 -1.6A2 2 0 1 1 0.6 0.2C0 0.5 0 0.8 0 1.5M0 3.2V3.5',
  important: 'M0 -3.8V1.2M0 3.2V3.5',
  idea: 'M0 -4V-1.4M0 1.4V4M-4 0H-1.4M1.4 0H4M-2.8 -2.8L-1.2 -1.2M2.8 2.8L1.2 1.2M2.8 -2.8L1.2 -1.2M-2.8 2.8L-1.2 1.2',
  check: 'M-0.6 -0.6A2.2 2.2 0 1 0 -0.7 -0.5M1.2 1L3.8 3.6',
  kept: 'M-2 -3.8H2M0 -3.8V1.5M-3.2 1.5H3.2M0 1.5V4',
  weak: 'M-4 1C-3 -2 -1.2 -2 0 0S3 2 4 -1',
};
const OWN_INK: Record<string, string> = { done: '#1f6f63', question: '#3d4a9a', important: '#9e2b3f', weak: '#8a5a00' };

/**
 * What of a topic has a sign, in the order in which they stand.
 * @param isShown whether its pictures are drawn themselves
 */
export function signsOf({ note, source, weblinks, files, pictures, marks }: Topic, isShown = false): string[] {
  return [
    ...(isBlank(note) ? [] : ['note']),
    ...(isBlank(source) ? [] : ['source']),
    ...(weblinks?.length ? ['address'] : []),
    ...(files?.length ? ['file'] : []),
    ...(pictures?.length && !isShown ? ['picture'] : []),
    ...(marks ?? []).filter((mark) => Object.hasOwn(TOPIC_MARKS, mark)),
  ];
}

/** Signs around the topic's own centre: from the right along the lower edge, half over it. */
export function drawSigns(topic: Topic, isShown = false): DrawnShape[] {
  const { width, height } = topic;
  const at = (i: number): { x: number; y: number } => ({ x: width / 2 - 4 - SIDE / 2 - i * STEP, y: height / 2 });
  return [
    ...signsOf(topic, isShown)
      .toReversed()
      .flatMap((sign, i): DrawnShape[] => {
        const { x, y } = at(i);
        const colour = OWN_INK[sign] ?? INK;
        const half = SIDE / 2;
        return [
          {
            draw: 'path',
            part: 'sign',
            d: `M${x - half} ${y - half}H${x + half}V${y + half}H${x - half}Z`,
            fill: PAPER,
            stroke: { colour, width: 0.8, dash: 'solid' },
          },
          {
            draw: 'path',
            part: 'sign',
            d: movedPath(STROKES[sign]!, x, y),
            fill: 'none',
            stroke: { colour, width: 1.1, dash: 'solid' },
          },
        ];
      }),
    ...drawTime(topic),
  ];
}

/** Its place in time, as it is written, over the upper left corner. */
function drawTime({ sequence, when, width, height }: Topic): DrawnShape[] {
  const words = isBlank(when) ? (sequence === undefined ? '' : String(sequence)) : when!;
  if (words === '') return [];
  const block = layoutText(words, { fontSize: 10, bold: true }, 120);
  const [line] = block.lines;
  if (!line) return [];
  const [left, top] = [-width / 2 + 6, -height / 2 - 7];
  return [
    {
      draw: 'path',
      part: 'sign',
      d: `M${left - 4} ${top}H${left + line.width + 4}V${top + 14}H${left - 4}Z`,
      fill: PAPER,
      stroke: { colour: INK, width: 0.8, dash: 'solid' },
    },
    { draw: 'words', lines: [{ ...line, x: left, y: top + 10.5 }], ink: INK, size: 10, bold: true, italic: false },
  ];
}

/** Path data whose capital letters take points; of an arc the radii and flags stay. */
function movedPath(d: string, x: number, y: number): string {
  const round = (value: number): number => Math.round(value * 100) / 100;
  return d.replace(/([MLHVACSZ])([^MLHVACSZ]*)/g, (_, letter: string, rest: string) => {
    const numbers = (rest.match(/-?[\d.]+/g) ?? []).map(Number);
    const moved = numbers.map((value, i) => {
      if (letter === 'H') return value + x;
      if (letter === 'V') return value + y;
      if (letter === 'A') return i % 7 === 5 ? value + x : i % 7 === 6 ? value + y : value;
      return i % 2 === 0 ? value + x : value + y;
    });
    return letter + moved.map(round).join(' ');
  });
}
