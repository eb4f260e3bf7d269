import { readFileSync } from 'node:fs';
import { understood } from '../formats/problems.js';
import path from 'node:path';
import { applyChanges } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import { COLLECTIONS } from '../map/types.js';
import type { TopicMap } from '../map/types.js';
import { copyMarks, pasteMarks, removeMarks } from '../commands/whole-map.js';
import { fileSchemas } from '../formats/schemas.js';
import { readMap, writeMap } from '../formats/map-file.js';
import { mapToSvg } from '../render/svg.js';
import { assignmentOf, link, maker, mapOf, topic } from '../testing/make.js';
import { drawnBox, drawnMarks, markAt, markTypes, sceneOf } from './drawn.js';
import { mapFromStarter } from './start.js';

const { legend } = assignmentOf();
const whole: TopicMap = {
  ...mapOf(
    [topic('a'), topic('b', { x: 300 }), topic('c', { x: 600, y: 300 })],
    [link('a', 'b', { phrase: 'carries' }), link('b', 'c')],
  ),
  pictures: [{ id: 'p', x: 900, y: 0, width: 120, height: 90, src: 'files/bridge.png', alt: 'A bridge at dusk' }],
  regions: [
    { id: 'r', topics: ['a', 'b'], title: 'Spans', fill: '#d7e7ec' },
    { id: 'lost', topics: ['gone'], title: 'Of nothing', fill: '#ffffff' },
  ],
  groups: [{ id: 'g', topics: ['a', 'b'] }],
  tours: [{ id: 't', title: 'Across', stops: [{ topic: 'a', words: 'Here it begins.' }] }],
  wordBank: [{ id: 'w', text: 'rust' }],
};
const after = (outcome: Outcome, map = whole): TopicMap => {
  if (!outcome.ok) throw new Error(outcome.code);
  return applyChanges(map, outcome.changes);
};

test('the schemas of the files are what the definitions say; `node scripts/write-schemas.mjs` writes them', () => {
  for (const [name, schema] of Object.entries(fileSchemas())) {
    const file = path.join(process.cwd(), `packages/core/schemas/${name}.schema.json`);
    expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(schema);
  }
});

test('there is a sort of mark for each list of a map, and a map with all of them is read and written', () => {
  expect(markTypes.map(({ list }) => list)).toEqual([...COLLECTIONS]);
  expect(writeMap(understood(readMap(writeMap(whole))))).toEqual(writeMap(whole));
});

test('what can be seen is drawn from behind: regions, pictures, links, topics; each within its box', () => {
  const drawn = drawnMarks(whole, legend);
  expect(drawn.map(({ list, id }) => `${list} ${id}`)).toEqual([
    'regions r',
    'pictures p',
    'links a-b',
    'links b-c',
    'topics a',
    'topics b',
    'topics c',
  ]);
  const around = drawnBox(whole, legend)!;
  for (const { drawing } of drawn)
    for (const shape of drawing.shapes)
      if (shape.draw === 'words')
        for (const { x, y, width } of shape.lines) {
          expect(drawing.at.x + x).toBeGreaterThanOrEqual(around.left);
          expect(drawing.at.x + x + width).toBeLessThanOrEqual(around.right);
          expect(drawing.at.y + y).toBeGreaterThan(around.top);
          expect(drawing.at.y + y).toBeLessThan(around.bottom);
        }
  const svg = mapToSvg(whole, legend);
  for (const words of ['Spans', 'A bridge at dusk', 'carries']) expect(svg).toContain(words);
  expect(svg).not.toContain('files/bridge.png');
  expect(svg).not.toContain('Of nothing');
});

test.each([
  ['topics', { x: 300, y: 10 }, 'b'],
  ['topics', { x: 300, y: 100 }, undefined],
  ['links', { x: 150, y: 5 }, 'a-b'],
  ['links', { x: 450, y: 150 }, 'b-c'],
  ['links', { x: 450, y: 0 }, undefined],
  ['regions', { x: 150, y: 0 }, 'r'],
  ['regions', { x: 600, y: 300 }, undefined],
  ['pictures', { x: 940, y: 30 }, 'p'],
  ['groups', { x: 0, y: 0 }, undefined],
] as const)('of the %s, at %j there is %s', (list, at, id) => {
  expect(markAt(whole, legend, list, at)).toBe(id);
});

test('of two topics on each other the upper one is found', () => {
  const stacked = mapOf([topic('upper', { z: 4 }), topic('lower')]);
  expect(markAt(stacked, legend, 'topics', { x: 0, y: 0 })).toBe('upper');
});

test('with its topics goes what cannot stand without them; what stands on others stays', () => {
  const one = after(removeMarks(whole, ['a']));
  expect([one.links, one.regions, one.groups, one.tours].map((list) => list.map(({ id }) => id))).toEqual([
    ['b-c'],
    ['r', 'lost'],
    ['g'],
    [],
  ]);
  const both = after(removeMarks(whole, ['a', 'b']));
  expect([both.regions.map(({ id }) => id), both.groups]).toEqual([['lost'], []]);
  expect(after(removeMarks(whole, ['p', 'r', 'w']))).toMatchObject({
    pictures: [],
    wordBank: [],
    topics: whole.topics,
  });
});

test('copies take along what hangs on copied topics alone, and stand on the copies', () => {
  const copied = copyMarks(whole, ['a', 'b', 'p']);
  const next = after(pasteMarks(whole, copied, { x: 30, y: 40 }, maker()));
  const [a, b] = next.topics.slice(3);
  expect([a, b]).toMatchObject([
    { x: 30, y: 40, by: 'me' },
    { x: 330, y: 40, by: 'me' },
  ]);
  expect(next.links.slice(2)).toMatchObject([{ from: a!.id, to: b!.id, phrase: 'carries' }]);
  expect(next.regions.at(-1)).toMatchObject({ topics: [a!.id, b!.id], title: 'Spans' });
  expect(next.regions.at(-1)).not.toHaveProperty('by');
  expect(next.pictures.at(-1)).toMatchObject({ x: 930, y: 40 });
  expect([next.tours, next.wordBank]).toEqual([whole.tours, whole.wordBank]);
  expect(copyMarks(whole, ['a-b'])).toEqual([]);
});

test('a map is begun with all of the starter that students take along, on the new topics', () => {
  let count = 0;
  const map = mapFromStarter(assignmentOf({ starter: whole }), 'Noor', () => `n${++count}`);
  const ids = new Map(map.topics.map(({ origin, id }) => [origin, id]));
  expect(map.regions).toMatchObject([{ topics: [ids.get('a'), ids.get('b')] }]);
  expect(map.links[0]).toMatchObject({ origin: 'a-b', from: ids.get('a') });
  expect(map.pictures[0]).not.toHaveProperty('origin');
  expect([map.tours, map.wordBank]).toEqual([[], []]);
  expect(
    new Set(
      Object.values(map)
        .flat()
        .flatMap((one) => (typeof one === 'object' ? [(one as { id: string }).id] : [])),
    ).size,
  ).toBe(8);
});

test('every mark can be moved, and what has no place of its own stays', () => {
  for (const type of markTypes)
    for (const mark of whole[type.list]) {
      const moved = type.moved(mark, { x: 10, y: 20 });
      if ('x' in mark) expect(moved).toMatchObject({ x: mark.x + 10, y: mark.y + 20 });
      else expect(moved).toBe(mark);
      expect(type.draw(mark, sceneOf(whole, legend))?.shapes.length ?? 1).toBeGreaterThan(0);
    }
});
