import { dashLengths, drawnBox, drawnMarks } from '@ichnograph/core';
import type { Box, DrawnShape, Legend, Point, TopicMap } from '@ichnograph/core';
import type { Face } from './paper-fonts.js';
import type { Typesetter } from './typesetter.js';

/** Pictures a map names, as JPEG or PNG; what is not among them is drawn in words. */
export type Pictures = Readonly<Record<string, Uint8Array>>;

/** A letter that ties a remark to its place on the map. */
export interface LetterAt {
  letter: string;
  at: Point;
}

const LETTER = 15;
const INDIGO = '#3d4a9a';
const AIR = 6;

interface Drawn {
  map: TopicMap;
  legend: Legend | undefined;
  pictures: Pictures;
  letters?: readonly LetterAt[];
  /** the part of it that is drawn; left out, all */
  view?: Box;
  /** points to a canvas unit at most */
  largest?: number;
  /** whether it stands in the middle of its frame, not in the corner */
  isCentred?: boolean;
  /** what becomes of each colour */
  colour?: (colour: string) => string;
}

/** Draws a map as large as a frame has room for, from the shapes core draws on screens and in pictures. */
export function drawMap(pages: Typesetter, drawn: Drawn, frame: Box): void {
  const { doc } = pages;
  const { map, legend, pictures, letters = [], largest = 1, colour = (same) => same } = drawn;
  const nothing = { left: 0, top: 0, right: 0, bottom: 0 };
  const box = drawn.view ?? withLetters(drawnBox(map, legend) ?? nothing, letters);
  const scale = Math.min(
    largest,
    (frame.right - frame.left) / (box.right - box.left),
    (frame.bottom - frame.top) / (box.bottom - box.top),
  );
  doc.save();
  if (drawn.view) doc.rect(frame.left, frame.top, frame.right - frame.left, frame.bottom - frame.top).clip();
  const spare = (room: number, length: number): number => (drawn.isCentred ? (room - length * scale) / 2 : 0);
  const left = frame.left + spare(frame.right - frame.left, box.right - box.left);
  const top = frame.top + spare(frame.bottom - frame.top, box.bottom - box.top);
  doc.translate(left, top).scale(scale).translate(-box.left, -box.top);
  for (const { drawing } of drawnMarks(map, legend)) {
    doc.save();
    doc.translate(drawing.at.x, drawing.at.y);
    for (const shape of drawing.shapes) drawShape(pages, shape, pictures, colour);
    doc.restore();
  }
  for (const { letter, at } of letters) drawLetter(pages, letter, at);
  doc.restore();
}

/** Nothing is cut: letters at the edge widen what is drawn. */
const withLetters = (box: Box, letters: readonly LetterAt[]): Box => ({
  left: Math.min(box.left, ...letters.map(({ at }) => at.x)) - AIR,
  top: Math.min(box.top, ...letters.map(({ at }) => at.y - LETTER)) - AIR,
  right: Math.max(box.right, ...letters.map(({ at }) => at.x + 2 * LETTER)) + AIR,
  bottom: Math.max(box.bottom, ...letters.map(({ at }) => at.y + LETTER)) + AIR,
});

function drawShape(pages: Typesetter, shape: DrawnShape, pictures: Pictures, colour: (colour: string) => string): void {
  const { doc } = pages;
  switch (shape.draw) {
    case 'path': {
      const { d, fill, opacity = 1, stroke } = shape;
      if (fill !== 'none') doc.path(d).fillColor(colour(fill), opacity).fill();
      if (stroke && stroke.colour !== 'none' && stroke.width > 0) {
        doc.path(d).lineWidth(stroke.width).strokeColor(colour(stroke.colour));
        const dash = dashLengths(stroke);
        const [drawn, left] = dash?.split(' ').map(Number) ?? [];
        if (drawn !== undefined && left !== undefined) doc.dash(drawn, { space: left });
        doc
          .lineCap(stroke.dash === 'dotted' ? 'round' : 'butt')
          .stroke()
          .undash();
      }
      doc.fillOpacity(1);
      return;
    }
    case 'ground': {
      const { left, top, right, bottom } = shape.box;
      doc
        .rect(left, top, right - left, bottom - top)
        .fillColor('#ffffff', 0.9)
        .fill();
      doc.fillOpacity(1);
      return;
    }
    case 'image': {
      const { src, box, instead, opacity = 1 } = shape;
      const content = pictures[src];
      if (!content) return instead.forEach((one) => drawShape(pages, one, pictures, colour));
      doc.save().opacity(opacity);
      doc.image(Buffer.from(content), box.left, box.top, {
        fit: [box.right - box.left, box.bottom - box.top],
        align: 'center',
        valign: 'center',
      });
      doc.restore();
      return;
    }
    case 'words': {
      const face: Face = shape.bold ? (shape.italic ? 'bold italic' : 'bold') : shape.italic ? 'italic' : 'regular';
      for (const { text, x, y, direction = 'ltr' } of shape.lines)
        pages.line(text, x, y, { face, size: shape.size, ink: colour(shape.ink), direction });
    }
  }
}

function drawLetter(pages: Typesetter, letter: string, at: Point): void {
  const { doc } = pages;
  doc
    .rect(at.x + 1, at.y - LETTER / 2, LETTER, LETTER)
    .lineWidth(1)
    .fillAndStroke('#ffffff', INDIGO);
  const width = pages.widthOf(letter, { face: 'bold', size: 11 });
  pages.line(letter, at.x + 1 + (LETTER - width) / 2, at.y + 4, { face: 'bold', size: 11, ink: INDIGO });
}
