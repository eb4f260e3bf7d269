import { paramProblems } from './params.js';
import { requirementTypeOf } from './registry.js';

const problems = (type: string, params: Record<string, unknown>): string[] =>
  paramProblems(requirementTypeOf(type)!, { id: 'r', type, params, level: 'must', points: 1 }, '$.params').map(
    ({ path, reason }) => `${path} ${reason}`,
  );

test.each<[string, Record<string, unknown>, string[]]>([
  ['topic-count', { min: 3 }, []],
  ['topic-count', { least: 3 }, ['$.params.least “topic-count” has no such parameter']],
  ['topic-count', { toString: 3 }, ['$.params.toString “topic-count” has no such parameter']],
  ['topic-count', { min: '3' }, ['$.params.min must be a number']],
  ['topic-count', { min: Infinity }, ['$.params.min must be a number']],
  ['topic-count', { min: 2.5, max: -1 }, ['$.params.min must be a whole number', '$.params.max must be at least 0']],
  ['links-labelled', { minShare: 2 }, ['$.params.minShare must be at most 1']],
  ['kind-count', {}, ['$.params.kind is missing']],
  ['kind-count', { kind: ' ' }, ['$.params.kind must be a text that is not blank']],
  [
    'sits-under',
    { kinds: [], parents: ['a', 4] },
    ['$.params.kinds must hold at least one of texts', '$.params.parents[1] must be a text that is not blank'],
  ],
  ['clear-text', { excuseBehind: 'yes' }, ['$.params.excuseBehind must be true or false']],
  ['arrangement', { form: 'upward' }, ['$.params.form must be one of either, downward, outward']],
  ['map-details', { needs: ['title', 'date'] }, ['$.params.needs[1] must be one of title, author, focusQuestion']],
  ['allowed-links', { pairs: [['a', 'b'], ['a']] }, ['$.params.pairs[1] must be two kinds: from and to']],
  ['allowed-links', { pairs: 'a' }, ['$.params.pairs must be a list of pairs of kinds']],
  ['propositions-present', { propositions: [{ from: 'A', to: 'B', phrases: [] }] }, []],
  [
    'propositions-present',
    { propositions: {} },
    ['$.params.propositions must be a list of from, to, phrases, direction'],
  ],
  [
    'propositions-absent',
    { propositions: [null, { from: 'A', direction: 'up', way: 1 }] },
    [
      '$.params.propositions[0] must have from, to, phrases, direction',
      '$.params.propositions[1].way must be one of from, to, phrases, direction',
      '$.params.propositions[1].to is missing',
      '$.params.propositions[1].direction must be one of as-given, either',
    ],
  ],
  [
    'blanks-filled',
    { answers: [{ origin: 'a', accept: [''] }] },
    ['$.params.answers[0].accept[0] must be a text that is not blank'],
  ],
  ['note-length', { each: [{ branch: 'A' }] }, ['$.params.each[0].minWords is missing']],
])('%s %j', (type, params, expected) => {
  expect(problems(type, params)).toEqual(expected);
});
