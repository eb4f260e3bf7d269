import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { requirementTester } from '../testing/requirement-tester.js';

const guided = assignmentOf({ root: 'Bridge' });
const part = (id: string, more = {}) => topic(id, { kind: 'part', ...more });

requirementTester('kind-style', guided, [
  { name: 'as their kind', map: mapOf([part('a'), topic('x')]), status: 'met', fraction: 1, flags: [] },
  {
    name: 'a fill near enough, and a shape that is not',
    map: mapOf([part('a', { fill: '#d8e7ec' }), part('b', { shape: 'ellipse' })]),
    status: 'partly',
    fraction: 0.5,
    flags: ['b'],
  },
  {
    name: 'another fill',
    params: { shape: false },
    map: mapOf([part('a', { fill: '#223344' })]),
    status: 'unmet',
    fraction: 0,
    flags: ['a'],
  },
  {
    name: 'another outline, where that is asked for',
    params: { outline: true },
    map: mapOf([part('a', { outline: '#ffffff' })]),
    status: 'unmet',
    fraction: 0,
    flags: ['a'],
  },
  {
    name: 'free style: like no kind',
    assignment: assignmentOf({ styleMode: 'free' }),
    map: mapOf([topic('a', { shape: 'diamond' })]),
    status: 'unmet',
    fraction: 0,
    flags: ['a'],
  },
  {
    name: 'free style: no kind is given by students',
    assignment: assignmentOf({ styleMode: 'free', legend: { topicKinds: [], linkKinds: [] } }),
    map: mapOf([topic('a')]),
    status: 'unmet',
    fraction: 0,
    flags: ['a'],
  },
]);

const shows = (id: string, more = {}) => link('t', id, { kind: 'shows', ...more });
requirementTester('link-style', guided, [
  {
    name: 'as its kind',
    params: { linkKind: 'shows' },
    map: mapOf([topic('t'), part('a')], [shows('a')]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'one thin, one wider than asked',
    params: { linkKind: 'shows' },
    map: mapOf([topic('t'), part('a'), part('b')], [shows('a', { width: 1 }), shows('b', { width: 5 })]),
    status: 'partly',
    fraction: 0.5,
    flags: ['t-a'],
  },
  {
    name: 'arrows that the kind does not have',
    params: { linkKind: 'shows' },
    assignment: assignmentOf({
      legend: { topicKinds: [], linkKinds: [{ id: 'shows', name: 'shows', arrow: 'forward' }] },
    }),
    map: mapOf([topic('t'), part('a')], [shows('a', { arrow: 'both' })]),
    status: 'unmet',
    fraction: 0,
    flags: ['t-a'],
  },
  {
    name: 'by the ends',
    params: { linkKind: 'shows', to: ['part'] },
    map: mapOf([topic('t'), part('a')], [link('t', 'a')]),
    status: 'unmet',
    fraction: 0,
    flags: ['t-a'],
  },
]);

const fan = (looks: object, other: object = {}) =>
  mapOf(
    [
      topic('h', { x: 0, y: 0 }),
      topic('a', { x: 400, y: -200 }),
      topic('b', { x: 400, y: 0 }),
      topic('c', { x: 400, y: 200 }),
      topic('p', { x: 200, y: -300 }),
      topic('q', { x: 200, y: 300 }),
    ],
    [...['a', 'b', 'c'].map((id) => link('h', id, looks)), link('p', 'q', other)],
  );
requirementTester(
  'fan-style',
  guided,
  [
    {
      name: 'several colours',
      params: { when: 'always', minFan: 2 },
      map: mapOf(
        [topic('a'), topic('b', { x: 200 }), topic('c', { y: 200 })],
        [link('a', 'b', { width: 3, colour: '#aa0000' }), link('a', 'c', { width: 3, colour: '#0000aa' })],
      ),
      status: 'unmet',
      fraction: 0,
      flags: ['a-b', 'a-c'],
    },
    {
      name: 'two that cross and look alike',
      params: { minFan: 2 },
      map: mapOf(
        [
          topic('a'),
          topic('b', { x: 400, y: 400 }),
          topic('c', { x: 400 }),
          topic('d', { y: 400 }),
          topic('e', { x: -300 }),
          topic('f', { x: 700 }),
        ],
        [
          ['a', 'b'],
          ['a', 'e'],
          ['c', 'd'],
          ['c', 'f'],
        ].map(([from, to]) => link(from!, to!, { width: 3 })),
      ),
      status: 'unmet',
      fraction: 0,
      flags: ['a-b', 'a-e', 'c-d', 'c-f'],
    },
    { name: 'one wide colour', map: fan({ colour: '#123456', width: 3 }), status: 'met', fraction: 1, flags: [] },
    { name: 'thin', map: fan({ width: 1 }), status: 'unmet', fraction: 0, flags: ['h-a', 'h-b', 'h-c'] },
    { name: 'no busy topic', params: { minFan: 4 }, map: fan({ width: 1 }), status: 'met', fraction: 1, flags: [] },
  ],
  ['met', 'unmet'],
);

requirementTester('ink-contrast', guided, [
  { name: 'dark on pale', map: mapOf([part('a')]), status: 'met', fraction: 1, flags: [] },
  {
    name: 'one faint',
    map: mapOf([part('a'), part('b', { ink: '#c0c0c0' })]),
    status: 'partly',
    fraction: 0.5,
    flags: ['b'],
  },
  {
    name: 'all faint, no fill being white',
    map: mapOf([topic('a', { fill: 'none', ink: '#dddddd' })]),
    status: 'unmet',
    fraction: 0,
    flags: ['a'],
  },
]);
requirementTester('pale-fills', guided, [
  {
    name: 'pale, or none',
    map: mapOf([part('a'), topic('b', { fill: 'none' })]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'one dark',
    map: mapOf([part('a'), part('b', { fill: '#223344' })]),
    status: 'partly',
    fraction: 0.5,
    flags: ['b'],
  },
  { name: 'dark', map: mapOf([part('b', { fill: '#223344' })]), status: 'unmet', fraction: 0, flags: ['b'] },
]);
requirementTester('text-size', guided, [
  { name: 'large enough', map: mapOf([part('a')]), status: 'met', fraction: 1, flags: [] },
  {
    name: 'one small',
    map: mapOf([part('a'), part('b', { fontSize: 9 })]),
    status: 'partly',
    fraction: 0.5,
    flags: ['b'],
  },
  { name: 'all small', params: { min: 20 }, map: mapOf([part('a')]), status: 'unmet', fraction: 0, flags: ['a'] },
]);

const branches = (fills: [string, string, string]) =>
  mapOf(
    [
      topic('Bridge', { kind: 'root' }),
      topic('a', { fill: fills[0] }),
      topic('b', { fill: fills[1] }),
      topic('c', { fill: fills[2] }),
    ],
    [link('Bridge', 'a'), link('Bridge', 'b'), link('a', 'c')],
  );
requirementTester('branch-colours', guided, [
  { name: 'no root', map: mapOf([topic('x')]), status: 'unmet', fraction: 0, flags: [] },
  {
    name: 'kept and told apart',
    map: branches(['#ffdddd', '#ddddff', '#ffdedd']),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'a leaf off its branch',
    map: branches(['#ffdddd', '#ddddff', '#ddffdd']),
    status: 'partly',
    fraction: 0.5,
    flags: ['c'],
  },
  {
    name: 'two alike',
    map: branches(['#ffdddd', '#ffdddd', '#ffdddd']),
    status: 'unmet',
    fraction: 0,
    flags: ['a', 'b'],
  },
]);

const row = (...xs: number[]) => xs.map((x, i) => topic(`t${i}`, { x, y: 0 }));
requirementTester('clear-text', guided, [
  { name: 'clear', map: mapOf(row(0, 300), [link('t0', 't1')]), status: 'met', fraction: 1, flags: [] },
  {
    name: 'behind a filled topic is excused',
    map: mapOf(row(0, 600, 300), [link('t0', 't1')]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'one of two, over an unfilled one',
    map: mapOf(
      [...row(0, 600), topic('m', { x: 300, fill: 'none' }), topic('f', { x: 0, y: 300 })],
      [link('t0', 't1'), link('t0', 'f')],
    ),
    status: 'partly',
    fraction: 0.5,
    flags: ['t0-t1', 'm'],
  },
  {
    name: 'not even behind',
    params: { excuseBehind: false },
    map: mapOf(row(0, 600, 300), [link('t0', 't1')]),
    status: 'unmet',
    fraction: 0,
    flags: ['t0-t1', 't2'],
  },
]);

requirementTester('clear-phrases', guided, [
  { name: 'no words yet', map: mapOf([topic('x')]), status: 'met', fraction: 1, flags: [] },
  { name: 'clear', map: mapOf(row(0, 400), [link('t0', 't1')]), status: 'met', fraction: 1, flags: [] },
  {
    name: 'on a topic, the other clear',
    map: mapOf(
      [...row(0, 400), topic('m', { x: 200 }), topic('f', { x: 0, y: 300 })],
      [link('t0', 't1'), link('t0', 'f')],
    ),
    status: 'partly',
    fraction: 0.5,
    flags: ['t0-t1', 'm'],
  },
  {
    name: 'on each other',
    map: mapOf(row(0, 400), [link('t0', 't1'), link('t1', 't0')]),
    status: 'unmet',
    fraction: 0,
    flags: ['t0-t1', 't1-t0'],
  },
]);

requirementTester('short-links', guided, [
  { name: 'short', map: mapOf(row(0, 400), [link('t0', 't1')]), status: 'met', fraction: 1, flags: [] },
  {
    name: 'one long',
    map: mapOf(row(0, 400, 900), [link('t0', 't1'), link('t1', 't2')]),
    status: 'partly',
    fraction: 0.5,
    flags: ['t1-t2'],
  },
  { name: 'no links', map: mapOf(row(0)), status: 'unmet', fraction: 0, flags: [] },
]);

const years = (...places: [number, number, number][]) =>
  mapOf(places.map(([x, y, sequence], i) => topic(`t${i}`, { x, y, sequence })));
requirementTester('in-sequence', guided, [
  { name: 'none yet', map: mapOf([topic('x')]), status: 'unmet', fraction: 0, flags: [] },
  {
    name: 'rightward',
    map: years([0, 0, 1900], [200, 0, 1950], [400, -50, 2000]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'one step back',
    params: { axis: 'right' },
    map: years([0, 0, 1], [200, 0, 2], [100, 90, 3]),
    status: 'partly',
    fraction: 0.5,
    flags: ['t1', 't2'],
  },
  { name: 'all back', map: years([200, 0, 1], [0, -50, 2]), status: 'unmet', fraction: 0, flags: ['t0', 't1'] },
  {
    name: 'up instead of down',
    params: { axis: 'down' },
    map: years([0, 50, 1], [200, 0, 2]),
    status: 'unmet',
    fraction: 0,
    flags: ['t0', 't1'],
  },
]);

const placed = (y: number) =>
  mapOf(
    [topic('Bridge', { kind: 'root' }), topic('a', { x: 0, y: 100 }), topic('b', { x: 0, y })],
    [link('Bridge', 'a'), link('a', 'b')],
  );
requirementTester('arrangement', guided, [
  {
    name: 'nearer to the root than what it hangs from',
    params: { form: 'outward' },
    assignment: assignmentOf({ root: 'Bridge' }),
    map: mapOf(
      [topic('Bridge'), topic('a', { x: 300 }), topic('b', { x: 100 })],
      [link('Bridge', 'a'), link('a', 'b')],
    ),
    status: 'partly',
    fraction: 0.5 / 0.8,
    flags: ['a-b'],
  },
  { name: 'no root', map: mapOf([topic('x')]), status: 'unmet', fraction: 0, flags: [] },
  { name: 'downward', map: placed(200), status: 'met', fraction: 1, flags: [] },
  {
    name: 'one step up',
    params: { form: 'downward' },
    map: placed(-300),
    status: 'partly',
    fraction: 0.5 / 0.8,
    flags: ['a-b'],
  },
  { name: 'no steps', map: mapOf([topic('Bridge', { kind: 'root' })]), status: 'unmet', fraction: 0, flags: [] },
]);

requirementTester(
  'fits-paper',
  guided,
  [
    { name: 'small enough', map: mapOf(row(0, 300)), status: 'met', fraction: 1, flags: [] },
    {
      name: 'too wide for a landscape sheet',
      map: mapOf(row(0, 5000)),
      status: 'partly',
      fraction: ((277 / (25.4 / 96) / 5140) * 14 * 0.75) / 7,
      flags: ['t0', 't1'],
    },
  ],
  ['met', 'partly'],
);

const titled = (title: string, author: string) => ({ ...mapOf([topic('a')]), title, author, focusQuestion: author });
requirementTester('map-details', guided, [
  { name: 'filled in', map: titled('T', 'A'), status: 'met', fraction: 1, flags: [] },
  { name: 'a third', map: titled('T', ' '), status: 'partly', fraction: 1 / 3, flags: [] },
  {
    name: 'only what is asked for',
    params: { needs: ['author'] },
    map: titled('T', ''),
    status: 'unmet',
    fraction: 0,
    flags: [],
  },
]);

const toured = (...stops: string[]) => ({
  ...mapOf([topic('a'), topic('b')]),
  tours: [{ id: 'x', title: '', stops: stops.map((id) => ({ topic: id, words: '' })) }],
});
requirementTester('tour', guided, [
  { name: 'three stops', map: toured('a', 'b', 'a'), status: 'met', fraction: 1, flags: [] },
  { name: 'one of them gone', map: toured('a', 'b', 'gone'), status: 'partly', fraction: 2 / 3, flags: [] },
  { name: 'no tour', map: mapOf([topic('a')]), status: 'unmet', fraction: 0, flags: [] },
]);
