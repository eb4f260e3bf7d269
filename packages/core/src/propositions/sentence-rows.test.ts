import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { sentenceRows, sentencesWith, sortedSentences } from './sentence-rows.js';

const map = mapOf(
  [topic('bridge', { kind: 'root' }), topic('arch', { kind: 'part' }), topic('deck'), topic('load'), topic('wind')],
  [
    link('bridge', 'arch'),
    link('bridge', 'deck', { phrase: 'Relates to' }),
    link('arch', 'load', { phrase: '' }),
    link('load', 'deck', { phrase: 'bends' }),
  ],
);
const rows = sentenceRows(map, assignmentOf());
const told = (list: typeof rows) => list.map(({ link: { id } }) => id);

test('each says its kinds, level, whether it joins branches, and what it lacks', () => {
  expect(rows.map(({ level, crosses, concern, fromKind }) => [level, crosses, concern, fromKind])).toEqual([
    [1, false, null, 'Bridge'],
    [1, false, 'vague', 'Bridge'],
    [2, false, 'blank', 'Part'],
    [2, true, null, ''],
  ]);
});

test('a teacher’s own list says what is vague', () => {
  const params = { vague: ['bends'] };
  const strict = assignmentOf({
    requirements: [{ id: 'p', type: 'precise-phrases', params, level: 'must', points: 1 }],
  });
  expect(sentenceRows(map, strict).map(({ concern }) => concern)).toEqual([null, null, 'blank', 'vague']);
});

test('sorted and found', () => {
  expect(told(sortedSentences(rows, 'concern', 'en'))).toEqual([
    'arch-load',
    'bridge-deck',
    'bridge-arch',
    'load-deck',
  ]);
  expect(told(sortedSentences(rows, 'to', 'en'))).toEqual(['bridge-arch', 'bridge-deck', 'load-deck', 'arch-load']);
  expect(told(sortedSentences(rows, 'level', 'en'))[0]).toBe('bridge-arch');
  expect(told(sentencesWith(rows, 'LOAD bends'))).toEqual(['load-deck']);
  expect(told(sentencesWith(rows, 'part'))).toEqual(['bridge-arch', 'arch-load']);
  expect(sentencesWith(rows, '  ')).toHaveLength(4);
});
