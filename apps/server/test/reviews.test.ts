import type { ReviewDetail, ReviewRounds, ReviewRow, ReviewTask } from '@ichnograph/contract';
import type { MarkDetail } from '@ichnograph/core';
import { classAtWork } from './setup/class-at-work.js';
import type { Person } from './setup/client.js';

const NAMES = ['Zinnia', 'Kasimir', 'Vidar', 'Oriana'];
const WORDS = 'Safran: your piers stand on nothing.';
const PLAN = { each: 2, criteria: true, sentences: true, notes: false, share: 0.25, apart: [] };

/** Four who have each handed in a map, under an assignment with one criterion of three levels. */
async function handedIn(title: string) {
  const desk = await classAtWork(title);
  const { tobias, save, id, student, publicationId } = desk;
  const level = (name: string, points: number) => ({ name, points, description: '' });
  await save('criteria', {
    criteria: [{ id: 'c1', name: 'Insight', levels: [level('little', 0), level('some', 2), level('much', 4)] }],
  });
  expect((await tobias.post(`assignments/${id}/next-revision`, {})).status).toBe(204);
  const makers = [];
  for (const [i, name] of NAMES.entries()) {
    const made = await student(`${name}${title.length}`, 'Beam', 'Pier', 'Deck');
    const [beam, pier] = made.client.live.snapshot.topics.map((topic) => topic.id) as [string, string];
    made.client.live.apply([
      { do: 'set', in: 'topics', id: beam, fields: { note: `Indigo note of ${i}` } },
      { do: 'add', to: 'links', item: { id: `l${i}`, from: beam, to: pier, phrase: 'rests on', kind: null } },
    ]);
    await made.client.saved();
    const submission = await made.handIn();
    made.client.close();
    const { me } = (await made.person.get<{ me: { id: string } }>('welcome')).body;
    makers.push({ ...made, name: `${name}${title.length}`, submission, me: me.id });
  }
  const round = async () => (await tobias.get<ReviewRounds>(`publications/${publicationId}/reviews`)).body;
  const begin = (more: object = {}) => tobias.post(`publications/${publicationId}/reviews`, { ...PLAN, ...more });
  const tasks = async (who: Person) => (await who.get<ReviewTask[]>('reviews')).body;
  const open = async (who: Person, reviewId: string) => (await who.get<ReviewDetail>(`reviews/${reviewId}`)).body;
  return { ...desk, makers, round, begin, tasks, open };
}
type Desk = Awaited<ReturnType<typeof handedIn>>;

/** Every answer that one of the class can get about their own map. */
async function allThatReaches({ makers, publicationId }: Desk, i: number): Promise<string> {
  const { person, submission, work } = makers[i]!;
  const asked = [
    `submissions/${submission}`,
    `submissions/${submission}/mark`,
    `submissions/${submission}/judgements`,
    `submissions/${submission}/comments`,
    `submissions/${submission}/verdicts`,
    `submissions/${submission}/reviews`,
    `submissions/${submission}/trail`,
    `publications/${publicationId}/reviews`,
    `publications/${publicationId}/pile`,
    `works/${work.id}`,
    `works/${work.id}/comments`,
    'today/student',
    'shares',
    'gatherings',
    'showings',
  ];
  return (await Promise.all(asked.map((path) => person.get(path)))).map(({ body }) => JSON.stringify(body)).join('\n');
}

test('maps are handed out without names; what is given reaches the teacher at once and their makers after release alone', async () => {
  const desk = await handedIn('Reviews');
  const { tobias, makers, round, begin, tasks, open, publicationId } = desk;
  expect((await round()).round).toBeNull();
  expect((await begin({ criteria: false, sentences: false })).status).toBe(422);
  expect((await begin({ each: 4 })).status).toBe(422);
  expect((await begin({ share: 0.6 })).status).toBe(422);
  expect((await begin({ apart: [['nobody', 'x']] })).status).toBe(422);
  expect((await begin()).status).toBe(204);
  expect((await begin()).status).toBe(409);
  expect((await round()).round!.maps.map(({ handedOut }) => handedOut)).toEqual([2, 2, 2, 2]);

  const first = makers[0]!;
  const mine = await tasks(first.person);
  expect(mine.map(({ number, of, state, open: isOpen }) => [number, of, state, isOpen])).toEqual([
    [1, 2, 'handed out', true],
    [2, 2, 'handed out', true],
  ]);
  const detail = await open(first.person, mine[0]!.id);
  // Nothing of who made it, nothing that stands behind it, none of what the computer found or the teacher answered.
  // (Ids of topics hold their maker's name in these tests alone.)
  const sent = JSON.stringify(detail).replace(/own-\w+-\d/g, '');
  for (const { name, me, submission, work } of makers)
    for (const secret of [name, me, submission, work.id, 'Indigo']) expect(sent).not.toContain(secret);
  expect(detail.propositions).toHaveLength(1);
  expect((await makers[1]!.person.get(`reviews/${mine[0]!.id}`)).status).toBe(404);

  const save = (who: Person, review: ReviewDetail | string, given: object) =>
    who.call<{ version: number }>('PUT', `reviews/${typeof review === 'string' ? review : review.id}`, {
      version: typeof review === 'string' ? 0 : review.version,
      levels: {},
      verdicts: {},
      words: '',
      ...given,
    });
  const { key } = detail.propositions[0]!;
  expect((await save(first.person, detail, { levels: { c1: 3 } })).status).toBe(422);
  expect((await save(first.person, detail, { levels: { other: 1 } })).status).toBe(422);
  expect((await save(first.person, detail, { verdicts: { other: 'sound' } })).status).toBe(422);
  expect((await save(first.person, detail, { words: 'x'.repeat(4001) })).status).toBe(422);
  const given = { levels: { c1: 0 }, verdicts: { [key]: 'shaky' }, words: WORDS };
  expect((await save(first.person, detail, { words: WORDS })).body.version).toBe(1);
  expect((await first.person.post(`reviews/${detail.id}/send`)).status).toBe(422);
  const stale = await save(first.person, detail, given);
  expect([stale.status, (await open(first.person, detail.id)).given.levels]).toEqual([409, {}]);
  const now = await open(first.person, detail.id);
  expect((await save(first.person, now, given)).status).toBe(200);
  // The answer was lost: the same once more is no other.
  expect((await save(first.person, now, given)).body.version).toBe(2);
  expect((await makers[1]!.person.post(`reviews/${detail.id}/send`)).status).toBe(404);
  expect((await first.person.post(`reviews/${detail.id}/send`)).status).toBe(204);
  expect((await first.person.post(`reviews/${detail.id}/send`)).status).toBe(204);
  expect((await save(first.person, { ...now, version: 2 }, { words: 'More' })).status).toBe(409);

  // The teacher has it beside the marks, with its reviewer, and sees how far the two agree.
  const index = await indexOfReviewed(desk, first.me);
  const reviewed = makers[index]!;
  const judge = (value: number) =>
    tobias.call('PUT', `submissions/${reviewed.submission}/judgements`, { kind: 'criterion', subject: 'c1', value });
  await judge(2);
  const rows = (await tobias.get<ReviewRow[]>(`submissions/${reviewed.submission}/reviews`)).body;
  expect(rows).toMatchObject([{ words: WORDS, levels: { c1: 0 }, by: { id: first.me }, number: 1 }]);
  const beside = (await round()).round!;
  expect(beside.reviewers.find(({ person }) => person.id === first.me)).toMatchObject({
    sent: 1,
    of: 2,
    both: 1,
    same: 0,
  });
  expect((await tobias.call('DELETE', `publications/${publicationId}/reviews`)).status).toBe(409);

  const mark = async (who: Person) =>
    (await who.get<{ mark: MarkDetail }>(`submissions/${reviewed.submission}/mark`)).body.mark;
  const before = await mark(tobias);
  expect(await allThatReaches(desk, index)).not.toMatch(/Safran/);
  expect((await reviewed.person.get<ReviewRow[]>(`submissions/${reviewed.submission}/reviews`)).body).toEqual([]);
  expect((await reviewed.person.post(`publications/${publicationId}/reviews/release`)).status).toBe(403);
  expect((await tobias.post(`publications/${publicationId}/reviews/release`)).status).toBe(204);

  // Released: their words without their name, and a quarter of the criterion.
  const told = (await reviewed.person.get<ReviewRow[]>(`submissions/${reviewed.submission}/reviews`)).body;
  expect(told).toMatchObject([{ words: WORDS, by: null }]);
  const reaches = await allThatReaches(desk, index);
  expect(reaches).toContain('Safran');
  for (const one of makers) if (one !== reviewed) expect(reaches).not.toContain(one.name);
  const after = await mark(tobias);
  expect(after.sum - before.sum).toBeCloseTo(0.25 * (0 - 4), 9);
  expect(after.lines.at(-1)).toMatchObject({ what: 'Reviews by others' });
  expect(after.lines.reduce((sum, { points }) => sum + points, 0)).toBeCloseTo(after.sum, 9);
  await tobias.post(`submissions/${reviewed.submission}/return`, { unjudged: true });
  expect(await mark(reviewed.person)).toEqual(await mark(tobias));
  // What went back keeps what it was returned with.
  await tobias.call('PATCH', `publications/${publicationId}/reviews`, { share: 0 });
  expect((await mark(tobias)).sum).toBe(after.sum);
  // Nothing more is given once it is released.
  const second = await open(first.person, mine[1]!.id);
  expect([second.open, (await save(first.person, second, { words: 'Late' })).status]).toEqual([false, 409]);
});

/** Whose map of the class a person has sent a review of. */
async function indexOfReviewed({ tobias, makers }: Desk, reviewer: string): Promise<number> {
  for (const [i, { submission }] of makers.entries()) {
    const rows = (await tobias.get<ReviewRow[]>(`submissions/${submission}/reviews`)).body;
    if (rows.some(({ by }) => by?.id === reviewer)) return i;
  }
  throw new Error('nobody’s map was reviewed');
}

test('what is returned before release holds nothing of reviews; who was kept apart, came late, or left is handed out rightly', async () => {
  const desk = await handedIn('Reviews apart');
  const { tobias, makers, round, begin, tasks, open, publicationId, room, student } = desk;
  const [a, b] = makers as [Desk['makers'][number], Desk['makers'][number]];
  expect((await begin({ each: 1, apart: [[a.me, b.me]], criteria: false })).status).toBe(204);
  const over = { closesAt: '2001-01-01T00:00:00Z' };
  const keptApart = async ({ person, me }: Desk['makers'][number], other: Desk['makers'][number]) => {
    const rows = (await tobias.get<ReviewRounds>(`publications/${publicationId}/reviews`)).body.round!;
    expect(rows.reviewers.find((one) => one.person.id === me)!.of).toBe(1);
    for (const { id } of await tasks(person)) {
      const topics = (await open(person, id)).map as { topics: { id: string }[] };
      expect(topics.topics.some((topic) => topic.id.includes(other.name))).toBe(false);
    }
  };
  await keptApart(a, b);
  await keptApart(b, a);

  const late = await student('Ulla', 'Beam');
  await late.handIn();
  late.client.close();
  expect((await round()).round!.notHandedOut).toBe(1);
  const more = await tobias.post<{ handedOut: number }>(`publications/${publicationId}/reviews/hand-out`);
  expect([more.status, more.body.handedOut]).toEqual([201, 1]);
  expect(await tasks(late.person)).toHaveLength(1);

  const [task] = await tasks(a.person);
  const review = await open(a.person, task!.id);
  // Criteria are not opened.
  const given = { version: 0, levels: { c1: 1 }, verdicts: {}, words: WORDS };
  expect((await a.person.call('PUT', `reviews/${review.id}`, given)).status).toBe(422);
  expect((await a.person.post(`reviews/${review.id}/send`)).status).toBe(422);
  expect((await a.person.call('PUT', `reviews/${review.id}`, { ...given, levels: {} })).status).toBe(200);
  expect((await a.person.post(`reviews/${review.id}/send`)).status).toBe(204);
  const index = await indexOfReviewed(desk, a.me);
  await tobias.post(`submissions/${makers[index]!.submission}/return`, { unjudged: true });
  expect(await allThatReaches(desk, index)).not.toContain('Safran');

  const [other] = await tasks(b.person);
  expect((await tobias.call('PATCH', `publications/${publicationId}/reviews`, over)).status).toBe(204);
  expect((await b.person.call('PUT', `reviews/${other!.id}`, { ...given, levels: {} })).status).toBe(409);
  await tobias.call('DELETE', `classes/${room.id}/people/${b.me}`);
  expect([await tasks(b.person), (await b.person.get(`reviews/${other!.id}`)).status]).toEqual([[], 404]);
});
