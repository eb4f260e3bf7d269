import { plainValue } from './plain.js';
import type { Unfit } from './plain.js';
import { LIMITS } from './types.js';
import type { Link, Topic, TopicMap } from './types.js';
import {
  BANK_FIELDS,
  BANK_NEEDS,
  GROUP_NEEDS,
  holds,
  isId,
  isKind,
  length,
  LINK_FIELDS,
  PICTURE_FIELDS,
  PICTURE_NEEDS,
  position,
  REGION_NEEDS,
  TITLE_ROOM,
  TOPIC_FIELDS,
  TOUR_NEEDS,
} from './values.js';
import type { Rules } from './values.js';

type TitleField = keyof typeof TITLE_ROOM;

export interface Dropped {
  what: 'topic' | 'link' | 'picture' | 'region' | 'group' | 'tour' | 'bank entry' | 'value';
  id: string;
  because: 'repeated id' | 'no id' | 'end is gone' | 'joins a topic to itself' | 'out of range' | Unfit;
  field?: string;
}

/**
 * Makes a map whole that may have come out of a merge: drops links whose end is gone, repeated ids and values out of
 * range. Pure and idempotent; a map with nothing wrong comes back as the very same object, and one that was mended is
 * one that the map file's reader takes.
 * Limits on the size of a map are not its business: the server refuses such a map whole.
 */
export function mend(map: TopicMap): { map: TopicMap; dropped: Dropped[] } {
  const dropped: Dropped[] = [];
  const seen = new Set<string>();
  const fresh = (what: Dropped['what'], id: unknown): id is string => {
    const because = !isId(id) ? 'no id' : seen.has(id as string) ? 'repeated id' : null;
    if (because) {
      dropped.push({ what, id: String(id), because });
      return false;
    }
    seen.add(id as string);
    return true;
  };
  const members = <T extends { id: string }>(
    what: Dropped['what'],
    list: readonly T[],
    needs: Rules,
    optional: Rules = {},
  ): readonly T[] =>
    keep(list, (raw) => {
      if (!fresh(what, raw.id)) return null;
      const item = plainMember(raw, dropped);
      if (holds(item, needs)) return withValues(item, {}, optional, dropped);
      dropped.push({ what, id: item.id, because: 'out of range' });
      return null;
    });

  const topics = keep(map.topics, (topic) =>
    fresh('topic', topic.id) ? mendTopic(plainMember(topic, dropped), dropped) : null,
  );
  const topicIds = new Set(topics.map((topic) => topic.id));
  const links = keep(map.links, (raw) => {
    if (!fresh('link', raw.id)) return null;
    const link = plainMember(raw, dropped);
    if (!topicIds.has(link.from) || !topicIds.has(link.to)) {
      dropped.push({ what: 'link', id: link.id, because: 'end is gone' });
      return null;
    }
    if (link.from === link.to) {
      dropped.push({ what: 'link', id: link.id, because: 'joins a topic to itself' });
      return null;
    }
    return mendLink(link, dropped);
  });
  const pictures = members('picture', map.pictures, PICTURE_NEEDS, PICTURE_FIELDS);
  const regions = members('region', map.regions, REGION_NEEDS);
  const groups = members('group', map.groups, GROUP_NEEDS);
  const tours = members('tour', map.tours, TOUR_NEEDS);
  const wordBank = members('bank entry', map.wordBank, BANK_NEEDS, BANK_FIELDS);
  const titles = titleBlock(map);

  const same =
    topics === map.topics &&
    links === map.links &&
    pictures === map.pictures &&
    regions === map.regions &&
    groups === map.groups &&
    tours === map.tours &&
    wordBank === map.wordBank &&
    titles === null;
  return {
    map: same ? map : { ...map, ...titles, topics, links, pictures, regions, groups, tours, wordBank },
    dropped,
  };
}

/** Cut to length; a character that is cut through becomes a replacement character. */
const cut = (text: string, most: number): string => text.slice(0, most).toWellFormed();

/** Members that were looked through once: a snapshot shares those that did not change with the one before. */
const PLAIN = new WeakSet<object>();

/** A member as plain JSON of its own, whatever a client put into it. */
function plainMember<T extends { id: string }>(member: T, dropped: Dropped[]): T {
  if (PLAIN.has(member)) return member;
  const plain = plainValue(member, (because) => dropped.push({ what: 'value', id: member.id, because })) as T;
  PLAIN.add(plain);
  return plain;
}

/** What of the title block is longer than it has room for, or holds halves of characters, made good; null when nothing is. */
function titleBlock(map: TopicMap): Partial<TopicMap> | null {
  const fields = Object.entries(TITLE_ROOM).map(([name, room]) => [name, cut(map[name as TitleField], room)] as const);
  const long = fields.filter(([name, value]) => value !== map[name as TitleField]);
  return long.length === 0 ? null : Object.fromEntries(long);
}

function mendTopic(topic: Topic, dropped: Dropped[]): Topic {
  const needed = {
    text: typeof topic.text === 'string' ? cut(topic.text, LIMITS.text) : '',
    kind: isKind(topic.kind) ? topic.kind : null,
    x: position(topic.x) ? topic.x : 0,
    y: position(topic.y) ? topic.y : 0,
    width: length(topic.width) ? topic.width : 120,
    height: length(topic.height) ? topic.height : 40,
  };
  return withValues(topic, needed, TOPIC_FIELDS, dropped);
}

function mendLink(link: Link, dropped: Dropped[]): Link {
  const needed = {
    phrase: typeof link.phrase === 'string' ? cut(link.phrase, LIMITS.text) : '',
    kind: isKind(link.kind) ? link.kind : null,
  };
  return withValues(link, needed, LINK_FIELDS, dropped);
}

function withValues<T extends { id: string }>(item: T, needed: Partial<T>, optional: Rules, dropped: Dropped[]): T {
  const mended = { ...item } as Record<string, unknown>;
  let changed = false;
  const lose = (field: string): void => {
    dropped.push({ what: 'value', id: item.id, field, because: 'out of range' });
    changed = true;
  };
  for (const [field, value] of Object.entries(needed)) {
    if (mended[field] === value) continue;
    lose(field);
    mended[field] = value;
  }
  for (const [field, allowed] of Object.entries(optional)) {
    if (mended[field] === undefined || allowed(mended[field])) continue;
    lose(field);
    delete mended[field];
  }
  return changed ? (mended as T) : item;
}

/** Maps a list, leaving out nulls; the same list when nothing changed. */
function keep<T>(list: readonly T[], mendOne: (item: T) => T | null): readonly T[] {
  const kept: T[] = [];
  let changed = false;
  for (const item of list) {
    const mended = mendOne(item);
    if (mended !== null) kept.push(mended);
    if (mended !== item) changed = true;
  }
  return changed ? kept : list;
}
