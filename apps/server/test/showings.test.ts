import { showingRoom } from '@ichnograph/contract';
import type { ShowingDetail, ShowingNews, ShowingRow } from '@ichnograph/contract';
import { classAtWork } from './setup/class-at-work.js';
import type { LiveClient } from './setup/client.js';
import { Person, until } from './setup/client.js';

const SECRET = 'Zinnober: say this slowly, nobody knows it yet.';
const AT_STOP = 'Karmesin: this is what carries it all.';
const places = ({ messages }: LiveClient) => messages.filter((one): one is ShowingNews => one.type === 'showing');
const seated = ({ messages }: LiveClient) => messages.some(({ type }) => type === 'work changed');
const at = (topic: string | null, more: object = {}) => ({ topic, words: '', line: false, view: null, ...more });

/** Ada's map with a tour, in a class with Bo. */
async function toShow(title: string) {
  const desk = await classAtWork(title);
  const ada = await desk.student(`Ada${title.length}`, 'Beam', 'Pier');
  const bo = await desk.student(`Bo${title.length}`);
  bo.client.close();
  const [beam, pier] = ada.client.live.snapshot.topics.map(({ id }) => id) as [string, string];
  const stops = [
    { topic: beam, words: AT_STOP },
    { topic: pier, words: '' },
  ];
  ada.client.live.apply([
    { do: 'set', in: 'topics', id: beam, fields: { note: SECRET } },
    { do: 'add', to: 'tours', item: { id: 't1', title: 'How it stands', stops } },
  ]);
  await ada.client.saved();
  const show = (who: Person, more: object = {}) =>
    who.post<{ id: string }>('showings', { classId: desk.room.id, workId: ada.work.id, ...more });
  return { ...desk, ada, bo, beam, pier, show };
}

test('a tour shown to a class: devices hear where the presenter is, and are sent nothing that is not shown yet', async () => {
  const { tobias, ada, bo, beam, pier, show, room } = await toShow('Shown live');
  expect((await show(ada.person, { tourId: 'none' })).status).toBe(404);
  const { id } = (await show(ada.person, { tourId: 't1' })).body;
  const row = (await bo.person.get<ShowingRow[]>('showings')).body.find((one) => one.id === id)!;
  expect(row).toMatchObject({ title: 'How it stands', mine: false, of: null, by: { givenName: 'Ada10' } });
  const device = bo.person.document(showingRoom(id));
  await until('the device to be let in', () => seated(device));
  const stranger = (await Person.signedIn('juno')).document(showingRoom(id));
  await until('a stranger to be refused', () => stranger.refused);

  const detail = async (who: Person) => (await who.get<ShowingDetail>(`showings/${id}`)).body;
  const before = await detail(bo.person);
  expect([before.place, before.mayEnd, (await detail(tobias)).mayEnd]).toEqual([null, false, true]);
  expect((before.map as { topics: unknown[] }).topics).toHaveLength(2);
  expect(JSON.stringify(before)).not.toMatch(/Zinnober|Karmesin/);

  const go = (who: Person, where: object) => who.call('PUT', `showings/${id}/place`, where);
  expect((await go(bo.person, at(beam))).status).toBe(404);
  expect((await go(tobias, at(beam))).status).toBe(404);
  expect((await go(ada.person, { topic: 4 })).status).toBe(422);
  expect((await go(ada.person, at(beam, { words: AT_STOP, line: true }))).status).toBe(204);
  await until('the device to hear of it', () => places(device).length > 0);
  expect(places(device)[0]).toMatchObject({ place: { topic: beam, words: AT_STOP, line: true }, count: 1 });
  expect(JSON.stringify(device.messages)).not.toContain('Zinnober');
  // Who comes late is where the presenter is.
  expect(await detail(bo.person)).toMatchObject({ place: { topic: beam }, count: 1 });

  // What is drawn meanwhile is asked for when the presenter says that the map is another.
  ada.client.live.apply([{ do: 'set', in: 'topics', id: pier, fields: { text: 'Pier of oak' } }]);
  await ada.client.saved();
  device.messages.length = 0;
  await go(ada.person, at(pier, { changed: true }));
  await until('the device to ask again', () => seated(device));
  expect(JSON.stringify((await detail(bo.person)).map)).toContain('Pier of oak');

  // Who shows something else ends this; who is following is shown out.
  const next = (await show(ada.person)).body.id;
  await until('the device to be shown out', () => device.closedWith !== null);
  expect((await bo.person.get(`showings/${id}`)).status).toBe(404);
  expect((await bo.person.call('DELETE', `showings/${next}`)).status).toBe(404);
  expect((await tobias.call('DELETE', `showings/${next}`)).status).toBe(204);
  expect((await bo.person.get<ShowingRow[]>('showings')).body).toEqual([]);
  expect((await show(tobias, { classId: room.id, workId: undefined })).status).toBe(422);
  ada.client.close();
});

test('a map of an assignment is shown to its class alone, where the assignment lets its students; who leaves is shown out', async () => {
  const { tobias, id, save, bodies, ada, bo, room, show } = await toShow('Shown or not');
  const elsewhere = (await tobias.post<{ id: string }>('classes', { name: 'Elsewhere, shown' })).body.id;
  expect((await show(tobias, { classId: elsewhere })).status).toBe(422);
  expect((await show(ada.person, { classId: elsewhere })).status).toBe(404);
  expect((await show(bo.person)).status).toBe(404);
  const own = (await ada.person.post<{ id: string }>('own-maps', { title: 'My own' })).body.id;
  expect((await show(bo.person, { workId: undefined, ownMapId: own })).status).toBe(404);
  const mine = (await show(ada.person, { workId: undefined, ownMapId: own })).body.id;
  const device = bo.person.document(showingRoom(mine));
  await until('the device to be let in', () => seated(device));
  const { me } = (await bo.person.get<{ me: { id: string } }>('welcome')).body;
  await tobias.call('DELETE', `classes/${room.id}/people/${me.id}`);
  await until('who left to be shown out', () => device.closedWith !== null);

  await save('task', { ...bodies.task, title: 'Shown or not', drawing: { sharing: false } });
  expect((await tobias.post(`assignments/${id}/next-revision`, {})).status).toBe(204);
  await until('the work to have moved on', async () => (await show(ada.person)).status === 409);
  // Those who teach show what they like.
  expect((await show(tobias)).status).toBe(201);
  ada.client.close();
});
