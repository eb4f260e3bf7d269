import { createConnection } from 'mysql2/promise';
import type { Connection } from 'mysql2/promise';
import type { TeacherTask, WorkDetail } from '@ichnograph/contract';
import { Stack } from '../../../scripts/lib/stack.mjs';
import { classAtWork } from './setup/class-at-work.js';
import type { Person } from './setup/client.js';
import { until } from './setup/client.js';

// Statements are counted by the database: nobody else may ask it anything meanwhile.
const stack = new Stack('queries', { env: { ICHNOGRAPH_LOG: 'silent' } }) as {
  start: () => Promise<unknown>;
  remove: () => Promise<void>;
  url: string;
  settings: Record<string, string>;
};
let school: string;
let database: Connection;
beforeAll(async () => {
  school = process.env.ICHNOGRAPH_TEST_URL!;
  await stack.start();
  process.env.ICHNOGRAPH_TEST_URL = stack.url;
  const { ICHNOGRAPH_DB_SOCKET: socketPath, ICHNOGRAPH_DB_PASSWORD: password } = stack.settings;
  database = await createConnection({ socketPath: socketPath!, user: 'ichnograph', password: password! });
}, 180_000);
afterAll(async () => {
  process.env.ICHNOGRAPH_TEST_URL = school;
  await database.end();
  await stack.remove();
}, 180_000);

async function statements(): Promise<number> {
  const [rows] = await database.query(
    "SHOW GLOBAL STATUS WHERE Variable_name IN ('Com_select', 'Com_insert', 'Com_update', 'Com_delete')",
  );
  return (rows as { Value: string }[]).reduce((sum, { Value }) => sum + Number(Value), 0);
}

/** How many statements an answer costs, once the server has nothing else to do and has seen it before. */
async function costOf(person: Person, path: string): Promise<number> {
  expect([path, (await person.get(path)).status]).toEqual([path, 200]);
  // What follows by itself (a version, a list's row) comes to rest first.
  let before = await statements();
  await until('the database to rest', async () => {
    const now = await statements();
    const rests = now === before;
    before = now;
    return rests;
  });
  await person.get(path);
  return (await statements()) - before;
}

test('the busiest pages ask the database as often for a large class as for a small one', async () => {
  const { tobias, publicationId, room, id, student } = await classAtWork('Counted');
  const first = await student('Cou', 'One', 'Two');
  const submission = await first.handIn();
  const routes: [Person, string][] = [
    [tobias, 'today/teacher'],
    [tobias, `publications/${publicationId}/pile`],
    [tobias, `publications/${publicationId}/propositions`],
    [tobias, `publications/${publicationId}/insight`],
    [tobias, `classes/${room.id}/gradebook`],
    [tobias, `classes/${room.id}/people`],
    [tobias, `submissions/${submission}`],
    [tobias, `submissions/${submission}/mark`],
    [tobias, `assignments/${id}`],
    [tobias, `classes/${room.id}/stays-hard`],
    [tobias, `publications/${publicationId}/growth`],
    [tobias, `assignments/${id}/class-maps`],
    [first.person, 'today/student'],
    [first.person, `works/${first.work.id}`],
  ];
  const small = new Map<string, number>();
  for (const [person, path] of routes) small.set(path, await costOf(person, path));
  for (const name of ['Cov', 'Cow', 'Cox', 'Coy', 'Coz']) {
    const more = await student(name, 'One', 'Two');
    await more.handIn();
    more.client.close();
  }
  const large = new Map<string, number>();
  for (const [person, path] of routes) large.set(path, await costOf(person, path));
  expect(large).toEqual(small);
  // Every answer asks something, who it is for above all.
  expect(Math.min(...small.values())).toBeGreaterThan(1);
  first.client.close();
  expect((await tobias.get<TeacherTask[]>('today/teacher')).status).toBe(200);
  expect((await first.person.get<WorkDetail>(`works/${first.work.id}`)).body.submissions).toHaveLength(1);
}, 180_000);
