import fc from 'fast-check';
import { POINTS_PER_UNIT, printedOn } from './page.js';
import { fewestTiles, TILE_POINTS, tilesOf } from './tiles.js';

const A4 = { paper: 'A4', sideways: true } as const;
const sized = fc.record({ width: fc.integer({ min: 10, max: 9000 }), height: fc.integer({ min: 10, max: 9000 }) });

test('what fits on a sheet with letters that can be read is on one', () => {
  expect(tilesOf({ left: 0, top: 0, right: 600, bottom: 400 }, 14, A4)).toMatchObject({ across: 1, down: 1 });
});

test('the sheets cover all of it, overlap, are as large as paper prints at one scale, and no row of them is empty', () => {
  fc.assert(
    fc.property(sized, fc.integer({ min: 8, max: 30 }), ({ width, height }, smallest) => {
      const drawn = { left: -50, top: 20, right: width - 50, bottom: height + 20 };
      const { across, down, boxes } = tilesOf(drawn, smallest, A4);
      expect(boxes).toHaveLength(across * down);
      const [first, last] = [boxes[0]!, boxes.at(-1)!];
      expect(first.left).toBeLessThanOrEqual(drawn.left + 1e-6);
      expect(first.top).toBeLessThanOrEqual(drawn.top + 1e-6);
      expect(last.right).toBeGreaterThanOrEqual(drawn.right - 1e-6);
      expect(last.bottom).toBeGreaterThanOrEqual(drawn.bottom - 1e-6);
      const scale = printedOn(A4).width / (first.right - first.left);
      expect(scale * smallest).toBeGreaterThanOrEqual(Math.min(TILE_POINTS, smallest * POINTS_PER_UNIT) - 1e-6);
      if (across > 1) {
        expect(boxes[1]!.left).toBeLessThan(first.right);
        expect(boxes[1]!.left).toBeLessThan(drawn.right);
      }
    }),
  );
});

test('turned the way in which fewer do', () => {
  expect(fewestTiles({ left: 0, top: 0, right: 4000, bottom: 500 }, 14, A4).sideways).toBe(true);
  expect(fewestTiles({ left: 0, top: 0, right: 500, bottom: 4000 }, 14, A4).sideways).toBe(false);
});
