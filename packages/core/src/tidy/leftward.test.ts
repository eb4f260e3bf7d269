import { applyChanges } from '../map/changes.js';
import type { TopicMap } from '../map/types.js';
import { bridges, bridgesMap } from '../testing/bridges.js';
import { SCREEN } from './frame.js';
import { mirroredMap, readsLeftward } from './leftward.js';
import { TIDY_WAYS } from './tidied.js';
import { tidyMap } from './tidy.js';

const { legend } = bridges();
/** The same map in words of as many letters, whose sizes are kept. */
const inHebrew = (map: TopicMap): TopicMap => ({
  ...map,
  topics: map.topics.map((topic) => ({ ...topic, text: topic.text.replace(/\p{L}/gu, 'א') })),
});
const placed = (map: TopicMap): number[][] => map.topics.map(({ x, y }) => [x, y]);

test('a map is read the way most of its topics are; figures and signs say nothing', () => {
  const of = (...texts: string[]): boolean => readsLeftward(texts.map((text) => ({ text })));
  expect([of('שלום', '12', '?'), of('שלום', 'arch'), of('שלום', 'الهواء', 'arch'), of('12'), of()]).toEqual([
    true,
    false,
    true,
    false,
    false,
  ]);
});

test.each(TIDY_WAYS.filter((way) => way !== 'timeline'))(
  'read from right to left, %s is the mirror of what the mirrored map is from left to right',
  (way) => {
    const map = bridgesMap();
    const there = applyChanges(inHebrew(map), tidyMap(inHebrew(map), { way, frame: SCREEN }, legend));
    const mirror = mirroredMap(map, legend);
    const here = applyChanges(mirror, tidyMap(mirror, { way, frame: SCREEN }, legend));
    expect(placed(there)).toEqual(placed(mirroredMap(here, legend)));
    expect(there.links).toEqual(mirroredMap(here, legend).links);
  },
);

test('in time it runs as time is drawn, from left to right', () => {
  const map = bridgesMap();
  const [there, here] = [inHebrew(map), map].map((one) => applyChanges(one, tidyMap(one, { way: 'timeline' }, legend)));
  expect(placed(there!)).toEqual(placed(here!));
});
