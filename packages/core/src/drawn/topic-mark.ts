import { drawTopic } from '../geometry/draw-topic.js';
import { boxOf, holdsPoint } from '../geometry/points.js';
import { LIMITS, TOPIC } from '../map/types.js';
import type { Topic } from '../map/types.js';
import type { DrawnShape, MarkType, Stroke } from './mark-type.js';
import { cut, or } from './repair.js';
import { pictureShape } from './picture-mark.js';
import { drawSigns } from './topic-signs.js';

/** How near counts as on it, canvas units. */
const REACH = 4;

export const topicMark: MarkType<Topic> = {
  list: 'topics',
  name: 'topic',
  fields: TOPIC,
  repaired: ({ text, kind, x, y, width, height }) => ({
    text: cut(text, LIMITS.text),
    kind: or(TOPIC.needs.kind, kind, null),
    x: or(TOPIC.needs.x, x, 0),
    y: or(TOPIC.needs.y, y, 0),
    width: or(TOPIC.needs.width, width, 120),
    height: or(TOPIC.needs.height, height, 40),
  }),
  topics: () => [],
  onTopics: (topic) => topic,
  isCopied: true,
  moved: (topic, step) => ({ ...topic, x: topic.x + step.x, y: topic.y + step.y }),
  bounds: (topic) => boxOf(topic),
  draw: (topic, { legend }) => {
    const { style, outline, fold, lines, pictures } = drawTopic(topic, legend);
    const colour = style.shape === 'plain' ? 'none' : style.outline;
    const stroke = (width: number): Stroke => ({ colour, width, dash: 'solid' });
    const shapes: DrawnShape[] = [
      { draw: 'path', part: 'outline', d: outline, fill: style.fill, stroke: stroke(1.25) },
      ...(fold ? [{ draw: 'path', part: 'fold', d: fold, fill: 'none', stroke: stroke(1) } as const] : []),
      { draw: 'words', lines, ink: style.ink, size: style.fontSize, bold: style.bold, italic: style.italic },
      ...pictures.map(({ src, alt, box }) => pictureShape(src, alt, box)),
      ...drawSigns(topic, pictures.length > 0),
    ];
    return { at: { x: topic.x, y: topic.y }, z: style.z, shapes };
  },
  hits: (topic, at) => holdsPoint(boxOf(topic, REACH), at),
};
