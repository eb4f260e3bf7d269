import { assignmentOf } from '../testing/make.js';
import { readAssignment, writeAssignment } from '../formats/assignment-file.js';
import { requirementSentence } from '../wording/say.js';
import { withDefaults } from './params.js';
import { requirementTypeOf, requirementTypes } from './registry.js';
import { startingRequirement } from './starting.js';

const ANSWERS = ['blanks-filled', 'propositions-present', 'propositions-absent', 'note-length'];

test.each(requirementTypes().map(({ id }) => id))('%s is taken up with what it needs, and reads', (id) => {
  const requirement = startingRequirement(id, assignmentOf(), { id: 'r' });
  const assignment = assignmentOf({ requirements: [requirement] });
  expect(requirementSentence(requirement, assignment).length).toBeGreaterThan(10);
  const type = requirementTypeOf(id)!;
  // What a figure would make ask for something, asks for something.
  if ('min' in type.params)
    expect(type.asksNothing?.(withDefaults(type, requirement.params), assignment) ?? false).toBe(false);
  const { messages } = readAssignment(writeAssignment(assignment));
  // What holds answers waits for them; all else could be given out as it is.
  if (!ANSWERS.includes(id)) expect(messages).toEqual([]);
  else for (const { path } of messages) expect(path).toMatch(/^\$\.requirements\[0\]\.params/);
});
