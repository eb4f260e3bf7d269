import { COLLECTIONS, emptyMap, mend, sortMap } from '@ichnograph/core';
import type { Change, Collection, Dropped, TopicMap } from '@ichnograph/core';
import { generateKeyBetween } from 'fractional-indexing';
import * as Y from 'yjs';
import { isOrderKey } from './misfit.js';
import { isWritten, rewrite } from './written.js';

/**
 * How a topic map lies in a Yjs document: a Y.Map for each list, in it a Y.Map for each member under its id, its fields
 * plain values (the last writer wins) but for what people write, which is a Y.Text. Unknown fields are kept as they are.
 * Up to version 1 only notes were: `upgradeDocument`.
 */
export const SCHEMA_VERSION = 2;

const TITLE_FIELDS = ['title', 'author', 'focusQuestion'] as const;
const list = (doc: Y.Doc, name: Collection): Y.Map<Y.Map<unknown>> => doc.getMap(name);
/** A client may write what it likes into a document; what is no member is as good as not there. */
const isMember = (value: unknown): value is Y.Map<unknown> => value instanceof Y.Map;
const head = (doc: Y.Doc): Y.Map<unknown> => doc.getMap('head');

/** Everything that a person can undo; the counters are left out on purpose. */
export const undoScope = (doc: Y.Doc): Y.Map<unknown>[] => [head(doc), ...COLLECTIONS.map((name) => doc.getMap(name))];

/** Writes a whole map into an empty document. Only the server does this, in the transaction that creates a work. */
export function fillDocument(doc: Y.Doc, map: TopicMap): void {
  doc.transact(() => {
    head(doc).set('schema', SCHEMA_VERSION);
    for (const field of TITLE_FIELDS) head(doc).set(field, map[field]);
    for (const name of COLLECTIONS) {
      let order: string | null = null;
      for (const item of map[name]) {
        order = generateKeyBetween(order, null);
        list(doc, name).set(item.id, memberOf({ ...item, order }));
      }
    }
  });
}

/**
 * Brings a document of an earlier version to this one, in one transaction: words of topics, links and entries become texts
 * that two may write in at once. A page that has not heard of it yet may still write them plainly; that is read, and mended by
 * the next upgrade. Only the server does this, before anybody has the document.
 * @returns whether anything was changed
 */
export function upgradeDocument(doc: Y.Doc): boolean {
  let isChanged = false;
  doc.transact(() => {
    for (const name of COLLECTIONS)
      for (const member of list(doc, name).values()) {
        if (!isMember(member)) continue;
        for (const [field, value] of member.entries())
          if (isWritten(field) && typeof value === 'string') {
            member.set(field, new Y.Text(value));
            isChanged = true;
          }
      }
    if (head(doc).has('schema') && head(doc).get('schema') !== SCHEMA_VERSION) {
      head(doc).set('schema', SCHEMA_VERSION);
      isChanged = true;
    }
  });
  return isChanged;
}

/** Writes changes into a document. Run it inside a transaction: one gesture, one transaction. */
export function writeChanges(doc: Y.Doc, changes: readonly Change[]): void {
  const lastKeys = new Map<Collection, string | null>();
  for (const change of changes) {
    switch (change.do) {
      case 'add': {
        const last = lastKeys.get(change.to) ?? lastKey(list(doc, change.to));
        const order = change.item.order ?? generateKeyBetween(last, null);
        lastKeys.set(change.to, order);
        list(doc, change.to).set(change.item.id, memberOf({ ...change.item, order }));
        break;
      }
      case 'set': {
        const member = list(doc, change.in).get(change.id);
        if (isMember(member))
          for (const [field, value] of Object.entries(change.fields)) setField(member, field, value);
        break;
      }
      case 'remove':
        list(doc, change.from).delete(change.id);
        break;
      case 'entitle':
        for (const [field, value] of Object.entries(change.fields)) setField(head(doc), field, value);
        break;
    }
  }
}

function lastKey(members: Y.Map<Y.Map<unknown>>): string | null {
  let last: string | null = null;
  for (const member of members.values()) {
    const order = isMember(member) ? member.get('order') : undefined;
    // What is no key was written by nobody's page; nothing can be made beside it.
    if (isOrderKey(order) && (last === null || order > last)) last = order;
  }
  return last;
}

function memberOf(fields: object): Y.Map<unknown> {
  const member = new Y.Map<unknown>();
  for (const [field, value] of Object.entries(fields)) if (value !== undefined) member.set(field, stored(field, value));
  return member;
}

function setField(member: Y.Map<unknown>, field: string, value: unknown): void {
  const there = member.get(field);
  if (value === undefined) member.delete(field);
  // What two write in one text at a time is both kept: only what differs is written.
  else if (there instanceof Y.Text && typeof value === 'string') rewrite(there, value);
  else member.set(field, stored(field, value));
}

const stored = (field: string, value: unknown): unknown =>
  isWritten(field) && typeof value === 'string' ? new Y.Text(value) : value;

/**
 * A member as an object that has each field as its own, whatever the field is called. What lies deeper than any field
 * does is left out: walking it could break whoever walks.
 */
const plain = (member: Y.Map<unknown>): { id: string } =>
  Object.fromEntries(
    [...member.entries()].flatMap(([field, value]): [string, unknown][] => {
      if (value instanceof Y.Text) return [[field, value.toJSON()]];
      return value instanceof Y.AbstractType || !isShallow(value) ? [] : [[field, value]];
    }),
  ) as { id: string };

const DEEPEST = 16;
/** Level by level, so that depth costs no stack. */
function isShallow(value: unknown): boolean {
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > DEEPEST) return false;
    level = level.flatMap((one): unknown[] => (typeof one === 'object' && one !== null ? Object.values(one) : []));
  }
  return true;
}

export type Snapshot = { map: TopicMap; dropped: Dropped[] };

/** `mend(sort(document))`: the one meaning of a live map. */
export const snapshotOf = (doc: Y.Doc): Snapshot => mend(sortMap(rawMap(doc, () => undefined)));

/**
 * Reads a document again and again, giving back the very same topic or link when it did not change, so that screens
 * draw again only what did. `touched` says which members the last transactions changed.
 */
export class SnapshotReader {
  private readonly known = new Map<string, { id: string }>();

  constructor(private readonly doc: Y.Doc) {
    for (const name of COLLECTIONS) {
      list(doc, name).observeDeep((events) => {
        for (const event of events) {
          const [id] = event.path;
          const ids = typeof id === 'string' ? [id] : [...event.keys.keys()];
          for (const one of ids) this.known.delete(`${name}/${one}`);
        }
      });
    }
  }

  read(): Snapshot {
    return mend(
      sortMap(
        rawMap(this.doc, (key, member) => {
          const known = this.known.get(key);
          if (known) return known;
          const fresh = plain(member);
          this.known.set(key, fresh);
          return fresh;
        }),
      ),
    );
  }
}

function rawMap(doc: Y.Doc, remember: (key: string, member: Y.Map<unknown>) => { id: string } | undefined): TopicMap {
  const map = { ...emptyMap() } as Record<string, unknown>;
  for (const field of TITLE_FIELDS) {
    const value = head(doc).get(field);
    map[field] = typeof value === 'string' ? value : '';
  }
  for (const name of COLLECTIONS) {
    map[name] = [...list(doc, name)]
      .filter(([, member]) => isMember(member))
      // The key is the id, whatever the member says of itself.
      .map(([id, member]) => {
        const item = remember(`${name}/${id}`, member) ?? plain(member);
        return item.id === id ? item : { ...item, id };
      });
  }
  return map as unknown as TopicMap;
}

const counters = (doc: Y.Doc): Y.Map<number> => doc.getMap('counters');

/** Raises a client's counter of transactions. Outside undo; what a stored counter covers, is stored. */
export const setCounter = (doc: Y.Doc, client: string, count: number): void => {
  counters(doc).set(client, count);
};

/** Each client's count of transactions that this document holds. */
export const countersOf = (doc: Y.Doc): Record<string, number> =>
  Object.fromEntries([...counters(doc)].filter((entry) => typeof entry[1] === 'number'));
