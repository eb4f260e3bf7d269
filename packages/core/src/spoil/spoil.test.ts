import { mend } from '../drawn/mend.js';
import type { Assignment, Topic, TopicMap } from '../map/types.js';
import { seeded } from '../random.js';
import { checkMap } from '../checking/check-map.js';
import { bridges, bridgesMap } from '../testing/bridges.js';
import { need } from '../testing/random-maps.js';
import { assignmentOf, mapOf, topic } from '../testing/make.js';
import { isWay, spoil, WAYS } from './spoil.js';
import type { WayName } from './spoil.js';

const ASKED: [type: string, params?: Record<string, unknown>][] = [
  ['all-terms-present', { spelling: 'strict' }],
  ['terms-unchanged'],
  ['right-kind'],
  ['kind-count', { kind: 'family', min: 2 }],
  ['no-duplicate-topics'],
  ['all-connected'],
  ['from-root'],
  ['depth', { min: 4 }],
  ['main-branches', { max: 4 }],
  ['cross-links', { min: 2 }],
  ['links-labelled'],
  ['precise-phrases'],
  [
    'propositions-present',
    {
      propositions: [
        { from: 'Arch', to: 'Abutment' },
        { from: 'Cable', to: 'Anchorage' },
      ],
    },
  ],
  ['like-reference'],
  ['kind-style'],
  ['ink-contrast'],
  ['pale-fills'],
  ['text-size'],
  ['few-crossings', { max: 1 }],
  ['clear-text'],
  ['no-overlaps'],
];
const assignment: Assignment = bridges(ASKED.map(([type, params]) => need(type, params)));
const map = bridgesMap();

const fractions = (of: TopicMap, asked = assignment): Map<string, number> =>
  new Map(checkMap(mend(of).map, asked).results.map(({ type, fraction }) => [type, fraction!]));

/** What each way must lower, and what it may lower beside that; all else stays nearly as it was. */
const TABLE: Record<WayName, { lowers: string[]; mayLower?: string[] }> = {
  'drop-terms': {
    lowers: ['all-terms-present'],
    mayLower: ['like-reference', 'cross-links', 'depth', 'propositions-present'],
  },
  'misspell-terms': { lowers: ['all-terms-present'] },
  'rename-terms': {
    lowers: ['all-terms-present', 'terms-unchanged', 'right-kind'],
    mayLower: ['like-reference', 'propositions-present'],
  },
  'cut-loose': {
    lowers: ['all-connected', 'from-root'],
    mayLower: ['like-reference', 'cross-links', 'depth', 'propositions-present'],
  },
  'strip-phrases': { lowers: ['links-labelled'], mayLower: ['cross-links'] },
  'vague-phrases': { lowers: ['precise-phrases'] },
  'turn-arrows': { lowers: ['propositions-present'] },
  'cross-lines': { lowers: ['few-crossings'], mayLower: ['clear-text'] },
  'overlap-topics': { lowers: ['no-overlaps'], mayLower: ['few-crossings'] },
  'lines-over-text': { lowers: ['clear-text'], mayLower: ['few-crossings'] },
  'lose-kinds': { lowers: ['right-kind'], mayLower: ['kind-count', 'kind-style', 'terms-unchanged'] },
  recolour: { lowers: ['kind-style'] },
  'dark-fills': { lowers: ['ink-contrast', 'pale-fills'], mayLower: ['kind-style'] },
  'tiny-text': { lowers: ['text-size'] },
  'double-topic': { lowers: ['no-duplicate-topics'], mayLower: ['right-kind', 'few-crossings'] },
  'all-to-root': {
    lowers: ['like-reference', 'main-branches', 'depth'],
    mayLower: ['cross-links', 'few-crossings', 'clear-text', 'propositions-present'],
  },
};

test('the map that is spoiled meets all that is asked of it', () => {
  expect([...fractions(map)].filter(([, fraction]) => fraction < 1)).toEqual([]);
});

describe.each(Object.entries(TABLE) as [WayName, (typeof TABLE)[WayName]][])('%s', (way, { lowers, mayLower = [] }) => {
  const spoiled = [1, 2, 3, 4, 5, 6].map((seed) => spoil(map, assignment, way, seeded(seed)));

  test('lowers what it must, and leaves the rest nearly as it was', () => {
    for (const one of spoiled) {
      const after = fractions(one);
      expect(lowers.filter((type) => after.get(type)! >= 1)).toEqual([]);
      const others = [...after].filter(([type]) => !lowers.includes(type) && !mayLower.includes(type));
      expect(others.filter(([, fraction]) => fraction < 0.9)).toEqual([]);
    }
  });

  test('leaves at least half untouched, a whole map, and the map given as it was', () => {
    const before = JSON.stringify(map);
    for (const one of spoiled) {
      const marks = [...map.topics, ...map.links];
      const kept = new Set<unknown>([...one.topics, ...one.links]);
      expect(marks.filter((mark) => kept.has(mark)).length).toBeGreaterThanOrEqual(marks.length / 2);
      expect(mend(one).dropped).toEqual([]);
      expect(new Set([...one.topics, ...one.links].map(({ id }) => id)).size).toBe(
        one.topics.length + one.links.length,
      );
    }
    expect(JSON.stringify(map)).toBe(before);
  });

  test('one seed gives one map, another seed another', () => {
    expect(spoil(map, assignment, way, seeded(3))).toEqual(spoiled[2]);
    expect(new Set(spoiled.map((one) => JSON.stringify(one))).size).toBeGreaterThan(1);
  });

  test.each<[string, Topic[]]>([
    ['nothing', []],
    ['one topic', [topic('a', { text: '' })]],
    ['two topics and no links', [topic('a'), topic('b', { x: 200 })]],
  ])('takes a map of %s', (_, topics) => {
    const small = mapOf(topics);
    expect(mend(spoil(small, assignmentOf(), way, seeded(1))).dropped).toEqual([]);
  });
});

test('names', () => {
  expect(Object.keys(WAYS)).toHaveLength(16);
  expect([isWay('tiny-text'), isWay('toString')]).toEqual([true, false]);
});
