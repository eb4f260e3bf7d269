import type { Problem } from '../common/problem.js';
import { Tries } from './tries.js';

const SECOND = 1000;
let now = 0;
let tries: Tries;
beforeEach(() => {
  now = 1_000_000;
  tries = new Tries({ now: () => new Date(now) });
});
type Keys = Parameters<Tries['one']>[0];
const wrong = (keys: Keys): Promise<null | number> =>
  tries
    .one(keys, () => Promise.resolve(null))
    .then(
      () => null,
      (error: unknown) => (error as Problem).getStatus(),
    );
const right = (keys: Keys): Promise<unknown> => tries.one(keys, () => Promise.resolve('in'));
async function times(count: number, keys: Keys): Promise<(number | null)[]> {
  const all: (number | null)[] = [];
  for (let i = 0; i < count; i++) all.push(await wrong(keys));
  return all;
}

test('ten wrong ones are free, then each waits twice as long as the one before, five minutes at the most', async () => {
  const keys = { password: 'noor' };
  expect(await times(11, keys)).toEqual([...Array<null>(10).fill(null), 429]);
  const waits: number[] = [];
  for (let i = 0; i < 10; i++) {
    let waited = 0;
    while ((await wrong(keys)) === 429) {
      now += SECOND;
      waited += 1;
    }
    waits.push(waited);
  }
  expect(waits).toEqual([4, 8, 16, 32, 64, 128, 256, 300, 300, 300]);
});

test('what was right counts nothing, however often', async () => {
  const keys = { address: 'a', 'name and address': 'a noor' };
  for (let i = 0; i < 200; i++) expect(await right(keys)).toBe('in');
  expect(await wrong(keys)).toBeNull();
});

test('an address that tries a list of names waits a little, never long, and is forgotten', async () => {
  for (let i = 0; i < 100; i++) expect(await wrong({ address: 'a', 'name and address': `a ${i}` })).toBeNull();
  expect(await wrong({ address: 'a', 'name and address': 'a 101' })).toBe(429);
  for (let i = 0; i < 300; i++) {
    now += 20 * SECOND;
    expect(await wrong({ address: 'a', 'name and address': `a more ${i}` })).toBeNull();
  }
  // Another address is not concerned, and neither is a device that is known.
  expect(await wrong({ address: 'b', 'name and address': 'b 1' })).toBeNull();
  expect(await right({ device: 'known' })).toBe('in');
  now += 11 * 60 * SECOND;
  expect((await times(100, { address: 'a' })).every((one) => one === null)).toBe(true);
});

test('many at once are counted too', async () => {
  const keys = { 'join code': 'noor' };
  const all = await Promise.all(Array.from({ length: 30 }, () => wrong(keys)));
  expect(all.filter((one) => one === null)).toHaveLength(10);
});

test('how long to wait is said', async () => {
  const keys = { password: 'juno' };
  await times(10, keys);
  const refusal = await right(keys).catch((error: unknown) => (error as Problem).getResponse());
  expect(refusal).toMatchObject({ detail: 'That was tried too often. Wait 4 seconds, then try again.' });
});
