import type { SubmissionDetail } from '@ichnograph/contract';

/** What one does with an open map: marks it, marks it a second time and blind to the first, or reads it. */
export type Mode = 'marks' | 'marks second' | 'reads';

/** Whether nothing was handed in of the same work after it. */
export const isNewest = ({ submissions, id }: SubmissionDetail): boolean => submissions[0]?.id === id;

export function modeOf(detail: SubmissionDetail): Mode {
  const { marksSecond, state } = detail;
  if (marksSecond) return 'marks second';
  return isNewest(detail) && (state === 'handed in' || state === 'being marked') ? 'marks' : 'reads';
}
