import { checkMap } from '../checking/check-map.js';
import { setText } from '../commands/topics.js';
import { LABELS } from '../evidence/labels.js';
import { OUTLINE_MESSAGES } from '../outline/outline.js';
import { REASONS } from '../map/reasons.js';
import { requirementTypes } from '../requirements/registry.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { need } from '../testing/random-maps.js';
import { english } from './catalogue.js';
import type { Catalogue } from './catalogue.js';
import { formatted, formattedParts } from './icu.js';
import { reportFile } from './report-file.js';
import { reasonOf, requirementParts, requirementSentence, say } from './say.js';

/** A language of one’s own: enough of it to see that nothing of a check is English. */
const other: Catalogue = {
  locale: 'de',
  sentence: (type) => (type === 'topic-count' ? 'Mindestens <b-min>{min}</b-min> Themen' : `Satz ${type}`),
  message: (type, code) =>
    `${type}/${code}: ${code === 'few' ? '{count, plural, one {ein Thema} other {{count} Themen}}' : '–'}`,
  outline: (code) => `Zeile: ${code}`,
  label: (code) => `Zeichen: ${code}`,
  reason: (code) => `Nein: ${code}`,
  lookAgain: (code) => code,
  safeHelp: (code) => code,
};
const assignment = assignmentOf({ requirements: [need('topic-count', { min: 5 }), need('all-connected')] });
const map = mapOf([topic('a'), topic('b', { x: 400 })]);

test('a report speaks another language by its codes and data, and its figures stay', () => {
  const report = checkMap(map, assignment);
  const [ours, theirs] = [reportFile(report, assignment), reportFile(report, assignment, other)];
  expect(ours.results.map(({ sentence, message }) => [sentence, message])).toEqual([
    ['At least 5 topics', '2 on the map: add 3 more.'],
    ['Everything is joined into one map', '1 topic of 2 is apart from the rest.'],
  ]);
  expect(theirs.results.map(({ sentence, message }) => [sentence, message])).toEqual([
    ['Mindestens 5 Themen', 'topic-count/few: 2 Themen'],
    ['Satz all-connected', 'all-connected/some: –'],
  ]);
  const figures = ({ results, ...rest }: typeof ours) => [
    rest,
    results.map(({ sentence: _, message: __, evidence, ...one }) => [one, evidence.map(({ message: ___, ...e }) => e)]),
  ];
  expect(figures(theirs)).toEqual(figures(ours));
});

test('a sentence in pieces: what a parameter shows is a blank of its name', () => {
  expect(requirementParts(assignment.requirements[0]!, assignment)).toEqual([
    'At least ',
    { param: 'min', text: '5' },
    ' topics',
  ]);
  expect(requirementSentence({ type: 'of-a-later-version', params: {} }, assignment)).toBe('of-a-later-version');
});

test.each([
  ['kind-style', {}, 'Every topic is drawn in its kind’s shape and fill'],
  ['kind-style', { outline: true }, 'Every topic is drawn in its kind’s shape, fill and outline'],
  ['kind-style', { fill: false }, 'Every topic is drawn in its kind’s shape'],
  ['kind-style', { fill: false, shape: false }, 'Every topic is of a kind of the legend'],
  [
    'allowed-links',
    {
      pairs: [
        ['root', 'part'],
        ['part', 'own'],
      ],
    },
    'Links lead only from Bridge to Part or Part to Family',
  ],
  ['kind-count', { kind: 'part', min: 1 }, 'At least 1 topic of the kind Part is on the map'],
  ['kind-count', { kind: 'part', min: 1, max: 1 }, 'Exactly 1 topic of the kind Part is on the map'],
  ['kind-count', { kind: 'part', min: 2, max: 2 }, 'Exactly 2 topics of the kind Part are on the map'],
  ['main-branches', { min: 1, max: 1 }, 'Exactly 1 main branch leaves the starting topic'],
  ['main-branches', { min: 1 }, 'At least 1 main branch leaves the starting topic'],
  ['topic-count', { min: 4, max: 4 }, 'Exactly 4 topics'],
  ['topic-count', { min: 4, max: 9 }, 'Between 4 and 9 topics'],
  ['sits-under', { kinds: ['own', 'part'], parents: ['root'] }, 'Every Family and Part is tied to at least 1 Bridge'],
  ['few-crossings', { max: 0 }, 'No links cross'],
  ['few-crossings', { max: 1 }, 'At most 1 crossing of links'],
])('%s %j reads: %s', (type, params, sentence) => {
  expect(requirementSentence({ type, params }, assignment)).toBe(sentence);
});

test('texts of a map are quoted as they are, whatever they hold', () => {
  const nasty = `<b-min>{count}</b-min> 'x' #`;
  const [result] = checkMap(
    mapOf([topic('a'), topic('n', { x: 300, text: nasty }), topic('b', { x: 600 })], [link('a', 'b')]),
    assignmentOf({ requirements: [need('all-connected')] }),
  ).results;
  expect(say('all-connected', result!.evidence[0]!)).toBe(`Nothing is linked to “${nasty}”: link it in.`);
});

test('every English message is one that the library reads, and a code without one is an error of ours', () => {
  const messages = requirementTypes().flatMap((type) => Object.values(type.messages));
  for (const message of [
    ...messages,
    ...Object.values(REASONS),
    ...Object.values(LABELS),
    ...Object.values(OUTLINE_MESSAGES),
  ])
    expect(() => formatted(message, english.locale, {})).not.toThrow(SyntaxError);
  for (const { sentence } of requirementTypes())
    expect(() => formattedParts(sentence, english.locale, {}, {})).not.toThrow(SyntaxError);
  expect(() => say('all-connected', { code: 'nonsense' })).toThrow('no message');
});

test('why a command will not do it is said in any language', () => {
  const outcome = setText(map, 'a', 'x'.repeat(301), assignment.legend);
  if (outcome.ok) throw new Error('it was taken');
  expect(reasonOf(outcome)).toBe('A topic has room for 300 characters. Put the rest into a note, or make two topics.');
  expect(reasonOf(outcome, other)).toBe('Nein: topicTooLong');
});
