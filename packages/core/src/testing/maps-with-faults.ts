import fc from 'fast-check';
import { fitTopic } from '../geometry/fit.js';
import type { Assignment, Topic, TopicMap } from '../map/types.js';
import { requirementTypes } from '../requirements/registry.js';
import { link, mapOf, topic } from './make.js';
import { assignment as some, maps, need } from './random-maps.js';

/** Everything that can be asked, and maps that have something wrong with all of it. */

/** Parameters by which a type has something to say; of several, one is asked. */
const ASKED: Record<string, readonly Record<string, unknown>[]> = {
  'topic-count': [{ min: 8 }, { max: 3 }],
  'link-count': [{ min: 8 }, { max: 2 }],
  'kind-count': [
    { kind: 'own', min: 4 },
    { kind: 'part', min: 1, max: 2 },
  ],
  'short-topics': [{ maxWords: 1 }],
  'supporting-material': ['any', 'picture', 'weblink', 'note', 'file', 'source'].map((what) => ({
    what,
    minShare: 0.9,
  })),
  'note-length': [
    { per: 'topic', minWords: 3 },
    { per: 'branch', minWords: 0, maxWords: 6 },
  ],
  'blanks-filled': [{ answers: [{ origin: 's1', accept: ['Arch'] }] }],
  'links-per-topic': [{ min: 2 }, { min: 1, max: 2 }, { min: 1, direction: 'in', kinds: ['part'] }],
  'from-root': [{}, { follow: 'forward' }],
  'sits-under': [
    { kinds: ['part'], parents: ['own'] },
    { kinds: ['own'], parents: ['part', 'root'], direction: 'in' },
  ],
  depth: [{ min: 4 }, { max: 1 }],
  'main-branches': [{ min: 3 }, { max: 2 }],
  branching: [{ maxChildren: 2 }],
  'anchor-links': [{ kind: 'target', targets: ['part', 'own', 'root'], linkKind: 'shows' }],
  'allowed-links': [
    {
      pairs: [
        ['own', 'part'],
        ['part', 'part'],
        ['root', 'own'],
        ['root', 'part'],
      ],
    },
  ],
  'propositions-present': [
    { propositions: [{ from: 'Arch', to: 'Pier', phrases: ['pushes on'], direction: 'as-given' }] },
  ],
  'propositions-absent': [{ propositions: [{ from: 'Pier', to: 'Arch', phrases: [], direction: 'as-given' }] }],
  'link-style': [{ linkKind: 'shows', from: ['target'] }, { linkKind: 'shows' }],
  'fan-style': [{ minFan: 2 }, { minFan: 2, when: 'always' }],
  'precise-phrases': [{}, { minWords: 2, maxWords: 2 }],
  'cross-links': [{}, { min: 3 }],
  'clear-text': [{ excuseBehind: false }],
  'text-size': [{ min: 12 }],
  'short-links': [{ max: 200 }],
  'in-sequence': [{}, { axis: 'down' }],
  arrangement: [{ form: 'downward' }, { form: 'outward' }],
  'fits-paper': [{ minPoint: 9 }],
  'phrase-variety': [{ maxShare: 0.3 }],
};
/** Nothing is there for ideas of one's own. */
const allGiven = {
  ...some.legend,
  topicKinds: some.legend.topicKinds.map((kind) => ({ ...kind, givenBy: 'teacher' as const })),
};
/** Every type; `n` chooses its parameters and the style. */
export const askedFor = (n: number): Assignment => ({
  ...some,
  legend: n % 6 === 5 ? allGiven : some.legend,
  styleMode: n % 5 === 0 ? 'free' : 'guided',
  starter: mapOf(
    [
      topic('s1', { text: 'Arch', kind: 'part' }),
      topic('s2', { text: 'An arch carries by', kind: null, toComplete: true }),
      topic('s3', { text: 'Pier', kind: 'part' }),
    ],
    [link('s1', 's3')],
  ),
  reference: mapOf(
    [topic('r1', { text: 'Arch' }), topic('r2', { text: 'Pier' }), topic('r3', { text: 'Keystone' })],
    [link('r1', 'r2'), link('r1', 'r3')],
  ),
  requirements: requirementTypes().map(({ id }) => {
    const choices = ASKED[id] ?? [{}];
    return need(id, choices[n % choices.length]);
  }),
});

/** The same maps with a teacher's usual finds: vague words, plain lines, dark fills, small letters, long topics, a crowd. */
export const found = fc.tuple(maps, fc.nat(1000)).map(([map, n]): [TopicMap, number] => {
  const at = (i: number, every: number): boolean => (i + n) % every === 0;
  const wide = n % 3;
  const crowd = n % 4 === 1;
  return [
    {
      ...map,
      topics: map.topics
        .map((one, i): Topic => ({
          ...one,
          x: one.x * (1 + wide),
          y: one.y * (1 + wide),
          ...(at(i, 5) && { fill: '#223344' }),
          ...(at(i, 7) && { ink: '#dddddd' }),
          ...(at(i, 6) && { fontSize: 8 }),
          ...(at(i, 4) && { text: `${one.text} of stone` }),
          ...(at(i, 8) && { kind: 'target' }),
          ...(at(i, 9) && { origin: 's2', text: 'An arch carries by' }),
          ...(at(i, 11) && { origin: 's3' }),
          ...(at(i, 10) && { text: 'Keystoen' }),
          ...(at(i, 3) && { note: 'one two three four five six seven eight' }),
          ...(at(i, 2) && { sequence: (i * 7 + n) % 5 }),
          ...(crowd && i === 0 && { text: 'Bridge', kind: 'root', origin: undefined }),
        }))
        .map((one) => ({ ...one, ...fitTopic(one, some.legend) })),
      links: [
        ...map.links.map((one, i) => ({
          ...one,
          ...(at(i, 3) && { phrase: 'relates to' }),
          ...(at(i, 4) && { arrow: 'none' as const }),
          ...(at(i, 5) && { phrase: 'pushes on' }),
          ...(at(i, 6) && { kind: 'shows' }),
          ...(at(i, 7) && { colour: '#7a2e5d', width: 3 }),
          ...(at(i, 8) && { phrase: 'stone and then more of the same old stone below' }),
          ...(at(i, 9) && { phrase: 'grey stone' }),
        })),
        ...(crowd
          ? map.topics.slice(1).map(({ id }, i) => link(at(i, 3) && i > 2 ? 't1' : 't0', id, { id: `c${i}` }))
          : []
        ).filter(({ from, to }) => from !== to),
      ],
      tours: at(0, 3)
        ? [{ id: 'walk', title: 'Walk', stops: map.topics.slice(0, 1).map(({ id }) => ({ topic: id, words: '' })) }]
        : [],
    },
    n,
  ];
});

/** A heap of topics, each linked through all others, of which nobody could read every single meeting. */
const heap = mapOf(
  Array.from({ length: 24 }, (_, i) => topic(`h${i}`, { text: `Stone ${i}`, kind: 'own', x: (i % 5) * 9, y: i * 1.5 })),
  Array.from({ length: 24 }, (_, i) => link(`h${i}`, `h${(i + 11) % 24}`, { id: `k${i}`, phrase: 'lies on' })),
);
/** A ring, every topic of which is linked to the one across. */
const ring = mapOf(
  Array.from({ length: 24 }, (_, i) =>
    topic(`r${i}`, { kind: 'own', x: Math.cos((i * Math.PI) / 12) * 900, y: Math.sin((i * Math.PI) / 12) * 700 }),
  ),
  Array.from({ length: 24 }, (_, i) => link(`r${i}`, `r${(i + 11) % 24}`, { id: `k${i}` })),
);
/** Topics in one row, with links over those between. */
const row = mapOf(
  Array.from({ length: 20 }, (_, i) => topic(`o${i}`, { kind: 'own', x: i * 150 })),
  [3, 5, 7, 9].flatMap((far) =>
    Array.from({ length: 20 - far }, (_, i) => link(`o${i}`, `o${i + far}`, { id: `k${far}-${i}` })),
  ),
);
/** Two fans of one colour whose links cross. */
const fans = mapOf(
  ['a', 'b', 'a1', 'a2', 'b1', 'b2'].map((id, i) =>
    topic(id, { kind: 'own', x: i < 2 ? i * 600 : (i % 2) * 600 + (i < 4 ? 300 : 0), y: i < 2 ? 0 : 300 + i * 60 }),
  ),
  [link('a', 'a1'), link('a', 'b2'), link('b', 'b1'), link('b', 'a2')].map((one) => ({ ...one, width: 3 })),
);
/** What is wanted and what is not, each the wrong way. */
const turned = mapOf(
  [
    topic('p', { text: 'Pier', kind: 'part' }),
    topic('a', { text: 'Arch', kind: 'part', x: 300 }),
    topic('r', { text: 'rust', x: 600 }),
    topic('m', { text: 'moss', kind: 'own', x: 900 }),
  ],
  [link('p', 'a', { phrase: 'rests on' })],
);

/** Maps that chance hardly makes, each with what chooses what is asked of it. */
export const seldom: [TopicMap, number][] = [
  [heap, 0],
  [ring, 1],
  [row, 0],
  [fans, 0],
  [fans, 1],
  [turned, 3],
  [turned, 5],
];
