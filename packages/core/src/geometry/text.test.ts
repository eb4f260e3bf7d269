import fc from 'fast-check';
import { assignmentOf, topic } from '../testing/make.js';
import { SHAPES } from '../map/types.js';
import { drawTopic } from './draw-topic.js';
import { fitTopic, layoutTopic } from './fit.js';
import { layoutText, setTexts, textWidth } from './text.js';

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

test('what no shipped font has is laid out by its width class and marked for the drawing', () => {
  expect(layoutText('👍 arch', face, 500).lines[0]).toMatchObject({ foreign: true });
  expect(layoutText('ꦧꦱ', face, 500).lines[0]!.width).toBeGreaterThan(0);
  for (const text of ['arch', 'CO₂ → 橋', 'Łódź', 'ψυχή', 'цепь'])
    expect(layoutText(text, face, 500).lines[0]!.foreign).toBe(false);
});

test('lines are broken by the Unicode rules: after hyphens, between Han characters, at words of Thai, never within a letter', () => {
  expect(linesOf('mother-in-law', 60)).toEqual(['mother-', 'in-law']);
  expect(linesOf('光合作用は植物のはたらき。', 90)).toEqual(['光合作用は植', '物のはたら', 'き。']);
  expect(linesOf('การสังเคราะห์ด้วยแสงของพืช', 120).join('|')).toBe('การสังเคราะห์ด้วย|แสงของพืช');
  expect(linesOf('👩‍🌾👩‍🌾', 16)).toEqual(['👩‍🌾', '👩‍🌾']);
  expect(linesOf('photo\u00adsynthesis', 60)).toEqual(['photo-', 'synthesis']);
});

test('Han characters take the shapes of the language that the text is in', () => {
  const han = (text: string) => layoutText(text, face, 500).lines[0]!.han;
  expect([han('植物通过'), han('植物のはたらき'), han('식물 植物'), han('plant')]).toEqual([
    'chinese',
    'japanese',
    'korean',
    undefined,
  ]);
});

test('what runs from right to left is set in pieces from the left, brackets and figures where they belong', () => {
  const [line] = layoutText('שלום (CO2) 12 עולם!', face, 500).lines;
  expect(line).toMatchObject({ direction: 'rtl', text: 'שלום (CO2) 12 עולם!' });
  expect(line!.runs!.map(({ text, rtl }) => [text, rtl])).toEqual([
    ['עולם!', true],
    ['12', false],
    [')', true],
    ['CO2', false],
    ['שלום (', true],
  ]);
  const { runs, width } = line!;
  for (const [i, { x, width: own }] of runs!.entries())
    expect(x + own).toBeLessThanOrEqual((runs![i + 1]?.x ?? width) + 1e-9);
  expect(setTexts(line!)[1]).toEqual({ text: '12', x: runs![1]!.x });
  const [mixed] = layoutText('see שלום', face, 500).lines;
  expect(mixed!.direction).toBeUndefined();
  expect(mixed!.runs).toHaveLength(2);
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
