import type { ExportState, JudgementRow, MapProposition } from '@ichnograph/contract';
import { classAtWork } from './setup/class-at-work.js';
import { until } from './setup/client.js';

/**
 * What every object answers to without holding it: whoever names a requirement, a kind, a criterion, a topic or a level so
 * finds each table of the server that is read without asking whether the word stands in it.
 */
const [A, B, C, D] = ['constructor', 'toString', '__proto__', 'hasOwnProperty'] as const;

test('an assignment and a map whose every name and id is a word that objects have: all that is done with them is done', async () => {
  const { tobias, id, bodies, save, requirement, student, publicationId, room } = await classAtWork(A);
  const legend = (bodies.legend as { legend: { topicKinds: object[]; linkKinds: object[] } }).legend;
  const kind = { id: A, name: B, purpose: C, givenBy: 'student', shape: 'rectangle', fill: '#ffffff' };
  await save('legend', {
    ...bodies.legend,
    legend: { ...legend, topicKinds: [...legend.topicKinds, kind], linkKinds: [{ id: B, name: A }] },
  });
  await save('terms', { ...bodies.terms, terms: [A, B, C, D].map((text) => ({ text, kind: A })) });
  await save('requirements', {
    requirements: [
      requirement(A, 'kind-count', { kind: A, min: 3 }, 4),
      requirement(B, 'all-terms-present', {}, 2),
      requirement(D, 'propositions-present', {
        propositions: [{ from: A, to: B, phrases: [C], direction: 'as-given' }],
      }),
    ],
  });
  const levels = [A, B].map((name, points) => ({ name, points, description: C }));
  await save('criteria', { criteria: [A, B, D].map((one) => ({ id: one, name: one, levels })) });
  expect((await tobias.post(`assignments/${id}/next-revision`)).status).toBe(204);

  const { person, work, client, handIn } = await student('Connie', A, B, C);
  const [one, two] = client.live.snapshot.topics;
  client.live.apply([
    ...client.live.snapshot.topics.map(
      (topic) => ({ do: 'set', in: 'topics', id: topic.id, fields: { kind: A, marks: [A], note: B } }) as const,
    ),
    { do: 'add', to: 'links', item: { id: A, from: one!.id, to: two!.id, phrase: D, kind: B } },
    { do: 'add', to: 'regions', item: { id: B, topics: [one!.id], title: C, fill: '#ffffff' } },
  ]);
  await client.saved();
  expect((await person.post(`works/${work.id}/versions`, { name: A })).status).toBe(201);
  const submission = await handIn();

  // Nothing was given yet, whatever the words answer to.
  const leftOver = async (): Promise<string[]> =>
    (await tobias.get<{ mark: { notJudged: string[] } }>(`submissions/${submission}/mark`)).body.mark.notJudged;
  expect(await leftOver()).toEqual([A, B, D]);
  const judge = async (kind: string, subject: string, value: number): Promise<void> => {
    const answer = await tobias.call('PUT', `submissions/${submission}/judgements`, {
      kind,
      subject,
      value,
      reason: A,
    });
    expect([kind, subject, answer.status]).toEqual([kind, subject, 204]);
  };
  await judge('result', A, 1);
  for (const subject of [A, B, D]) await judge('criterion', subject, 1);
  const { body: sentences } = await tobias.get<MapProposition[]>(`submissions/${submission}/verdicts`);
  expect(sentences.length).toBeGreaterThan(0);
  const keys = sentences.map(({ key }) => key);
  const given = await tobias.call('PUT', `publications/${publicationId}/verdicts`, { keys, verdict: 'sound' });
  expect(given.status).toBe(200);
  expect(await leftOver()).toEqual([]);

  // What is carried into the next revision is what is asked there, and what it had.
  await save('requirements', {
    requirements: [requirement(B, 'all-terms-present', {}, 2), requirement('valueOf', 'link-count', { min: 1 })],
  });
  expect((await tobias.post(`assignments/${id}/next-revision`)).status).toBe(204);
  expect(await leftOver()).toEqual([]);
  expect(
    (await tobias.get<JudgementRow[]>(`submissions/${submission}/judgements`)).body
      .map(({ kind: of, subject }) => `${of} ${subject}`)
      .sort(),
  ).toEqual([A, B, D].map((one) => `criterion ${one}`).sort());
  const seen = [
    `publications/${publicationId}/pile`,
    `publications/${publicationId}/propositions`,
    `publications/${publicationId}/insight`,
    `publications/${publicationId}/weights`,
    `publications/${publicationId}/remarks`,
    `assignments/${id}/class-maps`,
    `assignments/${id}/next-revision`,
    `submissions/${submission}`,
    `submissions/${submission}/trail`,
    `submissions/${submission}/mend?requirement=${B}`,
    `submissions/${submission}/paper`,
    `classes/${room.id}/gradebook`,
    `classes/${room.id}/gradebook.csv`,
  ];
  for (const path of seen) expect([path, (await tobias.get(path)).status]).toEqual([path, 200]);
  const { body: made } = await tobias.post<ExportState>(`publications/${publicationId}/exports`, { as: 'pdf' });
  await until('the papers', async () => (await tobias.get<ExportState>(`exports/${made.id}`)).body.state === 'ready');
  expect((await tobias.post(`submissions/${submission}/return`)).status).toBe(204);
  expect((await person.get(`submissions/${submission}`)).status).toBe(200);
});
