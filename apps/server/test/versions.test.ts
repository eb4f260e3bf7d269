import { openStoredMap } from '@ichnograph/core';
import type { VersionRow } from '@ichnograph/contract';
import { Person, until } from './setup/client.js';
import { drawn } from './setup/works.js';

type Kept = { map: Record<string, unknown> };

test('a map worked on is kept by itself, named by whoever draws it, and read by those who may see it', async () => {
  const { person, work, client } = await drawn('Vera');
  const list = async (): Promise<VersionRow[]> => (await person.get<VersionRow[]>(`works/${work.id}/versions`)).body;
  const [itself] = await until('a version that was kept by itself', async () => {
    const rows = await list();
    return rows.length > 0 && rows;
  });
  expect(itself).toMatchObject({ name: null, by: null });

  await client.saved();
  const named = await person.post<VersionRow>(`works/${work.id}/versions`, { name: 'Before tidying' });
  expect(named.status).toBe(201);
  expect(named.body).toMatchObject({ name: 'Before tidying', by: 'Vera Newcomer' });
  expect((await list()).map(({ name }) => name)).toEqual(['Before tidying', null]);

  const { body } = await person.get<Kept>(`versions/${named.body.id}`);
  expect(openStoredMap(body.map).topics.map(({ text }) => text)).toContain('Loads');
  const [teacher, stranger] = [await Person.signedIn('maren'), await Person.signedIn('juno')];
  expect((await teacher.get(`versions/${named.body.id}`)).status).toBe(200);
  expect((await stranger.get(`versions/${named.body.id}`)).status).toBe(404);
});

test('a version without a name, or with one too long, is refused by a sentence; the same deed twice is one', async () => {
  const { person, work } = await drawn('Wim');
  for (const name of ['', 'x'.repeat(201)]) {
    const { status, problem } = await person.post(`works/${work.id}/versions`, { name });
    expect([status, JSON.stringify(problem)]).toEqual([422, expect.stringMatching(/1 to 200 characters/)]);
  }
  const headers = { 'Idempotency-Key': crypto.randomUUID() };
  const twice = await Promise.all(
    [1, 2].map(() => person.call<VersionRow>('POST', `works/${work.id}/versions`, { name: 'Once' }, headers)),
  );
  expect(twice[0]!.body.id).toBe(twice[1]!.body.id);
});
