import { checkMap, mapFromStarter, mend, readAssignment, reviewRequirements, writeAssignment } from '@ichnograph/core';
import type { Assignment, TopicMap } from '@ichnograph/core';
import { ferryman, footbridge, lighthouses, rivers } from './assignments.js';
import { knew, mira, teo } from './works.js';

const named: [string, Assignment][] = Object.entries({ ferryman, footbridge, rivers, lighthouses });

test.each(named)('%s can be given out, and nothing in it contradicts itself', (_, assignment) => {
  expect(readAssignment(writeAssignment(assignment)).messages).toEqual([]);
  expect(reviewRequirements(assignment)).toEqual([]);
});

/** A drawn map as one that was begun from the starter. */
const asBegun = (map: TopicMap, { starter }: Assignment): TopicMap =>
  mend({
    ...map,
    topics: map.topics.map((topic) =>
      starter!.topics.some(({ id }) => id === topic.id) ? { ...topic, origin: topic.id } : topic,
    ),
  }).map;
const share = (map: TopicMap, assignment: Assignment): number => {
  const { earned, outOf } = checkMap(asBegun(map, assignment), assignment);
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
  const report = checkMap(asBegun(knew([]), lighthouses), lighthouses);
  expect(report.results.filter(({ status }) => status === 'unmet')).toEqual([]);
});
