import fc from 'fast-check';
import { hasRoom, readSketch, rubbed, sketchSvg, strokePath, writeSketch } from './sketch.js';
import type { Sketch } from './sketch.js';

const line = { colour: '#16202e', size: 6, points: [10, 10, 0.5, 60, 10, 0.5, 110, 10, 0.5] };
const sketch: Sketch = { width: 400, height: 300, strokes: [line, { ...line, points: [10, 90, 1, 110, 90, 1] }] };

test('what is written is read again as it was', () =>
  expect(readSketch(JSON.parse(JSON.stringify(writeSketch(sketch))))).toEqual(sketch));

test.each([
  ['nothing', null],
  ['another format', { ...writeSketch(sketch), format: 'ichnograph-map' }],
  ['half a point', { ...writeSketch(sketch), strokes: [{ ...line, points: [1, 2, 0.5, 3] }] }],
  ['a colour that is markup', { ...writeSketch(sketch), strokes: [{ ...line, colour: '"/><script>' }] }],
  ['no number', { ...writeSketch(sketch), strokes: [{ ...line, points: [1, 2, 'x'] }] }],
  ['a sheet without end', { ...writeSketch(sketch), width: 1e9 }],
  ['points without end', { ...writeSketch(sketch), strokes: [{ ...line, points: Array<number>(300_003).fill(1) }] }],
])('%s is no sketch', (_, value) => expect(readSketch(value)).toBeNull());

test('a stroke is drawn round the line of the hand, broader where it pressed', () => {
  const broad = (pressure: number): number => {
    const ys = [
      ...strokePath({ ...line, points: [10, 50, pressure, 60, 50, pressure, 110, 50, pressure] }).matchAll(
        /[ ,](-?[\d.]+)/g,
      ),
    ]
      .map(([, y]) => Number(y))
      .filter((y) => y > 20 && y < 80);
    return Math.max(...ys) - Math.min(...ys);
  };
  expect(broad(1)).toBeGreaterThan(broad(0.1));
  expect(broad(1)).toBeLessThan(12);
});

test('any strokes make a drawing of numbers alone', () =>
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(
          fc.integer({ min: 0, max: 400 }),
          fc.integer({ min: 0, max: 300 }),
          fc.float({ min: 0, max: 1, noNaN: true }),
        ),
        {
          minLength: 1,
          maxLength: 30,
        },
      ),
      (points) => {
        const svg = sketchSvg({ ...sketch, strokes: [{ ...line, points: points.flat() }] });
        expect(svg).not.toMatch(/NaN|undefined|Infinity/);
      },
    ),
  ));

test('the rubber takes the strokes it touches, and no other', () => {
  expect(rubbed(sketch, { x: 85, y: 12 }, 2).strokes).toEqual([sketch.strokes[1]]);
  expect(rubbed(sketch, { x: 85, y: 50 }, 2)).toBe(sketch);
});

test('a sheet that is full takes no more', () => {
  expect(hasRoom(sketch)).toBe(true);
  expect(hasRoom({ ...sketch, strokes: Array<typeof line>(5000).fill(line) })).toBe(false);
});
