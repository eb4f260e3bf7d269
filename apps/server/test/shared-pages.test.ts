import type { OwnMapDetail, SharedPageRow, SharedPages } from '@ichnograph/contract';
import { classAtWork } from './setup/class-at-work.js';
import { Person } from './setup/client.js';

const DAY_MS = 86_400_000;
const inDays = (days: number): string => new Date(Date.now() + days * DAY_MS).toISOString();
const nobody = new Person();

async function read(token: string, form = ''): Promise<{ status: number; html: string; headers: Headers }> {
  const response = await fetch(`${nobody.url}/shared/${token}${form}`, {
    headers: { connection: 'close', accept: 'text/html' },
  });
  return { status: response.status, html: await response.text(), headers: response.headers };
}

async function ownMap(person: Person): Promise<string> {
  const { body } = await person.post<{ id: string }>('own-maps', { title: 'Tides <and> moons', readyMade: 'timeline' });
  return body.id;
}

test('a map is read by its link without an account, and by nobody once it is taken back', async () => {
  const kofi = await Person.signedIn('kofi');
  const id = await ownMap(kofi);
  const made = await kofi.post<SharedPageRow>(`own-maps/${id}/pages`, { endsAt: inDays(3), showsNames: false });
  expect(made.status).toBe(201);
  const { token } = made.body;
  expect(token).toMatch(/^[\w-]{43}$/);
  const { status, html, headers } = await read(token);
  expect(status).toBe(200);
  expect(html).toContain('Tides &lt;and&gt; moons');
  const { map } = (await kofi.get<OwnMapDetail>(`own-maps/${id}`)).body;
  const texts = (map.topics as { text: string }[]).map(({ text }) => text);
  for (const text of texts) expect(html).toContain(text.split(/[\s&<>'"]/)[0]);
  // Nothing else is found there: no script, no address of ours, no name, no frame.
  expect(html).not.toMatch(/<script|\/api\/|Kofi/i);
  expect(headers.get('content-security-policy')).toMatch(/default-src 'none'.*frame-ancestors 'none'/);
  expect(headers.get('x-robots-tag')).toBe('noindex');
  // A drawing alone may stand in a frame of somebody else's.
  const embed = await read(token, '/embed');
  expect(embed.status).toBe(200);
  expect(embed.headers.get('content-security-policy')).toMatch(/frame-ancestors \*/);
  expect(embed.headers.get('x-frame-options')).toBeNull();
  expect(embed.html).toContain('data:image/svg+xml;base64,');

  expect((await kofi.get<SharedPages>(`own-maps/${id}/pages`)).body.pages.map((page) => page.token)).toEqual([token]);
  const noor = await Person.signedIn('noor');
  expect((await noor.call('DELETE', `pages/${made.body.id}`)).status).toBe(404);
  expect((await kofi.call('DELETE', `pages/${made.body.id}`)).status).toBe(204);
  for (const form of ['', '/embed']) {
    const gone = await read(token, form);
    expect([gone.status, gone.html]).toEqual([404, expect.stringContaining('This page is not there')]);
  }
});

test('names are shown where the owner says so; a page goes with its map; its end is a day to come', async () => {
  const kofi = await Person.signedIn('kofi');
  const id = await ownMap(kofi);
  const make = (endsAt: string, showsNames = true) =>
    kofi.post<SharedPageRow>(`own-maps/${id}/pages`, { endsAt, showsNames });
  for (const wrong of ['never', inDays(-1), inDays(401)]) expect((await make(wrong)).status).toBe(422);
  const { token } = (await make(inDays(1))).body;
  expect((await read(token)).html).toContain('Kofi');
  await kofi.call('DELETE', `own-maps/${id}`);
  expect((await read(token)).status).toBe(404);
  expect((await read('x'.repeat(43))).status).toBe(404);
  expect((await read('%00')).status).toBe(404);
});

test('a teacher forbids it for an assignment, sees what is shown of a work, and can take it back', async () => {
  const { tobias, id, bodies, save, student } = await classAtWork('Shown');
  const { person, work } = await student('Shona', 'Tide');
  const page = { endsAt: inDays(2), showsNames: true };
  const { status, body } = await person.post<SharedPageRow>(`works/${work.id}/pages`, page);
  expect(status).toBe(201);
  expect((await read(body.token)).html).toMatch(/Shona[\s\S]*Tide/);
  const seen = (await tobias.get<SharedPages>(`works/${work.id}/pages`)).body;
  expect([seen.mayMake, seen.pages.length]).toEqual([false, 1]);

  await save('task', { ...bodies.task, title: 'Shown', drawing: { sharing: false } });
  expect((await tobias.post(`assignments/${id}/next-revision`)).status).toBe(204);
  const other = await student('Shilo', 'Moon');
  const refused = await other.person.post(`works/${other.work.id}/pages`, page);
  expect([refused.status, refused.problem.detail]).toEqual([409, expect.stringMatching(/Ask your teacher/)]);
  expect((await tobias.call('DELETE', `pages/${body.id}`)).status).toBe(204);
  expect((await read(body.token)).status).toBe(404);
});
