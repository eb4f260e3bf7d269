import { readFileSync } from 'node:fs';
import mysql from 'mysql2/promise';
import { readyPeople } from './drawer.js';
import type { Drawer } from './drawer.js';
import { quietStack } from './stack.js';
import { mapOf } from './maps.js';
import { line, ms, quantile, times, title } from './measure.js';

const PEOPLE = 50;
const SECONDS = 20;
const TOPICS = 60;

/** How soon an edit is saved, beside what the database itself needs, and what an open map takes of the server’s memory. */
export async function benchSaving(): Promise<void> {
  const stack = quietStack();
  await stack.start();
  try {
    const people = await readyPeople(stack.url, PEOPLE);
    title('From an edit to “saved”, each person one change a second in a map of their own');
    const [first] = people;
    const before = memoryOf(stack.server.pid);
    await first!.open();
    await editing([first!], 5);
    const alone = await editing([first!], SECONDS);
    await Promise.all(people.map((person) => person.open()));
    await Promise.all(people.map((person) => person.fill(mapOf(TOPICS, 3))));
    await editing(people, 5);
    const opened = memoryOf(stack.server.pid);
    const together = await editing(people, SECONDS);
    const inserts = await inserting(stack.settings, first!.changeSize);
    line('1 person: p50 · p95', `${ms(quantile(alone, 0.5))} · ${ms(quantile(alone, 0.95))}`);
    line('50 people: p50 · p95', `${ms(quantile(together, 0.5))} · ${ms(quantile(together, 0.95))}`);
    line(
      '50 committed INSERTs a second of that size: p50 · p95',
      `${ms(quantile(inserts, 0.5))} · ${ms(quantile(inserts, 0.95))}`,
    );
    line(
      'p95 of 50 people : p95 of the INSERTs',
      times(quantile(together, 0.95) / quantile(inserts, 0.95)),
      'wanted: at most 10',
    );
    title(`Server memory, ${PEOPLE} open maps of ${TOPICS} topics`);
    line('a map', `${((opened - before) / PEOPLE / 1024).toFixed(2)} MiB`, 'wanted: below 2 MiB');
    for (const person of people) person.close();
  } finally {
    await stack.remove();
  }
}

/** Resident memory of a process in KiB, as Linux counts it. */
const memoryOf = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]);

const pause = (milliseconds: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** Each of them does one thing a second, all of them spread over that second. */
async function everySecond(count: number, seconds: number, act: (i: number) => Promise<number>): Promise<number[]> {
  const found: number[] = [];
  await Promise.all(
    Array.from({ length: count }, async (_, i) => {
      await pause((1000 * i) / count);
      for (let second = 0; second < seconds; second++) {
        const start = performance.now();
        found.push(await act(i));
        await pause(Math.max(0, 1000 - (performance.now() - start)));
      }
    }),
  );
  return found;
}

const editing = (people: readonly Drawer[], seconds: number): Promise<number[]> =>
  everySecond(people.length, seconds, (i) => people[i]!.edit());

/** As many rows of that size, each in a transaction of its own, in the same database. */
async function inserting(settings: Record<string, string>, size: number): Promise<number[]> {
  const pool = mysql.createPool({
    socketPath: settings.ICHNOGRAPH_DB_SOCKET,
    user: settings.ICHNOGRAPH_DB_USER,
    password: settings.ICHNOGRAPH_DB_PASSWORD,
    database: settings.ICHNOGRAPH_DB_NAME,
    connectionLimit: PEOPLE,
  } as mysql.PoolOptions);
  try {
    await pool.query(
      'CREATE TABLE bench_rows (id BIGINT AUTO_INCREMENT PRIMARY KEY, body BLOB NOT NULL) ENGINE=InnoDB',
    );
    const body = Buffer.alloc(Math.max(1, size), 7);
    const insert = async (): Promise<number> => {
      const start = performance.now();
      await pool.query('INSERT INTO bench_rows (body) VALUES (?)', [body]);
      return performance.now() - start;
    };
    await everySecond(PEOPLE, 3, insert);
    return await everySecond(PEOPLE, SECONDS, insert);
  } finally {
    await pool.end();
  }
}
