import { unzipSync } from 'fflate';
import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import { readMap, understood } from '@ichnograph/core';
import type { ClassRow, ExportState, Gradebook } from '@ichnograph/contract';
import { Person, until } from './setup/client.js';
import { drawn } from './setup/works.js';

/** What an address answers with, as bytes. */
async function bytes(who: Person, path: string): Promise<{ status: number; type: string; name: string; body: Buffer }> {
  const response = await fetch(`${who.url}/api/${path}`, { headers: { cookie: who.cookie, connection: 'close' } });
  return {
    status: response.status,
    type: response.headers.get('content-type') ?? '',
    name: response.headers.get('content-disposition') ?? '',
    body: Buffer.from(await response.arrayBuffer()),
  };
}

const isPdf = (content: Uint8Array): boolean => Buffer.from(content).subarray(0, 5).toString('latin1') === '%PDF-';
const pagesOf = (content: Uint8Array): number =>
  (
    Buffer.from(content)
      .toString('latin1')
      .match(/\/Type \/Page\b/g) ?? []
  ).length;

async function classNamed(who: Person, name: string): Promise<ClassRow> {
  return (await who.get<ClassRow[]>('classes')).body.find((one) => one.name === name)!;
}

test('a paper of one map: to those who mark at once, to its student once it is returned, whole or on one page', async () => {
  const { person, client, handIn } = await drawn('Paivi');
  const { id } = (await handIn()).body;
  client.close();
  const maren = await Person.signedIn('maren');
  await maren.post(`submissions/${id}/comments`, { anchor: 'topic', target: 'own-Paivi', text: 'Żółć — a word.' });
  expect((await bytes(person, `submissions/${id}/paper`)).status).toBe(404);
  const whole = await bytes(maren, `submissions/${id}/paper`);
  expect([whole.status, whole.type, isPdf(whole.body)]).toEqual([200, 'application/pdf', true]);
  expect(decodeURIComponent(whole.name)).toContain('Paivi Newcomer, How bridges carry loads.pdf');
  expect(pagesOf(whole.body)).toBeGreaterThanOrEqual(2);
  expect(pagesOf((await bytes(maren, `submissions/${id}/paper?pages=one`)).body)).toBe(1);
  await maren.post(`submissions/${id}/return`, { unjudged: true });
  expect((await bytes(person, `submissions/${id}/paper`)).status).toBe(200);
});

test('the papers of a class as one archive and as one document, watched, cancelled, and nobody else’s', async () => {
  const maren = await Person.signedIn('maren');
  const piet = await Person.signedIn('piet');
  const { publicationId } = await maren.teacherTask();
  const begin = async (as: string) =>
    (await maren.post<ExportState>(`publications/${publicationId}/exports`, { as })).body;
  const ready = (id: string) =>
    until('the papers', async () => {
      const { body } = await maren.get<ExportState>(`exports/${id}`);
      return body.state === 'running' ? false : body;
    });
  const zip = await begin('zip');
  expect(zip).toMatchObject({ done: 0, state: 'running' });
  expect((await bytes(maren, `exports/${zip.id}/file`)).status).toBe(409);
  expect((await piet.get(`exports/${zip.id}`)).status).toBe(404);
  expect(await ready(zip.id)).toEqual({ id: zip.id, done: zip.of, of: zip.of, state: 'ready' });
  const papers = unzipSync(new Uint8Array((await bytes(maren, `exports/${zip.id}/file`)).body));
  expect(Object.keys(papers)).toHaveLength(zip.of);
  expect(Object.keys(papers)).toContain('Kofi Lund.pdf');
  expect(Object.values(papers).every(isPdf)).toBe(true);

  const pdf = await begin('pdf');
  expect((await ready(pdf.id)).state).toBe('ready');
  expect(pagesOf((await bytes(maren, `exports/${pdf.id}/file`)).body)).toBeGreaterThanOrEqual(2 * zip.of);

  const maps = await begin('maps');
  expect((await ready(maps.id)).state).toBe('ready');
  const files = unzipSync(new Uint8Array((await bytes(maren, `exports/${maps.id}/file`)).body));
  expect(Object.keys(files)).toHaveLength(3 * maps.of + 1);
  const text = (name: string) => new TextDecoder().decode(files[name]);
  const listed = Papa.parse<Record<string, string>>(text('manifest.csv').replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: true,
  }).data;
  expect(listed).toHaveLength(maps.of);
  // What the list names is there, is read again strictly, and is as large as the list says.
  for (const { File: name, Topics: topics } of listed) {
    const map = understood(readMap(JSON.parse(text(`${name}.json`)) as object));
    expect([name, String(map.topics.length), map.legend !== undefined]).toEqual([name, topics, true]);
    expect(text(`${name}.svg`)).toContain('<svg');
    expect(text(`${name}.graphml`)).toContain('<graphml');
  }

  const given = await begin('zip');
  expect((await maren.call('DELETE', `exports/${given.id}`)).status).toBe(204);
  expect((await maren.get(`exports/${given.id}`)).status).toBe(404);
  expect((await maren.post(`publications/${publicationId}/exports`, { as: 'doc' })).status).toBe(422);
});

test('a class with no work has no papers, an empty gradebook, and nothing together; each is said', async () => {
  const tobias = await Person.signedIn('tobias');
  const { body: room } = await tobias.post<ClassRow>('classes', { name: '=Empty 7C' });
  const sheet = (await tobias.post<{ id: string }>('assignments/sheets', { readyMade: 'timeline' })).body.id;
  const { publications } = (
    await tobias.post<{ publications: { id: string }[] }>(`assignments/${sheet}/publications`, { classId: room.id })
  ).body;
  const id = publications[0]!.id;
  const refused = await tobias.post(`publications/${id}/exports`, { as: 'pdf' });
  expect([refused.status, refused.problem.detail]).toEqual([
    409,
    'Nobody has handed in a map yet, so there is nothing to write out.',
  ]);
  expect((await tobias.get<Gradebook>(`classes/${room.id}/gradebook`)).body).toMatchObject({ students: [] });
  expect((await tobias.get(`publications/${id}/insight`)).body).toMatchObject({ works: [], likeness: [] });
  expect((await tobias.get(`publications/${id}/propositions`)).body).toMatchObject({ propositions: [] });
  const { body } = await bytes(tobias, `classes/${room.id}/gradebook.xlsx`);
  const book = new ExcelJS.Workbook();
  await book.xlsx.load(body as never);
  expect(book.worksheets[0]!.name).toBe('=Empty 7C');
});

test('the gradebook as CSV and as a workbook, read again by a parser and a spreadsheet library, safe against formulas', async () => {
  const halina = await Person.signedIn('halina');
  const maren = await Person.signedIn('maren');
  const room = await classNamed(halina, 'Technology 9B');
  const account = {
    role: 'student',
    givenName: '=HYPERLINK("http://x")',
    familyName: '+1, "quoted"\nand broken',
    name: 'formula',
    password: 'a long first one',
  };
  const { id } = (await halina.post<{ id: string }>('accounts', account)).body;
  await halina.post(`classes/${room.id}/people`, { accountId: id, part: 'student' });
  const { body: gradebook } = await maren.get<Gradebook>(`classes/${room.id}/gradebook`);
  const text = (await bytes(maren, `classes/${room.id}/gradebook.csv`)).body.toString('utf8').replace(/^\ufeff/, '');
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  expect([errors, data.length]).toEqual([[], gradebook.students.length]);
  const { title } = gradebook.assignments.at(-1)!;
  gradebook.students.forEach(({ person, cells }, i) => {
    const mark = cells.at(-1)!.mark;
    expect(data[i]!['Family name']!.replace(/^'/, '')).toBe(person.familyName);
    expect(data[i]![title]).toBe(mark?.shown.as === 'points' ? String(mark.shown.sum) : '');
  });
  expect(data.flatMap((row) => Object.values(row)).filter((value) => /^[=+\-@]/.test(value))).toEqual([]);

  const book = new ExcelJS.Workbook();
  await book.xlsx.load((await bytes(maren, `classes/${room.id}/gradebook.xlsx`)).body as never);
  const rows = book.worksheets[0]!.getSheetValues().slice(2) as ExcelJS.CellValue[][];
  expect(rows.map((row) => row[2])).toEqual(gradebook.students.map(({ person }) => person.givenName));
  expect(rows.flat().filter((value) => typeof value === 'object' && value !== null)).toEqual([]);
});

test('a map is drawn for whoever sends it, a few at a time for each; what is no map is refused', async () => {
  const [juno, kofi] = await Promise.all([Person.signedIn('juno'), Person.signedIn('kofi')]);
  const map = {
    ...{ format: 'ichnograph-map', version: 1, title: 'Quay', author: '', focusQuestion: '', links: [] },
    topics: [{ id: 'a', text: 'Deck', kind: null, x: 0, y: 0, width: 60, height: 40 }],
  };
  const statuses = await Promise.all(
    Array.from({ length: 12 }, async () => (await juno.post('drawings', { as: 'pdf', map })).status),
  );
  expect(new Set(statuses)).toEqual(new Set([200, 409]));
  expect((await kofi.post('drawings', { as: 'svg', map })).status).toBe(200);
  // What was refused then is granted when the others are made.
  expect((await juno.post('drawings', { as: 'pdf', map })).status).toBe(200);
  expect((await juno.post('drawings', { as: 'svg', map: { ...map, topics: 5 } })).status).toBe(422);
  expect((await juno.post('drawings', { as: 'exe', map })).status).toBe(422);
});
