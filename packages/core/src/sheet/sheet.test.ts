import { EYES, legendDistances } from '../advice/legend-distances.js';
import { luminance } from '../map/colour.js';
import { PLAIN_MARKS } from '../marking/sum.js';
import { assignmentOf as makeAssignment, mapOf, topic } from '../testing/make.js';
import { readAssignment, writeAssignment } from '../formats/assignment-file.js';
import { emptySheet } from './empty-sheet.js';
import { PALETTES } from './palettes.js';
import { assignmentOf, isSheetPart, SHEET_PARTS, sheetOf } from './sheet.js';
import type { SheetPart } from './sheet.js';

const kindsOf = (looks: (typeof PALETTES)[number]['looks']) =>
  looks.map((look, i) => ({ id: `k${i}`, name: `k${i}`, purpose: '', givenBy: 'teacher' as const, ...look }));

describe.each(PALETTES)('the palette $name', ({ looks }) => {
  test('keeps every two kinds apart, for all eyes and in grey', () => {
    const pairs = legendDistances({ topicKinds: kindsOf(looks) });
    expect(pairs.filter(({ close }) => close.length > 0)).toEqual([]);
    const colours = EYES.filter((eyes) => eyes !== 'grey');
    for (const { distances } of pairs)
      expect(Math.min(...colours.map((eyes) => distances[eyes]))).toBeGreaterThanOrEqual(6);
  });
  test('is pale enough to print', () => {
    for (const { fill } of looks) expect(luminance(fill)).toBeGreaterThan(0.6);
  });
});

describe('a sheet', () => {
  const whole = makeAssignment({
    looks: 'fixed',
    root: 'Bridge',
    terms: [{ text: 'Arch' }],
    starter: mapOf([topic('t')]),
    requirements: [{ id: 'r', type: 'all-connected', params: {}, level: 'must', points: 1 }],
    criteria: [{ id: 'c', name: 'Insight', levels: [] }],
  });

  test('holds all of an assignment but its maps, and gives it back', () => {
    const other = { ...whole, marks: PLAIN_MARKS, drawing: { tidy: false, mostOwnTopics: 20 }, ours: true };
    for (const one of [whole, other])
      expect(assignmentOf(sheetOf(one), { starter: one.starter, reference: null })).toEqual(one);
  });
  test('says how many topics at most by a number that can be', () => {
    const { task } = sheetOf(whole);
    expect(isSheetPart('task', { ...task, drawing: { mostOwnTopics: 25 } })).toBe(true);
    for (const drawing of [{ mostOwnTopics: 0 }, { mostOwnTopics: '9' }, { tidy: 'no' }])
      expect([drawing, isSheetPart('task', { ...task, drawing })]).toEqual([drawing, false]);
  });
  test('leaves out what is switched off, guidance, and a map without topics', () => {
    const sheet = sheetOf(whole);
    const made = assignmentOf(
      {
        ...sheet,
        task: { ...sheet.task, guidance: 'Use it early.' },
        requirements: { requirements: [{ ...whole.requirements[0]!, off: true }] },
      },
      { starter: mapOf([]), reference: null },
    );
    expect(made).toMatchObject({ requirements: [], starter: null });
    expect(made).not.toHaveProperty('guidance');
  });
  test('begins empty, is a sheet, and with a title can be published', () => {
    const empty = emptySheet();
    for (const part of SHEET_PARTS) expect(isSheetPart(part, empty[part])).toBe(true);
    const made = assignmentOf({ ...empty, task: { ...empty.task, title: 'T' } }, { starter: null, reference: null });
    expect(readAssignment(writeAssignment(made)).messages).toEqual([]);
    expect(legendDistances(empty.legend.legend).flatMap(({ sentence }) => sentence ?? [])).toEqual([]);
  });
  test.each<[SheetPart, unknown]>([
    ['task', { title: 'x'.repeat(301), focusQuestion: '', brief: '', language: 'en' }],
    ['terms', { terms: [{ text: '' }] }],
    ['requirements', { requirements: [{ id: 'r', type: 'x', params: {}, level: 'perhaps', points: 1 }] }],
    ['marks', { marks: { late: { perDay: 2, most: 1 } } }],
    ['criteria', null],
  ])('takes no %s that is none', (part, body) => {
    expect(isSheetPart(part, body)).toBe(false);
  });
});
