import { emptyMap, writeMap } from '@ichnograph/core';
import type { AssignmentDetail, AssignmentRow, SubmissionDetail } from '@ichnograph/contract';
import type * as Y from 'yjs';
import { Person } from './setup/client.js';
import { drawn } from './setup/works.js';

const nested = (levels: number): unknown => JSON.parse('{"a":'.repeat(levels) + '1' + '}'.repeat(levels));
const NO_SUCH_IDS = ['nöor', '%F0%9F%8C%89', 'x'.repeat(300), "'; DROP TABLE work;--", '%00', '../accounts', ' '];

let maren: Person;
let file: Record<string, unknown>;
beforeAll(async () => {
  maren = await Person.signedIn('maren');
  const rows = (await maren.get<AssignmentRow[]>('assignments')).body;
  const row = rows.find(({ title }) => title === 'How bridges carry loads');
  file = (await maren.get<AssignmentDetail>(`assignments/${row!.id}`)).body.file;
});
const bringIn = (more: object) => maren.post('assignments', { file: { ...file, ...more } });

test.each(NO_SUCH_IDS)('%j is no id, on any route', async (id) => {
  const halina = await Person.signedIn('halina');
  const at = encodeURIComponent(decodeURIComponent(id));
  for (const path of [
    'works/ID',
    'submissions/ID',
    'submissions/ID/comments',
    'assignments/ID',
    'publications/ID/pile',
  ])
    expect([path, (await maren.get(path.replace('ID', at))).status]).toEqual([path, 404]);
  expect((await halina.get(`classes/${at}/people`)).status).toBe(404);
  expect((await halina.call('DELETE', `classes/${at}/people/${at}`)).status).toBe(404);
  expect((await maren.call('PATCH', `comments/${at}`, { text: 'x' })).status).toBe(404);
});

test('an id in capitals or with a blank behind it is another id', async () => {
  const { work, client } = await drawn('Fennel');
  for (const id of [work.id.toUpperCase(), `${work.id}%20`, `${work.id}%0A`])
    expect((await maren.get(`works/${id}`)).status).toBe(404);
  client.close();
});

test('a body nested without end is refused on every route, one nested deep in a file with its place', async () => {
  for (const path of ['sign-in', 'assignments', 'classes', 'password', 'no-such-route']) {
    const { status, problem } = await maren.call('POST', path, '{"a":'.repeat(3000) + '1' + '}'.repeat(3000));
    expect([400, 404]).toContain(status);
    expect(problem.detail).toMatch(/^\p{Lu}.*\.$/u);
  }
  for (const levels of [19, 25, 31, 36]) {
    const { status, problem } = await bringIn({ ours: nested(levels) });
    expect([levels, status]).toEqual([levels, levels < 20 ? 201 : 422]);
    if (status === 422) expect(problem.problems![0]!.reason).toContain('nested more than 20 levels deep');
  }
});

test.each<[string, object]>([
  ['title', { title: 'Half \ud800' }],
  ['brief', { brief: '\udfff' }],
  ['a topic of the starter', { starter: writeMap({ ...emptyMap(), title: '\ud800' }) }],
])('half a character in %s of an assignment is refused with its place', async (_, more) => {
  const { status, problem } = await bringIn(more);
  expect(status).toBe(422);
  expect(problem.problems![0]!.reason).toBe('holds half a character');
});

test('a file’s field called __proto__ sets nothing', async () => {
  const text = JSON.stringify({ file }).replace('{"file":{', '{"file":{"__proto__":{"looks":"fixed"},');
  const { body } = await maren.call<AssignmentDetail>('POST', 'assignments', text);
  const { body: read } = await maren.get<AssignmentDetail>(`assignments/${body.id}`);
  expect(read.file.looks).toBe(file.looks);
  expect(Object.hasOwn(read.file, '__proto__')).toBe(false);
});

test('a live map with values that no map may hold can be handed in, and they are left out', async () => {
  const { client, handIn } = await drawn('Gale');
  const [first] = client.live.snapshot.topics;
  client.doc.transact(() => {
    const topic = client.doc.getMap<Y.Map<unknown>>('topics').get(first!.id)!;
    topic.set('__proto__', { shape: 'heart', fill: 'url(#x)' });
    topic.set('weblinks', [JSON.parse('{"url":"https://a.example","__proto__":{"title":"x"}}')]);
    topic.set('shape', 'heart');
    topic.set('width', -4);
    topic.set('fill', 'url(#x)');
    topic.set('text', 'Half \ud800');
  });
  const count = client.live.made;
  client.live.apply([{ do: 'entitle', fields: { title: 'Deep' } }]);
  const { status, body } = await handIn({ count: count + 1 });
  expect(status).toBe(201);
  const topic = (body as SubmissionDetail & { map: { topics: Record<string, unknown>[] } }).map.topics[0]!;
  expect(topic.text).toBe('Half \ufffd');
  for (const gone of ['shape', '__proto__']) expect(Object.hasOwn(topic, gone)).toBe(false);
  expect(body.leftOut).toBeGreaterThan(2);
  client.close();
});

test('what only one of several at once can have, the others are told', async () => {
  const halina = await Person.signedIn('halina');
  const person = {
    role: 'student',
    givenName: 'Ode',
    familyName: 'Five',
    name: 'ode-five',
    password: 'a long first one',
  };
  const accounts = await Promise.all(Array.from({ length: 5 }, () => halina.post<{ id: string }>('accounts', person)));
  expect(accounts.map(({ status }) => status).sort()).toEqual([201, 409, 409, 409, 409]);
  const accountId = accounts.find(({ status }) => status === 201)!.body.id;
  const { body: room } = await halina.post<{ id: string }>('classes', { name: 'Five at once' });
  const enrolments = await Promise.all(
    Array.from({ length: 5 }, () => halina.post(`classes/${room.id}/people`, { accountId, part: 'student' })),
  );
  expect(enrolments.map(({ status }) => status).sort()).toEqual([204, 409, 409, 409, 409]);
  const people = (await halina.get<{ id: string; name: string }[]>('accounts')).body;
  await halina.post(`classes/${room.id}/people`, {
    accountId: people.find(({ name }) => name === 'maren')!.id,
    part: 'teacher',
  });
  const { body: made } = await maren.post<AssignmentDetail>('assignments', { file: writeAssignmentAgain() });
  const publications = await Promise.all(
    Array.from({ length: 4 }, () => maren.post(`assignments/${made.id}/publications`, { classId: room.id })),
  );
  expect(publications.map(({ status }) => status).sort()).toEqual([201, 409, 409, 409]);
});

const writeAssignmentAgain = (): Record<string, unknown> => ({ ...file, title: 'Five at once' });

test('no answer of the API is kept by a browser, refusals no more than others', async () => {
  const answers = [
    await maren.get('welcome'),
    await maren.call('POST', 'sign-in', '{"name":'),
    await maren.post('sign-in', { name: 'a', password: 'x'.repeat(1_100_000) }),
    await maren.call('POST', 'sign-out', {}, { origin: 'http://elsewhere.example' }),
    await maren.get('accounts'),
    await maren.get('no-such-thing'),
  ];
  expect(answers.map(({ status }) => status)).toEqual([200, 400, 413, 403, 403, 404]);
  for (const { headers } of answers) expect(headers.get('cache-control')).toBe('no-store');
});
