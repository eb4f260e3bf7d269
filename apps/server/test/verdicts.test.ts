import type {
  ClassPropositions,
  CommentRow,
  MapProposition,
  MarkChangeRow,
  Pile,
  SubmissionDetail,
  VerdictGiven,
} from '@ichnograph/contract';
import { Person } from './setup/client.js';
import { drawn } from './setup/works.js';

/** The demo's class as it is marked, with a map by somebody new that says what the starter says. */
async function theClass(name: string, phrase = `is what ${name} ties to`) {
  const { person, client, work, handIn } = await drawn(name);
  const topic = (text: string, y: number) => ({
    do: 'add' as const,
    to: 'topics' as const,
    item: { id: `${name}-${text}`, text, kind: 'part', x: 0, y, width: 90, height: 40 },
  });
  const link = {
    id: `says-${name}`,
    from: `${name}-Arch`,
    to: `${name}-Abutment`,
    phrase,
    kind: 'says',
  };
  client.live.apply([topic('Arch', 800), topic('Abutment', 900), { do: 'add', to: 'links', item: link }]);
  await client.saved();
  const { id } = (await handIn()).body;
  client.close();
  const maren = await Person.signedIn('maren');
  const { publicationId } = await maren.teacherTask();
  const all = async (): Promise<ClassPropositions> =>
    (await maren.get<ClassPropositions>(`publications/${publicationId}/propositions`)).body;
  const ofMap = async (who = maren): Promise<MapProposition[]> =>
    (await who.get<MapProposition[]>(`submissions/${id}/verdicts`)).body;
  const give = (more: object, who = maren) =>
    who.call<VerdictGiven>('PUT', `publications/${publicationId}/verdicts`, more);
  const giveMap = (more: object, who = maren) => who.call('PUT', `submissions/${id}/verdicts`, more);
  return { person, maren, publicationId, id, workId: work.id, all, ofMap, give, giveMap };
}

test('a verdict on the class holds in every map that says it; one map can differ; a return carries them and their remarks', async () => {
  const { person, maren, id, workId, all, ofMap, give, giveMap } = await theClass('Veronika', 'pushes outward on the');
  const { propositions } = await all();
  expect(propositions.length).toBeGreaterThan(20);
  expect(propositions[0]!.works.length).toBeGreaterThanOrEqual(propositions[1]!.works.length);
  const own = await ofMap();
  const said = propositions.find(({ works }) => works.includes(workId) && works.length > 2)!;
  expect(own.find(({ key }) => key === said.key)).toMatchObject({ judged: null, own: false });

  const given = await give({ keys: [said.key], verdict: 'sound', thin: true, remark: 'Say how.' });
  expect([given.status, given.body.maps > 1]).toEqual([200, true]);
  expect((await all()).propositions.find(({ key }) => key === said.key)!.judged).toMatchObject({
    verdict: 'sound',
    thin: true,
    remark: 'Say how.',
    by: { givenName: 'Maren' },
  });
  expect((await ofMap()).find(({ key }) => key === said.key)).toMatchObject({
    own: false,
    judged: { verdict: 'sound' },
  });

  // Here it is another: what the class has stays for the others.
  expect((await giveMap({ keys: [said.key], verdict: 'shaky', remark: 'Not on your bridge.' })).status).toBe(204);
  const row = (await all()).propositions.find(({ key }) => key === said.key)!;
  expect([row.judged!.verdict, row.otherwise.map((one) => [one.workId, one.judged.verdict])]).toEqual([
    'sound',
    [[workId, 'shaky']],
  ]);
  const trail = (await maren.get<MarkChangeRow[]>(`submissions/${id}/trail`)).body;
  expect(trail.map(({ kind, subject, before, after }) => [kind, subject, before, after])).toEqual([
    ['verdict', said.key, null, 1],
    ['verdict', said.key, 1, 0.5],
  ]);

  // Nothing of it reaches the student before the return; then it stands as it was.
  expect(await ofMap(person)).toEqual([]);
  expect((await maren.post(`submissions/${id}/return`, { unjudged: true })).status).toBe(204);
  await give({ keys: [said.key], verdict: 'wrong' });
  expect(await ofMap(person)).toMatchObject([{ key: said.key, own: true, judged: { verdict: 'shaky' } }]);
  const comments = (await person.get<CommentRow[]>(`submissions/${id}/comments`)).body;
  expect(comments.map(({ anchor, text }) => [anchor, text])).toEqual([['proposition', 'Not on your bridge.']]);
});

test('a return taken back takes its verdicts and remarks back', async () => {
  const { maren, id, ofMap, giveMap } = await theClass('Verity');
  const [first] = await ofMap();
  await giveMap({ keys: [first!.key], verdict: 'wrong', remark: 'Turn it round.' });
  await maren.post(`submissions/${id}/return`, { unjudged: true });
  expect((await maren.post(`submissions/${id}/take-back`)).status).toBe(204);
  expect((await maren.get<CommentRow[]>(`submissions/${id}/comments`)).body).toEqual([]);
  expect(await ofMap()).toHaveLength(1);
  // Back to the class's word.
  await giveMap({ keys: [first!.key], verdict: null });
  expect((await ofMap())[0]).toMatchObject({ own: false, judged: null });
});

test('what nobody says, what is both thin and wrong, and what another judged meanwhile is refused', async () => {
  const { ofMap, give, giveMap, all, publicationId } = await theClass('Vesna');
  const [{ key }] = (await ofMap()) as [MapProposition];
  expect((await give({ keys: ['["text:x","","text:y"]'], verdict: 'sound' })).status).toBe(404);
  expect((await giveMap({ keys: [key, 'nothing'], verdict: 'sound' })).status).toBe(404);
  expect((await give({ keys: [], verdict: 'sound' })).status).toBe(422);
  expect((await give({ keys: [key], verdict: 'true' })).status).toBe(422);
  expect((await giveMap({ keys: [key], verdict: 'wrong', thin: true })).status).toBe(422);
  const piet = await Person.signedIn('piet');
  expect((await giveMap({ keys: [key], verdict: 'sound', seen: 'none' })).status).toBe(204);
  const late = await giveMap({ keys: [key], verdict: 'wrong', seen: 'none' }, piet);
  expect([late.status, late.problem.detail]).toEqual([
    409,
    'This was judged sound meanwhile, so nothing was changed. Look again, then give it.',
  ]);
  expect((await ofMap())[0]!.judged!.verdict).toBe('sound');
  // Two at once: one of them is told.
  const other = (await all()).propositions.at(-1)!.key;
  const both = await Promise.all([
    give({ keys: [other], verdict: 'sound', seen: 'none' }),
    give({ keys: [other], verdict: 'wrong', seen: 'none' }, piet),
  ]);
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
  expect(publicationId).toBeTruthy();
});

test('targets are judged by what was chosen to show them', async () => {
  const { give, all } = await theClass('Vito');
  const { outcomes } = await all();
  expect(outcomes.length).toBeGreaterThan(1);
  expect((await give({ keys: [outcomes[0]!.key], verdict: 'shaky', remark: 'Look lower.' })).status).toBe(200);
  expect((await all()).outcomes[0]!.judged).toMatchObject({ verdict: 'shaky' });
});

test('an assistant judges, a student and a stranger do not', async () => {
  const { person, ofMap, give, giveMap, publicationId, maren, id } = await theClass('Viggo');
  const [{ key }] = (await ofMap()) as [MapProposition];
  const tobias = await Person.signedIn('tobias');
  expect((await give({ keys: [key], verdict: 'sound' }, person)).status).toBe(403);
  expect((await giveMap({ keys: [key], verdict: 'sound' }, tobias)).status).toBe(404);
  expect((await tobias.get(`publications/${publicationId}/propositions`)).status).toBe(404);
  const pile = (await maren.get<Pile>(`publications/${publicationId}/pile`)).body;
  expect(pile.entries.find(({ submission }) => submission?.id === id)!.state).toBe('handed in');
  expect((await maren.get<SubmissionDetail>(`submissions/${id}`)).status).toBe(200);
});
