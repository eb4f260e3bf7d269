import { drawnMarks } from '@ichnograph/core';
import type { DrawnShape, Legend, TitleBlockText, TopicMap } from '@ichnograph/core';
import type { Face } from '../paper/paper-fonts.js';

/** Words as they are drawn, and in which face. */
export interface Drawn {
  text: string;
  face: Face;
}

/** All words of a drawing and its title block. */
export function wordsDrawn(map: TopicMap, legend: Legend | undefined, block?: TitleBlockText): Drawn[] {
  const words = drawnMarks(map, legend).flatMap(({ drawing }) => drawing.shapes.flatMap(wordsIn));
  const about = block
    ? Object.values(block).flatMap((text): Drawn[] => [
        { text, face: 'regular' },
        { text, face: 'bold' },
      ])
    : [];
  const labels = block ? [{ text: 'Map Focus question Drawn by For State Date', face: 'regular' as const }] : [];
  return [...words, ...about, ...labels];
}

/** What stands for a picture that cannot be had is words too. */
function wordsIn(shape: DrawnShape): Drawn[] {
  if (shape.draw === 'image') return shape.instead.flatMap(wordsIn);
  if (shape.draw !== 'words') return [];
  const face = shape.bold ? (shape.italic ? 'bold italic' : 'bold') : shape.italic ? 'italic' : 'regular';
  return shape.lines.map(({ text }) => ({ text, face }));
}
