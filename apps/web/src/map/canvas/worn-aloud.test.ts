import type { CommentRow } from '@ichnograph/contract';
import { wornAloud } from './worn-aloud';

const comment = (target: string, text: string): CommentRow =>
  ({ id: text, anchor: 'topic', target, text, answers: [], settled: false }) as unknown as CommentRow;

test('rings and comments of a mark are told as they stand on it; of what wears none nothing is', () => {
  const flags = new Map([
    [
      'a',
      [
        { number: 8, status: 'unmet' as const, requirement: 'r8' },
        { number: 10, status: 'partly' as const, requirement: 'r10' },
      ],
    ],
  ]);
  const comments = [comment('b', 'Say how.'), comment('a', 'Which load?')];
  expect(wornAloud('a', flags, comments)).toBe('Requirements 8, not met; 10, partly met. Comment b: Which load?');
  expect(wornAloud('b', flags, comments)).toBe('Comment a: Say how.');
  expect(wornAloud('c', flags, comments)).toBe('');
});
