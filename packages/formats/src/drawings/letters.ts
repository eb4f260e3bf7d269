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
  if (!block) return words;
  const said = [
    ...Object.values(block as unknown as Record<string, string>),
    'Map Focus question Drawn by For State Date',
  ];
  const faces: readonly Face[] = ['regular', 'bold'];
  return [...words, ...said.flatMap((text) => faces.map((face) => ({ text, face })))];
}

/** What stands for a picture that cannot be had is words too. */
function wordsIn(shape: DrawnShape): Drawn[] {
  if (shape.draw === 'image') return shape.instead.flatMap(wordsIn);
  if (shape.draw !== 'words') return [];
  const face = shape.bold ? (shape.italic ? 'bold italic' : 'bold') : shape.italic ? 'italic' : 'regular';
  return shape.lines.map(({ text }) => ({ text, face }));
}
