import type { Criterion, MarkRules } from '../map/types.js';
import type { Result } from '../requirements/types.js';
import { onScale, toDecimals } from './scale.js';
import { lateShare, PLAIN_MARKS, sumOf } from './sum.js';
import type { Judgement } from './sum.js';

const result = (id: string, points: number, outOf: number, more: Partial<Result> = {}): Result => ({
  id,
  type: 'all-connected',
  level: 'must',
  status: 'partly',
  fraction: points / outOf,
  points,
  outOf,
  figures: {},
  evidence: [],
  code: 'is',
  ...more,
});
const nothing: Judgement = { points: {}, levels: {} };
const inTime = { due: null, handedIn: new Date('2026-03-01T12:00:00Z') };
const criterion: Criterion = {
  id: 'c',
  name: 'Insight',
  levels: [
    { name: 'little', points: 0, description: '' },
    { name: 'much', points: 4, description: '' },
    { name: 'some', points: 2, description: '' },
  ],
};

describe('the sum', () => {
  const results = [
    result('a', 2, 4),
    result('b', 1, 1, { level: 'extra', status: 'met' }),
    result('n', 0, 3, { status: 'not-applicable', fraction: null }),
  ];

  test('is of results, levels and extra points; what does not apply and what is extra is in no “out of”', () => {
    expect(sumOf({ results }, { criteria: [criterion] }, { ...nothing, levels: { c: 2 } }, inTime)).toMatchObject({
      earned: 5,
      extra: 1,
      outOf: 8,
      sum: 5,
      notJudged: [],
    });
  });
  test('takes a teacher’s points in place of a result’s, but none where it does not apply', () => {
    const judged = { ...nothing, points: { a: 4, n: 3 } };
    expect(sumOf({ results }, { criteria: [] }, judged, inTime)).toMatchObject({ earned: 5, outOf: 4 });
  });
  test('counts a criterion not judged as 0 and says it, and what the computer left to judge', () => {
    const judge = result('j', 0, 2, { status: 'judge' });
    expect(sumOf({ results: [judge] }, { criteria: [criterion] }, nothing, inTime)).toMatchObject({
      earned: 0,
      outOf: 6,
      notJudged: ['c'],
      toJudge: ['j'],
    });
    expect(sumOf({ results: [judge] }, { criteria: [] }, { ...nothing, points: { j: 0 } }, inTime).toJudge).toEqual([]);
  });
  test('gives propositions their share, shaky ones half, never more than their points', () => {
    const marks = { ...PLAIN_MARKS, propositions: { points: 6, full: 4 } };
    const of = (sound: number, shaky: number) =>
      sumOf({ results: [] }, { criteria: [], marks }, { ...nothing, verdicts: { sound, shaky, toJudge: 2 } }, inTime);
    expect(of(2, 1)).toMatchObject({ earned: 3.75, outOf: 6, propositionsToJudge: 2 });
    expect(of(9, 0).earned).toBe(6);
  });
  test('loses by the late rule a share of what it is out of, never below nothing', () => {
    const marks: MarkRules = { ...PLAIN_MARKS, late: { perDay: 0.25, most: 0.75 } };
    const by = (hours: number) =>
      sumOf({ results: [result('a', 2, 4)] }, { criteria: [], marks }, nothing, {
        due: new Date('2026-03-01T12:00:00Z'),
        handedIn: new Date(Date.parse('2026-03-01T12:00:00Z') + hours * 3_600_000),
      });
    expect([by(-1).sum, by(0).sum, by(0.1).sum, by(24).sum, by(24.1).sum, by(500).sum]).toEqual([2, 2, 1, 1, 0, 0]);
    expect(by(500).late).toBe(2);
  });
  test('is not late when nothing was handed in, or nothing was due', () => {
    const late = { perDay: 0.1, most: 1 };
    expect(lateShare({ late }, { due: new Date(0), handedIn: null })).toBe(0);
    expect(lateShare({ late }, { due: null, handedIn: new Date(1) })).toBe(0);
  });
});

describe('the scale', () => {
  const on = (sum: number, outOf: number, scale: MarkRules['scale']) => onScale({ sum, outOf }, { scale });

  test('rounds half up, once', () => {
    expect(toDecimals(2.25, 1)).toBe(2.3);
    expect(toDecimals(1.005, 2)).toBe(1.01);
    expect(on(12.25, 50, { as: 'points' })).toEqual({ as: 'points', sum: 12.3, outOf: 50 });
    expect(on(1, 3, { as: 'percent', decimals: 0 })).toEqual({ as: 'percent', percent: 33 });
  });
  test('names the highest threshold reached, before rounding', () => {
    const thresholds = [
      { name: 'begun', from: 0 },
      { name: 'secure', from: 0.7 },
      { name: 'going well', from: 0.3 },
    ];
    const named = (sum: number) => on(sum, 10, { as: 'named', thresholds });
    expect(named(6.999)).toEqual({ as: 'named', name: 'going well' });
    expect(named(0.1 * 70)).toEqual({ as: 'named', name: 'secure' });
    expect(on(1, 10, { as: 'named', thresholds: [{ name: 'x', from: 0.5 }] })).toEqual({ as: 'named', name: null });
  });
  test('passes at its share; of nothing nobody passes', () => {
    expect(on(6, 10, { as: 'pass', passAt: 0.6 })).toEqual({ as: 'pass', passed: true });
    expect(on(0, 0, { as: 'pass', passAt: 0.6 })).toEqual({ as: 'pass', passed: false });
  });
});
