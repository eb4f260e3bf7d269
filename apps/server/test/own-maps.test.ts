import { addTopic, openStoredMap, OWN_LEGEND } from '@ichnograph/core';
import type { Legend } from '@ichnograph/core';
import { ownMapDocument } from '@ichnograph/contract';
import type { OwnMapDetail, OwnMapRow, VersionRow } from '@ichnograph/contract';
import { Person, until } from './setup/client.js';
import { drawn } from './setup/works.js';

const begin = async (person: Person, body: object): Promise<string> =>
  (await person.post<{ id: string }>('own-maps', body)).body.id;
const textsOf = async (person: Person, id: string): Promise<string[]> =>
  openStoredMap((await person.get<OwnMapDetail>(`own-maps/${id}`)).body.map).topics.map(({ text }) => text);

test('begins with a map that was understood of a file, with new ids and its legend; what is no map is refused', async () => {
  const noor = await Person.signedIn('noor');
  const kinds = [{ id: 'k', name: 'Thing', purpose: '', givenBy: 'student', shape: 'note', fill: '#ffffff' }];
  const file = {
    ...{ format: 'ichnograph-map', version: 1, title: 'Brought', author: '', focusQuestion: '', links: [] },
    topics: [{ id: 'a', text: 'Quay', kind: 'k', x: 0, y: 0, width: 60, height: 40 }],
    legend: { topicKinds: kinds, linkKinds: [] },
  };
  const id = await begin(noor, { title: '', map: file });
  const { map, legend } = (await noor.get<OwnMapDetail>(`own-maps/${id}`)).body;
  const [topic] = openStoredMap(map).topics;
  expect([topic!.text, topic!.kind, topic!.id === 'a']).toEqual(['Quay', 'k', false]);
  expect(legend).toMatchObject({ topicKinds: kinds });
  const { status, body } = await noor.post<{ detail: string }>('own-maps', { title: '', map: { ...file, topics: 5 } });
  expect([status, body.detail]).toEqual([422, expect.stringContaining('$.topics')]);
});

test('a map of one’s own is drawn on like any other, found by its words, and nobody else’s to see', async () => {
  const [noor, juno, maren] = await Promise.all(['noor', 'juno', 'maren'].map((name) => Person.signedIn(name)));
  const id = await begin(noor!, { title: 'Storms', folder: 'At home' });
  const client = noor!.document(ownMapDocument(id));
  await client.opened();
  const { legend } = (await noor!.get<OwnMapDetail>(`own-maps/${id}`)).body;
  const outcome = addTopic(
    client.live.snapshot,
    { text: 'Hail', kind: 'idea', at: { x: 0, y: 0 } },
    { newId: () => 'hail', by: '' },
    legend as unknown as Legend,
  );
  if (outcome.ok) client.live.apply(outcome.changes);
  await client.saved();
  const listed = async (): Promise<OwnMapRow> =>
    (await noor!.get<OwnMapRow[]>('own-maps')).body.find((one) => one.id === id)!;
  expect(await listed()).toMatchObject({ title: 'Storms', folder: 'At home', topics: 1, words: 'Hail' });

  for (const other of [juno!, maren!]) {
    expect((await other.get(`own-maps/${id}`)).status).toBe(404);
    expect((await other.call('DELETE', `own-maps/${id}`)).status).toBe(404);
    const intruder = other.document(ownMapDocument(id));
    await until('a refusal', () => intruder.refused);
  }
  expect((await noor!.call('PATCH', `own-maps/${id}`, { title: 'Weather', folder: '' })).status).toBe(204);
  expect(await listed()).toMatchObject({ title: 'Weather', folder: '' });
  client.close();
  expect((await noor!.call('DELETE', `own-maps/${id}`)).status).toBe(204);
  expect(await noor!.get(`own-maps/${id}`)).toMatchObject({ status: 404 });
});

test('versions of it are kept, named, read and go with it; nobody else reads one', async () => {
  const [noor, juno] = [await Person.signedIn('noor'), await Person.signedIn('juno')];
  const id = await begin(noor, { title: 'Tides' });
  const client = noor.document(ownMapDocument(id));
  await client.opened();
  const maker = { newId: () => 'ebb', by: '' };
  const made = addTopic(client.live.snapshot, { text: 'Ebb', kind: 'idea', at: { x: 0, y: 0 } }, maker, OWN_LEGEND);
  if (made.ok) client.live.apply(made.changes);
  await client.saved();
  const versions = async (): Promise<VersionRow[]> => (await noor.get<VersionRow[]>(`own-maps/${id}/versions`)).body;
  // While it is drawn on a point is kept by itself.
  await until('a point', async () => (await versions()).length === 1);
  expect((await noor.post(`own-maps/${id}/versions`, { name: 'Only the ebb' })).status).toBe(201);
  const [named] = await versions();
  expect(named).toMatchObject({ name: 'Only the ebb', topics: 1 });
  const read = await noor.get<{ map: Record<string, unknown> }>(`versions/${named!.id}`);
  expect(openStoredMap(read.body.map).topics.map(({ text }) => text)).toEqual(['Ebb']);
  expect((await juno.get(`versions/${named!.id}`)).status).toBe(404);
  client.close();
  expect((await noor.call('DELETE', `own-maps/${id}`)).status).toBe(204);
  expect((await noor.get(`versions/${named!.id}`)).status).toBe(404);
});

test('its legend is changed: what is drawn follows; what is no legend is refused by a sentence', async () => {
  const noor = await Person.signedIn('noor');
  const id = await begin(noor, { title: 'Tides' });
  const client = noor.document(ownMapDocument(id));
  await client.opened();
  for (const [text, kind] of [
    ['Spring tide', 'idea'],
    ['Why twice a day?', 'question'],
  ] as const) {
    const maker = { newId: () => kind, by: '' };
    const made = addTopic(client.live.snapshot, { text, kind, at: { x: 0, y: 0 } }, maker, OWN_LEGEND);
    if (made.ok) client.live.apply(made.changes);
  }
  await client.saved();
  const [idea] = OWN_LEGEND.topicKinds;
  const before = client.live.snapshot.topics.find((one) => one.id === 'idea')!;
  const legend = { ...OWN_LEGEND, topicKinds: [{ ...idea!, name: 'Thought', shape: 'diamond' }] };
  expect((await noor.call('PATCH', `own-maps/${id}`, { legend })).status).toBe(204);
  expect((await noor.get<OwnMapDetail>(`own-maps/${id}`)).body.legend).toEqual(legend);
  await until(
    'the map to follow',
    () => client.live.snapshot.topics.find((one) => one.id === 'question')!.kind === null,
  );
  expect(client.live.snapshot.topics.find((one) => one.id === 'idea')!.width).toBeGreaterThan(before.width);
  for (const wrong of [{}, { ...legend, topicKinds: [{ id: 'x' }] }, { ...legend, topicKinds: [idea, idea] }])
    expect(await noor.call('PATCH', `own-maps/${id}`, { legend: wrong })).toMatchObject({ status: 422 });
  expect((await noor.get<OwnMapDetail>(`own-maps/${id}`)).body.legend).toEqual(legend);
  client.close();
});

test('it begins from a ready-made one, from a copy, or from a work of one’s own', async () => {
  const { person, work, client } = await drawn('Wanda');
  await client.saved();
  const ready = await begin(person, { title: '', readyMade: 'story-analysis' });
  expect(await textsOf(person, ready)).toContain('The people are …');
  const copy = await begin(person, { title: 'A copy', copyOf: ready });
  expect(await textsOf(person, copy)).toEqual(await textsOf(person, ready));
  const kept = await begin(person, { title: '', fromWork: work.id });
  expect(await textsOf(person, kept)).toContain('Loads');
  const juno = await Person.signedIn('juno');
  for (const body of [{ copyOf: ready }, { fromWork: work.id }, { readyMade: 'no-such' }])
    expect((await juno.post('own-maps', { title: 'x', ...body })).status).toBe(404);
});

test.each([
  [{ title: 7 }, /title/],
  [{ title: 'x'.repeat(301) }, /300 characters/],
  [{ title: 'x', folder: 'x'.repeat(101) }, /100 characters/],
  [{ title: 'x', copyOf: 'mine' }, /choose a map/],
  [{ title: 'x', owner: 'maren' }, /owner/],
])('%j is refused by a sentence', async (body, said) => {
  const { status, problem } = await (await Person.signedIn('noor')).post('own-maps', body);
  expect([status, JSON.stringify(problem)]).toEqual([422, expect.stringMatching(said)]);
});
