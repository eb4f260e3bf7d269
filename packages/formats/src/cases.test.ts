import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { linkStyle } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { formatOf } from './registry.js';

/** Worked cases that came with the design: files of others, and one map in several formats. */
const folder = path.resolve('packages/formats/testdata/format-cases');
const shared = path.resolve('../shared/format-cases');
const bytes = (...names: string[]): Uint8Array => new Uint8Array(readFileSync(path.join(folder, ...names)));
const filesIn = (name: string): string[] => readdirSync(path.join(folder, name));

interface Expected {
  title: string;
  focusQuestion?: string;
  topics: string[];
  links: [string, string, string, string][];
  regions?: [string, string[]][];
  notes?: Record<string, string>;
  addresses?: Record<string, string[]>;
  said: string[];
}

describe('files of others', () => {
  const files = filesIn('read').filter((name) => !name.endsWith('.json'));
  test.each(files)('%s', async (name) => {
    const expected = JSON.parse(
      readFileSync(path.join(folder, 'read', name.replace(/\.\w+$/, '.json')), 'utf8'),
    ) as Expected;
    const { map, said } = await formatOf(name)!.read!(bytes('read', name), {});
    expect(toldOf(map)).toEqual({
      title: expected.title,
      focusQuestion: expected.focusQuestion ?? '',
      topics: expected.topics,
      links: expected.links,
      regions: expected.regions ?? [],
      notes: expected.notes ?? {},
      addresses: expected.addresses ?? {},
    });
    expect(said).toHaveLength(expected.said.length);
  });
});

describe('one map', () => {
  const map = JSON.parse(readFileSync(path.join(folder, 'kiln.json'), 'utf8')) as TopicMap;
  test.each(['kiln.csv', 'kiln.txt', 'kiln.md'])('%s, to the letter', async (name) => {
    const { content } = await formatOf(name)!.write!(map, { legend: map.legend, at: new Date(0) });
    expect(new TextDecoder('utf-8', { ignoreBOM: true }).decode(content)).toBe(
      new TextDecoder('utf-8', { ignoreBOM: true }).decode(bytes('written', name)),
    );
  });
  test.each(filesIn('written'))('%s means the same, whoever wrote it', async (name) => {
    const format = formatOf(name)!;
    const { content } = await format.write!(map, { legend: map.legend, at: new Date(0) });
    const [ours, theirs] = [await format.read!(content, {}), await format.read!(bytes('written', name), {})];
    expect(toldOf(ours.map)).toEqual(toldOf(theirs.map));
  });
});

function toldOf({ title, focusQuestion, topics, links, regions, legend }: TopicMap) {
  const textOf = new Map(topics.map(({ id, text }) => [id, text]));
  return {
    title,
    focusQuestion,
    topics: topics.map(({ text }) => text),
    links: links.map((link) => [
      textOf.get(link.from),
      link.phrase,
      textOf.get(link.to),
      linkStyle(link, legend).arrow,
    ]),
    regions: regions.map((region) => [region.title, region.topics.map((id) => textOf.get(id))]),
    notes: Object.fromEntries(topics.flatMap(({ text, note }) => (note === undefined ? [] : [[text, note]]))),
    addresses: Object.fromEntries(
      topics.flatMap(({ text, weblinks }) => (weblinks ? [[text, weblinks.map(({ url }) => url)]] : [])),
    ),
  };
}

(existsSync(shared) ? test : test.skip)('the copies of the cases are those handed out', () => {
  for (const name of [
    ...filesIn('read').map((one) => `read/${one}`),
    ...filesIn('written').map((one) => `written/${one}`),
  ])
    expect(bytes(name)).toEqual(new Uint8Array(readFileSync(path.join(shared, name))));
});
