import { existsSync } from 'node:fs';
import {
  boxesMeet,
  boxOf,
  checkMap,
  mapFromStarter,
  mend,
  readAssignment,
  readSketch,
  reviewRequirements,
  writeAssignment,
  writeSketch,
} from '@ichnograph/core';
import type { Assignment, TopicMap } from '@ichnograph/core';
import { ferryman, footbridge, lighthouses, rivers } from './assignments.js';
import { essayWorks, hedda, imre, jomo } from './essays.js';
import { asBegun, knew, landing, mira, storyWorks, teo } from './works.js';

const named: [string, Assignment][] = Object.entries({ ferryman, footbridge, rivers, lighthouses });

test.each(named)('%s can be given out, and nothing in it contradicts itself', (_, assignment) => {
  expect(readAssignment(writeAssignment(assignment)).messages).toEqual([]);
  expect(reviewRequirements(assignment)).toEqual([]);
});

const share = (map: TopicMap, assignment: Assignment): number => {
  const { earned, outOf } = checkMap(mend(asBegun(map, assignment)).map, assignment);
  return earned / outOf;
};

test('a good reader’s map has most of what is asked for, a hasty one less, the bare starter little', () => {
  let count = 0;
  const bare = mapFromStarter(ferryman, '', () => `n${++count}`);
  const [good, hasty, nothing] = [share(mira, ferryman), share(teo, ferryman), share(bare, ferryman)];
  expect(good).toBeGreaterThan(0.85);
  expect(hasty).toBeLessThan(good);
  expect(nothing).toBeLessThan(hasty);
});

test('what was known of lighthouses reads as sentences, and lies apart', () => {
  const { topics, links } = knew([0, 5]);
  expect([topics.length, links.length]).toEqual([7, 6]);
  const report = checkMap(mend(asBegun(knew([]), lighthouses)).map, lighthouses);
  expect(report.results.filter(({ status }) => status === 'unmet')).toEqual([]);
});

test('a planned essay has most of what is asked for, half a plan about half, and spoilt maps less than the good one', () => {
  expect(share(hedda, footbridge)).toBeGreaterThan(0.85);
  expect(share(jomo, footbridge)).toBeLessThan(0.6);
  expect(share(imre, footbridge)).toBeGreaterThan(0.85);
  for (const { map, name } of essayWorks)
    if (!['hedda', 'imre'].includes(name)) expect(share(map, footbridge)).toBeLessThan(share(hedda, footbridge));
  for (const { map } of storyWorks) expect(share(map, ferryman)).toBeLessThan(share(mira, ferryman) + 1e-9);
});

test('the good reader’s map is what the assignment hopes for: twenty topics, pictures the library has, a sketch, ties across', () => {
  expect(mira.topics).toHaveLength(20);
  const report = checkMap(mend(asBegun(mira, ferryman)).map, ferryman);
  expect(report.results.filter(({ status }) => status === 'unmet' || status === 'partly').map(({ id }) => id)).toEqual(
    [],
  );
  for (const { src } of mira.topics.flatMap(({ pictures = [] }) => pictures))
    expect(existsSync(`packages/library/generated/pictures/${src}.svg`)).toBe(true);
  expect(readSketch(writeSketch(landing))).toEqual(landing);
  const boxes = [...mira.topics, ...mira.pictures].map((one) => boxOf(one));
  expect(boxes.filter((box, i) => boxes.some((other, k) => k > i && boxesMeet(box, other)))).toEqual([]);
});
