import type { ReasonCode } from './reasons.js';
import type { Collection, MemberOf, TopicMap } from './types.js';

/** The four things that can happen to a map. A list of them is one gesture: one transaction, one undo step. */
export type Change =
  | { [C in Collection]: { do: 'add'; to: C; item: MemberOf<C> } }[Collection]
  | { do: 'set'; in: Collection; id: string; fields: Record<string, unknown> }
  | { do: 'remove'; from: Collection; id: string }
  | { do: 'entitle'; fields: Partial<Pick<TopicMap, 'title' | 'author' | 'focusQuestion'>> };

/** Why a command will not: a code, for which `wording/` has the sentence, and what it is about. */
export interface Refusal {
  code: ReasonCode;
  data?: Readonly<Record<string, string | number>>;
}

/** What a command answers: what would change, or why it will not. */
export type Outcome = { ok: true; changes: Change[] } | ({ ok: false } & Refusal);

/** Facts that commands may not make up: who does it, and the ids of what is new. */
export interface Maker {
  newId: () => string;
  by: string;
}

export const done = (...changes: Change[]): Outcome => ({ ok: true, changes });
export const refused = (code: ReasonCode, data?: Refusal['data']): Outcome => ({
  ok: false,
  code,
  ...(data && { data }),
});

/**
 * The map after the changes. A field set to `undefined` is taken away. Changes that speak of what is gone do nothing,
 * and a list of changes that does nothing gives back the very same map.
 */
export function applyChanges(map: TopicMap, changes: readonly Change[]): TopicMap {
  return changes.reduce(applyChange, map);
}

function applyChange(map: TopicMap, change: Change): TopicMap {
  switch (change.do) {
    case 'add':
      return { ...map, [change.to]: [...map[change.to], change.item] };
    case 'remove': {
      const list = map[change.from] as readonly { id: string }[];
      const left = list.filter((item) => item.id !== change.id);
      return left.length === list.length ? map : { ...map, [change.from]: left };
    }
    case 'set': {
      const list = map[change.in] as readonly { id: string }[];
      const index = list.findIndex((item) => item.id === change.id);
      const item = list[index];
      if (!item) return map;
      const next = withFields(item, change.fields);
      return next === item ? map : { ...map, [change.in]: list.with(index, next) };
    }
    case 'entitle':
      return withFields(map, change.fields);
  }
}

function withFields<T extends object>(item: T, fields: Record<string, unknown>): T {
  const entries = Object.entries(fields).filter(([name, value]) => (item as Record<string, unknown>)[name] !== value);
  if (entries.length === 0) return item;
  const next = { ...item } as Record<string, unknown>;
  for (const [name, value] of entries) {
    if (value === undefined) delete next[name];
    else next[name] = value;
  }
  return next as T;
}
