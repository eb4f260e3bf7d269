import { topicStyle } from '../map/style.js';
import type { TopicStyle } from '../map/style.js';
import type { Legend, Topic } from '../map/types.js';
import { layoutTopic } from './fit.js';
import { pathData } from './draw-link.js';
import { NOTE_FOLD, outlineOf, ROOM } from './shapes.js';
import type { TextLine } from './text.js';

export interface TopicDrawing {
  /** SVG path data of the outline, around the topic's own centre */
  outline: string;
  /** the line of a note's folded corner */
  fold: string | null;
  /** each with the left end of its baseline, around the topic's own centre */
  lines: (TextLine & { x: number; y: number })[];
  style: TopicStyle;
}

/** Everything a drawing of a topic needs, around the origin, in canvas units. */
export function drawTopic(topic: Topic, legend: Legend | undefined): TopicDrawing {
  const style = topicStyle(topic, legend);
  const { width, height } = topic;
  const block = layoutTopic(topic, legend);
  const first = -block.height / 2 + block.lineHeight / 2 + style.fontSize * 0.34;
  const inner = Math.max(0, (width - 2 * ROOM[style.shape].x) / ROOM[style.shape].across);
  const startOf = (line: TextLine): number =>
    style.align === 'left' ? -inner / 2 : style.align === 'right' ? inner / 2 - line.width : -line.width / 2;
  return {
    style,
    outline: `${pathData(outlineOf(style.shape, { x: 0, y: 0, width, height }))}Z`,
    fold: style.shape === 'note' ? foldOf(width, height) : null,
    lines: block.lines.map((line, i) => ({ ...line, x: startOf(line), y: first + i * block.lineHeight })),
  };
}

function foldOf(width: number, height: number): string {
  const fold = Math.min(NOTE_FOLD, width / 2, height / 2);
  const [right, top] = [width / 2, -height / 2];
  return pathData([
    { x: right - fold, y: top },
    { x: right - fold, y: top + fold },
    { x: right, y: top + fold },
  ]);
}
