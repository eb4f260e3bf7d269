import { emptyMap } from '@ichnograph/core';
import { link, topic } from '../../testing/marks';
import { NEW_ROW, treeRows, withNewRow } from './outline-rows';

const map = {
  ...emptyMap(),
  topics: [
    topic('root', 0, 0, { note: 'one two' }),
    topic('a', 0, 0, { note: 'three' }),
    topic('x', 0, 0, { note: 'four five' }),
    topic('y', 0, 0),
    topic('b', 0, 0),
  ],
  links: [link('root', 'a'), link('a', 'x'), link('a', 'y'), link('root', 'b')],
};
const told = (rows: ReturnType<typeof treeRows>): string => rows.map(({ id, depth }) => `${depth}${id}`).join(' ');

test('each row says its place among those beside it, what hangs from it, and the words of its branch', () => {
  const rows = treeRows(map);
  expect(told(rows)).toBe('0root 1a 2x 2y 1b');
  expect(rows.map(({ place, beside, below }) => [place, beside, below])).toEqual([
    [1, 1, 2],
    [1, 2, 2],
    [1, 2, 0],
    [2, 2, 0],
    [2, 2, 0],
  ]);
  expect(rows.map(({ words, branchWords }) => [words, branchWords])).toEqual([
    [2, 5],
    [1, 3],
    [2, 2],
    [0, 0],
    [0, 0],
  ]);
});

test('what hangs from a folded topic is not seen, and its words still count', () => {
  const folded = { ...map, topics: map.topics.map((one) => (one.id === 'a' ? { ...one, folded: true } : one)) };
  const rows = treeRows(folded);
  expect(told(rows)).toBe('0root 1a 1b');
  expect(rows[1]).toMatchObject({ folded: true, below: 2, branchWords: 3 });
});

test('a row that is written stands where it will be read', () => {
  const at = (after: string | null, as: 'beside' | 'below'): string =>
    told(withNewRow(treeRows(map), { what: 'row', after, as })).replace(NEW_ROW, '*');
  expect(at('a', 'beside')).toBe('0root 1a 2x 2y 1* 1b');
  expect(at('a', 'below')).toBe('0root 1a 2* 2x 2y 1b');
  expect(at('y', 'beside')).toBe('0root 1a 2x 2y 2* 1b');
  expect(at('b', 'below')).toBe('0root 1a 2x 2y 1b 2*');
  expect(at('root', 'beside')).toBe('0root 1a 2x 2y 1b 0*');
  expect(at(null, 'beside')).toBe('0root 1a 2x 2y 1b 0*');
});
