import { moved, newIdAmong, placeAloud, putBack, reordered } from './lists';

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

test('what was taken out is put back where it stood, and never twice', () => {
  const same = (one: string): string => one;
  const gone = [
    { item: 'd', at: 3 },
    { item: 'b', at: 1 },
  ];
  expect(putBack(['a', 'c', 'e'], gone, same)).toEqual(['a', 'b', 'c', 'd', 'e']);
  // Somebody removed others meanwhile, or wrote one of them again.
  expect(putBack(['a'], gone, same)).toEqual(['a', 'b', 'd']);
  expect(putBack(['b', 'a'], gone, same)).toEqual(['b', 'a', 'd']);
});

test('where a member stands after it moved is told, also at the ends of the list', () => {
  expect(placeAloud('Deck', 1, 1, 3)).toBe('Deck: 3 of 3.');
  expect(placeAloud('Deck', 2, 1, 3)).toBe('Deck: 3 of 3.');
  expect(placeAloud('Deck', 0, -1, 3)).toBe('Deck: 1 of 3.');
});
