import type {
  AssignmentDetail,
  AssignmentRow,
  ClassMap,
  ClassRow,
  Pile,
  ReadyMadeRow,
  RulesPreview,
  SheetDetail,
  StudentTask,
} from '@ichnograph/contract';
import { Person } from './setup/client.js';
import { drawn } from './setup/works.js';

const requirement = (id: string, points: number) => ({ id, type: 'all-connected', params: {}, level: 'must', points });

/** A class of Tobias's, with a student in it, and the sheet of its standing rules. */
async function roomWithRules(name: string) {
  const tobias = await Person.signedIn('tobias');
  const { body: room } = await tobias.post<ClassRow>('classes', { name });
  const open = () => tobias.post<{ assignmentId: string }>(`classes/${room.id}/standing-rules`);
  const rulesId = (await open()).body.assignmentId;
  const save = async (id: string, part: string, body: object): Promise<void> => {
    const { parts } = (await tobias.get<SheetDetail>(`assignments/${id}/sheet`)).body;
    const { version } = parts[part]!;
    const sent = { version, body: { ...parts[part]!.body, ...body } };
    expect((await tobias.call('PUT', `assignments/${id}/sheet/${part}`, sent)).status).toBe(200);
  };
  const begin = async () => (await tobias.post<SheetDetail>('assignments/sheets', { forClass: room.id })).body;
  const requirementsOf = async (id: string) =>
    (await tobias.get<AssignmentDetail>(`assignments/${id}`)).body.file.requirements as ReturnType<
      typeof requirement
    >[];
  return { tobias, room, rulesId, open, save, begin, requirementsOf };
}

test('assignments begin with what is in force in their class, and follow it when it is amended, where one agrees', async () => {
  const { tobias, room, rulesId, open, save, begin, requirementsOf } = await roomWithRules('Rules 7C');
  expect((await open()).body.assignmentId).toBe(rulesId);
  // What is written is not in force yet: a sheet begins empty.
  await save(rulesId, 'requirements', { requirements: [requirement('rule-1', 2), requirement('rule-2', 2)] });
  expect(await requirementsOf((await begin()).id)).toEqual([]);
  const first = (await tobias.get<RulesPreview>(`assignments/${rulesId}/amended-rules`)).body;
  expect(first).toMatchObject({ revision: 0, differs: true, assignments: [] });
  expect((await tobias.post(`assignments/${rulesId}/amended-rules`, { assignments: [] })).status).toBe(204);

  expect((await tobias.get('standing-rules')).body).toContainEqual({ classId: room.id, className: 'Rules 7C' });
  const [follows, stays] = [await begin(), await begin()];
  expect(follows.follows).toEqual({ classId: room.id, className: 'Rules 7C', newest: true });
  expect((await requirementsOf(follows.id)).map(({ id }) => id)).toEqual(['rule-1', 'rule-2']);
  // One's own hand on one of them.
  await save(follows.id, 'requirements', { requirements: [requirement('rule-1', 9), requirement('rule-2', 2)] });
  await save(rulesId, 'requirements', {
    requirements: [requirement('rule-1', 3), requirement('rule-2', 4), requirement('rule-3', 1)],
  });
  const { body: preview } = await tobias.get<RulesPreview>(`assignments/${rulesId}/amended-rules`);
  expect(preview.differs).toBe(true);
  expect(preview.assignments.find(({ id }) => id === follows.id)!.changes).toEqual([
    { of: 'requirement', id: 'rule-1', does: 'kept' },
    { of: 'requirement', id: 'rule-2', does: 'changed' },
    { of: 'requirement', id: 'rule-3', does: 'added' },
  ]);
  await tobias.post(`assignments/${rulesId}/amended-rules`, { assignments: [follows.id] });
  const points = async (id: string) => (await requirementsOf(id)).map((one) => one.points);
  expect([await points(follows.id), await points(stays.id)]).toEqual([
    [9, 4, 1],
    [2, 2],
  ]);
  // What did not follow is told, and can later.
  const rowOf = async (id: string) =>
    (await tobias.get<AssignmentRow[]>('assignments')).body.find((one) => one.id === id)!;
  expect((await rowOf(follows.id)).follows?.newest).toBe(true);
  expect((await rowOf(stays.id)).follows?.newest).toBe(false);
  expect((await tobias.post(`assignments/${stays.id}/follow-rules`)).status).toBe(204);
  expect([await points(stays.id), (await rowOf(stays.id)).follows?.newest]).toEqual([[3, 4, 1], true]);
});

test('a word mended in the rules is an amendment too, and what follows is not taken for changed by hand', async () => {
  const { tobias, rulesId, save, begin, requirementsOf } = await roomWithRules('Rules 7F');
  await save(rulesId, 'requirements', { requirements: [{ ...requirement('rule-1', 2), hint: 'Lok again.' }] });
  await tobias.post(`assignments/${rulesId}/amended-rules`, { assignments: [] });
  const { id } = await begin();
  await save(rulesId, 'requirements', { requirements: [{ ...requirement('rule-1', 2), hint: 'Look again.' }] });
  const { body } = await tobias.get<RulesPreview>(`assignments/${rulesId}/amended-rules`);
  expect(body.differs).toBe(true);
  expect(body.assignments[0]!.changes).toEqual([{ of: 'requirement', id: 'rule-1', does: 'changed' }]);
  await tobias.post(`assignments/${rulesId}/amended-rules`, { assignments: [id] });
  expect(await requirementsOf(id)).toMatchObject([{ hint: 'Look again.' }]);
  expect((await tobias.post(`assignments/${rulesId}/next-revision`)).status).toBe(422);
});

test('standing rules are their teachers’, and are no assignment', async () => {
  const { tobias, room, rulesId } = await roomWithRules('Rules 7D');
  const maren = await Person.signedIn('maren');
  expect((await maren.get(`assignments/${rulesId}/sheet`)).status).toBe(404);
  expect((await maren.post('assignments/sheets', { forClass: room.id })).status).toBe(404);
  const { body: me } = await maren.get<{ me: { id: string } }>('welcome');
  await tobias.post(`classes/${room.id}/people`, { accountId: me.me.id, part: 'teacher' });
  expect((await maren.get(`assignments/${rulesId}/sheet`)).status).toBe(200);
  expect((await maren.get<AssignmentRow[]>('assignments')).body.map(({ id }) => id)).not.toContain(rulesId);
  const given = await tobias.post(`assignments/${rulesId}/publications`, { classId: room.id });
  expect([given.status, given.problem.detail]).toEqual([422, 'Standing rules are put in force, not given out.']);
  expect((await tobias.call('PATCH', `assignments/${rulesId}`, { archived: true })).status).toBe(422);
});

test('what is kept as ready-made stays as it was kept, for every teacher, until its owner takes it back', async () => {
  const [maren, tobias] = [await Person.signedIn('maren'), await Person.signedIn('tobias')];
  const { body: sheet } = await maren.post<SheetDetail>('assignments/sheets', { readyMade: 'timeline' });
  expect((await tobias.post('ready-made', { assignmentId: sheet.id, guidance: '' })).status).toBe(404);
  await maren.post('ready-made', { assignmentId: sheet.id, guidance: 'For the end of a unit.' });
  const find = async (who: Person) =>
    (await who.get<ReadyMadeRow[]>('ready-made')).body.find(({ guidance }) => guidance === 'For the end of a unit.');
  const kept = (await find(tobias))!;
  expect(kept).toMatchObject({ title: 'Timeline', mine: false, owner: { givenName: 'Maren' } });
  const { version, body } = sheet.parts.task!;
  await maren.call('PUT', `assignments/${sheet.id}/sheet/task`, { version, body: { ...body, title: 'Another' } });
  const { body: begun } = await tobias.post<SheetDetail>('assignments/sheets', { readyMade: kept.id });
  expect(begun).toMatchObject({ title: 'Timeline', mayChange: true });
  expect(begun.parts.task!.body).toMatchObject({ guidance: 'For the end of a unit.' });
  expect((await tobias.call('DELETE', `ready-made/${kept.id}`)).status).toBe(404);
  expect((await maren.call('DELETE', `ready-made/${kept.id}`)).status).toBe(204);
  expect(await find(tobias)).toBeUndefined();
  // An unfinished one is not kept.
  const { body: empty } = await maren.post<SheetDetail>('assignments/sheets');
  expect((await maren.post('ready-made', { assignmentId: empty.id, guidance: '' })).status).toBe(422);
});

test('opens when it is said to, and is gone from Today once it is put away', async () => {
  const tobias = await Person.signedIn('tobias');
  const { body: room } = await tobias.post<ClassRow>('classes', { name: 'Later 7E' });
  const student = await Person.newcomer('Linnea');
  const { body: welcome } = await student.get<{ me: { id: string } }>('welcome');
  await tobias.post(`classes/${room.id}/join-code`, { open: true });
  const { joinCode } = (await tobias.post<{ joinCode: string }>(`classes/${room.id}/join-code`, { open: true })).body;
  await student.post('classes/join', { code: joinCode });
  const { body: sheet } = await tobias.post<SheetDetail>('assignments/sheets', { readyMade: 'timeline' });
  const [soon, later] = [new Date(Date.now() + 3_600_000), new Date(Date.now() + 7_200_000)];
  const give = (more: object) =>
    tobias.post<AssignmentDetail>(`assignments/${sheet.id}/publications`, { classId: room.id, ...more });
  const upsideDown = await give({ due: soon.toISOString(), opens: later.toISOString() });
  expect([upsideDown.status, upsideDown.problem.problems![0]!.path]).toEqual([422, '$.opens']);
  const [publication] = (await give({ due: later.toISOString(), opens: soon.toISOString() })).body.publications;
  const tasks = async () =>
    (await student.get<StudentTask[]>('today/student')).body.filter(({ className }) => className === 'Later 7E');
  expect(await tasks()).toEqual([]);
  const early = await student.post(`publications/${publication!.id}/work`);
  expect([early.status, early.problem.detail]).toEqual([409, 'This assignment is not open yet.']);
  await tobias.call('PATCH', `publications/${publication!.id}`, { opens: null });
  expect(await tasks()).toHaveLength(1);
  expect((await student.post(`publications/${publication!.id}/work`)).status).toBe(201);
  const maps = (await tobias.get<ClassMap[]>(`assignments/${sheet.id}/class-maps`)).body;
  expect(maps.map(({ className, state, members }) => [className, state, members[0]!.id])).toEqual([
    ['Later 7E', 'in progress', welcome.me.id],
  ]);

  await tobias.call('PATCH', `assignments/${sheet.id}`, { archived: true });
  expect(await tasks()).toEqual([]);
  const { body: away } = await tobias.get<AssignmentDetail>(`assignments/${sheet.id}`);
  expect([away.archived, away.publications[0]!.closed]).toEqual([true, true]);
  await tobias.call('PATCH', `assignments/${sheet.id}`, { archived: false });
  expect(await tasks()).toHaveLength(1);
});

test('what a marker has opened is remembered for that marker alone', async () => {
  const [maren, piet] = [await Person.signedIn('maren'), await Person.signedIn('piet')];
  const { publicationId } = await maren.teacherTask();
  const { handIn, client, work } = await drawn('Runa');
  const { id } = (await handIn()).body;
  client.close();
  const lookedAt = async (who: Person) =>
    (await who.get<Pile>(`publications/${publicationId}/pile`)).body.entries.find(({ workId }) => workId === work.id)!
      .submission!.lookedAt;
  expect(await lookedAt(maren)).toBe(false);
  await maren.get(`submissions/${id}`);
  await maren.get(`submissions/${id}`);
  expect([await lookedAt(maren), await lookedAt(piet)]).toEqual([true, false]);
});

test('the reference is shown to whose map came back, where the teacher allows it', async () => {
  const maren = await Person.signedIn('maren');
  const { publicationId } = await maren.teacherTask();
  const { person, handIn, client } = await drawn('Ragna');
  const { id } = (await handIn()).body;
  client.close();
  const look = async () => (await person.get(`submissions/${id}/reference`)).status;
  const allow = (showsReference: boolean) => maren.call('PATCH', `publications/${publicationId}`, { showsReference });
  await allow(true);
  expect(await look()).toBe(404);
  await maren.post(`submissions/${id}/return`, { unjudged: true });
  expect(await look()).toBe(200);
  await allow(false);
  expect(await look()).toBe(404);
});
