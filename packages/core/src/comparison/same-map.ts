import equal from 'fast-deep-equal';
import { COLLECTIONS } from '../map/types.js';
import type { TopicMap } from '../map/types.js';

/** Who made a mark and where its document has it in order are not seen; what waits in the bank is not on the map. */
const NOT_SEEN = new Set(['by', 'order']);
const DRAWN = COLLECTIONS.filter((list) => list !== 'wordBank');

const seen = (mark: object): Record<string, unknown> =>
  Object.fromEntries(Object.entries(mark).filter(([name, value]) => !NOT_SEEN.has(name) && value !== undefined));

/** Whether two states of one map show the same: marks by their ids, in their order, and the title block without its author. */
export const isSameMap = (one: TopicMap, other: TopicMap): boolean =>
  one.title === other.title &&
  one.focusQuestion === other.focusQuestion &&
  DRAWN.every((list) => equal(one[list].map(seen), other[list].map(seen)));

/** The marks that differ between two states of one map, the title block counting as one. */
export function countChanged(one: TopicMap, other: TopicMap): number {
  const ofList = (list: (typeof DRAWN)[number]): number => {
    const before = new Map(one[list].map((mark) => [mark.id, seen(mark)]));
    const changed = other[list].filter((mark) => !equal(before.get(mark.id), seen(mark))).length;
    const now = new Set(other[list].map(({ id }) => id));
    return changed + [...before.keys()].filter((id) => !now.has(id)).length;
  };
  const title = one.title !== other.title || one.focusQuestion !== other.focusQuestion ? 1 : 0;
  return title + DRAWN.reduce((sum, list) => sum + ofList(list), 0);
}
