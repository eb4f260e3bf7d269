import { WhoIsWhere } from './who-is-where.js';

test('others are where they said last, in their pile, and forgotten when they say nothing more', () => {
  const where = new WhoIsWhere();
  expect(where.note('pile', 'maren', 'a', 0)).toEqual([]);
  expect(where.note('pile', 'piet', 'a', 1000)).toEqual([{ accountId: 'maren', workId: 'a' }]);
  expect(where.note('other', 'tobias', 'z', 1000)).toEqual([]);
  expect(where.note('pile', 'maren', 'b', 2000)).toEqual([{ accountId: 'piet', workId: 'a' }]);
  expect(where.note('pile', 'piet', 'b', 30_000)).toEqual([]);
});
