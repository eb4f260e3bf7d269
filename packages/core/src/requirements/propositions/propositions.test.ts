import { assignmentOf, link, mapOf, topic } from '../../testing/make.js';
import { requirementTester } from '../../testing/requirement-tester.js';

const [arch, pier, deck] = ['Arch', 'Pier', 'Deck'].map((id) => topic(id)) as [
  ReturnType<typeof topic>,
  ReturnType<typeof topic>,
  ReturnType<typeof topic>,
];
const said = (phrase: string, more = {}) => link('Arch', 'Pier', { phrase, ...more });
const pair = (phrase: string, more = {}) => mapOf([arch, pier], [said(phrase, more)]);

requirementTester('arrowed-links', assignmentOf(), [
  { name: 'none yet', map: mapOf([topic('x')]), status: 'unmet', fraction: 0, flags: [] },
  { name: 'arrowed', map: pair('holds'), status: 'met', fraction: 1, flags: [] },
  {
    name: 'one both ways',
    map: mapOf([arch, pier], [said('holds'), link('Pier', 'Arch', { arrow: 'both' })]),
    status: 'partly',
    fraction: 0.5,
    flags: ['Pier-Arch'],
  },
  { name: 'plain', map: pair('holds', { arrow: 'none' }), status: 'unmet', fraction: 0, flags: ['Arch-Pier'] },
]);

requirementTester('precise-phrases', assignmentOf(), [
  { name: 'says something', map: pair('pushes outward on'), status: 'met', fraction: 1, flags: [] },
  {
    name: 'vague',
    map: mapOf([arch, pier], [said('pushes on'), link('Pier', 'Arch', { phrase: 'Is related to' })]),
    status: 'partly',
    fraction: 0.5,
    flags: ['Pier-Arch'],
  },
  { name: 'no verb', map: pair('in the middle of'), status: 'unmet', fraction: 0, flags: ['Arch-Pier'] },
  {
    name: 'too short and too long',
    params: { minWords: 3, maxWords: 4 },
    map: mapOf([arch, pier], [said('holds'), link('Pier', 'Arch', { phrase: 'is what carries and holds the' })]),
    status: 'unmet',
    fraction: 0,
    flags: ['Arch-Pier', 'Pier-Arch'],
  },
  {
    name: 'another language looks at no verbs',
    assignment: assignmentOf({ language: 'de' }),
    map: pair('in der Mitte von'),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'a list of the teacher’s own',
    params: { vague: ['pushes on'] },
    map: pair('Pushes on!'),
    status: 'unmet',
    fraction: 0,
    flags: ['Arch-Pier'],
  },
  { name: 'no words yet', map: pair(''), status: 'unmet', fraction: 0, flags: [] },
]);

const five = (phrases: string[]) =>
  mapOf(
    ['x0', 'x1', 'x2', 'x3', 'x4', 'x5'].map((id) => topic(id)),
    phrases.map((phrase, i) => link('x0', `x${i + 1}`, { phrase })),
  );
requirementTester('phrase-variety', assignmentOf(), [
  { name: 'fewer than five', map: five(['has', 'has', 'has', 'has']), status: 'met', fraction: 1, flags: [] },
  { name: 'varied', map: five(['has', 'has', 'bears', 'pulls', 'rests on']), status: 'met', fraction: 1, flags: [] },
  {
    name: 'three of five, by their folded form',
    map: five(['holds', 'hold', 'Holds!', 'pulls', 'bears']),
    status: 'partly',
    fraction: 0.4 / 0.6,
    flags: ['x0-x1', 'x0-x2', 'x0-x3'],
  },
  {
    name: 'all the same',
    map: five(['has', 'has', 'has', 'has', 'has']),
    status: 'unmet',
    fraction: 0,
    flags: ['x0-x1', 'x0-x2', 'x0-x3', 'x0-x4', 'x0-x5'],
  },
]);

const wanted = {
  propositions: [
    { from: 'Arch', to: 'Pier', phrases: ['pushes on'] },
    { from: 'Deck', to: 'Pier' },
  ],
};
requirementTester(
  'propositions-present',
  assignmentOf(),
  [
    {
      name: 'both, one by its folded words',
      params: wanted,
      map: mapOf([arch, pier, deck], [said('pushed hard on'), link('Deck', 'Pier')]),
      status: 'met',
      fraction: 1,
      flags: [],
    },
    {
      name: 'other words are for a person to judge',
      params: wanted,
      map: mapOf([arch, pier, deck], [said('holds'), link('Deck', 'Pier')]),
      status: 'judge',
      fraction: 0.75,
      flags: ['Arch-Pier'],
    },
    {
      name: 'the wrong way round, and one missing',
      params: wanted,
      map: mapOf([arch, pier, deck], [link('Pier', 'Arch', { phrase: 'pushes on' })]),
      status: 'unmet',
      fraction: 0,
      flags: ['Pier-Arch', 'Deck → Pier'],
    },
    {
      name: 'either way, and as many as asked',
      params: { ...wanted, min: 1 },
      map: mapOf([arch, pier, deck], [link('Deck', 'Pier')]),
      status: 'met',
      fraction: 1,
      flags: ['Arch → Pier'],
    },
    {
      name: 'one of two',
      params: wanted,
      map: mapOf([arch, pier, deck], [link('Deck', 'Pier')]),
      status: 'partly',
      fraction: 0.5,
      flags: ['Arch → Pier'],
    },
  ],
  ['met', 'partly', 'unmet', 'judge'],
);

requirementTester('propositions-absent', assignmentOf(), [
  {
    name: 'none said',
    params: wanted,
    map: mapOf([arch, pier, deck], [said('holds')]),
    status: 'met',
    fraction: 1,
    flags: [],
  },
  {
    name: 'one said',
    params: wanted,
    map: mapOf([arch, pier, deck], [said('pushes on')]),
    status: 'partly',
    fraction: 0.5,
    flags: ['Arch-Pier'],
  },
  {
    name: 'all said',
    params: wanted,
    map: mapOf([arch, pier, deck], [said('pushes on'), link('Deck', 'Pier')]),
    status: 'unmet',
    fraction: 0,
    flags: ['Arch-Pier', 'Deck-Pier'],
  },
]);

const reference = mapOf(
  [topic('r1', { text: 'Arch' }), topic('r2', { text: 'Pier' }), topic('r3', { text: 'Deck' })],
  [link('r1', 'r2'), link('r3', 'r2')],
);
requirementTester(
  'like-reference',
  assignmentOf({ reference }),
  [
    {
      name: 'tied alike',
      map: mapOf([arch, pier, deck], [said('holds'), link('Deck', 'Pier')]),
      status: 'met',
      fraction: 1,
      flags: [],
    },
    {
      name: 'half',
      map: mapOf([arch, pier, deck], [said('holds')]),
      status: 'partly',
      fraction: 0.5 / 0.6,
      flags: ['Deck'],
    },
    {
      name: 'one missing, the others loose',
      map: mapOf([arch, pier]),
      status: 'unmet',
      fraction: 0,
      flags: ['Arch', 'Pier', 'Deck'],
    },
    {
      name: 'one alone, nothing of what it belongs with in the structure',
      map: mapOf([pier, { ...arch, kind: 'target' }, { ...deck, kind: 'target' }]),
      status: 'unmet',
      fraction: 0,
      flags: ['Arch', 'Pier', 'Deck'],
    },
    { name: 'no reference', assignment: assignmentOf(), map: mapOf([arch]), status: 'not-applicable', fraction: null },
  ],
  ['met', 'partly', 'unmet', 'not-applicable'],
);
