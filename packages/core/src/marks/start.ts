import { emptyMap } from '../map/types.js';
import type { Assignment, Topic, TopicMap } from '../map/types.js';
import { markTypes, marksOf } from './marks.js';
import type { AnyMark } from './marks.js';

/**
 * The map a student begins with: the starter with new ids, each topic and link remembering its origin; without a
 * starter, an empty map. Title and focus question come from the assignment.
 */
export function mapFromStarter(
  { starter, title, focusQuestion }: Assignment,
  author: string,
  newId: () => string,
): TopicMap {
  const base = { ...emptyMap(), title, author, focusQuestion };
  if (!starter) return base;
  const newIds = new Map(starter.topics.map((topic) => [topic.id, newId()]));
  const idOf = (id: string): string | undefined => newIds.get(id);
  const lists = markTypes
    .filter(({ isCopied }) => isCopied)
    .map((type) => [
      type.list,
      marksOf(starter, type).flatMap((given): AnyMark[] => {
        const mark = type.onTopics(given, idOf);
        if (!mark) return [];
        const { toComplete: _prompt, ...rest } = mark as Topic;
        const own = { ...rest, id: idOf(given.id) ?? newId() };
        return ['origin' in type.fields.may ? { ...own, origin: given.id } : own];
      }),
    ]);
  return { ...base, ...(Object.fromEntries(lists) as Partial<TopicMap>) };
}
