import { getStroke } from 'perfect-freehand';
import { listOf, number, record, text, written } from '../map/fields.js';
import { pathData } from '../geometry/draw-link.js';

/** A drawing by hand: strokes that can be drawn on again, and that become a picture. Lengths are units of its own sheet. */

const MOST = { side: 4000, strokes: 5000, points: 100_000 } as const;
const coordinate = number({ least: -MOST.side, most: 2 * MOST.side });

const STROKE = record({
  colour: written(/^#[0-9a-fA-F]{6}$/),
  /** how broad a stroke of full pressure is */
  size: number({ least: 0.5, most: 200 }),
  /** x, y and pressure (0 to 1) of each point, one after the other */
  points: listOf(coordinate, { least: 3 }),
});
const SKETCH = record({
  format: text(40),
  version: number({ least: 1, most: 1 }),
  width: number({ least: 16, most: MOST.side }),
  height: number({ least: 16, most: MOST.side }),
  strokes: listOf(STROKE, { most: MOST.strokes }),
});

export interface Stroke {
  colour: string;
  size: number;
  points: readonly number[];
}
export interface Sketch {
  width: number;
  height: number;
  strokes: readonly Stroke[];
}

export const SKETCH_FORMAT = 'ichnograph-sketch';

/** What a sketch's file holds: an object for JSON. */
export const writeSketch = ({ width, height, strokes }: Sketch): object => ({
  format: SKETCH_FORMAT,
  version: 1,
  width,
  height,
  strokes,
});

/** A sketch as anybody may have written it; null where it is none, or larger than one may be. */
export function readSketch(value: unknown): Sketch | null {
  if (!SKETCH.allows(value)) return null;
  const { format, width, height, strokes } = value as Sketch & { format: string };
  const points = strokes.reduce((sum, stroke) => sum + stroke.points.length, 0);
  if (format !== SKETCH_FORMAT || points > MOST.points * 3) return null;
  if (strokes.some((stroke) => stroke.points.length % 3 !== 0)) return null;
  return { width, height, strokes: strokes.map(({ colour, size, points: all }) => ({ colour, size, points: all })) };
}

/** Whether another point has room in a sketch. */
export const hasRoom = ({ strokes }: Sketch): boolean =>
  strokes.length < MOST.strokes && strokes.reduce((sum, { points }) => sum + points.length, 0) < MOST.points * 3;

/** The outline of a stroke as SVG path data: broad where the hand pressed, round at its ends. */
export function strokePath({ size, points }: Stroke): string {
  const input: [number, number, number][] = [];
  for (let i = 0; i < points.length; i += 3) input.push([points[i]!, points[i + 1]!, points[i + 2]!]);
  const outline = getStroke(input, { size, thinning: 0.55, smoothing: 0.5, streamline: 0.35, simulatePressure: false });
  const tenth = (value: number): number => Math.round(value * 10) / 10;
  return `${pathData(outline.map(([x, y]) => ({ x: tenth(x), y: tenth(y) })))}Z`;
}

/** A sketch as a standalone SVG document, with nothing behind it. */
export function sketchSvg({ width, height, strokes }: Sketch): string {
  const paths = strokes.map((stroke) => `<path fill="${stroke.colour}" d="${strokePath(stroke)}"/>`);
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">` +
    `${paths.join('')}</svg>`
  );
}

/** The sketch without the strokes that a point lies on: what a rubber takes away. */
export function rubbed(sketch: Sketch, at: { x: number; y: number }, reach: number): Sketch {
  const strokes = sketch.strokes.filter(({ points, size }) => {
    const near = (size / 2 + reach) ** 2;
    for (let i = 0; i < points.length; i += 3) {
      const [ax, ay] = [points[i]!, points[i + 1]!];
      const [bx, by] = i + 3 < points.length ? [points[i + 3]!, points[i + 4]!] : [ax, ay];
      if (distance2(at, ax, ay, bx, by) <= near) return false;
    }
    return true;
  });
  return strokes.length === sketch.strokes.length ? sketch : { ...sketch, strokes };
}

/** Squared distance of a point from a segment. */
function distance2({ x, y }: { x: number; y: number }, ax: number, ay: number, bx: number, by: number): number {
  const [dx, dy] = [bx - ax, by - ay];
  const long = dx * dx + dy * dy;
  const t = long === 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / long));
  return (ax + t * dx - x) ** 2 + (ay + t * dy - y) ** 2;
}
