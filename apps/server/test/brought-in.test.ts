import type { Legend } from '@ichnograph/core';
import { checkMap, emptyMap, readAssignment, readMap, understood, writeMap } from '@ichnograph/core';
import type { Pile, StudentTask, SubmissionDetail, WorkDetail } from '@ichnograph/contract';
import { classAtWork } from './setup/class-at-work.js';
import { Person } from './setup/client.js';

/** A map of a legend of its own, whose one kind has a name that the assignment may know. */
const mapOf = (kindName: string, ...texts: string[]) =>
  writeMap({
    ...emptyMap(),
    title: 'From elsewhere',
    author: 'Somebody else',
    topics: texts.map((text, i) => ({
      id: `t${i}`,
      text,
      kind: 'family',
      x: 0,
      y: 90 * i,
      width: 120,
      height: 40,
      by: 'forged',
      origin: 'forged',
    })),
    links: texts.slice(1).map((_, i) => ({ id: `l${i}`, from: 't0', to: `t${i + 1}`, phrase: 'has', kind: null })),
    legend: {
      topicKinds: [
        { id: 'family', name: kindName, purpose: '', givenBy: 'student', shape: 'ellipse', fill: '#ffffff' },
      ],
      linkKinds: [],
    },
  });

const mapWith = (...texts: string[]) => mapOf('Family', ...texts);

/** A class whose three students are there and have begun nothing. */
async function waitingClass(title: string) {
  const { tobias, room, bodies, publicationId: publication } = await classAtWork(title);
  const head = await Person.signedIn('halina');
  const students = await Promise.all(
    ['Ada', 'Bo', 'Cy'].map(async (givenName) => {
      const name = `${givenName}-${title}`.toLowerCase();
      const password = 'a long first one';
      const { id } = (
        await head.post<{ id: string }>('accounts', {
          role: 'student',
          givenName,
          familyName: 'Brought',
          name,
          password,
        })
      ).body;
      await head.post(`classes/${room.id}/people`, { accountId: id, part: 'student' });
      return { id, name, password };
    }),
  );
  const pile = async () => (await tobias.get<Pile>(`publications/${publication}/pile`)).body.entries;
  const { legend } = bodies.legend as { legend: Legend };
  return { tobias, students, publication, pile, own: legend.topicKinds.find(({ id }) => id === 'own')! };
}

test('the files of a class are handed in at once, checked as all are, and say where they came from', async () => {
  const { tobias, students, publication, pile, own } = await waitingClass('Brought');
  const maps = students.slice(0, 2).map(({ id }, i) => ({
    studentId: id,
    fileName: `map ${i}.graphml`,
    map: mapOf(own.name, 'Bridge', 'Arch', `Own ${i}`),
  }));
  expect((await tobias.post(`brought-in/${publication}`, { maps })).status).toBe(204);
  const entries = await pile();
  expect(entries.map(({ state, submission }) => [state, submission?.broughtFrom])).toEqual(
    [
      ['handed in', 'map 0.graphml'],
      ['handed in', 'map 1.graphml'],
      ['in progress', undefined],
    ].map(([state, from]) => [state === 'in progress' ? expect.any(String) : state, from]),
  );
  const { body } = await tobias.get<SubmissionDetail>(`submissions/${entries[0]!.submission!.id}`);
  expect(body).toMatchObject({ broughtFrom: 'map 0.graphml', late: false, number: 1 });
  expect(body.handedInBy.givenName).toBe('Tobias');
  expect(body.map.author).toBe('Ada Brought');
  const topics = body.map.topics as { by: string; origin?: string; kind: string }[];
  // Whose it is the server says, and what kind, the assignment's legend; nothing of it was given.
  expect(topics.map(({ by, origin }) => [by, origin])).toEqual(topics.map(() => [students[0]!.id, undefined]));
  const given = understood(readAssignment(body.assignment));
  expect(new Set(topics.map(({ kind }) => kind))).toEqual(new Set([own.id]));
  const again = checkMap(understood(readMap(body.map)), given, {
    members: body.members.map(({ id }) => id),
    due: null,
    handedIn: body.handedInAt,
  });
  expect(JSON.parse(JSON.stringify(again))).toEqual(body.report);
  expect(again.results.length).toBeGreaterThan(0);
  // Judged and returned like any other.
  expect((await tobias.post(`submissions/${body.id}/return`, { unjudged: true })).status).toBeLessThan(300);
  const ada = await Person.signedIn(students[0]!.name);
  await ada.post('password', { current: students[0]!.password, next: 'a password of my own' });
  const [task] = (await ada.get<StudentTask[]>('today/student')).body;
  expect(task!.state).toBe('returned');
  const work = (await ada.get<WorkDetail>(`works/${task!.workId}`)).body;
  const live = ada.live(work.id);
  await live.opened();
  expect(live.live.snapshot.topics.map(({ text }) => text)).toEqual(['Bridge', 'Arch', 'Own 0']);
  live.close();
  // Whoever goes takes their name along, also out of the file's.
  const head = await Person.signedIn('halina');
  expect((await head.post(`accounts/${students[0]!.id}/erase`)).status).toBe(204);
  const left = (await tobias.get<SubmissionDetail>(`submissions/${entries[0]!.submission!.id}`)).body;
  expect([left.broughtFrom, left.map.author]).toEqual(['', '']);
});

test('all of them are made, or none; sent twice, they are made once', async () => {
  const { tobias, students, publication, pile } = await waitingClass('Refused');
  const [ada, bo] = students.map(({ id }) => id);
  const one = (studentId: string, map: object = mapWith('Bridge')) => ({ studentId, fileName: 'a.csv', map });
  const bring = (maps: object[], act?: string) =>
    tobias.call('POST', `brought-in/${publication}`, { maps }, act ? { 'idempotency-key': act } : {});
  const refusals: [object[], number, RegExp][] = [
    [[one(ada!), one(bo!, { format: 'ichnograph-map', version: 1 })], 422, /“a.csv” holds no map/],
    [[one(ada!), one(ada!)], 422, /would both be handed in for Ada Brought/],
    [[one(ada!), one('00000000-0000-4000-8000-000000000000')], 404, /student/],
    [[], 422, /choose a file/],
  ];
  for (const [maps, status, words] of refusals) {
    const answer = await bring(maps);
    expect([answer.status, JSON.stringify(answer.problem)]).toEqual([status, expect.stringMatching(words)]);
  }
  expect((await pile()).filter(({ submission }) => submission)).toEqual([]);
  const act = '11111111-1111-4111-8111-111111111111';
  for (let i = 0; i < 2; i++) expect((await bring([one(ada!)], act)).status).toBe(204);
  expect((await pile()).filter(({ submission }) => submission)).toHaveLength(1);
  const again = await bring([one(bo!), one(ada!)]);
  expect([again.status, again.problem.detail]).toEqual([409, expect.stringMatching(/Ada Brought has begun a map/)]);
  expect((await pile()).filter(({ submission }) => submission)).toHaveLength(1);
});
