import 'reflect-metadata';
import { RequestMethod } from '@nestjs/common';
import type { CommentRow, VersionRow } from '@ichnograph/contract';
import { AppModule } from '../src/app.module.js';
import { Person } from './setup/client.js';
import { drawn } from './setup/works.js';

type Module = { imports?: unknown[]; controllers?: unknown[]; module?: unknown };

/** Every route of the application, read from what Nest itself reads. */
function routes(): string[] {
  const seen = new Set<unknown>();
  const walk = (module: unknown): unknown[] => {
    const dynamic = module as Module;
    const type = dynamic.module ?? module;
    if (seen.has(type)) return [];
    seen.add(type);
    const of = (key: string): unknown[] => [
      ...((Reflect.getMetadata(key, type as object) as unknown[] | undefined) ?? []),
      ...(dynamic[key as 'imports'] ?? []),
    ];
    return [...of('controllers'), ...of('imports').flatMap(walk)];
  };
  const settings = { database: {} } as never;
  return walk(AppModule.with({ settings, logger: {} as never, clock: {} as never }))
    .flatMap((controller) => {
      const { prototype } = controller as { prototype: object };
      const base = Reflect.getMetadata('path', controller as object) as string;
      return Object.getOwnPropertyNames(prototype).flatMap((name) => {
        if (name === 'constructor') return [];
        const handler = (prototype as Record<string, object>)[name]!;
        const path = Reflect.getMetadata('path', handler) as string | undefined;
        if (path === undefined) return [];
        const method = RequestMethod[Reflect.getMetadata('method', handler) as number];
        return [`${method} /${[base, path].filter((part) => part !== '/').join('/')}`];
      });
    })
    .sort();
}

const WHO = ['nobody', 'member', 'classmate', 'teacher', 'assistant', 'stranger', 'head'] as const;
type Who = (typeof WHO)[number];
/** Statuses in the order of `WHO`: a teacher and an assistant of the class, a teacher of none, the administrator. */
type Row = readonly [number, number, number, number, number, number, number];

/** Who gets what. Where a deed can be done once, whoever may do it comes when it is done: then 409 says that they may. */
const ROWS: Record<string, { expect: Row; body?: object; of?: 'work' | 'submission' | 'own comment' }> = {
  'GET /welcome': { expect: [200, 200, 200, 200, 200, 200, 200] },
  'POST /sign-in': { expect: [422, 422, 422, 422, 422, 422, 422] },
  'POST /password': { expect: [401, 422, 422, 422, 422, 422, 422] },
  'POST /first-administrator': { expect: [422, 422, 422, 422, 422, 422, 422] },
  'GET /accounts': { expect: [401, 403, 403, 403, 403, 403, 200] },
  'POST /accounts': { expect: [401, 403, 403, 403, 403, 403, 422] },
  'GET /accounts/:id/kept': { expect: [401, 403, 403, 403, 403, 403, 200] },
  'POST /accounts/:id/erase': { expect: [401, 403, 403, 403, 403, 403, 409] },
  'GET /classes': { expect: [401, 200, 200, 200, 200, 200, 200] },
  'POST /classes': { expect: [401, 403, 403, 422, 422, 422, 422] },
  'GET /classes/colleagues': { expect: [401, 403, 403, 200, 200, 200, 200] },
  'POST /classes/join': { expect: [401, 422, 422, 403, 403, 403, 403], body: { code: 'none' } },
  'POST /classes/:id/join-code': { expect: [401, 403, 403, 200, 404, 404, 200], body: { open: false } },
  'POST /classes/:id/students': { expect: [401, 403, 403, 422, 422, 422, 422], body: { people: [] } },
  'POST /classes/:id/known-names': {
    expect: [401, 403, 403, 200, 404, 404, 200],
    body: { people: [{ givenName: 'Noor', familyName: '' }] },
  },
  'POST /classes/:id/people/:accountId/reset-password': { expect: [401, 403, 403, 404, 404, 404, 404] },
  'POST /classes/:id/people/:accountId/move': {
    expect: [401, 403, 403, 404, 404, 404, 404],
    body: { to: 'CLASS' },
  },
  'POST /classes/:id/archive': { expect: [401, 403, 403, 204, 404, 404, 204], body: { archived: false } },
  'GET /classes/:id/people': { expect: [401, 403, 403, 200, 200, 404, 200] },
  'POST /classes/:id/people': { expect: [401, 403, 403, 422, 422, 422, 422] },
  'DELETE /classes/:id/people/:accountId': { expect: [401, 403, 403, 204, 404, 404, 204] },
  'GET /assignments': { expect: [401, 403, 403, 200, 200, 200, 403] },
  'POST /assignments': { expect: [401, 403, 403, 422, 422, 422, 403] },
  'GET /assignments/:id': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'GET /assignments/:id/file': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'POST /assignments/sheets': { expect: [401, 403, 403, 201, 201, 201, 403] },
  'GET /assignments/:id/sheet': { expect: [401, 403, 403, 200, 403, 404, 403] },
  'PUT /assignments/:id/sheet/:part': { expect: [401, 403, 403, 422, 403, 404, 403], body: { version: 1, body: {} } },
  'POST /assignments/:id/here': { expect: [401, 403, 403, 200, 403, 404, 403] },
  'GET /assignments/:id/trials': { expect: [401, 403, 403, 200, 403, 404, 403] },
  'POST /assignments/:id/trials': { expect: [401, 403, 403, 201, 403, 404, 403], body: { name: 'A tangle' } },
  'DELETE /assignments/:id/trials/:trialId': { expect: [401, 403, 403, 204, 403, 404, 403] },
  'POST /classes/:id/standing-rules': { expect: [401, 403, 403, 201, 404, 404, 403] },
  'GET /assignments/:id/amended-rules': { expect: [401, 403, 403, 404, 403, 404, 403] },
  'POST /assignments/:id/amended-rules': { expect: [401, 403, 403, 404, 403, 404, 403], body: { assignments: [] } },
  'POST /assignments/:id/follow-rules': { expect: [401, 403, 403, 422, 403, 404, 403] },
  'GET /standing-rules': { expect: [401, 403, 403, 200, 200, 200, 403] },
  'GET /ready-made': { expect: [401, 403, 403, 200, 200, 200, 403] },
  'POST /ready-made': {
    expect: [401, 403, 403, 404, 404, 404, 403],
    body: { assignmentId: 'NOBODY', guidance: '' },
  },
  'DELETE /ready-made/:id': { expect: [401, 403, 403, 404, 404, 404, 403] },
  'PATCH /assignments/:id': { expect: [401, 403, 403, 204, 403, 404, 403], body: { archived: false } },
  'GET /assignments/:id/class-maps': { expect: [401, 403, 403, 200, 403, 404, 403] },
  'GET /assignments/:id/ahead': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'GET /assignments/:id/next-revision': { expect: [401, 403, 403, 200, 403, 404, 403] },
  'PATCH /publications/:id': { expect: [401, 403, 403, 204, 404, 404, 403] },
  'POST /publications/:id/extensions': {
    expect: [401, 403, 403, 404, 404, 404, 403],
    body: { accountId: 'NOBODY', due: null },
  },
  'GET /publications/:id/groups': { expect: [401, 403, 403, 200, 404, 404, 403] },
  'PUT /publications/:id/groups': { expect: [401, 403, 403, 204, 404, 404, 403], body: { groups: [] } },
  'POST /assignments/:id/publications': {
    expect: [401, 403, 403, 409, 403, 404, 403],
    body: { classId: 'CLASS' },
  },
  'POST /assignments/:id/collaborators': {
    expect: [401, 403, 403, 404, 403, 404, 403],
    body: { accountId: 'NOBODY' },
  },
  'DELETE /assignments/:id/collaborators/:accountId': { expect: [401, 403, 403, 204, 403, 404, 403] },
  'POST /publications/:id/work': { expect: [401, 201, 201, 403, 403, 403, 403] },
  'GET /publications/:id/pile': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'GET /works/:id': { expect: [401, 200, 404, 200, 200, 404, 404] },
  'GET /works/:id/answer-checks': { expect: [401, 200, 404, 403, 403, 403, 403] },
  'GET /works/:id/versions': { expect: [401, 200, 404, 200, 200, 404, 404] },
  'POST /works/:id/versions': { expect: [401, 201, 404, 403, 403, 403, 403], body: { name: 'A version' } },
  'GET /versions/:id': { expect: [401, 200, 404, 200, 200, 404, 404] },
  'GET /own-maps': { expect: [401, 200, 200, 200, 200, 200, 403] },
  'POST /own-maps': { expect: [401, 201, 201, 201, 201, 201, 403], body: { title: 'Mine' } },
  'GET /own-maps/:id': { expect: [401, 200, 404, 404, 404, 404, 403] },
  'PATCH /own-maps/:id': { expect: [401, 204, 404, 404, 404, 404, 403], body: { folder: 'Here' } },
  'DELETE /own-maps/:id': { expect: [401, 204, 404, 404, 404, 404, 403] },
  'GET /files': { expect: [401, 200, 200, 200, 200, 200, 200] },
  'POST /files': { expect: [401, 422, 422, 422, 422, 422, 422] },
  'POST /files/sketches': { expect: [401, 422, 422, 422, 422, 422, 422] },
  'GET /files/:hash': { expect: [401, 404, 404, 404, 404, 404, 404] },
  'GET /files/:hash/sketch': { expect: [401, 404, 404, 404, 404, 404, 404] },
  'POST /works/:id/revise': { expect: [401, 409, 404, 403, 403, 403, 403] },
  'POST /works/:id/hand-in': {
    expect: [401, 409, 404, 403, 403, 403, 403],
    body: { client: 'c', count: 0 },
  },
  'GET /submissions/:id': { expect: [401, 200, 404, 200, 200, 404, 404] },
  'GET /submissions/:id/reference': { expect: [401, 404, 404, 404, 404, 404, 404] },
  'GET /submissions/:id/judgements': { expect: [401, 200, 404, 200, 200, 404, 404] },
  'PUT /submissions/:id/judgements': {
    expect: [401, 403, 403, 404, 404, 404, 403],
    body: { kind: 'criterion', subject: 'no such', value: 0 },
  },
  'GET /submissions/:id/trail': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'POST /publications/:id/return-complete': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'GET /publications/:id/propositions': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'PUT /publications/:id/verdicts': {
    expect: [401, 403, 403, 404, 404, 404, 403],
    body: { keys: ['nothing'], verdict: 'sound' },
  },
  'PUT /submissions/:id/verdicts': {
    expect: [401, 403, 403, 404, 404, 404, 403],
    body: { keys: ['nothing'], verdict: 'sound' },
  },
  'GET /submissions/:id/verdicts': { expect: [401, 200, 404, 200, 200, 404, 404] },
  'GET /publications/:id/insight': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'GET /publications/:id/weights': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'GET /submissions/:id/mend': { expect: [401, 403, 403, 404, 404, 404, 403] },
  'GET /publications/:id/since/:earlierId': { expect: [401, 403, 403, 404, 404, 404, 403] },
  'GET /classes/:id/stays-hard': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'GET /publications/:id/growth': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'GET /submissions/:id/paper': { expect: [401, 404, 404, 200, 200, 404, 404] },
  'POST /publications/:id/exports': { expect: [401, 403, 403, 201, 201, 404, 403], body: { as: 'pdf' } },
  'GET /exports/:id': { expect: [401, 403, 403, 404, 404, 404, 403] },
  'DELETE /exports/:id': { expect: [401, 403, 403, 404, 404, 404, 403] },
  'GET /exports/:id/file': { expect: [401, 403, 403, 404, 404, 404, 403] },
  'GET /classes/:id/gradebook': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'GET /classes/:id/gradebook.csv': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'GET /classes/:id/gradebook.xlsx': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'POST /works/:id/here': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'GET /publications/:id/second-marking': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'PUT /publications/:id/second-marker': {
    expect: [401, 403, 403, 204, 204, 404, 403],
    body: { accountId: null },
  },
  'GET /submissions/:id/second-marks': { expect: [401, 403, 403, 409, 409, 404, 403] },
  'PUT /submissions/:id/second-marks': {
    expect: [401, 403, 403, 409, 409, 404, 403],
    body: { criterion: 'none', level: 0 },
  },
  'GET /publications/:id/remarks': { expect: [401, 403, 403, 200, 200, 404, 403] },
  'POST /remarks': { expect: [401, 403, 403, 201, 201, 201, 403], body: { text: 'Look at your arrows.' } },
  'POST /remarks/:id/uses': { expect: [401, 403, 403, 204, 404, 404, 403] },
  'PATCH /remarks/:id': { expect: [401, 403, 403, 204, 404, 404, 403], body: { text: 'Look again.' } },
  'DELETE /remarks/:id': { expect: [401, 403, 403, 204, 404, 404, 403] },
  'POST /publications/:id/remarks-on-many': {
    expect: [401, 403, 403, 200, 200, 404, 403],
    body: { text: 'Hm.', requirement: 'none', preview: true },
  },
  'POST /remark-batches/:id/take-back': { expect: [401, 403, 403, 404, 404, 404, 403] },
  'GET /submissions/:id/comments': { expect: [401, 200, 404, 200, 200, 404, 404] },
  'POST /submissions/:id/comments': {
    expect: [401, 403, 403, 201, 201, 404, 403],
    body: { anchor: 'map', text: 'Hm.' },
  },
  'GET /works/:id/comments': { expect: [401, 200, 404, 200, 200, 404, 404] },
  'POST /works/:id/comments': {
    expect: [401, 403, 403, 201, 201, 404, 403],
    body: { anchor: 'map', text: 'Go on.' },
  },
  'PATCH /comments/:id': { expect: [401, 403, 403, 200, 404, 404, 403], body: { text: 'Hm?' } },
  'POST /comments/:id/answers': { expect: [401, 404, 404, 204, 204, 404, 404], body: { text: 'Because.' } },
  'PUT /comments/:id/settled': { expect: [401, 404, 404, 204, 204, 404, 404], body: { settled: true } },
  'DELETE /comments/:id': { expect: [401, 403, 403, 204, 404, 404, 403] },
  'POST /comments/:id/restore': { expect: [401, 403, 403, 201, 404, 404, 403] },
  'POST /submissions/:id/let-go': { expect: [401, 403, 403, 204, 204, 404, 403] },
  'POST /submissions/:id/return': { expect: [401, 403, 403, 204, 409, 404, 403] },
  'POST /submissions/:id/take-back': { expect: [401, 403, 403, 204, 409, 404, 403] },
  'POST /works/:id/news-read': { expect: [401, 204, 404, 403, 403, 403, 403] },
  'POST /assignments/:id/next-revision': { expect: [401, 403, 403, 204, 403, 404, 403] },
  'GET /today/student': { expect: [401, 200, 200, 403, 403, 403, 403] },
  'GET /today/teacher': { expect: [401, 403, 403, 200, 200, 200, 403] },
  'POST /sign-out': { expect: [401, 204, 204, 204, 204, 204, 204] },
};

test('every route has its row, and no row is of a route that is gone', () => {
  expect(routes()).toEqual(Object.keys(ROWS).sort());
});

test('who may do what, route by route', async () => {
  const { person: member, work, client, handIn } = await drawn('Hazel');
  const submission = (await handIn()).body.id;
  client.close();
  const [maren, piet, tobias, halina] = await Promise.all(
    ['maren', 'piet', 'tobias', 'halina'].map((name) => Person.signedIn(name)),
  );
  const people: Record<Who, Person> = {
    nobody: new Person(),
    member,
    classmate: await Person.newcomer('Heather'),
    teacher: maren!,
    assistant: piet!,
    stranger: tobias!,
    head: halina!,
  };
  const comment = (await maren!.post<CommentRow>(`submissions/${submission}/comments`, { anchor: 'map', text: 'x' }))
    .body.id;
  const room = (await halina!.get<{ id: string; name: string }[]>('classes')).body.find(
    ({ name }) => name === 'Technology 9B',
  )!.id;
  const { publicationId, assignmentId } = await maren!.teacherTask();
  const version = (await member.post<VersionRow>(`works/${work.id}/versions`, { name: 'Of Hazel' })).body.id;
  const ownMap = (await member.post<{ id: string }>('own-maps', { title: 'Of Hazel' })).body.id;
  const remark = (await maren!.post<{ id: string }>('remarks', { text: 'Of Maren' })).body.id;
  const ids: Record<string, string> = {
    remarks: remark,
    'remark-batches': '00000000-0000-4000-8000-000000000000',
    'own-maps': ownMap,
    versions: version,
    accounts: (await halina!.get<{ me: { id: string } }>('welcome')).body.me.id,
    classes: room,
    assignments: assignmentId,
    publications: publicationId,
    works: work.id,
    submissions: submission,
    comments: comment,
    exports: '00000000-0000-4000-8000-000000000000',
    'ready-made': '00000000-0000-4000-8000-000000000000',
  };
  const nobody = '00000000-0000-4000-8000-000000000000';
  for (const [route, { expect: wanted, body }] of Object.entries(ROWS)) {
    const [method, address] = route.split(' /') as [string, string];
    const path = address
      .replace(':id', ids[address.split('/')[0]!] ?? '')
      .replace(/:accountId|:trialId|:earlierId/, nobody)
      .replace(':part', 'task');
    const sent = JSON.stringify(body ?? {})
      .replace('CLASS', room)
      .replace('NOBODY', nobody);
    const got: number[] = [];
    for (const who of WHO) got.push((await people[who].call(method, path, method === 'GET' ? undefined : sent)).status);
    expect([route, got]).toEqual([route, wanted]);
  }
});
