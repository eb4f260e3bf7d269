import { checkMap } from '../checking/check-map.js';
import { applyChanges } from '../map/changes.js';
import type { Assignment, TopicMap } from '../map/types.js';
import { requirementTypes } from '../requirements/registry.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
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
  ['pale ink', need('ink-contrast'), mapOf([topic('a', { ink: '#eeeeee', fill: '#ffffff' })]), /dark ink/],
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
      type: id,
      status: 'unmet' as const,
      evidence: [{ code: 'x', data: {}, topics: ['a'], links: [] }],
    };
    const help = safeHelp(result, map, assignmentOf());
    expect([id, help !== null]).toEqual([id, looksAndPlaces.includes(id) && id !== 'fan-style']);
  }
});

test('in free style a fill that says the kind is not touched', () => {
  const free = assignmentOf({ styleMode: 'free', requirements: [need('pale-fills')] });
  expect(helped(mapOf([topic('a', { fill: '#112233' })]), free).words).toBeNull();
});
