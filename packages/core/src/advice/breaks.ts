import { checkMap } from '../checking/check-map.js';
import type { Assignment, CheckContext, Requirement, TopicMap } from '../map/types.js';
import type { Result } from '../requirements/types.js';

const CLOSE = 1e-9;

/** Asked of every map, whether its teacher asks for it or not: nobody is advised to lay lines over words. */
const CLEAR: Requirement[] = (['clear-text', 'no-overlaps'] as const).map((type) => ({
  id: `mend ${type}`,
  type,
  params: {},
  level: 'should',
  points: 0,
}));

/** Whether a mended map does worse than the first in anything but what is mended: advice leads into no other fault. */
export function breaksOf(
  map: TopicMap,
  assignment: Assignment,
  requirementId: string,
  context: CheckContext = {},
): (mended: TopicMap) => boolean {
  const others = assignment.requirements.filter(({ id }) => id !== requirementId);
  const rest: Assignment = { ...assignment, requirements: [...others, ...CLEAR] };
  let before: Result[] | null = null;
  return (mended) => {
    before ??= checkMap(map, rest, context).results;
    return checkMap(mended, rest, context).results.some(
      ({ fraction }, i) => fraction !== null && fraction < (before![i]!.fraction ?? 0) - CLOSE,
    );
  };
}
