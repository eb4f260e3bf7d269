import { mapOutline, writeMap } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import fc from 'fast-check';
import { onOneLine } from './draft/words.js';
import { fitForXml } from './files/xml.js';
import type { Format } from './format.js';
import { kindName } from './outlines/lines.js';
import { FORMATS } from './registry.js';
import { anyMap } from './testing/any-map.js';

/** Where nothing has a place all of it is laid out, which takes long in Jest. */
const FEW = { numRuns: 25 };
const at = new Date('2026-09-14T08:00:00Z');
const named = (name: string): Format => FORMATS.find((format) => format.name === name)!;
const written = async (format: Format, map: TopicMap): Promise<Uint8Array> =>
  (await format.write!(map, { legend: map.legend, at })).content;
const readBack = async (format: Format, map: TopicMap): Promise<TopicMap> =>
  (await format.read!(await written(format, map), {})).map;
const asText = (content: Uint8Array): string => new TextDecoder().decode(content);

test.each(['json', 'graphml'])('%s: read back, a map is the very same', async (name) => {
  await fc.assert(
    fc.asyncProperty(anyMap, async (map) => {
      expect(writeMap(await readBack(named(name), map))).toEqual(writeMap(map));
    }),
  );
});

test.each(['dot', 'xtm'])('%s: read back and written again, a file is the very same', async (name) => {
  await fc.assert(fc.asyncProperty(anyMap, (map) => isStable(named(name), map)));
});

test.each(['opml', 'txt', 'csv'])('%s: so too, where each topic has a text of its own', async (name) => {
  await fc.assert(
    fc.asyncProperty(anyMap, (map) => isStable(named(name), distinct(map))),
    FEW,
  );
});

test('md: read back, there are the same topics in the same order, with the same notes and links', async () => {
  await fc.assert(
    fc.asyncProperty(anyMap, async (one) => {
      const map = distinct(one);
      const back = await readBack(named('md'), map);
      const order = mapOutline(map).map(({ id }) => map.topics.find((topic) => topic.id === id)!);
      expect(back.topics.map(({ text, note }) => [text, note])).toEqual(
        order.map(({ text, note }) => [onOneLine(text), note]),
      );
      expect(sentences(back)).toEqual(sentences(map));
      expect([back.title, back.focusQuestion]).toEqual([map.title, map.focusQuestion].map(onOneLine));
    }),
    FEW,
  );
});

test('xlsx: read back, there are the same sentences, kinds, notes and titles', async () => {
  await fc.assert(
    fc.asyncProperty(anyMap, async (one) => {
      const map = distinct(one);
      const back = await readBack(named('xlsx'), map);
      expect(sentences(back)).toEqual(sentences(map));
      expect(about(back)).toEqual(about(map));
      expect(back.title).toBe(onOneLine(map.title));
    }),
    FEW,
  );
});

async function isStable(format: Format, map: TopicMap): Promise<void> {
  const once = await written(format, map);
  const { map: back } = await format.read!(once, {});
  expect(asText(await written(format, back))).toBe(asText(once));
}

/** Each topic with a text that no other has. */
const distinct = (map: TopicMap): TopicMap => ({
  ...map,
  topics: map.topics.map((topic, i) => ({ ...topic, text: `${topic.text} ${i}` })),
});

/** Without what no format but our own can hold. */
const plain = (text: string): string => onOneLine(fitForXml(text));
const sentences = ({ topics, links }: TopicMap): string[] => {
  const textOf = new Map(topics.map(({ id, text }) => [id, plain(text)]));
  return links.map(({ from, phrase, to }) => [textOf.get(from), plain(phrase), textOf.get(to)].join(' | ')).sort();
};
const about = ({ topics, legend }: TopicMap): string[] =>
  topics.map((topic) => [plain(topic.text), kindName(legend, topic), topic.note].join(' | ')).sort();
