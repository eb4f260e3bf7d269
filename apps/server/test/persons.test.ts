import type { CommentRow, SubmissionDetail } from '@ichnograph/contract';
import { OWN_PASSWORD, Person } from './setup/client.js';
import { drawn } from './setup/works.js';

const idOf = async (person: Person): Promise<string> =>
  (await person.get<{ me: { id: string } }>('welcome')).body.me.id;

test('what is kept of a person is written out, and erased on request: what was handed in stays, without the name', async () => {
  const halina = await Person.signedIn('halina');
  const { person, client, handIn } = await drawn('Odile');
  const { id: submission } = (await handIn({ note: 'From Odile.' })).body;
  client.close();
  const maren = await Person.signedIn('maren');
  const comment = await maren.post<CommentRow>(`submissions/${submission}/comments`, { anchor: 'map', text: 'Good.' });
  await maren.post(`submissions/${submission}/return`, { unjudged: true });
  await person.post(`comments/${comment.body.id}/answers`, { text: 'Thank you.' });
  const id = await idOf(person);

  const { body: kept } = await halina.get<Record<string, unknown>>(`accounts/${id}/kept`);
  expect(kept).toMatchObject({
    account: { givenName: 'Odile', name: 'new-odile' },
    classes: [{ name: 'Technology 9B', part: 'student' }],
    works: [{ state: 'returned', map: { author: 'Odile Newcomer' } }],
    submissions: [{ note: 'From Odile.', map: { author: 'Odile Newcomer' } }],
    comments: [{ text: 'Good.', written: 'to them' }],
    answers: [{ text: 'Thank you.' }],
  });
  expect(JSON.stringify(kept)).not.toContain('password');

  expect((await halina.post(`accounts/${id}/erase`)).status).toBe(204);
  expect((await person.get('today/student')).status).toBe(401);
  expect((await new Person().post('sign-in', { name: 'new-odile', password: OWN_PASSWORD })).status).toBe(401);
  const { body: left } = await maren.get<SubmissionDetail>(`submissions/${submission}`);
  expect([left.map.author, left.members[0]!.givenName]).toEqual(['', 'Somebody']);
  expect(JSON.stringify(left)).not.toContain('Newcomer');
});

test('what was never handed in goes; nobody erases themselves, and nobody but the administrator anybody', async () => {
  const halina = await Person.signedIn('halina');
  const { person, work, client } = await drawn('Ottla');
  client.close();
  const id = await idOf(person);
  expect((await person.post(`accounts/${id}/erase`)).status).toBe(403);
  expect((await halina.post(`accounts/${await idOf(halina)}/erase`)).status).toBe(409);
  expect((await halina.post(`accounts/${id}/erase`)).status).toBe(204);
  const maren = await Person.signedIn('maren');
  expect((await maren.get(`works/${work.id}`)).status).toBe(404);
});
