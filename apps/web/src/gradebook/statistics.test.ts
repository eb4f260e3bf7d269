import { statisticsOf } from './statistics';

test('mean, median, lowest and highest; of an even number the median lies between', () => {
  expect(statisticsOf([0.4, 1, 0.1])).toEqual({ mean: 0.5, median: 0.4, least: 0.1, most: 1 });
  expect(statisticsOf([0, 1])!.median).toBe(0.5);
  expect(statisticsOf([])).toBeNull();
});
