import 'reflect-metadata';
import { RequestMethod } from '@nestjs/common';
import type { GatheringDetail, SheetDetail } from '@ichnograph/contract';
import { assignmentOf, readyMade, writeAssignment, writeSketch } from '@ichnograph/core';
import { AppModule } from '../src/app.module.js';
import { OWN_PASSWORD, Person } from './setup/client.js';
import { rightsSchool, WHO } from './setup/rights-school.js';
import type { RightsSchool, Who } from './setup/rights-school.js';

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

/** A request that whoever may is granted: made anew for each who asks, for what can be done once is done by the first. */
interface Asked {
  path: string;
  body?: unknown;
  /** as its own session, where asking ends the one it is asked in */
  apart?: boolean;
  /** bytes in place of JSON */
  bytes?: string;
}
type Ask = (school: RightsSchool, who: Who) => Promise<Asked> | Asked;
type Row = readonly [number, number, number, number, number, number, number, number];

const at =
  (path: (school: RightsSchool) => string | Promise<string>, body?: (school: RightsSchool, who: Who) => unknown): Ask =>
  async (school, who) => ({ path: await path(school), body: await body?.(school, who) });
const plainly =
  (path: string, body?: unknown): Ask =>
  () => ({ path, body });
const ofClass = (rest = '', body?: unknown): Ask =>
  at(
    ({ room }) => `classes/${room}${rest}`,
    () => body,
  );
const ofSheet = (rest = '', body?: unknown): Ask =>
  at(
    ({ assignment }) => `assignments/${assignment}${rest}`,
    () => body,
  );
const tomorrow = (): string => new Date(Date.now() + 86_400_000).toISOString();
const ofPublication = (rest = '', body?: unknown): Ask =>
  at(
    ({ publication }) => `publications/${publication}${rest}`,
    () => body,
  );
const ofWork = (rest = '', body?: unknown): Ask =>
  at(
    ({ work }) => `works/${work}${rest}`,
    () => body,
  );
const handedIn = (rest = '', body?: unknown): Ask =>
  at(
    async (school) => `submissions/${await school.handedIn()}${rest}`,
    () => body,
  );
const returned = (rest = '', body?: unknown): Ask =>
  at(
    async (school) => `submissions/${await school.returned()}${rest}`,
    () => body,
  );

const file = (): object => {
  const made = readyMade('timeline')!;
  return writeAssignment(assignmentOf(made.sheet, { starter: made.starter, reference: null }));
};
let count = 0;
const fresh = (word: string): string => `${word}-${(count += 1)}`;
const nobody = '00000000-0000-4000-8000-000000000000';

/**
 * Statuses in the order of `WHO`: nobody; a student who made the map and one of the same class; a teacher and an assistant
 * of the class; a colleague with whom the assignment is shared, and not the class; a teacher of none; an administrator.
 * Each row has somebody who is granted the very request that the others are refused.
 */
const ROWS: Record<string, { ask: Ask; expect: Row }> = {
  'GET /welcome': { ask: plainly('welcome'), expect: [200, 200, 200, 200, 200, 200, 200, 200] },
  'POST /sign-in': {
    ask: () => ({ path: 'sign-in', body: { name: 'rights-mate', password: OWN_PASSWORD }, apart: true }),
    expect: [204, 204, 204, 204, 204, 204, 204, 204],
  },
  'POST /password': {
    ask: () => ({
      path: 'password',
      body: { current: OWN_PASSWORD, next: 'another password of my own' },
      apart: false,
    }),
    expect: [401, 204, 204, 204, 204, 204, 204, 204],
  },
  'POST /first-administrator': {
    ask: plainly('first-administrator', {
      school: 'Another',
      timeZone: 'Europe/Oslo',
      givenName: 'A',
      familyName: 'B',
      name: 'another-head',
      password: 'a long first one',
    }),
    // Granted once, on an empty installation: see accounts.test.
    expect: [409, 409, 409, 409, 409, 409, 409, 409],
  },
  'GET /accounts': { ask: plainly('accounts'), expect: [401, 403, 403, 403, 403, 403, 403, 200] },
  'POST /accounts': {
    ask: () => ({
      path: 'accounts',
      body: { role: 'student', givenName: 'A', familyName: 'B', name: fresh('rights'), password: 'a long first one' },
    }),
    expect: [401, 403, 403, 403, 403, 403, 403, 201],
  },
  'GET /accounts/:id/kept': {
    ask: at(({ people }) => `accounts/${people.classmate.id}/kept`),
    expect: [401, 403, 403, 403, 403, 403, 403, 200],
  },
  'POST /accounts/:id/erase': {
    ask: at(async ({ made }) => `accounts/${await made()}/erase`),
    expect: [401, 403, 403, 403, 403, 403, 403, 204],
  },
  'GET /classes': { ask: plainly('classes'), expect: [401, 200, 200, 200, 200, 200, 200, 200] },
  'POST /classes': {
    ask: () => ({ path: 'classes', body: { name: fresh('Class') } }),
    expect: [401, 403, 403, 201, 201, 201, 201, 201],
  },
  'GET /classes/colleagues': { ask: plainly('classes/colleagues'), expect: [401, 403, 403, 200, 200, 200, 200, 200] },
  'POST /classes/join': {
    ask: async ({ people: { teacher } }) => {
      const { body } = await teacher.post<{ id: string }>('classes', { name: fresh('To join') });
      const { body: door } = await teacher.post<{ joinCode: string }>(`classes/${body.id}/join-code`, { open: true });
      return { path: 'classes/join', body: { code: door.joinCode } };
    },
    expect: [401, 200, 200, 403, 403, 403, 403, 403],
  },
  'POST /classes/:id/join-code': {
    ask: ofClass('/join-code', { open: false }),
    expect: [401, 403, 403, 200, 404, 404, 404, 200],
  },
  'POST /classes/:id/students': {
    ask: ofClass('/students', { people: [{ givenName: 'Some', familyName: 'Body' }] }),
    expect: [401, 403, 403, 201, 404, 404, 404, 201],
  },
  'POST /classes/:id/known-names': {
    ask: ofClass('/known-names', { people: [{ givenName: 'Noor', familyName: '' }] }),
    expect: [401, 403, 403, 200, 404, 404, 404, 200],
  },
  'POST /classes/:id/people/:accountId/reset-password': {
    ask: at(async ({ room, made }) => `classes/${room}/people/${await made('student', 'student')}/reset-password`),
    expect: [401, 403, 403, 200, 404, 404, 404, 200],
  },
  'POST /classes/:id/people/:accountId/move': {
    ask: at(
      async ({ room, made }) => `classes/${room}/people/${await made('student', 'student')}/move`,
      ({ elsewhere }) => ({ to: elsewhere }),
    ),
    expect: [401, 403, 403, 204, 404, 404, 404, 204],
  },
  'POST /classes/:id/archive': {
    ask: ofClass('/archive', { archived: false }),
    expect: [401, 403, 403, 204, 404, 404, 404, 204],
  },
  'GET /classes/:id/people': { ask: ofClass('/people'), expect: [401, 403, 403, 200, 200, 404, 404, 200] },
  'POST /classes/:id/people': {
    ask: at(
      ({ room }) => `classes/${room}/people`,
      async ({ made }) => ({ accountId: await made(), part: 'student' }),
    ),
    expect: [401, 403, 403, 204, 404, 404, 404, 204],
  },
  'DELETE /classes/:id/people/:accountId': {
    ask: at(async ({ room, made }) => `classes/${room}/people/${await made('student', 'student')}`),
    expect: [401, 403, 403, 204, 404, 404, 404, 204],
  },
  'GET /assignments': { ask: plainly('assignments'), expect: [401, 403, 403, 200, 200, 200, 200, 403] },
  'POST /assignments': {
    ask: () => ({ path: 'assignments', body: { file: file() } }),
    expect: [401, 403, 403, 201, 201, 201, 201, 403],
  },
  'GET /assignments/:id': { ask: ofSheet(), expect: [401, 403, 403, 200, 200, 200, 404, 403] },
  'GET /assignments/:id/file': { ask: ofSheet('/file'), expect: [401, 403, 403, 200, 200, 200, 404, 403] },
  'POST /assignments/sheets': {
    ask: plainly('assignments/sheets', {}),
    expect: [401, 403, 403, 201, 201, 201, 201, 403],
  },
  'GET /assignments/:id/sheet': { ask: ofSheet('/sheet'), expect: [401, 403, 403, 200, 403, 200, 404, 403] },
  'PUT /assignments/:id/sheet/:part': {
    ask: async ({ assignment, sheetNow }) => {
      const { version, body } = (await sheetNow()).criteria!;
      return { path: `assignments/${assignment}/sheet/criteria`, body: { version, body } };
    },
    expect: [401, 403, 403, 200, 403, 200, 404, 403],
  },
  'POST /assignments/:id/here': { ask: ofSheet('/here', {}), expect: [401, 403, 403, 200, 403, 200, 404, 403] },
  'GET /assignments/:id/trials': { ask: ofSheet('/trials'), expect: [401, 403, 403, 200, 403, 200, 404, 403] },
  'POST /assignments/:id/trials': {
    ask: ofSheet('/trials', { name: 'A tangle' }),
    expect: [401, 403, 403, 201, 403, 201, 404, 403],
  },
  'DELETE /assignments/:id/trials/:trialId': {
    ask: at(async ({ assignment, trial }) => `assignments/${assignment}/trials/${await trial()}`),
    expect: [401, 403, 403, 204, 403, 204, 404, 403],
  },
  'POST /classes/:id/standing-rules': {
    ask: ofClass('/standing-rules', {}),
    expect: [401, 403, 403, 201, 404, 404, 404, 403],
  },
  'GET /assignments/:id/amended-rules': {
    ask: at(async ({ rules }) => `assignments/${await rules()}/amended-rules`),
    expect: [401, 403, 403, 200, 404, 404, 404, 403],
  },
  'POST /assignments/:id/amended-rules': {
    ask: at(
      async ({ rules }) => `assignments/${await rules()}/amended-rules`,
      () => ({ assignments: [] }),
    ),
    expect: [401, 403, 403, 204, 404, 404, 404, 403],
  },
  'POST /assignments/:id/follow-rules': {
    ask: async ({ rules, room, people: { teacher } }) => {
      await teacher.post(`assignments/${await rules()}/amended-rules`, { assignments: [] });
      const { body } = await teacher.post<SheetDetail>('assignments/sheets', { forClass: room });
      return { path: `assignments/${body.id}/follow-rules`, body: {} };
    },
    expect: [401, 403, 403, 204, 404, 404, 404, 403],
  },
  'GET /standing-rules': { ask: plainly('standing-rules'), expect: [401, 403, 403, 200, 200, 200, 200, 403] },
  'GET /ready-made': { ask: plainly('ready-made'), expect: [401, 403, 403, 200, 200, 200, 200, 403] },
  'POST /ready-made': {
    ask: ({ assignment }) => ({ path: 'ready-made', body: { assignmentId: assignment, guidance: '' } }),
    expect: [401, 403, 403, 201, 403, 201, 404, 403],
  },
  'DELETE /ready-made/:id': {
    ask: at(async ({ readyMade: kept }) => `ready-made/${await kept()}`),
    expect: [401, 403, 403, 204, 404, 404, 404, 403],
  },
  'PATCH /assignments/:id': { ask: ofSheet('', { archived: false }), expect: [401, 403, 403, 204, 403, 403, 404, 403] },
  'GET /assignments/:id/class-maps': { ask: ofSheet('/class-maps'), expect: [401, 403, 403, 200, 403, 200, 404, 403] },
  'GET /assignments/:id/ahead': { ask: ofSheet('/ahead'), expect: [401, 403, 403, 200, 200, 200, 404, 403] },
  'GET /assignments/:id/next-revision': {
    ask: ofSheet('/next-revision'),
    expect: [401, 403, 403, 200, 403, 200, 404, 403],
  },
  'PATCH /publications/:id': {
    ask: ofPublication('', { showsExample: true }),
    expect: [401, 403, 403, 204, 404, 404, 404, 403],
  },
  'POST /publications/:id/extensions': {
    ask: at(
      ({ publication }) => `publications/${publication}/extensions`,
      ({ people }) => ({ accountId: people.classmate.id, due: null }),
    ),
    expect: [401, 403, 403, 204, 404, 404, 404, 403],
  },
  'GET /publications/:id/groups': { ask: ofPublication('/groups'), expect: [401, 403, 403, 200, 404, 404, 404, 403] },
  'PUT /publications/:id/groups': {
    ask: ofPublication('/groups', { groups: [] }),
    expect: [401, 403, 403, 204, 404, 404, 404, 403],
  },
  'POST /assignments/:id/publications': {
    ask: at(
      async ({ newSheet }) => `assignments/${await newSheet()}/publications`,
      ({ room }) => ({ classId: room }),
    ),
    expect: [401, 403, 403, 201, 404, 404, 404, 403],
  },
  'POST /assignments/:id/collaborators': {
    ask: at(
      ({ assignment }) => `assignments/${assignment}/collaborators`,
      async ({ made }) => ({ accountId: await made('teacher') }),
    ),
    expect: [401, 403, 403, 204, 403, 403, 404, 403],
  },
  'DELETE /assignments/:id/collaborators/:accountId': {
    ask: ofSheet(`/collaborators/${nobody}`),
    expect: [401, 403, 403, 204, 403, 403, 404, 403],
  },
  'POST /publications/:id/work': { ask: ofPublication('/work', {}), expect: [401, 201, 201, 403, 403, 403, 403, 403] },
  'GET /publications/:id/pile': { ask: ofPublication('/pile'), expect: [401, 403, 403, 200, 200, 404, 404, 403] },
  'GET /works/:id': { ask: ofWork(), expect: [401, 200, 404, 200, 200, 404, 404, 404] },
  'GET /works/:id/answer-checks': { ask: ofWork('/answer-checks'), expect: [401, 200, 404, 403, 403, 403, 403, 403] },
  'GET /works/:id/versions': { ask: ofWork('/versions'), expect: [401, 200, 404, 200, 200, 404, 404, 404] },
  'POST /works/:id/versions': {
    ask: ofWork('/versions', { name: 'A version' }),
    expect: [401, 201, 404, 403, 403, 403, 403, 403],
  },
  'GET /versions/:id': {
    ask: at(({ version }) => `versions/${version}`),
    expect: [401, 200, 404, 200, 200, 404, 404, 404],
  },
  'GET /own-maps': { ask: plainly('own-maps'), expect: [401, 200, 200, 200, 200, 200, 200, 403] },
  'POST /drawings': {
    ask: plainly('drawings', {
      as: 'svg',
      map: { format: 'ichnograph-map', version: 1, title: '', author: '', focusQuestion: '', topics: [], links: [] },
    }),
    expect: [401, 200, 200, 200, 200, 200, 200, 200],
  },
  'POST /brought-in/:id': {
    ask: async ({ publication, made }) => ({
      path: `brought-in/${publication}`,
      body: {
        maps: [
          {
            studentId: await made('student', 'student'),
            fileName: 'map.json',
            map: {
              format: 'ichnograph-map',
              version: 1,
              title: '',
              author: '',
              focusQuestion: '',
              topics: [],
              links: [],
            },
          },
        ],
      },
    }),
    expect: [401, 403, 403, 204, 404, 404, 404, 403],
  },
  'POST /own-maps': { ask: plainly('own-maps', { title: 'Mine' }), expect: [401, 201, 201, 201, 201, 201, 201, 403] },
  'GET /own-maps/:id': {
    ask: at(async ({ ownMap }) => `own-maps/${await ownMap()}`),
    expect: [401, 200, 404, 404, 404, 404, 404, 403],
  },
  'GET /own-maps/:id/pages': {
    ask: at(async ({ ownMap }) => `own-maps/${await ownMap()}/pages`),
    expect: [401, 200, 404, 404, 404, 404, 404, 403],
  },
  'POST /own-maps/:id/pages': {
    ask: at(
      async ({ ownMap }) => `own-maps/${await ownMap()}/pages`,
      () => ({ endsAt: tomorrow(), showsNames: false }),
    ),
    expect: [401, 201, 404, 404, 404, 404, 404, 403],
  },
  'GET /works/:id/pages': { ask: ofWork('/pages'), expect: [401, 200, 404, 200, 200, 404, 404, 404] },
  'POST /works/:id/pages': {
    ask: at(
      ({ work }) => `works/${work}/pages`,
      () => ({ endsAt: tomorrow(), showsNames: false }),
    ),
    expect: [401, 201, 404, 403, 403, 403, 403, 403],
  },
  'GET /shares': { ask: plainly('shares'), expect: [401, 200, 200, 200, 200, 200, 200, 403] },
  'GET /shares/targets': { ask: plainly('shares/targets'), expect: [401, 200, 200, 200, 200, 200, 200, 403] },
  // It is the classmate with whom it is shared.
  'GET /shares/:id': {
    ask: at(async ({ share }) => `shares/${await share()}`),
    expect: [401, 404, 200, 404, 404, 404, 404, 403],
  },
  'DELETE /shares/:id': {
    ask: at(async ({ share }) => `shares/${await share()}`),
    expect: [401, 204, 404, 404, 404, 404, 404, 403],
  },
  'GET /gatherings': { ask: plainly('gatherings'), expect: [401, 200, 200, 200, 200, 200, 200, 403] },
  'POST /gatherings': {
    ask: at(
      () => 'gatherings',
      ({ room }) => ({ classId: room, question: 'What do you know already?', anonymous: true }),
    ),
    expect: [401, 403, 403, 201, 201, 404, 404, 403],
  },
  'POST /gatherings/find': {
    ask: at(
      () => 'gatherings/find',
      async ({ gathering, people }) => {
        const { body } = await people.teacher.get<GatheringDetail>(`gatherings/${await gathering()}`);
        return { code: body.code.toLowerCase() };
      },
    ),
    expect: [401, 200, 200, 200, 200, 422, 422, 403],
  },
  'GET /gatherings/:id': {
    ask: at(async ({ gathering }) => `gatherings/${await gathering()}`),
    expect: [401, 200, 200, 200, 200, 404, 404, 403],
  },
  'PATCH /gatherings/:id': {
    ask: at(
      async ({ gathering }) => `gatherings/${await gathering()}`,
      () => ({ open: false }),
    ),
    expect: [401, 403, 403, 204, 204, 404, 404, 403],
  },
  'DELETE /gatherings/:id': {
    ask: at(async ({ gathering }) => `gatherings/${await gathering()}`),
    expect: [401, 403, 403, 204, 204, 404, 404, 403],
  },
  'POST /gatherings/:id/ideas': {
    ask: at(
      async ({ gathering }) => `gatherings/${await gathering()}/ideas`,
      () => ({ text: 'Arches' }),
    ),
    expect: [401, 201, 201, 201, 201, 404, 404, 403],
  },
  'DELETE /gatherings/:id/ideas/:sentId': {
    ask: async ({ idea }) => {
      const { gathering, sent } = await idea();
      return { path: `gatherings/${gathering}/ideas/${sent}` };
    },
    expect: [401, 204, 404, 404, 404, 404, 404, 403],
  },
  'PUT /gatherings/:id/ideas': {
    ask: async ({ idea }) => {
      const one = await idea();
      return { path: `gatherings/${one.gathering}/ideas`, body: { as: 'take', ids: [one.idea] } };
    },
    expect: [401, 403, 403, 204, 204, 404, 404, 403],
  },
  'POST /gatherings/:id/made': {
    ask: async ({ idea }) => ({ path: `gatherings/${(await idea()).gathering}/made`, body: { as: 'bank' } }),
    expect: [401, 403, 403, 201, 201, 404, 404, 403],
  },
  'GET /publications/:id/reviews': { ask: ofPublication('/reviews'), expect: [401, 403, 403, 200, 200, 404, 404, 403] },
  'POST /publications/:id/reviews': {
    ask: async ({ publication, reviews, people }) => {
      await reviews();
      await people.teacher.call('DELETE', `publications/${publication}/reviews`);
      const body = { each: 1, criteria: false, sentences: true, notes: false, share: 0, apart: [] };
      return { path: `publications/${publication}/reviews`, body };
    },
    expect: [401, 403, 403, 204, 204, 404, 404, 403],
  },
  'PATCH /publications/:id/reviews': {
    ask: async ({ publication, reviews }) => {
      await reviews();
      return { path: `publications/${publication}/reviews`, body: { closesAt: null } };
    },
    expect: [401, 403, 403, 204, 204, 404, 404, 403],
  },
  'DELETE /publications/:id/reviews': {
    ask: async ({ publication, reviews }) => {
      await reviews();
      return { path: `publications/${publication}/reviews` };
    },
    expect: [401, 403, 403, 204, 204, 404, 404, 403],
  },
  'POST /publications/:id/reviews/hand-out': {
    ask: async ({ publication, reviews }) => {
      await reviews();
      return { path: `publications/${publication}/reviews/hand-out` };
    },
    expect: [401, 403, 403, 201, 201, 404, 404, 403],
  },
  'POST /publications/:id/reviews/release': {
    ask: async ({ publication, reviews }) => {
      await reviews();
      return { path: `publications/${publication}/reviews/release` };
    },
    expect: [401, 403, 403, 204, 204, 404, 404, 403],
  },
  'GET /submissions/:id/reviews': { ask: handedIn('/reviews'), expect: [401, 200, 404, 200, 200, 404, 404, 404] },
  'GET /reviews': { ask: plainly('reviews'), expect: [401, 200, 200, 403, 403, 403, 403, 403] },
  'GET /reviews/:id': {
    ask: at(async ({ reviews }) => `reviews/${await reviews()}`),
    expect: [401, 200, 404, 403, 403, 403, 403, 403],
  },
  'PUT /reviews/:id': {
    ask: at(
      async ({ reviews }) => `reviews/${await reviews()}`,
      () => ({ version: 0, levels: {}, verdicts: {}, words: 'Well done.' }),
    ),
    expect: [401, 200, 404, 403, 403, 403, 403, 403],
  },
  'POST /reviews/:id/send': {
    ask: async ({ reviews, people }) => {
      const id = await reviews();
      await people.member.call('PUT', `reviews/${id}`, { version: 0, levels: {}, verdicts: {}, words: 'Well done.' });
      return { path: `reviews/${id}/send` };
    },
    expect: [401, 204, 404, 403, 403, 403, 403, 403],
  },
  'GET /showings': { ask: plainly('showings'), expect: [401, 200, 200, 200, 200, 200, 200, 403] },
  'POST /showings': {
    ask: at(
      () => 'showings',
      ({ room, work }) => ({ classId: room, workId: work }),
    ),
    expect: [401, 201, 404, 201, 201, 404, 404, 403],
  },
  'GET /showings/:id': {
    ask: at(async ({ showing }) => `showings/${await showing()}`),
    expect: [401, 200, 200, 200, 200, 404, 404, 403],
  },
  'PUT /showings/:id/place': {
    ask: at(
      async ({ showing }) => `showings/${await showing()}/place`,
      () => ({ topic: null, words: '', line: false, view: null }),
    ),
    expect: [401, 204, 404, 404, 404, 404, 404, 403],
  },
  'DELETE /showings/:id': {
    ask: at(async ({ showing }) => `showings/${await showing()}`),
    expect: [401, 204, 404, 204, 204, 404, 404, 403],
  },
  'GET /own-maps/:id/shares': {
    ask: at(async ({ ownMap }) => `own-maps/${await ownMap()}/shares`),
    expect: [401, 200, 404, 404, 404, 404, 404, 403],
  },
  'POST /own-maps/:id/shares': {
    ask: at(
      async ({ ownMap }) => `own-maps/${await ownMap()}/shares`,
      ({ room }) => ({ classId: room, mayEdit: true, endsAt: tomorrow() }),
    ),
    expect: [401, 201, 404, 404, 404, 404, 404, 403],
  },
  'GET /works/:id/shares': { ask: ofWork('/shares'), expect: [401, 200, 404, 200, 200, 404, 404, 403] },
  'POST /works/:id/shares': {
    ask: at(
      ({ work }) => `works/${work}/shares`,
      ({ room }) => ({ classId: room, mayEdit: false, endsAt: tomorrow() }),
    ),
    expect: [401, 201, 404, 403, 403, 403, 403, 403],
  },
  // Beside the API: who has the link needs nothing else.
  'GET /shared/:token': {
    ask: at(async ({ sharedPage }) => `../shared/${(await sharedPage()).token}`),
    expect: [200, 200, 200, 200, 200, 200, 200, 200],
  },
  'GET /shared/:token/embed': {
    ask: at(async ({ sharedPage }) => `../shared/${(await sharedPage()).token}/embed`),
    expect: [200, 200, 200, 200, 200, 200, 200, 200],
  },
  'DELETE /pages/:id': {
    ask: at(async ({ sharedPage }) => `pages/${(await sharedPage()).id}`),
    expect: [401, 204, 404, 204, 204, 404, 404, 404],
  },
  'PATCH /own-maps/:id': {
    ask: at(
      async ({ ownMap }) => `own-maps/${await ownMap()}`,
      () => ({ folder: 'Here' }),
    ),
    expect: [401, 204, 404, 404, 404, 404, 404, 403],
  },
  'GET /own-maps/:id/versions': {
    ask: at(async ({ ownMap }) => `own-maps/${await ownMap()}/versions`),
    expect: [401, 200, 404, 404, 404, 404, 404, 403],
  },
  'POST /own-maps/:id/versions': {
    ask: at(
      async ({ ownMap }) => `own-maps/${await ownMap()}/versions`,
      () => ({ name: 'A version' }),
    ),
    expect: [401, 201, 404, 404, 404, 404, 404, 403],
  },
  'DELETE /own-maps/:id': {
    ask: at(async ({ ownMap }) => `own-maps/${await ownMap()}`),
    expect: [401, 204, 404, 404, 404, 404, 404, 403],
  },
  'GET /files': { ask: plainly('files'), expect: [401, 200, 200, 200, 200, 200, 200, 200] },
  'POST /files': {
    ask: () => ({ path: 'files?name=words', bytes: fresh('Words') }),
    expect: [401, 201, 201, 201, 201, 201, 201, 201],
  },
  'POST /files/sketches': {
    ask: plainly('files/sketches?name=sketch', sketch()),
    expect: [401, 201, 201, 201, 201, 201, 201, 201],
  },
  // Whoever knows the name of a file knows it from a map they may see.
  'GET /files/:hash': {
    ask: at(async ({ file: brought }) => `files/${await brought()}`),
    expect: [401, 200, 200, 200, 200, 200, 200, 200],
  },
  'PUT /files/:hash/away': {
    ask: at(async ({ file: brought }) => `files/${await brought()}/away`),
    expect: [401, 204, 404, 404, 404, 404, 404, 404],
  },
  'DELETE /files/:hash/away': {
    ask: at(async ({ file: brought }) => `files/${await brought()}/away`),
    expect: [401, 204, 404, 404, 404, 404, 404, 404],
  },
  'GET /files/:hash/sketch': {
    ask: async ({ people: { member } }) => {
      const { body } = await member.post<{ src: string }>('files/sketches?name=sketch', sketch());
      return { path: `files/${body.src}/sketch` };
    },
    expect: [401, 200, 200, 200, 200, 200, 200, 200],
  },
  'POST /works/:id/revise': {
    ask: async ({ work, returned: back }) => {
      await back();
      return { path: `works/${work}/revise`, body: {} };
    },
    expect: [401, 204, 404, 403, 403, 403, 403, 403],
  },
  'POST /works/:id/hand-in': {
    ask: async ({ work, handedIn: again, client }) => {
      await again();
      return { path: `works/${work}/hand-in`, body: { client: client.client, count: client.live.made } };
    },
    expect: [401, 201, 404, 403, 403, 403, 403, 403],
  },
  'GET /submissions/:id': { ask: handedIn(), expect: [401, 200, 404, 200, 200, 404, 404, 404] },
  'GET /submissions/:id/reference': {
    ask: async ({ people: { teacher }, publication, returned: back }) => {
      await teacher.call('PATCH', `publications/${publication}`, { showsReference: true });
      return { path: `submissions/${await back()}/reference` };
    },
    // The assignment of this class has no reference: see beginnings.test for who is shown one.
    expect: [401, 404, 404, 404, 404, 404, 404, 404],
  },
  'GET /submissions/:id/mark': { ask: handedIn('/mark'), expect: [401, 200, 404, 200, 200, 404, 404, 404] },
  'GET /submissions/:id/judgements': { ask: handedIn('/judgements'), expect: [401, 200, 404, 200, 200, 404, 404, 404] },
  'PUT /submissions/:id/judgements': {
    ask: at(
      async ({ handedIn: again }) => `submissions/${await again()}/judgements`,
      ({ criterion }) => ({ kind: 'criterion', subject: criterion, value: 0 }),
    ),
    expect: [401, 403, 403, 204, 204, 404, 404, 403],
  },
  'GET /submissions/:id/trail': { ask: handedIn('/trail'), expect: [401, 403, 403, 200, 200, 404, 404, 403] },
  'POST /publications/:id/return-complete': {
    ask: ofPublication('/return-complete', {}),
    expect: [401, 403, 403, 200, 200, 404, 404, 403],
  },
  'GET /publications/:id/propositions': {
    ask: ofPublication('/propositions'),
    expect: [401, 403, 403, 200, 200, 404, 404, 403],
  },
  'PUT /publications/:id/verdicts': {
    ask: at(
      ({ publication }) => `publications/${publication}/verdicts`,
      async ({ key }) => ({ keys: [await key()], verdict: 'sound' }),
    ),
    expect: [401, 403, 403, 200, 200, 404, 404, 403],
  },
  'PUT /submissions/:id/verdicts': {
    ask: at(
      async ({ handedIn: again }) => `submissions/${await again()}/verdicts`,
      async ({ key }) => ({ keys: [await key()], verdict: 'shaky' }),
    ),
    expect: [401, 403, 403, 204, 204, 404, 404, 403],
  },
  'GET /submissions/:id/verdicts': { ask: handedIn('/verdicts'), expect: [401, 200, 404, 200, 200, 404, 404, 404] },
  'GET /publications/:id/insight': { ask: ofPublication('/insight'), expect: [401, 403, 403, 200, 200, 404, 404, 403] },
  'GET /publications/:id/weights': { ask: ofPublication('/weights'), expect: [401, 403, 403, 200, 200, 404, 404, 403] },
  'GET /submissions/:id/mend': {
    ask: at(async ({ handedIn: again, requirement }) => `submissions/${await again()}/mend?requirement=${requirement}`),
    expect: [401, 403, 403, 200, 200, 404, 404, 403],
  },
  'GET /publications/:id/since/:earlierId': {
    ask: at(({ publication }) => `publications/${publication}/since/${publication}`),
    expect: [401, 403, 403, 200, 200, 404, 404, 403],
  },
  'GET /classes/:id/stays-hard': { ask: ofClass('/stays-hard'), expect: [401, 403, 403, 200, 200, 404, 404, 403] },
  'GET /publications/:id/growth': { ask: ofPublication('/growth'), expect: [401, 403, 403, 200, 200, 404, 404, 403] },
  'GET /submissions/:id/paper': { ask: returned('/paper'), expect: [401, 200, 404, 200, 200, 404, 404, 404] },
  'POST /publications/:id/exports': {
    ask: ofPublication('/exports', { as: 'pdf' }),
    expect: [401, 403, 403, 201, 201, 404, 404, 403],
  },
  'GET /exports/:id': {
    ask: at(async (school) => `exports/${await school.export(true)}`),
    expect: [401, 403, 403, 200, 404, 404, 404, 403],
  },
  'DELETE /exports/:id': {
    ask: at(async (school) => `exports/${await school.export(true)}`),
    expect: [401, 403, 403, 204, 404, 404, 404, 403],
  },
  'GET /exports/:id/file': {
    ask: at(async (school) => `exports/${await school.export(true)}/file`),
    expect: [401, 403, 403, 200, 404, 404, 404, 403],
  },
  'GET /classes/:id/gradebook': { ask: ofClass('/gradebook'), expect: [401, 403, 403, 200, 200, 404, 404, 403] },
  'GET /classes/:id/gradebook.csv': {
    ask: ofClass('/gradebook.csv'),
    expect: [401, 403, 403, 200, 200, 404, 404, 403],
  },
  'GET /classes/:id/gradebook.xlsx': {
    ask: ofClass('/gradebook.xlsx'),
    expect: [401, 403, 403, 200, 200, 404, 404, 403],
  },
  'POST /works/:id/here': { ask: ofWork('/here', {}), expect: [401, 403, 403, 200, 200, 404, 404, 403] },
  'GET /publications/:id/second-marking': {
    ask: ofPublication('/second-marking'),
    expect: [401, 403, 403, 200, 200, 404, 404, 403],
  },
  'PUT /publications/:id/second-marker': {
    ask: ofPublication('/second-marker', { accountId: null }),
    expect: [401, 403, 403, 204, 403, 404, 404, 403],
  },
  'GET /submissions/:id/second-marks': {
    ask: seconded((id) => `submissions/${id}/second-marks`),
    expect: [401, 403, 403, 409, 200, 404, 404, 403],
  },
  'PUT /submissions/:id/second-marks': {
    ask: seconded(
      (id) => `submissions/${id}/second-marks`,
      ({ criterion }) => ({ criterion, level: 0 }),
    ),
    expect: [401, 403, 403, 409, 204, 404, 404, 403],
  },
  'GET /publications/:id/remarks': {
    ask: async ({ publication, people: { teacher } }) => {
      await teacher.call('PUT', `publications/${publication}/second-marker`, { accountId: null });
      return { path: `publications/${publication}/remarks` };
    },
    expect: [401, 403, 403, 200, 200, 404, 404, 403],
  },
  'POST /remarks': {
    ask: () => ({ path: 'remarks', body: { text: fresh('Look at your arrows') } }),
    expect: [401, 403, 403, 201, 201, 201, 201, 403],
  },
  'POST /remarks/:id/uses': {
    ask: at(
      async ({ remark }) => `remarks/${await remark()}/uses`,
      () => ({}),
    ),
    expect: [401, 403, 403, 204, 404, 404, 404, 403],
  },
  'PATCH /remarks/:id': {
    ask: at(
      async ({ remark }) => `remarks/${await remark()}`,
      () => ({ text: 'Again.' }),
    ),
    expect: [401, 403, 403, 204, 404, 404, 404, 403],
  },
  'DELETE /remarks/:id': {
    ask: at(async ({ remark }) => `remarks/${await remark()}`),
    expect: [401, 403, 403, 204, 404, 404, 404, 403],
  },
  'POST /publications/:id/remarks-on-many': {
    ask: at(
      ({ publication }) => `publications/${publication}/remarks-on-many`,
      ({ requirement }) => ({ text: 'Hm.', requirement, preview: true }),
    ),
    expect: [401, 403, 403, 200, 200, 404, 404, 403],
  },
  'POST /remark-batches/:id/take-back': {
    ask: async ({ handedIn: again, publication, people: { teacher }, work }) => {
      await again();
      for (const requirement of (await teacher.get<{ assignment: { requirements: { id: string }[] } }>(`works/${work}`))
        .body.assignment.requirements) {
        const wanted = { text: 'Hm.', requirement: requirement.id, works: [work] };
        const { status, body } = await teacher.post<{ batch: string }>(
          `publications/${publication}/remarks-on-many`,
          wanted,
        );
        if (status === 200 && body.batch) return { path: `remark-batches/${body.batch}/take-back`, body: {} };
      }
      throw new Error('no requirement has evidence on this map');
    },
    expect: [401, 403, 403, 200, 404, 404, 404, 403],
  },
  'GET /submissions/:id/comments': { ask: returned('/comments'), expect: [401, 200, 404, 200, 200, 404, 404, 404] },
  'POST /submissions/:id/comments': {
    ask: handedIn('/comments', { anchor: 'map', text: 'Hm.' }),
    expect: [401, 403, 403, 201, 201, 404, 404, 403],
  },
  'GET /works/:id/comments': { ask: ofWork('/comments'), expect: [401, 200, 404, 200, 200, 404, 404, 404] },
  'POST /works/:id/comments': {
    ask: ofWork('/comments', { anchor: 'map', text: 'Go on.' }),
    expect: [401, 201, 404, 201, 201, 404, 404, 404],
  },
  'PUT /works/:id/comments/read': {
    ask: ofWork('/comments/read', { until: '2026-01-01T00:00:00Z' }),
    expect: [401, 204, 404, 204, 204, 404, 404, 404],
  },
  'PATCH /comments/:id': {
    ask: at(
      async ({ comment }) => `comments/${await comment()}`,
      () => ({ text: 'Hm?' }),
    ),
    expect: [401, 403, 403, 200, 404, 404, 404, 403],
  },
  'POST /comments/:id/answers': {
    ask: answerable('answers', { text: 'Because.' }),
    expect: [401, 204, 404, 204, 204, 404, 404, 404],
  },
  'PUT /comments/:id/settled': {
    ask: answerable('settled', { settled: true }),
    expect: [401, 204, 404, 204, 204, 404, 404, 404],
  },
  'DELETE /comments/:id': {
    ask: at(async ({ comment }) => `comments/${await comment()}`),
    expect: [401, 403, 403, 204, 404, 404, 404, 403],
  },
  'POST /comments/:id/restore': {
    ask: at(
      async ({ comment }) => `comments/${await comment()}/restore`,
      () => ({}),
    ),
    expect: [401, 403, 403, 201, 404, 404, 404, 403],
  },
  'POST /submissions/:id/let-go': { ask: handedIn('/let-go', {}), expect: [401, 403, 403, 204, 204, 404, 404, 403] },
  'POST /submissions/:id/return': {
    ask: handedIn('/return', { unjudged: true }),
    expect: [401, 403, 403, 204, 204, 404, 404, 403],
  },
  'POST /submissions/:id/take-back': {
    ask: returned('/take-back', {}),
    expect: [401, 403, 403, 204, 204, 404, 404, 403],
  },
  'POST /works/:id/news-read': { ask: ofWork('/news-read', {}), expect: [401, 204, 404, 403, 403, 403, 403, 403] },
  'POST /assignments/:id/next-revision': {
    ask: ofSheet('/next-revision', {}),
    expect: [401, 403, 403, 204, 403, 409, 404, 403],
  },
  'GET /today/student': { ask: plainly('today/student'), expect: [401, 200, 200, 403, 403, 403, 403, 403] },
  'GET /today/tasks': { ask: plainly('today/tasks'), expect: [401, 200, 200, 403, 403, 403, 403, 403] },
  'GET /today/teacher': { ask: plainly('today/teacher'), expect: [401, 403, 403, 200, 200, 200, 200, 403] },
  'POST /sign-out': {
    ask: () => ({ path: 'sign-out', body: {}, apart: true }),
    expect: [401, 204, 204, 204, 204, 204, 204, 204],
  },
};
/** Rows in which nobody here can be granted anything; where somebody is stands in another test, named beside the row. */
const GRANTED_ELSEWHERE = ['POST /first-administrator', 'GET /submissions/:id/reference'];

/** A stroke, drawn anew each time. */
function sketch(): object {
  const stroke = { colour: '#16202e', size: 3, points: [10, 10, 0.5, 20 + (count += 1), 40, 0.5] };
  return writeSketch({ width: 400, height: 300, strokes: [stroke] });
}

/** A map of a class that the assistant marks a second time. */
function seconded(path: (submission: string) => string, body?: (school: RightsSchool) => unknown): Ask {
  return async (school) => {
    const { people, publication, handedIn: again } = school;
    const id = await again();
    await people.teacher.call('PUT', `publications/${publication}/second-marker`, { accountId: people.assistant.id });
    return { path: path(id), body: body?.(school) };
  };
}

/** A comment of a map that came back. */
function answerable(what: string, body: object): Ask {
  return async ({ people: { teacher }, comment, newest }) => {
    const id = await comment();
    await teacher.post(`submissions/${await newest()}/return`, { unjudged: true });
    return { path: `comments/${id}/${what}`, body };
  };
}

test('every route has its row, and no row is of a route that is gone', () => {
  expect(routes()).toEqual(Object.keys(ROWS).sort());
});

test('each row grants its request to somebody', () => {
  const granting = Object.entries(ROWS).filter(([, row]) => row.expect.some((status) => status < 300));
  expect(granting.map(([route]) => route).sort()).toEqual(
    Object.keys(ROWS)
      .filter((route) => !GRANTED_ELSEWHERE.includes(route))
      .sort(),
  );
});

test('who may do what, route by route, asked with what whoever may is granted', async () => {
  const school = await rightsSchool();
  for (const [route, { ask, expect: wanted }] of Object.entries(ROWS)) {
    const [method] = route.split(' /') as [string];
    const got: number[] = [];
    for (const who of WHO) {
      const { path, body, apart = false, bytes } = await ask(school, who);
      const asker = apart && who !== 'nobody' ? await apartFrom(school, who) : school.people[who];
      got.push(await statusOf(asker, method, path, body, bytes));
    }
    expect([route, got]).toEqual([route, wanted]);
  }
  school.client.close();
}, 300_000);

/** The same person in another browser, with the password they have by then. */
async function apartFrom(school: RightsSchool, who: Who): Promise<Person> {
  const { body } = await school.people[who].get<{ me: { name: string } }>('welcome');
  return Person.signedIn(body.me.name);
}

async function statusOf(asker: Person, method: string, path: string, body: unknown, bytes?: string): Promise<number> {
  if (bytes === undefined) {
    const { cookie } = asker;
    const { status } = await asker.call(method, path, method === 'GET' ? undefined : body);
    // Whom somebody signs in as is none of this test's: the next row is asked by themselves again.
    asker.cookie = cookie;
    return status;
  }
  const response = await fetch(`${asker.url}/api/${path}`, {
    method,
    headers: { connection: 'close', cookie: asker.cookie, 'content-type': 'application/octet-stream' },
    body: bytes,
  });
  await response.arrayBuffer();
  return response.status;
}
