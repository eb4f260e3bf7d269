import { sentenceOf } from '../propositions/sentence.js';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { drawnMarks } from '../drawn/drawn.js';
import { mapToSvg } from './svg.js';

const { legend } = assignmentOf();

test('draws twice the same text, and nothing that was typed is more than text', () => {
  const map = {
    ...mapOf(
      [topic('a', { text: '<script>alert(1)</script>' }), topic('b', { x: 300, text: 'a\u0000b' })],
      [link('a', 'b', { phrase: '"&<' })],
    ),
    title: '</title><b>',
  };
  const svg = mapToSvg(map, legend);
  expect(mapToSvg(map, legend)).toBe(svg);
  expect(svg).not.toMatch(/<script|<b>/);
  expect(svg).not.toContain('\u0000');
  expect(svg).toContain('&#60;script&#62;');
});

test('a title block stands below with all its words, however long, and none of them is markup', () => {
  const block = {
    title: 'T'.repeat(300),
    focusQuestion: '<i>',
    drawnBy: 'Noor',
    assignment: '9B',
    state: 'Handed in',
    date: '24 Nov',
  };
  const svg = mapToSvg(mapOf([topic('a')]), legend, { block });
  expect(svg.match(/T/g)!.length).toBeGreaterThanOrEqual(300);
  expect(svg).toContain('&#60;i&#62;');
  const [, height] = /viewBox="\S+ \S+ \S+ (\S+)"/.exec(svg)!;
  expect(Number(height)).toBeGreaterThan(
    Number(/viewBox="\S+ \S+ \S+ (\S+)"/.exec(mapToSvg(mapOf([topic('a')]), legend))![1]) + 100,
  );
});

test('an empty map is a picture too', () => expect(mapToSvg(mapOf([]), legend)).toMatch(/^<svg .*<\/svg>$/));

test('draws by z, links before topics, then in file order', () => {
  const map = mapOf([topic('a'), topic('b', { z: 0 }), topic('c')], [link('a', 'b'), link('b', 'c', { z: 5 })]);
  expect(drawnMarks(map, legend).map(({ id }) => id)).toEqual(['a-b', 'b', 'a', 'c', 'b-c']);
});

test('a sentence reads along the arrow; a link beside the structure reads with its kind’s name', () => {
  const [a, b] = [topic('a', { text: 'An arch' }), topic('b', { text: 'its\nabutments' })];
  expect(sentenceOf(link('a', 'b', { phrase: 'pushes on' }), a, b, legend)).toBe('An arch pushes on its abutments.');
  expect(sentenceOf(link('a', 'b', { phrase: '' }), a, b, legend)).toBe('An arch … its abutments.');
  expect(sentenceOf(link('a', 'b', { phrase: ' ', kind: 'shows' }), a, b, legend)).toBe('An arch shows its abutments.');
});
