import { existsSync, renameSync } from 'node:fs';
import { mkdtempSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import type { FileRow, ProblemDetails } from '@ichnograph/contract';
import { writeSketch } from '@ichnograph/core';
import { Stack } from '../../../scripts/lib/stack.mjs';
import { Person } from './setup/client.js';
import { drawn } from './setup/works.js';

type Brought = { status: number; body: FileRow & ProblemDetails };

async function bring(person: Person, content: Buffer | string, name = 'a file'): Promise<Brought> {
  const response = await fetch(`${person.url}/api/files?name=${encodeURIComponent(name)}`, {
    method: 'POST',
    headers: { connection: 'close', cookie: person.cookie, 'content-type': 'application/octet-stream' },
    body: typeof content === 'string' ? content : new Uint8Array(content),
  });
  return { status: response.status, body: (await response.json()) as Brought['body'] };
}
async function fetched(person: Person, src: string) {
  const response = await fetch(`${person.url}/api/files/${src}`, {
    headers: { connection: 'close', cookie: person.cookie },
  });
  return { status: response.status, headers: response.headers, content: Buffer.from(await response.arrayBuffer()) };
}
const photo = (options: { exif?: boolean } = {}): Promise<Buffer> => {
  const picture = sharp({ create: { width: 300, height: 200, channels: 3, background: '#8a5a00' } }).jpeg();
  return (
    options.exif
      ? picture.withExif({ IFD0: { Copyright: 'SECRET-PLACE' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } }).withMetadata({
          orientation: 6,
          exif: { IFD0: { Copyright: 'SECRET-PLACE' } },
        })
      : picture
  ).toBuffer();
};

test('a photo is drawn anew: turned as the camera meant, without what else it held, and named by its content', async () => {
  const noor = await Person.signedIn('noor');
  const original = await photo({ exif: true });
  expect(original.includes('SECRET-PLACE')).toBe(true);
  const { status, body } = await bring(noor, original, 'IMG_1.jpg');
  expect([status, body]).toEqual([
    201,
    expect.objectContaining({ type: 'image/jpeg', width: 200, height: 300, name: 'IMG_1.jpg', isSketch: false }),
  ]);
  const { headers, content } = await fetched(noor, body.src);
  expect(content.includes('SECRET-PLACE')).toBe(false);
  expect((await sharp(content).metadata()).exif).toBeUndefined();
  expect(headers.get('content-type')).toBe('image/jpeg');
  expect(headers.get('x-content-type-options')).toBe('nosniff');
  expect(headers.get('content-security-policy')).toContain('sandbox');
  expect((await noor.get<FileRow[]>('files')).body.map(({ src }) => src)).toContain(body.src);
  const again = await bring(await Person.signedIn('juno'), original, 'the same');
  expect(again.body.src).toBe(body.src);
});

test('an SVG becomes pixels, and nothing in it runs or is fetched', async () => {
  const noor = await Person.signedIn('noor');
  const svg =
    '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" width="80" height="40"><script>alert(1)</script>' +
    '<image href="file:///etc/passwd" width="5" height="5"/><rect width="80" height="40" fill="red"/></svg>';
  const { body } = await bring(noor, svg, 'x.svg');
  expect(body).toMatchObject({ type: 'image/png', width: 80, height: 40 });
  const { content } = await fetched(noor, body.src);
  expect(content.subarray(1, 4).toString()).toBe('PNG');
});

test.each([
  ['a page called a picture', '<!doctype html><script>alert(1)</script>', 'holiday.png'],
  ['a script', 'fetch("/api/accounts")', 'notes.txt'],
])('%s is text to be saved, never a page that runs', async (_, content, name) => {
  const noor = await Person.signedIn('noor');
  const { body } = await bring(noor, content, name);
  const { headers } = await fetched(noor, body.src);
  expect(headers.get('content-type')).toBe('text/plain; charset=utf-8');
  expect(headers.get('content-disposition')).toBe('attachment');
});

test('a PDF is kept as it is, and only handed out to be saved', async () => {
  const noor = await Person.signedIn('noor');
  const pdf = Buffer.from('%PDF-1.4\n1 0 obj<<>>endobj\ntrailer<<>>\n%%EOF');
  const { body } = await bring(noor, pdf, 'Chapter 3.pdf');
  expect(body).toMatchObject({ type: 'application/pdf', width: null });
  const { headers, content } = await fetched(noor, body.src);
  expect(content.equals(pdf)).toBe(true);
  expect(headers.get('content-disposition')).toBe('attachment');
});

describe('what cannot be taken is refused by a sentence', () => {
  const bomb = (): Buffer => {
    // A picture that says it is 60,000 × 60,000: its head alone.
    const head = Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex');
    const size = Buffer.alloc(8);
    size.writeUInt32BE(60_000, 0);
    size.writeUInt32BE(60_000, 4);
    return Buffer.concat([head, size, Buffer.from('0802000000', 'hex'), Buffer.alloc(64)]);
  };
  test.each([
    ['an empty file', () => Buffer.alloc(0), /empty|itself/],
    ['a program', () => Buffer.from('7f454c460201010000000000000000000200', 'hex'), /not taken/],
    ['an archive', () => Buffer.from('504b0304140000000000', 'hex'), /not taken/],
    ['a picture cut short', async () => (await photo()).subarray(0, 400), /cannot be read/],
    ['a picture that would fill the memory', bomb, /cannot be read/],
    [
      'a drawing that calls itself over and over',
      () =>
        Buffer.from(
          `<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa">${Array.from({ length: 12 }, (_, i) => `<!ENTITY a${i} "${`&a${i === 0 ? '' : i - 1};`.repeat(10)}">`).join('')}]><svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><text>&a11;</text></svg>`,
        ),
      /cannot be read/,
    ],
  ])('%s', async (_, content, said) => {
    const { status, body } = await bring(await Person.signedIn('noor'), await content());
    expect([status, body.detail]).toEqual([422, expect.stringMatching(said)]);
  });
  test('a file of more than 10 MiB', async () => {
    const { status, body } = await bring(await Person.signedIn('noor'), Buffer.alloc(10 * 2 ** 20 + 1, 'x'));
    expect([status, body.detail]).toEqual([413, expect.stringMatching(/10 MiB/)]);
  });
  test.each(['..%2F..%2Fetc%2Fpasswd', 'A'.repeat(64), 'a'.repeat(63), `${'a'.repeat(64)}%20`])(
    'an address that names no file: %s',
    async (src) => expect((await fetched(await Person.signedIn('noor'), src)).status).toBe(404),
  );
});

test('a sketch is drawn by the server from its strokes, which are kept and handed out again', async () => {
  const noor = await Person.signedIn('noor');
  const sketch = {
    width: 200,
    height: 100,
    strokes: [{ colour: '#9e2b3f', size: 8, points: [20, 50, 0.5, 180, 50, 0.5] }],
  };
  const { status, body } = await noor.post<FileRow>('files/sketches?name=Sketch', writeSketch(sketch));
  expect([status, body]).toEqual([201, expect.objectContaining({ type: 'image/png', isSketch: true, width: 400 })]);
  const { data } = await sharp((await fetched(noor, body.src)).content)
    .extract({ left: 200, top: 100, width: 1, height: 1 })
    .raw()
    .toBuffer({ resolveWithObject: true });
  expect([...data]).toEqual([0x9e, 0x2b, 0x3f, 255]);
  expect((await noor.get(`files/${body.src}/sketch`)).body).toEqual(writeSketch(sketch));
  const refused = await noor.post('files/sketches?name=x', { ...writeSketch(sketch), strokes: 'all' });
  expect([refused.status, refused.problem.detail]).toEqual([422, expect.stringMatching(/no sketch/)]);
});

test('of a person who is erased nothing they brought stays but what they handed in', async () => {
  const [head, { person, client }] = [await Person.signedIn('halina'), await drawn('Oriel')];
  client.close();
  const unlike = await sharp({ create: { width: 31, height: 17, channels: 3, background: '#123456' } })
    .png()
    .toBuffer();
  const { body } = await bring(person, unlike, 'mine alone');
  const { id } = (await person.get<{ me: { id: string } }>('welcome')).body.me;
  const kept = await head.get<{ files: { name: string }[] }>(`accounts/${id}/kept`);
  expect(kept.body.files).toEqual([expect.objectContaining({ name: 'mine alone', src: body.src })]);
  expect((await head.post(`accounts/${id}/erase`)).status).toBe(204);
  expect((await fetched(head, body.src)).status).toBe(404);
});

test('a folder that is gone is said, and not made anew; when it is back everything is there', async () => {
  const stack = await new Stack('files-lost', { env: { ICHNOGRAPH_LOG: 'silent' } }).start();
  try {
    const noor = await Person.signedIn('noor', stack.url);
    const { body } = await bring(noor, await photo(), 'here');
    const folder = stack.settings!.ICHNOGRAPH_FILES;
    const away = path.join(mkdtempSync(path.join(os.tmpdir(), 'away-')), 'files');
    renameSync(folder, away);
    const read = await fetched(noor, body.src);
    expect([read.status, read.content.toString()]).toEqual([503, expect.stringMatching(/cannot be reached just now/)]);
    const written = await bring(noor, 'some words');
    expect([written.status, written.body.detail]).toEqual([503, expect.stringMatching(/words are safe/)]);
    await stack.killServer();
    await stack.startServer();
    expect(existsSync(folder)).toBe(false);
    const back = await Person.signedIn('noor', stack.url);
    expect((await fetched(back, body.src)).status).toBe(503);
    renameSync(away, folder);
    expect((await fetched(back, body.src)).status).toBe(200);
    renameSync(path.join(folder, body.src.slice(0, 2)), path.join(folder, 'elsewhere'));
    const lost = await fetched(back, body.src);
    expect([lost.status, lost.content.toString()]).toEqual([410, expect.stringMatching(/no longer where it was kept/)]);
  } finally {
    await stack.remove();
  }
});

test('what one brought is taken out of what one chooses from, and put back; maps that show it keep it', async () => {
  const [noor, juno] = [await Person.signedIn('noor'), await Person.signedIn('juno')];
  const { body } = await bring(noor, await photo(), 'a photo of a pier');
  await bring(juno, await photo(), 'the same, of Juno');
  const listed = async (person: Person): Promise<boolean> =>
    (await person.get<FileRow[]>('files')).body.some(({ src }) => src === body.src);
  expect(await noor.call('PUT', `files/${body.src}/away`)).toMatchObject({ status: 204 });
  expect([await listed(noor), await listed(juno)]).toEqual([false, true]);
  expect((await fetched(noor, body.src)).status).toBe(200);
  expect(await noor.call('PUT', `files/${body.src}/away`)).toMatchObject({ status: 204 });
  await noor.call('DELETE', `files/${body.src}/away`);
  expect(await listed(noor)).toBe(true);
  await noor.call('PUT', `files/${body.src}/away`);
  await bring(noor, await photo(), 'brought again');
  expect(await listed(noor)).toBe(true);
});
