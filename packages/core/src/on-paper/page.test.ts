import fc from 'fast-check';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { bestPage, pointsOn, printedOn } from './page.js';
import type { Paper } from './page.js';
import { worksheetOf } from './worksheet.js';

const { legend } = assignmentOf();
const A4 = { paper: 'A4', sideways: true } as const;

describe('on paper', () => {
  test('a sheet is what ISO 216 says, less the margin of the printer', () => {
    const { width, height } = printedOn({ paper: 'A4', sideways: false });
    expect([Math.round(width), Math.round(height)]).toEqual([539, 785]);
    expect(printedOn(A4)).toEqual({ width: height, height: width });
  });
  test('letters are as large as on the screen where the map fits, smaller where it does not, larger on a larger sheet', () => {
    const small = mapOf([topic('a'), topic('b', { x: 200 })]);
    expect(pointsOn(small, legend, A4)).toBe(10.5);
    const wide = mapOf([topic('a'), topic('b', { x: 4000 })]);
    expect(pointsOn(wide, legend, A4)).toBeLessThan(4);
    expect(pointsOn(wide, legend, { paper: 'A3', sideways: true })).toBeGreaterThan(pointsOn(wide, legend, A4));
    expect(pointsOn(mapOf([]), legend, A4)).toBe(Infinity);
  });
  test('a high map stands, a wide one lies', () => {
    expect(bestPage(mapOf([topic('a'), topic('b', { y: 3000 })]), legend).sideways).toBe(false);
    expect(bestPage(mapOf([topic('a'), topic('b', { x: 3000 })]), legend).sideways).toBe(true);
  });
});

describe('a worksheet', () => {
  const map = mapOf(
    ['a', 'b', 'c', 'd', 'e', 'f'].map((id, i) => topic(id, { text: `Topic ${id}`, x: i * 200 })),
    [link('a', 'b', { phrase: 'pushes' }), link('b', 'c', { phrase: '' }), link('c', 'd', { phrase: 'pulls' })],
  );
  test('all words left out are beside it, none is on it; sizes and places stay', () => {
    const sheet = worksheetOf(map, { topics: 'all', phrases: 'all' }, 1);
    expect([...sheet.words].sort()).toEqual([...map.topics.map(({ text }) => text), 'pulls', 'pushes'].sort());
    expect(
      sheet.map.topics.every(({ text }, i) => text === '' && sheet.map.topics[i]!.width === map.topics[i]!.width),
    ).toBe(true);
    expect(sheet.map.links.map(({ phrase }) => phrase)).toEqual(['_______', '', '_______']);
  });
  test('some of them: a third, the same ones for the same seed, others for another', () => {
    const some = (seed: number): string[] => worksheetOf(map, { topics: 'some', phrases: 'none' }, seed).words;
    expect(some(1)).toHaveLength(2);
    expect(some(1)).toEqual(some(1));
    expect([2, 3, 4, 5].some((seed) => some(seed).join() !== some(1).join())).toBe(true);
  });
});

describe('a page for a map of any shape', () => {
  const wide = fc.integer({ min: 0, max: 9000 });
  const stretched = fc.record({ x: wide, y: wide }).map((far) => mapOf([topic('a'), topic('b', far)]));
  const at = (paper: Paper, sideways: boolean) => ({ paper, sideways });

  test('the best way round is never worse than the other, and a larger page never smaller in print', () => {
    fc.assert(
      fc.property(stretched, fc.nat(200), (map, below) => {
        const best = pointsOn(map, legend, bestPage(map, legend, below), below);
        for (const sideways of [true, false]) {
          const [small, large] = (['A4', 'A3'] as const).map((paper) =>
            pointsOn(map, legend, at(paper, sideways), below),
          );
          expect(best).toBeGreaterThanOrEqual(small!);
          expect(large).toBeGreaterThanOrEqual(small!);
        }
      }),
    );
  });

  test('what stands below it takes room from it, and letters are counted in whole halves of a point', () => {
    fc.assert(
      fc.property(stretched, fc.nat(400), (map, below) => {
        const [alone, above] = [0, below].map((under) => pointsOn(map, legend, at('A4', false), under));
        expect(above).toBeLessThanOrEqual(alone!);
        expect((above! * 2) % 1).toBe(0);
      }),
    );
  });

  test('an empty map has no letters that could be small', () => {
    expect(pointsOn(mapOf([]), legend, at('A4', true))).toBe(Infinity);
    expect(bestPage(mapOf([]), legend)).toEqual(at('A4', true));
  });
});
