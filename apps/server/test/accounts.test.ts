import type { Welcome } from '@ichnograph/contract';
import { DEMO_PASSWORD, OWN_PASSWORD, Person } from './setup/client.js';

test('a name and password open a session behind an HttpOnly, SameSite cookie', async () => {
  const person = new Person();
  const { status, headers } = await person.post('sign-in', { name: 'wren', password: DEMO_PASSWORD });
  expect(status).toBe(204);
  const [cookie] = headers.getSetCookie();
  expect(cookie).toMatch(/HttpOnly/i);
  expect(cookie).toMatch(/SameSite=Lax/i);
  expect((await person.get<Welcome>('welcome')).body.me).toMatchObject({ givenName: 'Wren', role: 'student' });
});

test('wrong words open nothing and say the same for a name that nobody has', async () => {
  const person = new Person();
  const known = await person.post('sign-in', { name: 'uma', password: 'not-the-password' });
  const unknown = await person.post('sign-in', { name: 'nobody', password: 'not-the-password' });
  expect(known.status).toBe(401);
  expect(known.problem).toEqual(unknown.problem);
  expect(person.cookie).toBe('');
});

test('guessing is slowed down by address and name, and leaves other names alone', async () => {
  const person = new Person();
  const statuses: number[] = [];
  for (let tries = 0; tries < 12; tries++)
    statuses.push((await person.post('sign-in', { name: 'viggo', password: `guess-${tries}` })).status);
  expect(statuses.at(-1)).toBe(429);
  expect((await person.post('sign-in', { name: 'yusuf', password: DEMO_PASSWORD })).status).toBe(204);
});

test('blanks, capitals and accents around a name are the same name, however often it is tried', async () => {
  const person = new Person();
  const statuses: number[] = [];
  for (const name of [
    'oskar',
    ' oskar',
    'OSKAR',
    'oskar ',
    '\u2002oskar',
    'Oskar',
    'ＯＳＫＡＲ',
    'oskar',
    'oskar',
    'oskar',
    'oskar',
  ])
    statuses.push((await person.post('sign-in', { name, password: 'a guess' })).status);
  expect(statuses.at(-1)).toBe(429);
  expect((await person.post('sign-in', { name: ' Oskar ', password: DEMO_PASSWORD })).status).toBe(429);
  expect((await new Person().post('sign-in', { name: 'öskar', password: DEMO_PASSWORD })).status).toBe(401);
});

test('signing in again ends the session this browser had', async () => {
  const person = await Person.signedIn('rosa');
  const kept = person.cookie;
  expect((await person.post('sign-in', { name: 'rosa', password: DEMO_PASSWORD })).status).toBe(204);
  const old = new Person();
  old.cookie = kept;
  expect((await old.get('today/student')).status).toBe(401);
  expect((await person.get('today/student')).status).toBe(200);
});

test('one person’s mistakes with their password lock nobody else of the room', async () => {
  const [one, other] = [await Person.newcomer('Pavo'), await Person.newcomer('Pilar')];
  const guesses = await Promise.all(
    Array.from({ length: 12 }, () => one.post('password', { current: 'not it', next: 'a new long one' })),
  );
  expect(guesses.map(({ status }) => status)).toContain(429);
  expect((await other.post('password', { current: OWN_PASSWORD, next: 'a new long one' })).status).toBe(204);
});

test('signing out ends the session on the server, not only in the browser', async () => {
  const person = await Person.signedIn('tomke');
  const kept = person.cookie;
  expect((await person.post('sign-out')).status).toBe(204);
  person.cookie = kept;
  expect((await person.get('today/student')).status).toBe(401);
});

test('a changed password signs every other browser out', async () => {
  const [here, elsewhere] = [await Person.signedIn('santeri'), await Person.signedIn('santeri')];
  expect((await here.post('password', { current: 'wrong', next: 'a new long one' })).problem.problems).toEqual([
    { path: '$.current', reason: 'is not right' },
  ]);
  expect((await here.post('password', { current: DEMO_PASSWORD, next: 'short' })).status).toBe(422);
  expect((await here.post('password', { current: DEMO_PASSWORD, next: 'a new long one' })).status).toBe(204);
  expect((await elsewhere.get('today/student')).status).toBe(401);
  expect((await here.get('today/student')).status).toBe(200);
  expect((await here.post('password', { current: 'a new long one', next: DEMO_PASSWORD })).status).toBe(204);
});

test('what is for one role is refused to the others, and to nobody at all', async () => {
  const [student, teacher] = [await Person.signedIn('wren'), await Person.signedIn('maren')];
  expect((await student.get('accounts')).status).toBe(403);
  expect((await teacher.get('accounts')).status).toBe(403);
  expect((await student.get('today/teacher')).status).toBe(403);
  expect((await new Person().get('today/teacher')).status).toBe(401);
});

test('the administrator makes people and classes, and a name once only', async () => {
  const halina = await Person.signedIn('halina');
  const wanted = {
    role: 'student',
    givenName: 'Ines',
    familyName: 'Okoro',
    name: 'ines',
    password: 'a first password',
  };
  const made = await halina.post<{ id: string }>('accounts', wanted);
  expect(made.status).toBe(201);
  expect(JSON.stringify(made.body)).not.toContain('password');
  expect((await halina.post('accounts', wanted)).problem.detail).toContain('taken');
  const room = await halina.post<{ id: string }>('classes', { name: 'English 8A' });
  expect(
    (await halina.post(`classes/${room.body.id}/people`, { accountId: made.body.id, part: 'teacher' })).status,
  ).toBe(422);
  expect(
    (await halina.post(`classes/${room.body.id}/people`, { accountId: made.body.id, part: 'student' })).status,
  ).toBe(204);
  expect((await halina.get<unknown[]>(`classes/${room.body.id}/people`)).body).toHaveLength(1);
});
