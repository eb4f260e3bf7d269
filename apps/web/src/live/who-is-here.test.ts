import { jest } from '@jest/globals';
import type { Here, LiveMessage, OneHere } from '@ichnograph/contract';
import { openWhoIsHere } from './who-is-here';

const other = (key: string, fields: Partial<OneHere> = {}): OneHere => ({
  key,
  person: { id: `of ${key}`, givenName: key, familyName: 'X' },
  reads: false,
  holds: [],
  ...fields,
});
const arrive = (...people: OneHere[]): Extract<LiveMessage, { type: 'here' }> => ({ type: 'here', people, gone: [] });

let said: Here[];
let here: ReturnType<typeof openWhoIsHere>;
beforeEach(() => {
  jest.useFakeTimers();
  said = [];
  here = openWhoIsHere('me', (message) => said.push(message));
});
afterEach(() => {
  here.destroy();
  jest.useRealTimers();
});

test('who is alone says nothing; the first to come is told all', () => {
  here.say({ holds: ['a'], at: { x: 1, y: 2 } });
  here.say({ at: undefined });
  expect(said).toEqual([]);
  here.hear({ ...arrive(other('other tab', { person: { id: 'me', givenName: 'I', familyName: 'X' } })), all: true });
  expect(said).toEqual([]);
  here.hear(arrive(other('k')));
  expect(JSON.parse(JSON.stringify(said))).toEqual([{ type: 'here', holds: ['a'] }]);
});

test('a hand that moves on is told a few times a second, and where it came to rest', () => {
  here.hear(arrive(other('k')));
  said.length = 0;
  for (let x = 0; x < 100; x++) {
    here.say({ at: { x, y: 0 } });
    jest.advanceTimersByTime(5);
  }
  jest.advanceTimersByTime(200);
  expect(said.length).toBeLessThan(12);
  expect(said.at(-1)!.at).toEqual({ x: 99, y: 0 });
});

test('those who move are known by the same key, those who leave are gone, and following ends with them', () => {
  here.hear({ ...arrive(other('a'), other('b')), all: true });
  here.store.setState({ followed: 'b' });
  here.hear(arrive(other('b', { holds: ['x'] }), other('c')));
  expect(here.store.getState().others.map(({ key, holds }) => [key, ...holds])).toEqual([['a'], ['b', 'x'], ['c']]);
  here.hear({ type: 'here', people: [], gone: ['a'] });
  expect(here.store.getState()).toMatchObject({ others: [{ key: 'b' }, { key: 'c' }], followed: 'b' });
  here.hear({ ...arrive(other('c')), all: true });
  expect(here.store.getState()).toMatchObject({ others: [{ key: 'c' }], followed: null });
  here.lost();
  expect(here.store.getState().others).toEqual([]);
});
