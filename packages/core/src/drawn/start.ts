import { emptyMap } from '../map/types.js';
import type { Assignment, Topic, TopicMap } from '../map/types.js';
import { markTypes, marksOf } from './drawn.js';
import type { AnyMark } from './drawn.js';

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
  const { topics, ...rest } = withNewIds(starter, newId, true);
  // A prompt is for the student to continue: in the copy it is a topic like any other.
  const begun = topics.map(({ toComplete: _prompt, ...topic }): Topic => topic);
  const { title: _title, author: _author, focusQuestion: _question, ...marks } = rest;
  return { ...base, ...marks, topics: begun };
}

/**
 * A map with new ids, so that what is drawn again is not taken for what was there; what stands on a topic that is not there
 * stays behind.
 * @param given whether topics and links remember what they were copied from
 */
export function withNewIds(map: TopicMap, newId: () => string, given = false): TopicMap {
  const newIds = new Map(map.topics.map((topic) => [topic.id, newId()]));
  const idOf = (id: string): string | undefined => newIds.get(id);
  const lists = markTypes
    .filter(({ isCopied }) => isCopied)
    .map((type) => [
      type.list,
      marksOf(map, type).flatMap((mark): AnyMark[] => {
        const copy = type.onTopics(mark, idOf);
        if (!copy) return [];
        const own = { ...copy, id: idOf(mark.id) ?? newId() };
        return [given && 'origin' in type.fields.may ? { ...own, origin: mark.id } : own];
      }),
    ]);
  const { title, author, focusQuestion } = map;
  return { ...emptyMap(), title, author, focusQuestion, ...(Object.fromEntries(lists) as Partial<TopicMap>) };
}
