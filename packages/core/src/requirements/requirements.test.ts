import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { requirementTester } from '../testing/requirement-tester.js';

const terms = [
  { text: 'Arch', kind: 'part' },
  { text: 'Keystone', kind: 'part', accept: ['crown stone'] },
  { text: 'Shear', kind: 'own' },
];
const plain = assignmentOf();
const at = (x: number, y = 0) => ({ x: x * 200, y: y * 100 });

requirementTester(
  'all-terms-present',
  assignmentOf({ terms }),
  [
    {
      name: 'all of them, one by another wording',
      map: mapOf([topic('Arch'), topic('k', { text: 'crown stones' }), topic('Shear')]),
      status: 'met',
      fraction: 1,
      flags: [],
    },
    { name: 'some', map: mapOf([topic('Arch')]), status: 'partly', fraction: 1 / 3, flags: ['Keystone', 'Shear'] },
    { name: 'none', map: mapOf([topic('x')]), status: 'unmet', fraction: 0, flags: ['Arch', 'Keystone', 'Shear'] },
    {
      name: 'one perhaps misspelt is for a person to judge',
      map: mapOf([topic('Arch'), topic('k', { text: 'Keystome' }), topic('Shear')]),
      status: 'judge',
      fraction: 1,
      flags: ['k', 'Keystone'],
    },
    {
      name: 'strict takes no near match and flags the term alone',
      params: { spelling: 'strict' },
      map: mapOf([topic('Arch'), topic('k', { text: 'Keystome' }), topic('Shear')]),
      status: 'partly',
      fraction: 2 / 3,
      flags: ['Keystone'],
    },
    {
      name: 'only the terms of some kinds, and only so many',
      params: { kinds: ['part'], min: 1 },
      map: mapOf([topic('Arch')]),
      status: 'met',
      fraction: 1,
      flags: ['Keystone'],
    },
    {
      name: 'no terms at all',
      assignment: assignmentOf(),
      map: mapOf([topic('a')]),
      status: 'not-applicable',
      fraction: null,
    },
  ],
  ['met', 'partly', 'unmet', 'judge', 'not-applicable'],
);

const starter = mapOf([
  topic('s1', { text: 'Arch', kind: 'part' }),
  topic('s2', { text: 'Made of', kind: 'part', toComplete: true }),
]);
const given = (id: string, text: string, more = {}) =>
  topic(id, { text, kind: 'part', origin: id.replace('t', 's'), ...more });

requirementTester(
  'terms-unchanged',
  assignmentOf({ starter }),
  [
    {
      name: 'kept, and a prompt continued',
      map: mapOf([given('t1', 'arch!'), given('t2', 'Made of stone')]),
      status: 'met',
      fraction: 1,
      flags: [],
    },
    {
      name: 'one that lost its kind, and a copy that lost its words',
      map: mapOf([
        given('t1', 'Arch', { kind: 'own' }),
        topic('x', { text: 'Bow', origin: 's1' }),
        given('t2', 'Made of'),
      ]),
      status: 'partly',
      fraction: 0.5,
      flags: ['t1', 'x'],
    },
    {
      name: 'one renamed, whose words stand on another topic by now',
      map: mapOf([given('t1', 'Bow'), topic('x', { text: 'Arch' }), given('t2', 'Made of')]),
      status: 'partly',
      fraction: 0.5,
      flags: ['t1'],
    },
    {
      name: 'one renamed',
      map: mapOf([given('t1', 'Bow'), given('t2', 'Made of')]),
      status: 'partly',
      fraction: 0.5,
      flags: ['t1'],
    },
    {
      name: 'one of another kind',
      map: mapOf([given('t1', 'Arch', { kind: 'own' }), given('t2', 'Made of')]),
      status: 'partly',
      fraction: 0.5,
      flags: ['t1'],
    },
    {
      name: 'gone and renamed',
      map: mapOf([given('t2', 'Of stone')]),
      status: 'unmet',
      fraction: 0,
      flags: ['t2', 'Arch'],
    },
    {
      name: 'two of the same words gone, one kept',
      assignment: assignmentOf({ starter: mapOf([...starter.topics, topic('s3', { text: 'Arch', kind: 'part' })]) }),
      map: mapOf([given('t2', 'Made of')]),
      status: 'partly',
      fraction: 1 / 3,
      flags: ['Arch'],
    },
    {
      name: 'no starter',
      assignment: assignmentOf(),
      map: mapOf([topic('a')]),
      status: 'not-applicable',
      fraction: null,
    },
  ],
  ['met', 'partly', 'unmet', 'not-applicable'],
);

requirementTester('right-kind', assignmentOf({ terms, root: 'Bridge', starter }), [
  {
    name: 'root, term, given topic and own topic each as they should be',
    map: mapOf([
      topic('Bridge', { kind: 'root' }),
      topic('Arch', { kind: 'part' }),
      given('t2', 'Made of stone'),
      topic('x', { kind: 'own' }),
    ]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'a term of another kind, and an own topic with none',
    map: mapOf([
      topic('Bridge', { kind: 'root' }),
      topic('Arch', { kind: 'own' }),
      topic('x'),
      topic('Shear', { kind: 'own' }),
    ]),
    status: 'partly',
    fraction: 0.5,
    flags: ['Arch', 'x'],
  },
  {
    name: 'an own topic passed off as given',
    map: mapOf([topic('x', { kind: 'part' })]),
    status: 'unmet',
    fraction: 0,
    flags: ['x'],
  },
  {
    name: 'a topic that was given without a kind',
    assignment: assignmentOf({ root: 'Bridge', starter: mapOf([topic('plain')]) }),
    map: mapOf([topic('Bridge', { kind: 'root' }), given('plain', 'Plain', { kind: 'own' })]),
    status: 'partly',
    fraction: 0.5,
    flags: ['plain'],
  },
  {
    name: 'no kinds of one’s own to choose from',
    assignment: assignmentOf({
      legend: {
        ...plain.legend,
        topicKinds: plain.legend.topicKinds.filter(({ givenBy }) => givenBy !== 'student'),
      },
    }),
    map: mapOf([topic('x'), topic('y', { kind: 'part' })]),
    status: 'unmet',
    fraction: 0,
    flags: ['x', 'y'],
  },
]);

requirementTester('kind-count', assignmentOf(), [
  {
    name: 'enough',
    params: { kind: 'own', min: 1, max: 2 },
    map: mapOf([topic('a', { kind: 'own' })]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'too few',
    params: { kind: 'own', min: 2 },
    map: mapOf([topic('a', { kind: 'own' })]),
    status: 'partly',
    fraction: 0.5,
    flags: [],
  },
  {
    name: 'too many are all flagged',
    params: { kind: 'target', max: 1 },
    map: mapOf([topic('a', { kind: 'target' }), topic('b', { kind: 'target' })]),
    status: 'partly',
    fraction: 0.5,
    flags: ['a', 'b'],
  },
  { name: 'none', params: { kind: 'own' }, map: mapOf([topic('a')]), status: 'unmet', fraction: 0, flags: [] },
]);

requirementTester('all-connected', assignmentOf(), [
  { name: 'one map', map: mapOf([topic('a'), topic('b')], [link('a', 'b')]), status: 'met', fraction: 1, flags: [] },
  {
    name: 'of two equal parts the earlier is kept',
    map: mapOf([topic('a'), topic('b')]),
    status: 'partly',
    fraction: 0.5,
    flags: ['b'],
  },
  {
    name: 'what stands beside the structure neither counts nor joins',
    map: mapOf(
      [topic('a'), topic('b'), topic('t', { kind: 'target' })],
      [link('t', 'a', { kind: 'shows' }), link('t', 'b', { kind: 'shows' })],
    ),
    status: 'partly',
    fraction: 0.5,
    flags: ['b'],
  },
  {
    name: 'a whole group apart',
    map: mapOf(
      [topic('a'), topic('b'), topic('c'), topic('d'), topic('e')],
      [link('a', 'b'), link('b', 'c'), link('d', 'e')],
    ),
    status: 'partly',
    fraction: 0.6,
    flags: ['d', 'e'],
  },
  { name: 'nothing structural', map: mapOf([topic('t', { kind: 'target' })]), status: 'unmet', fraction: 0, flags: [] },
]);

requirementTester('links-labelled', assignmentOf(), [
  { name: 'all', map: mapOf([topic('a'), topic('b')], [link('a', 'b')]), status: 'met', fraction: 1, flags: [] },
  {
    name: 'enough of them, the bare one flagged all the same',
    params: { minShare: 0.5 },
    map: mapOf([topic('a'), topic('b')], [link('a', 'b'), link('b', 'a', { phrase: ' ' })]),
    status: 'met',
    fraction: 1,
    flags: ['b-a'],
  },
  {
    name: 'half',
    map: mapOf([topic('a'), topic('b')], [link('a', 'b'), link('b', 'a', { phrase: '' })]),
    status: 'partly',
    fraction: 0.5,
    flags: ['b-a'],
  },
  { name: 'a share of nothing', map: mapOf([topic('a')]), status: 'unmet', fraction: 0, flags: [] },
]);

const square = [topic('a', at(0)), topic('b', at(2, 4)), topic('c', at(2)), topic('d', at(0, 4))];
requirementTester(
  'few-crossings',
  assignmentOf(),
  [
    { name: 'none', map: mapOf(square, [link('a', 'c'), link('b', 'd')]), status: 'met', fraction: 1, flags: [] },
    {
      name: 'as many as allowed',
      params: { max: 1 },
      map: mapOf(square, [link('a', 'b'), link('c', 'd')]),
      status: 'met',
      fraction: 1,
      flags: [],
    },
    {
      name: 'one too many',
      map: mapOf(square, [link('a', 'b'), link('c', 'd')]),
      status: 'partly',
      fraction: 0.5,
      flags: ['a-b', 'c-d'],
    },
    {
      name: 'links that share an end do not cross',
      map: mapOf(square, [link('a', 'b'), link('a', 'c')]),
      status: 'met',
      fraction: 1,
      flags: [],
    },
    {
      name: 'links of any kind do',
      map: mapOf(square, [link('a', 'b', { kind: 'shows', route: 'straight' }), link('c', 'd')]),
      status: 'partly',
      fraction: 0.5,
      flags: ['a-b', 'c-d'],
    },
  ],
  ['met', 'partly'],
);

requirementTester('no-overlaps', assignmentOf(), [
  { name: 'clear', map: mapOf([topic('a', at(0)), topic('b', at(1))]), status: 'met', fraction: 1, flags: [] },
  { name: 'side by side', map: mapOf([topic('a'), topic('b', { x: 100 })]), status: 'met', fraction: 1, flags: [] },
  {
    name: 'too close for the gap asked for',
    params: { gap: 10 },
    map: mapOf([topic('a'), topic('b', { x: 105 }), topic('c', at(5))]),
    status: 'partly',
    fraction: 1 / 3,
    flags: ['a', 'b'],
  },
  {
    name: 'one on the other',
    map: mapOf([topic('a'), topic('b', { x: 5 })]),
    status: 'unmet',
    fraction: 0,
    flags: ['a', 'b'],
  },
]);
