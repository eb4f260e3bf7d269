import fc from 'fast-check';
import { sharedPoints } from './share-points.js';

test('a sum is shared in whole points, the first ones having one more', () => {
  expect(sharedPoints(10, 3)).toEqual([4, 3, 3]);
  expect(sharedPoints(2, 4)).toEqual([1, 1, 0, 0]);
  expect(sharedPoints(7.5, 2)).toEqual([4, 3.5]);
});

test('what is shared is the sum again, and no two differ by more than a point and the odd rest', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 100_000 }), fc.integer({ min: 1, max: 200 }), (hundredths, count) => {
      const shares = sharedPoints(hundredths / 100, count);
      expect(shares.reduce((sum, one) => sum + one, 0)).toBeCloseTo(hundredths / 100, 6);
      expect(Math.max(...shares) - Math.min(...shares)).toBeLessThan(2);
    }),
  );
});
