import type { RequirementId } from '../requirements/registry.js';
import type { Assignment, CheckContext, Requirement, TopicMap } from '../map/types.js';
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
  return checkedPair(assignment, requirement, { map: met, context }, { map: unmet, context: unmetContext });
}

interface Made {
  map: TopicMap;
  context: CheckContext | undefined;
}

export function checkedPair(assignment: Assignment, requirement: Requirement, met: Made, unmet: Made): CheckedExample {
  const checked = ({ map, context }: Made) => ({
    map,
    result: resultOf(requirement, new MapIndex(map, assignment), context),
  });
  return { assignment, requirement, met: checked(met), unmet: checked(unmet) };
}
