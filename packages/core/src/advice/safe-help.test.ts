import fc from 'fast-check';
import { checkMap } from '../checking/check-map.js';
import { applyChanges } from '../map/changes.js';
import type { Assignment, TopicMap } from '../map/types.js';
import { requirementTypes } from '../requirements/registry.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { askedFor, found } from '../testing/maps-with-faults.js';
import { need } from '../testing/random-maps.js';
import { safeHelpWords } from '../wording/say.js';
import { safeHelp } from './safe-help.js';

const helped = (map: TopicMap, assignment: Assignment) => {
  const [result] = checkMap(map, assignment).results;
  const help = safeHelp(result!, map, assignment);
  const outcome = help?.outcome();
  const after = outcome?.ok ? applyChanges(map, outcome.changes) : map;
  const [then] = checkMap(after, assignment).results;
  return { words: help && safeHelpWords(help), before: result!.fraction ?? 0, after: then!.fraction ?? 0 };
};

test.each<[string, ReturnType<typeof need>, TopicMap, RegExp]>([
  ['overlaps', need('no-overlaps'), mapOf([topic('a'), topic('b', { x: 20 }), topic('c', { x: 30, y: 10 })]), /clear/],
  [
    'links of many colours',
    need('fan-style', { when: 'always' }),
    mapOf(
      ['a', 'b', 'c', 'd'].map((id, i) => topic(id, { x: i * 300 })),
      ['b', 'c', 'd'].map((to, i) => link('a', to, { colour: ['#ff0000', '#00ff00', '#0000ff'][i]! })),
    ),
    /these 3 links one colour/,
  ],
  ['dark fills', need('pale-fills'), mapOf([topic('a', { fill: '#112233' })]), /Make it paler/],
  ['small words', need('text-size', { min: 12 }), mapOf([topic('a', { fontSize: 8 })]), /larger/],
  ['pale ink', need('ink-contrast'), mapOf([topic('a', { ink: '#eeeeee', fill: '#ffffff' })]), /ink that can be read/],
])('%s: what is offered mends it', (_, requirement, map, words) => {
  const seen = helped(map, assignmentOf({ requirements: [requirement] }));
  expect(seen.words).toMatch(words);
  expect(seen.after).toBeGreaterThan(seen.before);
});

test('what a student is meant to think out is never offered', () => {
  const looksAndPlaces = [
    'no-overlaps',
    'fan-style',
    'few-crossings',
    'pale-fills',
    'text-size',
    'ink-contrast',
    'branch-colours',
    'clear-phrases',
    'clear-text',
  ];
  const map = mapOf([topic('a'), topic('b')]);
  for (const { id } of requirementTypes()) {
    const result = {
      id,
      type: id,
      status: 'unmet' as const,
      evidence: [{ code: 'x', data: {}, topics: ['a'], links: [] }],
    };
    const help = safeHelp(result, map, assignmentOf({ requirements: [need(id)] }));
    expect([id, help !== null]).toEqual([id, looksAndPlaces.includes(id) && id !== 'fan-style']);
  }
});

test('in free style a fill that says the kind is not touched', () => {
  const free = assignmentOf({ styleMode: 'free', requirements: [need('pale-fills')] });
  expect(helped(mapOf([topic('a', { fill: '#112233' })]), free).words).toBeNull();
});

/** What can be seen of a map: nothing of it is to be lost by a button that mends something else of it. */
const SEEN = [
  ...['no-overlaps', 'clear-text', 'clear-phrases', 'few-crossings', 'ink-contrast', 'pale-fills', 'text-size'],
  ...['fan-style', 'branch-colours', 'kind-style', 'right-kind'],
];

test('what is offered comes nearer, and breaks nothing that can be seen', () => {
  const offered = new Set<string>();
  fc.assert(
    fc.property(found, ([map, n]) => {
      const asked = askedFor(n);
      const assignment = { ...asked, requirements: asked.requirements.filter(({ type }) => SEEN.includes(type)) };
      const before = checkMap(map, assignment).results;
      for (const result of before) {
        const help = safeHelp(result, map, assignment);
        const outcome = help?.outcome();
        if (!help || !outcome?.ok || outcome.changes.length === 0) continue;
        offered.add(help.code);
        const after = checkMap(applyChanges(map, outcome.changes), assignment).results;
        const worse = before.filter(({ type, status, fraction }, i) => {
          const now = after[i]!.fraction ?? 1;
          return type === result.type ? now < fraction! + 1e-9 : status === 'met' && now < 1;
        });
        expect([help.code, worse.map(({ type }) => type)]).toEqual([help.code, []]);
      }
    }),
    { numRuns: 60 },
  );
  expect(offered.size).toBeGreaterThan(6);
});
