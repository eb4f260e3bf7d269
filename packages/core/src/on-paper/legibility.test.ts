import { illegible } from './legibility.js';
import type { Grey } from './legibility.js';

const [width, height] = [1100, 700];
/** A page with lines of writing: short strokes of ink on paper. */
const page = (paper = 235, ink = 40): Grey => {
  const shades = new Uint8Array(width * height).fill(paper);
  for (let row = 60; row < height - 60; row += 40)
    for (let x = 80; x < width - 80; x += 9)
      for (let k = 0; k < 12; k++) {
        const at = (row + k) * width + x + (k % 4);
        shades[at] = ink;
        shades[at + 1] = ink;
      }
  return { width, height, shades };
};
/** As an unsharp lens makes it: three times the mean of what lies around, which is nearly a Gaussian. */
function blurred({ shades, ...size }: Grey, reach: number): Grey {
  /** The mean of so many before it, in rows (step 1) or columns. */
  const pass = (from: ArrayLike<number>, step: number): Float64Array => {
    const [to, broad] = [new Float64Array(from.length), 2 * reach + 1];
    for (let start = 0; start < step; start++) {
      let [sum, count] = [0, 0];
      for (let i = start; i < from.length; i += step) {
        sum += from[i]!;
        if (count < broad) count++;
        else sum -= from[i - broad * step]!;
        to[i] = sum / count;
      }
    }
    return to;
  };
  let out: ArrayLike<number> = shades;
  for (let i = 0; i < 3; i++) out = pass(pass(out, 1), size.width);
  return { ...size, shades: out };
}

test('a good scan has nothing against it, nor has pale pencil, nor an empty page', () => {
  expect(illegible(page())).toEqual([]);
  expect(illegible(page(235, 170))).toEqual([]);
  expect(illegible(page(235, 235))).toEqual([]);
  const word = page(235, 235);
  for (let k = 0; k < 12; k++) (word.shades as Uint8Array).fill(30, (100 + k) * width + 200, (100 + k) * width + 203);
  expect(illegible(word)).toEqual([]);
});
test('one taken at night is dark', () => expect(illegible(page(90, 10))).toContain('dark'));
test('one taken by a shaking hand is blurred, the more so the more it shook', () => {
  expect(illegible(blurred(page(), 3))).toContain('blurred');
  expect(illegible(blurred(page(), 6))).toContain('blurred');
});
test('a thumbnail is small', () =>
  expect(illegible({ width: 300, height: 200, shades: new Uint8Array(60_000).fill(235) })).toEqual(['small']));
test('one pixel, or none, is small and no more', () => {
  expect(illegible({ width: 1, height: 1, shades: [235] })).toEqual(['small']);
  expect(illegible({ width: 0, height: 0, shades: [] })).toContain('small');
});
