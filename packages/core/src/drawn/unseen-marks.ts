import { BANK_ENTRY, GROUP, TOUR } from '../map/types.js';
import type { BankEntry, Group, Tour } from '../map/types.js';
import type { MarkType } from './mark-type.js';

/** What a map holds that is not itself drawn: topics that belong together, ways through a map, terms that wait. */

const unseen = { bounds: () => null, draw: () => null, hits: () => false } as const;

export const groupMark: MarkType<Group> = {
  ...unseen,
  list: 'groups',
  name: 'group',
  fields: GROUP,
  topics: ({ topics }) => topics,
  onTopics: (group, idOf) => {
    const topics = group.topics.flatMap((id) => idOf(id) ?? []);
    return topics.length === 0 && group.topics.length > 0 ? null : { ...group, topics };
  },
  isCopied: true,
  moved: (group) => group,
};

export const tourMark: MarkType<Tour> = {
  ...unseen,
  list: 'tours',
  name: 'tour',
  fields: TOUR,
  topics: ({ stops }) => stops.map(({ topic }) => topic),
  onTopics: (tour, idOf) => {
    const stops = tour.stops.flatMap((stop) => {
      const topic = idOf(stop.topic);
      return topic === undefined ? [] : [{ ...stop, topic }];
    });
    return stops.length === 0 && tour.stops.length > 0 ? null : { ...tour, stops };
  },
  // A way through a map is its author's: a part of it elsewhere is none.
  isCopied: false,
  moved: (tour) => tour,
};

export const bankMark: MarkType<BankEntry> = {
  ...unseen,
  list: 'wordBank',
  name: 'bank entry',
  fields: BANK_ENTRY,
  topics: () => [],
  onTopics: (entry) => entry,
  isCopied: false,
  moved: (entry) => entry,
};
