import type {
  AccountRow,
  AssignmentDetail,
  ClassMap,
  ClassPropositions,
  ClassRow,
  Me,
  RevisionPreview,
  RosterEntry,
  SheetDetail,
  WorkDetail,
} from '@ichnograph/contract';
import { starterDocument } from '@ichnograph/contract';
import { classAtWork } from './setup/class-at-work.js';
import { OWN_PASSWORD, Person, until } from './setup/client.js';

const FIRST = 'a long first one';
const meOf = async (person: Person): Promise<Me> => (await person.get<{ me: Me }>('welcome')).body.me;

async function teacher(name: string): Promise<Person & { id: string }> {
  const halina = await Person.signedIn('halina');
  const wanted = { role: 'teacher', givenName: name, familyName: 'Teacher', name: name.toLowerCase(), password: FIRST };
  const { id } = (await halina.post<AccountRow>('accounts', wanted)).body;
  const person = await Person.signedIn(wanted.name);
  await person.post('password', { current: FIRST, next: OWN_PASSWORD });
  return Object.assign(person, { id });
}

test('a part fits the account; a colleague’s part is theirs, and only students are given first passwords', async () => {
  const { tobias, room } = await classAtWork('Parts');
  const [halina, carla] = [await Person.signedIn('halina'), await teacher('Carla')];
  const enrol = (accountId: string, part: string, by = tobias) =>
    by.post(`classes/${room.id}/people`, { accountId, part });
  const head = (await meOf(halina)).id;
  expect((await enrol(head, 'student')).status).toBe(422);
  expect((await enrol(carla.id, 'student')).status).toBe(422);
  expect((await enrol(head, 'teacher')).status).toBe(422);
  expect((await enrol(carla.id, 'teacher')).status).toBe(204);
  expect((await enrol(carla.id, 'assistant')).status).toBe(403);
  expect((await tobias.call('DELETE', `classes/${room.id}/people/${carla.id}`)).status).toBe(403);
  expect((await tobias.post(`classes/${room.id}/people/${carla.id}/reset-password`)).status).toBe(404);
  // Their own hand and the administrator's are free to.
  expect((await enrol(carla.id, 'assistant', carla)).status).toBe(204);
  expect((await enrol(carla.id, 'teacher', halina)).status).toBe(204);
  expect((await carla.call('DELETE', `classes/${room.id}/people/${carla.id}`)).status).toBe(204);
  // The last teacher stays.
  expect((await tobias.call('DELETE', `classes/${room.id}/people/${(await meOf(tobias)).id}`)).status).toBe(409);
});

test('a student whose first password is made anew is told by whom; the same password is no new one', async () => {
  const { tobias, room, student } = await classAtWork('Passwords');
  const { person } = await student('Pat');
  const same = { current: OWN_PASSWORD, next: OWN_PASSWORD };
  expect((await person.post('password', same)).problem.problems![0]!.path).toBe('$.next');
  const { id, name } = await meOf(person);
  const { password } = (await tobias.post<{ password: string }>(`classes/${room.id}/people/${id}/reset-password`)).body;
  const again = await Person.signedIn(name);
  expect((await meOf(again)).reset).toMatchObject({ by: { givenName: 'Tobias' } });
  await again.post('password', { current: password, next: OWN_PASSWORD });
  expect((await meOf(again)).reset).toBeNull();
});

test('verdicts are a class’s: who marks one class changes no mark of another that has the assignment', async () => {
  const { tobias, id, student, publicationId } = await classAtWork('First class');
  const carla = await teacher('Clara');
  await tobias.post(`assignments/${id}/collaborators`, { accountId: carla.id });
  const { body: room } = await carla.post<ClassRow>('classes', { name: 'Second class' });
  const given = (await carla.post<AssignmentDetail>(`assignments/${id}/publications`, { classId: room.id })).body;
  const other = given.publications.find(({ classId }) => classId === room.id)!.id;
  const says = (name: string) => async (client: Awaited<ReturnType<typeof student>>['client']) => {
    const [one, two] = client.live.snapshot.topics;
    client.live.apply([
      { do: 'add', to: 'links', item: { id: `says-${name}`, from: one!.id, to: two!.id, phrase: 'holds', kind: null } },
    ]);
    await client.saved();
  };
  const ada = await student('Adda', 'Beam', 'Pier');
  await says('a')(ada.client);
  await ada.handIn();
  // The same words in the other class.
  const bo = await Person.newcomer('Bodil');
  const code = (await carla.post<{ joinCode: string }>(`classes/${room.id}/join-code`, { open: true })).body.joinCode;
  await bo.post('classes/join', { code });
  const work = (await bo.post<WorkDetail>(`publications/${other}/work`)).body;
  const client = bo.live(work.id);
  await client.opened();
  client.live.apply(
    ['Beam', 'Pier'].map((text, i) => ({
      do: 'add' as const,
      to: 'topics' as const,
      item: { id: text, text, kind: 'own', x: 0, y: 100 * i, width: 80, height: 40 },
    })),
  );
  await says('b')(client);
  await bo.post(`works/${work.id}/hand-in`, { client: client.client, count: client.live.made });
  client.close();
  ada.client.close();

  const of = async (who: Person, publication: string) =>
    (await who.get<ClassPropositions>(`publications/${publication}/propositions`)).body.propositions[0]!;
  const { key } = await of(tobias, publicationId);
  expect((await of(carla, other)).key).toBe(key);
  const judged = await tobias.call('PUT', `publications/${publicationId}/verdicts`, { keys: [key], verdict: 'wrong' });
  expect(judged.body).toEqual({ maps: 1, returned: 0 });
  expect((await of(tobias, publicationId)).judged!.verdict).toBe('wrong');
  expect((await of(carla, other)).judged).toBeNull();
  expect((await carla.get(`publications/${publicationId}/propositions`)).status).toBe(404);
});

test('with whom an assignment is shared learns nothing of the class, and neither shares nor closes it', async () => {
  const { tobias, id, student, save, requirement, publicationId, room } = await classAtWork('Shared sheet');
  const carla = await teacher('Cara');
  const other = await teacher('Dora');
  await tobias.post(`assignments/${id}/collaborators`, { accountId: carla.id });
  const drawn = await student('Sha');
  const pupil = (await tobias.get<RosterEntry[]>(`classes/${room.id}/people`)).body.find(
    ({ part }) => part === 'student',
  )!;
  await tobias.call('PATCH', `publications/${publicationId}`, { due: new Date(Date.now() + 3_600_000).toISOString() });
  const more = { accountId: pupil.id, due: new Date(Date.now() + 7_200_000).toISOString() };
  expect((await tobias.post(`publications/${publicationId}/extensions`, more)).status).toBe(204);

  const seen = (await carla.get<AssignmentDetail>(`assignments/${id}`)).body;
  expect(JSON.stringify(seen)).not.toContain(pupil.familyName);
  expect((await carla.get<ClassMap[]>(`assignments/${id}/class-maps`)).body).toEqual([]);
  expect((await carla.get<RevisionPreview>(`assignments/${id}/next-revision`)).body.works).toEqual([]);
  expect((await tobias.get<ClassMap[]>(`assignments/${id}/class-maps`)).body).toHaveLength(1);
  expect((await carla.call('PATCH', `assignments/${id}`, { archived: true })).status).toBe(403);
  expect((await carla.post(`assignments/${id}/collaborators`, { accountId: other.id })).status).toBe(403);
  await save('requirements', { requirements: [requirement('r1', 'kind-count', { kind: 'own', min: 3 })] });
  expect((await carla.post(`assignments/${id}/next-revision`, {})).status).toBe(409);
  expect((await drawn.person.get<WorkDetail>(`works/${drawn.work.id}`)).body.revision).toBe(1);
  expect((await tobias.post(`assignments/${id}/next-revision`, {})).status).toBe(204);
  expect((await drawn.person.get<WorkDetail>(`works/${drawn.work.id}`)).body.revision).toBe(2);
  drawn.client.close();
});

test('who may see what was given out copies that, not what is being written', async () => {
  const { tobias, id, requirement, save, room } = await classAtWork('Given out');
  const reader = await teacher('Rea');
  await (await Person.signedIn('halina')).post(`classes/${room.id}/people`, { accountId: reader.id, part: 'teacher' });
  await save('requirements', { requirements: [requirement('secret', 'kind-count', { kind: 'own', min: 7 })] });
  const { status, body } = await reader.post<SheetDetail>('assignments/sheets', { copyOf: id });
  expect([status, JSON.stringify(body).includes('secret')]).toEqual([201, false]);
  expect(JSON.stringify((await tobias.post<SheetDetail>('assignments/sheets', { copyOf: id })).body)).toContain(
    'secret',
  );
});

test('a class that is put away begins nothing, keeps nothing new and gets nothing', async () => {
  const { tobias, room, student, publicationId } = await classAtWork('Put away');
  const begun = await student('Awa');
  const late = await Person.newcomer('Awb');
  const code = (await tobias.post<{ joinCode: string }>(`classes/${room.id}/join-code`, { open: true })).body.joinCode;
  await late.post('classes/join', { code });
  const version = { name: 'Kept' };
  expect((await begun.person.post(`works/${begun.work.id}/versions`, version)).status).toBe(201);
  const { body: sheet } = await tobias.post<SheetDetail>('assignments/sheets', { readyMade: 'timeline' });
  await tobias.post(`classes/${room.id}/archive`, { archived: true });
  expect((await late.post(`publications/${publicationId}/work`)).status).toBe(409);
  expect((await begun.person.post(`works/${begun.work.id}/versions`, version)).status).toBe(409);
  expect((await tobias.post(`assignments/${sheet.id}/publications`, { classId: room.id })).status).toBe(409);
  await tobias.post(`classes/${room.id}/archive`, { archived: false });
  expect((await late.post(`publications/${publicationId}/work`)).status).toBe(201);
  expect((await tobias.post(`assignments/${sheet.id}/publications`, { classId: room.id })).status).toBe(201);
  begun.client.close();
});

test('who was appointed to mark a second time steps back by their own hand; an assistant appoints nobody', async () => {
  const { tobias, room, publicationId } = await classAtWork('Second');
  const [halina, assi, second] = [await Person.signedIn('halina'), await teacher('Assi'), await teacher('Secunda')];
  await halina.post(`classes/${room.id}/people`, { accountId: assi.id, part: 'assistant' });
  await halina.post(`classes/${room.id}/people`, { accountId: second.id, part: 'teacher' });
  const appoint = (by: Person, accountId: string | null) =>
    by.call('PUT', `publications/${publicationId}/second-marker`, { accountId });
  expect((await appoint(assi, (await meOf(tobias)).id)).status).toBe(403);
  expect((await appoint(tobias, second.id)).status).toBe(204);
  expect((await second.get(`publications/${publicationId}/propositions`)).status).toBe(403);
  expect((await appoint(second, assi.id)).status).toBe(403);
  expect((await appoint(second, null)).status).toBe(204);
  expect((await second.get(`publications/${publicationId}/propositions`)).status).toBe(200);
});

test('a trial map that is deleted shows out who has it open, and leaves no document', async () => {
  const { tobias, id } = await classAtWork('Trials');
  const trial = (await tobias.post<{ id: string }>(`assignments/${id}/trials`, { name: 'A tangle' })).body.id;
  const open = tobias.document(`trial:${trial}`);
  await open.opened();
  await tobias.call('DELETE', `assignments/${id}/trials/${trial}`);
  await until('the door', () => open.closedBecause !== null);
  const again = tobias.document(`trial:${trial}`);
  await until('a refusal', () => again.refused);
  for (const one of [open, again]) one.close();
  const starter = tobias.document(starterDocument(id));
  await starter.opened();
  starter.close();
});
