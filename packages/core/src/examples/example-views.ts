import type { RequirementId } from '../requirements/registry.js';
import type { Assignment, Requirement, TopicMap } from '../map/types.js';
import { resultOf } from '../checking/check-map.js';
import { MapIndex } from '../map-index/map-index.js';
import type { Result } from '../requirements/types.js';
import { EXAMPLES } from './examples.js';
import { exampleAssignment } from './sketch.js';

export interface CheckedExample {
  assignment: Assignment;
  requirement: Requirement;
  met: { map: TopicMap; result: Result };
  unmet: { map: TopicMap; result: Result };
}

/** The two small maps of a type, checked now. */
export function checkedExample(type: RequirementId): CheckedExample {
  const example = EXAMPLES[type];
  const { given, params = {}, context, unmetContext = context, met, unmet } = example;
  const requirement: Requirement = { id: type, type, params, level: 'must', points: 1 };
  const assignment: Assignment = { ...exampleAssignment, ...given, requirements: [requirement] };
  const checked = (map: TopicMap, of: typeof context) => ({
    map,
    result: resultOf(requirement, new MapIndex(map, assignment), of),
  });
  return { assignment, requirement, met: checked(met, context), unmet: checked(unmet, unmetContext) };
}
