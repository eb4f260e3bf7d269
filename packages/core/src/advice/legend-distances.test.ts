import type { TopicKind } from '../map/types.js';
import { bridges } from '../testing/bridges.js';
import { legendDistances } from './legend-distances.js';

const kind = (id: string, fill: string, shape: TopicKind['shape'] = 'rectangle'): TopicKind => ({
  id,
  name: id,
  purpose: '',
  givenBy: 'teacher',
  shape,
  fill,
});
const distances = (...topicKinds: TopicKind[]) => legendDistances({ topicKinds });

test('red and green are apart for most, and near for eyes that lack green', () => {
  const [pair] = distances(kind('red', '#c86450'), kind('green', '#8f8a3c'));
  expect(pair!.distances.normal).toBeGreaterThan(25);
  expect(pair!.distances.deutan).toBeLessThan(pair!.distances.normal / 2);
});

test('two of one shape that only colour tells apart fall together in grey print, and that is said', () => {
  const [pair] = distances(kind('Part', '#d0e8d0'), kind('Force', '#f0d8e4'));
  expect(pair).toMatchObject({ kinds: ['Part', 'Force'], sameShape: true });
  expect(pair!.distances.normal).toBeGreaterThan(12);
  expect(pair!.close).toContain('grey');
  expect(pair!.close).not.toContain('normal');
  expect(pair!.sentence).toMatch(/^“Part” and “Force” have one shape .* in grey print\.$/);
});

test('of two shapes nothing is said; no fill is far from every fill and near none', () => {
  expect(distances(kind('a', '#d0e8d0'), kind('b', '#d0e8d0', 'ellipse'))[0]).toMatchObject({
    close: [],
    sentence: null,
  });
  const [filled, both] = [
    distances(kind('a', 'none'), kind('b', '#ffffff')),
    distances(kind('a', 'none'), kind('b', 'none')),
  ];
  expect(Object.values(filled[0]!.distances).every((far) => far === Infinity)).toBe(true);
  expect(both[0]!.close).toHaveLength(5);
});

test('every two of a legend once; none of nothing and of one', () => {
  const { legend } = bridges();
  expect(legendDistances(legend)).toHaveLength((legend.topicKinds.length * (legend.topicKinds.length - 1)) / 2);
  expect([distances(), distances(kind('a', '#ffffff'))]).toEqual([[], []]);
});
