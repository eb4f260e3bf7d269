import { isDeepStrictEqual } from 'node:util';
import { addTopic, removeMarks } from '@ichnograph/core';
import type { Legend, Outcome } from '@ichnograph/core';
import { LIVE_CLOSED } from '@ichnograph/contract';
import type { Me, Welcome } from '@ichnograph/contract';
import WebSocket from 'ws';
import { OWN_PASSWORD, Person, until } from './setup/client.js';
import type { LiveClient } from './setup/client.js';

const legend: Legend = { topicKinds: [], linkKinds: [] };
const changesOf = (outcome: Outcome) => {
  if (!outcome.ok) throw new Error(outcome.code);
  return outcome.changes;
};
let ids = 0;
const add = ({ live }: LiveClient, text: string, by = 'somebody else'): string => {
  live.apply(
    changesOf(
      addTopic(
        live.snapshot,
        { text, kind: null, at: { x: 0, y: 900 } },
        { newId: () => `test-${process.pid}-${++ids}`, by },
        legend,
      ),
    ),
  );
  return live.snapshot.topics.at(-1)!.id;
};
const open: LiveClient[] = [];
const connect = async (person: Person, workId: string): Promise<LiveClient> => {
  const client = person.live(workId);
  open.push(client);
  await client.opened();
  return client;
};
afterEach(() => {
  for (const client of open.splice(0)) client.close();
});

const meOf = async (person: Person): Promise<Me> => (await person.get<Welcome>('welcome')).body.me!;

test('begins with the starter: new ids, each remembering its origin', async () => {
  const person = await Person.signedIn('bastian');
  const [first, second] = [await person.work(), await person.work()];
  expect(second.id).toBe(first.id);
  const { live } = await connect(person, first.id);
  expect(live.snapshot.topics).toHaveLength(12);
  expect(live.snapshot.topics.map(({ origin }) => origin)).toContain('bridge');
  expect(live.snapshot.topics.map(({ id }) => id)).not.toContain('bridge');
});

test('says stored for every change, deletions included, and what it said is in the database', async () => {
  const person = await Person.signedIn('chidi');
  const { id } = await person.work();
  const client = await connect(person, id);
  const topic = add(client, 'Span');
  await client.saved();
  client.live.apply(changesOf(removeMarks(client.live.snapshot, [topic])));
  await client.saved();
  client.live.undo();
  await client.saved();
  client.close();
  const again = await connect(person, id);
  expect(again.live.snapshot.topics.map(({ text }) => text)).toContain('Span');
  await until('word of what is stored from before', () => again.stored[client.client] === client.live.made);
});

test('stamps authors from the connection, whatever the client says, and lets nobody change them', async () => {
  const person = await Person.signedIn('dalia');
  const me = await meOf(person);
  const { id } = await person.work();
  const client = await connect(person, id);
  const topic = add(client, 'Forged', 'the head teacher');
  const byOf = (): unknown => client.live.snapshot.topics.find((one) => one.id === topic)?.by;
  await until('the server’s stamp', () => byOf() === me.id);
  client.live.apply([{ do: 'set', in: 'topics', id: topic, fields: { by: 'the head teacher' } }]);
  expect(byOf()).toBe('the head teacher');
  await until('the stamp to come back', () => byOf() === me.id);
});

test('two people’s changes meet; a classmate is refused, a teacher reads and cannot write', async () => {
  const [emre, freya, maren] = [
    await Person.signedIn('emre'),
    await Person.signedIn('freya'),
    await Person.signedIn('maren'),
  ];
  const { id } = await emre.work();
  const [one, other] = [await connect(emre, id), await connect(emre, id)];
  add(one, 'From the first tab');
  add(other, 'From the second tab');
  // The author’s stamp comes a moment after the topic itself, to each tab in its own time.
  await until('both tabs to agree', () => isDeepStrictEqual(one.live.snapshot, other.live.snapshot));
  expect(one.live.snapshot.topics).toHaveLength(14);

  const stranger = freya.live(id);
  open.push(stranger);
  await until('a refusal', () => stranger.refused);
  expect(stranger.live.snapshot.topics).toEqual([]);

  const teacher = await connect(maren, id);
  expect(teacher.live.snapshot.topics).toHaveLength(14);
  add(teacher, 'By the teacher');
  add(one, 'After that');
  await until('the student’s own change', () => teacher.live.snapshot.topics.some(({ text }) => text === 'After that'));
  await one.saved();
  expect(one.live.snapshot.topics.map(({ text }) => text)).not.toContain('By the teacher');
});

test('needs a session and its own origin at the door', async () => {
  const { url } = new Person();
  const attempt = (headers: Record<string, string>, path = '/api/live'): Promise<number> =>
    new Promise((resolve) => {
      const socket = new WebSocket(`${url.replace('http', 'ws')}${path}`, { headers });
      socket.on('unexpected-response', (_request, response) => resolve(response.statusCode ?? 0));
      socket.on('open', () => {
        socket.close();
        resolve(101);
      });
      socket.on('error', () => undefined);
    });
  const person = await Person.signedIn('goran');
  expect(await attempt({ origin: url })).toBe(401);
  expect(await attempt({ origin: url, cookie: 'ichnograph_session=made-up' })).toBe(401);
  expect(await attempt({ origin: 'http://elsewhere.example', cookie: person.cookie })).toBe(403);
  expect(await attempt({ origin: url, cookie: person.cookie }, '/elsewhere')).toBe(404);
  expect(await attempt({ origin: url, cookie: person.cookie })).toBe(101);
});

test('a socket opened before its session ended opens nothing afterwards, by whatever way the session ended', async () => {
  const opened = async (person: Person): Promise<{ closed: Promise<number> }> => {
    const socket = new WebSocket(`${person.url.replace('http', 'ws')}/api/live`, {
      headers: { cookie: person.cookie, origin: person.url },
    });
    const closed = new Promise<number>((resolve) => socket.once('close', resolve));
    await new Promise((resolve) => socket.once('open', resolve));
    return { closed };
  };
  const leaver = await Person.signedIn('hana');
  const before = await opened(leaver);
  await leaver.post('sign-out');
  expect(await before.closed).toBe(4401);
  const [here, elsewhere] = [await Person.newcomer('Sokol'), new Person()];
  await elsewhere.post('sign-in', { name: 'new-sokol', password: OWN_PASSWORD });
  const other = await opened(elsewhere);
  expect((await here.post('password', { current: OWN_PASSWORD, next: 'a long second one' })).status).toBe(204);
  expect(await other.closed).toBe(4401);
});

test('signing out closes the live connection', async () => {
  const person = await Person.signedIn('hana');
  const client = await connect(person, (await person.work()).id);
  await person.post('sign-out');
  await until('the connection to be closed', () => client.closedWith === 4401);
});

test('junk on the wire ends that connection and nothing else', async () => {
  const person = await Person.signedIn('ilse');
  const { id } = await person.work();
  const client = await connect(person, id);
  const rude = new WebSocket(`${person.url.replace('http', 'ws')}/api/live`, {
    headers: { cookie: person.cookie, origin: person.url },
  });
  await new Promise((resolve) => rude.once('open', resolve));
  const ended = new Promise((resolve) => rude.once('close', resolve));
  rude.send(Buffer.from([1, 2, 3, 250, 251]));
  rude.send('text');
  await ended;
  add(client, 'Still here');
  await client.saved();
  expect(client.live.snapshot.topics.map(({ text }) => text)).toContain('Still here');
});

test('a map as large as it may be takes nothing more, says so, and loses nothing of what was told as stored', async () => {
  const person = await Person.newcomer('Full');
  const { id } = await person.work();
  const client = await connect(person, id);
  const long = 'm'.repeat(390_000);
  const write = (name: string): void =>
    client.live.apply([
      {
        do: 'add',
        to: 'topics',
        item: { id: name, text: name, kind: null, x: 0, y: 0, width: 80, height: 40, source: long },
      },
    ]);
  let told = 0;
  for (let i = 0; i < 100 && client.closedBecause === null; i++) {
    write(`large-${i}`);
    await until('an answer', () => client.closedBecause !== null || (client.stored[client.client] ?? 0) > told);
    if (client.closedBecause === null) told = client.stored[client.client]!;
  }
  expect(client.closedBecause).toBe(LIVE_CLOSED.full.reason);
  expect(told).toBeGreaterThan(50);
  const reader = await connect(await Person.signedIn('maren'), id).catch(() => connect(person, id));
  expect(
    [...reader.doc.getMap('topics').keys()].filter((key) => key.startsWith('large-')).length,
  ).toBeGreaterThanOrEqual(told);
});
