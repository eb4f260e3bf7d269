import type { Assignment, TopicMap } from '../map/types.js';
import { paramProblems } from '../requirements/params.js';
import type { Problem } from '../requirements/params.js';
import { groupOf, requirementTypeOf } from '../requirements/registry.js';
import { readMap, writeMap } from './map-file.js';
import { problemsOf, readJson, strictly, under } from './problems.js';
import type { Reading } from './problems.js';
import { assignment as validateAssignment } from '#validators';

/** Reads an assignment file's parsed JSON, its maps included. Unknown fields are kept; nothing is taken half. */
export function readAssignment(value: unknown): Reading<Assignment> {
  const broken = problemsOf('ichnograph-assignment', validateAssignment, value);
  if (broken.length > 0) return { value: null, messages: broken };
  const file = value as Assignment;
  const mapOf = (map: unknown): Reading<TopicMap> => (map === null ? { value: null, messages: [] } : readMap(map));
  const [starter, reference] = [mapOf(file.starter), mapOf(file.reference)];
  const problems = [
    ...under('$.starter', starter.messages),
    ...under('$.reference', reference.messages),
    ...repeatedIds(file.legend.topicKinds, '$.legend.topicKinds'),
    ...repeatedIds(file.legend.linkKinds, '$.legend.linkKinds'),
    ...repeatedIds(file.requirements, '$.requirements'),
    ...repeatedIds(file.criteria, '$.criteria'),
    ...file.requirements.flatMap((requirement, i) => {
      const at = `$.requirements[${i}]`;
      if (!groupOf(requirement.type))
        return [{ path: `${at}.type`, reason: `“${requirement.type}” is no type of requirement` }];
      const type = requirementTypeOf(requirement.type);
      return type ? paramProblems(type, requirement, `${at}.params`) : [];
    }),
  ];
  return strictly({ ...file, starter: starter.value, reference: reference.value }, problems);
}

export const readAssignmentText = (text: string): Reading<Assignment> => readJson(text, readAssignment);

function repeatedIds(list: readonly { id: string }[], at: string): Problem[] {
  const seen = new Set<string>();
  return list.flatMap(({ id }, i) => {
    if (!seen.has(id)) {
      seen.add(id);
      return [];
    }
    return [{ path: `${at}[${i}].id`, reason: `“${id}” is used twice` }];
  });
}

/** The assignment as a file's JSON value; what was read comes out again. */
export function writeAssignment(assignment: Assignment): Record<string, unknown> {
  const { starter, reference } = assignment;
  return {
    ...assignment,
    format: 'ichnograph-assignment',
    version: 1,
    starter: starter && writeMap(starter),
    reference: reference && writeMap(reference),
  };
}
