import { checkMap, mapFromStarter, mend, readAssignment, reviewRequirements, writeAssignment } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { crossing } from './assignment.js';
import { stages } from './works.js';

test('the group’s assignment can be given out, and nothing in it contradicts itself', () => {
  expect(readAssignment(writeAssignment(crossing)).messages).toEqual([]);
  expect(reviewRequirements(crossing)).toEqual([]);
});

test('each stage has more of what is asked for, and the whole nearly all', () => {
  const members = ['a', 'b', 'c'];
  const share = (map: TopicMap): number => {
    const topics = map.topics.map((topic, i) => ({ ...topic, by: members[i % 3]! }));
    const links = map.links.map((link, i) => ({ ...link, by: members[i % 3]! }));
    const { earned, outOf } = checkMap(mend({ ...map, topics, links }).map, crossing, { members });
    return earned / outOf;
  };
  let count = 0;
  const shares = [mapFromStarter(crossing, '', () => `n${++count}`), ...stages].map(share);
  expect([...shares].sort((a, b) => a - b)).toEqual(shares);
  expect(shares[0]).toBeLessThan(0.35);
  expect(shares.at(-1)).toBeGreaterThan(0.9);
});
