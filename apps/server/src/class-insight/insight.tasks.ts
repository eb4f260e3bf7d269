import { CannotWeigh, learnWeights, smallestMend } from '@ichnograph/core';
import type { Assignment, CheckContext, LearnedWeights, SmallestMend, TopicMap } from '@ichnograph/core';
import { unpacked } from '../workers/thread.js';

interface MendTask {
  map: TopicMap;
  assignment: Assignment;
  context: CheckContext;
  requirement: string;
}

/** Milliseconds that looking for a mend may take. */
const MEND_LIMIT = 8000;

/** The fewest edits that would meet a requirement, as far as they are found in time. */
export const mend = unpacked(({ map, assignment, requirement, context }: MendTask): SmallestMend | null => {
  const end = performance.now() + MEND_LIMIT;
  return smallestMend(map, assignment, requirement, context, () => performance.now() > end);
});

interface WeighTask {
  maps: TopicMap[];
  marks: number[];
  assignment: Assignment;
}

/** The points that reproduce marks given by feel; a sentence where none can be learned. */
export const weigh = unpacked(({ maps, marks, assignment }: WeighTask): LearnedWeights | string => {
  try {
    return learnWeights(maps, marks, assignment);
  } catch (error) {
    if (error instanceof CannotWeigh) return error.message;
    throw error;
  }
});
