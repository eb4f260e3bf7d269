import { boxesMeet } from '../geometry/boxes.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { detailAt } from './detail.js';

const { legend } = assignmentOf();
/** A root, `branches` headings in a row, and so many topics below each, in columns. */
function chapter(branches: number, each: number) {
  const topics = [topic('root', { text: 'All of it', x: (branches * 200) / 2, y: 0 })];
  const links = [];
  for (let b = 0; b < branches; b++) {
    topics.push(topic(`h${b}`, { text: `Heading number ${b}`, x: b * 200, y: 100 }));
    links.push(link('root', `h${b}`, { id: `to-h${b}` }));
    for (let i = 0; i < each; i++) {
      topics.push(topic(`t${b}-${i}`, { text: `Leaf ${i}`, x: b * 200, y: 160 + i * 60 }));
      links.push(link(`h${b}`, `t${b}-${i}`, { id: `to-t${b}-${i}` }));
    }
  }
  return mapOf(topics, links);
}

test('from near every word is drawn and no heading', () => {
  expect(detailAt(chapter(5, 8), legend, 1)).toEqual({ words: true, headings: [] });
  expect(detailAt(chapter(5, 8), legend, 8.01 / 14).words).toBe(true);
  expect(detailAt(mapOf([], []), legend, 0.1)).toEqual({ words: true, headings: [] });
  expect(detailAt(chapter(3, 8), legend, 0.1).words).toBe(true);
});

test('from afar headings stand over their branches, in letters of one size on the screen, none on another', () => {
  const map = chapter(5, 8);
  for (const scale of [0.56, 0.5, 0.44]) {
    const { words, headings } = detailAt(map, legend, scale);
    expect(words).toBe(false);
    expect(headings.map(({ id }) => id).sort()).toEqual(['h0', 'h1', 'h2', 'h3', 'h4', 'root']);
    for (const [i, { fontSize, box, around, at }] of headings.entries()) {
      expect(fontSize * scale).toBeCloseTo(13);
      expect(headings.slice(i + 1).some((other) => boxesMeet(box, other.box))).toBe(false);
      expect(at.x).toBeGreaterThanOrEqual(around.left);
      expect(at.x).toBeLessThanOrEqual(around.right);
    }
  }
});

test('where there is no room for all, those with most below them are left; every mark belongs to the nearest that is shown', () => {
  const map = chapter(12, 3);
  const { headings } = detailAt(map, legend, 0.09);
  expect(headings[0]!.id).toBe('root');
  expect(headings.length).toBeLessThan(13);
  const marks = headings.flatMap((heading) => heading.marks);
  expect(marks.toSorted()).toEqual([...map.topics, ...map.links].map(({ id }) => id).toSorted());
  const { headings: near } = detailAt(map, legend, 0.5);
  expect(near.find(({ id }) => id === 'h1')!.marks).toEqual([
    'h1',
    't1-0',
    't1-1',
    't1-2',
    'to-t1-0',
    'to-t1-1',
    'to-t1-2',
  ]);
});

test('what hangs together by nothing has no heading; a long heading is cut to two lines', () => {
  const loose = Array.from({ length: 40 }, (_, i) => topic(`a${i}`, { x: i * 200, y: 900 }));
  const long = topic('c', { text: 'very '.repeat(40), x: 900 });
  const map = mapOf([...loose, topic('b', { x: 400 }), long], [link('c', 'b')]);
  const { headings } = detailAt(map, legend, 0.3);
  expect(headings.map(({ id, lines }) => [id, lines.length])).toEqual([['c', 2]]);
});
