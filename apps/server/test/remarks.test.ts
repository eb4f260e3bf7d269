import type { CommentRow, Pile, RemarkRow, RemarksGiven, SubmissionDetail } from '@ichnograph/contract';
import { Person } from './setup/client.js';
import { drawn } from './setup/works.js';

/** So many maps handed in that are alike: each misses the same. */
async function handedIn(...names: string[]) {
  const maps = [];
  for (const name of names) {
    const { person, client, work, handIn } = await drawn(name);
    maps.push({ person, workId: work.id, id: (await handIn()).body.id });
    client.close();
  }
  const maren = await Person.signedIn('maren');
  const { publicationId } = await maren.teacherTask();
  const { report } = (await maren.get<SubmissionDetail>(`submissions/${maps[0]!.id}`)).body;
  const results = report.results as { id: string; evidence: { code: string; topics: string[] }[] }[];
  const result = results.find(({ evidence }) => evidence.some(({ topics }) => topics.length > 0))!;
  const { code } = result.evidence.find(({ topics }) => topics.length > 0)!;
  const onMany = (more: object, who = maren, headers = {}) =>
    who.call<RemarksGiven>(
      'POST',
      `publications/${publicationId}/remarks-on-many`,
      { text: '{name}: look at {topic}.', requirement: result.id, evidence: code, ...more },
      headers,
    );
  const comments = async (id: string) => (await maren.get<CommentRow[]>(`submissions/${id}/comments`)).body;
  const stateOf = async (workId: string) =>
    (await maren.get<Pile>(`publications/${publicationId}/pile`)).body.entries.find((one) => one.workId === workId)!
      .state;
  return { maren, publicationId, maps, onMany, comments, stateOf };
}

test('one remark on all maps with the same evidence: previewed, written once, taken back in one go', async () => {
  const { maren, maps, onMany, comments, stateOf } = await handedIn('Rune', 'Runhild', 'Rudi');
  const works = maps.map(({ workId }) => workId);
  const preview = (await onMany({ preview: true })).body;
  const mine = preview.places.filter(({ workId }) => works.includes(workId));
  expect([preview.batch, mine.length]).toEqual([null, 3]);
  expect(mine.find(({ workId }) => workId === works[0])!.text).toMatch(/^Rune: look at “.+\.$/);
  expect(await comments(maps[0]!.id)).toEqual([]);

  // One was returned meanwhile: it is not one of them, and the others are.
  await maren.post(`submissions/${maps[2]!.id}/return`, { unjudged: true });
  const act = { 'idempotency-key': '6f0a3d0e-52a5-4c3a-8a37-1f1f3e3b8a01' };
  const given = await onMany({ works: works.slice(0, 2) }, maren, act);
  expect([given.status, given.body.places.length]).toEqual([200, 2]);
  // The answer was lost and it is sent again: nothing is said twice.
  await onMany({ works: works.slice(0, 2) }, maren, act);
  expect((await comments(maps[0]!.id)).map(({ anchor, text }) => [anchor, text])).toEqual([
    ['topic', mine.find(({ workId }) => workId === works[0])!.text],
  ]);
  expect((await onMany({ works: [works[2]!] })).status).toBe(404);

  await maren.post(`submissions/${maps[1]!.id}/return`, { unjudged: true });
  const taken = await maren.post<{ taken: number }>(`remark-batches/${given.body.batch}/take-back`);
  // What was returned stands.
  expect(taken.body).toEqual({ taken: 1 });
  expect([(await comments(maps[0]!.id)).length, (await comments(maps[1]!.id)).length]).toEqual([0, 1]);
  expect(await stateOf(works[0]!)).toBe('handed in');
});

test('remarks are kept for all assignments or one, found again where they were used, changed and deleted by their owner', async () => {
  const { maren, publicationId } = await handedIn('Reiner');
  const piet = await Person.signedIn('piet');
  const { assignmentId } = await maren.teacherTask();
  const list = async (who = maren) =>
    (await who.get<RemarkRow[]>(`publications/${publicationId}/remarks`)).body.filter(({ text }) =>
      text.startsWith('Rei'),
    );
  const { id } = (await maren.post<{ id: string }>('remarks', { text: 'Rei: name it.' })).body;
  expect((await maren.post<{ id: string }>('remarks', { text: 'Rei: name it.' })).body.id).toBe(id);
  await maren.post('remarks', { text: 'Rei: of this one.', assignmentId });
  expect((await list()).map(({ text, ofAssignment, mine }) => [text, ofAssignment, mine]).sort()).toEqual([
    ['Rei: name it.', false, true],
    ['Rei: of this one.', true, true],
  ]);
  expect((await list(piet)).map(({ text, mine }) => [text, mine])).toEqual([['Rei: of this one.', false]]);
  await maren.post(`remarks/${id}/uses`, { requirement: 'r1', evidence: 'missing' });
  expect((await list())[0]).toMatchObject({ id, uses: 1, requirement: 'r1', evidence: 'missing' });
  expect((await maren.call('PATCH', `remarks/${id}`, { text: '' })).status).toBe(422);
  expect((await piet.call('DELETE', `remarks/${id}`)).status).toBe(404);
  expect((await maren.call('DELETE', `remarks/${id}`)).status).toBe(204);
  expect(await list()).toHaveLength(1);
});
