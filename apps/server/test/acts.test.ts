import { randomUUID } from 'node:crypto';
import { ACT_HEADER } from '@ichnograph/contract';
import type { CommentRow, WorkDetail } from '@ichnograph/contract';
import { Person } from './setup/client.js';
import { drawn } from './setup/works.js';

const named = (name = randomUUID() as string): Record<string, string> => ({ [ACT_HEADER]: name });

test('an act that arrives twice, one after the other or at once, is done once and answered alike', async () => {
  const [{ person, work, client, handIn }, maren] = [await drawn('Acacia'), await Person.signedIn('maren')];
  const act = named();
  const first = await handIn({}, act);
  const again = await Promise.all([handIn({}, act), handIn({}, act)]);
  expect([first, ...again].map(({ status, body }) => [status, body.id])).toEqual(
    Array.from({ length: 3 }, () => [201, first.body.id]),
  );
  const other = named();
  const together = await Promise.all(Array.from({ length: 4 }, () => handIn({}, other)));
  expect(new Set(together.map(({ body }) => body.id)).size).toBe(1);
  expect((await person.get<WorkDetail>(`works/${work.id}`)).body.submissions).toHaveLength(2);
  client.close();

  const id = together[0]!.body.id;
  const speaking = named();
  const comments = await Promise.all(
    Array.from({ length: 4 }, () =>
      maren.call<CommentRow>('POST', `submissions/${id}/comments`, { anchor: 'map', text: 'Once.' }, speaking),
    ),
  );
  expect(new Set(comments.map(({ body }) => body.id)).size).toBe(1);
  expect((await maren.get<CommentRow[]>(`submissions/${id}/comments`)).body).toHaveLength(1);

  const returning = named();
  for (let i = 0; i < 2; i++)
    expect((await maren.call('POST', `submissions/${id}/return`, { unjudged: true }, returning)).status).toBe(204);
  expect((await maren.call('POST', `submissions/${id}/return`, { unjudged: true }, named())).status).toBe(409);
  // A hand-in whose answer was lost, sent again after the map came back.
  expect((await handIn({}, other)).body.id).toBe(id);
});

test('the name of one act is no name for another, and must be a proper one', async () => {
  const halina = await Person.signedIn('halina');
  const act = named();
  expect((await halina.call('POST', 'classes', { name: 'History 7C' }, act)).status).toBe(201);
  const person = {
    role: 'student',
    givenName: 'Ada',
    familyName: 'Once',
    name: 'ada-once',
    password: 'a long first one',
  };
  expect((await halina.call('POST', 'accounts', person, act)).status).toBe(422);
  expect((await halina.call('POST', 'accounts', person, { [ACT_HEADER]: 'one' })).status).toBe(422);
  const mine = named();
  const made = [
    await halina.call<{ id: string }>('POST', 'accounts', person, mine),
    await halina.call<{ id: string }>('POST', 'accounts', person, mine),
  ];
  expect(made.map(({ status, body }) => [status, body.id])).toEqual([
    [201, made[0]!.body.id],
    [201, made[0]!.body.id],
  ]);
});

test('an act that was refused may be tried again under the same name', async () => {
  const { client, handIn } = await drawn('Basil');
  const act = named();
  expect((await handIn({ count: client.live.made + 1 }, act)).status).toBe(409);
  client.live.apply([{ do: 'entitle', fields: { title: 'Now it is there' } }]);
  const { status, body } = await handIn({ count: client.live.made }, act);
  expect([status, body.map.title]).toEqual([201, 'Now it is there']);
  client.close();
});
