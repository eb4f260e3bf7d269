import type { Assignment, Legend, Requirement } from '../../map/types.js';
import { bridges, bridgesMap } from '../../testing/bridges.js';
import { assignmentOf, link, mapOf, topic } from '../../testing/make.js';
import { propose } from '../propose.js';
import { reviewRequirements } from './review-requirements.js';

const base = assignmentOf();
const terms = [
  { text: 'Arch', kind: 'part' },
  { text: 'Pier', kind: 'part' },
  { text: 'Expansion joint of the deck', kind: 'part' },
  { text: 'Wind', kind: 'own' },
];
const ask = (type: string, params: Record<string, unknown> = {}): Requirement => ({
  id: type,
  type,
  params,
  level: 'must',
  points: 1,
});
/** An assignment with terms that asks for this and nothing else. */
const sheet = (requirements: Requirement[], more: Partial<Assignment> = {}): Assignment => ({
  ...base,
  terms,
  ...more,
  requirements: requirements.map((one, i) => ({ ...one, id: `${one.type}${i ? ` ${i}` : ''}` })),
});
const proposition = (from: string, to: string, more: object = {}): object => ({ from, to, ...more });
const withKind = (change: object): Legend => ({
  ...base.legend,
  topicKinds: base.legend.topicKinds.map((kind) => (kind.id === 'part' ? { ...kind, ...change } : kind)),
});
const withLinkKind = (change: object): Legend => ({
  ...base.legend,
  linkKinds: base.legend.linkKinds.map((kind) => (kind.id === 'says' ? { ...kind, ...change } : kind)),
});
const starter = mapOf([
  topic('s1', { text: 'Arch', kind: 'part' }),
  topic('s2', { text: 'Pier', kind: 'part', x: 200 }),
]);
const reference = mapOf(
  [topic('s1', { text: 'Arch', kind: 'part' }), topic('r2', { text: 'Pier', kind: 'part', x: 200 })],
  [link('s1', 'r2')],
);
const want = (type: string, propositions: object[], params: object = {}): Requirement =>
  ask(type, { propositions, ...params });
const tops = ask('all-terms-present');

/** For each code, what gives it, and what is near it and sound. */
const CASES: [code: string, given: Assignment, near: Assignment][] = [
  ['unknown-kind', sheet([ask('kind-count', { kind: 'arches' })]), sheet([ask('kind-count', { kind: 'own' })])],
  [
    'unknown-kind',
    sheet([ask('allowed-links', { pairs: [['own', 'parts']] })]),
    sheet([ask('allowed-links', { pairs: [['own', 'part']] })]),
  ],
  ['unknown-kind', sheet([ask('right-kind')], { terms: [{ text: 'Arch', kind: 'no' }] }), sheet([ask('right-kind')])],
  [
    'unknown-link-kind',
    sheet([ask('link-style', { linkKind: 'tells' })]),
    sheet([ask('link-style', { linkKind: 'shows' })]),
  ],
  [
    'unknown-text',
    sheet([want('propositions-present', [proposition('Arch', 'Bus stop')])]),
    sheet([want('propositions-present', [proposition('arches', 'PIER')])]),
  ],
  [
    'unknown-text',
    sheet([ask('note-length', { per: 'branch', each: [{ branch: 'Nobody', minWords: 3 }] })]),
    sheet([ask('note-length', { per: 'branch', each: [{ branch: 'Wind', minWords: 3 }] })]),
  ],
  [
    'unknown-text',
    sheet([ask('depth', { min: 2 })], { root: 'Boat' }),
    sheet([ask('depth', { min: 2 })], { root: 'Arch' }),
  ],
  [
    'no-root',
    sheet([ask('depth', { min: 2 })], { legend: { topicKinds: [], linkKinds: [] }, terms: [] }),
    sheet([ask('depth', { min: 2 })]),
  ],
  [
    'unknown-origin',
    sheet([ask('blanks-filled', { answers: [{ origin: 's9', accept: ['a'] }] })], { starter }),
    sheet([ask('blanks-filled', { answers: [{ origin: 's1', accept: ['a'] }] })], { starter }),
  ],
  ['nothing-to-look-at', sheet([ask('like-reference')]), sheet([ask('like-reference')], { reference })],
  ['nothing-to-look-at', sheet([ask('prompts-answered')], { starter }), sheet([ask('right-kind')], { starter })],
  ['min-over-max', sheet([ask('topic-count', { min: 9, max: 8 })]), sheet([ask('topic-count', { min: 8, max: 8 })])],
  [
    'min-over-max',
    sheet([ask('note-length', { maxWords: 20 })]),
    sheet([ask('note-length', { minWords: 20, maxWords: 20 })]),
  ],
  [
    'min-over-max',
    sheet([ask('topic-count', { min: 9 }), ask('topic-count', { max: 8 })]),
    sheet([ask('topic-count', { min: 9 }), ask('topic-count', { max: 8, kinds: ['own'] })]),
  ],
  ['more-than-there-are', sheet([ask('all-terms-present', { min: 5 })]), sheet([ask('all-terms-present', { min: 4 })])],
  ['asks-nothing', sheet([ask('topic-count')]), sheet([ask('topic-count', { min: 1 })])],
  ['asks-nothing', sheet([ask('kind-count', { kind: 'own', min: 0 })]), sheet([ask('kind-count', { kind: 'own' })])],
  ['asks-nothing', sheet([ask('cross-links', { min: 0 })]), sheet([ask('cross-links')])],
  [
    'asks-nothing',
    sheet([ask('kind-style', { shape: false, fill: false })]),
    sheet([ask('kind-style', { fill: false })]),
  ],
  ['asks-nothing', sheet([ask('link-style', { linkKind: 'says' })]), sheet([ask('link-style', { linkKind: 'shows' })])],
  [
    'cannot-fail',
    sheet([ask('kind-style')], { looks: 'fixed' }),
    sheet([ask('kind-style')], { looks: 'fixed', styleMode: 'free' }),
  ],
  ['asked-twice', sheet([ask('no-cycles'), ask('no-cycles')]), sheet([ask('no-cycles'), ask('no-parallel-links')])],
  [
    'starter-has-it',
    sheet([ask('topic-count', { min: 2 })], { starter }),
    sheet([ask('topic-count', { min: 3 })], { starter }),
  ],
  [
    'starter-has-it',
    sheet([ask('kind-count', { kind: 'part' })], { starter }),
    sheet([ask('no-overlaps')], { starter }),
  ],
  [
    'reference-fails',
    sheet([ask('all-terms-present')], { reference }),
    sheet([ask('all-terms-present', { min: 2 })], { reference }),
  ],
  [
    'reference-fails',
    sheet([ask('terms-unchanged')], { starter, reference: mapOf([topic('s1', { text: 'Beam', kind: 'part' })]) }),
    sheet([ask('terms-unchanged')], { starter, reference }),
  ],
  ['legend-fails', sheet([ask('pale-fills')], { legend: withKind({ fill: '#225577' }) }), sheet([ask('pale-fills')])],
  [
    'legend-fails',
    sheet([ask('text-size')], { legend: withKind({ fontSize: 9 }) }),
    sheet([ask('text-size', { min: 9 })], { legend: withKind({ fontSize: 9 }) }),
  ],
  [
    'arrow-against-legend',
    sheet([ask('arrowed-links')], { legend: withLinkKind({ arrow: 'none' }) }),
    sheet([ask('arrowed-links')], { legend: withLinkKind({ arrow: 'none', structural: false }) }),
  ],
  [
    'colour-against-legend',
    sheet([ask('fan-style')], { legend: withLinkKind({ colour: '#225577' }) }),
    sheet([ask('fan-style', { distinct: false })], { legend: withLinkKind({ colour: '#225577' }) }),
  ],
  [
    'width-against-legend',
    sheet([ask('fan-style')], { legend: withLinkKind({ width: 1.5 }) }),
    sheet([ask('fan-style')], { legend: withLinkKind({ width: 2.5 }) }),
  ],
  [
    'arrow-against-style',
    sheet([ask('arrowed-links'), ask('link-style', { linkKind: 'says' })], { legend: withLinkKind({ arrow: 'both' }) }),
    sheet([ask('arrowed-links'), ask('link-style', { linkKind: 'says' })], {
      legend: withLinkKind({ arrow: 'forward' }),
    }),
  ],
  [
    'colour-against-style',
    sheet([ask('fan-style'), ask('link-style', { linkKind: 'says' })], { legend: withLinkKind({ colour: '#225577' }) }),
    sheet([ask('fan-style'), ask('link-style', { linkKind: 'says' })], { legend: withLinkKind({ dash: 'solid' }) }),
  ],
  ['cap-below-terms', sheet([tops, ask('topic-count', { max: 3 })]), sheet([tops, ask('topic-count', { max: 4 })])],
  [
    'cap-below-terms',
    sheet([tops, ask('kind-count', { kind: 'part', max: 2 })]),
    sheet([tops, ask('kind-count', { kind: 'part', max: 3 })]),
  ],
  [
    'cap-below-kinds',
    sheet([tops, ask('kind-count', { kind: 'own', min: 3 }), ask('topic-count', { max: 5 })]),
    sheet([tops, ask('kind-count', { kind: 'own', min: 3 }), ask('topic-count', { max: 6 })]),
  ],
  ['cycle-and-none', sheet([ask('no-cycles'), ask('forms-cycle')]), sheet([ask('forms-cycle')])],
  [
    'wanted-and-unwanted',
    sheet([
      want('propositions-present', [proposition('Arch', 'Pier')]),
      want('propositions-absent', [proposition('arch', 'pier')]),
    ]),
    sheet([
      want('propositions-present', [proposition('Arch', 'Pier')]),
      want('propositions-absent', [proposition('Pier', 'Arch')]),
    ]),
  ],
  [
    'wanted-and-unwanted',
    sheet([
      want('propositions-present', [proposition('Arch', 'Pier', { phrases: ['rests on'] })]),
      want('propositions-absent', [proposition('Pier', 'Arch', { direction: 'either', phrases: ['rest'] })]),
    ]),
    sheet([
      want(
        'propositions-present',
        [proposition('Arch', 'Pier', { phrases: ['rests on'] }), proposition('Wind', 'Pier')],
        { min: 1 },
      ),
      want('propositions-absent', [proposition('Arch', 'Pier', { phrases: ['hangs'] })]),
    ]),
  ],
  [
    'pairs-forbid',
    sheet([
      ask('allowed-links', { pairs: [['own', 'part']] }),
      want('propositions-present', [proposition('Arch', 'Wind')]),
    ]),
    sheet([
      ask('allowed-links', { pairs: [['own', 'part']] }),
      want('propositions-present', [proposition('Wind', 'Arch')]),
    ]),
  ],
  [
    'pairs-forbid',
    sheet([
      ask('allowed-links', { pairs: [['own', 'own']] }),
      ask('sits-under', { kinds: ['part'], parents: ['own'] }),
    ]),
    sheet([
      ask('allowed-links', { pairs: [['own', 'part']] }),
      ask('sits-under', { kinds: ['part'], parents: ['own'] }),
    ]),
  ],
  [
    'pairs-forbid',
    sheet([ask('allowed-links', { pairs: [['own', 'part']] }), ask('anchor-links', { kind: 'own', targets: ['own'] })]),
    sheet([
      ask('allowed-links', { pairs: [['own', 'part']] }),
      ask('anchor-links', { kind: 'target', targets: ['own'] }),
    ]),
  ],
  [
    'short-below-terms',
    sheet([tops, ask('short-topics', { maxWords: 4 })]),
    sheet([tops, ask('short-topics', { maxWords: 5 })]),
  ],
  [
    'levels-too-few',
    sheet([ask('depth', { max: 0 }), ask('main-branches', { min: 2 })]),
    sheet([ask('depth', { max: 1 }), ask('main-branches', { min: 2 })]),
  ],
  [
    'levels-too-few',
    sheet([ask('main-branches', { max: 1 }), ask('cross-links')]),
    sheet([ask('main-branches', { max: 2 }), ask('cross-links')]),
  ],
  [
    'branches-over-branching',
    sheet([ask('branching', { maxChildren: 3 }), ask('main-branches', { min: 4 })]),
    sheet([ask('branching', { maxChildren: 4 }), ask('main-branches', { min: 4 })]),
  ],
];

const codes = (assignment: Assignment): string[] => reviewRequirements(assignment).map(({ code }) => code);

test.each(CASES)('%s', (code, given, near) => {
  const findings = reviewRequirements(given);
  expect(findings.map((one) => one.code)).toContain(code);
  expect(codes(near)).not.toContain(code);
  const ids = new Set(given.requirements.map(({ id }) => id));
  for (const { requirements, sentence } of findings) {
    expect(requirements.length).toBeGreaterThan(0);
    expect(requirements.filter((id) => !ids.has(id))).toEqual([]);
    expect(sentence).toMatch(/^\P{Ll}.*\.$/u);
    expect(sentence).not.toMatch(/undefined|NaN/);
  }
});

test('what an example suggests is sound, with a starter and a reference', () => {
  const assignment = bridges();
  expect(reviewRequirements({ ...assignment, requirements: propose(bridgesMap(), assignment) })).toEqual([]);
});

test('an assignment that asks for nothing at all has nothing that cannot work', () => {
  expect(reviewRequirements(assignmentOf())).toEqual([]);
});

test('two findings on one pair name both, whichever comes first', () => {
  const [first] = reviewRequirements(sheet([ask('forms-cycle'), ask('no-cycles')]));
  expect([...first!.requirements].sort()).toEqual(['forms-cycle', 'no-cycles 1']);
});
