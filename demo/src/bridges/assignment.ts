import type { Assignment, Legend, Term, Topic, TopicMap } from '@ichnograph/core';
import { draw } from '../draw.js';

export const legend: Legend = {
  topicKinds: [
    {
      id: 'bridge',
      name: 'Bridge',
      purpose: 'What the map is about',
      givenBy: 'teacher',
      shape: 'capsule',
      fill: '#cfe0dc',
      outline: '#2f5d55',
      root: true,
    },
    {
      id: 'part',
      name: 'Part',
      purpose: 'A part that a bridge is made of',
      givenBy: 'teacher',
      shape: 'rectangle',
      fill: '#d7e7ec',
      outline: '#35596a',
    },
    {
      id: 'force',
      name: 'Force',
      purpose: 'A load or a force',
      givenBy: 'teacher',
      shape: 'trapezoid',
      fill: '#e3ddf2',
      outline: '#5a4b86',
    },
    {
      id: 'family',
      name: 'Family',
      purpose: 'A heading of your own that gathers others',
      givenBy: 'student',
      shape: 'parallelogram',
      fill: '#f6dcd2',
      outline: '#9a5138',
    },
    {
      id: 'seen',
      name: 'Seen outside',
      purpose: 'An example of your own, with where you saw it',
      givenBy: 'student',
      shape: 'note',
      fill: '#ebe7d6',
      outline: '#7a6c3a',
    },
    {
      id: 'target',
      name: 'Target',
      purpose: 'What you can do when you are done',
      givenBy: 'teacher',
      shape: 'signpost',
      fill: '#ffffff',
      outline: '#7a2e5d',
      structural: false,
    },
  ],
  linkKinds: [
    { id: 'says', name: 'says', colour: '#4a5260', width: 1.5 },
    { id: 'shows', name: 'shows', route: 'elbow', dash: 'dashed', width: 3.5, colour: '#7a2e5d', structural: false },
  ],
};

export const TARGETS = [
  'Trace a load to the ground',
  'Tell pushing from pulling',
  'Choose a bridge for a site',
] as const;
const IN_STARTER = ['Beam', 'Arch', 'Cable', 'Deck', 'Pier', 'Live load', 'Compression', 'Tension'];

const term =
  (kind: string) =>
  (text: string): Term => ({
    text,
    kind,
    place: IN_STARTER.includes(text) ? 'map' : 'bank',
    ...(ACCEPT[text] && { accept: ACCEPT[text] }),
  });
const ACCEPT: Record<string, string[]> = {
  Deck: ['roadway'],
  Foundation: ['footing'],
  Compression: ['squeezing'],
  Tension: ['stretching'],
  Torsion: ['twisting'],
  'Live load': ['moving load'],
  'Dead load': ['own weight'],
  Anchorage: ['anchor block'],
};

const terms: Term[] = [
  ...[
    'Beam',
    'Arch',
    'Cable',
    'Truss',
    'Deck',
    'Pier',
    'Tower',
    'Abutment',
    'Anchorage',
    'Foundation',
    'Keystone',
    'Expansion joint',
    'Span',
    'Bearing',
  ].map(term('part')),
  ...['Dead load', 'Live load', 'Wind load', 'Compression', 'Tension', 'Shear', 'Bending', 'Torsion', 'Resonance'].map(
    term('force'),
  ),
];

const starter: TopicMap = draw(
  legend,
  '',
  [
    ['bridge', 'Bridge', 'bridge', 0, 0],
    ['beam', 'Beam', 'part', -240, 110],
    ['arch', 'Arch', 'part', -120, 110],
    ['cable', 'Cable', 'part', 0, 110],
    ['deck', 'Deck', 'part', 120, 110],
    ['pier', 'Pier', 'part', 240, 110],
    ['live', 'Live load', 'force', -150, 190],
    ['compression', 'Compression', 'force', 0, 190],
    ['tension', 'Tension', 'force', 150, 190],
    ['trace', TARGETS[0], 'target', -230, 290],
    ['tell', TARGETS[1], 'target', 0, 290],
    ['choose', TARGETS[2], 'target', 230, 290],
  ],
  [],
);

const reference: TopicMap = draw(
  legend,
  'How a bridge hands its loads down',
  [
    ['bridge', 'Bridge', 'bridge', 0, 0],
    ['loads', 'Loads', 'family', -350, 110],
    ['span', 'Span', 'part', -90, 110],
    ['shapes', 'Shapes', 'family', 230, 110],
    ['dead', 'Dead load', 'force', -485, 220],
    ['wind', 'Wind load', 'force', -355, 220],
    ['live', 'Live load', 'force', -230, 220],
    ['deck', 'Deck', 'part', -70, 220],
    ['beam', 'Beam', 'part', 70, 220],
    ['truss', 'Truss', 'part', 180, 220],
    ['arch', 'Arch', 'part', 290, 220],
    ['cable', 'Cable', 'part', 430, 220],
    ['tower', 'Tower', 'part', 680, 300],
    ['torsion', 'Torsion', 'force', -490, 330],
    ['resonance', 'Resonance', 'force', -380, 440],
    ['plough', 'snow plough on Mill Lane', 'seen', -240, 335],
    ['joint', 'Expansion joint', 'part', -140, 440],
    ['bearing', 'Bearing', 'part', -30, 330],
    ['bending', 'Bending', 'force', 50, 440],
    ['shear', 'Shear', 'force', 125, 330],
    ['compression', 'Compression', 'force', 210, 440],
    ['keystone', 'Keystone', 'part', 375, 330],
    ['tension', 'Tension', 'force', 425, 440],
    ['pier', 'Pier', 'part', -30, 590],
    ['abutment', 'Abutment', 'part', 305, 540],
    ['anchorage', 'Anchorage', 'part', 560, 440],
    ['foundation', 'Foundation', 'part', 560, 640],
    ['trace', TARGETS[0], 'target', 330, 705],
    ['tell', TARGETS[1], 'target', 140, 540],
    ['choose', TARGETS[2], 'target', 500, 40],
  ],
  [
    ['bridge', 'has to carry', 'loads'],
    ['bridge', 'crosses a gap with a', 'span'],
    ['bridge', 'takes one of several', 'shapes'],
    ['loads', 'lie still as', 'dead', { phraseAt: 0.6 }],
    ['loads', 'blow as', 'wind', { phraseAt: 0.35 }],
    ['loads', 'come and go as', 'live', { phraseAt: 0.68 }],
    ['wind', 'twists by', 'torsion'],
    ['wind', 'can start', 'resonance'],
    ['plough', 'adds to', 'live'],
    ['live', 'presses on', 'deck'],
    ['span', 'is crossed on a', 'deck'],
    ['deck', 'stretches at an', 'joint', { phraseAt: 0.78 }],
    ['deck', 'sits on a', 'bearing'],
    ['bearing', 'hands loads to a', 'pier', { phraseAt: 0.72 }],
    ['pier', 'stands on a', 'foundation', { phraseAt: 0.2 }],
    ['shapes', 'lie flat as a', 'beam', { phraseAt: 0.68 }],
    ['shapes', 'join up in a', 'truss', { phraseAt: 0.34 }],
    ['shapes', 'rise as an', 'arch', { phraseAt: 0.7 }],
    ['shapes', 'hang from a', 'cable'],
    ['beam', 'sags by', 'bending', { phraseAt: 0.44 }],
    ['beam', 'can fail by', 'shear'],
    ['truss', 'spreads', 'compression'],
    ['arch', 'works by', 'compression'],
    ['arch', 'is locked by a', 'keystone'],
    ['arch', 'pushes outward on', 'abutment'],
    ['cable', 'works by', 'tension', { phraseAt: 0.72 }],
    ['cable', 'hangs over a', 'tower'],
    ['cable', 'pulls on an', 'anchorage'],
    ['abutment', 'leans into a', 'foundation'],
    ['anchorage', 'is buried in a', 'foundation', { phraseAt: 0.4 }],
    ['tower', 'presses down on a', 'foundation', { phraseAt: 0.3 }],
    ['trace', '', 'foundation', { kind: 'shows' }],
    ['tell', '', 'compression', { kind: 'shows' }],
    ['choose', '', 'shapes', { kind: 'shows' }],
  ],
);

const BRIEF = `Show how a load on a bridge reaches the ground.

1. Put **every term** on your map, each where it belongs. Eight are there already; the others wait in the word bank.
2. Say in a few words on **each link** how the two belong together. Read it aloud along the arrow: is it true?
3. Gather what belongs together under **two to five families** of your own.
4. Add at least one thing you have **seen outside**.
5. Tie each **target** with one dashed line to the topic that shows it best.

Leave room between topics, so that somebody else can read your map.`;

/** Assignment 1 of the made-up school. */
/** The reference was drawn on from the starter: what was given in it remembers that. */
const asGiven = (topic: Topic): Topic =>
  starter.topics.some(({ id, text }) => id === topic.id && text === topic.text)
    ? { ...topic, origin: topic.id }
    : topic;

export const bridges: Assignment = {
  title: 'How bridges carry loads',
  focusQuestion: 'How does a load on a bridge reach the ground?',
  brief: BRIEF,
  language: 'en',
  styleMode: 'guided',
  legend,
  terms,
  root: 'Bridge',
  starter,
  reference: { ...reference, author: 'Maren Oyelaran', topics: reference.topics.map(asGiven) },
  requirements: [
    { id: 'r1', type: 'all-terms-present', params: {}, level: 'must', points: 6 },
    { id: 'r2', type: 'terms-unchanged', params: {}, level: 'must', points: 2 },
    { id: 'r3', type: 'right-kind', params: {}, level: 'must', points: 3 },
    { id: 'r4', type: 'kind-count', params: { kind: 'family', min: 2, max: 5 }, level: 'should', points: 2 },
    { id: 'r5', type: 'kind-count', params: { kind: 'seen' }, level: 'should', points: 2 },
    { id: 'r6', type: 'all-connected', params: {}, level: 'must', points: 4 },
    { id: 'r7', type: 'main-branches', params: { min: 2, max: 5 }, level: 'should', points: 2 },
    { id: 'r8', type: 'cross-links', params: { min: 2 }, level: 'should', points: 3 },
    {
      id: 'r9',
      type: 'anchor-links',
      params: { kind: 'target', linkKind: 'shows' },
      level: 'should',
      points: 2,
      hint: 'Choose the dashed link from the legend, and draw one from each target.',
    },
    { id: 'r10', type: 'links-labelled', params: {}, level: 'must', points: 4 },
    {
      id: 'r11',
      type: 'propositions-present',
      params: {
        propositions: [
          { from: 'Arch', to: 'Compression' },
          { from: 'Cable', to: 'Tension' },
          { from: 'Pier', to: 'Foundation' },
        ],
        min: 2,
      },
      level: 'must',
      points: 3,
      hint: 'What does a load do inside an arch, and inside a cable?',
    },
    { id: 'r12', type: 'precise-phrases', params: {}, level: 'should', points: 3 },
    { id: 'r13', type: 'kind-style', params: {}, level: 'should', points: 2 },
    { id: 'r14', type: 'few-crossings', params: { max: 2 }, level: 'should', points: 2 },
    { id: 'r15', type: 'no-overlaps', params: {}, level: 'should', points: 2 },
    { id: 'r16', type: 'map-details', params: { needs: ['title', 'author'] }, level: 'extra', points: 1 },
  ],
  criteria: [
    {
      id: 'c1',
      name: 'Understanding of forces',
      levels: [
        { name: 'names', points: 0, description: 'Forces are named but not tied to parts.' },
        { name: 'lists', points: 2, description: 'Forces stand beside the parts they act on.' },
        { name: 'relates', points: 4, description: 'Most links say what a force does to a part.' },
        { name: 'explains', points: 6, description: 'One can follow a load from where it acts down to the ground.' },
      ],
    },
    {
      id: 'c2',
      name: 'Precision of sentences',
      levels: [
        { name: 'vague', points: 0, description: 'Most links could join any two topics.' },
        { name: 'mixed', points: 2, description: 'Some sentences could be wrong, and are not.' },
        { name: 'sharp', points: 4, description: 'Each sentence says one thing and says it exactly.' },
      ],
    },
  ],
};
