import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { kindsUnknown, ontoLegend } from './onto-legend.js';
import { topicStyle } from './style.js';
import type { Legend, TopicKind } from './types.js';

const { legend } = assignmentOf();
const kind = (id: string, name: string, looks: Partial<TopicKind> = {}): TopicKind => ({
  id,
  name,
  purpose: '',
  givenBy: 'teacher',
  shape: 'hexagon',
  fill: '#ffeeaa',
  ...looks,
});
const other: Legend = {
  topicKinds: [
    kind('k1', ' PART '),
    kind('k2', 'Heading', { shape: 'parallelogram', fill: '#f6dcd2' }),
    kind('k3', 'Nothing here'),
  ],
  linkKinds: [
    { id: 'l1', name: 'Shows' },
    { id: 'l2', name: 'leads to', dash: 'dotted' },
  ],
};

test('kinds are taken over by name, then by looks, and what is neither keeps its looks', () => {
  const map = {
    ...mapOf(
      [topic('a', { kind: 'k1' }), topic('b', { kind: 'k2' }), topic('c', { kind: 'k3' }), topic('d')],
      [link('a', 'b', { kind: 'l1' }), link('b', 'c', { kind: 'l2' })],
    ),
    legend: other,
  };
  const { topics, links, ...rest } = ontoLegend(map, legend);
  expect(rest).not.toHaveProperty('legend');
  expect(topics.map((one) => one.kind)).toEqual(['part', 'own', null, null]);
  expect(topicStyle(topics[2]!, legend)).toMatchObject({ shape: 'hexagon', fill: '#ffeeaa' });
  expect(links.map((one) => one.kind)).toEqual(['shows', null]);
  expect(links[1]!.dash).toBe('dotted');
});

test('a map without a legend of its own names this one’s kinds', () => {
  const map = mapOf([topic('a', { kind: 'part' })]);
  expect(ontoLegend(map, legend)).toEqual(map);
});

test('names that a legend does not have are told, and what somebody said they stand for holds', () => {
  const own: Legend = {
    topicKinds: [
      { id: 'x', name: 'Pylon', purpose: '', givenBy: 'student', shape: 'hexagon', fill: '#123456' },
      { id: 'y', name: 'part', purpose: '', givenBy: 'student', shape: 'hexagon', fill: '#123456' },
    ],
    linkKinds: [{ id: 'z', name: 'drives' }],
  };
  const map = {
    ...mapOf([topic('a', { kind: 'x' }), topic('b', { kind: 'y' })], [link('a', 'b', { kind: 'z' })]),
    legend: own,
  };
  expect(kindsUnknown(map, legend)).toEqual({ topics: ['Pylon'], links: ['drives'] });
  const told = ontoLegend(map, legend, { pylon: 'own', drives: 'shows' });
  expect([...told.topics, ...told.links].map(({ kind }) => kind)).toEqual(['own', 'part', 'shows']);
  expect(ontoLegend(map, legend).topics[0]!.kind).toBeNull();
});
