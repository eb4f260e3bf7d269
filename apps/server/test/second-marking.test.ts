import type { CommentRow, MapProposition, Pile, SecondMarking, SubmissionDetail } from '@ichnograph/contract';
import { Person } from './setup/client.js';
import { drawn, ownClass } from './setup/works.js';

test('a second marker sees nothing of the first, and the two are compared by criterion', async () => {
  const { tobias, maren, marenId, publicationId, maps } = await ownClass('Second 9S', ['Sybil', 'Sven', 'Saoirse']);
  const { assignment } = (await tobias.get<SubmissionDetail>(`submissions/${maps[0]!.id}`)).body;
  const [criterion] = assignment.criteria as { id: string; levels: unknown[] }[];
  const first = (i: number, value: number) =>
    tobias.call('PUT', `submissions/${maps[i]!.id}/judgements`, { kind: 'criterion', subject: criterion!.id, value });
  const second = (i: number, level: number | null) =>
    maren.call('PUT', `submissions/${maps[i]!.id}/second-marks`, { criterion: criterion!.id, level });
  const of = async () => (await tobias.get<SecondMarking>(`publications/${publicationId}/second-marking`)).body;

  expect((await of()).candidates.map(({ id }) => id)).toEqual([marenId]);
  const appoint = (accountId: string | null) =>
    tobias.call('PUT', `publications/${publicationId}/second-marker`, { accountId });
  expect((await second(0, 0)).status).toBe(409);
  expect((await appoint('00000000-0000-4000-8000-000000000000')).status).toBe(404);
  expect((await appoint(marenId)).status).toBe(204);
  await first(0, 1);
  await first(1, 0);
  await first(2, 2);
  await tobias.post(`submissions/${maps[0]!.id}/comments`, { anchor: 'map', text: 'Well tied.' });

  // What the first gave and said, and what comes of it, is nowhere to be had.
  const { body: detail } = await maren.get<SubmissionDetail>(`submissions/${maps[0]!.id}`);
  expect([detail.marksSecond, detail.submissions.map(({ mark }) => mark)]).toEqual([true, [null]]);
  expect((await maren.get<CommentRow[]>(`submissions/${maps[0]!.id}/comments`)).body).toEqual([]);
  expect((await maren.get(`submissions/${maps[0]!.id}/judgements`)).body).toEqual([]);
  expect((await maren.get<MapProposition[]>(`submissions/${maps[0]!.id}/verdicts`)).body).toEqual([]);
  const pile = (await maren.get<Pile>(`publications/${publicationId}/pile`)).body;
  expect(pile.entries.flatMap(({ submission }) => submission?.mark ?? [])).toEqual([]);
  for (const path of [
    `submissions/${maps[0]!.id}/trail`,
    `submissions/${maps[0]!.id}/paper`,
    `publications/${publicationId}/second-marking`,
    `publications/${publicationId}/insight`,
    `publications/${publicationId}/propositions`,
  ])
    expect([path, (await maren.get(path)).status]).toEqual([path, 403]);
  expect((await maren.post(`submissions/${maps[0]!.id}/return`, { unjudged: true })).status).toBe(403);

  expect((await second(0, criterion!.levels.length)).status).toBe(422);
  expect((await second(0, 1)).status).toBe(204);
  await second(1, 2);
  expect((await second(2, 2)).status).toBe(204);
  const [agreed] = (await of()).criteria;
  // Those to talk about first stand at the top.
  expect(agreed!.works.map(({ workId, first: a, second: b }) => [workId, a, b])[0]).toEqual([maps[1]!.workId, 0, 2]);
  // By hand, with weights (i - j)²: observed (0 + 4 + 0) / 3, by chance (2 + 9 + 1) / 9, which is as much.
  expect(agreed!.agreement).toBeCloseTo(0, 9);
  // The sum is the first's alone.
  await appoint(null);
  expect((await maren.get<Pile>(`publications/${publicationId}/pile`)).body.entries.length).toBeGreaterThan(0);
  expect((await of()).criteria[0]!.works).toEqual([]);
});

test('who marks the same pile is seen on the map they have before them', async () => {
  const { client, work, handIn } = await drawn('Sunniva');
  await handIn();
  client.close();
  const [maren, piet] = await Promise.all(['maren', 'piet'].map((name) => Person.signedIn(name)));
  await piet!.post(`works/${work.id}/here`);
  expect((await maren!.post<unknown[]>(`works/${work.id}/here`)).body).toMatchObject([
    { person: { givenName: 'Piet' }, workId: work.id },
  ]);
});
