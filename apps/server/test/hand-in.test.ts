import { checkMap, holdsAnswers, readAssignment, readMap, reportForStudents, understood } from '@ichnograph/core';
import type { Report, Result } from '@ichnograph/core';
import type { CommentRow, Pile, PileEntry, StudentTask, SubmissionDetail, WorkDetail } from '@ichnograph/contract';
import { Person, until } from './setup/client.js';
import { drawn } from './setup/works.js';

const topicOf = (detail: SubmissionDetail): string => (detail.map.topics as { id: string }[])[0]!.id;

test('freezes what is stored, with a report that equals core’s own to the last flag; no answer reaches a student', async () => {
  const { person, work, client, handIn } = await drawn('Leila');
  await client.saved();
  const live = (await person.get<Result[]>(`works/${work.id}/answer-checks`)).body;
  const { status, body } = await handIn({ note: 'Please look at <b>loads</b>.' });
  client.close();
  expect(status).toBe(201);
  expect(body).toMatchObject({
    number: 1,
    state: 'handed in',
    late: false,
    note: 'Please look at <b>loads</b>.',
    opened: false,
    leftOut: 0,
  });
  expect(body.map.author).toBe('Leila Newcomer');
  const { results } = body.report as unknown as Report;
  // What the server alone can check, it says alike while one draws and at hand-in, to the last figure.
  expect(live.length).toBeGreaterThan(0);
  expect(results.filter(({ id }) => live.some((one) => one.id === id))).toEqual(live);

  const maren = await Person.signedIn('maren');
  const whole = (await maren.get<SubmissionDetail>(`submissions/${body.id}`)).body;
  const given = understood(readAssignment(whole.assignment));
  const secrets = given.requirements.filter(holdsAnswers).flatMap(({ params }) => Object.values(params));
  expect(secrets.length).toBeGreaterThan(0);
  for (const sent of [work, body])
    for (const secret of secrets)
      if (typeof secret === 'object') expect(JSON.stringify(sent)).not.toContain(JSON.stringify(secret));
  const again = checkMap(understood(readMap(whole.map)), given, {
    members: body.members.map(({ id }) => id),
    due: body.due,
    handedIn: body.handedInAt,
  });
  expect(JSON.parse(JSON.stringify(again))).toEqual(whole.report);
  expect(JSON.parse(JSON.stringify(reportForStudents(again)))).toEqual(body.report);
  expect(work.assignment.reference).toBeNull();
  expect(body.assignment.reference).toBeNull();
});

test('Today says of a map that waits whether it was changed since it was handed in', async () => {
  const { person, work, client, handIn } = await drawn('Greta');
  await handIn();
  const isChanged = async (): Promise<boolean | undefined> =>
    (await person.get<StudentTask[]>('today/student')).body.find(({ workId }) => workId === work.id)?.changedSince;
  expect(await isChanged()).toBe(false);
  const [first] = client.live.snapshot.topics;
  client.live.apply([{ do: 'set', in: 'topics', id: first!.id, fields: { x: first!.x + 40 } }]);
  await client.saved();
  expect(await isChanged()).toBe(true);
  client.live.undo();
  await client.saved();
  expect(await isChanged()).toBe(false);
  client.close();
});

test('what no map may hold is left out and counted, and what is left can be read by everybody', async () => {
  const { client, handIn } = await drawn('Bo');
  const [first] = client.live.snapshot.topics;
  const junk = [
    { do: 'add', to: 'tours', item: { id: 'tour', title: 'Down', stops: [null] } },
    { do: 'add', to: 'regions', item: { id: 'region' } },
    {
      do: 'set',
      in: 'topics',
      id: first!.id,
      fields: { weblinks: [{ url: 7 }], kind: 'x'.repeat(201), note: 'Kept.' },
    },
    { do: 'entitle', fields: { title: 'x'.repeat(400) } },
  ];
  client.live.apply(junk as never);
  const { status, body } = await handIn();
  client.close();
  expect(status).toBe(201);
  expect(body.leftOut).toBe(4);
  const map = understood(readMap(body.map));
  expect(map.title).toHaveLength(300);
  expect(map.topics.find(({ id }) => id === first!.id)).toMatchObject({ kind: null, note: 'Kept.' });
  const maren = await Person.signedIn('maren');
  expect((await maren.get<SubmissionDetail>(`submissions/${body.id}`)).body.leftOut).toBe(4);
});

test('waits for the client’s last change, and hands nothing in when it does not come', async () => {
  const { person, work, client, handIn } = await drawn('Mateus');
  const early = await handIn({ count: client.live.made + 5 });
  expect(early.status).toBe(409);
  expect(early.problem.detail).toContain('nothing was handed in');
  expect((await person.get<WorkDetail>(`works/${work.id}`)).body).toMatchObject({
    state: 'in progress',
    submissions: [],
  });
  const promised = handIn({ count: client.live.made + 1 });
  client.live.apply([{ do: 'entitle', fields: { title: 'The last change' } }]);
  expect((await promised).body.map.title).toBe('The last change');
  client.close();
});

test('again and again until the teacher begins to mark; then read only until it is returned and opened again', async () => {
  const [{ person, work, client, handIn }, maren] = [await drawn('Oskar'), await Person.signedIn('maren')];
  await handIn();
  const second = (await handIn()).body;
  expect(second.number).toBe(2);
  expect((await person.post(`works/${work.id}/revise`)).status).toBe(409);

  expect(
    (await maren.post(`submissions/${second.id}/comments`, { anchor: 'topic', target: 'nowhere', text: 'x' })).status,
  ).toBe(422);
  for (const target of [undefined, 'here', '1e9 2', '10 20 30', '10,20'])
    expect((await maren.post(`submissions/${second.id}/comments`, { anchor: 'spot', target, text: 'x' })).status).toBe(
      422,
    );
  expect((await maren.post(`submissions/${second.id}/comments`, { anchor: 'map', text: '' })).status).toBe(422);
  const marked = await maren.post<CommentRow>(`submissions/${second.id}/comments`, {
    anchor: 'topic',
    target: topicOf(second),
    text: 'Which loads?',
  });
  expect(marked.body).toMatchObject({ text: 'Which loads?', by: { givenName: 'Maren' } });
  expect((await maren.get<SubmissionDetail>(`submissions/${second.id}`)).body.state).toBe('being marked');
  await until('word that the work changed', () => client.messages.some(({ type }) => type === 'work changed'));
  expect((await handIn()).status).toBe(409);
  expect((await person.get<CommentRow[]>(`submissions/${second.id}/comments`)).body).toEqual([]);
  const before = client.live.made;
  client.live.apply([{ do: 'entitle', fields: { title: 'Too late' } }]);

  expect(
    (await maren.call<CommentRow>('PATCH', `comments/${marked.body.id}`, { text: 'Which loads, and where?' })).body
      .text,
  ).toContain('where');
  expect((await maren.post(`submissions/${second.id}/return`, { unjudged: true })).status).toBe(204);
  expect((await maren.post(`submissions/${second.id}/comments`, { anchor: 'map', text: 'One more' })).status).toBe(409);
  const read = (await person.get<SubmissionDetail>(`submissions/${second.id}`)).body;
  expect(read).toMatchObject({ state: 'returned', returnedBy: { givenName: 'Maren' } });
  expect((await person.get<CommentRow[]>(`submissions/${second.id}/comments`)).body).toMatchObject([
    { text: 'Which loads, and where?' },
  ]);
  expect(read.map.title).not.toBe('Too late');
  expect(client.stored[client.client] ?? 0).toBeLessThanOrEqual(before);
  client.close();

  expect((await person.post(`works/${work.id}/revise`)).status).toBe(204);
  expect((await person.get<WorkDetail>(`works/${work.id}`)).body).toMatchObject({
    state: 'in progress',
    mayEdit: true,
  });
});

test.each([1, 2, 3])('a return during a hand-in is one thing or the other, never half (%i)', async (round) => {
  const [{ person, work, client, handIn }, maren] = [await drawn(`Ottoline${round}`), await Person.signedIn('maren')];
  const first = (await handIn()).body;
  const [again, back] = await Promise.all([handIn(), maren.post(`submissions/${first.id}/return`, { unjudged: true })]);
  client.close();
  const { body: now } = await person.get<WorkDetail>(`works/${work.id}`);
  const wasFirst = back.status === 204;
  expect([again.status, back.status]).toEqual(wasFirst ? [409, 204] : [201, 409]);
  expect([now.state, now.submissions.length]).toEqual(wasFirst ? ['returned', 1] : ['handed in', 2]);
  // Whichever came second left no trace.
  const { body: trail } = await maren.get<unknown[]>(`submissions/${first.id}/trail`);
  expect(trail).toHaveLength(wasFirst ? 1 : 0);
});

test('where one hands in once, the map closes with it', async () => {
  const [maren, student] = [await Person.signedIn('maren'), await Person.signedIn('uma')];
  const { body: rows } = await maren.get<{ id: string }[]>('assignments');
  const { body: file } = await maren.get(`assignments/${rows.at(-1)!.id}/file`);
  const { body: made } = await maren.post<{ id: string }>('assignments', {
    file: { ...(file as object), title: 'Once' },
  });
  const room = (await maren.get<{ id: string; name: string }[]>('classes')).body.find(
    ({ name }) => name === 'Technology 9B',
  );
  const given = await maren.post<{ publications: { id: string }[] }>(`assignments/${made.id}/publications`, {
    classId: room!.id,
    mayHandInAgain: false,
  });
  const work = (await student.post<WorkDetail>(`publications/${given.body.publications[0]!.id}/work`)).body;
  expect(work).toMatchObject({ mayEdit: true, mayHandIn: true, mayHandInAgain: false });
  const client = student.live(work.id);
  await client.opened();
  const handIn = () => student.post(`works/${work.id}/hand-in`, { client: client.client, count: client.live.made });
  expect((await handIn()).status).toBe(201);
  expect((await student.get<WorkDetail>(`works/${work.id}`)).body).toMatchObject({ mayEdit: false, mayHandIn: false });
  expect((await handIn()).status).toBe(409);
  client.close();
});

test('other people’s maps, submissions and comments are not there', async () => {
  const [{ work, client, handIn }, priya, tobias, maren] = [
    await drawn('Quinn'),
    await Person.signedIn('priya'),
    await Person.signedIn('tobias'),
    await Person.signedIn('maren'),
  ];
  const { id } = (await handIn()).body;
  const { body } = await maren.post<CommentRow>(`submissions/${id}/comments`, {
    anchor: 'map',
    text: 'Good start.',
  });
  const { publicationId } = await maren.teacherTask();
  for (const stranger of [priya, tobias]) {
    expect((await stranger.get(`works/${work.id}`)).status).toBe(404);
    expect((await stranger.get(`submissions/${id}`)).status).toBe(404);
  }
  expect((await priya.post(`works/${work.id}/hand-in`, { client: client.client, count: 0 })).status).toBe(404);
  expect((await tobias.get(`publications/${publicationId}/pile`)).status).toBe(404);
  expect((await tobias.post(`submissions/${id}/return`, { unjudged: true })).status).toBe(404);
  expect((await tobias.call('DELETE', `comments/${body.id}`)).status).toBe(404);
  expect((await tobias.post(`publications/${publicationId}/work`)).status).toBe(403);
  expect((await priya.get('works/not-an-id')).status).toBe(404);
  const entry = (await maren.get<Pile>(`publications/${publicationId}/pile`)).body.entries.find(
    ({ members }) => members[0]!.givenName === 'Quinn',
  ) as PileEntry;
  expect(entry).toMatchObject({ state: 'being marked', submission: { number: 1 } });
  client.close();
});

test('someone taken out of the class loses the map and its live connection at once', async () => {
  const [{ person, work, client }, halina] = [await drawn('Rosa'), await Person.signedIn('halina')];
  const [room] = (await halina.get<{ id: string; name: string }[]>('classes')).body.filter(
    ({ name }) => name === 'Technology 9B',
  );
  const [me] = (await halina.get<{ id: string; name: string }[]>('accounts')).body.filter(
    ({ name }) => name === 'new-rosa',
  );
  expect((await halina.call('DELETE', `classes/${room!.id}/people/${me!.id}`)).status).toBe(204);
  await until('the document to be closed', () => client.closedBecause === 'not yours');
  expect((await person.get(`works/${work.id}`)).status).toBe(404);
  expect((await person.get('today/student')).body).toEqual([]);
  client.close();
});
