import type { CommentRow, StudentTask, SubmissionDetail, VersionRow, WorkDetail } from '@ichnograph/contract';
import { classAtWork } from './setup/class-at-work.js';
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

/** Two who draw one map together, in a class of Tobias's. */
async function pair(title: string, names: readonly [string, string]) {
  const desk = await classAtWork(title);
  const { tobias, room, publicationId } = desk;
  const code = (await tobias.post<{ joinCode: string }>(`classes/${room.id}/join-code`, { open: true })).body.joinCode;
  const people = [];
  for (const name of names) {
    const one = await Person.newcomer(name);
    await one.post('classes/join', { code });
    people.push(one);
  }
  const ids = await Promise.all(people.map(idOf));
  const groups = await tobias.call('PUT', `publications/${publicationId}/groups`, { groups: [{ members: ids }] });
  expect(groups.status).toBe(204);
  const work = (await people[0]!.post<WorkDetail>(`publications/${publicationId}/work`)).body;
  const client = people[0]!.live(work.id);
  await client.opened();
  return { ...desk, people, ids, work, client };
}

test('who leaves a group takes their own name along and nobody else’s: on what is drawn, handed in, and remembered', async () => {
  const { tobias, people, ids, work, client } = await pair('Leaves', ['Lia', 'Rolf']);
  await people[0]!.post(`works/${work.id}/versions`, { name: 'Both' });
  const sent = { client: client.client, count: client.live.made };
  const { id } = (await people[0]!.post<SubmissionDetail>(`works/${work.id}/hand-in`, sent)).body;
  const halina = await Person.signedIn('halina');
  expect((await halina.post(`accounts/${ids[0]}/erase`)).status).toBe(204);
  const left = (await tobias.get<SubmissionDetail>(`submissions/${id}`)).body;
  expect(left.map.author).toBe('Rolf Newcomer');
  const versions = (await people[1]!.get<VersionRow[]>(`works/${work.id}/versions`)).body;
  const version = versions.find(({ name }) => name === 'Both');
  const kept = (await people[1]!.get<{ map: { author: string } }>(`versions/${version!.id}`)).body.map;
  expect(kept.author).toBe('Rolf Newcomer');
  const drawn = people[1]!.live(work.id);
  await drawn.opened();
  expect(drawn.live.snapshot.author).toBe('Rolf Newcomer');
  for (const one of [client, drawn]) one.close();
});

test('a member’s extension is their group’s, on the map and on Today', async () => {
  const { tobias, people, ids, publicationId, work, client } = await pair('Extended', ['Exo', 'Ext']);
  client.close();
  const [due, more] = [3_600_000, 7_200_000].map((ms) => new Date(Date.now() + ms).toISOString());
  await tobias.call('PATCH', `publications/${publicationId}`, { due });
  await tobias.post(`publications/${publicationId}/extensions`, { accountId: ids[0], due: more });
  for (const one of people) {
    expect((await one.get<WorkDetail>(`works/${work.id}`)).body.due).toBe(more);
    const tasks = (await one.get<StudentTask[]>('today/student')).body;
    expect(tasks.find((task) => task.publicationId === publicationId)!.due).toBe(more);
  }
});

test('a picture goes with who brought it, unless a map that stays shows it', async () => {
  const { people, ids, client } = await pair('Pictures', ['Pia', 'Per']);
  const bring = async (words: string): Promise<string> => {
    const response = await fetch(`${people[0]!.url}/api/files?name=words`, {
      method: 'POST',
      headers: { connection: 'close', cookie: people[0]!.cookie, 'content-type': 'application/octet-stream' },
      body: words,
    });
    return ((await response.json()) as { src: string }).src;
  };
  const [shown, own] = [await bring('On the map of both'), await bring('On nobody’s map')];
  const item = {
    id: 'p',
    text: 'With a file',
    kind: null,
    x: 0,
    y: 0,
    width: 90,
    height: 40,
    files: [{ src: shown, name: 'words' }],
  };
  client.live.apply([{ do: 'add', to: 'topics', item }]);
  await client.saved();
  client.close();
  const halina = await Person.signedIn('halina');
  expect((await halina.post(`accounts/${ids[0]}/erase`)).status).toBe(204);
  expect((await people[1]!.get(`files/${shown}`)).status).toBe(200);
  expect((await people[1]!.get(`files/${own}`)).status).toBe(404);
});

test('what is kept of a person has the map that they are drawing', async () => {
  const { people, ids, client } = await pair('Drawing', ['Dro', 'Win']);
  client.live.apply([{ do: 'entitle', fields: { title: 'Being drawn' } }]);
  await client.saved();
  client.close();
  expect(people).toHaveLength(2);
  const halina = await Person.signedIn('halina');
  const { body } = await halina.get<{ works: { map: { title: string } }[] }>(`accounts/${ids[1]}/kept`);
  expect(body.works.map(({ map }) => map.title)).toContain('Being drawn');
});
