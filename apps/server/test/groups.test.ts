import type {
  AssignmentDetail,
  ClassRow,
  Groups,
  Pile,
  RosterEntry,
  SheetDetail,
  StudentTask,
  TaskOnMap,
  WorkDetail,
} from '@ichnograph/contract';
import { Person } from './setup/client.js';

test('a group begins one map together, each of them may draw on it, and its members stay as they began', async () => {
  const tobias = await Person.signedIn('tobias');
  const { body: room } = await tobias.post<ClassRow>('classes', { name: 'Groups 9C' });
  const { joinCode } = (await tobias.post<{ joinCode: string }>(`classes/${room.id}/join-code`, { open: true })).body;
  const { body: sheet } = await tobias.post<SheetDetail>('assignments/sheets', { readyMade: 'timeline' });
  const { body: given } = await tobias.post<AssignmentDetail>(`assignments/${sheet.id}/publications`, {
    classId: room.id,
  });
  const publication = given.publications[0]!.id;
  const names = ['Gro', 'Gita', 'Gus', 'Gwen'];
  const people: Person[] = [];
  for (const name of names) {
    const person = await Person.newcomer(name);
    await person.post('classes/join', { code: joinCode });
    people.push(person);
  }
  const roster = (await tobias.get<RosterEntry[]>(`classes/${room.id}/people`)).body;
  const idOf = (name: string): string => roster.find(({ givenName }) => givenName === name)!.id;
  const set = (...groups: string[][]) =>
    tobias.call('PUT', `publications/${publication}/groups`, {
      groups: groups.map((members) => ({ members: members.map(idOf) })),
    });
  const twice = await set(['Gro', 'Gita'], ['Gita']);
  expect([twice.status, twice.problem.detail]).toEqual([422, 'Somebody stands in two groups.']);
  const stranger = { groups: [{ members: ['00000000-0000-4000-8000-000000000000'] }] };
  expect((await tobias.call('PUT', `publications/${publication}/groups`, stranger)).status).toBe(404);
  expect((await tobias.call('PUT', `publications/${publication}/groups`, { groups: [['x']] })).status).toBe(422);
  expect((await set(['Gro', 'Gita', 'Gus'])).status).toBe(204);

  // Two of them at once come to one map, whichever of the two is a little earlier.
  const begin = async (i: number) => (await people[i]!.post<WorkDetail>(`publications/${publication}/work`)).body;
  const all = await Promise.all([0, 1, 0, 1, 0, 1, 0, 1].map(begin));
  const [gro] = all as [WorkDetail];
  expect(all.map(({ id }) => id)).toEqual(all.map(() => gro.id));
  expect(gro.members.map(({ givenName }) => givenName).sort()).toEqual(['Gita', 'Gro', 'Gus']);
  const gus = await people[2]!.get<StudentTask[]>('today/student');
  expect(gus.body.find(({ publicationId }) => publicationId === publication)).toMatchObject({
    workId: gro.id,
    state: 'in progress',
  });
  const client = people[2]!.live(gro.id);
  await client.opened();
  client.live.apply([
    {
      do: 'add',
      to: 'topics',
      item: { id: 'mine', text: 'From Gus', kind: null, x: 0, y: 400, width: 90, height: 40 },
    },
  ]);
  await client.saved();
  client.close();
  const { entries } = (await tobias.get<Pile>(`publications/${publication}/pile`)).body;
  expect(entries.map(({ members }) => members.length).sort()).toEqual([1, 3]);

  const late = await set(['Gwen', 'Gus']);
  expect([late.status, late.problem.detail]).toEqual([409, 'Gus has begun already, and goes on as they began.']);
  expect((await set(['Gwen'])).status).toBe(204);
  const { students } = (await tobias.get<Groups>(`publications/${publication}/groups`)).body;
  const groupOf = (name: string) => students.find(({ person }) => person.givenName === name)!;
  expect(groupOf('Gro').group).toBe(groupOf('Gus').group);
  expect(groupOf('Gwen')).toMatchObject({ begun: false });
  expect(groupOf('Gwen').group).not.toBe(groupOf('Gus').group);
});

test('a topic as a task stands on Today of those it is for, or of all while it is nobody’s, until it is done', async () => {
  const tobias = await Person.signedIn('tobias');
  const { body: room } = await tobias.post<ClassRow>('classes', { name: 'Tasks 9D' });
  const { joinCode } = (await tobias.post<{ joinCode: string }>(`classes/${room.id}/join-code`, { open: true })).body;
  const { body: sheet } = await tobias.post<SheetDetail>('assignments/sheets', { readyMade: 'timeline' });
  const { body: given } = await tobias.post<AssignmentDetail>(`assignments/${sheet.id}/publications`, {
    classId: room.id,
  });
  const publication = given.publications[0]!.id;
  const people: Person[] = [];
  for (const name of ['Tilda', 'Tore', 'Tuva']) {
    const person = await Person.newcomer(name);
    await person.post('classes/join', { code: joinCode });
    people.push(person);
  }
  const [tilda, tore, tuva] = people as [Person, Person, Person];
  const roster = (await tobias.get<RosterEntry[]>(`classes/${room.id}/people`)).body;
  const idOf = (name: string): string => roster.find(({ givenName }) => givenName === name)!.id;
  await tobias.call('PUT', `publications/${publication}/groups`, {
    groups: [{ members: [idOf('Tilda'), idOf('Tore')] }, { members: [idOf('Tuva')] }],
  });
  const work = (await tilda.post<WorkDetail>(`publications/${publication}/work`)).body;
  const alone = (await tuva.post<WorkDetail>(`publications/${publication}/work`)).body;
  const item = (id: string, task: object) => ({ id, text: id, kind: null, x: 0, y: 900, width: 90, height: 40, task });
  const client = tilda.live(work.id);
  await client.opened();
  const items = [
    item('later', { state: 'to do', due: '2031-05-01', who: [idOf('Tore')] }),
    item('sooner', { state: 'under way', due: '2031-04-01', who: [idOf('Tore'), idOf('Tilda')] }),
    item('anybody', { state: 'to do' }),
    item('over', { state: 'done', who: [idOf('Tore')] }),
  ];
  client.live.apply(items.map((one) => ({ do: 'add', to: 'topics', item: one }) as never));
  await client.saved();
  const single = tuva.live(alone.id);
  await single.opened();
  single.live.apply([{ do: 'add', to: 'topics', item: item('mine alone', { state: 'to do' }) as never }]);
  await single.saved();
  const seen = async (who: Person) =>
    (await who.get<TaskOnMap[]>('today/tasks')).body.map(({ text, state, due, mine }) => [text, state, due, mine]);
  expect(await seen(tore)).toEqual([
    ['sooner', 'under way', '2031-04-01', true],
    ['later', 'to do', '2031-05-01', true],
    ['anybody', 'to do', null, false],
  ]);
  expect(await seen(tilda)).toEqual([
    ['sooner', 'under way', '2031-04-01', true],
    ['anybody', 'to do', null, false],
  ]);
  // Who draws alone has no tasks with others.
  expect(await seen(tuva)).toEqual([]);
  client.live.apply([{ do: 'set', in: 'topics', id: 'sooner', fields: { task: { state: 'done' } } }]);
  await client.saved();
  expect((await seen(tilda)).map(([text]) => text)).toEqual(['anybody']);
  client.close();
  single.close();
});
