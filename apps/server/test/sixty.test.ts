import { randomUUID } from 'node:crypto';
import { ACT_HEADER } from '@ichnograph/contract';
import type {
  Card,
  ClassRow,
  MarkChangeRow,
  Pile,
  PileEntry,
  RosterEntry,
  StudentTask,
  SubmissionDetail,
  VersionRow,
  WorkDetail,
} from '@ichnograph/contract';
import { classAtWork } from './setup/class-at-work.js';
import { OWN_PASSWORD, Person } from './setup/client.js';

const SIXTY = 60;
const statuses = (answers: readonly { status: number }[]): number[] => [
  ...new Set(answers.map(({ status }) => status)),
];

/** Sixty students with passwords of their own, in a class of nobody's. */
async function sixtyStudents(): Promise<Person[]> {
  const halina = await Person.signedIn('halina');
  const { body: room } = await halina.post<ClassRow>('classes', { name: 'Sixty' });
  const people = Array.from({ length: SIXTY }, (_, i) => ({ givenName: `Sixtieth${i}`, familyName: 'Pupil' }));
  const { body: cards } = await halina.post<Card[]>(`classes/${room.id}/students`, { people });
  return Promise.all(
    cards.map(async ({ name, password }) => {
      const person = await Person.signedIn(name);
      await person.post('password', { current: password, next: OWN_PASSWORD });
      return person;
    }),
  );
}

/** Everyone does it in the same instant; while they do, the server still answers somebody who only reads. */
async function atOnce<T>(people: readonly Person[], deed: (person: Person, i: number) => Promise<T>): Promise<T[]> {
  const [answers, welcome] = await Promise.all([Promise.all(people.map(deed)), new Person().get('welcome')]);
  expect(welcome.status).toBe(200);
  return answers;
}

test('sixty at one instant: each kind of act is done for each, once, and nobody waits for ever', async () => {
  const [students, { tobias, room, publicationId, id, requirement, save }] = await Promise.all([
    sixtyStudents(),
    classAtWork('Sixty at once'),
  ]);
  const code = (await tobias.post<{ joinCode: string }>(`classes/${room.id}/join-code`, { open: true })).body.joinCode;

  expect(statuses(await atOnce(students, (one) => one.post('classes/join', { code })))).toEqual([200]);
  const roster = (await tobias.get<RosterEntry[]>(`classes/${room.id}/people`)).body;
  expect(roster.filter(({ part }) => part === 'student')).toHaveLength(SIXTY);

  const begun = await atOnce(students, (one) => one.post<WorkDetail>(`publications/${publicationId}/work`));
  expect(statuses(begun)).toEqual([201]);
  const works = begun.map(({ body }) => body.id);
  expect(new Set(works).size).toBe(SIXTY);
  // Begun again by all in several tabs: the same works.
  const again = await atOnce(students, (one) => one.post<WorkDetail>(`publications/${publicationId}/work`));
  expect(again.map(({ body }) => body.id)).toEqual(works);

  // One hundred names for one map: one hundred are kept, and not one more.
  const names = Array.from({ length: 107 }, (_, i) => `Version ${i}`);
  const kept = await Promise.all(names.map((name) => students[0]!.post(`works/${works[0]}/versions`, { name })));
  expect(kept.filter(({ status }) => status === 201)).toHaveLength(100);
  expect(statuses(kept.filter(({ status }) => status !== 201))).toEqual([409]);
  const versions = (await students[0]!.get<VersionRow[]>(`works/${works[0]}/versions`)).body;
  expect(versions.filter(({ name }) => name !== null)).toHaveLength(100);

  const handedIn = await atOnce(students, (one, i) =>
    one.post<SubmissionDetail>(`works/${works[i]}/hand-in`, { client: 'nobody', count: 0 }),
  );
  expect(statuses(handedIn)).toEqual([201]);
  const submissions = handedIn.map(({ body }) => body.id);

  const teacher = Array.from({ length: SIXTY }, () => tobias);
  const said = await atOnce(teacher, (one, i) =>
    one.post(`submissions/${submissions[i]}/comments`, { anchor: 'map', text: 'Look again.' }),
  );
  expect(statuses(said)).toEqual([201]);
  const points = await atOnce(teacher, (one, i) =>
    one.call('PUT', `submissions/${submissions[i]}/judgements`, {
      kind: 'result',
      subject: 'r1',
      value: i % 3,
      reason: 'As I see it.',
    }),
  );
  expect(statuses(points)).toEqual([204]);

  // The assignment moves on while everything is returned: whoever is first, what is returned stays as it was returned.
  await save('requirements', {
    requirements: [requirement('r1', 'kind-count', { kind: 'own', min: 1 }, 1)],
  });
  const [revised, returned] = await Promise.all([
    tobias.post(`assignments/${id}/next-revision`, {}),
    atOnce(teacher, (one, i) => one.post(`submissions/${submissions[i]}/return`, { unjudged: true })),
  ]);
  expect([revised.status, ...statuses(returned)]).toEqual([204, 204]);
  const { entries } = (await tobias.get<Pile>(`publications/${publicationId}/pile`)).body;
  for (const [i, submission] of submissions.entries()) {
    const { mark } = entries.find((one: PileEntry) => one.submission?.id === submission)!.submission!;
    const trail = (await tobias.get<MarkChangeRow[]>(`submissions/${submission}/trail`)).body;
    const last = trail.findLast(({ kind }) => kind === 'return' || kind === 'check again')!;
    expect([i, last.kind, last.after]).toEqual([i, 'return', mark!.sum]);
    const read = await students[i]!.get<{ mark: { sum: number; outOf: number } }>(`submissions/${submission}/mark`);
    expect([i, read.body.mark.sum, read.body.mark.outOf]).toEqual([i, mark!.sum, mark!.outOf]);
  }

  // Taken to another class, all at once, and the same act twice.
  const { body: other } = await tobias.post<ClassRow>('classes', { name: 'Sixty elsewhere' });
  const people = roster.filter(({ part }) => part === 'student');
  const moved = people.map((person) => {
    const headers = { [ACT_HEADER]: randomUUID() };
    return () => tobias.call('POST', `classes/${room.id}/people/${person.id}/move`, { to: other.id }, headers);
  });
  const moves = await Promise.all(moved.flatMap((move) => [move(), move()]));
  expect(statuses(moves)).toEqual([204]);
  // One whose answer was lost is sent again when all is over.
  expect((await moved[0]!()).status).toBe(204);
  expect((await tobias.get<RosterEntry[]>(`classes/${other.id}/people`)).body).toHaveLength(SIXTY + 1);
  expect(
    (await students[0]!.get<StudentTask[]>('today/student')).body.some((one) => one.publicationId === publicationId),
  ).toBe(false);
});
