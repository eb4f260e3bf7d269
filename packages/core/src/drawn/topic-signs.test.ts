import fc from 'fast-check';
import { topic } from '../testing/make.js';
import type { Topic } from '../map/types.js';
import { drawSigns, signsOf, topicMarks } from './topic-signs.js';

const bare = topic('t', { width: 120, height: 40 });
const full: Topic = {
  ...bare,
  note: 'Carries the load.',
  source: 'p. 14',
  weblinks: [{ url: 'https://bridges.example/arch', title: 'Arches' }],
  marks: ['done', 'weak'],
};
/** The corners of what is drawn, from the coordinates of its outline. */
const squares = (of: Topic) =>
  drawSigns(of).flatMap((shape) => {
    if (shape.draw !== 'path' || shape.fill === 'none') return [];
    const [left, top, right, bottom] = shape.d.match(/-?[\d.]+/g)!.map(Number);
    return [{ left: left!, top: top!, right: right!, bottom: bottom! }];
  });

test('a topic that bears nothing has no signs', () => {
  expect(signsOf(bare)).toEqual([]);
  expect(drawSigns(bare)).toEqual([]);
  expect(signsOf({ ...bare, note: '  ', weblinks: [], marks: [] })).toEqual([]);
});

test('what it bears comes before the marks that were put on it, each once, in a fixed order', () => {
  expect(signsOf(full)).toEqual(['note', 'source', 'address', 'done', 'weak']);
  expect(signsOf({ ...full, marks: ['weak', 'done'] }).slice(-2)).toEqual(['weak', 'done']);
});

test('marks of another program are kept by the map and drawn by nobody', () => {
  expect(signsOf({ ...bare, marks: ['starred', 'constructor', 'question'] })).toEqual(['question']);
});

test('every mark has a sign with lines of its own', () => {
  const lines = topicMarks.map((mark) => {
    const [, stroke] = drawSigns({ ...bare, marks: [mark] });
    return stroke!.draw === 'path' ? stroke!.d : '';
  });
  expect(new Set(lines).size).toBe(topicMarks.length);
  for (const line of lines) expect(line).toMatch(/^M[-\d. ]+/);
});

test('signs stand side by side on the lower edge, from the right, and cover one another nowhere', () => {
  const boxes = squares(full);
  expect(boxes).toHaveLength(5);
  for (const { top, bottom, right } of boxes) {
    expect(top).toBeLessThan(20);
    expect(bottom).toBeGreaterThan(20);
    expect(right).toBeLessThanOrEqual(60);
  }
  const fromRight = [...boxes].sort((a, b) => b.left - a.left);
  expect(boxes).toEqual(fromRight);
  fromRight.slice(1).forEach((box, i) => expect(box.right).toBeLessThanOrEqual(fromRight[i]!.left));
});

test('its place in time is written over the upper left corner: the words before the number', () => {
  const written = (of: Partial<Topic>): string =>
    drawSigns({ ...bare, ...of })
      .flatMap((shape) => (shape.draw === 'words' ? shape.lines.map(({ text }) => text) : []))
      .join(' ');
  expect(written({ sequence: 3 })).toBe('3');
  expect(written({ sequence: 3, when: '1779' })).toBe('1779');
  expect(written({ sequence: 0 })).toBe('0');
  expect(written({ when: ' ' })).toBe('');
});

test('signs are where they are whatever the size of their topic: no figure is lost on the way', () => {
  fc.assert(
    fc.property(fc.integer({ min: 20, max: 600 }), fc.integer({ min: 20, max: 400 }), (width, height) => {
      for (const shape of drawSigns({ ...full, width, height, sequence: 7 }))
        if (shape.draw === 'path') expect(shape.d).not.toMatch(/NaN|undefined/);
      const [first] = squares({ ...full, width, height });
      expect(first!.right).toBeCloseTo(width / 2 - 4, 1);
      expect((first!.top + first!.bottom) / 2).toBeCloseTo(height / 2, 1);
    }),
  );
});
