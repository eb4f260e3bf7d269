import { assignmentOf, link, mapOf, topic } from '../../testing/make.js';
import { requirementTester } from '../../testing/requirement-tester.js';

const plain = assignmentOf();
const [a, b, c] = [
  topic('a', { text: 'Arch', kind: 'part' }),
  topic('b', { text: 'Pier' }),
  topic('c', { kind: 'own' }),
];
const three = mapOf([a, b, c], [link('a', 'b'), link('b', 'c')]);
const empty = { name: 'an empty map', map: mapOf([]), status: 'unmet' as const, fraction: 0, flags: [] };

requirementTester('topic-count', plain, [
  {
    name: 'what has no kind is named, and not counted',
    params: { kinds: ['part'], min: 2 },
    map: mapOf([topic('x'), topic('y', { kind: 'part' })]),
    status: 'partly',
    fraction: 0.5,
    flags: [],
  },
  {
    name: 'what stands beside the structure is named, and not counted',
    params: { min: 2 },
    map: mapOf([topic('x'), topic('y', { kind: 'target' })]),
    status: 'partly',
    fraction: 0.5,
    flags: [],
  },
  { name: 'enough', params: { min: 3, max: 3 }, map: three, status: 'met', fraction: 1, flags: [] },
  { name: 'few', params: { min: 4 }, map: three, status: 'partly', fraction: 0.75, flags: [] },
  {
    name: 'many of a kind',
    params: { max: 1, kinds: ['part', 'own'] },
    map: three,
    status: 'partly',
    fraction: 0.5,
    flags: [],
  },
  { ...empty, params: { max: 3 } },
]);

requirementTester('link-count', plain, [
  {
    name: 'a link beside the structure is named, and not counted',
    params: { min: 2 },
    map: mapOf([topic('x'), topic('y')], [link('x', 'y'), link('y', 'x', { kind: 'shows' })]),
    status: 'partly',
    fraction: 0.5,
    flags: [],
  },
  { name: 'enough', params: { min: 2 }, map: three, status: 'met', fraction: 1, flags: [] },
  {
    name: 'few of a kind',
    params: { min: 1, linkKinds: ['shows'] },
    map: three,
    status: 'unmet',
    fraction: 0,
    flags: [],
  },
  { name: 'many', params: { max: 1 }, map: three, status: 'partly', fraction: 0.5, flags: [] },
]);

requirementTester('short-topics', plain, [
  { name: 'one word each', map: three, status: 'met', fraction: 1, flags: [] },
  {
    name: 'one that is long',
    params: { maxWords: 2 },
    map: mapOf([a, topic('l', { text: 'it’s an arch, of stone' })]),
    status: 'partly',
    fraction: 0.5,
    flags: ['l'],
  },
  empty,
]);

requirementTester('no-duplicate-topics', plain, [
  {
    name: 'all different; blank ones are left out',
    map: mapOf([a, b, topic('x', { text: ' ' })]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'the same in another number and case',
    map: mapOf([a, topic('d', { text: 'ARCHES' }), b]),
    status: 'partly',
    fraction: 2 / 3,
    flags: ['a', 'd'],
  },
  empty,
]);

const noted = topic('n', { note: 'one two three four five', weblinks: [{ url: ' ', title: '' }] });
requirementTester('supporting-material', plain, [
  {
    name: 'an empty place, and something else, are named and not counted',
    params: { what: 'weblink', min: 2 },
    map: mapOf([topic('x', { weblinks: [{ url: ' ' }] }), topic('y', { note: 'seen' })]),
    status: 'unmet',
    fraction: 0,
    flags: [],
  },
  { name: 'a note', map: mapOf([noted]), status: 'met', fraction: 1, flags: [] },
  {
    name: 'half of them',
    params: { minShare: 1 },
    map: mapOf([noted, a]),
    status: 'partly',
    fraction: 0.5,
    flags: ['a'],
  },
  {
    name: 'a blank address is none',
    params: { what: 'weblink' },
    map: mapOf([noted]),
    status: 'unmet',
    fraction: 0,
    flags: [],
  },
]);

requirementTester('note-length', assignmentOf({ root: 'Bridge' }), [
  { name: 'long enough', params: { minWords: 5 }, map: mapOf([noted]), status: 'met', fraction: 1, flags: [] },
  {
    name: 'one too short',
    params: { minWords: 5 },
    map: mapOf([noted, a]),
    status: 'partly',
    fraction: 0.5,
    flags: ['a'],
  },
  {
    name: 'too long',
    params: { minWords: 1, maxWords: 4 },
    map: mapOf([noted]),
    status: 'unmet',
    fraction: 0,
    flags: ['n'],
  },
  {
    name: 'per branch, one with figures of its own',
    params: { per: 'branch', minWords: 9, each: [{ branch: 'Arch', minWords: 3 }] },
    map: mapOf(
      [topic('r', { text: 'Bridge' }), a, b, topic('d', { note: 'one two three' })],
      [link('r', 'a'), link('r', 'b'), link('a', 'd')],
    ),
    status: 'partly',
    fraction: 0.5,
    flags: ['b'],
  },
]);

const prompts = assignmentOf({
  starter: mapOf([
    topic('p', { text: 'It holds because', toComplete: true }),
    topic('q', { text: 'It fails when', toComplete: true }),
  ]),
});
const answered = topic('x', { origin: 'p', text: 'It holds because its stones lean' });
requirementTester(
  'prompts-answered',
  prompts,
  [
    {
      name: 'both continued',
      params: { minWords: 2 },
      map: mapOf([answered, topic('y', { origin: 'q', text: 'It fails when wet clay slides' })]),
      status: 'met',
      fraction: 1,
      flags: [],
    },
    {
      name: 'one as given',
      map: mapOf([answered, topic('y', { origin: 'q', text: 'It fails when' })]),
      status: 'partly',
      fraction: 0.5,
      flags: ['y'],
    },
    {
      name: 'in other words is not continued',
      map: mapOf([topic('y', { origin: 'q', text: 'Why it fails' })]),
      status: 'unmet',
      fraction: 0,
      flags: ['y'],
    },
    { name: 'no prompts', assignment: plain, map: three, status: 'not-applicable', fraction: null },
  ],
  ['met', 'partly', 'unmet', 'not-applicable'],
);

const blanks = {
  answers: [
    { origin: 'k', accept: ['Keystone'] },
    { origin: 'l', accept: ['locks', 'holds'] },
  ],
};
const filled = mapOf(
  [topic('x', { origin: 'k', text: 'keystones' }), a],
  [link('x', 'a', { origin: 'l', phrase: 'Holds' })],
);
requirementTester(
  'blanks-filled',
  plain,
  [
    { name: 'both, in other forms', params: blanks, map: filled, status: 'met', fraction: 1, flags: [] },
    {
      name: 'a slip is for a person to judge',
      params: blanks,
      map: mapOf([topic('x', { origin: 'k', text: 'Keystnoe' }), a], filled.links as never),
      status: 'judge',
      fraction: 1,
      flags: [],
    },
    {
      name: 'one wrong',
      params: blanks,
      map: mapOf([topic('x', { origin: 'k', text: 'Pier' }), a], filled.links as never),
      status: 'partly',
      fraction: 0.5,
      flags: ['x'],
    },
    {
      name: 'one still empty',
      params: blanks,
      map: mapOf([topic('x', { origin: 'k', text: ' ' }), a], filled.links as never),
      status: 'partly',
      fraction: 0.5,
      flags: ['x'],
    },
    { name: 'gone', params: blanks, map: mapOf([a]), status: 'unmet', fraction: 0, flags: [] },
  ],
  ['met', 'judge', 'partly', 'unmet'],
);

const wired = assignmentOf({ starter: mapOf([topic('s'), topic('t')], [link('s', 't')]) });
requirementTester(
  'starter-rewired',
  wired,
  [
    {
      name: 'half is tied to something new',
      map: mapOf([topic('x', { origin: 's' }), topic('y', { origin: 't' }), a], [link('x', 'y'), link('x', 'a')]),
      status: 'met',
      fraction: 1,
      flags: ['y'],
    },
    {
      name: 'half, where all is asked',
      params: { minShare: 1 },
      map: mapOf([topic('x', { origin: 's' }), topic('t'), a], [link('x', 't'), link('x', 'a')]),
      status: 'partly',
      fraction: 0.5,
      flags: ['t'],
    },
    {
      name: 'as it was handed out',
      map: mapOf([topic('s'), topic('t')], [link('s', 't')]),
      status: 'unmet',
      fraction: 0,
      flags: ['s', 't'],
    },
    {
      name: 'what was set beside the structure cannot be tied into it',
      params: { minShare: 1 },
      map: mapOf([topic('s', { kind: 'target' }), topic('t'), a], [link('s', 'a'), link('t', 'a')]),
      status: 'partly',
      fraction: 0.5,
      flags: ['s'],
    },
    { name: 'no starter', assignment: plain, map: three, status: 'not-applicable', fraction: null },
  ],
  ['met', 'partly', 'unmet', 'not-applicable'],
);

const members = ['me', 'you'];
requirementTester(
  'group-share',
  plain,
  [
    {
      name: 'both',
      context: { members },
      map: mapOf([topic('x', { by: 'me' }), topic('y', { by: 'you' })]),
      status: 'met',
      fraction: 1,
    },
    {
      name: 'one did it all',
      context: { members },
      map: mapOf([topic('x', { by: 'me' })]),
      status: 'partly',
      fraction: 0.5,
    },
    { name: 'nobody knows who', context: { members }, map: mapOf([topic('x')]), status: 'unmet', fraction: 0 },
    { name: 'alone', context: { members: ['me'] }, map: mapOf([topic('x')]), status: 'not-applicable', fraction: null },
  ],
  ['met', 'partly', 'unmet', 'not-applicable'],
);

const due = '2026-03-02T17:00:00Z';
requirementTester(
  'on-time',
  plain,
  [
    { name: 'to the second', context: { due, handedIn: due }, map: three, status: 'met', fraction: 1 },
    { name: 'late', context: { due, handedIn: '2026-03-02T20:00:00+01:00' }, map: three, status: 'unmet', fraction: 0 },
    {
      name: 'within the hours of grace',
      params: { graceHours: 3 },
      context: { due, handedIn: '2026-03-02T19:00:00Z' },
      map: three,
      status: 'met',
      fraction: 1,
    },
    { name: 'not handed in', context: { due, handedIn: null }, map: three, status: 'not-applicable', fraction: null },
  ],
  ['met', 'unmet', 'not-applicable'],
);
