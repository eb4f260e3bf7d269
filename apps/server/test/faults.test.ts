import { Stack } from '../../../scripts/lib/stack.mjs';
import { Person, until } from './setup/client.js';
import type { LiveClient } from './setup/client.js';
import type { WorkDetail } from '@ichnograph/contract';

const stack = new Stack('faults', { env: { ICHNOGRAPH_LOG: 'silent' } }) as {
  start: () => Promise<unknown>;
  remove: () => Promise<void>;
  url: string;
  killServer: () => Promise<void>;
  startServer: () => Promise<void>;
  killDatabase: () => Promise<void>;
  startDatabase: () => Promise<void>;
};
let person: Person;
let work: WorkDetail;
let client: LiveClient;

beforeAll(async () => {
  await stack.start();
  person = await Person.signedIn('amara', stack.url);
  work = await person.work();
  client = person.live(work.id);
  await client.opened();
}, 180_000);
afterAll(async () => {
  client?.close();
  await stack.remove();
}, 180_000);

const put = (id: string): void =>
  client.live.apply([
    { do: 'add', to: 'topics', item: { id, text: id, kind: null, x: 0, y: 0, width: 80, height: 40 } },
  ]);
const drop = (id: string): void => client.live.apply([{ do: 'remove', from: 'topics', id }]);
/** What somebody else sees who opens the map now. */
async function stored(): Promise<string[]> {
  const other = person.live(work.id);
  await other.opened();
  const texts = other.live.snapshot.topics.filter(({ origin }) => origin === undefined).map(({ id }) => id);
  other.close();
  return texts;
}

test('a killed database: the client is told, and nothing is lost when it is back', async () => {
  put('before');
  await client.saved();
  await stack.killDatabase();
  put('while the database was away');
  drop('before');
  await until('word that it could not be stored', () => client.messages.some(({ type }) => type === 'not stored'));
  const answer = await person.get(`works/${work.id}`);
  expect(answer.status).toBe(503);
  expect(answer.problem.detail).toContain('safe');
  await stack.startDatabase();
  await client.saved();
  expect(await stored()).toEqual(['while the database was away']);
}, 180_000);

test('a server killed again and again loses nothing that it had called stored', async () => {
  let kept = await stored();
  for (let round = 0; round < 4; round++) {
    put(`round ${round}`);
    if (round > 0) drop(`round ${round - 1}`);
    await client.saved();
    kept = [...kept.filter((id) => id !== `round ${round - 1}`), `round ${round}`];
    await stack.killServer();
    await stack.startServer();
    expect((await stored()).sort()).toEqual([...kept].sort());
  }
}, 180_000);

test('what is made while the server is away arrives when it is back', async () => {
  await stack.killServer();
  put('made offline');
  drop('round 3');
  await stack.startServer();
  await client.saved();
  expect(await stored()).toEqual(expect.arrayContaining(['made offline']));
  expect(await stored()).not.toContain('round 3');
}, 180_000);
