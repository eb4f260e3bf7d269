import type { JudgementRow, MarkChangeRow, Pile, SubmissionDetail } from '@ichnograph/contract';
import { Person } from './setup/client.js';
import { drawn } from './setup/works.js';

/** A map that was handed in, and the hand that marks it. */
async function handedIn(name: string) {
  const { person, client, handIn } = await drawn(name);
  const { id } = (await handIn()).body;
  client.close();
  const maren = await Person.signedIn('maren');
  const judge = (subject: string, value: number | null, more: object = {}, kind = 'criterion', who = maren) =>
    who.call('PUT', `submissions/${id}/judgements`, { kind, subject, value, ...more });
  const { publicationId } = await maren.teacherTask();
  const markInPile = async () => {
    const { body } = await maren.get<Pile>(`publications/${publicationId}/pile`);
    return body.entries.find(({ submission }) => submission?.id === id)!.submission!.mark!;
  };
  const { body: detail } = await maren.get<SubmissionDetail>(`submissions/${id}`);
  const [criterion] = detail.assignment.criteria as { id: string; levels: { points: number }[] }[];
  const [result] = detail.report.results as { id: string; points: number; outOf: number }[];
  return { person, maren, id, judge, markInPile, detail, criterion: criterion!, result: result! };
}

test('levels and points make the sum, which the pile shows, and a student sees only once it is returned', async () => {
  const { person, maren, id, judge, markInPile, criterion, result } = await handedIn('Judith');
  const before = await markInPile();
  expect(before.notJudged).toBeGreaterThanOrEqual(2);
  expect((await judge(criterion.id, criterion.levels.length - 1)).status).toBe(204);
  const most = criterion.levels.at(-1)!.points;
  expect(await markInPile()).toMatchObject({ sum: before.sum + most, notJudged: before.notJudged - 1 });
  expect((await judge(result.id, result.outOf, { reason: 'Said in other words.' }, 'result')).status).toBe(204);
  expect((await markInPile()).sum).toBeCloseTo(before.sum + most + result.outOf - result.points, 9);
  // A level taken back counts nothing again.
  await judge(criterion.id, null);
  expect((await markInPile()).notJudged).toBe(before.notJudged);

  expect((await person.get<JudgementRow[]>(`submissions/${id}/judgements`)).body).toEqual([]);
  expect((await person.get<SubmissionDetail>(`submissions/${id}`)).body.submissions[0]!.mark).toBeNull();
  expect((await maren.post(`submissions/${id}/return`, { unjudged: true })).status).toBe(204);
  expect((await person.get<JudgementRow[]>(`submissions/${id}/judgements`)).body).toMatchObject([
    { kind: 'result', subject: result.id, value: result.outOf, reason: 'Said in other words.' },
  ]);
  expect((await person.get<SubmissionDetail>(`submissions/${id}`)).body.submissions[0]!.mark).not.toBeNull();
  // What is returned stands.
  expect((await judge(criterion.id, 0)).status).toBe(409);
});

test('each change of a mark leaves who, when, before, after and why; the same again leaves nothing', async () => {
  const { maren, id, judge, criterion, result } = await handedIn('Trudy');
  const piet = await Person.signedIn('piet');
  await judge(criterion.id, 1);
  await judge(criterion.id, 1);
  await judge(criterion.id, 0, {}, 'criterion', piet);
  await judge(result.id, 0, { reason: 'Copied.' }, 'result');
  await maren.post(`submissions/${id}/return`, { unjudged: true });
  const { body: trail } = await maren.get<MarkChangeRow[]>(`submissions/${id}/trail`);
  expect(
    trail.map(({ kind, subject, before, after, reason, by }) => [kind, subject, before, after, reason, by.givenName]),
  ).toEqual([
    ['criterion', criterion.id, null, 1, '', 'Maren'],
    ['criterion', criterion.id, 1, 0, '', 'Piet'],
    ['result', result.id, null, 0, 'Copied.', 'Maren'],
    ['return', 'sum', null, expect.any(Number), '', 'Maren'],
  ]);
});

test('a mark outside its scale, without a reason, or of nothing is refused, and nothing is changed', async () => {
  const { judge, markInPile, criterion, result } = await handedIn('Outis');
  const before = await markInPile();
  const refused = [
    await judge(criterion.id, criterion.levels.length),
    await judge(criterion.id, -1),
    await judge(criterion.id, 0.5),
    await judge(result.id, result.outOf + 0.01, { reason: 'More!' }, 'result'),
    await judge(result.id, -1, { reason: 'Less!' }, 'result'),
    await judge(result.id, 0, {}, 'result'),
    await judge(result.id, 0, { reason: ' ' }, 'result'),
    await judge('no such', 0),
    await judge(criterion.id, 0, {}, 'verdict'),
    await judge(criterion.id, 'all' as never),
    await judge(criterion.id, undefined as never),
  ];
  expect(refused.map(({ status }) => status)).toEqual([422, 422, 422, 422, 422, 422, 422, 404, 422, 422, 422]);
  expect(await markInPile()).toEqual(before);
});
