import type { SubmissionDetail } from '@ichnograph/contract';
import { isNewest, modeOf } from './mode';

const detail = (more: object): SubmissionDetail =>
  ({ id: 'b', marksSecond: false, state: 'handed in', submissions: [{ id: 'b' }, { id: 'a' }], ...more }) as never;

test.each<[object, string]>([
  [{}, 'marks'],
  [{ state: 'being marked' }, 'marks'],
  [{ state: 'returned' }, 'reads'],
  [{ state: 'in progress' }, 'reads'],
  [{ id: 'a' }, 'reads'],
  [{ marksSecond: true }, 'marks second'],
  [{ marksSecond: true, state: 'returned' }, 'marks second'],
])('with %j one %s', (more, mode) => {
  expect(modeOf(detail(more))).toBe(mode);
});

test('the newest is what nothing was handed in after', () => {
  expect([isNewest(detail({})), isNewest(detail({ id: 'a' })), isNewest(detail({ submissions: [] }))]).toEqual([
    true,
    false,
    false,
  ]);
});
