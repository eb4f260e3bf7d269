import type { Shape } from '../map/types.js';
import type { Point } from './points.js';

/** A convex polygon, inside its box of half width and half height 1, clockwise on a screen (y down). */
type Polygon = readonly (readonly [number, number])[];

const BOX: Polygon = [
  [-1, -1],
  [1, -1],
  [1, 1],
  [-1, 1],
];
const ELLIPSE: Polygon = Array.from({ length: 64 }, (_, i) => {
  const angle = (i * Math.PI) / 32;
  return [Math.cos(angle), Math.sin(angle)] as const;
});

const POLYGONS: Record<Shape, Polygon> = {
  rectangle: BOX,
  rounded: BOX,
  capsule: BOX,
  note: BOX,
  plain: BOX,
  ellipse: ELLIPSE,
  hexagon: [
    [-1, 0],
    [-0.6, -1],
    [0.6, -1],
    [1, 0],
    [0.6, 1],
    [-0.6, 1],
  ],
  diamond: [
    [0, -1],
    [1, 0],
    [0, 1],
    [-1, 0],
  ],
  parallelogram: [
    [-0.7, -1],
    [1, -1],
    [0.7, 1],
    [-1, 1],
  ],
  octagon: [
    [-0.6, -1],
    [0.6, -1],
    [1, -0.5],
    [1, 0.5],
    [0.6, 1],
    [-0.6, 1],
    [-1, 0.5],
    [-1, -0.5],
  ],
  signpost: [
    [-1, -1],
    [0.7, -1],
    [1, 0],
    [0.7, 1],
    [-1, 1],
  ],
  trapezoid: [
    [-0.7, -1],
    [0.7, -1],
    [1, 1],
    [-1, 1],
  ],
};

interface Placed {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The corners of a polygon as x, y, x, y …: checks go over thousands of them, and an object for each would cost more than the sums. */
export type Corners = readonly number[];

/** The polygon the checks reckon with: corner rounding ignored, an ellipse by 64 of its points. */
export function polygonCorners(shape: Shape, { x, y, width, height }: Placed): Corners {
  const corners: number[] = [];
  for (const [px, py] of POLYGONS[shape]) corners.push(x + (px * width) / 2, y + (py * height) / 2);
  return corners;
}

const pointsOf = (corners: Corners): Point[] =>
  Array.from({ length: corners.length / 2 }, (_, i) => ({ x: corners[2 * i]!, y: corners[2 * i + 1]! }));

export const polygonOf = (shape: Shape, box: Placed): Point[] => pointsOf(polygonCorners(shape, box));
export const outlineOf = (shape: Shape, box: Placed): Point[] => pointsOf(outlineCorners(shape, box));

const CORNER = { rectangle: 2, rounded: 8, note: 0, plain: 0 } as const;
/** The side of a note's folded corner, canvas units. */
export const NOTE_FOLD = 12;

/** Whether a shape is drawn just as the checks reckon with it. */
export const isSharp = (shape: Shape): boolean => !['rectangle', 'rounded', 'capsule', 'note'].includes(shape);

/** The visible outline, where drawn arrows end: as `polygonOf`, with round corners followed and a note's fold cut off. */
export function outlineCorners(shape: Shape, box: Placed): Corners {
  const { x, y, width, height } = box;
  switch (shape) {
    case 'capsule':
      return roundedBox(box, Math.min(width, height) / 2);
    case 'rectangle':
    case 'rounded':
      return roundedBox(box, Math.min(CORNER[shape], width / 2, height / 2));
    case 'note': {
      const fold = Math.min(NOTE_FOLD, width / 2, height / 2);
      const [left, top, right, bottom] = [x - width / 2, y - height / 2, x + width / 2, y + height / 2];
      return [left, top, right - fold, top, right, top + fold, right, bottom, left, bottom];
    }
    default:
      return polygonCorners(shape, box);
  }
}

/** A quarter of the unit circle after the other, clockwise from the top right, each with the corner it belongs to. */
const CORNERS = (
  [
    [1, -1, -90],
    [1, 1, 0],
    [-1, 1, 90],
    [-1, -1, 180],
  ] as const
).flatMap(([sx, sy, from]) =>
  Array.from({ length: 9 }, (_, i) => {
    const angle = ((from + (90 * i) / 8) * Math.PI) / 180;
    return { sx, sy, cos: Math.cos(angle), sin: Math.sin(angle) };
  }),
);

function roundedBox({ x, y, width, height }: Placed, radius: number): Corners {
  const corners: number[] = [];
  for (const { sx, sy, cos, sin } of CORNERS)
    corners.push(x + sx * (width / 2 - radius) + radius * cos, y + sy * (height / 2 - radius) + radius * sin);
  return corners;
}

/** How much wider and higher than its text a shape must be, and by how many units on each side, so that words stay in. */
export const ROOM: Record<Shape, { across: number; down: number; x: number; y: number }> = {
  rectangle: { across: 1, down: 1, x: 14, y: 9 },
  rounded: { across: 1, down: 1, x: 14, y: 9 },
  capsule: { across: 1, down: 1, x: 20, y: 9 },
  note: { across: 1, down: 1, x: 14, y: 9 },
  plain: { across: 1, down: 1, x: 6, y: 5 },
  ellipse: { across: 1.3, down: 1.3, x: 8, y: 5 },
  hexagon: { across: 1.25, down: 1, x: 10, y: 9 },
  diamond: { across: 1.7, down: 1.7, x: 6, y: 4 },
  parallelogram: { across: 1.18, down: 1, x: 12, y: 9 },
  octagon: { across: 1.15, down: 1.1, x: 10, y: 8 },
  signpost: { across: 1.18, down: 1, x: 12, y: 9 },
  trapezoid: { across: 1.18, down: 1, x: 12, y: 9 },
};
