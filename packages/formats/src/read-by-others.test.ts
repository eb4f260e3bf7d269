import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { instance } from '@viz-js/viz';
import { linkStyle } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { parse as parseCsv } from 'csv-parse/sync';
import { MultiDirectedGraph } from 'graphology';
import { parse as parseGraphml } from 'graphology-graphml';
import mammoth from 'mammoth';
import sharp from 'sharp';
import { greyOf } from './drawings/grey.js';
import type { FormatName, Wishes } from './format.js';
import { ALL_FORMATS } from './node.js';
import { writeFile } from './reading-and-writing.js';

/** What we write is read here by programs that share nothing with our writers. */
const kiln = JSON.parse(
  readFileSync(path.resolve('packages/formats/testdata/format-cases/kiln.json'), 'utf8'),
) as TopicMap;
const written = async (name: FormatName, wishes: Wishes = {}, map = kiln): Promise<Uint8Array> => {
  const format = ALL_FORMATS.find((one) => one.name === name)!;
  return (await writeFile(format, map, { ...wishes, legend: map.legend, at: new Date('2026-09-14T08:00:00Z') }))
    .content;
};
const text = async (...args: Parameters<typeof written>): Promise<string> =>
  new TextDecoder().decode(await written(...args));

let folder = '';
beforeAll(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'formats-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));
/** What a program of the system says of a file. */
const said = (program: string, content: Uint8Array, ...args: string[]): string => {
  const file = path.join(folder, 'file');
  writeFileSync(file, content);
  return execFileSync(program, [file, ...args], { encoding: 'utf8' });
};

test('Graphviz finds the same nodes where they are, and the same edges', async () => {
  const viz = await instance();
  const laid = viz.renderJSON(await text('dot'), { engine: 'neato' }) as {
    label: string;
    objects: { name: string; label?: string; pos?: string; nodes?: number[]; _gvid: number }[];
    edges: { tail: number; head: number; label: string; dir: string }[];
  };
  expect(laid.label).toBe('A kiln');
  const nodes = laid.objects.filter(({ pos }) => pos !== undefined);
  expect(nodes.map(({ name, label }) => [name, label!.replaceAll('&amp;', '&').replaceAll('\\n', '\n')])).toEqual(
    kiln.topics.map((topic) => [topic.id, topic.text]),
  );
  const nameOf = new Map(nodes.map(({ _gvid, name }) => [_gvid, name]));
  expect(laid.edges.map(({ tail, head, label, dir }) => [nameOf.get(tail), nameOf.get(head), label, dir])).toEqual(
    kiln.links.map((link) => [link.from, link.to, link.phrase, linkStyle(link, kiln.legend).arrow]),
  );
});

test('another reader of GraphML finds the same graph', async () => {
  const graph = parseGraphml(MultiDirectedGraph, await text('graphml'));
  expect(graph.nodes()).toEqual(kiln.topics.map(({ id }) => id));
  expect(graph.mapNodes((_, { label, x, y }) => [label, x, y])).toEqual(
    kiln.topics.map(({ text: words, x, y }) => [words, x, y]),
  );
  expect(graph.mapEdges((_, { label }, from, to) => [from, label, to])).toEqual(
    kiln.links.map(({ from, phrase, to }) => [from, phrase, to]),
  );
});

test('another reader of CSV finds the same rows', async () => {
  const rows: string[][] = parseCsv(Buffer.from(await written('csv')), { bom: true });
  expect(rows.slice(1).map(([from, , to]) => [from, to])).toEqual([
    ['Kiln', 'Fire & draught'],
    ['Kiln', 'Clay\nbody'],
    ['Fire & draught', 'Glass phase'],
    ['Clay\nbody', 'Glass phase'],
    ['Glass phase', 'Fire & draught'],
    ["'-20 degrees", ''],
  ]);
});

test('a word processor’s document has headings, notes, a picture and a table', async () => {
  const { value } = await mammoth.convertToHtml({ buffer: Buffer.from(await written('docx')) });
  for (const part of ['<h1>Kiln</h1>', 'Hot gas leaves at the top.', '<img ', '<table>', '<p>melts in part to</p>'])
    expect(value).toContain(part);
  const { value: some } = await mammoth.convertToHtml({
    buffer: Buffer.from(await written('docx', { with: ['outline'] })),
  });
  expect(some).not.toMatch(/<img|<table|Hot gas/);
});

test('a PDF can be searched, has its fonts in it, and takes as many sheets as it needs', async () => {
  const one = await written('pdf');
  expect(said('pdftotext', one, '-')).toMatch(/Fire & draught[^]*melts in part to/);
  const fonts = said('pdffonts', one).trim().split('\n').slice(2);
  expect(fonts.length).toBeGreaterThan(0);
  for (const line of fonts) expect(line).toMatch(/ yes yes yes /);
  const pages = (content: Uint8Array): number => Number(/Pages: +(\d+)/.exec(said('pdfinfo', content))![1]);
  const far = { ...kiln, topics: kiln.topics.map((topic) => ({ ...topic, x: topic.x * 5 })) };
  expect([pages(one), pages(await written('pdf', {}, far)), pages(await written('pdf', { tiles: true }, far))]).toEqual(
    [1, 1, 3],
  );
  expect(said('pdfinfo', await written('pdf', { paper: 'letter' }))).toContain('letter');
});

test('a drawing stands alone: every letter as text, its fonts in it, nothing from elsewhere', async () => {
  const svg = await text('svg', { block: true });
  expect(svg).toContain('<title>A kiln</title><desc>A topic map of 5 topics and 5 links.');
  expect(svg).toMatch(/@font-face\{font-family:'Atkinson Hyperlegible Next'/);
  expect(svg).toContain('>Alder Quay<');
  expect(svg.replaceAll('http://www.w3.org/2000/svg', '')).not.toMatch(/https?:|<script|<a /);
  expect(await text('svg', {}, { ...kiln, title: ' ', topics: [], links: [], regions: [] })).toMatch(
    /viewBox="-20 -20 40 40".*<title>Map<\/title>/,
  );
});

test('a canvas unit is a pixel, or two or four; on white, or on nothing', async () => {
  const size = Number(/width="([\d.]+)"/.exec(await text('svg'))![1]);
  const [once, twice] = [
    await sharp(await written('png')).metadata(),
    await sharp(await written('png', { scale: 2 })).metadata(),
  ];
  expect(Math.abs(once.width - size)).toBeLessThanOrEqual(1);
  expect(Math.abs(twice.width - 2 * size)).toBeLessThanOrEqual(1);
  const corner = async (content: Uint8Array): Promise<number[]> => [
    ...(await sharp(content).ensureAlpha().extract({ left: 1, top: 1, width: 1, height: 1 }).raw().toBuffer()),
  ];
  expect(await corner(await written('png'))).toEqual([255, 255, 255, 255]);
  expect((await corner(await written('png', { clear: true })))[3]).toBe(0);
  expect((await sharp(await written('jpg')).metadata()).format).toBe('jpeg');
  await expect(
    written('png', { scale: 4 }, { ...kiln, topics: kiln.topics.map((one) => ({ ...one, x: one.x * 90 })) }),
  ).rejects.toThrow('100 million pixels');
});

test('a colour is as light in grey as it was', () => {
  expect([greyOf('#ffffff'), greyOf('#000000'), greyOf('#ff0000'), greyOf('none')]).toEqual([
    '#ffffff',
    '#000000',
    '#7f7f7f',
    'none',
  ]);
});

test('a web page has each sentence in a row, an outline as lists, and no script', async () => {
  const page = await text('html');
  expect(page.match(/<tr>/g)).toHaveLength(1 + kiln.links.length);
  expect(page).toContain('<td>Fire &amp; draught</td>');
  expect(page.match(/<ul>/g)!.length).toBe(page.match(/<\/ul>/g)!.length);
  expect(page).toContain('Hot gas leaves at the top.');
  expect(page.replaceAll('http://www.w3.org/2000/svg', '')).not.toMatch(/<script|https?:/);
});
