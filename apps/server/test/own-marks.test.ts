import type { Gradebook, JudgementRow, Pile, RosterEntry, SubmissionDetail, WorkDetail } from '@ichnograph/contract';
import { markWords } from '@ichnograph/core';
import type { MarkDetail } from '@ichnograph/core';
import { Person } from './setup/client.js';
import { classAtWork } from './setup/class-at-work.js';

const WHY = { ada: 'Zinnober: she drew nearly all of it.', bo: 'Karmesin: he came to one lesson of four.' };

/** A group of three that handed in a map worth two points, under an assignment of four. */
async function groupHandedIn(title: string) {
  const desk = await classAtWork(title);
  const { tobias, room, publicationId, save, requirement, bodies, id } = desk;
  await save('requirements', { requirements: [requirement('r1', 'kind-count', { kind: 'own', min: 2 }, 4)] });
  await save('marks', {
    ...bodies.marks,
    marks: { late: null, propositions: null, scale: { as: 'points' }, whileWorking: 'points' },
  });
  expect((await tobias.post(`assignments/${id}/next-revision`, {})).status).toBe(204);
  const people: Person[] = [];
  const { joinCode } = (await tobias.post<{ joinCode: string }>(`classes/${room.id}/join-code`, { open: true })).body;
  for (const name of ['Ada', 'Bo', 'Cid']) {
    const person = await Person.newcomer(name);
    await person.post('classes/join', { code: joinCode });
    people.push(person);
  }
  const roster = (await tobias.get<RosterEntry[]>(`classes/${room.id}/people`)).body;
  const ids = ['Ada', 'Bo', 'Cid'].map((name) => roster.find(({ givenName }) => givenName === name)!.id);
  await tobias.call('PUT', `publications/${publicationId}/groups`, { groups: [{ members: ids }] });
  const [ada, bo, cid] = people as [Person, Person, Person];
  const work = (await ada.post<WorkDetail>(`publications/${publicationId}/work`)).body;
  const client = ada.live(work.id);
  await client.opened();
  const item = { id: 'one', text: 'Beam', kind: 'own', x: 0, y: 0, width: 90, height: 40 };
  client.live.apply([{ do: 'add', to: 'topics', item }]);
  await client.saved();
  const sent = { client: client.client, count: client.live.made };
  const submission = (await ada.post<SubmissionDetail>(`works/${work.id}/hand-in`, sent)).body.id;
  client.close();
  const judge = (accountId: string, value: number | null, reason = '', who = tobias) =>
    who.call('PUT', `submissions/${submission}/judgements`, { kind: 'person', subject: accountId, value, reason });
  return { ...desk, ada, bo, cid, ids: ids as [string, string, string], work, submission, judge };
}

test('one of a group has points more or fewer with a reason: each reads their own, and nothing of the others’', async () => {
  const { tobias, room, publicationId, ada, bo, cid, ids, work, submission, judge } = await groupHandedIn('Own marks');
  expect([(await judge(ids[0], 1.5)).status, (await judge(ids[0], 1.5, '  ')).status]).toEqual([422, 422]);
  expect((await judge(ids[0], 4.5, 'Too much.')).status).toBe(422);
  expect((await judge('00000000-0000-4000-8000-000000000000', 1, 'Who?')).status).toBe(404);
  expect((await judge(ids[1], 1, 'Me!', bo)).status).toBe(403);
  expect((await judge(ids[0], 1.5, WHY.ada)).status).toBe(204);
  expect((await judge(ids[1], -4, WHY.bo)).status).toBe(204);

  const mark = async (who: Person) =>
    (await who.get<{ mark: MarkDetail | null }>(`submissions/${submission}/mark`)).body.mark;
  expect([await mark(ada), await mark(bo)]).toEqual([null, null]);
  const group = (await mark(tobias))!;
  expect([group.sum, group.own]).toEqual([2, undefined]);
  const letter = 'Dear {name}, it is {mark}.';
  expect((await tobias.post(`submissions/${submission}/return`, { letter, unjudged: true })).status).toBe(204);

  // Ada has more, Bo no less than nothing, Cid what the group has.
  const wanted = [
    { who: ada, sum: 3.5, reason: WHY.ada, letter: 'Dear Ada, it is 3.5 of 4.' },
    { who: bo, sum: 0, reason: WHY.bo, letter: 'Dear Bo, it is 0 of 4.' },
    { who: cid, sum: 2, reason: undefined, letter: 'it is 2 of 4.' },
  ];
  const book = (await tobias.get<Gradebook>(`classes/${room.id}/gradebook`)).body;
  for (const [i, { who, sum, reason, letter: said }] of wanted.entries()) {
    const own = (await mark(who))!;
    expect([own.sum, own.own?.reason]).toEqual([sum, reason]);
    expect(own.lines.reduce((all, { points }) => all + points, 0)).toBeCloseTo(sum, 9);
    const detail = (await who.get<SubmissionDetail>(`submissions/${submission}`)).body;
    expect([detail.submissions[0]!.mark!.sum, detail.letter]).toEqual([sum, expect.stringContaining(said)]);
    const cell = book.students
      .find(({ person }) => person.id === ids[i])!
      .cells.find(({ workId }) => workId === work.id)!;
    expect([cell.mark!.sum, markWords(cell.mark!.shown)]).toEqual([sum, `${sum} of 4`]);
    // Nothing that is sent to one of them holds what another was told.
    const all = [
      JSON.stringify(detail),
      JSON.stringify((await who.get<WorkDetail>(`works/${work.id}`)).body),
      JSON.stringify((await who.get<JudgementRow[]>(`submissions/${submission}/judgements`)).body),
      JSON.stringify((await who.get('today/student')).body),
      JSON.stringify((await who.get(`works/${work.id}/comments`)).body),
    ].join('\n');
    for (const [k, secret] of ['Zinnober', 'Karmesin'].entries()) {
      if (k !== i) expect(all).not.toContain(secret);
      else expect(all).toContain(secret);
    }
    expect((await who.get(`submissions/${submission}/trail`)).status).toBe(403);
  }
  const { entries } = (await tobias.get<Pile>(`publications/${publicationId}/pile`)).body;
  const { mark: all, own } = entries.find(({ workId }) => workId === work.id)!.submission!;
  expect([all!.sum, ...own.map(({ sum }) => sum).toSorted()]).toEqual([2, 0, 3.5]);
  const trail = (await tobias.get<{ kind: string; subject: string }[]>(`submissions/${submission}/trail`)).body;
  expect(trail.filter(({ kind }) => kind === 'person').map(({ subject }) => subject)).toEqual([ids[0], ids[1]]);
  // What was returned stays as it was.
  expect((await judge(ids[2], 1, 'Later.')).status).toBe(409);
});

test('a group whose members have marks of their own is written out with a paper for each', async () => {
  const { tobias, publicationId, ids, ada, submission, judge } = await groupHandedIn('Own papers');
  const names = async (): Promise<number> => {
    const made = (await tobias.post<{ id: string }>(`publications/${publicationId}/exports`, { as: 'zip' })).body;
    for (;;) {
      const { state } = (await tobias.get<{ state: string }>(`exports/${made.id}`)).body;
      if (state === 'ready') break;
      expect(state).toBe('running');
    }
    const { url, cookie } = tobias;
    const file = await fetch(`${url}/api/exports/${made.id}/file`, { headers: { connection: 'close', cookie } });
    const content = Buffer.from(await file.arrayBuffer());
    return content.toString('latin1').split('PK\u0001\u0002').length - 1;
  };
  expect(await names()).toBe(1);
  expect((await judge(ids[0], 1, WHY.ada)).status).toBe(204);
  expect(await names()).toBe(3);
  expect((await judge(ids[0], null)).status).toBe(204);
  expect(await names()).toBe(1);
  expect((await ada.get(`submissions/${submission}/paper`)).status).toBe(404);
});
