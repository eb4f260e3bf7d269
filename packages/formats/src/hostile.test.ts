import { zipSync } from 'fflate';
import type { FormatName } from './format.js';
import { unzipped } from './files/zip.js';
import { reading, refusal } from './testing/reading.js';

const XML: readonly [FormatName, (inside: string) => string][] = [
  ['graphml', (inside) => `<graphml xmlns="http://graphml.graphdrawing.org/xmlns"><graph>${inside}</graph></graphml>`],
  ['opml', (inside) => `<opml version="2.0"><body>${inside}</body></opml>`],
  ['xtm', (inside) => `<topicMap xmlns="http://www.topicmaps.org/xtm/" version="2.0">${inside}</topicMap>`],
];

describe.each(XML)('%s', (name, file) => {
  test('a DOCTYPE that defines something is refused, one that only names a file is not read', async () => {
    const bomb = '<!DOCTYPE x [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]>';
    expect(await refusal(name, `${bomb}${file('')}`)).toContain('DOCTYPE');
    expect(await refusal(name, `<!DOCTYPE x SYSTEM "https://example.org/x.dtd">${file('')}`)).toBeNull();
  });
  test('what is not well formed is refused with its place', async () => {
    expect(await refusal(name, file('<a>'))).toMatch(/no well-formed XML: .+ at line 1, column \d+/);
    expect(await refusal(name, file('&undefined;'))).toContain('no well-formed XML');
    expect(await refusal(name, '')).toBe('is empty');
    expect(await refusal(name, '<other/>')).toMatch(/^is no /);
  });
  test('nesting and attributes without end are refused', async () => {
    expect(await refusal(name, file('<a>'.repeat(7000) + '</a>'.repeat(7000)))).toContain('nested more than');
    const many = Array.from({ length: 200 }, (_, i) => `a${i}="1"`).join(' ');
    expect(await refusal(name, file(`<a ${many}/>`))).toContain('attributes');
  });
  test('UTF-16 with its mark is text, a NUL and other bytes are not', async () => {
    const wide = new Uint8Array(Buffer.from(`\ufeff${file('')}`, 'utf16le'));
    expect(await refusal(name, wide)).toBeNull();
    expect(await refusal(name, `${file('')}\n  \0`)).toContain('a NUL at line 2, column 3');
    expect(await refusal(name, new Uint8Array([0x3c, 0x61, 0xff, 0x3e]))).toBe('is no UTF-8 text at byte 3');
  });
});

test('DOT nested without end, or cut short, is refused with a sentence', async () => {
  expect(await refusal('dot', `digraph{${'{'.repeat(50_000)}${'}'.repeat(50_000)}}`)).toBe('is nested too deep');
  expect(await refusal('dot', 'digraph {\n a -> ')).toMatch(/^is no DOT at line 2, column \d+/);
  expect(await refusal('dot', ' \n')).toBe('is empty');
});

test('more than a map may hold is refused, never taken in part', async () => {
  const rows = Array.from({ length: 5001 }, (_, i) => `topic ${i}`).join('\n');
  expect(await refusal('txt', rows)).toBe('holds 5001 topics; a map may have 5000');
  const links = Array.from({ length: 10_001 }, () => 'a,b').join('\n');
  expect(await refusal('csv', links)).toBe('holds 10001 links; a map may have 10000');
});

test('a table is bytes of any kind, but no NUL; a quotation mark left open is refused with its row', async () => {
  expect((await reading('csv', new Uint8Array([0xc4, 0x2c, 0xd6]))).links).toEqual(['Ä --> Ö']);
  expect(await refusal('csv', 'a,b\0')).toContain('NUL');
  expect(await refusal('csv', 'a,b\n"c,d')).toContain('row 2');
});

describe('workbooks', () => {
  const letters = new TextEncoder();
  test('what is no ZIP, or none of a workbook, is refused', async () => {
    expect(await refusal('xlsx', '')).toBe('is no ZIP archive');
    expect(await refusal('xlsx', zipSync({ 'a.txt': letters.encode('a') }))).not.toBeNull();
    expect(await refusal('xlsx', zipSync({ 'a.txt': letters.encode('a') }).subarray(0, 20))).not.toBeNull();
  });
  test('one that unpacks to far more than it is, holds too many files or names one outside is refused', () => {
    const bomb = zipSync({ a: new Uint8Array(60 * 1024 * 1024), b: new Uint8Array(60 * 1024 * 1024) });
    expect(() => unzipped(bomb)).toThrow('unpacks to far more than it is');
    for (const name of ['../a', '/a', 'C:\\a', 'b/../../a'])
      expect(() => unzipped(zipSync({ [name]: letters.encode('a') }))).toThrow('leads out of it');
    const many = Object.fromEntries(Array.from({ length: 10_001 }, (_, i) => [`${i}`, new Uint8Array()]));
    expect(() => unzipped(zipSync(many, { level: 0 }))).toThrow('more than 10000 files');
    expect([...unzipped(zipSync({ 'a/b.txt': letters.encode('x') })).keys()]).toEqual(['a/b.txt']);
  });
});

test('a topic of our own key that is none is left out and said, and the plain keys stand', async () => {
  const file = (whole: string): string => `<graphml><key id="l" for="node" attr.name="label" attr.type="string"/>
    <key id="w" for="node" attr.name="ichnograph" attr.type="string"/>
    <graph><node id="n"><data key="l">Bell</data><data key="w">${whole}</data></node></graph></graphml>`;
  for (const whole of ['nonsense', '[]', '{"text":5}', '{"__proto__":{"text":"x"}}']) {
    const { topics, said } = await reading('graphml', file(whole));
    expect(topics).toEqual(['Bell']);
    expect(said).toHaveLength(1);
  }
});
