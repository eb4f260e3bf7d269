import { moved, newIdAmong, reordered } from './lists';

const list = (ids: string) => [...ids].map((id) => ({ id }));
const ids = (items: readonly { id: string }[]) => items.map(({ id }) => id).join('');

test('a member moves within the list, and at its ends it stays', () => {
  expect(moved([1, 2, 3], 0, 1)).toEqual([2, 1, 3]);
  expect(moved([1, 2, 3], 2, 1)).toEqual([1, 2, 3]);
  expect(moved([1, 2, 3], 0, -1)).toEqual([1, 2, 3]);
});

test('some members change places among themselves, the others stay where they are', () => {
  expect(ids(reordered(list('aXbYc'), ['c', 'a', 'b']))).toBe('cXaYb');
  // Somebody else took one away meanwhile.
  expect(ids(reordered(list('aXb'), ['c', 'b', 'a']))).toBe('bXa');
});

test('a new id is none of the list', () => {
  expect(newIdAmong(list('ab'), 'r')).toBe('r3');
  expect(newIdAmong([{ id: 'r2' }], 'r')).toBe('r3');
});
