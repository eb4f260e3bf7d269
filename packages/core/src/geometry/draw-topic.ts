import { topicStyle } from '../map/style.js';
import type { TopicStyle } from '../map/style.js';
import type { Legend, Topic } from '../map/types.js';
import { drawnWords, layoutTopic, layoutTopicPictures } from './fit.js';
import { pathData } from './draw-link.js';
import { stackedHeight } from './pictures.js';
import type { Box } from './points.js';
import { NOTE_FOLD, outlineOf, ROOM } from './shapes.js';
import type { TextLine } from './text.js';

export interface TopicDrawing {
  /** SVG path data of the outline, around the topic's own centre */
  outline: string;
  /** the line of a note's folded corner */
  fold: string | null;
  /** each with the left end of its baseline, around the topic's own centre */
  lines: (TextLine & { x: number; y: number })[];
  /** the topic's pictures, over its words; none where it is too small to show them */
  pictures: { src: string; alt: string; box: Box }[];
  style: TopicStyle;
}

/** Everything a drawing of a topic needs, around the origin, in canvas units. */
export function drawTopic(topic: Topic, legend: Legend | undefined): TopicDrawing {
  const style = topicStyle(topic, legend);
  const { width, height } = topic;
  const block = layoutTopic(topic, legend);
  const shown = layoutTopicPictures(topic, legend, block);
  const top = -stackedHeight(shown, drawnWords(topic), block.height) / 2;
  const bottom = shown.height === 0 ? block.height / 2 : -top;
  const first = bottom - block.height + block.lineHeight / 2 + style.fontSize * 0.34;
  const inner = Math.max(0, (width - 2 * ROOM[style.shape].x) / ROOM[style.shape].across);
  const startOf = (line: TextLine): number =>
    style.align === 'left' ? -inner / 2 : style.align === 'right' ? inner / 2 - line.width : -line.width / 2;
  return {
    style,
    outline: `${pathData(outlineOf(style.shape, { x: 0, y: 0, width, height }))}Z`,
    fold: style.shape === 'note' ? foldOf(width, height) : null,
    pictures: shown.boxes.map((box, i) => {
      const { src, alt = '' } = topic.pictures![i]!;
      const at = { left: box.left - shown.width / 2, right: box.right - shown.width / 2 };
      return { src, alt, box: { ...at, top: box.top + top, bottom: box.bottom + top } };
    }),
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
