import { emptyMap, fitTopic, pick, SCREEN, seeded } from '@ichnograph/core';
import type { Link, Topic, TopicMap } from '@ichnograph/core';

const WORDS = ['arch', 'beam', 'cable', 'deck', 'pier', 'span', 'truss', 'tower', 'load', 'joint', 'bearing', 'stone'];
const PHRASES = [
  'carries',
  'presses on',
  'hangs from a',
  'is held by',
  'hands its load on to',
  'pushes outward on',
  'is',
];
export const MAPS = 12;

/** Two sets of maps of 20 to 300 topics. */
export const SETS: readonly [name: string, maps: readonly TopicMap[]][] = [
  ['ties between what was made about together', sized(mapWithWords, 100)],
  ['a tree by distance, a quarter as many ties anywhere', sized(mapByDistance, 500)],
];
function sized(make: (size: number, seed: number) => TopicMap, seed: number): TopicMap[] {
  return Array.from({ length: MAPS }, (_, i) => make(Math.round(20 * 15 ** (i / (MAPS - 1))), seed + i));
}

/** Topics at random places, and what joins two of them by number, once each. */
function thrownDown(size: number, random: () => number, phrase: () => string) {
  const topics = Array.from({ length: size }, (_, i): Topic => {
    const text = `${pick(WORDS, random)} ${pick(WORDS, random)} ${i}`;
    const topic = { id: `t${i}`, text, kind: null, x: random() * 1500, y: random() * 1500, width: 0, height: 0 };
    return { ...topic, ...fitTopic(topic, undefined) };
  });
  const links: Link[] = [];
  const tie = (from: number, to: number): void => {
    if (from === to || links.some((link) => link.from === `t${from}` && link.to === `t${to}`)) return;
    links.push({ id: `l${links.length}`, from: `t${from}`, to: `t${to}`, phrase: phrase(), kind: null });
  };
  return { map: { ...emptyMap(), topics, links }, tie };
}

/** A tree as a student grows it, with a fifth as many ties across, most of them between topics that were made about together. */
function mapWithWords(size: number, seed: number): TopicMap {
  const random = seeded(seed);
  const { map, tie } = thrownDown(size, random, () => pick(PHRASES, random));
  for (let i = 1; i < size; i++) tie(Math.floor(i * (0.1 + 0.6 * random())), i);
  for (let i = 0; i < size / 5; i++) {
    const from = Math.floor(random() * size);
    tie(from, Math.min(size - 1, Math.max(0, from + Math.round((random() - 0.5) * size * 0.4))));
  }
  return map;
}

/** A tree in which most hang from what was made shortly before, with a quarter as many ties between any two; words on most. */
function mapByDistance(size: number, seed: number): TopicMap {
  const random = seeded(seed);
  const { map, tie } = thrownDown(size, random, () => (random() < 0.85 ? pick(PHRASES, random) : ''));
  for (let i = 1; i < size; i++) tie(Math.max(0, i - 1 - Math.floor(-Math.log(1 - random()) * 5)), i);
  for (let i = 0; i < size / 4; i++) tie(Math.floor(random() * size), Math.floor(random() * size));
  return map;
}

/** Which of each set are drawn in a frame too. */
export const FRAMED = [4, 7, 9] as const;

/** The letters of a map that left nothing between its topics and words, in the screen's frame. */
export function mostLetters({ topics, links }: TopicMap): number {
  const rooms = topics.map(({ width, height }) => (width + 40) * (height + 36));
  const words = links.map(({ phrase }) => (phrase === '' ? 0 : (7 * phrase.length + 10) * 26));
  const area = [...rooms, ...words].reduce((sum, one) => sum + one, 0);
  return 14 * Math.min(1, Math.sqrt((SCREEN.width * SCREEN.height) / area));
}
