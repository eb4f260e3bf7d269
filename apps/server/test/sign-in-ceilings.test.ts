import { Stack } from '../../../scripts/lib/stack.mjs';
import { DEMO_PASSWORD, Person } from './setup/client.js';

// Ceilings count by address, and here everyone has the same: this needs a server of its own.
const stack = new Stack('ceilings', { env: { ICHNOGRAPH_LOG: 'silent' } }) as {
  start: () => Promise<unknown>;
  remove: () => Promise<void>;
  url: string;
};
beforeAll(() => stack.start(), 180_000);
afterAll(() => stack.remove(), 180_000);

const STUDENTS =
  'amara bastian chidi dalia emre freya goran hana ilse juno kofi leila mateus noor oskar priya quentin rosa santeri tomke uma viggo wren yusuf'.split(
    ' ',
  );
const tried = async (name: string, password: string): Promise<number> =>
  (await new Person(stack.url).post('sign-in', { name, password })).status;

test('a classroom behind one address gets in with its usual mistakes; a list of names does not', async () => {
  for (const name of STUDENTS) {
    expect(await tried(name, 'mistyped')).toBe(401);
    expect(await tried(name, 'mistyped again')).toBe(401);
    expect(await tried(name, DEMO_PASSWORD)).toBe(204);
  }
  const guesses: number[] = [];
  for (let i = 0; i < 120; i++) guesses.push(await tried(`made-up-${i}`, 'a guess'));
  expect(guesses.filter((status) => status === 401).length).toBeLessThan(100);
  expect(guesses.at(-1)).toBe(429);
}, 180_000);
