import type { DataSource, EntityManager } from 'typeorm';
import { Database } from './database.js';

/** A source of data that notes what became of each transaction. */
class FakeSource {
  ended: string[] = [];
  refuses: unknown[] = [];
  private count = 0;
  readonly manager = { name: 'plain' } as unknown as EntityManager;

  async transaction<T>(isolation: string, deed: (manager: EntityManager) => Promise<T>): Promise<T> {
    const name = `${isolation} ${(this.count += 1)}`;
    try {
      const done = await deed({ name } as unknown as EntityManager);
      const refusal = this.refuses.shift();
      if (refusal) throw refusal as Error;
      this.ended.push(`${name} committed`);
      return done;
    } catch (error) {
      this.ended.push(`${name} rolled back`);
      throw error;
    }
  }
}

let source: FakeSource;
let data: Database;
const here = (): string => (data.manager as unknown as { name: string }).name;
beforeEach(() => {
  source = new FakeSource();
  data = new Database(source as unknown as DataSource);
});
const inTheWay = Object.assign(new Error('deadlock'), { code: 'ER_LOCK_DEADLOCK' });

test('outside a unit everything stands alone; within one all goes through its own manager, however deep', async () => {
  expect(here()).toBe('plain');
  const inner = async (): Promise<string> => {
    await Promise.resolve();
    return data.unit(() => Promise.resolve(here()));
  };
  expect(await data.unit(async () => [here(), await inner()])).toEqual(['READ COMMITTED 1', 'READ COMMITTED 1']);
  expect(source.ended).toEqual(['READ COMMITTED 1 committed']);
  expect(here()).toBe('plain');
});

test('two units at once never see each other’s manager', async () => {
  const one = data.unit(async () => {
    await Promise.resolve();
    return here();
  });
  const other = data.unit(() => Promise.resolve(here()));
  expect(await Promise.all([one, other])).toEqual(['READ COMMITTED 1', 'READ COMMITTED 2']);
});

test('what stood in another’s way is done again, and what fails otherwise is not', async () => {
  source.refuses = [inTheWay, inTheWay];
  let times = 0;
  await data.unit(() => Promise.resolve((times += 1)));
  expect([times, source.ended.at(-1)]).toEqual([3, 'READ COMMITTED 3 committed']);
  await expect(data.unit(() => Promise.reject(new Error('a fault')))).rejects.toThrow('a fault');
  expect(source.ended.filter((one) => one.endsWith('rolled back'))).toHaveLength(3);
});

test('it is not done again for ever', async () => {
  source.refuses = Array<unknown>(20).fill(inTheWay);
  await expect(data.unit(() => Promise.resolve())).rejects.toBe(inTheWay);
  expect(source.ended).toHaveLength(6);
});

test('what a unit leaves running behind it finds the plain manager again', async () => {
  let go: () => void = () => undefined;
  const later = new Promise<void>((resolve) => (go = resolve));
  let left: Promise<string> | null = null;
  await data.unit(() => {
    left = later.then(here);
    return Promise.resolve();
  });
  go();
  expect(await left!).toBe('plain');
});

test('what is done apart belongs to no unit', async () => {
  expect(await data.unit(() => Promise.resolve(data.apart(here)))).toBe('plain');
});

test('what takes long, and a reading as of one moment, must not happen within a unit', async () => {
  expect(() => data.insistOutside('hashing')).not.toThrow();
  await expect(data.unit(async () => data.insistOutside('hashing'))).rejects.toThrow('hashing must not happen');
  await expect(data.unit(() => data.moment(() => Promise.resolve(1)))).rejects.toThrow('must not happen');
  expect(await data.moment(() => Promise.resolve(here()))).toBe('REPEATABLE READ 3');
});
