import type { TopicMap } from '@ichnograph/core';
import { Stack } from '../../../scripts/lib/stack.mjs';
import { Person, until } from './setup/client.js';
import type { LiveClient } from './setup/client.js';
import type {
  AssignmentDetail,
  ExportState,
  MarkChangeRow,
  Pile,
  ReturnedMaps,
  SheetDetail,
  SubmissionDetail,
  WorkDetail,
} from '@ichnograph/contract';

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
async function snapshot(): Promise<TopicMap> {
  const other = person.live(work.id);
  await other.opened();
  const map = other.live.snapshot;
  other.close();
  return map;
}
const stored = async (): Promise<string[]> =>
  (await snapshot()).topics.filter(({ origin }) => origin === undefined).map(({ id }) => id);

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

test('a database that goes away in the middle of a revision: every work moves on when it is back, with no server started for it', async () => {
  const maren = await Person.signedIn('maren', stack.url);
  const { publicationId, assignmentId } = await maren.teacherTask();
  const { body: sheet } = await maren.get<SheetDetail>(`assignments/${assignmentId}/sheet`);
  const { version, body } = sheet.parts.requirements!;
  const later = { id: 'later', type: 'topic-count', params: { min: 3 }, level: 'should', points: 1 };
  const requirements = [...(body as { requirements: object[] }).requirements, later];
  const saved = await maren.call('PUT', `assignments/${assignmentId}/sheet/requirements`, {
    version,
    body: { requirements },
  });
  expect(saved.status).toBe(200);
  const { entries } = (await maren.get<Pile>(`publications/${publicationId}/pile`)).body;
  const waiting = entries.flatMap(({ state, submission }) =>
    submission && (state === 'handed in' || state === 'being marked') ? [submission.id] : [],
  );
  expect(waiting.length).toBeGreaterThanOrEqual(9);
  const moved = async (): Promise<number> => {
    const details = await Promise.all(waiting.map((id) => maren.get<SubmissionDetail>(`submissions/${id}`)));
    return details.filter(({ body: { report } }) =>
      (report.results as { id: string }[]).some(({ id }) => id === 'later'),
    ).length;
  };
  const revising = maren.post(`assignments/${assignmentId}/next-revision`).catch(() => null);
  await until('the new revision', async () => {
    const { status, body: now } = await maren.get<AssignmentDetail>(`assignments/${assignmentId}`);
    return status === 200 && now.revision === 2;
  });
  await stack.killDatabase();
  await revising;
  await stack.startDatabase();
  // It was ended in the middle: there is something left to do.
  expect(await moved()).toBeLessThan(waiting.length);
  await until('every work to be moved on', async () => (await moved()) === waiting.length);
  const own = (await person.get<WorkDetail>(`works/${work.id}`)).body;
  expect(own.revision).toBe(2);
  // Nothing that was given stands there twice.
  const origins = (await snapshot()).topics.flatMap(({ origin }) => origin ?? []);
  expect(new Set(origins).size).toBe(origins.length);
  for (const id of waiting) {
    const trail = (await maren.get<MarkChangeRow[]>(`submissions/${id}/trail`)).body;
    expect(trail.filter(({ kind }) => kind === 'check again')).toHaveLength(1);
  }
}, 180_000);

test('a server killed in the middle of a return-all and of an export: no map is half returned, and the same again does the rest', async () => {
  const maren = await Person.signedIn('maren', stack.url);
  const { publicationId } = await maren.teacherTask();
  const pile = async () => (await maren.get<Pile>(`publications/${publicationId}/pile`)).body.entries;
  for (const { submission, state } of await pile()) {
    if (state !== 'handed in' || !submission) continue;
    const { body } = await maren.get<SubmissionDetail>(`submissions/${submission.id}`);
    const judge = (kind: string, subject: string, value: number) =>
      maren.call('PUT', `submissions/${submission.id}/judgements`, { kind, subject, value, reason: 'Looked at.' });
    for (const { id } of body.assignment.criteria as { id: string }[]) await judge('criterion', id, 1);
    for (const { id, status, points } of body.report.results as { id: string; status: string; points: number }[])
      if (status === 'judge') await judge('result', id, points);
  }
  const wait = (await pile()).filter(({ state }) => state === 'being marked').length;
  expect(wait).toBeGreaterThanOrEqual(9);
  const { id: made } = (await maren.post<ExportState>(`publications/${publicationId}/exports`, { as: 'zip' })).body;
  const back = maren.post(`publications/${publicationId}/return-complete`, { letter: 'Dear {name}' }).catch(() => null);
  await until('the first return', async () => (await pile()).some(({ state }) => state === 'returned' || wait === 0));
  await stack.killServer();
  await back;
  await stack.startServer();
  // What was being written out is gone with the server, and is said to be.
  expect((await maren.get(`exports/${made}`)).status).toBe(404);
  const consistent = async () => {
    for (const { state, submission } of await pile()) {
      if (!submission) continue;
      const { body } = await maren.get<SubmissionDetail>(`submissions/${submission.id}`);
      const trail = (await maren.get<MarkChangeRow[]>(`submissions/${submission.id}/trail`)).body;
      const isBack = state === 'returned';
      expect([body.returnedAt !== null, trail.at(-1)?.kind === 'return']).toEqual([isBack, isBack]);
    }
  };
  await consistent();
  const { body } = await maren.post<ReturnedMaps>(`publications/${publicationId}/return-complete`, {
    letter: 'Dear {name}',
  });
  expect(body.left).toBe(0);
  expect((await pile()).filter(({ state }) => state === 'being marked')).toEqual([]);
  await consistent();
}, 180_000);
