import { boxOf, holdsPoint } from '../geometry/points.js';
import type { Box } from '../geometry/points.js';
import { pathData } from '../geometry/draw-link.js';
import { layoutText } from '../geometry/text.js';
import { PICTURE } from '../map/types.js';
import type { LoosePicture } from '../map/types.js';
import type { DrawnShape, MarkType } from './mark-type.js';

const [SIZE, ROOM] = [12, 8];
const INK = '#4d5867';

/** A picture in a box; where it cannot be had, a frame with its words. */
export function pictureShape(src: string, alt: string, box: Box, opacity?: number): DrawnShape {
  const { left, top, right, bottom } = box;
  const block = layoutText(alt, { fontSize: SIZE, italic: true }, Math.max(SIZE, right - left - 2 * ROOM));
  const lines = block.lines.slice(0, Math.max(0, Math.floor((bottom - top - 2 * ROOM) / block.lineHeight)));
  const corners = [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
  ];
  return {
    draw: 'image',
    src,
    alt,
    box,
    ...(opacity !== undefined && { opacity }),
    instead: [
      {
        draw: 'path',
        part: 'frame',
        d: `${pathData(corners)}Z`,
        fill: '#ffffff',
        stroke: { colour: INK, width: 1, dash: 'solid' },
      },
      {
        draw: 'words',
        lines: lines.map((line, i) => ({
          ...line,
          x: left + ROOM,
          y: top + ROOM + (i + 0.5) * block.lineHeight + SIZE * 0.34,
        })),
        ink: INK,
        size: SIZE,
        bold: false,
        italic: true,
      },
    ],
  };
}

/** A picture that belongs to no topic. What `src` names is never asked for here. */
export const pictureMark: MarkType<LoosePicture> = {
  list: 'pictures',
  name: 'picture',
  fields: PICTURE,
  topics: () => [],
  onTopics: (picture) => picture,
  isCopied: true,
  moved: (picture, step) => ({ ...picture, x: picture.x + step.x, y: picture.y + step.y }),
  bounds: (picture) => boxOf(picture),
  draw: ({ x, y, width, height, src, alt, z = 0, opacity }) => ({
    at: { x, y },
    z,
    shapes: [pictureShape(src, alt, boxOf({ x: 0, y: 0, width, height }), opacity)],
  }),
  hits: (picture, at) => holdsPoint(boxOf(picture), at),
};
