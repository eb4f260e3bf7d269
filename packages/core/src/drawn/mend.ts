import { fits } from '../map/fields.js';
import type { Fields } from '../map/fields.js';
import { plainValue } from '../map/plain.js';
import type { Unfit } from '../map/plain.js';
import { TITLE_ROOM, TOPIC } from '../map/types.js';
import type { TopicMap } from '../map/types.js';
import { markTypes, marksOf } from './drawn.js';
import type { AnyMark } from './drawn.js';
import type { MarkType } from './mark-type.js';
import { cut } from './repair.js';

type TitleField = keyof typeof TITLE_ROOM;

export interface Dropped {
  what: MarkType['name'] | 'value';
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
  const ids = new Set<string>();
  let topicIds: ReadonlySet<string> = new Set();
  const mended: Partial<Record<string, unknown>> = {};
  let same = true;
  for (const type of markTypes) {
    const before = marksOf(map, type);
    const after = keep(before, (mark) => mendMark(type, mark, ids, (id) => topicIds.has(id), dropped));
    if (type.list === 'topics') topicIds = new Set(after.map(({ id }) => id));
    if (after !== before) same = false;
    mended[type.list] = after;
  }
  const titles = titleBlock(map);
  return { map: same && titles === null ? map : { ...map, ...titles, ...mended }, dropped };
}

/** @param ids of what is kept so far; it takes this one's too */
function mendMark(
  type: MarkType<AnyMark>,
  raw: AnyMark,
  ids: Set<string>,
  isTopic: (id: string) => boolean,
  dropped: Dropped[],
): AnyMark | null {
  const drop = (because: Dropped['because']): null => {
    dropped.push({ what: type.name, id: String(raw.id), because });
    return null;
  };
  if (!TOPIC.needs.id.allows(raw.id)) return drop('no id');
  if (ids.has(raw.id)) return drop('repeated id');
  ids.add(raw.id);
  const mark = plainMember(raw, dropped);
  const unfit = type.unfit?.(mark, isTopic);
  if (unfit) return drop(unfit);
  const repaired = type.repaired?.(mark);
  if (!repaired && !fits(mark, type.fields.needs)) return drop('out of range');
  return withValues(mark, repaired ?? {}, type.fields.may, dropped);
}

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

function withValues<T extends { id: string }>(item: T, needed: Partial<T>, may: Fields, dropped: Dropped[]): T {
  const raw = item as Readonly<Record<string, unknown>>;
  // A copy is made of what is wrong alone: nothing is, as a rule, and a map is mended at every change.
  let mended: Record<string, unknown> | null = null;
  const lose = (field: string): Record<string, unknown> => {
    dropped.push({ what: 'value', id: item.id, field, because: 'out of range' });
    return (mended ??= { ...raw });
  };
  for (const [field, value] of Object.entries(needed)) if (raw[field] !== value) lose(field)[field] = value;
  for (const [field, { allows }] of Object.entries(may))
    // What had to be set just now is as it must be.
    if (raw[field] !== undefined && !(field in needed) && !allows(raw[field])) delete lose(field)[field];
  return (mended as T | null) ?? item;
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
