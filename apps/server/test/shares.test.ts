import { ownMapDocument, workDocument } from '@ichnograph/contract';
import type { OwnMapDetail, SharedMapDetail, SharedWithMe, ShareRow, Shares, ShareTargets } from '@ichnograph/contract';
import { classAtWork } from './setup/class-at-work.js';
import { Person, until } from './setup/client.js';

const inDays = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString();
const topic = (id: string, text: string) => ({ id, text, kind: null, x: 0, y: 0, width: 80, height: 40 });

/** An own map of Kofi's, and what he may share it with. */
async function kofisMap(title: string) {
  const kofi = await Person.signedIn('kofi');
  const { id } = (await kofi.post<{ id: string }>('own-maps', { title })).body;
  const { people, classes } = (await kofi.get<ShareTargets>('shares/targets')).body;
  const idOf = (name: string): string => people.find(({ givenName }) => givenName === name)!.id;
  const share = (wanted: object) =>
    kofi.post<ShareRow>(`own-maps/${id}/shares`, { mayEdit: false, endsAt: inDays(3), ...wanted });
  return { kofi, id, idOf, classes, people, share };
}
const withMe = async (person: Person, title: string): Promise<SharedWithMe | undefined> =>
  (await person.get<SharedWithMe[]>('shares')).body.find((one) => one.title === title);

test('a map shared to be seen is read and not drawn on; shared again to be drawn on, it is; taken back, open connections end', async () => {
  const { kofi, id, idOf, share } = await kofisMap('Piers of the old bridge');
  const noor = await Person.signedIn('noor');
  const name = ownMapDocument(id);
  const before = noor.document(name);
  await until('a stranger to be refused', () => before.refused);
  const made = await share({ accountId: idOf('Noor') });
  expect([made.status, made.body.person!.givenName, made.body.mayEdit]).toEqual([201, 'Noor', false]);
  const seen = (await withMe(noor, 'Piers of the old bridge'))!;
  expect(seen).toMatchObject({ mayEdit: false, by: { givenName: 'Kofi' }, document: name });
  const reader = noor.document(name);
  await reader.opened();
  const owner = kofi.document(name);
  await owner.opened();
  owner.live.apply([{ do: 'add', to: 'topics', item: topic('pier', 'Pier') }]);
  await until('the reader to see it', () => reader.live.snapshot.topics.length === 1);
  reader.live.apply([{ do: 'add', to: 'topics', item: topic('mine', 'Not mine to draw') }]);
  owner.live.apply([{ do: 'add', to: 'topics', item: topic('deck', 'Deck') }]);
  await owner.saved();
  expect(owner.live.snapshot.topics.map(({ text }) => text)).toEqual(['Pier', 'Deck']);
  reader.close();

  await share({ accountId: idOf('Noor'), mayEdit: true });
  expect((await kofi.get<Shares>(`own-maps/${id}/shares`)).body.shares).toHaveLength(1);
  const writer = noor.document(name);
  await writer.opened();
  writer.live.apply([{ do: 'add', to: 'topics', item: topic('arch', 'Arch') }]);
  await writer.saved();
  await until('the owner to have it', () => owner.live.snapshot.topics.length === 3);
  expect(owner.live.snapshot.topics.at(-1)!.by).toBe(idOf('Noor'));
  await until('each to see the other', () => owner.others.size === 1 && writer.others.size === 1);

  const again = (await withMe(noor, 'Piers of the old bridge'))!;
  expect((await kofi.call('DELETE', `shares/${again.id}`)).status).toBe(204);
  await until('the open connection to end', () => writer.closedWith !== null);
  expect(writer.closedBecause).toBe('not yours');
  expect(await withMe(noor, 'Piers of the old bridge')).toBeUndefined();
  expect((await noor.get(`shares/${again.id}`)).status).toBe(404);
  expect(owner.closedWith).toBeNull();
});

test('a class is let in as a whole, each of it makes a copy of their own, and who is of no such class is not', async () => {
  const { kofi, id, classes, share } = await kofisMap('Cables for all');
  const client = kofi.document(ownMapDocument(id));
  await client.opened();
  client.live.apply([{ do: 'add', to: 'topics', item: topic('cable', 'Cable') }]);
  await client.saved();
  const room = classes.find(({ name }) => name === 'Technology 9B')!;
  expect((await share({ classId: room.id })).body.className).toBe('Technology 9B');
  const amara = await Person.signedIn('amara');
  const seen = (await withMe(amara, 'Cables for all'))!;
  const { body } = await amara.get<SharedMapDetail>(`shares/${seen.id}`);
  expect(body).toMatchObject({ madeBy: [{ givenName: 'Kofi' }], mayEdit: false });
  const copy = (await amara.post<{ id: string }>('own-maps', { title: 'Mine now', fromShare: seen.id })).body;
  const { map } = (await amara.get<OwnMapDetail>(`own-maps/${copy.id}`)).body;
  expect((map.topics as { text: string }[]).map(({ text }) => text)).toEqual(['Cable']);
  const other = await Person.signedIn('hedda');
  expect(await withMe(other, 'Cables for all')).toBeUndefined();
  expect((await other.get(`shares/${seen.id}`)).status).toBe(404);
  expect((await other.post('own-maps', { title: 'x', fromShare: seen.id })).status).toBe(404);
});

test('who leaves a class is shown out of what was shared with it', async () => {
  const { id, classes, share } = await kofisMap('For those who are here');
  const room = classes.find(({ name }) => name === 'Technology 9B')!;
  await share({ classId: room.id, mayEdit: true });
  const guest = await Person.newcomer('Shanti');
  const client = guest.document(ownMapDocument(id));
  await client.opened();
  const head = await Person.signedIn('halina');
  const people = (await head.get<{ id: string; givenName: string }[]>(`classes/${room.id}/people`)).body;
  const { id: accountId } = people.find(({ givenName }) => givenName === 'Shanti')!;
  expect((await head.call('DELETE', `classes/${room.id}/people/${accountId}`)).status).toBe(204);
  await until('the connection to end', () => client.closedWith !== null);
});

test('a share ends on its day, for those who have it open too', async () => {
  const { id, idOf, share } = await kofisMap('For a moment');
  const noor = await Person.signedIn('noor');
  await share({ accountId: idOf('Noor'), mayEdit: true, endsAt: new Date(Date.now() + 1500).toISOString() });
  const client = noor.document(ownMapDocument(id));
  await client.opened();
  await until('the day to be over', () => client.closedWith !== null, 20_000);
  expect(await withMe(noor, 'For a moment')).toBeUndefined();
});

test('what cannot be shared so is refused with a sentence', async () => {
  const { id, idOf, share, kofi, people } = await kofisMap('Refused');
  expect(people.some(({ givenName }) => givenName === 'Kofi')).toBe(false);
  const noor = idOf('Noor');
  for (const wrong of [
    {},
    { accountId: noor, classId: noor },
    { accountId: noor, endsAt: inDays(-1) },
    { accountId: noor, endsAt: inDays(900) },
    { accountId: noor, mayEdit: 'yes' },
  ])
    expect((await share(wrong)).status).toBe(422);
  // Somebody of no class of his is nobody he could know.
  expect((await share({ accountId: '00000000-0000-4000-8000-000000000000' })).status).toBe(404);
  const hedda = (await (await Person.signedIn('hedda')).get<{ me: { id: string } }>('welcome')).body.me.id;
  expect((await share({ accountId: hedda })).status).toBe(404);
  expect((await kofi.get<Shares>(`own-maps/${id}/shares`)).body).toEqual({ mayShare: 'write', shares: [] });
});

test('a work is shared as far as its teacher allows: to be seen, to be drawn on, or not at all; nothing but the map is shown', async () => {
  const { tobias, id, bodies, save, student } = await classAtWork('Shared work');
  const { person, work } = await student('Sven', 'Tide');
  const helper = await student('Solveig', 'Moon');
  const { people } = (await person.get<ShareTargets>('shares/targets')).body;
  const accountId = people.find(({ givenName }) => givenName === 'Solveig')!.id;
  const share = (mayEdit: boolean) =>
    person.post<ShareRow>(`works/${work.id}/shares`, { accountId, mayEdit, endsAt: inDays(2) });
  expect((await share(true)).status).toBe(409);
  const { status, body } = await share(false);
  expect(status).toBe(201);
  const { body: detail } = await helper.person.get<SharedMapDetail>(`shares/${body.id}`);
  expect(Object.keys(detail).sort()).toEqual(
    ['id', 'title', 'document', 'mayEdit', 'by', 'madeBy', 'legend', 'endsAt'].sort(),
  );
  const reader = helper.person.live(work.id);
  await reader.opened();
  for (const path of ['', '/comments', '/versions', '/pages'])
    expect((await helper.person.get(`works/${work.id}${path}`)).status).toBe(404);
  const seen = (await tobias.get<Shares>(`works/${work.id}/shares`)).body;
  expect([seen.mayShare, seen.shares.length]).toEqual([null, 1]);

  await save('task', { ...bodies.task, title: 'Shared work', drawing: { sharing: true } });
  expect((await tobias.post(`assignments/${id}/next-revision`)).status).toBe(204);
  const open = await student('Sigrun', 'Wave');
  const drawnOn = await open.person.post<ShareRow>(`works/${open.work.id}/shares`, {
    accountId,
    mayEdit: true,
    endsAt: inDays(2),
  });
  expect(drawnOn.status).toBe(201);
  const writer = helper.person.document(workDocument(open.work.id));
  await writer.opened();
  writer.live.apply([{ do: 'add', to: 'topics', item: topic('help', 'A helping hand') }]);
  await writer.saved();
  // Who teaches them looks after what is shared.
  expect((await tobias.call('DELETE', `shares/${drawnOn.body.id}`)).status).toBe(204);
  await until('the helper to be shown out', () => writer.closedWith !== null);
});
