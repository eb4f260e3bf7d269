import type { MarkDetail } from '@ichnograph/core';
import type {
  ClassPropositions,
  CommentRow,
  JudgementRow,
  MapProposition,
  MarkChangeRow,
  Pile,
  ReturnedMaps,
  SubmissionDetail,
  VerdictGiven,
} from '@ichnograph/contract';
import { classAtWork } from './setup/class-at-work.js';
import { until } from './setup/client.js';

const level = (name: string, points: number) => ({ name, points, description: '' });
const INSIGHT = { id: 'c1', name: 'Insight', levels: [level('little', 0), level('much', 3)] };
const POINTS = {
  late: null,
  propositions: { points: 4, full: 2 },
  scale: { as: 'points', decimals: 1 },
  whileWorking: 'points',
};

/** A class whose sentences and one criterion count, and how a map that says something comes into it. */
async function judgedClass(title: string) {
  const desk = await classAtWork(title);
  const { tobias, save, requirement, id, publicationId, student } = desk;
  await save('requirements', { requirements: [requirement('r1', 'kind-count', { kind: 'own', min: 2 }, 2)] });
  await save('criteria', { criteria: [INSIGHT] });
  await save('marks', { marks: POINTS });
  await tobias.post(`assignments/${id}/next-revision`, {});
  /** @param says phrases between the two topics of the map */
  const maker = async (name: string, ...says: string[]) => {
    const made = await student(name, 'Beam', 'Pier');
    const [one, two] = made.client.live.snapshot.topics;
    says.forEach((phrase, i) =>
      made.client.live.apply([
        { do: 'add', to: 'links', item: { id: `l${i}`, from: one!.id, to: two!.id, phrase, kind: null } },
      ]),
    );
    await made.client.saved();
    return { ...made, id: await made.handIn() };
  };
  const markOf = async (submission: string): Promise<MarkDetail> =>
    (await tobias.get<{ mark: MarkDetail }>(`submissions/${submission}/mark`)).body.mark;
  const saying = async (phrase: string): Promise<string> =>
    (await tobias.get<ClassPropositions>(`publications/${publicationId}/propositions`)).body.propositions.find(
      (one) => one.phrase === phrase,
    )!.key;
  const judgeClass = async (phrase: string, verdict: string | null, more: object = {}) =>
    tobias.call<VerdictGiven>('PUT', `publications/${publicationId}/verdicts`, {
      keys: [await saying(phrase)],
      verdict,
      ...more,
    });
  const stateOf = async (submission: string): Promise<string> => {
    const { entries } = (await tobias.get<Pile>(`publications/${publicationId}/pile`)).body;
    return entries.find((entry) => entry.submission?.id === submission)!.state;
  };
  return { ...desk, maker, markOf, judgeClass, stateOf };
}

test('what was judged for the class counts in a map that is handed in later, at once', async () => {
  const { maker, markOf, judgeClass } = await judgedClass('Judged before');
  await maker('Jada', 'rests on', 'pushes on');
  await judgeClass('rests on', 'sound');
  await judgeClass('pushes on', 'sound');
  const later = await maker('Joris', 'rests on', 'pushes on');
  const mark = await markOf(later.id);
  expect([mark.ofPropositions, mark.propositionsToJudge, mark.notJudged]).toEqual([4, 0, ['c1']]);
});

test('a map on which sentences count and wait is not complete; a return with something unjudged is meant, or refused', async () => {
  const { tobias, publicationId, maker, markOf, judgeClass } = await judgedClass('Not complete');
  const { id, person } = await maker('Nadja', 'rests on', 'pushes on');
  const judge = (value: number | null) =>
    tobias.call('PUT', `submissions/${id}/judgements`, { kind: 'criterion', subject: 'c1', value });
  await judge(1);
  const complete = () => tobias.post<ReturnedMaps>(`publications/${publicationId}/return-complete`, {});
  expect((await complete()).body).toEqual({ returned: 0, left: 1 });
  await judge(null);
  const refused = await tobias.post(`submissions/${id}/return`, {});
  expect([refused.status, refused.problem.problems]).toEqual([
    422,
    [
      { path: '$.criteria.c1', reason: 'Insight' },
      { path: '$.sentences', reason: '2 sentences' },
    ],
  ]);
  expect((await person.get<SubmissionDetail>(`submissions/${id}`)).body.returnedAt).toBeNull();
  await judge(1);
  await judgeClass('rests on', 'sound');
  await judgeClass('pushes on', 'wrong');
  expect((await complete()).body).toEqual({ returned: 1, left: 0 });
  expect((await markOf(id)).sum).toBe(2 + 3 + 2);
});

test('what goes back stays as it was: a verdict given after it touches nothing, and says so', async () => {
  const { tobias, maker, markOf, judgeClass } = await judgedClass('Stays');
  const { id, person } = await maker('Stan', 'rests on', 'pushes on');
  await judgeClass('rests on', 'sound');
  await tobias.post(`submissions/${id}/return`, { unjudged: true });
  const before = await markOf(id);
  expect((await judgeClass('rests on', 'wrong')).body).toEqual({ maps: 0, returned: 1 });
  expect((await judgeClass('pushes on', 'sound')).body).toEqual({ maps: 0, returned: 1 });
  expect(await markOf(id)).toEqual(before);
  // The page has every sentence of the map, judged or not, as it was returned.
  const read = (await person.get<MapProposition[]>(`submissions/${id}/verdicts`)).body;
  expect(read.map(({ judged }) => judged?.verdict ?? null).sort()).toEqual([null, 'sound']);
  expect((await tobias.get<MapProposition[]>(`submissions/${id}/verdicts`)).body).toEqual(read);
});

test('a return that somebody answered is taken back all the same: the answer stays, and nothing is said twice', async () => {
  const { tobias, maker, judgeClass } = await judgedClass('Answered');
  const { id } = await maker('Ansa', 'rests on', 'pushes on');
  await judgeClass('rests on', 'shaky', { remark: 'Say how.' });
  await judgeClass('pushes on', 'wrong', { remark: 'Which way?' });
  const back = () => tobias.post(`submissions/${id}/return`, { unjudged: true });
  const comments = async () => (await tobias.get<CommentRow[]>(`submissions/${id}/comments`)).body;
  await back();
  const first = (await comments()).find(({ text }) => text === 'Say how.')!;
  expect((await tobias.post(`comments/${first.id}/answers`, { text: 'As in the book.' })).status).toBe(204);
  expect((await tobias.post(`submissions/${id}/take-back`)).status).toBe(204);
  expect((await comments()).map(({ text, answers }) => [text, answers.length])).toEqual([['Say how.', 1]]);
  await judgeClass('rests on', 'shaky', { remark: 'Say it exactly.' });
  await back();
  expect((await comments()).map(({ text, answers }) => [text, answers.length]).sort()).toEqual([
    ['Say it exactly.', 1],
    ['Which way?', 0],
  ]);
});

test('a letter counts the remarks that go with its map, those of verdicts too, and bears the mark', async () => {
  const { tobias, maker, judgeClass, markOf } = await judgedClass('Letter');
  const { id } = await maker('Lette', 'rests on');
  await judgeClass('rests on', 'shaky', { remark: 'Say how.' });
  await tobias.post(`submissions/${id}/comments`, { anchor: 'map', text: 'A good beginning.' });
  await tobias.post(`submissions/${id}/return`, { unjudged: true, letter: '{name}: {mark}, {comments}.' });
  const { letter } = (await tobias.get<SubmissionDetail>(`submissions/${id}`)).body;
  expect(letter).toBe(`Lette: ${(await markOf(id)).sum} of 9, 2 comments.`);
});

test('a map lets go when nothing is left of what was said and given on it, and not before', async () => {
  const { tobias, maker, stateOf } = await judgedClass('Lets go');
  const { id } = await maker('Lego');
  const said = (await tobias.post<CommentRow>(`submissions/${id}/comments`, { anchor: 'map', text: 'Hm.' })).body.id;
  await tobias.call('PUT', `submissions/${id}/judgements`, { kind: 'criterion', subject: 'c1', value: 1 });
  await tobias.call('DELETE', `comments/${said}`);
  expect(await stateOf(id)).toBe('being marked');
  await tobias.call('PUT', `submissions/${id}/judgements`, { kind: 'criterion', subject: 'c1', value: null });
  const again = (await tobias.post<CommentRow>(`submissions/${id}/comments`, { anchor: 'map', text: 'Hm?' })).body.id;
  await tobias.call('DELETE', `comments/${again}`);
  expect(await stateOf(id)).toBe('handed in');
});

test('under a new revision a level keeps its name, points are cut, and what was given under the old one is refused', async () => {
  const { tobias, id: assignment, maker, markOf, save, requirement } = await judgedClass('Carried');
  const { id } = await maker('Cara', 'rests on');
  const judge = (kind: string, subject: string, value: number, more: object = {}) =>
    tobias.call('PUT', `submissions/${id}/judgements`, { kind, subject, value, ...more });
  await judge('criterion', 'c1', 1);
  await judge('result', 'r1', 2, { reason: 'As I see it.' });
  const { revision } = (await tobias.get<SubmissionDetail>(`submissions/${id}`)).body;
  await save('criteria', { criteria: [{ ...INSIGHT, levels: [level('none', 0), ...INSIGHT.levels] }] });
  await save('requirements', { requirements: [requirement('r1', 'kind-count', { kind: 'own', min: 2 }, 1)] });
  expect((await tobias.post(`assignments/${assignment}/next-revision`, {})).status).toBe(204);
  const given = (await tobias.get<JudgementRow[]>(`submissions/${id}/judgements`)).body;
  expect(given.map(({ subject, value }) => [subject, value]).sort()).toEqual([
    ['c1', 2],
    ['r1', 1],
  ]);
  expect((await markOf(id)).lines.map(({ what, points }) => [what, points]).slice(0, 2)).toEqual([
    ['Requirements', 1],
    ['Insight', 3],
  ]);
  // The trail says what became of it, and who looks at the old revision is told to look again.
  const trail = (await tobias.get<MarkChangeRow[]>(`submissions/${id}/trail`)).body;
  expect(trail.filter(({ subject }) => subject === 'c1').map(({ after }) => after)).toEqual([1, 2]);
  expect((await judge('criterion', 'c1', 0, { revision })).status).toBe(409);
  expect((await judge('criterion', 'c1', 0, { revision: revision + 1 })).status).toBe(204);
});

test('a revision asked for three times at once gives what is new once, links and all, to whoever draws', async () => {
  const { tobias, id, student, save, requirement } = await classAtWork('Three times');
  const { client, person, work } = await student('Tris');
  const starter = tobias.document(`starter:${id}`);
  await starter.opened();
  const topic = (name: string, y: number) => ({
    do: 'add' as const,
    to: 'topics' as const,
    item: { id: name, text: name, kind: null, x: 400, y, width: 90, height: 40 },
  });
  starter.live.apply([
    topic('Cable', 0),
    topic('Tower', 90),
    { do: 'add', to: 'links', item: { id: 'given', from: 'Cable', to: 'Tower', phrase: 'hangs from', kind: null } },
  ]);
  await starter.saved();
  await save('requirements', { requirements: [requirement('r1', 'kind-count', { kind: 'own', min: 1 }, 3)] });
  const asked = await Promise.all(Array.from({ length: 3 }, () => tobias.post(`assignments/${id}/next-revision`, {})));
  expect(asked.map(({ status }) => status)).toEqual([204, 204, 204]);
  await until('what is new', () => client.live.snapshot.links.some(({ phrase }) => phrase === 'hangs from'));
  const { topics, links } = client.live.snapshot;
  expect(topics.map(({ text }) => text).sort()).toEqual(['Cable', 'Mine', 'Tower']);
  expect(links).toHaveLength(1);
  // As it is stored, too.
  const other = person.live(work.id);
  await other.opened();
  expect(other.live.snapshot.links).toHaveLength(1);
  for (const one of [client, starter, other]) one.close();
});
