import type { Report, Result } from '../requirements/types.js';
import { sumsOf } from './sums.js';

const result = (status: Result['status'], points: number, level: Result['level'] = 'must') =>
  ({ status, points, level }) as Result;
const report = (results: Result[], earned: number): Report => ({ results, earned, outOf: 10 }) as Report;

test('points of what is extra stand apart; what a marker must look at is counted', () => {
  const all = [
    result('met', 4),
    result('partly', 1.5),
    result('unmet', 0),
    result('judge', 0),
    result('not-applicable', 0),
    result('met', 1, 'extra'),
  ];
  expect(sumsOf(report(all, 6.5))).toEqual({ earned: 5.5, outOf: 10, extra: 1, flags: 3 });
});

test('sums of thirds are figures a person would write', () => {
  const third = 1 / 3;
  const all = [result('partly', third), result('partly', 2 * third, 'extra')];
  expect(sumsOf(report(all, 1))).toMatchObject({ earned: 0.33, extra: 0.67 });
});
