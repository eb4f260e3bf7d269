import type { AssignmentDetail, AssignmentRow, ClassRow } from '@ichnograph/contract';
import { Person } from './setup/client.js';

const maren = (): Promise<Person> => Person.signedIn('maren');
const demoFile = async (person: Person): Promise<Record<string, unknown>> => {
  const { body: rows } = await person.get<AssignmentRow[]>('assignments');
  const bridges = rows.find(({ title }) => title === 'How bridges carry loads')!;
  return (await person.get<Record<string, unknown>>(`assignments/${bridges.id}/file`)).body;
};

test('what is brought in comes out again, unknown fields too', async () => {
  const person = await maren();
  const file = { ...(await demoFile(person)), title: 'Bridges again', ourOwnField: { kept: true } };
  const made = await person.post<AssignmentDetail>('assignments', { file });
  expect(made.status).toBe(201);
  expect((await person.get(`assignments/${made.body.id}/file`)).body).toEqual(file);
});

test.each([
  [
    'a missing field',
    (file: any) => {
      delete file.brief;
    },
    '$.brief',
    'is missing',
  ],
  [
    'a wrong colour',
    (file: any) => {
      file.legend.topicKinds[1].fill = 'blue';
    },
    '$.legend.topicKinds[1].fill',
    'colour',
  ],
  [
    'a link to nowhere',
    (file: any) => {
      file.starter.links = [{ id: 'l', from: 'bridge', to: 'gone', phrase: '', kind: null }];
    },
    '$.starter.links[0].to',
    'gone',
  ],
  [
    'an unknown requirement',
    (file: any) => {
      file.requirements[0].type = 'be-good';
    },
    '$.requirements[0].type',
    'be-good',
  ],
  [
    'a wrong parameter',
    (file: any) => {
      file.requirements[3].params.min = 'two';
    },
    '$.requirements[3].params.min',
    'number',
  ],
  [
    'a parameter nobody knows',
    (file: any) => {
      file.requirements[6].params.colour = 1;
    },
    '$.requirements[6].params.colour',
    'no such',
  ],
  [
    'two of one id',
    (file: any) => {
      file.requirements[1].id = 'r1';
    },
    '$.requirements[1].id',
    'twice',
  ],
  [
    'another format',
    (file: any) => {
      file.format = 'something';
    },
    '$.format',
    'must be',
  ],
])('%s is refused with path and reason, and nothing is taken', async (_, spoil, path, reason) => {
  const person = await maren();
  const file = structuredClone(await demoFile(person));
  // Other files of tests bring assignments in meanwhile.
  const title = `Spoilt: ${path}`;
  (file as { title: string }).title = title;
  spoil(file);
  const answer = await person.post('assignments', { file });
  expect(answer.status).toBe(422);
  const place = answer.problem.problems!.find((one) => one.path === path);
  expect(place?.reason).toContain(reason);
  const { body: rows } = await person.get<AssignmentRow[]>('assignments');
  expect(rows.map((row) => row.title)).not.toContain(title);
});

test('is given to a class of one’s own, once, with a due time to come', async () => {
  const person = await maren();
  const { body: made } = await person.post<AssignmentDetail>('assignments', {
    file: { ...(await demoFile(person)), title: 'Given once' },
  });
  const [room] = (await person.get<ClassRow[]>('classes')).body;
  const give = (more: object) =>
    person.post<AssignmentDetail>(`assignments/${made.id}/publications`, { classId: room!.id, ...more });
  expect((await give({ due: '2001-01-01T10:00:00Z' })).problem.problems).toEqual([
    { path: '$.due', reason: 'is past' },
  ]);
  expect((await give({ due: 'soon' })).status).toBe(422);
  expect((await give({ due: '2099-01-01T10:00:00+02:00' })).body.publications[0]).toMatchObject({
    due: '2099-01-01T08:00:00.000Z',
    revision: 1,
  });
  expect((await give({})).status).toBe(409);
});

test('another teacher’s assignment, and a class one does not teach, are not there', async () => {
  const [person, tobias] = [await maren(), await Person.signedIn('tobias')];
  // Other tests make assignments and classes that both have: these two are Maren's alone.
  const mine = (await person.get<AssignmentRow[]>('assignments')).body.find(
    ({ title }) => title === 'How bridges carry loads',
  );
  const room = (await person.get<ClassRow[]>('classes')).body.find(({ name }) => name === 'Technology 9B');
  expect((await tobias.get(`assignments/${mine!.id}`)).status).toBe(404);
  expect((await tobias.get(`assignments/${mine!.id}/file`)).status).toBe(404);
  const { body: his } = await tobias.post<AssignmentDetail>('assignments', {
    file: { ...(await demoFile(person)), title: 'His' },
  });
  expect((await tobias.post(`assignments/${his.id}/publications`, { classId: room!.id })).status).toBe(404);
});
