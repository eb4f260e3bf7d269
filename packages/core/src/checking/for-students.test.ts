import { assignmentOf, link, mapOf, topic } from '../testing/make.js';
import { requirementSentence } from '../wording/say.js';
import { checkMap } from './check-map.js';
import { holdsAnswers, reportForStudents, withoutAnswers } from './for-students.js';
import { requirementTypes } from '../requirements/registry.js';

const SECRET = 'quoin';
const propositions = [{ from: 'Arch', to: SECRET, phrases: [`leans on the ${SECRET}`] }];
const assignment = assignmentOf({
  reference: mapOf([topic('r', { text: SECRET }), topic('s', { text: 'Arch' })], [link('r', 's')]),
  requirements: [
    { id: 'a', type: 'propositions-present', params: { propositions, min: 1 }, level: 'must', points: 2 },
    { id: 'b', type: 'propositions-absent', params: { propositions }, level: 'must', points: 1 },
    { id: 'c', type: 'like-reference', params: {}, level: 'must', points: 1 },
    {
      id: 'd',
      type: 'blanks-filled',
      params: { answers: [{ origin: 'x', accept: [SECRET] }] },
      level: 'must',
      points: 1,
    },
    { id: 'e', type: 'all-connected', params: {}, level: 'must', points: 1 },
  ],
});
const map = mapOf([topic('a', { text: 'Arch' }), topic('x', { text: 'wrong', origin: 'x' })]);

test('nothing that a student’s browser is sent names an answer, and every sentence reads as it did', () => {
  const theirs = withoutAnswers(assignment);
  expect(JSON.stringify(theirs)).not.toContain(SECRET);
  const [mine, sent] = [assignment, theirs].map((one) =>
    one.requirements.map((requirement) => requirementSentence(requirement, one)),
  );
  expect(sent).toEqual(mine);
  const full = checkMap(map, assignment);
  expect(JSON.stringify(full)).toContain(SECRET);
  const read = reportForStudents(full);
  expect(JSON.stringify(read)).not.toContain(SECRET);
  expect(read.results.map(({ fraction, points }) => [fraction, points])).toEqual(
    full.results.map(({ fraction, points }) => [fraction, points]),
  );
});

test('only types with answers are withheld; telling messages are ones the type has', () => {
  expect(assignment.requirements.map(holdsAnswers)).toEqual([true, true, true, true, false]);
  for (const { id, answers, messages } of requirementTypes())
    for (const key of answers?.telling ?? []) expect([id, key in messages]).toEqual([id, true]);
});
