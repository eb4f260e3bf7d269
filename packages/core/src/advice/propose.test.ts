import { readdirSync, readFileSync } from 'node:fs';
import { understood } from '../formats/problems.js';
import path from 'node:path';
import fc from 'fast-check';
import type { Assignment, Requirement, TopicMap } from '../map/types.js';
import { readAssignmentText } from '../formats/assignment-file.js';
import { readMapText } from '../formats/map-file.js';
import { mend } from '../drawn/mend.js';
import { mapFromStarter } from '../drawn/start.js';
import { checkMap } from '../checking/check-map.js';
import { paramProblems, withDefaults } from '../requirements/params.js';
import { groupOf, requirementTypeOf, requirementTypes } from '../requirements/registry.js';
import { bridges, bridgesMap } from '../testing/bridges.js';
import { assignmentOf, mapOf, topic } from '../testing/make.js';
import { maps, need, whole } from '../testing/random-maps.js';
import { propose } from './propose.js';
import { roomBelow, SUGGESTIONS } from './suggestions.js';

const statuses = (map: TopicMap, assignment: Assignment, requirements: Requirement[]): string[] =>
  checkMap(map, { ...assignment, requirements }).results.map(({ status }) => status);

/** What holds of every proposal, whatever the map. */
function insistOn(map: TopicMap, assignment: Assignment): Requirement[] {
  const proposed = propose(map, assignment);
  expect(proposed.length).toBeLessThanOrEqual(12);
  expect(statuses(map, assignment, proposed).filter((status) => status !== 'met')).toEqual([]);
  const made = proposed.filter((one) => {
    const type = requirementTypeOf(one.type)!;
    return type.asks(withDefaults(type, one.params)) === 'made';
  });
  if (assignment.starter) expect(statuses(assignment.starter, assignment, made)).not.toContain('met');
  let count = 0;
  const begun = mapFromStarter(assignment, 'me', () => `b${++count}`);
  expect(statuses({ ...begun, author: '' }, assignment, made)).not.toContain('met');
  for (const one of proposed) expect(paramProblems(requirementTypeOf(one.type)!, one, '$')).toEqual([]);
  const ids = [...proposed, ...assignment.requirements].map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  const types = new Set(
    assignment.requirements.map(({ type, params }) => JSON.stringify([type, params.kind, params.linkKind])),
  );
  expect(
    proposed.filter(({ type, params }) => types.has(JSON.stringify([type, params.kind, params.linkKind]))),
  ).toEqual([]);
  return proposed;
}

test('a good map of a whole assignment suggests 6 to 12, from all groups', () => {
  const proposed = insistOn(bridgesMap(), bridges());
  expect(proposed.length).toBeGreaterThanOrEqual(6);
  expect(new Set(proposed.map(({ type }) => groupOf(type))).size).toBe(6);
  expect(proposed[0]).toMatchObject({ id: 'p1', type: 'all-terms-present', params: {}, level: 'must' });
});

test('numbers leave room', () => {
  expect([1, 2, 5, 9, 10, 23, 40].map(roomBelow)).toEqual([1, 1, 3, 5, 5, 15, 30]);
});

test('what is asked already is not proposed again, whatever its measure; nor is what nobody can fail', () => {
  const first = propose(bridgesMap(), bridges());
  const asked = [...first.slice(0, 5), need('cross-links', { min: 9 })];
  const again = insistOn(bridgesMap(), bridges(asked));
  expect(again.filter(({ type }) => type === 'cross-links' || type === 'all-terms-present')).toEqual([]);
  const fixed = propose(bridgesMap(), { ...bridges(), looks: 'fixed' });
  expect(fixed.map(({ type }) => type)).not.toContain('kind-style');
  expect(first.map(({ type }) => type)).toContain('kind-style');
});

test('the bare starter suggests only what is to be kept', () => {
  let count = 0;
  const proposed = insistOn(
    mapFromStarter(bridges(), '', () => `b${++count}`),
    bridges(),
  );
  expect(proposed.map(({ type }) => type)).toContain('terms-unchanged');
});

test('an empty map and one of a single topic suggest nothing that they do not meet', () => {
  expect(propose(mapOf([]), assignmentOf())).toEqual([]);
  insistOn(mapOf([topic('a')]), assignmentOf());
});

const cases = path.join(process.cwd(), 'packages/core/testdata/cases');
test.each(readdirSync(cases).filter((name) => !name.includes('.')))('all this holds of the maps of %s', (name) => {
  const file = (one: string): string => readFileSync(path.join(cases, name, one), 'utf8');
  const assignment = understood(readAssignmentText(file('assignment.json')));
  for (const one of readdirSync(path.join(cases, name)).filter((map) => map.startsWith('map-'))) {
    const { map } = mend(understood(readMapText(file(one))));
    insistOn(map, { ...assignment, requirements: [] });
    insistOn(map, assignment);
  }
});

test('all this holds of any map', () => {
  fc.assert(
    fc.property(maps, (map) => {
      insistOn(map, { ...whole, requirements: [] });
    }),
    { numRuns: 60 },
  );
});

test('every type suggests something but those that only a person can think of', () => {
  const never = requirementTypes()
    .map(({ id }) => id)
    .filter((id) => SUGGESTIONS[id] === SUGGESTIONS['on-time']);
  expect(never.sort()).toEqual(['blanks-filled', 'group-share', 'on-time', 'propositions-absent']);
});
