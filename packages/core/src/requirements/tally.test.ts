import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { need } from '../testing/random-maps.js';
import { say } from '../wording/say.js';
import { checkMap } from '../checking/check-map.js';
import type { Result } from './types.js';

/** Thirty links from one row to another, each crossing most others, in front of topics that lie between. */
const tangle = mapOf(
  [
    ...Array.from({ length: 30 }, (_, i) => topic(`a${i}`, { x: i * 120 })),
    ...Array.from({ length: 30 }, (_, i) => topic(`b${i}`, { x: i * 120, y: 900 })),
    ...Array.from({ length: 24 }, (_, i) => topic(`m${i}`, { x: 1640 + i * 8, y: 450 })),
  ],
  Array.from({ length: 30 }, (_, i) => link(`a${i}`, `b${29 - i}`, { z: 5 })),
);
const check = (type: string): Result =>
  checkMap(tangle, assignmentOf({ requirements: [need(type, type === 'no-overlaps' ? { gap: 60 } : {})] })).results[0]!;

test.each(['few-crossings', 'clear-text', 'clear-phrases'])(
  '%s: in a tangle each thing is named once, with how many it meets',
  (type) => {
    const result = check(type);
    const { evidence } = result;
    const named = evidence.flatMap(({ topics, links }) => [...topics, ...links]);
    expect(new Set(named).size).toBe(named.length);
    expect(named.length).toBeLessThanOrEqual(tangle.topics.length + tangle.links.length);
    for (const one of evidence) {
      expect(say(type, one)).toMatch(/^\P{Ll}.*\.$/u);
      expect(say(type, one)).toMatch(/\d/);
    }
    expect(say(type, result)).toMatch(/\d/);
  },
);

test('every crossing is counted all the same', () => {
  expect(check('few-crossings').figures.crossings).toBe((30 * 29) / 2);
});

test('stacked topics: each is named with how many others it is close to', () => {
  const stack = mapOf(Array.from({ length: 40 }, (_, i) => topic(`t${i}`, { x: i })));
  const { evidence } = checkMap(stack, assignmentOf({ requirements: [need('no-overlaps')] })).results[0]!;
  expect(evidence).toHaveLength(40);
  expect(evidence[0]!.topics).toEqual(['t0']);
  expect(say('no-overlaps', evidence[0]!)).toBe('“t0” is too close to 39 others: move it away.');
});
