import { topicStyle } from '../map/style.js';
import type { Legend, Topic } from '../map/types.js';
import { isBlank } from '../words/normal-form.js';
import { layoutPictures, picturesWithin, stackedHeight } from './pictures.js';
import type { PicturesBlock } from './pictures.js';
import { ROOM } from './shapes.js';
import { layoutText } from './text.js';
import type { TextBlock } from './text.js';

/** The widest a topic's text runs before it wraps, unless the topic was made wider by hand. */
const COMFORTABLE = 168;
const LEAST = { width: 56, height: 34 };

/** The words that are drawn in a topic: none where its pictures stand for them. */
export const drawnWords = ({ text, wordless, pictures }: Topic): string =>
  wordless && pictures && pictures.length > 0 ? '' : text;

const up = (length: number): number => Math.ceil(length / 2) * 2;

/** The size a topic has: the greater of what its text and pictures need and the least size set by hand. Units; both even. */
export function fitTopic(topic: Topic, legend: Legend | undefined): { width: number; height: number } {
  const style = topicStyle(topic, legend);
  const room = ROOM[style.shape];
  const byHand = { width: topic.minWidth ?? 0, height: topic.minHeight ?? 0 };
  const face = { fontSize: style.fontSize, bold: style.bold, italic: style.italic };
  const comfortable = COMFORTABLE * Math.max(1, style.fontSize / 14);
  const across = Math.max(comfortable, innerWidth(byHand.width, room));
  const words = drawnWords(topic);
  const block = layoutText(words, face, across);
  const pictures = layoutPictures(topic.pictures ?? [], across);
  const width = Math.max(block.width, pictures.width);
  const height = stackedHeight(pictures, words, block.height);
  return {
    width: up(Math.max(LEAST.width, byHand.width, width * room.across + 2 * room.x)),
    height: up(Math.max(LEAST.height, byHand.height, height * room.down + 2 * room.y)),
  };
}

/** The lines of a topic's text as they stand in its present size. */
export function layoutTopic(topic: Topic, legend: Legend | undefined): TextBlock {
  const style = topicStyle(topic, legend);
  const face = { fontSize: style.fontSize, bold: style.bold, italic: style.italic };
  return layoutText(drawnWords(topic), face, innerWidth(topic.width, ROOM[style.shape]));
}

/** A topic's pictures as they stand in its present size, over its words. */
export function layoutTopicPictures(topic: Topic, legend: Legend | undefined, words: TextBlock): PicturesBlock {
  const room = ROOM[topicStyle(topic, legend).shape];
  return picturesWithin(topic.pictures ?? [], {
    width: innerWidth(topic.width, room),
    height: (topic.height - 2 * room.y) / room.down + 0.5,
    words: isBlank(drawnWords(topic)) ? 0 : words.height,
  });
}

// Half a unit of grace: rounding must not break a line that `fitTopic` had room for.
const innerWidth = (width: number, room: { across: number; x: number }): number =>
  Math.max(12, (width - 2 * room.x) / room.across + 0.5);
