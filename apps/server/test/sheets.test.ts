import type { AssignmentDetail, ClassRow, RosterEntry, SheetDetail, SheetNow } from '@ichnograph/contract';
import { Person } from './setup/client.js';

/** A sheet with enough on it to be given out, that Maren shares with Tobias. */
async function shared(title: string) {
  const [maren, tobias] = [await Person.signedIn('maren'), await Person.signedIn('tobias')];
  const { body: sheet } = await maren.post<SheetDetail>('assignments/sheets');
  const task = { ...sheet.parts.task!.body, title };
  await maren.call('PUT', `assignments/${sheet.id}/sheet/task`, { version: 1, body: task });
  const { body: me } = await tobias.get<{ me: { id: string } }>('welcome');
  expect((await maren.post(`assignments/${sheet.id}/collaborators`, { accountId: me.me.id })).status).toBe(204);
  const save = (who: Person, part: string, version: number, body: unknown) =>
    who.call<{ version: number }>('PUT', `assignments/${sheet.id}/sheet/${part}`, { version, body });
  return { maren, tobias, id: sheet.id, task, save };
}

test('a part is saved over no other teacher’s words, and the same words that come again are no conflict', async () => {
  const { maren, tobias, id, task, save } = await shared('Two at one sheet');
  const mine = await save(maren, 'task', 2, { ...task, brief: 'Mine' });
  expect([mine.status, mine.body.version]).toEqual([200, 3]);
  // The answer was lost and the page sends it again.
  expect((await save(maren, 'task', 2, { ...task, brief: 'Mine' })).body).toEqual({ version: 3 });
  const his = await save(tobias, 'task', 2, { ...task, brief: 'His' });
  expect([his.status, his.problem.detail]).toEqual([
    409,
    'Maren changed this part meanwhile, so it was not saved over it.',
  ]);
  // Another part is another matter.
  expect((await save(tobias, 'criteria', 1, { criteria: [] })).status).toBe(200);
  const { body: now } = await tobias.get<SheetDetail>(`assignments/${id}/sheet`);
  expect(now.parts.task).toMatchObject({ version: 3, body: { brief: 'Mine' }, changedBy: { givenName: 'Maren' } });
  await maren.post(`assignments/${id}/here`);
  const { body: here } = await tobias.post<SheetNow>(`assignments/${id}/here`);
  expect(here.here.map(({ givenName }) => givenName)).toEqual(['Maren', 'Tobias']);
  expect(here.versions).toMatchObject({ task: 3, criteria: 2, terms: 1 });
});

test('of what does not belong on a sheet nothing is saved', async () => {
  const { maren, id, save } = await shared('Bad parts');
  expect((await save(maren, 'terms', 1, { terms: [{ text: 'x'.repeat(301) }] })).status).toBe(422);
  expect((await save(maren, 'terms', 1, null)).status).toBe(422);
  expect((await save(maren, 'remarks', 1, {})).status).toBe(404);
  expect((await maren.get<SheetDetail>(`assignments/${id}/sheet`)).body.parts.terms!.version).toBe(1);
});

test('is given out as it stands, once, and only when it is complete; a changed sheet is a new revision', async () => {
  const { maren, id, task, save } = await shared('');
  const { body: classes } = await maren.get<ClassRow[]>('classes');
  const classId = classes.find(({ name }) => name === 'Technology 9B')!.id;
  const give = () => maren.post<AssignmentDetail>(`assignments/${id}/publications`, { classId });
  const early = await give();
  expect([early.status, early.problem.problems![0]!.path]).toEqual([422, '$.title']);
  await save(maren, 'task', 2, { ...task, title: 'Given as it stands' });
  const twice = await Promise.all([give(), give()]);
  expect(twice.map(({ status }) => status).sort()).toEqual([201, 409]);
  const { body: given } = await maren.get<AssignmentDetail>(`assignments/${id}`);
  expect([given.title, given.revision, given.publications.length]).toEqual(['Given as it stands', 1, 1]);
});

test('a ready-made one is a sheet of one’s own too, which can be given out as it is', async () => {
  const maren = await Person.signedIn('maren');
  expect((await maren.post('assignments/sheets', { readyMade: 'no such' })).status).toBe(404);
  const { body: made } = await maren.post<SheetDetail>('assignments/sheets', { readyMade: 'timeline' });
  expect(made).toMatchObject({ title: 'Timeline', revision: 0 });
  const { body: classes } = await maren.get<ClassRow[]>('classes');
  const classId = classes.find(({ name }) => name === 'Technology 9B')!.id;
  const given = await maren.post<AssignmentDetail>(`assignments/${made.id}/publications`, { classId });
  expect([given.status, given.body.revision]).toEqual([201, 1]);
  expect(given.body.file).not.toHaveProperty('guidance');
});

test('a copy is a sheet of one’s own; another’s assignment cannot be copied', async () => {
  const [maren, tobias] = [await Person.signedIn('maren'), await Person.signedIn('tobias')];
  const { assignmentId } = await maren.teacherTask();
  expect((await tobias.post('assignments/sheets', { copyOf: assignmentId })).status).toBe(404);
  const { body: copy } = await maren.post<SheetDetail>('assignments/sheets', { copyOf: assignmentId });
  expect(copy).toMatchObject({ title: 'How bridges carry loads (copy)', revision: 0, publications: [] });
  const file = async (id: string) => (await maren.get<Record<string, unknown>>(`assignments/${id}/file`)).body;
  expect({ ...(await file(copy.id)), title: '' }).toEqual({ ...(await file(assignmentId)), title: '' });
});

test('an assignment whose class one only assists is read, not written', async () => {
  const [maren, piet] = [await Person.signedIn('maren'), await Person.signedIn('piet')];
  const { assignmentId } = await maren.teacherTask();
  const { body: classes } = await maren.get<ClassRow[]>('classes');
  const people = (
    await maren.get<RosterEntry[]>(`classes/${classes.find(({ name }) => name === 'Technology 9B')!.id}/people`)
  ).body;
  expect(people.find(({ name }) => name === 'piet')?.part).toBe('assistant');
  expect((await piet.get(`assignments/${assignmentId}/sheet`)).status).toBe(403);
  expect((await piet.get<AssignmentDetail>(`assignments/${assignmentId}`)).body.file).toHaveProperty('requirements');
});
