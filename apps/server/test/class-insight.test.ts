import type {
  ClassInsight,
  ClassWeights,
  Growth,
  Pile,
  StaysHard,
  SubmissionDetail,
  TeacherTask,
} from '@ichnograph/contract';
import type { SmallestMend } from '@ichnograph/core';
import { classAtWork } from './setup/class-at-work.js';
import { Person } from './setup/client.js';

test('a class seen together: results and figures by work, growth of what came again, and what stays hard', async () => {
  const { tobias, room, publicationId, save, requirement, student, id } = await classAtWork('Seen together');
  await save('requirements', {
    requirements: [requirement('r1', 'kind-count', { kind: 'own', min: 2 }), requirement('r2', 'all-connected', {}, 3)],
  });
  await tobias.post(`assignments/${id}/next-revision`);
  const [ines, ivo] = [await student('Insa', 'Sand', 'Stone'), await student('Ivor', 'Sand')];
  const first = await ines.handIn();
  await ivo.handIn();
  const { body: seen } = await tobias.get<ClassInsight>(`publications/${publicationId}/insight`);
  expect(
    seen.works.map(({ members, results, figures }) => [
      members[0]!.givenName,
      results.map(({ id: of, fraction }) => [of, fraction]),
      figures.topics,
    ]),
  ).toEqual([
    ['Insa', [['r1', 1], ['r2', 0.5]], 2], // prettier-ignore
    ['Ivor', [['r1', 0.5], ['r2', 1]], 1], // prettier-ignore
  ]);
  expect(seen.composite.topics.map(({ label, maps }) => [label, maps])).toEqual([
    ['Sand', 2],
    ['Stone', 1],
  ]);
  // Nobody handed in twice yet.
  expect((await tobias.get<Growth[]>(`publications/${publicationId}/growth`)).body).toEqual([]);

  await tobias.post(`submissions/${first}/return`, { unjudged: true });
  await ines.person.post(`works/${ines.work.id}/revise`);
  ines.draw('Clay', 2);
  await ines.client.saved();
  const again = await ines.handIn();
  const { body: growth } = await tobias.get<Growth[]>(`publications/${publicationId}/growth`);
  expect(
    growth.map(({ members, first: was, newest }) => [
      members[0]!.givenName,
      [was.submissionId, was.number, was.figures.topics],
      [newest.submissionId, newest.number, newest.figures.topics],
    ]),
  ).toEqual([['Insa', [first, 1, 2], [again, 2, 3]]]);

  const { body: hard } = await tobias.get<StaysHard>(`classes/${room.id}/stays-hard`);
  expect(hard.assignments.map(({ title }) => title)).toEqual(['Seen together']);
  const shares = Object.fromEntries(hard.requirements.map(({ type, shares: of }) => [type, of]));
  expect(shares['kind-count']).toEqual([0.75]);
  expect(shares['all-connected']![0]).toBeCloseTo((1 / 3 + 1) / 2);
  // What is hardest stands first.
  expect(hard.requirements[0]!.type).toBe('all-connected');

  // What a class says is its teachers' own.
  const stranger = await Person.signedIn('maren');
  for (const path of [`publications/${publicationId}/insight`, `publications/${publicationId}/growth`])
    expect((await stranger.get(path)).status).toBe(404);
  expect((await ivo.person.get(`publications/${publicationId}/insight`)).status).toBe(403);
});

test('before a unit against after it: each student’s newest map of two assignments, and nobody’s who has but one', async () => {
  const before = await classAtWork('Before the unit');
  const { tobias, room, student } = before;
  const [both, one] = [await student('Ulla', 'Sand'), await student('Udo', 'Sand')];
  await both.handIn();
  await one.handIn();
  const { body: later } = await tobias.post<{ id: string }>('assignments', {
    file: (await tobias.get<{ file: object }>(`assignments/${before.id}`)).body.file,
  });
  await tobias.post(`assignments/${later.id}/publications`, { classId: room.id });
  const publication = (await tobias.get<TeacherTask[]>('today/teacher')).body.find(
    ({ publicationId, className }) => className === room.name && publicationId !== before.publicationId,
  )!.publicationId;
  const path = `publications/${publication}/since/${before.publicationId}`;
  expect((await tobias.get<Growth[]>(path)).body).toEqual([]);
  const { body: work } = await both.person.post<{ id: string }>(`publications/${publication}/work`);
  const client = both.person.live(work.id);
  await client.opened();
  const handedIn = await both.person.post<SubmissionDetail>(`works/${work.id}/hand-in`, {
    client: client.client,
    count: client.live.made,
  });
  const { body: growth } = await tobias.get<Growth[]>(path);
  expect(growth.map(({ members }) => members[0]!.givenName)).toEqual(['Ulla']);
  expect([growth[0]!.first.figures.topics, growth[0]!.newest.figures.topics]).toEqual([1, 0]);
  expect(growth[0]!.newest.submissionId).toBe(handedIn.body.id);
  expect(
    (await tobias.get(`publications/${publication}/since/${'0'.repeat(8)}-0000-4000-8000-${'0'.repeat(12)}`)).status,
  ).toBe(404);
});

test('points are learned from five marks by feel, refused by a sentence below that, and never written by asking', async () => {
  const { tobias, publicationId, save, requirement, student, id } = await classAtWork('By feel');
  await save('requirements', {
    requirements: [
      requirement('many', 'kind-count', { kind: 'own', min: 4 }, 5),
      requirement('joined', 'all-connected', {}, 5),
    ],
  });
  await tobias.post(`assignments/${id}/next-revision`);
  const texts = ['Sand', 'Stone', 'Clay', 'Loam'];
  const maps: string[] = [];
  for (const [i, name] of ['Felia', 'Felix', 'Fenna', 'Ferdi', 'Finja'].entries())
    maps.push(await (await student(name, ...texts.slice(0, 1 + (i % 4)))).handIn());
  const feel = (of: string, value: number) =>
    tobias.call('PUT', `submissions/${of}/judgements`, { kind: 'feel', subject: 'whole', value, reason: '' });
  const weights = async () => (await tobias.get<ClassWeights>(`publications/${publicationId}/weights`)).body;
  for (const [i, of] of maps.slice(0, 4).entries()) await feel(of, (1 + i) / 4);
  expect(await weights()).toMatchObject({
    marked: 4,
    weights: [],
    refused: expect.stringMatching(/at least 5/) as unknown,
  });
  // A share of one is the most there is.
  expect((await feel(maps[4]!, 1.5)).status).toBe(422);
  await feel(maps[4]!, 0.25);
  const { entries } = (await tobias.get<Pile>(`publications/${publicationId}/pile`)).body;
  expect(entries.map(({ submission }) => submission!.feel)).toEqual([0.25, 0.5, 0.75, 1, 0.25]);
  const learned = await weights();
  expect([learned.refused, learned.marked]).toEqual([null, 5]);
  const [many, joined] = learned.weights;
  expect([many!.requirement, many!.before, joined!.before]).toEqual(['many', 5, 5]);
  // The marks follow how many topics there are.
  expect(many!.points).toBeGreaterThan(joined!.points);
  expect(many!.points + joined!.points).toBeCloseTo(10);
  expect(learned.maps.map(({ residual }) => Math.abs(residual))).toEqual(
    learned.maps.map(({ residual }) => Math.abs(residual)).sort((a, b) => b - a),
  );
  const { body: sheet } = await tobias.get<{ file: { requirements: { points: number }[] } }>(`assignments/${id}`);
  expect(sheet.file.requirements.map(({ points }) => points)).toEqual([5, 5]);
});

test('the smallest mend of a result is for those who mark, and of a requirement that there is', async () => {
  const { tobias, save, requirement, student, id } = await classAtWork('To be mended');
  await save('requirements', { requirements: [requirement('joined', 'all-connected', {}, 5)] });
  await tobias.post(`assignments/${id}/next-revision`);
  const { person, handIn } = await student('Mendel', 'Sand', 'Stone');
  const submission = await handIn();
  const path = `submissions/${submission}/mend?requirement=joined`;
  const { body } = await tobias.get<{ mend: SmallestMend }>(path);
  expect(body.mend.fewest).toBe(true);
  expect(body.mend.edits).toHaveLength(1);
  expect((await person.get(path)).status).toBe(403);
  expect((await tobias.get(`submissions/${submission}/mend?requirement=other`)).status).toBe(404);
});
