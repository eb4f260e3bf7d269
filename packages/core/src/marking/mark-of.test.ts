import fc from 'fast-check';
import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { maps } from '../testing/random-maps.js';
import type { Assignment } from '../map/types.js';
import { checkMap } from '../checking/check-map.js';
import { leftToJudge, markOf, readForMarks } from './mark-of.js';
import { ownMark } from './own-mark.js';
import { NOVAK_GOWIN } from './structural-score.js';
import { PLAIN_MARKS } from './sum.js';
import { VERDICTS } from './verdicts.js';
import type { Verdict } from './verdicts.js';

const structural = { points: 5, full: 20, ...NOVAK_GOWIN, exampleKinds: ['own'] };
const asked: Assignment = assignmentOf({
  root: 'Bridge',
  requirements: [
    { id: 'r', type: 'links-labelled', params: {}, level: 'must', points: 3 },
    { id: 'x', type: 'link-count', params: { min: 1 }, level: 'extra', points: 1 },
  ],
  criteria: [
    { id: 'c', name: 'Insight', levels: [0, 2, 4].map((points) => ({ name: `${points}`, points, description: '' })) },
  ],
  marks: { ...PLAIN_MARKS, late: { perDay: 0.1, most: 0.5 }, propositions: { points: 4, full: 3 }, structural },
});
const DUE = new Date('2026-03-01T12:00:00Z');
const late = (days: number) => ({ due: DUE, handedIn: new Date(DUE.getTime() + days * 24 * 3_600_000) });
const nothing = { points: {}, levels: {} };

test('a reading outlives being written and read: what marks ask of a map needs no map', () => {
  fc.assert(
    fc.property(maps, fc.constantFrom<Verdict | undefined>(...VERDICTS, undefined), fc.nat(6), (map, verdict, days) => {
      const report = checkMap(map, asked);
      const reading = readForMarks(map, asked);
      const kept = JSON.parse(JSON.stringify(reading)) as typeof reading;
      const mark = (of: typeof reading) => markOf(report, of, asked, nothing, () => verdict, late(days));
      expect(mark(kept)).toEqual(mark(reading));
    }),
    { numRuns: 60 },
  );
});

test('its lines add up to the sum, which is never negative; what is left is counted as the page counts it', () => {
  fc.assert(
    fc.property(
      maps,
      fc.array(fc.constantFrom<Verdict | undefined>(...VERDICTS, undefined), { minLength: 12, maxLength: 12 }),
      fc.nat(9),
      (map, verdicts, days) => {
        const reading = readForMarks(map, asked);
        const keys = Object.keys(reading.held);
        const verdictOf = (key: string): Verdict | undefined => verdicts[keys.indexOf(key) % verdicts.length];
        const mark = markOf(
          checkMap(map, asked),
          reading,
          asked,
          { points: {}, levels: { c: 1 } },
          verdictOf,
          late(days),
        );
        expect(mark.lines.reduce((sum, { points }) => sum + points, 0)).toBeCloseTo(mark.sum, 9);
        expect(mark.sum).toBeGreaterThanOrEqual(-1e-9);
        expect(mark.propositionsToJudge).toBe(keys.filter((key) => verdictOf(key) === undefined).length);
        expect(leftToJudge(mark)).toBe(mark.propositionsToJudge + mark.toJudge.length);
      },
    ),
    { numRuns: 60 },
  );
});

test('where neither sentences nor structure count, none of them waits to be judged', () => {
  const plain = assignmentOf({ marks: PLAIN_MARKS });
  const map = mapOf([topic('a'), topic('b')], [link('a', 'b')]);
  const mark = markOf({ results: [] }, readForMarks(map, plain), plain, nothing, () => undefined, late(0));
  expect([leftToJudge(mark), mark.structure, mark.sum, mark.outOf]).toEqual([0, null, 0, 0]);
});

describe('ids that every object answers to', () => {
  const WORDS = ['constructor', 'toString', '__proto__', 'valueOf'];
  const named: Assignment = {
    ...asked,
    requirements: WORDS.map((id, i) => ({
      id,
      type: i === 0 ? 'links-labelled' : 'link-count',
      params: i === 0 ? {} : { min: 1 },
      level: 'must',
      points: 2,
    })),
    criteria: WORDS.map((id) => ({
      id,
      name: id,
      levels: [0, 1].map((points) => ({ name: `${points}`, points, description: '' })),
    })),
    marks: PLAIN_MARKS,
  };
  const map = mapOf([topic('a'), topic('b')], [link('a', 'b', { phrase: 'holds' })]);
  const report = checkMap(map, named);
  const read = (judgement: { points: Record<string, number>; levels: Record<string, number> }) =>
    markOf(report, readForMarks(map, named), named, judgement, () => undefined, { due: null, handedIn: null });
  const of = (value: number): Record<string, number> => Object.fromEntries(WORDS.map((id) => [id, value]));

  test('are judged by nobody until somebody does', () => {
    const mark = read(nothing);
    expect(mark.notJudged).toEqual(WORDS);
    expect(mark.sum).toBe(report.results.reduce((sum, { points }) => sum + points, 0));
    expect(mark.lines.reduce((sum, { points }) => sum + points, 0)).toBe(mark.sum);
    expect(mark.outOf).toBe(2 * WORDS.length + WORDS.length);
  });

  test('take points and levels like any other', () => {
    const mark = read({ points: of(0.5), levels: of(1) });
    expect(mark.notJudged).toEqual([]);
    expect(mark.sum).toBe(WORDS.length * 1.5);
    expect(mark.lines.filter(({ how }) => how === '1').map(({ what }) => what)).toEqual(WORDS);
  });

  test('are kept through being written and read', () => {
    const judgement = JSON.parse(JSON.stringify({ points: of(1), levels: of(0) })) as Parameters<typeof read>[0];
    expect(read(judgement).sum).toBe(WORDS.length);
    expect(read(judgement).notJudged).toEqual([]);
  });
});

test('one of a group has points more or fewer, never below nothing nor above what the group could have', () => {
  fc.assert(
    fc.property(maps, fc.double({ min: -20, max: 20, noNaN: true }), (map, value) => {
      const judgement = { points: {}, levels: {} };
      const group = markOf(checkMap(map, asked), readForMarks(map, asked), asked, judgement, () => undefined, {
        due: null,
        handedIn: null,
      });
      const own = ownMark(group, { value, reason: 'She drew it.' }, asked);
      expect(own.sum).toBeGreaterThanOrEqual(0);
      expect(own.sum).toBeLessThanOrEqual(Math.max(group.outOf, group.sum));
      expect(Math.sign(own.sum - group.sum) * Math.sign(value)).toBeGreaterThanOrEqual(0);
      expect(own.lines.reduce((sum, { points }) => sum + points, 0)).toBeCloseTo(own.sum, 6);
      expect(own.own).toEqual({ group: group.shown, reason: 'She drew it.' });
    }),
    { numRuns: 40 },
  );
});
