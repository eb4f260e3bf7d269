import { HERE_LIMITS, LIVE_CLOSED, workDocument } from '@ichnograph/contract';
import type { StudentTask, WorkDetail } from '@ichnograph/contract';
import { Person, until } from './setup/client.js';
import type { LiveClient } from './setup/client.js';

const GROUP = ['dmitri', 'esther', 'fabio'];

const open: LiveClient[] = [];
afterEach(() => {
  for (const client of open.splice(0)) client.close();
});

/** The demo's group at work, each at a page of their own. */
async function group(): Promise<{ work: WorkDetail; clients: [LiveClient, LiveClient, LiveClient] }> {
  const people = await Promise.all(GROUP.map((name) => Person.signedIn(name)));
  const tasks = (await people[0]!.get<StudentTask[]>('today/student')).body;
  const { publicationId } = tasks.find(({ title }) => title === 'A crossing for Mill Lane')!;
  const { body: work } = await people[0]!.post<WorkDetail>(`publications/${publicationId}/work`);
  const clients = people.map((person) => person.live(work.id));
  open.push(...clients);
  for (const client of clients) await client.opened();
  return { work, clients: clients as never };
}
const seenBy = (client: LiveClient, givenName: string) =>
  [...client.others.values()].find(({ person }) => person.givenName === givenName);

test('each sees who else is here, where they point and what they hold, stamped by the server; who leaves is gone', async () => {
  const { work, clients } = await group();
  const [first, second, third] = clients;
  await until('all to see the two others', () => clients.every(({ others }) => others.size === 2));
  const [me] = work.members.filter(({ id }) => ![...first.others.values()].some(({ person }) => person.id === id));
  first.say({ at: { x: 12.5, y: -40 }, holds: ['a', 'b'], types: 'a', view: { x: 0, y: 0, width: 900, height: 500 } });
  const seen = await until('the second to see it', () => {
    const one = seenBy(second, me!.givenName);
    return one?.at && one;
  });
  expect(seen).toEqual({
    key: seen.key,
    person: { id: me!.id, givenName: me!.givenName, familyName: me!.familyName },
    reads: false,
    at: { x: 12.5, y: -40 },
    holds: ['a', 'b'],
    types: 'a',
    view: { x: 0, y: 0, width: 900, height: 500 },
  });
  first.say({});
  await until('the hand to be off the map', () => seenBy(second, me!.givenName)?.at === undefined);
  // Nothing of it is in the document, nor in what is stored of it.
  expect(JSON.stringify(second.doc.toJSON())).not.toContain('12.5');
  first.close();
  await until('the first to be gone', () => !seenBy(third, me!.givenName), 5000);
  expect(third.others.size).toBe(1);
  // A connection that says nothing any more, without a good-bye.
  const left = clients[1];
  left.freeze();
  await until('who fell silent to be gone', () => third.others.size === 0, 5000);
});

test('who reads is seen only where they choose to be, and what becomes of that choice is seen too', async () => {
  const { work, clients } = await group();
  const [student] = clients;
  const reader = (await Person.signedIn('maren')).live(work.id);
  open.push(reader);
  await reader.opened();
  await until('the reader to see the three', () => reader.others.size === 3 && student.others.size === 2);
  reader.say({ at: { x: 1, y: 2 } });
  // What comes after it has passed the same way.
  clients[1].say({ holds: ['later'] });
  await until('what came after', () => [...student.others.values()].some(({ holds }) => holds[0] === 'later'));
  expect(seenBy(student, 'Maren')).toBeUndefined();
  reader.say({ at: { x: 1, y: 2 }, shown: true });
  const seen = await until('the reader to be seen', () => seenBy(student, 'Maren'));
  expect(seen).toMatchObject({ reads: true, at: { x: 1, y: 2 } });
  reader.say({ shown: false });
  await until('the reader to be seen no more', () => !seenBy(student, 'Maren'));
});

test('a classmate of another group hears nothing of it', async () => {
  const { work } = await group();
  const stranger = (await Person.signedIn('juno')).live(work.id);
  await until('the refusal', () => stranger.refused);
  expect([stranger.others.size, stranger.messages.length]).toEqual([0, 0]);
});

const good = { type: 'here', holds: [] };
test.each([
  ['no JSON', '{"type":"here"', 'unreadable'],
  ['a list', '[]', 'unreadable'],
  ['another kind of message', JSON.stringify({ ...good, type: 'stored' }), 'not as it should be: type'],
  ['a name of one’s own', JSON.stringify({ ...good, person: { givenName: 'Nobody' } }), 'not as it should be: person'],
  ['a key of one’s own', JSON.stringify({ ...good, key: 'x' }), 'not as it should be: key'],
  ['a place that is none', JSON.stringify({ ...good, at: { x: 'left', y: 0 } }), 'not as it should be: at'],
  ['a place beyond all maps', JSON.stringify({ ...good, at: { x: 1e300, y: 0 } }), 'not as it should be: at'],
  ['more in a place', JSON.stringify({ ...good, at: { x: 1, y: 0, z: 3 } }), 'not as it should be: at'],
  ['too many things held', JSON.stringify({ ...good, holds: Array(41).fill('x') }), 'not as it should be: holds'],
  ['things that are no ids', JSON.stringify({ ...good, holds: [{}] }), 'not as it should be: holds'],
  ['a view without a size', JSON.stringify({ ...good, view: { x: 0, y: 0 } }), 'not as it should be: view'],
])('%s ends that connection alone, with a reason', async (_what, payload, reason) => {
  const { clients } = await group();
  const [first, second, third] = clients;
  first.say(good as never);
  first.say(payload);
  await until('the connection to end', () => first.closedWith !== null);
  expect([first.closedWith, first.closedBecause]).toEqual([LIVE_CLOSED.notHere.code, `who is here: ${reason}`]);
  second.say({ holds: ['still here'] });
  await until('the others to go on', () => [...third.others.values()].some(({ holds }) => holds[0] === 'still here'));
});

test('what is too large or too often ends that connection alone; as often as a hand moves does not', async () => {
  const { work, clients } = await group();
  const [first, second, third] = clients;
  for (let i = 0; i < HERE_LIMITS.atOnce - 5; i++) second.say({ at: { x: i, y: 0 } });
  await until('the last of them', () => [...third.others.values()].some(({ at }) => at?.x === HERE_LIMITS.atOnce - 6));
  expect(second.closedWith).toBeNull();
  for (let i = 0; i < HERE_LIMITS.atOnce * 3; i++) first.say({ at: { x: i, y: 0 } });
  await until('too many to end it', () => first.closedWith !== null);
  expect([first.closedWith, first.closedBecause]).toEqual([LIVE_CLOSED.notHere.code, 'who is here: too often']);
  third.say('x'.repeat(HERE_LIMITS.characters + 1));
  await until('too large to end it', () => third.closedWith !== null);
  expect(second.closedWith).toBeNull();
  expect(workDocument(work.id)).toContain(work.id);
});
