import { writeMap } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { readFile, writeFile } from '@ichnograph/formats';
import type { Format } from '@ichnograph/formats';
import { ALL_FORMATS } from '@ichnograph/formats/node';
import { legend, mapOf } from './maps.js';
import { line, median, ms, times, title } from './measure.js';

const [LARGE, SMALL, ROUNDS] = [1000, 100, 9];
/** Times of writing and parsing the same map's JSON that a format may take. */
const WANTED: Partial<Record<Format['name'], number>> = { xlsx: 100, docx: 100, html: 100 };
const DRAWN: readonly Format['name'][] = ['svg', 'png', 'jpg', 'pdf'];

/** How long files take to be written and read, beside the JSON of the same map, and what they hold in memory meanwhile. */
export async function benchFormats(): Promise<void> {
  const map = { ...mapOf(LARGE, 7), legend };
  const asJson = () => middle(() => void JSON.parse(JSON.stringify(writeMap(map))));
  title(`Formats: a map of ${LARGE} topics beside its JSON written and parsed (${ms(await asJson())})`);
  for (const format of ALL_FORMATS) {
    if (DRAWN.includes(format.name)) continue;
    const wanted = `wanted: at most ${WANTED[format.name] ?? 10} ×`;
    // Measured anew beside each: a machine's pace changes within seconds.
    const json = await asJson();
    const { time, held, content } = await writing(format, map);
    line(`${format.name} written`, times(time / json), `${wanted}; ${(held / 2 ** 20).toFixed(0)} MiB more held`);
    if (!format.read) continue;
    // With places of their own: to lay a thousand topics out is no part of reading.
    line(`${format.name} read`, times((await middle(() => readFile(format, content, {}))) / (await asJson())), wanted);
  }
  const drawn = { ...mapOf(SMALL, 7), legend };
  const byName = (name: Format['name']) => ALL_FORMATS.find((format) => format.name === name)!;
  title(`Drawings of ${SMALL} topics beside their SVG`);
  const svg = (await writing(byName('svg'), drawn)).time;
  for (const name of DRAWN)
    line(name, times((await writing(byName(name), drawn)).time / svg), name === 'pdf' ? 'wanted: below 30 ×' : '');
}

async function writing(format: Format, map: TopicMap): Promise<{ time: number; held: number; content: Uint8Array }> {
  const write = () => writeFile(format, map, { legend, at: new Date(0) });
  globalThis.gc?.();
  const before = process.memoryUsage().heapUsed;
  const { content } = await write();
  const held = Math.max(0, process.memoryUsage().heapUsed - before);
  return { time: await middle(write), held, content };
}

/** The middle of several, after one to warm up. */
async function middle(work: () => unknown): Promise<number> {
  const all: number[] = [];
  for (let i = 0; i <= ROUNDS; i++) {
    const start = performance.now();
    await work();
    if (i > 0) all.push(performance.now() - start);
  }
  return median(all);
}
