import 'reflect-metadata';
import { jest } from '@jest/globals';
import { Moves } from './moves.service.js';

/** The works of a school whose database fails at the calls named. */
function movesOf(fails: readonly string[]) {
  const [left, asked] = [[...fails], [] as string[]];
  const call = <T>(name: string, answer: T): Promise<T> => {
    asked.push(name);
    if (left[0] !== name) return Promise.resolve(answer);
    left.shift();
    return Promise.reject(new Error('the database is away'));
  };
  const works = {
    findBy: () => call('list', [{ id: 'w1' }, { id: 'w2' }]),
    // Moved on by somebody else meanwhile: there is nothing left to do.
    findOneOrFail: ({ where: { id } }: { where: { id: string } }) => call(id, { id, movingTo: null }),
  };
  const data = { getRepository: () => works };
  const warned: string[] = [];
  const logger = { warn: (_: object, words: string) => warned.push(words) };
  const others = Array.from({ length: 8 }, () => ({}));
  const moves = new (Moves as unknown as new (...parts: object[]) => Moves)(data, ...others, logger);
  return { moves, asked, warned };
}

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

test('a list of works that could not be read is read again', async () => {
  const { moves, asked, warned } = movesOf(['list', 'list']);
  await moves.to('r2', 'a teacher');
  expect(asked).toEqual(['list']);
  await jest.advanceTimersByTimeAsync(3000);
  expect(asked).toEqual(['list', 'list']);
  await jest.advanceTimersByTimeAsync(3000);
  expect(asked).toEqual(['list', 'list', 'list', 'w1', 'w2']);
  expect(warned).toHaveLength(2);
  await jest.advanceTimersByTimeAsync(60_000);
  expect(asked).toHaveLength(5);
});

test('a work that could not be moved holds up no other, and is tried again alone', async () => {
  const { moves, asked } = movesOf(['w1']);
  await moves.to('r2', 'a teacher');
  expect(asked).toEqual(['list', 'w1', 'w2']);
  await jest.advanceTimersByTimeAsync(3000);
  expect(asked).toEqual(['list', 'w1', 'w2', 'w1']);
});

test('what waited when the server ended is moved on at its start', async () => {
  const { moves, asked } = movesOf(['list']);
  moves.onApplicationBootstrap();
  await jest.advanceTimersByTimeAsync(3000);
  expect(asked).toEqual(['list', 'list', 'w1', 'w2']);
});
