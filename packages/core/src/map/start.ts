import type { Assignment, TopicMap } from './types.js';
import { emptyMap } from './types.js';

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
  return {
    ...base,
    topics: starter.topics.map(({ toComplete: _prompt, ...topic }) => ({
      ...topic,
      id: newIds.get(topic.id)!,
      origin: topic.id,
    })),
    links: starter.links.map((link) => ({
      ...link,
      id: newId(),
      from: newIds.get(link.from)!,
      to: newIds.get(link.to)!,
      origin: link.id,
    })),
    pictures: starter.pictures.map((picture) => ({ ...picture, id: newId() })),
    regions: starter.regions.map((region) => ({
      ...region,
      id: newId(),
      topics: region.topics.flatMap((id) => newIds.get(id) ?? []),
    })),
    groups: starter.groups.map((group) => ({
      ...group,
      id: newId(),
      topics: group.topics.flatMap((id) => newIds.get(id) ?? []),
    })),
  };
}
