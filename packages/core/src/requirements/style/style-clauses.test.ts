import { bridge, clauses, part, root, shows, target } from '../../testing/clauses.js';
import { assignmentOf, link, mapOf, topic } from '../../testing/make.js';

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
