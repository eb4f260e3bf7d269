import { inGroups, numbered } from './listing.js';

const asked = ['no-overlaps', 'topic-count', 'few-crossings', 'all-connected', 'all-terms-present'].map((type) => ({
  type,
}));

test('a list is numbered in the order it is read: by group, and as the assignment has it within one', () => {
  expect(inGroups(asked).map(({ group, members }) => [group, members.map(({ type }) => type)])).toEqual([
    ['content', ['topic-count', 'all-terms-present']],
    ['structure', ['all-connected']],
    ['layout', ['no-overlaps', 'few-crossings']],
  ]);
  expect(numbered(asked).map(({ type, number }) => `${number} ${type}`)).toEqual([
    '1 topic-count',
    '2 all-terms-present',
    '3 all-connected',
    '4 no-overlaps',
    '5 few-crossings',
  ]);
  expect(numbered([])).toEqual([]);
});
