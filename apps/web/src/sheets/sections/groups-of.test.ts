import { inGroupsOf } from './groups-of';

const sizes = (size: number, people: number, first?: number): number[] => {
  const numbers = Object.values(
    inGroupsOf(
      size,
      Array.from({ length: people }, (_, i) => `p${i}`),
      first,
    ),
  );
  return [...new Set(numbers)].sort((a, b) => a - b).map((n) => numbers.filter((one) => one === n).length);
};

test.each([
  [3, 12, [3, 3, 3, 3]],
  [3, 13, [4, 3, 3, 3]],
  [3, 14, [4, 4, 3, 3]],
  [3, 2, [2]],
  [2, 1, [1]],
  [3, 0, []],
])('groups of %i of %i people', (size, people, wanted) => {
  expect(sizes(size, people)).toEqual(wanted);
});

test('numbers go on behind groups that have begun', () => {
  expect(inGroupsOf(2, ['a', 'b', 'c', 'd'], 5)).toEqual({ a: 5, b: 6, c: 5, d: 6 });
});
