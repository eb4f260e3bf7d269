import fc from 'fast-check';
import { isCovered, saveStateOf, withStored } from './save-state';

const well = { isReady: true, ended: null, isOpen: true, isCovered: true, isKept: true, isStuck: false } as const;

test('a change counts as stored when its acknowledgement covers every client, not this one alone', () => {
  expect(isCovered({ 7: 3, 9: 1 }, { 7: 3 })).toBe(false);
  expect(isCovered({ 7: 3, 9: 1 }, { 7: 2, 9: 1 })).toBe(false);
  expect(isCovered({ 7: 3, 9: 1 }, { 7: 3, 9: 4 })).toBe(true);
  expect(isCovered({}, {})).toBe(true);
});

test('an acknowledgement that was overtaken takes nothing back, and its order does not matter', () => {
  const counters = fc.dictionary(fc.constantFrom('1', '2', '3'), fc.nat(20));
  fc.assert(
    fc.property(fc.array(counters), fc.array(fc.nat()), (said, order) => {
      const shuffled = said.map((one, i) => ({ one, at: order[i] ?? i })).sort((a, b) => a.at - b.at);
      const inOrder = said.reduce(withStored, {});
      expect(shuffled.reduce((stored, { one }) => withStored(stored, one), {})).toEqual(inOrder);
      for (const one of said) expect(isCovered(one, inOrder)).toBe(true);
    }),
  );
});

test('what is read never says more than is known', () => {
  expect(saveStateOf(well)).toBe('saved');
  expect(saveStateOf({ ...well, isReady: false })).toBe('opening');
  expect(saveStateOf({ ...well, isCovered: false })).toBe('saving');
  expect(saveStateOf({ ...well, isCovered: false, isStuck: true })).toBe('not stored');
  expect(saveStateOf({ ...well, isStuck: true })).toBe('saved');
  expect(saveStateOf({ ...well, isOpen: false })).toBe('offline');
  expect(saveStateOf({ ...well, isOpen: false, isKept: false })).toBe('adrift');
  for (const ended of ['closed', 'full', 'not taken'] as const) expect(saveStateOf({ ...well, ended })).toBe(ended);
});

test('nothing reads as saved without a connection, a map and an acknowledgement of all of it', () => {
  const any = fc.record({
    isReady: fc.boolean(),
    ended: fc.constantFrom(null, 'closed' as const, 'full' as const, 'not taken' as const),
    isOpen: fc.boolean(),
    isCovered: fc.boolean(),
    isKept: fc.boolean(),
    isStuck: fc.boolean(),
  });
  fc.assert(
    fc.property(any, (known) => {
      const isSafe = known.isReady && !known.ended && known.isOpen && known.isCovered;
      expect(saveStateOf(known) === 'saved').toBe(isSafe);
    }),
  );
});
