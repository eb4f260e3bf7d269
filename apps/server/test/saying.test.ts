import type {
  Pile,
  ReturnedMaps,
  StudentTask,
  SubmissionDetail,
  TeacherTask,
  WorkComments,
} from '@ichnograph/contract';
import { Person, until } from './setup/client.js';
import { classAtWork } from './setup/class-at-work.js';
import { drawn, ownClass } from './setup/works.js';

test('what is said while a map is drawn is read at once, answered, settled, and stands; nobody else reads it', async () => {
  const { person, work, client } = await drawn('Sadie');
  const maren = await Person.signedIn('maren');
  const say = (body: object, who = maren) => who.post<{ id: string }>(`works/${work.id}/comments`, body);
  const { body } = await say({ anchor: 'topic', target: 'own-Sadie', text: 'Which loads?' });
  expect((await say({ anchor: 'topic', target: 'gone', text: 'x' })).status).toBe(422);
  expect((await say({ anchor: 'result', target: 'r1', text: 'x' })).status).toBe(422);
  const threads = async (who = person) => (await who.get<WorkComments>(`works/${work.id}/comments`)).body;
  const read = async () => (await threads()).comments;
  expect(await read()).toMatchObject([{ anchor: 'topic', text: 'Which loads?', settled: false, answers: [] }]);
  // Nothing is closed by it: the student draws on.
  client.live.apply([{ do: 'set', in: 'topics', id: 'own-Sadie', fields: { text: 'Dead loads' } }]);
  await client.saved();
  client.messages.length = 0;
  expect((await person.post(`comments/${body.id}/answers`, { text: 'The dead ones.' })).status).toBe(204);
  await until('those who have the map open to be told', () =>
    client.messages.some(({ type }) => type === 'work changed'),
  );
  client.close();
  expect((await person.call('PUT', `comments/${body.id}/settled`, { settled: true })).status).toBe(204);
  expect(await read()).toMatchObject([{ settled: true, answers: [{ text: 'The dead ones.' }] }]);
  expect((await person.call('PUT', `comments/${body.id}/settled`, { settled: false })).status).toBe(204);
  expect(await read()).toMatchObject([{ settled: false }]);
  const other = await Person.newcomer('Sanna');
  expect((await other.get(`works/${work.id}/comments`)).status).toBe(404);
  expect((await other.post(`comments/${body.id}/answers`, { text: 'Me too.' })).status).toBe(404);
  expect((await say({ anchor: 'map', text: 'Me too.' }, other)).status).toBe(404);
  expect((await maren.call('DELETE', `comments/${body.id}`)).status).toBe(404);
});

test('who draws a map begins threads on it too, and what is new to each is counted until it is read', async () => {
  const { person, work, client } = await drawn('Selma');
  client.close();
  const maren = await Person.signedIn('maren');
  const threads = async (who: Person) => (await who.get<WorkComments>(`works/${work.id}/comments`)).body;
  const today = async () =>
    (await person.get<StudentTask[]>('today/student')).body.find(({ workId }) => workId === work.id)!.unread;
  const pile = async () =>
    (await maren.get<Pile>(`publications/${work.publicationId}/pile`)).body.entries.find(
      ({ workId }) => workId === work.id,
    )!.unread;
  const told = async () =>
    (await maren.get<TeacherTask[]>('today/teacher')).body.find(
      ({ publicationId }) => publicationId === work.publicationId,
    )!.unread;
  const [before, whole] = [await pile(), await told()];
  const { people, mayBegin } = await threads(person);
  expect(mayBegin).toBe(true);
  expect(people.map(({ givenName }) => givenName)).toEqual(expect.arrayContaining(['Selma', 'Maren', 'Piet']));
  const asked = await person.post<{ id: string }>(`works/${work.id}/comments`, {
    anchor: 'topic',
    target: 'own-Selma',
    text: '@Maren, is this a load?',
  });
  expect(asked.status).toBe(201);
  expect([before, await pile(), (await told()) - whole, await today()]).toEqual([0, 1, 1, 0]);
  await maren.post(`comments/${asked.body.id}/answers`, { text: 'It is, and a live one.' });
  expect([await pile(), await today()]).toEqual([1, 1]);
  const [thread] = (await threads(person)).comments;
  const read = (who: Person, until: string) => who.call('PUT', `works/${work.id}/comments/read`, { until });
  expect((await read(person, thread!.answers[0]!.at)).status).toBe(204);
  expect([await pile(), await today()]).toEqual([1, 0]);
  // Nobody reads what is not said yet, and nothing is unread again.
  await read(maren, '2999-01-01T00:00:00Z');
  await read(maren, '2001-01-01T00:00:00Z');
  expect(await pile()).toBe(0);
  await person.post(`comments/${asked.body.id}/answers`, { text: 'Thank you.' });
  expect([await pile(), await today()]).toEqual([1, 0]);
  expect((await read(person, 'yesterday')).status).toBe(422);
});

test('where the teacher wishes it so, students begin no threads; they answer those of their teachers', async () => {
  const { tobias, id, bodies, save, student } = await classAtWork('Quiet');
  await save('task', { ...bodies.task, title: 'Quiet', drawing: { comments: false } });
  expect((await tobias.post(`assignments/${id}/next-revision`)).status).toBe(204);
  const { person, work } = await student('Quim', 'Tide');
  const begin = (who: Person) => who.post<{ id: string }>(`works/${work.id}/comments`, { anchor: 'map', text: 'Hm?' });
  const refused = await begin(person);
  expect([refused.status, refused.problem.detail]).toEqual([
    409,
    'In this assignment comments on a map that is drawn are left to those who teach.',
  ]);
  const said = await begin(tobias);
  expect(said.status).toBe(201);
  expect((await person.post(`comments/${said.body.id}/answers`, { text: 'Yes.' })).status).toBe(204);
  expect((await person.get<WorkComments>(`works/${work.id}/comments`)).body.mayBegin).toBe(false);
});

test('a letter is filled for each map that goes back; what is not complete stays', async () => {
  const { tobias, publicationId, maps } = await ownClass('Letters 9L', ['Lena', 'Lior', 'Lucia']);
  const { body: detail } = await tobias.get<SubmissionDetail>(`submissions/${maps[0]!.id}`);
  const judge = (i: number, value = 1) =>
    Promise.all(
      (detail.assignment.criteria as { id: string }[]).map(({ id }) =>
        tobias.call('PUT', `submissions/${maps[i]!.id}/judgements`, { kind: 'criterion', subject: id, value }),
      ),
    );
  await judge(0);
  await judge(1);
  await tobias.post(`submissions/${maps[0]!.id}/comments`, { anchor: 'map', text: 'Well placed.' });
  const letter = 'Dear {name}, {mark}, {comments}; {what}';
  const { body } = await tobias.post<ReturnedMaps>(`publications/${publicationId}/return-complete`, { letter });
  expect(body).toEqual({ returned: 2, left: 1 });
  const read = async (i: number) =>
    (await maps[i]!.person.get<SubmissionDetail>(`submissions/${maps[i]!.id}`)).body.letter;
  expect(await read(0)).toMatch(/^Dear Lena, [\d.]+ of [\d.]+, one comment; \{what\}$/);
  expect(await read(1)).toMatch(/^Dear Lior, .* 0 comments/);
  expect(await read(2)).toBeNull();
  // Read, it stands; sent again, nothing is left to return.
  expect((await tobias.post(`submissions/${maps[0]!.id}/take-back`)).status).toBe(409);
  expect((await tobias.post<ReturnedMaps>(`publications/${publicationId}/return-complete`, {})).body).toEqual({
    returned: 0,
    left: 1,
  });
});

test('a return in the middle of a hand-in: one of the two is done, the other is told, and no map is half of either', async () => {
  const { tobias, publicationId, maps } = await ownClass('Races 9R', ['Rafa', 'Ragnhild', 'Raoul', 'Rasmus']);
  const outcomes = await Promise.all(
    maps.map(async ({ person, id, workId }) => {
      const client = person.live(workId);
      await client.opened();
      const [back, again] = await Promise.all([
        tobias.post(`submissions/${id}/return`, { unjudged: true }),
        person.post(`works/${workId}/hand-in`, { client: client.client, count: client.live.made }),
      ]);
      client.close();
      return [back.status, again.status];
    }),
  );
  const { entries } = (await tobias.get<Pile>(`publications/${publicationId}/pile`)).body;
  maps.forEach(({ workId, id }, i) => {
    const entry = entries.find((one) => one.workId === workId)!;
    const [back, again] = outcomes[i]!;
    if (back === 204) {
      expect([again, entry.state, entry.submission!.id]).toEqual([409, 'returned', id]);
      expect(entry.submission!.returnedAt).not.toBeNull();
    } else {
      expect([back, again, entry.state, entry.submission!.number]).toEqual([409, 201, 'handed in', 2]);
      expect(entry.submission!.returnedAt).toBeNull();
    }
  });
});
