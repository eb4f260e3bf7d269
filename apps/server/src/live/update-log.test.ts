import type { Logger } from 'pino';
import * as Y from 'yjs';
import type { Database } from '../common/database.js';
import { UpdateLog } from './update-log.js';

interface Row {
  documentName: string;
  data: Buffer;
}

/** A database that can be away, or refuse one document; it keeps the rows of each INSERT together. */
class FakeDatabase {
  commits: Row[][] = [];
  away = false;
  refuses: string | null = null;

  apart<T>(deed: () => T): T {
    return deed();
  }

  createQueryBuilder() {
    let rows: Row[] = [];
    const builder = {
      insert: () => builder,
      into: () => builder,
      updateEntity: () => builder,
      values: (wanted: Row[]) => {
        rows = wanted;
        return builder;
      },
      execute: () => {
        if (this.away) return Promise.reject(new Error('away'));
        if (rows.some(({ documentName }) => documentName === this.refuses)) return Promise.reject(new Error('refused'));
        this.commits.push(rows);
        return Promise.resolve();
      },
    };
    return builder;
  }

  get stored(): string[] {
    return this.commits.flat().map(({ documentName, data }) => `${documentName}:${data.toString()}`);
  }
}

const silent = { warn: () => undefined, error: () => undefined } as unknown as Logger;
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

let database: FakeDatabase;
let log: UpdateLog;
let told: string[];
beforeEach(() => {
  database = new FakeDatabase();
  log = new UpdateLog(database as unknown as Database, silent);
  told = [];
  log.listen({
    stored: (name, counters) => told.push(`${name} stored ${JSON.stringify(counters)}`),
    notStored: (name) => told.push(`${name} not stored`),
  });
});

test('updates that come together share one transaction, and each document hears its newest counters', async () => {
  log.append('one', bytes('a'), { tab: 1 });
  log.append('two', bytes('b'), { tab: 1 });
  log.append('one', bytes('c'), { tab: 2 });
  await log.drained('one');
  expect(database.commits).toHaveLength(1);
  expect(database.stored).toEqual(['one:a', 'two:b', 'one:c']);
  expect(told).toEqual(['one stored {"tab":2}', 'two stored {"tab":1}']);
});

test('while the database is away nothing is lost, the order is kept, and it is said', async () => {
  database.away = true;
  log.append('one', bytes('a'), { tab: 1 });
  await new Promise((resolve) => setTimeout(resolve, 60));
  log.append('one', bytes('b'), { tab: 2 });
  expect(told).toContain('one not stored');
  expect(database.stored).toEqual([]);
  database.away = false;
  await log.drained('one');
  expect(database.stored).toEqual(['one:a', 'one:b']);
  expect(told.at(-1)).toBe('one stored {"tab":2}');
});

test('one document that cannot be stored does not hold up the others', async () => {
  database.refuses = 'bad';
  log.append('bad', bytes('x'), {});
  log.append('good', bytes('a'), { tab: 1 });
  log.append('bad', bytes('y'), {});
  await log.drained('good');
  expect(database.stored).toEqual(['good:a']);
  expect(told).toContain('bad not stored');
  database.refuses = null;
  await log.drained('bad');
  expect(database.stored).toEqual(['good:a', 'bad:x', 'bad:y']);
});

test('a close waits for what is queued', async () => {
  log.append('one', bytes('a'), { tab: 1 });
  await log.close();
  expect(database.stored).toEqual(['one:a']);
});

test('what waits for the database has a bound, at which nothing more is taken; nothing of it is lost', async () => {
  database.away = true;
  const large = new Uint8Array(8 * 1024 * 1024);
  for (let i = 1; i <= 8; i++) log.append('one', large, { tab: i });
  expect(log.isFull).toBe(true);
  database.away = false;
  await log.drained('one');
  expect(log.isFull).toBe(false);
  expect(database.commits.flat()).toHaveLength(8);
  expect(told.at(-1)).toBe('one stored {"tab":8}');
});

/** A database that holds one document and takes its time to store. */
class SlowDatabase extends FakeDatabase {
  private go: (() => void)[] = [];
  override createQueryBuilder() {
    const builder = super.createQueryBuilder();
    const { execute } = builder;
    builder.execute = async () => {
      await new Promise<void>((resolve) => this.go.push(resolve));
      return execute();
    };
    return builder;
  }
  get manager() {
    return {
      findOneBy: () => Promise.resolve({ name: 'one', compacted: Y.encodeStateAsUpdate(new Y.Doc()) }),
      // Read before the INSERT that is under way is committed.
      find: () => Promise.resolve([]),
    };
  }
  moment<T>(reading: () => Promise<T>): Promise<T> {
    return reading();
  }
  finish(): void {
    for (const resolve of this.go.splice(0)) resolve();
  }
  get isAsked(): boolean {
    return this.go.length > 0;
  }
}

test('who opens a document while its last change is on its way to the database sees that change', async () => {
  const slow = new SlowDatabase();
  log = new UpdateLog(slow as unknown as Database, silent);
  const doc = new Y.Doc();
  doc.getMap('topics').set('arch', 1);
  log.append('one', Y.encodeStateAsUpdate(doc), { tab: 1 });
  while (!slow.isAsked) await new Promise((resolve) => setTimeout(resolve, 2));
  const opened = await log.load('one');
  expect(opened!.doc.getMap('topics').get('arch')).toBe(1);
  // It is there, and not yet called stored.
  expect(opened!.stored).toEqual({});
  let rested = false;
  const drained = log.drained('one').then(() => (rested = true));
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(rested).toBe(false);
  slow.finish();
  await drained;
  expect(slow.stored).toHaveLength(1);
});
