import type { Card, ClassRow, RosterEntry } from '@ichnograph/contract';
import { ACT_HEADER, MOST_AT_ONCE } from '@ichnograph/contract';
import { Person } from './setup/client.js';

/** A class of Tobias's own, made for one test. */
async function ownClass(name: string) {
  const tobias = await Person.signedIn('tobias');
  const { body: room } = await tobias.post<ClassRow>('classes', { name });
  const bringIn = (people: unknown, headers = {}) =>
    tobias.call<Card[]>('POST', `classes/${room.id}/students`, { people }, headers);
  const roster = async () => (await tobias.get<RosterEntry[]>(`classes/${room.id}/people`)).body;
  return { tobias, room, bringIn, roster };
}

async function signIn(name: string, password: string): Promise<Person & { status: number }> {
  const person = new Person();
  const { status } = await person.post('sign-in', { name, password });
  return Object.assign(person, { status });
}

test('a teacher’s names become accounts with cards, whose first password is changed before anything else', async () => {
  const { room, bringIn, roster } = await ownClass('English 7C');
  const { status, body: cards } = await bringIn([
    { givenName: 'Åsa', familyName: 'Öberg' },
    { givenName: 'Åsa', familyName: 'Ng' },
    { givenName: '愛', familyName: '山田' },
  ]);
  expect(status).toBe(201);
  expect(cards.map(({ name }) => name)).toEqual(['asa', 'asa.n', 'ai']);
  expect((await roster()).map(({ name, part }) => [name, part])).toEqual(
    expect.arrayContaining([...cards.map(({ name }) => [name, 'student']), ['tobias', 'teacher']]),
  );
  const [card] = cards;
  const student = await signIn(card!.name, card!.password);
  expect(student.status).toBe(204);
  const { body: welcome } = await student.get<{ me: { mustChangePassword: boolean } }>('welcome');
  expect(welcome.me.mustChangePassword).toBe(true);
  expect((await student.get('today/student')).problem.detail).toBe('Choose a password of your own first.');
  expect((await student.post('password', { current: card!.password, next: 'my very own words' })).status).toBe(204);
  expect((await student.get('today/student')).status).toBe(200);
  expect((await student.get<ClassRow[]>('classes')).body.map(({ id }) => id)).toEqual([room.id]);
});

test('all names or none: too many, too long, none at all', async () => {
  const { bringIn, roster } = await ownClass('Too many');
  const many = Array.from({ length: MOST_AT_ONCE + 1 }, (_, i) => ({ givenName: `G${i}`, familyName: 'F' }));
  const answers = [
    await bringIn(many),
    await bringIn([]),
    await bringIn('Noor'),
    await bringIn([
      { givenName: 'Good', familyName: 'Name' },
      { givenName: 'x'.repeat(61), familyName: 'F' },
    ]),
    await bringIn([{ givenName: 'Good', familyName: 'Name', role: 'administrator' }]),
  ];
  expect(answers.map(({ status }) => status)).toEqual([422, 422, 422, 422, 422]);
  expect(await roster()).toHaveLength(1);
});

test('the same act twice makes the accounts once, and says that their passwords are gone', async () => {
  const { bringIn, roster } = await ownClass('Twice');
  const people = [{ givenName: 'Solo', familyName: 'Once' }];
  const headers = { [ACT_HEADER]: crypto.randomUUID() };
  expect((await bringIn(people, headers)).status).toBe(201);
  const again = await bringIn(people, headers);
  expect([again.status, again.problem.detail]).toEqual([409, expect.stringContaining('made already')]);
  expect(await roster()).toHaveLength(2);
});

test('a reset password ends what was open with the old one', async () => {
  const { tobias, room, bringIn } = await ownClass('Forgotten');
  const [card] = (await bringIn([{ givenName: 'Vera', familyName: 'Geslich' }])).body;
  const student = await signIn(card!.name, card!.password);
  const reset = await tobias.post<Card>(`classes/${room.id}/people/${card!.id}/reset-password`);
  expect((await student.get('classes')).status).toBe(401);
  expect((await signIn(card!.name, card!.password)).status).toBe(401);
  expect((await signIn(card!.name, reset.body.password)).status).toBe(204);
  // Of somebody who is no student of theirs a teacher resets nothing.
  const { body: me } = await tobias.get<{ me: { id: string } }>('welcome');
  expect((await tobias.post(`classes/${room.id}/people/${me.me.id}/reset-password`)).status).toBe(404);
});

test('a join code lets a student in while it is open; a student is moved and taken out', async () => {
  const { tobias, room, roster } = await ownClass('By code');
  const other = await ownClass('The other one');
  const { body } = await tobias.post<{ joinCode: string }>(`classes/${room.id}/join-code`, { open: true });
  const student = await Person.newcomer('Joyce');
  expect((await student.post('classes/join', { code: 'NOSUCHCO' })).status).toBe(422);
  const typed = ` ${body.joinCode.slice(0, 4).toLowerCase()}-${body.joinCode.slice(4)} `;
  expect((await student.post<{ name: string }>('classes/join', { code: typed })).body).toEqual({ name: 'By code' });
  expect((await student.post('classes/join', { code: body.joinCode })).status).toBe(409);
  const { id } = (await roster()).find(({ givenName }) => givenName === 'Joyce')!;
  expect((await tobias.post(`classes/${room.id}/people/${id}/move`, { to: other.room.id })).status).toBe(204);
  expect((await roster()).map(({ givenName }) => givenName)).toEqual(['Tobias']);
  expect((await tobias.call('DELETE', `classes/${other.room.id}/people/${id}`)).status).toBe(204);
  await tobias.post(`classes/${room.id}/join-code`, { open: false });
  expect((await student.post('classes/join', { code: body.joinCode })).status).toBe(422);
});

test('a class put away while a student works: the map is read, nothing is handed in, nothing is lost', async () => {
  const { tobias, room, bringIn } = await ownClass('Put away');
  const [card] = (await bringIn([{ givenName: 'Archie', familyName: 'Vall' }])).body;
  const student = await signIn(card!.name, card!.password);
  await student.post('password', { current: card!.password, next: 'my very own words' });
  const { body: sheet } = await tobias.post<{ id: string; parts: { task: { body: object } } }>('assignments/sheets');
  await tobias.call('PUT', `assignments/${sheet.id}/sheet/task`, {
    version: 1,
    body: { ...sheet.parts.task.body, title: 'Put away' },
  });
  await tobias.post(`assignments/${sheet.id}/publications`, { classId: room.id });
  const [task] = (await student.get<{ publicationId: string }[]>('today/student')).body;
  const { body: work } = await student.post<{ id: string }>(`publications/${task!.publicationId}/work`);
  const client = student.live(work.id);
  await client.opened();
  expect((await tobias.post(`classes/${room.id}/archive`, { archived: true })).status).toBe(204);
  expect((await student.get('today/student')).body).toEqual([]);
  expect((await student.get<{ mayEdit: boolean }>(`works/${work.id}`)).body.mayEdit).toBe(false);
  const handIn = await student.post(`works/${work.id}/hand-in`, { client: client.client, count: 0 });
  expect(handIn.status).toBe(409);
  client.close();
  await tobias.post(`classes/${room.id}/archive`, { archived: false });
  expect((await student.get<{ mayEdit: boolean }>(`works/${work.id}`)).body.mayEdit).toBe(true);
});

test('two lists that come at once get names of their own, each whole, and names in any script are plain letters', async () => {
  const tobias = await Person.signedIn('tobias');
  const { body: room } = await tobias.post<ClassRow>('classes', { name: 'Two lists' });
  const list = (family: string) => ({
    people: ['Quirin', 'Quirin', 'Ярослав', 'Δάφνη', '愛'].map((givenName) => ({ givenName, familyName: family })),
  });
  const both = await Promise.all(
    ['Adler', 'Bauer'].map((family) => tobias.post<Card[]>(`classes/${room.id}/students`, list(family))),
  );
  expect(both.map(({ status }) => status)).toEqual([201, 201]);
  const names = both.flatMap(({ body }) => body.map(({ name }) => name));
  expect(new Set(names).size).toBe(10);
  for (const name of names) expect(name).toMatch(/^[a-z][a-z0-9.]+$/);
  expect(names.filter((name) => name.startsWith('yaroslav'))).toHaveLength(2);
});
