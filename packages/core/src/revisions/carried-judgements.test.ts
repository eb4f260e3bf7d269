import type { Criterion } from '../map/types.js';
import type { Result } from '../requirements/types.js';
import { carriedJudgements } from './carried-judgements.js';

const criterion = (...names: string[]): Criterion => ({
  id: 'c',
  name: 'Insight',
  levels: names.map((name, points) => ({ name, points, description: '' })),
});
const result = (id: string, outOf: number, status = 'partly'): Result => ({ id, outOf, status }) as Result;
const carried = (points: Record<string, number>, level: number, after: Criterion[], results: Result[]) =>
  carriedJudgements({ points, levels: { c: level } }, [criterion('little', 'much')], after, results);

test('a level that another was put before keeps its name, not its place', () => {
  expect(carried({}, 1, [criterion('none', 'little', 'much')], []).levels).toEqual({ c: 2 });
});
test('a level that is gone, and one of a criterion that is gone, is to be judged again', () => {
  expect(carried({}, 1, [criterion('none', 'little')], []).levels).toEqual({});
  expect(carried({}, 1, [], []).levels).toEqual({});
});
test('points are cut to what a result is out of now, and go with what is asked no more', () => {
  expect(carried({ a: 3, b: 2, c: 1 }, 0, [], [result('a', 2), result('b', 2, 'not-applicable')]).points).toEqual({
    a: 2,
  });
});
