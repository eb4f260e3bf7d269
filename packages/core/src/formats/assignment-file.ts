import type { Assignment, TopicMap } from '../map/types.js';
import { paramProblems } from '../requirements/params.js';
import type { Problem } from '../requirements/params.js';
import { groupOf, requirementTypeOf } from '../requirements/registry.js';
import { readMap, writeMap } from './map-file.js';
import { FileRefused, insist, parseJson, under } from './problems.js';
import { assignment as validateAssignment } from '#validators';

/** Reads an assignment file's parsed JSON, its maps included. Unknown fields are kept. Throws `FileRefused`. */
export function readAssignment(value: unknown): Assignment {
  insist('ichnograph-assignment', validateAssignment, value);
  const file = value as Assignment;
  const problems: Problem[] = [];
  const mapAt = (at: string, map: unknown): TopicMap | null => {
    if (map === null) return null;
    try {
      return readMap(map);
    } catch (error) {
      if (!(error instanceof FileRefused)) throw error;
      problems.push(...under(at, error.problems));
      return null;
    }
  };
  const starter = mapAt('$.starter', file.starter);
  const reference = mapAt('$.reference', file.reference);
  problems.push(
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
  );
  if (problems.length > 0) throw new FileRefused(problems);
  return { ...file, starter, reference };
}

export const readAssignmentText = (text: string): Assignment => readAssignment(parseJson(text));

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
