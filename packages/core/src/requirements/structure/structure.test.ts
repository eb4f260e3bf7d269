import { say } from '../../wording/say.js';
import { assignmentOf, link, mapOf, topic } from '../../testing/make.js';
import { checkMap } from '../../checking/check-map.js';
import { requirementTester } from '../../testing/requirement-tester.js';

/** A root with two branches, each with a leaf: a, b below the root; c below a, d below b. */
const root = topic('Bridge', { kind: 'root' });
const [a, b, c, d] = ['a', 'b', 'c', 'd'].map((id) => topic(id, { kind: 'part' })) as [
  ReturnType<typeof topic>,
  ReturnType<typeof topic>,
  ReturnType<typeof topic>,
  ReturnType<typeof topic>,
];
const tree = [link('Bridge', 'a'), link('Bridge', 'b'), link('a', 'c'), link('b', 'd')];
const topics = [root, a, b, c, d];
const rooted = assignmentOf({ root: 'Bridge' });

requirementTester('links-per-topic', rooted, [
  {
    name: 'an arrow the other way is named, and not counted',
    params: { min: 1, direction: 'in' },
    map: mapOf([topic('x'), topic('y')], [link('x', 'y')]),
    status: 'partly',
    fraction: 0.5,
    flags: ['x'],
  },
  {
    name: 'a tie beside the structure is named, and not counted',
    params: { min: 1 },
    map: mapOf([topic('x'), topic('y')], [link('x', 'y', { kind: 'shows' })]),
    status: 'unmet',
    fraction: 0,
    flags: ['x', 'y'],
  },
  { name: 'each has one', map: mapOf(topics, tree), status: 'met', fraction: 1, flags: [] },
  {
    name: 'leaves have too few',
    params: { min: 2 },
    map: mapOf(topics, tree),
    status: 'partly',
    fraction: 0.6,
    flags: ['c', 'd'],
  },
  {
    name: 'too many',
    params: { max: 1, kinds: ['part'] },
    map: mapOf(topics, tree),
    status: 'partly',
    fraction: 0.5,
    flags: ['a', 'b'],
  },
  {
    name: 'only what points at it counts',
    params: { direction: 'in', kinds: ['root'] },
    map: mapOf(topics, tree),
    status: 'unmet',
    fraction: 0,
    flags: ['Bridge'],
  },
]);

requirementTester('from-root', rooted, [
  { name: 'everything', map: mapOf(topics, tree), status: 'met', fraction: 1, flags: [] },
  { name: 'one apart', map: mapOf([...topics, topic('e')], tree), status: 'partly', fraction: 5 / 6, flags: ['e'] },
  {
    name: 'an arrow the wrong way',
    params: { follow: 'forward' },
    map: mapOf(topics, [...tree.slice(0, 3), link('d', 'b')]),
    status: 'partly',
    fraction: 0.8,
    flags: ['d'],
  },
  { name: 'no root flags nothing', map: mapOf([topic('x')]), status: 'unmet', fraction: 0, flags: [] },
]);

requirementTester('sits-under', rooted, [
  {
    name: 'a tie the other way is named, and not counted',
    params: { kinds: ['own'], parents: ['part'], direction: 'in' },
    map: mapOf([topic('x', { kind: 'own' }), topic('y', { kind: 'part' })], [link('x', 'y')]),
    status: 'unmet',
    fraction: 0,
    flags: ['x'],
  },
  {
    name: 'tied to a root',
    params: { kinds: ['part'], parents: ['root', 'part'] },
    map: mapOf(topics, tree),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'half of them',
    params: { kinds: ['part'], parents: ['root'] },
    map: mapOf(topics, tree),
    status: 'partly',
    fraction: 0.5,
    flags: ['c', 'd'],
  },
  {
    name: 'none',
    params: { kinds: ['part'], parents: ['own'] },
    map: mapOf(topics, tree),
    status: 'unmet',
    fraction: 0,
    flags: ['a', 'b', 'c', 'd'],
  },
]);

requirementTester('depth', rooted, [
  { name: 'no root', params: { min: 1 }, map: mapOf([topic('x')]), status: 'unmet', fraction: 0, flags: [] },
  { name: 'deep enough', params: { min: 2 }, map: mapOf(topics, tree), status: 'met', fraction: 1, flags: [] },
  { name: 'too shallow', params: { min: 4 }, map: mapOf(topics, tree), status: 'partly', fraction: 0.5, flags: [] },
  {
    name: 'too deep',
    params: { max: 1 },
    map: mapOf(topics, tree),
    status: 'partly',
    fraction: 0.5,
    flags: ['c', 'd'],
  },
  { name: 'a root alone is level 0', params: { min: 1 }, map: mapOf([root]), status: 'unmet', fraction: 0, flags: [] },
]);

requirementTester('main-branches', rooted, [
  {
    name: 'a topic that hangs on a link beside the structure is named, and not counted',
    params: { min: 1 },
    map: mapOf([topic('Bridge', { kind: 'root' }), topic('x')], [link('Bridge', 'x', { kind: 'shows' })]),
    status: 'unmet',
    fraction: 0,
    flags: [],
  },
  { name: 'no root', params: { min: 1 }, map: mapOf([topic('x')]), status: 'unmet', fraction: 0, flags: [] },
  { name: 'two', params: { min: 2, max: 3 }, map: mapOf(topics, tree), status: 'met', fraction: 1, flags: [] },
  { name: 'too few', params: { min: 4 }, map: mapOf(topics, tree), status: 'partly', fraction: 0.5, flags: [] },
  {
    name: 'too many',
    params: { max: 1 },
    map: mapOf(topics, tree),
    status: 'partly',
    fraction: 0.5,
    flags: ['a', 'b'],
  },
  { name: 'none', params: { min: 1 }, map: mapOf(topics), status: 'unmet', fraction: 0, flags: [] },
]);

requirementTester('branching', rooted, [
  { name: 'no root', map: mapOf([topic('x')]), status: 'unmet', fraction: 0, flags: [] },
  { name: 'light', map: mapOf(topics, tree), status: 'met', fraction: 1, flags: [] },
  {
    name: 'one heavy of three',
    params: { maxChildren: 1 },
    map: mapOf(topics, tree),
    status: 'partly',
    fraction: 2 / 3,
    flags: ['Bridge'],
  },
  { name: 'nothing hangs anywhere', map: mapOf([root]), status: 'unmet', fraction: 0, flags: [] },
]);

requirementTester('cross-links', rooted, [
  {
    name: 'one, explained and not flagged',
    map: mapOf(topics, [...tree, link('c', 'd')]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'without words it does not count',
    params: { min: 2 },
    map: mapOf(topics, [...tree, link('c', 'd'), link('d', 'c', { phrase: '' })]),
    status: 'partly',
    fraction: 0.5,
    flags: [],
  },
  {
    name: 'a second link to a branch counts: its topic keeps the home that the first one gave it',
    map: mapOf(topics, [...tree, link('a', 'd')]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'the order of the file decides which of two is the way home, so that one of them always counts',
    map: mapOf(topics, [link('a', 'd'), ...tree]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'within a branch is none',
    map: mapOf([...topics, topic('e')], [...tree, link('a', 'e'), link('e', 'c')]),
    status: 'unmet',
    fraction: 0,
    flags: [],
  },
  {
    name: 'with one branch there is nothing to tie',
    map: mapOf(topics, [link('Bridge', 'a'), link('a', 'c')]),
    status: 'unmet',
    fraction: 0,
    flags: [],
  },
  {
    name: 'without a starting topic there are no branches',
    assignment: assignmentOf(),
    map: mapOf([topic('a'), topic('b')], [link('a', 'b')]),
    status: 'unmet',
    fraction: 0,
    flags: [],
  },
]);

requirementTester(
  'no-cycles',
  rooted,
  [
    { name: 'none', map: mapOf(topics, tree), status: 'met', fraction: 1, flags: [] },
    {
      name: 'plain links make none',
      map: mapOf([a, b], [link('a', 'b', { arrow: 'none' }), link('b', 'a')]),
      status: 'met',
      fraction: 1,
      flags: [],
    },
    {
      name: 'round and round',
      map: mapOf([a, b, c], [link('a', 'b'), link('b', 'a'), link('b', 'c')]),
      status: 'unmet',
      fraction: 0,
      flags: ['a', 'b', 'a-b', 'b-a'],
    },
    {
      name: 'a long way round',
      map: mapOf(
        topics.slice(0, 5),
        topics.slice(0, 5).map(({ id }, i, all) => link(id, all[(i + 1) % 5]!.id)),
      ),
      status: 'unmet',
      fraction: 0,
    },
  ],
  ['met', 'unmet'],
);

requirementTester('forms-cycle', rooted, [
  {
    name: 'a topic of another kind in the circle is named',
    params: { kinds: ['part'], min: 2 },
    map: mapOf([topic('x', { kind: 'part' }), topic('y', { kind: 'own' })], [link('x', 'y'), link('y', 'x')]),
    status: 'partly',
    fraction: 0.5,
    flags: [],
  },
  {
    name: 'an arrow the wrong way round and a plain line are named',
    params: { min: 3 },
    map: mapOf(
      [topic('x'), topic('y'), topic('z')],
      [link('x', 'y'), link('y', 'z'), link('x', 'z'), link('z', 'y', { arrow: 'none' })],
    ),
    status: 'unmet',
    fraction: 0,
    flags: [],
  },
  {
    name: 'three round',
    map: mapOf([a, b, c], [link('a', 'b'), link('b', 'c'), link('c', 'a')]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'two of three',
    map: mapOf([a, b, c], [link('a', 'b'), link('b', 'a')]),
    status: 'partly',
    fraction: 2 / 3,
    flags: [],
  },
  { name: 'a chain', map: mapOf(topics, tree), status: 'unmet', fraction: 0, flags: [] },
]);

const t = topic('t', { kind: 'target' });
const u = topic('u', { kind: 'target' });
requirementTester('anchor-links', rooted, [
  {
    name: 'one line each',
    params: { kind: 'target', targets: ['part'], linkKind: 'shows' },
    map: mapOf([a, t], [link('t', 'a', { kind: 'shows' })]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'one has two',
    params: { kind: 'target' },
    map: mapOf([a, b, t, u], [link('t', 'a'), link('u', 'a'), link('u', 'b')]),
    status: 'partly',
    fraction: 0.5,
    flags: ['u'],
  },
  {
    name: 'to the wrong kind',
    params: { kind: 'target', targets: ['own'] },
    map: mapOf([a, t], [link('t', 'a', { kind: 'shows' })]),
    status: 'unmet',
    fraction: 0,
    flags: ['t'],
  },
  {
    name: 'of another kind',
    params: { kind: 'target', linkKind: 'shows' },
    map: mapOf([a, t], [link('t', 'a', { kind: 'says' })]),
    status: 'unmet',
    fraction: 0,
    flags: ['t'],
  },
]);

requirementTester('allowed-links', rooted, [
  {
    name: 'no links yet',
    params: { pairs: [['own', 'part']] },
    map: mapOf([topic('x')]),
    status: 'unmet',
    fraction: 0,
    flags: [],
  },
  {
    name: 'as allowed',
    params: {
      pairs: [
        ['root', 'part'],
        ['part', 'part'],
      ],
    },
    map: mapOf(topics, tree),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'half',
    params: { pairs: [['root', 'part']] },
    map: mapOf(topics, tree),
    status: 'partly',
    fraction: 0.5,
    flags: ['a-c', 'b-d'],
  },
  {
    name: 'the wrong way round',
    params: { pairs: [['part', 'root']] },
    map: mapOf([root, a], [link('Bridge', 'a')]),
    status: 'unmet',
    fraction: 0,
    flags: ['Bridge-a'],
  },
]);

requirementTester(
  'no-parallel-links',
  rooted,
  [
    { name: 'each once', map: mapOf(topics, tree), status: 'met', fraction: 1, flags: [] },
    { name: 'no links', map: mapOf([a]), status: 'met', fraction: 1, flags: [] },
    {
      name: 'there and back',
      map: mapOf([a, b], [link('a', 'b'), link('b', 'a')]),
      status: 'partly',
      fraction: 0.5,
      flags: ['a-b', 'b-a'],
    },
  ],
  ['met', 'partly'],
);

test('each tie that nearly counts says why it does not; links that only hang a topic below another are not spoken of', () => {
  const requirement = { id: 'r', type: 'cross-links', params: {}, level: 'must' as const, points: 1 };
  const said = (links: Parameters<typeof mapOf>[1]): string[] =>
    checkMap(mapOf(topics, links), { ...rooted, requirements: [requirement] }).results[0]!.evidence.map((piece) =>
      say('cross-links', piece),
    );
  expect(said(tree)).toEqual([]);
  expect(said([...tree, link('c', 'd', { phrase: '' })])).toEqual([
    'This one would count, but it has no words yet: c … d.',
  ]);
  expect(said([...tree, link('a', 'd')])).toEqual([
    'This one counts: a holds d.',
    'This one does not count: by it “d” hangs in the branch “b”. What ties it to another branch counts in its stead: a holds d.',
  ]);
  const deep = [link('Bridge', 'a'), link('Bridge', 'b'), link('a', 'c'), link('c', 'd'), link('b', 'd')];
  expect(said(deep)).toEqual([
    'This one counts: c holds d.',
    'This one does not count: by it “d” hangs in the branch “b”. What ties it to another branch counts in its stead: c holds d.',
  ]);
  expect(said([...tree, link('c', 'a', { id: 'back' })])).toEqual([
    'This one does not count: both of its ends belong to the branch “a”. c holds a.',
  ]);
});
