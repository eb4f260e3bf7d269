import { randomUUID } from 'node:crypto';
import type {
  AssignmentDetail,
  AssignmentRow,
  CommentRow,
  Pile,
  SubmissionDetail,
  WorkDetail,
} from '@ichnograph/contract';
import { Person, until } from './setup/client.js';
import { drawn } from './setup/works.js';

const stateOf = async (person: Person, id: string): Promise<string> =>
  (await person.get<SubmissionDetail>(`submissions/${id}`)).body.state;

test('a map is let go with its last comment or by hand; what was deleted can be brought back', async () => {
  const [{ person, work, client, handIn }, maren] = [await drawn('Cedar'), await Person.signedIn('maren')];
  const { id } = (await handIn()).body;
  const { body: comment } = await maren.post<CommentRow>(`submissions/${id}/comments`, { anchor: 'map', text: 'Hm.' });
  expect(await stateOf(maren, id)).toBe('being marked');
  expect((await maren.call('DELETE', `comments/${comment.id}`)).status).toBe(204);
  expect(await stateOf(maren, id)).toBe('handed in');
  expect((await maren.get<CommentRow[]>(`submissions/${id}/comments`)).body).toEqual([]);
  expect((await maren.post<CommentRow>(`comments/${comment.id}/restore`)).body.text).toBe('Hm.');
  expect(await stateOf(maren, id)).toBe('being marked');
  expect((await person.get<WorkDetail>(`works/${work.id}`)).body.mayEdit).toBe(false);
  expect((await maren.post(`submissions/${id}/let-go`)).status).toBe(204);
  expect((await person.get<WorkDetail>(`works/${work.id}`)).body).toMatchObject({ state: 'handed in', mayEdit: true });
  // The connection that was open all the while may write again.
  client.live.apply([{ do: 'entitle', fields: { title: 'Open again' } }]);
  await client.saved();
  client.close();
});

test('a return can be taken back until a member has read it', async () => {
  const [{ person, client, handIn }, maren] = [await drawn('Dill'), await Person.signedIn('maren')];
  const { id } = (await handIn()).body;
  client.close();
  expect((await maren.post(`submissions/${id}/take-back`)).status).toBe(409);
  await maren.post(`submissions/${id}/return`, { unjudged: true });
  expect((await maren.post(`submissions/${id}/take-back`)).status).toBe(204);
  expect(await stateOf(maren, id)).toBe('being marked');
  expect((await person.get<SubmissionDetail>(`submissions/${id}`)).body.returnedAt).toBeNull();
  await maren.post(`submissions/${id}/return`, { unjudged: true });
  await person.get(`submissions/${id}`);
  const late = await maren.post(`submissions/${id}/take-back`);
  expect([late.status, late.problem.detail]).toEqual([409, 'This return has been read already, so it stands.']);
});

test('the class’s other teachers and assistants read its assignment; who shares it may give it out too', async () => {
  const [maren, piet, tobias] = [
    await Person.signedIn('maren'),
    await Person.signedIn('piet'),
    await Person.signedIn('tobias'),
  ];
  const { assignmentId } = await maren.teacherTask();
  const seen = await piet.get<AssignmentDetail>(`assignments/${assignmentId}`);
  expect([seen.status, seen.body.mayChange, seen.body.owner.givenName]).toEqual([200, false, 'Maren']);
  expect((await piet.get<AssignmentRow[]>('assignments')).body.map(({ id }) => id)).toContain(assignmentId);
  const wanted = { classId: randomUUID() };
  expect((await piet.post(`assignments/${assignmentId}/publications`, wanted)).status).toBe(403);
  expect((await tobias.get(`assignments/${assignmentId}`)).status).toBe(404);
  const halina = await Person.signedIn('halina');
  const people = (await halina.get<{ id: string; name: string }[]>('accounts')).body;
  const accountId = people.find(({ name }) => name === 'tobias')!.id;
  expect((await tobias.post(`assignments/${assignmentId}/collaborators`, { accountId })).status).toBe(404);
  expect((await maren.post(`assignments/${assignmentId}/collaborators`, { accountId })).status).toBe(204);
  expect((await tobias.get<AssignmentDetail>(`assignments/${assignmentId}`)).body.mayChange).toBe(true);
  expect((await maren.call('DELETE', `assignments/${assignmentId}/collaborators/${accountId}`)).status).toBe(204);
  expect((await tobias.get(`assignments/${assignmentId}`)).status).toBe(404);
});

test('who leaves loses that class alone; what they handed in stays in the pile, and Today says the same', async () => {
  const [{ person, work, client, handIn }, halina, maren] = [
    await drawn('Elder'),
    await Person.signedIn('halina'),
    await Person.signedIn('maren'),
  ];
  await handIn();
  const accounts = (await halina.get<{ id: string; name: string }[]>('accounts')).body;
  const idOf = (name: string): string => accounts.find((one) => one.name === name)!.id;
  const { body: second } = await halina.post<{ id: string }>('classes', { name: 'Technology, evening' });
  const enrol = (name: string, part: string) =>
    halina.post(`classes/${second.id}/people`, { accountId: idOf(name), part });
  await enrol('new-elder', 'student');
  await enrol('maren', 'teacher');
  const { assignmentId } = await maren.teacherTask();
  const { body: given } = await maren.post<AssignmentDetail>(`assignments/${assignmentId}/publications`, {
    classId: second.id,
  });
  const publication = given.publications.find(({ classId }) => classId === second.id)!;
  const { body: other } = await person.post<WorkDetail>(`publications/${publication.id}/work`);
  const stays = person.live(other.id);
  await stays.opened();

  const first = (await halina.get<{ id: string; name: string }[]>('classes')).body.find(
    ({ name }) => name === 'Technology 9B',
  )!;
  expect((await halina.call('DELETE', `classes/${first.id}/people/${idOf('new-elder')}`)).status).toBe(204);
  await until('the map of the class that was left to close', () => client.closedBecause === 'not yours');
  stays.live.apply([{ do: 'entitle', fields: { title: 'Still here' } }]);
  await stays.saved();
  expect(stays.closedBecause).toBeNull();

  const pile = (await maren.get<Pile>(`publications/${work.publicationId}/pile`)).body;
  const entry = pile.entries.find(({ workId }) => workId === work.id)!;
  expect(entry).toMatchObject({ left: true, state: 'handed in' });
  const task = (
    await maren.get<{ publicationId: string; counts: Record<string, number> }[]>('today/teacher')
  ).body.find(({ publicationId }) => publicationId === work.publicationId)!;
  for (const state of ['not begun', 'handed in', 'returned'])
    expect(task.counts[state]).toBe(pile.entries.filter((one) => one.state === state).length);
  expect((await maren.post(`submissions/${entry.submission!.id}/return`, { unjudged: true })).status).toBe(204);
  client.close();
  stays.close();
});
