import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import type { Assignment, CheckContext, Link, Topic, TopicMap } from '../map/types.js';
import { checkMap } from './check-map.js';

/** The catalogue clause by clause, where two readings of a sentence could differ. */

interface Clause {
  says: string;
  type: string;
  params?: Record<string, unknown>;
  map: TopicMap;
  assignment?: Assignment;
  context?: CheckContext;
  /** what is found: a fraction, and the ids and terms flagged */
  gives: [fraction: number | null, ...flags: string[]];
  judge?: true;
}

function clauses(list: Clause[]): void {
  test.each(list.map((one) => [`${one.type}: ${one.says}`, one] as const))('%s', (_, one) => {
    const requirement = { id: 'r', type: one.type, params: one.params ?? {}, level: 'must' as const, points: 1 };
    const faults: unknown[] = [];
    const [result] = checkMap(
      one.map,
      { ...(one.assignment ?? assignmentOf()), requirements: [requirement] },
      one.context,
      { onFault: (_requirement, fault) => faults.push(fault) },
    ).results;
    expect(faults).toEqual([]);
    const [fraction, ...flags] = one.gives;
    if (fraction === null) expect(result!.fraction).toBeNull();
    else expect(result!.fraction).toBeCloseTo(fraction, 9);
    const found = result!.evidence
      .filter(({ flag }) => flag !== false)
      .flatMap(({ topics, links, term }) => [...topics, ...links, ...(term === undefined ? [] : [term])]);
    expect([...new Set(found)].sort()).toEqual([...flags].sort());
    expect(result!.status === 'judge').toBe(one.judge ?? false);
  });
}

const part = (id: string, more: Partial<Topic> = {}): Topic => topic(id, { kind: 'part', ...more });
const own = (id: string, more: Partial<Topic> = {}): Topic => topic(id, { kind: 'own', ...more });
const root = topic('r', { text: 'Bridge', kind: 'root' });
const target = (id: string, more: Partial<Topic> = {}): Topic => topic(id, { kind: 'target', ...more });
const shows = (from: string, to: string, more: Partial<Link> = {}): Link => link(from, to, { kind: 'shows', ...more });
const bridge = assignmentOf({ root: 'Bridge' });
const terms = (...list: Assignment['terms']): Assignment => assignmentOf({ terms: list });

describe('content', () => {
  const both = terms({ text: 'Arch', kind: 'part' }, { text: 'Load', kind: 'own', accept: ['Weight'] });
  clauses([
    {
      says: 'all terms are matched before kinds limits them',
      type: 'all-terms-present',
      params: { kinds: ['own'] },
      assignment: terms({ text: 'Load', kind: 'part' }, { text: 'loads', kind: 'own' }),
      map: mapOf([topic('a', { text: 'Load' })]),
      gives: [0, 'loads'],
    },
    {
      says: 'min is what is asked for',
      type: 'all-terms-present',
      params: { min: 1 },
      assignment: both,
      map: mapOf([topic('a', { text: 'weights' })]),
      gives: [1, 'Arch'],
    },
    {
      says: 'a near match counts, flags topic and term, and leaves it to a person',
      type: 'all-terms-present',
      assignment: both,
      map: mapOf([topic('a', { text: 'Arch' }), topic('b', { text: 'Weigth' })]),
      gives: [1, 'b', 'Load'],
      judge: true,
    },
    {
      says: 'strict: the misspelt term is missing and nothing else is flagged',
      type: 'all-terms-present',
      params: { spelling: 'strict' },
      assignment: both,
      map: mapOf([topic('a', { text: 'Arch' }), topic('b', { text: 'Weigth' })]),
      gives: [0.5, 'Load'],
    },
    {
      says: 'guided, the kind must stay too',
      type: 'terms-unchanged',
      assignment: assignmentOf({ starter: mapOf([part('s', { text: 'Arch' })]) }),
      map: mapOf([own('a', { text: 'Arch', origin: 's' })]),
      gives: [0, 'a'],
    },
    {
      says: 'free, it need not',
      type: 'terms-unchanged',
      assignment: assignmentOf({ starter: mapOf([part('s', { text: 'Arch' })]), styleMode: 'free' }),
      map: mapOf([own('a', { text: 'Arch', origin: 's' })]),
      gives: [1],
    },
    {
      says: 'one good copy is enough',
      type: 'terms-unchanged',
      assignment: assignmentOf({ starter: mapOf([part('s', { text: 'Arch' })]) }),
      map: mapOf([part('a', { text: 'Bow', origin: 's' }), part('b', { text: 'arch', origin: 's' })]),
      gives: [1],
    },
    {
      says: 'the root may have its kind even where a term asks for another',
      type: 'right-kind',
      assignment: assignmentOf({ root: 'Bridge', terms: [{ text: 'Bridge', kind: 'part' }] }),
      map: mapOf([root]),
      gives: [1],
    },
    {
      says: 'a given topic keeps the kind of the starter, none if it had none',
      type: 'right-kind',
      assignment: assignmentOf({ starter: mapOf([topic('s'), part('t')]) }),
      map: mapOf([topic('a', { origin: 's' }), own('b', { origin: 's' }), own('c', { origin: 't' })]),
      gives: [1 / 3, 'b', 'c'],
    },
    {
      says: 'an origin that is not in the starter is none',
      type: 'right-kind',
      assignment: assignmentOf({ starter: mapOf([part('s')]) }),
      map: mapOf([own('a', { origin: 'elsewhere' })]),
      gives: [1],
    },
    {
      says: 'topics beside the structure are looked at as well',
      type: 'right-kind',
      map: mapOf([target('a'), own('b')]),
      gives: [0.5, 'a'],
    },
    {
      says: 'without kinds, what stands beside the structure is not counted',
      type: 'topic-count',
      params: { min: 2 },
      map: mapOf([part('a'), target('b')]),
      gives: [0.5],
    },
    {
      says: 'with kinds, it is',
      type: 'topic-count',
      params: { min: 1, kinds: ['target'] },
      map: mapOf([part('a'), target('b')]),
      gives: [1],
    },
    {
      says: 'links of kinds count wherever they are, structural or not',
      type: 'link-count',
      params: { min: 1, linkKinds: ['shows'] },
      map: mapOf([part('a'), target('b')], [shows('b', 'a')]),
      gives: [1],
    },
    {
      says: 'over the cap all of the kind are flagged',
      type: 'kind-count',
      params: { kind: 'own', min: 0, max: 1 },
      map: mapOf([own('a'), own('b'), part('c')]),
      gives: [0.5, 'a', 'b'],
    },
    {
      says: 'words are those of the normal form',
      type: 'short-topics',
      params: { maxWords: 2 },
      map: mapOf([part('a', { text: 'cross-link (new)' }), part('b', { text: 'l’arc — beau' })]),
      gives: [0.5, 'a'],
    },
    {
      says: 'every topic whose form is another’s is flagged, the first one too',
      type: 'no-duplicate-topics',
      map: mapOf([part('a', { text: 'Load' }), part('b', { text: 'loads' }), part('c'), target('d', { text: 'Load' })]),
      gives: [2 / 3, 'a', 'b'],
    },
    {
      says: 'a source that is blank is none, a file bears',
      type: 'supporting-material',
      params: { minShare: 1 },
      map: mapOf([part('a', { source: '  ' }), part('b', { files: [{ src: 'plan.pdf', name: '' }] })]),
      gives: [0.5, 'a'],
    },
    {
      says: 'a topic of two branches counts in each',
      type: 'note-length',
      params: { per: 'branch', minWords: 3 },
      assignment: bridge,
      map: mapOf(
        [root, part('a'), part('b'), part('c', { note: 'one two three' })],
        [link('r', 'a'), link('r', 'b'), link('a', 'c'), link('b', 'c')],
      ),
      gives: [1],
    },
    {
      says: 'the prompt may not be shortened',
      type: 'prompts-answered',
      assignment: assignmentOf({ starter: mapOf([part('s', { text: 'It holds because', toComplete: true })]) }),
      map: mapOf([part('a', { text: 'It holds, says Noor', origin: 's' })]),
      gives: [0, 'a'],
    },
    {
      says: 'without an origin a topic stands for the one of its id',
      type: 'starter-rewired',
      params: { minShare: 1 },
      assignment: assignmentOf({ starter: mapOf([part('s'), part('t')], [link('s', 't')]) }),
      map: mapOf([part('s'), part('t'), own('n')], [link('s', 't'), link('t', 'n')]),
      gives: [0.5, 's'],
    },
    {
      says: 'one that was taken off counts against it and flags nothing',
      type: 'starter-rewired',
      params: { minShare: 1 },
      assignment: assignmentOf({ starter: mapOf([part('s'), part('t')], [link('s', 't')]) }),
      map: mapOf([part('s'), own('n')], [link('s', 'n')]),
      gives: [0.5],
    },
  ]);
});

describe('structure', () => {
  clauses([
    {
      says: 'of two parts of one size the one with the earliest topic is kept',
      type: 'all-connected',
      map: mapOf([part('a'), part('b'), part('c'), part('d')], [link('c', 'd'), link('a', 'b')]),
      gives: [0.5, 'c', 'd'],
    },
    {
      says: 'links beside the structure join nothing',
      type: 'all-connected',
      map: mapOf([part('a'), part('b')], [shows('a', 'b')]),
      gives: [0.5, 'b'],
    },
    {
      says: 'two links to one neighbour are one',
      type: 'links-per-topic',
      params: { min: 2 },
      map: mapOf([part('a'), part('b')], [link('a', 'b'), link('b', 'a')]),
      gives: [0, 'a', 'b'],
    },
    {
      says: 'a plain line counts as in at both ends',
      type: 'links-per-topic',
      params: { direction: 'in' },
      map: mapOf([part('a'), part('b')], [link('a', 'b', { arrow: 'none' })]),
      gives: [1],
    },
    {
      says: 'forward goes along both-way arrows either way',
      type: 'from-root',
      params: { follow: 'forward' },
      assignment: bridge,
      map: mapOf([root, part('a')], [link('a', 'r', { arrow: 'both' })]),
      gives: [1],
    },
    {
      says: 'in: only a parent that points at it counts',
      type: 'sits-under',
      params: { kinds: ['part'], parents: ['own'], direction: 'in' },
      map: mapOf([part('a'), part('b'), own('f')], [link('a', 'f'), link('f', 'b')]),
      gives: [0.5, 'a'],
    },
    {
      says: 'a root alone is level 0',
      type: 'depth',
      params: { min: 1 },
      assignment: bridge,
      map: mapOf([root]),
      gives: [0],
    },
    {
      says: 'too deep flags the levels over max',
      type: 'depth',
      params: { max: 1 },
      assignment: bridge,
      map: mapOf([root, part('a'), part('b')], [link('r', 'a'), link('a', 'b')]),
      gives: [0.5, 'b'],
    },
    {
      says: 'without a root nothing is flagged',
      type: 'main-branches',
      params: { max: 1 },
      assignment: bridge,
      map: mapOf([part('a'), part('b')], [link('a', 'b')]),
      gives: [0],
    },
    {
      says: 'topics with no children are not asked',
      type: 'branching',
      params: { maxChildren: 1 },
      assignment: bridge,
      map: mapOf([root, part('a'), part('b'), part('c')], [link('r', 'a'), link('r', 'b'), link('a', 'c')]),
      gives: [0.5, 'r'],
    },
    {
      says: 'with a branch in common it is none; unlabelled it does not count unless that is allowed',
      type: 'cross-links',
      params: { min: 2, labelled: false },
      assignment: bridge,
      map: mapOf(
        [root, part('a'), part('b'), part('c'), part('d'), part('e')],
        [
          ...['a', 'b'].map((id) => link('r', id)),
          link('a', 'c'),
          link('a', 'd'),
          link('b', 'e'),
          link('c', 'd'),
        ].concat(link('c', 'e', { phrase: '' })),
      ),
      gives: [0.5],
    },
    {
      says: 'arrows both ways make no circle',
      type: 'no-cycles',
      map: mapOf([part('a'), part('b')], [link('a', 'b', { arrow: 'both' }), link('b', 'a', { arrow: 'none' })]),
      gives: [1],
    },
    {
      says: 'two topics that point at each other do, and only the links inside are flagged',
      type: 'no-cycles',
      map: mapOf([part('a'), part('b'), part('c')], [link('a', 'b'), link('b', 'a'), link('b', 'c')]),
      gives: [0, 'a', 'b', 'a-b', 'b-a'],
    },
    {
      says: 'links of any sort are counted',
      type: 'anchor-links',
      params: { kind: 'target', targets: ['part'], linkKind: 'shows' },
      map: mapOf(
        [target('t'), target('u'), part('a')],
        [shows('t', 'a'), shows('u', 'a'), link('u', 'a', { id: 'x' })],
      ),
      gives: [0.5, 'u'],
    },
    {
      says: 'free, the kind of the link is not asked',
      type: 'anchor-links',
      params: { kind: 'target', linkKind: 'shows' },
      assignment: assignmentOf({ styleMode: 'free' }),
      map: mapOf(
        [topic('t', { shape: 'signpost', fill: '#ffffff' }), topic('a', { shape: 'rectangle', fill: '#d7e7ec' })],
        [link('t', 'a')],
      ),
      gives: [1],
    },
    {
      says: 'only topics of the kinds are counted in the circle',
      type: 'forms-cycle',
      params: { kinds: ['part'], min: 2 },
      map: mapOf([part('a'), own('b'), part('c')], [link('a', 'b'), link('b', 'a'), link('b', 'c')]),
      gives: [0.5],
    },
    {
      says: 'the order of a pair matters',
      type: 'allowed-links',
      params: { pairs: [['own', 'part']] },
      map: mapOf([own('f'), part('a'), part('b')], [link('f', 'a'), link('b', 'f')]),
      gives: [0.5, 'b-f'],
    },
    {
      says: 'a link back is a second of its pair',
      type: 'no-parallel-links',
      map: mapOf([part('a'), part('b'), part('c')], [link('a', 'b'), link('b', 'a'), link('b', 'c')]),
      gives: [2 / 3, 'a-b', 'b-a'],
    },
  ]);
});

describe('propositions', () => {
  const two = [part('a', { text: 'Arch' }), part('b', { text: 'Pier' })];
  const wanted = (more: object = {}): Record<string, unknown> => ({
    propositions: [{ from: 'arch', to: 'pier', ...more }],
  });
  const present = (says: string, params: object, links: Link[], gives: Clause['gives'], judge?: true): Clause => ({
    says,
    type: 'propositions-present',
    params: { ...params },
    map: mapOf(two, links),
    gives,
    ...(judge && { judge }),
  });
  clauses([
    present('without phrases any words will do, none too', wanted(), [link('a', 'b', { phrase: '' })], [1]),
    present('a plain line goes both ways', wanted(), [link('b', 'a', { arrow: 'none' })], [1]),
    present('the wrong way round flags the link', wanted(), [link('b', 'a')], [0, 'b-a']),
    present('either way is taken when asked so', wanted({ direction: 'either' }), [link('b', 'a')], [1]),
    present('not there flags the two texts as given', wanted(), [], [0, 'arch → pier']),
    present(
      'all folded words of one phrase must be in it, in any order',
      wanted({ phrases: ['stands on'] }),
      [link('a', 'b', { phrase: 'on which it stood, standing' })],
      [1],
    ),
    present(
      'in other words is half, for a person to judge, and a blank one too',
      wanted({ phrases: ['stands on'] }),
      [link('a', 'b', { phrase: '' })],
      [0.5, 'a-b'],
      true,
    ),
    present(
      'min is met by halves, and still judged',
      {
        propositions: [
          { from: 'arch', to: 'pier', phrases: ['rests'] },
          { from: 'x', to: 'y' },
        ],
        min: 0.5,
      },
      [link('a', 'b', { phrase: 'holds' })],
      [1, 'a-b', 'x → y'],
      true,
    ),
    {
      says: 'a half there is no misconception',
      type: 'propositions-absent',
      params: wanted({ phrases: ['stands on'] }),
      map: mapOf(two, [link('a', 'b', { phrase: 'holds' })]),
      gives: [1],
    },
    {
      says: 'only the links that say it are flagged',
      type: 'propositions-absent',
      params: wanted({ phrases: ['holds'] }),
      map: mapOf(two, [link('a', 'b', { phrase: 'carries' }), link('a', 'b', { id: 'x', phrase: 'holds' })]),
      gives: [0, 'x'],
    },
    {
      says: 'fewer than five phrases are too early to tell',
      type: 'phrase-variety',
      map: mapOf(
        ['a', 'b', 'c', 'd', 'e'].map((id) => part(id)),
        ['b', 'c', 'd', 'e'].map((id) => link('a', id, { phrase: 'has' })),
      ),
      gives: [1],
    },
    {
      says: 'of two that are equally common all are flagged',
      type: 'phrase-variety',
      params: { maxShare: 0.4 },
      map: mapOf(
        ['a', 'b', 'c', 'd', 'e', 'f', 'g'].map((id) => part(id)),
        ['b', 'c', 'd', 'e', 'f', 'g'].map((id, i) => link('a', id, { phrase: ['has a', 'holds the'][i % 2]! })),
      ),
      gives: [0.5 / 0.6, 'a-b', 'a-c', 'a-d', 'a-e', 'a-f', 'a-g'],
    },
    {
      says: 'vague, when given, takes the place of the list',
      type: 'precise-phrases',
      params: { needVerb: false, vague: ['holds'] },
      map: mapOf(
        ['a', 'b', 'c'].map((id) => part(id)),
        [link('a', 'b', { phrase: 'Holds!' }), link('b', 'c', { phrase: 'relates to' })],
      ),
      gives: [0.5, 'a-b'],
    },
    {
      says: 'an unmatched reference topic with neighbours scores 0 and is named',
      type: 'like-reference',
      params: { min: 1 },
      assignment: assignmentOf({
        reference: mapOf(
          ['Arch', 'Pier', 'Deck', 'Alone'].map((text, i) => part(`q${i}`, { text })),
          [link('q0', 'q1'), link('q1', 'q2')],
        ),
      }),
      map: mapOf(two, [link('a', 'b')]),
      gives: [(1 + 0.5 + 0) / 3, 'Deck'],
    },
  ]);
});

describe('style', () => {
  const crossing = [part('a'), part('b', { x: 400, y: 400 }), part('c', { x: 400 }), part('d', { y: 400 })];
  clauses([
    {
      says: 'guided, topics of no known kind are not asked',
      type: 'kind-style',
      map: mapOf([topic('n', { fill: '#000000' }), part('a', { shape: 'ellipse' })]),
      gives: [0, 'a'],
    },
    {
      says: 'free, the kind to compare with is the term’s',
      type: 'kind-style',
      assignment: assignmentOf({ styleMode: 'free', terms: [{ text: 'a', kind: 'part' }] }),
      map: mapOf([
        topic('a', { shape: 'parallelogram', fill: '#f6dcd2' }),
        topic('x', { shape: 'parallelogram', fill: '#f6dcd2' }),
      ]),
      gives: [0.5, 'a'],
    },
    {
      says: 'free, one of no shape of the student’s kinds is wrong',
      type: 'kind-style',
      assignment: assignmentOf({ styleMode: 'free' }),
      map: mapOf([topic('x', { shape: 'diamond', fill: '#f6dcd2' })]),
      gives: [0, 'x'],
    },
    {
      says: 'a line may be wider than its kind, not thinner',
      type: 'link-style',
      params: { linkKind: 'shows' },
      map: mapOf([target('t'), target('u'), part('a')], [shows('t', 'a', { width: 5 }), shows('u', 'a', { width: 3 })]),
      gives: [0.5, 'u-a'],
    },
    {
      says: 'with ends, links are chosen by them and not by their kind',
      type: 'link-style',
      params: { linkKind: 'shows', from: ['target'] },
      map: mapOf([target('t'), part('a'), part('b')], [link('t', 'a'), shows('a', 'b', { dash: 'solid' })]),
      gives: [0, 't-a'],
    },
    {
      says: 'a fan that crosses nothing is not asked, unless always',
      type: 'fan-style',
      params: { minFan: 1, when: 'always', minWidth: 2 },
      map: mapOf([part('a'), part('b', { x: 300 })], [link('a', 'b')]),
      gives: [0, 'a-b'],
    },
    {
      says: 'crossing fans of one colour are alike',
      type: 'fan-style',
      params: { minFan: 1, minWidth: 1 },
      map: mapOf(crossing, [link('a', 'b', { colour: '#aa0000' }), link('c', 'd', { colour: '#aa0505' })]),
      gives: [0, 'a-b', 'c-d'],
    },
    {
      says: 'and apart when their colours are',
      type: 'fan-style',
      params: { minFan: 1, minWidth: 1 },
      map: mapOf(crossing, [link('a', 'b', { colour: '#aa0000' }), link('c', 'd', { colour: '#0000aa' })]),
      gives: [1],
    },
    {
      says: 'no fill is white paper',
      type: 'ink-contrast',
      map: mapOf([part('a', { fill: 'none', ink: '#ffffff' }), part('b', { fill: 'none', ink: '#000000' })]),
      gives: [0.5, 'a'],
    },
    {
      says: 'a topic of two branches belongs to neither',
      type: 'branch-colours',
      assignment: bridge,
      map: mapOf(
        [root, part('a', { fill: '#cc0000' }), part('b', { fill: '#0000cc' }), part('c', { fill: '#00cc00' })],
        [link('r', 'a'), link('r', 'b'), link('a', 'c'), link('b', 'c')],
      ),
      gives: [1],
    },
    {
      says: 'branches too near each other are both flagged',
      type: 'branch-colours',
      assignment: bridge,
      map: mapOf(
        [root, part('a', { fill: '#cc0000' }), part('b', { fill: '#cc0202' })],
        [link('r', 'a'), link('r', 'b')],
      ),
      gives: [0, 'a', 'b'],
    },
  ]);
});

describe('layout and making', () => {
  const cross = mapOf(
    [part('a'), part('b', { x: 400, y: 400 }), part('c', { x: 400 }), part('d', { y: 400 })],
    [link('a', 'b'), link('c', 'd')],
  );
  const line = (middle: Partial<Topic>, more: Partial<Link> = {}): TopicMap =>
    mapOf([part('a'), part('m', { x: 200, ...middle }), part('b', { x: 400 })], [link('a', 'b', more)]);
  clauses([
    { says: 'one over none is a half', type: 'few-crossings', map: cross, gives: [0.5, 'a-b', 'c-d'] },
    { says: 'as many as allowed are none too many', type: 'few-crossings', params: { max: 1 }, map: cross, gives: [1] },
    {
      says: 'links with an end in common do not cross',
      type: 'few-crossings',
      map: mapOf(cross.topics as Topic[], [link('a', 'b'), link('a', 'c'), link('a', 'd')]),
      gives: [1],
    },
    { says: 'behind a filled topic it is excused', type: 'clear-text', map: line({}), gives: [1] },
    { says: 'not when the topic has no fill', type: 'clear-text', map: line({ fill: 'none' }), gives: [0, 'a-b', 'm'] },
    { says: 'nor when the line lies above', type: 'clear-text', map: line({}, { z: 2 }), gives: [0, 'a-b', 'm'] },
    {
      says: 'nor when nothing is excused',
      type: 'clear-text',
      params: { excuseBehind: false },
      map: line({}),
      gives: [0, 'a-b', 'm'],
    },
    {
      says: 'the rim of a topic holds no words',
      type: 'clear-text',
      params: { excuseBehind: false },
      map: line({ y: 17, height: 40 }),
      gives: [1],
    },
    {
      says: 'touching is not overlapping, and a gap is asked on both sides together',
      type: 'no-overlaps',
      map: mapOf([part('a'), part('b', { x: 100 })]),
      gives: [1],
    },
    {
      says: 'closer than the gap is too close',
      type: 'no-overlaps',
      params: { gap: 20 },
      map: mapOf([part('a'), part('b', { x: 119 }), part('c', { x: 239 })]),
      gives: [1 / 3, 'a', 'b'],
    },
    {
      says: 'what is measured is the drawn part',
      type: 'short-links',
      params: { max: 300 },
      map: mapOf([part('a'), part('b', { x: 400 }), part('c', { x: 1000 })], [link('a', 'b'), link('b', 'c')]),
      gives: [0.5, 'b-c'],
    },
    {
      says: 'equal numbers make no pair; either way takes the better',
      type: 'in-sequence',
      map: mapOf([
        part('a', { sequence: 1 }),
        part('b', { sequence: 1, x: -50 }),
        part('c', { sequence: 2, x: -90, y: 90 }),
      ]),
      gives: [1],
    },
    {
      says: 'right and down as good: right, and both of the others are flagged',
      type: 'in-sequence',
      map: mapOf([
        part('a', { sequence: 1 }),
        part('b', { sequence: 2, x: 90, y: -90 }),
        part('c', { sequence: 3, x: 50, y: 0 }),
      ]),
      gives: [0.5, 'b', 'c'],
    },
    {
      says: 'a step counts whichever way its arrow points',
      type: 'arrangement',
      params: { form: 'downward', minShare: 1 },
      assignment: bridge,
      map: mapOf([root, part('a', { y: 100 }), part('b', { y: 50 })], [link('a', 'r'), link('a', 'b')]),
      gives: [0.5, 'a-b'],
    },
    {
      says: 'outward is from the root’s centre',
      type: 'arrangement',
      params: { form: 'outward', minShare: 1 },
      assignment: bridge,
      map: mapOf([root, part('a', { y: -100 }), part('b', { x: 300 })], [link('r', 'a'), link('a', 'b')]),
      gives: [1],
    },
    {
      says: 'a small map is not blown up: words stay as small as they are',
      type: 'fits-paper',
      params: { minPoint: 12 },
      map: mapOf([part('a', { fontSize: 8 })]),
      gives: [0.5, 'a'],
    },
    {
      says: 'one that is wider than the sheet shrinks, and its words with it',
      type: 'fits-paper',
      params: { orientation: 'portrait', minPoint: 10.5 },
      map: mapOf([part('a'), part('b', { x: 1296.6 - 140 })]),
      gives: [((190 / 25.4) * 96) / 1296.6, 'a', 'b'],
    },
    {
      says: 'blank fields are empty',
      type: 'map-details',
      map: { ...mapOf([part('a')]), title: 'A map', author: ' ' },
      gives: [1 / 3],
    },
    {
      says: 'stops at what is gone do not count, and the longest tour does',
      type: 'tour',
      params: { minStops: 2 },
      map: {
        ...mapOf([part('a'), part('b')]),
        tours: [
          {
            id: 't',
            title: '',
            stops: [
              { topic: 'gone', words: '' },
              { topic: 'a', words: '' },
            ],
          },
          { id: 'u', title: '', stops: [{ topic: 'gone', words: '' }] },
        ],
      },
      gives: [0.5],
    },
    {
      says: 'what nobody is named for is left out of the shares',
      type: 'group-share',
      params: { minShare: 0.5 },
      context: { members: ['me', 'you'] },
      map: mapOf([part('a', { by: 'me' }), part('b', { by: 'you' }), part('c')]),
      gives: [1],
    },
    {
      says: 'without a context it does not apply',
      type: 'group-share',
      map: mapOf([part('a', { by: 'me' })]),
      gives: [null],
    },
    {
      says: 'without a due time it does not apply',
      type: 'on-time',
      context: { due: null, handedIn: '2026-03-02T17:00:00Z' },
      map: mapOf([part('a')]),
      gives: [null],
    },
  ]);
});
