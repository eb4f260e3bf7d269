import { assignmentOf, emptySheet } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';
import { changeWords } from './rule-words';

const rules: Assignment = {
  ...assignmentOf(emptySheet(), { starter: null, reference: null }),
  requirements: [{ id: 'rule-r1', type: 'all-connected', params: {}, level: 'must', points: 2 }],
  criteria: [{ id: 'rule-c1', name: 'Clear words', levels: [] }],
};

test.each([
  [{ of: 'requirement', id: 'rule-r1', does: 'changed' }, '“Everything is joined into one map” changes'],
  [{ of: 'requirement', id: 'gone', does: 'removed' }, 'A requirement that is no more among the rules goes'],
  [{ of: 'criterion', id: 'rule-c1', does: 'added' }, 'The criterion “Clear words” comes in'],
  [{ of: 'criterion', id: 'gone', does: 'removed' }, 'A criterion that is no more among the rules goes'],
  [{ of: 'topic kind', id: 'term', does: 'kept' }, 'The kind of topic “Term” stays as it was changed by hand'],
  [{ of: 'link kind', id: 'says', does: 'changed' }, 'The kind of link “says” changes'],
  [{ of: 'legend', does: 'changed' }, 'How the legend is given changes'],
])('%j reads “%s”', (change, words) => {
  expect(changeWords(change, rules)).toBe(words);
});
