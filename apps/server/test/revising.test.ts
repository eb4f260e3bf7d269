import type {
  AssignmentDetail,
  MarkChangeRow,
  Pile,
  RevisionPreview,
  RosterEntry,
  SubmissionDetail,
  WorkDetail,
} from '@ichnograph/contract';
import { classAtWork } from './setup/class-at-work.js';
import { until } from './setup/client.js';

test('a changed requirement: first what would change, then the revision; open works move on and say so, returned ones keep theirs', async () => {
  const { tobias, id, save, requirement, student, publicationId } = await classAtWork('Changed afterwards');
  const [begun, given, back] = [await student('Begona'), await student('Gwen'), await student('Becca')];
  const submission = await given.handIn();
  await tobias.post(`submissions/${await back.handIn()}/return`, { unjudged: true });

  await save('requirements', {
    requirements: [requirement('r1', 'kind-count', { kind: 'own', min: 2 }), requirement('r2', 'all-connected', {}, 3)],
  });
  const { body: preview } = await tobias.get<RevisionPreview>(`assignments/${id}/next-revision`);
  expect([preview.revision, preview.differs]).toEqual([1, true]);
  expect(
    preview.works.map(({ members, state, before, after }) => [members[0]!.givenName, state, before, after]),
  ).toEqual([
    ['Begona', 'in progress', 2, 4],
    ['Gwen', 'handed in', 2, 4],
    ['Becca', 'returned', 2, 4],
  ]);
  expect(preview.works[0]!.results).toEqual([
    { requirement: 'r1', before: 2, after: 1 },
    { requirement: 'r2', before: null, after: 3 },
  ]);
  const ahead = async (): Promise<boolean> =>
    (await tobias.get<{ ahead: boolean }>(`assignments/${id}/ahead`)).body.ahead;
  expect(await ahead()).toBe(true);
  // Nothing has happened by asking.
  expect((await given.person.get<WorkDetail>(`works/${given.work.id}`)).body.revision).toBe(1);

  expect((await tobias.post(`assignments/${id}/next-revision`)).status).toBe(204);
  expect(await ahead()).toBe(false);
  const news = {
    from: 1,
    requirements: { added: ['r2'], changed: ['r1'], removed: 0 },
    terms: { added: [], removed: [] },
    parts: [],
  };
  for (const { person, work } of [begun, given])
    expect((await person.get<WorkDetail>(`works/${work.id}`)).body).toMatchObject({ revision: 2, news });
  expect((await back.person.get<WorkDetail>(`works/${back.work.id}`)).body).toMatchObject({ revision: 1, news: null });
  const { body: pile } = await tobias.get<Pile>(`publications/${publicationId}/pile`);
  const marks = pile.entries.flatMap(({ submission: one }) => (one ? [one.mark] : []));
  expect(marks.map((mark) => [mark!.sum, mark!.outOf])).toEqual(
    expect.arrayContaining([
      [4, 5],
      [2, 2],
    ]),
  );
  const { body: trail } = await tobias.get<MarkChangeRow[]>(`submissions/${submission}/trail`);
  expect(trail).toMatchObject([{ kind: 'check again', before: 2, after: 4, by: { givenName: 'Tobias' } }]);
  // The one who draws was told, and says that it was read.
  await until('the notice of a change', () => begun.client.messages.some(({ type }) => type === 'work changed'));
  await begun.person.post(`works/${begun.work.id}/news-read`);
  expect((await begun.person.get<WorkDetail>(`works/${begun.work.id}`)).body.news).toBeNull();
  // Twice is once: there is nothing more to move.
  expect((await tobias.post(`assignments/${id}/next-revision`)).status).toBe(204);
  expect((await tobias.get<AssignmentDetail>(`assignments/${id}`)).body.revision).toBe(2);
  // What was returned cannot be opened again once it is closed, and so it stays returned.
  await tobias.call('PATCH', `publications/${publicationId}`, { closed: true });
  expect((await back.person.post(`works/${back.work.id}/revise`)).status).toBe(409);
  expect((await back.person.get<WorkDetail>(`works/${back.work.id}`)).body.state).toBe('returned');
});

test('a typo is mended at once in what is given out, and is no new revision', async () => {
  const { tobias, id, bodies, save, student } = await classAtWork('Teh title');
  const { person, work } = await student('Tippi');
  await save('task', { ...bodies.task, title: 'The title', brief: 'Look *twice*.' });
  const { body: seen } = await person.get<WorkDetail>(`works/${work.id}`);
  expect([seen.title, seen.assignment.brief, seen.revision]).toEqual(['The title', 'Look *twice*.', 1]);
  expect((await tobias.get<RevisionPreview>(`assignments/${id}/next-revision`)).body.differs).toBe(false);
  // An emptied title is no title to give out: what was there stays until there is another.
  await save('task', { ...bodies.task, title: '' });
  expect((await person.get<WorkDetail>(`works/${work.id}`)).body.title).toBe('The title');
});

test('a hand-in during a new revision is one thing or the other, never half', async () => {
  const { tobias, id, save, requirement, student } = await classAtWork('At once');
  const { person, work, client } = await student('Dura');
  await save('requirements', { requirements: [requirement('r1', 'all-connected', {}, 4)] });
  const [handIn, revise] = await Promise.all([
    person.post<SubmissionDetail>(`works/${work.id}/hand-in`, { client: client.client, count: client.live.made }),
    tobias.post(`assignments/${id}/next-revision`),
  ]);
  expect(revise.status).toBe(204);
  expect([201, 409]).toContain(handIn.status);
  const { body: now } = await person.get<WorkDetail>(`works/${work.id}`);
  expect([now.revision, now.submissions.length]).toEqual([2, handIn.status === 201 ? 1 : 0]);
  if (handIn.status === 201) {
    const { body: detail } = await person.get<SubmissionDetail>(`submissions/${handIn.body.id}`);
    expect(detail.report).toMatchObject({ outOf: (detail.assignment.requirements as { points: number }[])[0]!.points });
  }
});

test('a due time that has passed makes late, more time for one does not; what is closed is closed', async () => {
  const { tobias, room, publicationId, student } = await classAtWork('Times');
  const [late, extended] = [await student('Lata'), await student('Exa')];
  const soon = Date.now() + 1500;
  const change = (body: object) => tobias.call('PATCH', `publications/${publicationId}`, body);
  expect((await change({ due: new Date(Date.now() - 3_600_000).toISOString() })).status).toBe(422);
  expect((await change({ due: new Date(soon).toISOString() })).status).toBe(204);
  await until('the due time to pass', () => Date.now() > soon);
  const people = (await tobias.get<RosterEntry[]>(`classes/${room.id}/people`)).body;
  const { id: accountId } = people.find(({ givenName }) => givenName === 'Exa')!;
  const extend = (due: string | null) => tobias.post(`publications/${publicationId}/extensions`, { accountId, due });
  expect((await extend(new Date(Date.now() - 7_200_000).toISOString())).status).toBe(422);
  expect((await extend(new Date(Date.now() + 7_200_000).toISOString())).status).toBe(204);
  const lateOf = async ({ person, handIn }: typeof late) =>
    (await person.get<SubmissionDetail>(`submissions/${await handIn()}`)).body.late;
  expect([await lateOf(late), await lateOf(extended)]).toEqual([true, false]);
  await change({ closed: true });
  expect((await late.person.get<WorkDetail>(`works/${late.work.id}`)).body).toMatchObject({
    mayEdit: false,
    mayHandIn: false,
  });
  const { client: key, live } = late.client;
  const closed = await late.person.post(`works/${late.work.id}/hand-in`, { client: key, count: live.made });
  expect(closed.status).toBe(409);
  await change({ closed: false, due: null });
  expect((await late.person.get<WorkDetail>(`works/${late.work.id}`)).body).toMatchObject({ mayEdit: true, due: null });
  expect((await change({ due: 'tomorrow' })).status).toBe(422);
});
