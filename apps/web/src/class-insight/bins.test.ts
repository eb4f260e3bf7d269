import { binsOf, placeIn, spreadOf } from './bins';

test('few whole figures stand by themselves, the highest in the last bin', () => {
  expect(binsOf([2, 4, 2]).map(({ label, indices }) => [label, indices])).toEqual([
    ['2', [0, 2]],
    ['3', []],
    ['4', [1]],
  ]);
  expect(binsOf([7])).toEqual([{ label: '7', indices: [0] }]);
  expect(binsOf([])).toEqual([]);
});

test('many lie in at most about ten bins of a round width; a range holds what nobody has', () => {
  const bins = binsOf(
    Array.from({ length: 50 }, (_, i) => i),
    [0, 100],
  );
  expect(bins.map(({ label }) => label)).toContain('40–50');
  expect(bins).toHaveLength(10);
  expect(binsOf([100], [0, 100]).at(-1)!.indices).toEqual([0]);
  expect(binsOf([3, 97]).length).toBeLessThanOrEqual(12);
});

test('the spread of some figures, and of none', () => {
  expect(spreadOf([3, 1, 2])).toEqual({ least: 1, middle: 2, most: 3 });
  expect(spreadOf([])).toEqual({ least: 0, middle: 0, most: 0 });
});

test('where one figure lies among the others is said in words', () => {
  const among = [4, 7, 7, 9];
  expect(among.map((_, i) => placeIn(among, i))).toEqual([
    'less than 3 of 3',
    'more than 1 of 3, less than 1',
    'more than 1 of 3, less than 1',
    'the most of all',
  ]);
  expect(placeIn([5, 5, 3], 0)).toBe('as much as any, more than 1 of 2');
  expect([placeIn([5], 0), placeIn([5, 5], 1)]).toEqual(['the only map', 'as all others have']);
});
