import fc from 'fast-check';
import { assignmentOf, topic } from '../testing/make.js';
import { SHAPES } from '../map/types.js';
import { drawTopic } from './draw-topic.js';
import { fitTopic, layoutTopic } from './fit.js';
import { layoutText, textWidth } from './text.js';

const face = { fontSize: 14 };
const linesOf = (text: string, width: number): string[] => layoutText(text, face, width).lines.map((line) => line.text);

test('widths come from the shipped fonts, bold wider than regular, twice the size twice as wide', () => {
  expect(textWidth('Arch', face)).toBeGreaterThan(20);
  expect(textWidth('Arch', { fontSize: 28 })).toBeCloseTo(2 * textWidth('Arch', face), 9);
  expect(textWidth('Arch', { ...face, bold: true })).toBeGreaterThan(textWidth('Arch', face));
});

test('breaks at spaces, at line breaks, and inside a word only where the word alone is too wide', () => {
  expect(linesOf('trace a load to the ground', 90)).toEqual(['trace a load to', 'the ground']);
  expect(linesOf('one\ntwo', 500)).toEqual(['one', 'two']);
  expect(linesOf('', 500)).toEqual(['']);
  expect(linesOf('unbreakable'.repeat(4), 100).length).toBeGreaterThan(2);
});

test('no line is wider than asked, and no letter is lost', () => {
  fc.assert(
    fc.property(
      fc.string({ unit: fc.constantFrom('a', 'W', 'i', ' ', 'é', '橋', '\n'), maxLength: 80 }),
      fc.integer({ min: 40, max: 300 }),
      (text, width) => {
        const { lines } = layoutText(text, face, width);
        for (const line of lines) expect(line.width).toBeLessThanOrEqual(width + 1e-9);
        expect(
          lines
            .map((line) => line.text)
            .join('')
            .replace(/\s/g, ''),
        ).toBe(text.replace(/\s/g, ''));
      },
    ),
  );
});

test('scripts the fonts lack are laid out by their width class and marked for the drawing', () => {
  expect(layoutText('橋', face, 500).lines[0]).toMatchObject({ width: 14, foreign: true });
  expect(layoutText('arch', face, 500).lines[0]!.foreign).toBe(false);
});

test('a topic is the greater of what its text needs and what was set by hand; its lines stay as fitted', () => {
  const { legend } = assignmentOf();
  for (const shape of SHAPES) {
    for (const text of ['Arch', 'snow plough on Mill Lane in the year of the great flood', 'W'.repeat(300)]) {
      const draft = topic('t', { text, shape });
      const fitted = { ...draft, ...fitTopic(draft, legend) };
      expect(fitTopic(fitted, legend)).toEqual({ width: fitted.width, height: fitted.height });
      expect(layoutTopic(fitted, legend).height).toBeLessThanOrEqual(fitted.height);
      expect(
        drawTopic(fitted, legend).lines.every(
          ({ x, width }) => x >= -fitted.width / 2 && x + width <= fitted.width / 2,
        ),
      ).toBe(true);
    }
  }
  expect(fitTopic(topic('t', { minWidth: 301, minHeight: 90 }), legend)).toEqual({ width: 302, height: 90 });
});
