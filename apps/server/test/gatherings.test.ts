import { gatheringRoom, ownMapDocument } from '@ichnograph/contract';
import type {
  AssignmentRow,
  GatheringDetail,
  GatheringNews,
  GatheringRow,
  Idea,
  KeptOfPerson,
  MadeRow,
  OwnMapDetail,
  SharedWithMe,
  SheetDetail,
} from '@ichnograph/contract';
import { randomUUID } from 'node:crypto';
import { classAtWork } from './setup/class-at-work.js';
import type { LiveClient } from './setup/client.js';
import { Person, until } from './setup/client.js';

const QUESTION = 'What do you know about bridges already?';

/** A question to a class of Tobias's, in which newcomers sit. */
async function asked(title: string, anonymous: boolean, ...names: string[]) {
  const { tobias, room, id: sheet } = await classAtWork(title);
  const { joinCode } = (await tobias.post<{ joinCode: string }>(`classes/${room.id}/join-code`, { open: true })).body;
  const people: Person[] = [];
  for (const name of names) {
    const person = await Person.newcomer(name);
    await person.post('classes/join', { code: joinCode });
    people.push(person);
  }
  const wanted = { classId: room.id, question: QUESTION, anonymous };
  const { id } = (await tobias.post<{ id: string }>('gatherings', wanted)).body;
  const send = (who: Person, text: string) => who.post<{ id: string }>(`gatherings/${id}/ideas`, { text });
  const seen = async (who: Person = tobias) => (await who.get<GatheringDetail>(`gatherings/${id}`)).body;
  const idea = async (text: string): Promise<Idea> => (await seen()).ideas.find((one) => one.text === text)!;
  const arrange = async (as: string, texts: string[], more: object = {}) => {
    const ids = await Promise.all(texts.map(async (text) => (await idea(text)).id));
    return tobias.call('PUT', `gatherings/${id}/ideas`, { as, ids, ...more });
  };
  return { tobias, room, sheet, people, id, send, seen, idea, arrange };
}
const said = ({ ideas }: GatheringDetail) => ideas.map(({ text, persons }) => `${text} ${persons.join('+')}`);
const news = ({ messages }: LiveClient): GatheringNews[] =>
  messages.filter((one): one is GatheringNews => one.type === 'gathering');

test('alike ideas fall together and count persons; what students see bears names only where they are shown', async () => {
  const { people, id, send, seen, tobias } = await asked('Ideas', true, 'Ilka', 'Ivo', 'Iris');
  const [ilka, ivo, iris] = people as [Person, Person, Person];
  expect((await send(ilka, 'Suspension bridges')).status).toBe(201);
  await send(ivo, '  a   cable ');
  await send(ivo, 'suspension bridge!');
  await send(ivo, 'Suspenson bridge');
  await send(iris, 'Rust');
  expect((await send(iris, '   ')).status).toBe(422);
  expect((await send(iris, 'x'.repeat(121))).status).toBe(422);
  const teacher = await seen();
  expect(said(teacher)).toEqual(['Suspension bridges 2+0', 'a cable 1+0', 'Rust 1+0']);
  expect(teacher).toMatchObject({ senders: 3, students: 3, leads: true, code: expect.stringMatching(/^[A-Z0-9]{5}$/) });
  expect(teacher.ideas[0]!.words).toEqual(['Suspension bridges', 'suspension bridge!', 'Suspenson bridge']);
  expect(teacher.ideas[0]!.by.map(({ givenName }) => givenName)).toEqual(['Ilka', 'Ivo']);
  const student = await seen(iris);
  expect([said(student), student.mine.map(({ text }) => text)]).toEqual([said(teacher), ['Rust']]);
  expect(JSON.stringify(student)).not.toMatch(/Ilka|Ivo/);
  await tobias.call('PATCH', `gatherings/${id}`, { anonymous: false });
  expect((await seen(iris)).ideas[0]!.by.map(({ givenName }) => givenName)).toEqual(['Ilka', 'Ivo']);

  // The code is for the class alone; what is open stands on Today.
  const { code } = teacher;
  expect(
    (await iris.post('gatherings/find', { code: `${code.slice(0, 2)} ${code.slice(2).toLowerCase()}` })).body,
  ).toEqual({ id });
  expect((await (await Person.signedIn('juno')).post('gatherings/find', { code })).status).toBe(422);
  const open = async (who: Person) => (await who.get<GatheringRow[]>('gatherings')).body.find((one) => one.id === id);
  expect(await open(iris)).toMatchObject({ question: QUESTION, ideas: 3, leads: false });

  // One's own is taken back while the question is open; what is closed takes nothing more.
  const mine = (await seen(ivo)).mine.find(({ text }) => text === 'a cable')!;
  expect((await iris.call('DELETE', `gatherings/${id}/ideas/${mine.id}`)).status).toBe(404);
  expect((await ivo.call('DELETE', `gatherings/${id}/ideas/${mine.id}`)).status).toBe(204);
  const first = (await seen(ilka)).mine[0]!;
  expect((await ilka.call('DELETE', `gatherings/${id}/ideas/${first.id}`)).status).toBe(204);
  // Called by words that somebody else sent.
  expect(said(await seen())).toEqual(['suspension bridge! 1+0', 'Rust 1+0']);
  await tobias.call('PATCH', `gatherings/${id}`, { open: false });
  expect([(await send(iris, 'Too late')).status, await open(iris)]).toEqual([409, undefined]);
  expect(await open(tobias)).toMatchObject({ open: false });
});

test('an idea whose answer was lost is sent once, and sixty at once are counted each', async () => {
  const { people, id, seen } = await asked('Ideas at once', true, 'Oda', 'Olin', 'Orla');
  const name = { 'idempotency-key': randomUUID() };
  const again = () => people[0]!.call<{ id: string }>('POST', `gatherings/${id}/ideas`, { text: 'Once' }, name);
  const answers = await Promise.all([again(), again(), again()]);
  expect(new Set(answers.map(({ body }) => body.id)).size).toBe(1);
  const words = Array.from({ length: 60 }, (_, i) => ['Arch', 'arches', 'Beam', 'beam!', 'Cable', 'CABLES'][i % 6]!);
  const all = await Promise.all(words.map((text, i) => people[i % 3]!.post(`gatherings/${id}/ideas`, { text })));
  expect(all.map(({ status }) => status)).toEqual(all.map(() => 201));
  const { ideas } = await seen();
  expect(ideas).toHaveLength(4);
  expect(ideas.map(({ persons: [then] }) => then).toSorted()).toEqual([1, 2, 2, 2]);
  const sent = (await Promise.all(people.map((one) => seen(one)))).flatMap(({ mine }) => mine);
  expect(sent).toHaveLength(61);
});

test('those who have it open hear what is new, each what they may see; who leaves the class is shown out', async () => {
  const { tobias, room, people, id, send, arrange, seen, idea } = await asked('Ideas live', true, 'Lale', 'Lev');
  const [lale, lev] = people as [Person, Person];
  const [board, device] = [tobias.document(gatheringRoom(id)), lev.document(gatheringRoom(id))];
  const seated = ({ messages }: LiveClient) => messages.some(({ type }) => type === 'work changed');
  await until('both to be let in', () => seated(board) && seated(device));
  const stranger = (await Person.signedIn('juno')).document(gatheringRoom(id));
  await until('a stranger to be refused', () => stranger.refused);

  await send(lale, 'Keystone');
  await until('both to hear of it', () => news(board).length > 0 && news(device).length > 0);
  expect([news(board)[0]!.told, news(board)[0]!.senders]).toEqual([1, 1]);
  expect(news(board)[0]!.ideas[0]).toMatchObject({ text: 'Keystone', by: [{ givenName: 'Lale' }] });
  expect(JSON.stringify(news(device))).not.toContain('Lale');
  const heap = (await idea('Keystone')).id;
  expect((await arrange('hide', ['Keystone'])).status).toBe(204);
  await until('it to leave the device', () => news(device).some(({ gone }) => gone.includes(heap)));
  expect(news(board).at(-1)!.ideas[0]).toMatchObject({ id: heap, hidden: true });
  expect([(await seen(lev)).ideas, (await seen()).ideas.length]).toEqual([[], 1]);
  // Nothing is drawn there, by nobody, and nothing is said to it.
  board.live.apply([{ do: 'entitle', fields: { title: 'Mine' } }]);
  board.say({ at: { x: 1, y: 1 } });
  await until('who says something there to be shown out', () => board.closedWith !== null);
  expect([board.closedWith, (await seen()).question]).toEqual([4429, QUESTION]);

  const { id: levId } = (await lev.get<{ me: { id: string } }>('welcome')).body.me;
  await tobias.call('DELETE', `classes/${room.id}/people/${levId}`);
  await until('who left to be shown out', () => device.closedWith !== null);
  expect((await lev.get(`gatherings/${id}`)).status).toBe(404);
});

test('whoever leads takes, hides, names, merges, parts and sorts ideas, all of them or none', async () => {
  const { tobias, people, id, send, seen, arrange, idea } = await asked('Ideas arranged', true, 'Mio', 'Mara');
  const [mio, mara] = people as [Person, Person];
  for (const text of ['Arch', 'Bow bridge', 'Rust', 'It is Mio']) await send(mio, text);
  await send(mara, 'arches');
  await send(mara, 'Rust');
  const into = (await idea('Arch')).id;
  expect((await arrange('merge', ['Bow bridge', 'Arch'], { into })).status).toBe(204);
  expect(said(await seen())).toEqual(['Arch 2+0', 'Rust 2+0', 'It is Mio 1+0']);
  expect((await arrange('merge', ['Arch'], { into })).status).toBe(422);
  expect((await arrange('part', ['Arch'])).status).toBe(204);
  expect(said(await seen()).toSorted()).toEqual(['Arch 2+0', 'Bow bridge 1+0', 'It is Mio 1+0', 'Rust 2+0']);
  const groups = [
    { id: randomUUID(), name: 'Kinds' },
    { id: randomUUID(), name: 'Dangers' },
  ];
  expect((await tobias.call('PATCH', `gatherings/${id}`, { groups })).status).toBe(204);
  expect((await arrange('sort', ['Arch', 'Bow bridge'], { group: groups[0]!.id })).status).toBe(204);
  expect((await arrange('sort', ['Rust'], { group: randomUUID() })).status).toBe(404);
  expect((await arrange('take', ['Arch', 'Rust', 'It is Mio'])).status).toBe(204);
  expect((await arrange('hide', ['It is Mio'])).status).toBe(204);
  expect((await arrange('name', ['Bow bridge'], { text: ' Bowstring   bridge ' })).status).toBe(204);
  const gone = await tobias.call('PUT', `gatherings/${id}/ideas`, { as: 'hide', ids: [into, randomUUID()] });
  expect(gone.status).toBe(409);
  const { ideas } = await seen();
  const of = (text: string) => ideas.find((one) => one.text === text)!;
  expect([of('Arch').taken, of('Arch').hidden, of('It is Mio').taken, of('It is Mio').hidden]).toEqual([
    true,
    false,
    false,
    true,
  ]);
  expect(of('Bowstring bridge').group).toBe(groups[0]!.id);
  // What is sorted, taken and hidden is the teacher's business until something is made of it.
  const student = await seen(mio);
  expect([student.ideas.some(({ text }) => text === 'It is Mio'), student.ideas.some(({ taken }) => taken)]).toEqual([
    false,
    false,
  ]);
  await tobias.call('PATCH', `gatherings/${id}`, { groups: groups.slice(1) });
  expect((await idea('Arch')).group).toBeNull();
  // Then and now.
  await tobias.call('PATCH', `gatherings/${id}`, { round: 2 });
  await send(mara, 'arch');
  await send(mara, 'Tension');
  expect(said(await seen())).toEqual(expect.arrayContaining(['Arch 2+1', 'Tension 0+1']));
  expect((await seen()).senders).toBe(1);
});

test('of what was taken one act makes a word bank, terms of an assignment, a starter, or a map for the class', async () => {
  const { tobias, sheet, people, id, send, arrange } = await asked('Ideas made', true, 'Nika', 'Nilo');
  const [nika, nilo] = people as [Person, Person];
  const make = (as: string, more: object = {}, headers: Record<string, string> = {}) =>
    tobias.call<MadeRow>('POST', `gatherings/${id}/made`, { as, ...more }, headers);
  expect((await make('bank')).status).toBe(409);
  for (const text of ['Arch', 'Rust', 'Lunch']) await send(nika, text);
  await send(nilo, 'arches');
  const groups = [{ id: randomUUID(), name: 'Kinds' }];
  await tobias.call('PATCH', `gatherings/${id}`, { groups });
  await arrange('sort', ['Arch'], { group: groups[0]!.id });
  await arrange('take', ['Arch', 'Rust']);
  const partOf = async (assignment: string, part: string) =>
    (await tobias.get<SheetDetail>(`assignments/${assignment}/sheet`)).body.parts[part]!.body as {
      terms: { text: string; accept?: string[]; place?: string }[];
    };
  const bank = (await make('bank')).body;
  expect(bank).toMatchObject({ as: 'bank', ideas: 2 });
  expect((await partOf(bank.id, 'terms')).terms).toMatchObject([
    { text: 'Arch', accept: ['arches'] },
    { text: 'Rust' },
  ]);

  // Sent again after a lost answer it is made once.
  const name = { 'idempotency-key': randomUUID() };
  const [one, two] = await Promise.all([make('starter', {}, name), make('starter', {}, name)]);
  expect(two.body.id).toBe(one.body.id);
  const rows = (await tobias.get<AssignmentRow[]>('assignments')).body;
  expect(rows.filter(({ title }) => title === QUESTION)).toHaveLength(2);
  const starter = tobias.document(`starter:${one.body.id}`);
  await starter.opened();
  const texts = starter.live.snapshot.topics.map(({ text }) => text).toSorted();
  expect(texts).toEqual(['Arch', 'Kinds', 'Rust', QUESTION].toSorted());
  starter.close();

  expect((await make('terms')).status).toBe(422);
  expect((await make('terms', { assignmentId: randomUUID() })).status).toBe(404);
  expect((await make('terms', { assignmentId: sheet })).status).toBe(201);
  expect((await partOf(sheet, 'terms')).terms.map(({ text }) => text)).toEqual(['Arch', 'Rust']);
  expect((await make('terms', { assignmentId: sheet })).status).toBe(409);

  const over = await make('map', { mayEdit: true, endsAt: '2001-01-01T00:00:00Z' });
  expect(over.status).toBe(422);
  const endsAt = new Date(Date.now() + 86_400_000).toISOString();
  const map = (await make('map', { mayEdit: true, endsAt })).body;
  const own = (await tobias.get<OwnMapDetail>(`own-maps/${map.id}`)).body;
  expect([own.title, (own.map as { topics: unknown[] }).topics.length]).toEqual([QUESTION, 4]);
  // Nothing was left of the one that could not be shared.
  expect((await tobias.get<OwnMapDetail[]>('own-maps')).body.filter(({ title }) => title === QUESTION)).toHaveLength(1);
  const shared = (await nilo.get<SharedWithMe[]>('shares')).body.find(({ title }) => title === QUESTION)!;
  expect(shared).toMatchObject({ mayEdit: true, document: ownMapDocument(map.id) });
});

test('what somebody sent is written out for them, and goes with them', async () => {
  const { people, send, seen } = await asked('Ideas kept', true, 'Pia', 'Pol');
  const [pia, pol] = people as [Person, Person];
  await send(pia, 'Tension');
  await send(pol, 'tension');
  await send(pia, 'Only Pia');
  const head = await Person.signedIn('halina');
  const { me } = (await pia.get<{ me: { id: string } }>('welcome')).body;
  const kept = (await head.get<KeptOfPerson>(`accounts/${me.id}/kept`)).body;
  expect(JSON.stringify(kept)).toContain('Only Pia');
  expect((await head.post(`accounts/${me.id}/erase`)).status).toBe(204);
  expect(said(await seen(pol))).toEqual(['tension 1+0']);
});
