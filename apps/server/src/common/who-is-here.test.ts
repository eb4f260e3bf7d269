import { WhoIsHere } from './who-is-here.js';

test('everybody is where they said last, in their room, the earliest first, and forgotten when they say nothing more', () => {
  const here = new WhoIsHere<string>();
  expect(here.note('pile', 'maren', 'a', 0)).toEqual([{ accountId: 'maren', place: 'a' }]);
  expect(here.note('pile', 'piet', 'a', 1000)).toEqual([
    { accountId: 'maren', place: 'a' },
    { accountId: 'piet', place: 'a' },
  ]);
  expect(here.note('other', 'tobias', 'z', 1000)).toEqual([{ accountId: 'tobias', place: 'z' }]);
  expect(here.note('pile', 'maren', 'b', 2000)).toEqual([
    { accountId: 'maren', place: 'b' },
    { accountId: 'piet', place: 'a' },
  ]);
  expect(here.note('pile', 'piet', 'b', 30_000)).toEqual([{ accountId: 'piet', place: 'b' }]);
});
