import { readAssignment, writeAssignment } from '../formats/assignment-file.js';
import { isStructural } from '../map/kinds.js';
import { understood } from '../formats/problems.js';
import { OWN_LEGEND, ownAssignment } from './own-legend.js';

test('a map of one’s own is drawn under an assignment that readers take, and that asks nothing', () => {
  const assignment = understood(readAssignment(writeAssignment(ownAssignment('', OWN_LEGEND))));
  expect(assignment).toMatchObject({ title: 'Own map', requirements: [], criteria: [], terms: [] });
  expect(assignment.legend).toEqual(OWN_LEGEND);
});

test('its kinds are told apart by shape and by name; a private note stands beside the structure', () => {
  const { topicKinds } = OWN_LEGEND;
  for (const looks of [topicKinds.map(({ shape }) => shape), topicKinds.map(({ name }) => name)])
    expect(new Set(looks).size).toBe(topicKinds.length);
  expect(topicKinds.filter((kind) => !isStructural(kind)).map(({ id }) => id)).toEqual(['private']);
});
