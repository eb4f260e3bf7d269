import type { RequirementId } from '../requirements/registry.js';
import { MapIndex } from '../map-index/map-index.js';
import { mapFromStarter } from '../drawn/start.js';
import type { Assignment, Level, Requirement, TopicMap } from '../map/types.js';
import { resultOf } from '../checking/check-map.js';
import { withDefaults } from '../requirements/params.js';
import { requirementTypeOf } from '../requirements/registry.js';
import { GROUPS } from '../requirements/types.js';
import { cannotFail } from './cannot-fail.js';
import { SUGGESTIONS } from './suggestions.js';

/** What says most about a map first: what only this subject asks for, before what any good map should be. */
const BEST_FIRST: readonly RequirementId[] = [
  'all-terms-present',
  'cross-links',
  'links-labelled',
  'propositions-present',
  'kind-count',
  'prompts-answered',
  'all-connected',
  'right-kind',
  'kind-style',
  'few-crossings',
  'supporting-material',
  'tour',
  'main-branches',
  'precise-phrases',
  'anchor-links',
  'map-details',
  'like-reference',
  'starter-rewired',
  'in-sequence',
  'no-overlaps',
  'sits-under',
  'note-length',
  'terms-unchanged',
  'forms-cycle',
  'depth',
  'link-style',
  'branch-colours',
  'clear-text',
  'fan-style',
  'topic-count',
  'from-root',
  'arrangement',
  'fits-paper',
  'short-topics',
  'no-cycles',
  'links-per-topic',
  'phrase-variety',
  'short-links',
  'link-count',
  'allowed-links',
  'text-size',
  'ink-contrast',
  'no-duplicate-topics',
  'branching',
  'clear-phrases',
  'pale-fills',
  'arrowed-links',
  'no-parallel-links',
];
const MOST = 12;
/** How many requirements of one group at most: a sheet that only looks at layout is no sheet. */
const MOST_OF_A_GROUP = 3;

const LEVELS: Record<string, Level> = { content: 'must', structure: 'must', propositions: 'must' };

/**
 * The requirements that an example map suggests, best first, at most twelve. The example meets each. What asks for
 * something to be made is not met by the bare starter; what no student can fail, and what is asked already in any
 * measure, is left out. Each names only kinds and terms of the assignment.
 * @param map a mended, sorted snapshot: a reference, a starter, a student's map
 */
export function propose(map: TopicMap, assignment: Assignment): Requirement[] {
  const index = new MapIndex(map, assignment);
  const bare = bareMaps(assignment).map((one) => new MapIndex(one, assignment));
  const ids = new Set(assignment.requirements.map(({ id }) => id));
  const asked = new Set(assignment.requirements.map(broadSubjectOf));
  const fits = (requirement: Requirement): boolean => {
    const type = requirementTypeOf(requirement.type)!;
    if (asked.has(broadSubjectOf(requirement)) || cannotFail(requirement, assignment)) return false;
    if (resultOf(requirement, index).status !== 'met') return false;
    const isMade = type.asks(withDefaults(type, requirement.params)) === 'made';
    return !isMade || !bare.some((one) => resultOf(requirement, one).status === 'met');
  };
  const candidates = BEST_FIRST.flatMap((type) => {
    const group = requirementTypeOf(type)!.group;
    const [first, ...others] = SUGGESTIONS[type]({ index, assignment })
      .map((params): Requirement => ({ id: type, type, params, level: LEVELS[group] ?? 'should', points: 2 }))
      .filter(fits);
    // Of several measures of one thing only the first that fits; of several things each.
    return first ? [first, ...others.filter((one) => subjectOf(one) !== subjectOf(first))] : [];
  });
  return chosen(candidates).map((requirement, i) => {
    let id = `p${i + 1}`;
    while (ids.has(id)) id += "'";
    ids.add(id);
    return { ...requirement, id };
  });
}

/** One of each group that has something to say, then the best of what is left; in the order of what is best. */
function chosen(candidates: readonly Requirement[]): Requirement[] {
  const groupOf = ({ type }: Requirement): string => requirementTypeOf(type)!.group;
  const taken = new Set(GROUPS.flatMap((group) => candidates.find((one) => groupOf(one) === group) ?? []));
  for (const candidate of candidates) {
    if (taken.size >= MOST) break;
    const ofGroup = [...taken].filter((one) => groupOf(one) === groupOf(candidate)).length;
    if (ofGroup < MOST_OF_A_GROUP) taken.add(candidate);
  }
  return candidates.filter((one) => taken.has(one));
}

/** The bare starter, as it is written and as a student begins with it; without one, the empty map. */
export function bareMaps(assignment: Assignment): TopicMap[] {
  let count = 0;
  const begun = mapFromStarter(assignment, '', () => `new-${++count}`);
  return assignment.starter ? [assignment.starter, begun] : [begun];
}

/** What a requirement is about, its measures left out: two of one subject would ask the same thing twice. */
function subjectOf({ type, params }: Requirement): string {
  const { kind, kinds, linkKind, linkKinds, from, to } = params;
  return JSON.stringify([type, kind, kinds, linkKind, linkKinds, from, to].map((part) => part ?? null));
}

/** The same with sets of kinds left out too: whether one set asks less than another is not for us to guess. */
const broadSubjectOf = ({ type, params: { kind, linkKind } }: Requirement): string =>
  JSON.stringify([type, kind ?? null, linkKind ?? null]);
