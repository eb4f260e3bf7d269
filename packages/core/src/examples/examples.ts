import type { RequirementId } from '../requirements/registry.js';
import type { Assignment, CheckContext, TopicMap } from '../map/types.js';
import { sketch } from './sketch.js';

/** For one type of requirement: what is asked, a small map that meets it, and one that does not. */
export interface Example {
  params?: Record<string, unknown>;
  /** what the assignment has beside what all examples share */
  given?: Partial<Assignment>;
  context?: CheckContext;
  met: TopicMap;
  unmet: TopicMap;
  /** where the two differ in nothing that can be drawn: what differs */
  unmetContext?: CheckContext;
}

const star = ['*Bridge > Arch: has an', '*Bridge > Pier: stands on a'].map((link) => link.replace('*', ''));
const three = sketch(['*Bridge', 'Arch | Pier'], star);
const terms = [{ text: 'Arch' }, { text: 'Pier' }, { text: 'Keystone' }];
const starter = sketch(['Arch | Pier']);
const begun = (map: TopicMap, ...ids: string[]): TopicMap => ({
  ...map,
  topics: map.topics.map((topic) => (ids.includes(topic.id) ? { ...topic, origin: topic.id } : topic)),
});
const chain = ['Bridge > Arch: has an', 'Arch > Keystone: is locked by a'];
const note = 'Stones that lean on each other and so cannot fall.';
const branched = ['*Bridge', '+Shapes |  | +Loads', 'Arch |  | ^Wind'];
const branches = [
  'Bridge > Shapes: comes in',
  'Bridge > Loads: carries',
  'Shapes > Arch: rise as an',
  'Loads > Wind: blow as',
];
const proposition = { from: 'Arch', to: 'Pier', phrases: ['pushes'] };
const says = (link: string, looks?: object): TopicMap =>
  sketch(['Arch |  | Pier'], [link], looks ? { links: { [link.split(':')[0]!]: looks } } : {});
const crossed = sketch(
  ['Arch |  | Beam', '', 'Pier |  | Deck'],
  ['Arch > Deck: carries a', 'Beam > Pier: rests on a'],
  { links: { 'Arch > Deck': { phraseAt: 0.25 }, 'Beam > Pier': { phraseAt: 0.25 } } },
);
const uncrossed = sketch(
  ['Arch |  | Beam', '', 'Pier |  | Deck'],
  ['Arch > Pier: stands on a', 'Beam > Deck: carries a'],
);
const rows = ['Arch |  | Beam', '', 'Pier |  | Deck'];
const fan = ['Arch > Pier: needs a', 'Arch > Deck: carries a', 'Beam > Pier: rests on a'];
const wide = { colour: '#1f6f63', width: 3 };

/** Links between the same two topics, the first one bent aside so that both can be seen. */
const besideEachOther = (map: TopicMap): TopicMap => ({
  ...map,
  links: map.links.map((link, i) => (i === 0 ? { ...link, route: 'curved', bend: -0.25 } : link)),
});

export const EXAMPLES: Readonly<Record<RequirementId, Example>> = {
  'all-terms-present': {
    given: { terms },
    met: sketch(['Arch | Pier', 'Keystone']),
    unmet: sketch(['Arch | Pier', '~Stone']),
  },
  'terms-unchanged': {
    given: { starter },
    met: begun(starter, 'Arch', 'Pier'),
    unmet: begun(sketch(['Arch | Pier'], [], { topics: { Pier: { text: 'Leg' } } }), 'Arch', 'Pier'),
  },
  'right-kind': {
    given: {
      terms: [
        { text: 'Arch', kind: 'part' },
        { text: 'Wind', kind: 'force' },
      ],
    },
    met: sketch(['Arch | ^Wind']),
    unmet: sketch(['Arch | Wind']),
  },
  'topic-count': { params: { min: 3 }, met: three, unmet: sketch(['*Bridge', 'Arch'], star.slice(0, 1)) },
  'link-count': { params: { min: 2 }, met: three, unmet: sketch(['*Bridge', 'Arch | Pier'], star.slice(0, 1)) },
  'kind-count': {
    params: { kind: 'family', min: 2 },
    met: sketch(['+Shapes | +Loads']),
    unmet: sketch(['+Shapes | Arch']),
  },
  'short-topics': {
    params: { maxWords: 3 },
    met: sketch(['Arch of stone']),
    unmet: sketch(['An arch holds because its stones lean']),
  },
  'no-duplicate-topics': { met: sketch(['Arch | Pier']), unmet: sketch(['Arch | Arches']) },
  'supporting-material': {
    params: { what: 'note' },
    met: sketch(['Arch'], [], { topics: { Arch: { note } } }),
    unmet: sketch(['Arch']),
  },
  'note-length': {
    params: { minWords: 5 },
    met: sketch(['Arch'], [], { topics: { Arch: { note } } }),
    unmet: sketch(['Arch'], [], { topics: { Arch: { note: 'Of stone.' } } }),
  },
  'prompts-answered': {
    given: {
      starter: sketch(['An arch holds because'], [], { topics: { 'An arch holds because': { toComplete: true } } }),
    },
    met: begun(
      sketch(['An arch holds because'], [], {
        topics: { 'An arch holds because': { text: 'An arch holds because its stones lean' } },
      }),
      'An arch holds because',
    ),
    unmet: begun(sketch(['An arch holds because']), 'An arch holds because'),
  },
  'blanks-filled': {
    params: { answers: [{ origin: 'blank', accept: ['Keystone'] }] },
    met: sketch(['Arch | Keystone'], ['Arch > Keystone: is locked by a'], {
      topics: { Keystone: { origin: 'blank' } },
    }),
    unmet: sketch(['Arch | Pier'], ['Arch > Pier: is locked by a'], { topics: { Pier: { origin: 'blank' } } }),
  },
  'starter-rewired': {
    given: { starter: sketch(['Arch | Pier'], ['Arch > Pier']) },
    met: begun(
      sketch(['+Shapes | +Feet', 'Arch | Pier'], ['Shapes > Arch: include the', 'Feet > Pier: include the']),
      'Arch',
      'Pier',
    ),
    unmet: begun(sketch(['Arch | Pier'], ['Arch > Pier: has a']), 'Arch', 'Pier'),
  },
  'all-connected': { met: three, unmet: sketch(['*Bridge', 'Arch | Pier'], star.slice(0, 1)) },
  'links-per-topic': {
    params: { min: 2 },
    met: sketch(['*Bridge', 'Arch | Pier'], [...star, 'Arch > Pier: pushes on a']),
    unmet: three,
  },
  'from-root': {
    params: { follow: 'forward' },
    met: three,
    unmet: sketch(['*Bridge', 'Arch | Pier'], ['Bridge > Arch: has an', 'Pier > Bridge: holds a']),
  },
  'sits-under': {
    params: { kinds: ['part'], parents: ['family'] },
    met: sketch(['+Shapes', 'Arch | Beam'], ['Shapes > Arch: include the', 'Shapes > Beam: include the']),
    unmet: sketch(['+Shapes', 'Arch | Beam'], ['Shapes > Arch: include the', 'Arch > Beam: beats a']),
  },
  depth: {
    params: { min: 2 },
    met: sketch(['*Bridge', 'Arch', 'Keystone'], chain),
    unmet: sketch(['*Bridge', 'Arch'], chain.slice(0, 1)),
  },
  'main-branches': { params: { min: 2 }, met: three, unmet: sketch(['*Bridge', 'Arch', 'Keystone'], chain) },
  branching: {
    params: { maxChildren: 2 },
    met: three,
    unmet: sketch(['*Bridge', 'Arch | Pier | Deck'], [...star, 'Bridge > Deck: carries a']),
  },
  'cross-links': { met: sketch(branched, [...branches, 'Wind > Arch: shakes the']), unmet: sketch(branched, branches) },
  'no-cycles': {
    met: sketch(['*Bridge', 'Arch | Pier'], [...star, 'Arch > Pier: pushes on a']),
    unmet: sketch(
      ['*Bridge', 'Arch | Pier'],
      ['Bridge > Arch: has an', 'Arch > Pier: pushes on a', 'Pier > Bridge: holds the'],
    ),
  },
  'anchor-links': {
    params: { kind: 'target', linkKind: 'shows' },
    met: sketch(['Arch', '!Tell pushing from pulling'], ['Tell pushing from pulling > Arch'], {
      links: { 'Tell pushing from pulling > Arch': { kind: 'shows' } },
    }),
    unmet: sketch(['Arch', '!Tell pushing from pulling']),
  },
  'forms-cycle': {
    met: sketch(
      ['~Rain', '~River | ~Cloud'],
      ['Rain > River: fills the', 'River > Cloud: rises into a', 'Cloud > Rain: falls as'],
    ),
    unmet: sketch(['~Rain', '~River | ~Cloud'], ['Rain > River: fills the', 'River > Cloud: rises into a']),
  },
  'allowed-links': {
    params: { pairs: [['force', 'part']] },
    met: sketch(['^Wind | Tower'], ['Wind > Tower: shakes the']),
    unmet: sketch(['^Wind | Tower'], ['Tower > Wind: stands in the']),
  },
  'no-parallel-links': {
    met: says('Arch > Pier: pushes on a'),
    unmet: besideEachOther(sketch(['Arch |  | Pier'], ['Arch > Pier: pushes on a', 'Arch > Pier: stands on a'])),
  },
  'links-labelled': { met: says('Arch > Pier: pushes on a'), unmet: says('Arch > Pier') },
  'precise-phrases': { met: says('Arch > Pier: pushes on a'), unmet: says('Arch > Pier: is related to') },
  'arrowed-links': {
    met: says('Arch > Pier: pushes on a'),
    unmet: says('Arch > Pier: pushes on a', { arrow: 'none' }),
  },
  'phrase-variety': {
    met: sketch(
      ['Arch | Beam | Truss', 'Pier | Deck | Tower'],
      [
        'Arch > Pier: pushes on a',
        'Beam > Deck: carries a',
        'Truss > Tower: leans on a',
        'Arch > Beam: is older than a',
        'Beam > Truss: grew into a',
      ],
    ),
    unmet: sketch(
      ['Arch | Beam | Truss', 'Pier | Deck | Tower'],
      ['Arch > Pier: has', 'Beam > Deck: has', 'Truss > Tower: has', 'Arch > Beam: has', 'Beam > Truss: grew into a'],
    ),
  },
  'propositions-present': {
    params: { propositions: [proposition] },
    met: says('Arch > Pier: pushes on a'),
    unmet: says('Pier > Arch: pushes on an'),
  },
  'propositions-absent': {
    params: { propositions: [{ from: 'Pier', to: 'Arch', phrases: ['hangs'] }] },
    met: says('Arch > Pier: stands on a'),
    unmet: says('Pier > Arch: hangs from an'),
  },
  'like-reference': {
    given: { reference: three },
    met: three,
    unmet: sketch(['*Bridge', 'Arch | Pier'], ['Bridge > Arch: has an']),
  },
  'kind-style': {
    met: sketch(['Arch | ^Wind']),
    unmet: sketch(['Arch | ^Wind'], [], { topics: { Arch: { fill: '#f7d36a' } } }),
  },
  'link-style': {
    params: { linkKind: 'shows' },
    met: says('Arch > Pier: shows a', { kind: 'shows' }),
    unmet: says('Arch > Pier: shows a', { kind: 'shows', dash: 'solid', width: 1 }),
  },
  'fan-style': {
    params: { minFan: 2 },
    met: sketch(rows, fan, { links: { 'Arch > Pier': wide, 'Arch > Deck': wide } }),
    unmet: sketch(rows, fan),
  },
  'ink-contrast': {
    met: sketch(['Arch']),
    unmet: sketch(['Arch'], [], { topics: { Arch: { fill: '#7a6c3a', ink: '#5a4b26' } } }),
  },
  'pale-fills': {
    met: sketch(['Arch']),
    unmet: sketch(['Arch'], [], { topics: { Arch: { fill: '#35596a', ink: '#ffffff' } } }),
  },
  'text-size': { met: sketch(['Arch']), unmet: sketch(['Arch'], [], { topics: { Arch: { fontSize: 8 } } }) },
  'branch-colours': {
    met: sketch(branched, branches, {
      topics: {
        Shapes: { fill: '#f6dcd2' },
        Arch: { fill: '#f6dcd2' },
        Loads: { fill: '#d6dcf7' },
        Wind: { fill: '#d6dcf7' },
      },
    }),
    unmet: sketch(branched, branches),
  },
  'few-crossings': { met: uncrossed, unmet: crossed },
  'clear-text': {
    met: sketch(['Arch |  | Pier', 'Deck'], ['Arch > Pier: pushes on a']),
    unmet: sketch(['Arch | Deck | Pier'], ['Arch > Pier: pushes on a'], { links: { 'Arch > Pier': { z: 3 } } }),
  },
  'no-overlaps': {
    met: sketch(['Arch | Pier']),
    unmet: sketch(['Arch | Pier'], [], { topics: { Pier: { x: -45, y: 12 } } }),
  },
  'clear-phrases': {
    met: says('Arch > Pier: pushes on a'),
    unmet: sketch(['Arch |  | Pier', 'Deck'], ['Arch > Pier: pushes on a'], { topics: { Deck: { y: 16 } } }),
  },
  'short-links': {
    params: { max: 120 },
    met: sketch(['Arch | Pier'], ['Arch > Pier: has a']),
    unmet: sketch(['Arch |  |  | Pier'], ['Arch > Pier: has a']),
  },
  'in-sequence': {
    params: { axis: 'right' },
    met: sketch(['Dig | Pour | Build'], [], {
      topics: { Dig: { sequence: 1 }, Pour: { sequence: 2 }, Build: { sequence: 3 } },
    }),
    unmet: sketch(['Dig | Build | Pour'], [], {
      topics: { Dig: { sequence: 1 }, Pour: { sequence: 2 }, Build: { sequence: 3 } },
    }),
  },
  arrangement: {
    params: { form: 'downward' },
    met: sketch(['*Bridge', 'Arch', 'Keystone'], chain),
    unmet: sketch(['Keystone', '*Bridge', 'Arch'], chain),
  },
  'fits-paper': {
    params: { minPoint: 10 },
    met: three,
    unmet: sketch(['Arch | | | | | | | | Pier'], ['Arch > Pier: is far from a']),
  },
  'map-details': {
    params: { needs: ['title', 'author'] },
    met: sketch(['Arch'], [], { map: { title: 'Arches', author: 'Noor' } }),
    unmet: sketch(['Arch']),
  },
  tour: {
    params: { minStops: 2 },
    met: {
      ...three,
      tours: [
        {
          id: 'tour',
          title: 'Down',
          stops: [
            { topic: 'Bridge', words: '' },
            { topic: 'Pier', words: '' },
          ],
        },
      ],
    },
    unmet: three,
  },
  'group-share': {
    context: { members: ['noor', 'juno'] },
    met: sketch(['Arch | Pier'], [], { topics: { Arch: { by: 'noor' }, Pier: { by: 'juno' } } }),
    unmet: sketch(['Arch | Pier'], [], { topics: { Arch: { by: 'noor' }, Pier: { by: 'noor' } } }),
  },
  'on-time': {
    context: { due: '2026-03-02T17:00:00Z', handedIn: '2026-03-02T16:00:00Z' },
    unmetContext: { due: '2026-03-02T17:00:00Z', handedIn: '2026-03-02T18:00:00Z' },
    met: three,
    unmet: three,
  },
};
