import { COLLECTIONS, LIMITS } from '@ichnograph/core';
import type { Collection } from '@ichnograph/core';
import { generateKeyBetween } from 'fractional-indexing';
import * as Y from 'yjs';
import { isWritten } from './written.js';

/** Why an update is not taken; said to the client that sent it, and in the log. */
export type Misfit =
  | 'unreadable'
  | 'gap'
  | 'unknown collection'
  | 'wrong type'
  | 'bad key'
  | 'bad order'
  | 'too deep'
  | 'too long'
  | 'too many'
  | 'not yours';

/** How many members a list may have; a little more than a map that can be handed in. */
const MOST: Record<Collection, number> = {
  topics: LIMITS.topics * 1.1,
  links: LIMITS.links * 1.1,
  pictures: 2000,
  regions: 2000,
  groups: 2000,
  tours: 200,
  wordBank: 2000,
};
/** Tabs that ever drew on one document. */
const MOST_COUNTERS = 5000;
const MOST_FIELDS = 200;
const LONGEST_KEY = 200;
const LONGEST_ORDER = 400;
/** Of any plain value: how deep it is nested, how many values it has in all, how many characters. */
const VALUE = { depth: 8, values: 20_000, characters: 400_000 };
const LONGEST_RUN = LIMITS.note * 2;
const HEAD: readonly string[] = ['title', 'author', 'focusQuestion'];

/** Where something of a document lies. `gone`: in what is deleted, so that nobody will ever read it. */
type Place = { at: 'list'; name: string } | { at: 'member'; of: Y.Item } | { at: 'text' } | { at: 'gone' };

class Unfit extends Error {
  constructor(readonly misfit: Misfit) {
    super(misfit);
  }
}

/**
 * Takes an update apart before it is kept or passed on, and looks at everything in it that is new to the document, in the
 * document's own shape: known lists, members with plain fields, what is written as text, keys of an order, sizes and counts; nothing
 * that would wait for something not there. What is in the document already may come again as often as it likes.
 * @returns what is wrong with it, or the ids of the clients whose changes it brings
 */
export function lookAtUpdate(doc: Y.Doc, update: Uint8Array): { misfit: Misfit } | { clients: number[] } {
  try {
    return { clients: new Look(doc, decoded(update)).clients() };
  } catch (error) {
    if (error instanceof Unfit) return { misfit: error.misfit };
    throw error;
  }
}

type Content = Y.Item['content'];
type Decoded = ReturnType<typeof Y.decodeUpdate>;
type Struct = Decoded['structs'][number];

function decoded(update: Uint8Array): Decoded {
  try {
    return Y.decodeUpdate(update);
  } catch {
    // Bytes of any kind: the decoder says what it stumbled over, which helps nobody.
    throw new Unfit('unreadable');
  }
}

class Look {
  private readonly structs = new Map<number, Struct[]>();
  /** by client, the first clock that neither the document nor the update has */
  private readonly ends = new Map<number, number>();
  private readonly places = new Map<Y.Item, Place>();
  private readonly fresh: Y.Item[] = [];
  private readonly added = new Map<object | string, number>();

  constructor(
    private readonly doc: Y.Doc,
    private readonly update: Decoded,
  ) {}

  clients(): number[] {
    const clients = new Set<number>();
    let before: number | null = null;
    for (const struct of this.update.structs) {
      const { client, clock } = struct.id;
      const end = this.endOf(client);
      const isNew = clock + struct.length > end;
      if (isNew && (clock > end || struct instanceof Y.Skip)) throw new Unfit('gap');
      const known = this.structs.get(client);
      // A client's changes stand together; of two heaps of them the library would forget one.
      if (known && client !== before) throw new Unfit('unreadable');
      before = client;
      if (known) known.push(struct);
      else this.structs.set(client, [struct]);
      if (!isNew) continue;
      clients.add(client);
      this.ends.set(client, clock + struct.length);
      if (struct instanceof Y.Item) this.fresh.push(struct);
    }
    for (const item of this.fresh) this.look(item);
    this.lookAtDeletions();
    return [...clients];
  }

  private endOf(client: number): number {
    return this.ends.get(client) ?? Y.getState(this.doc.store, client);
  }

  private look(item: Y.Item): void {
    for (const id of [item.origin, item.rightOrigin]) if (id) this.insistThere(id);
    if (item.parent instanceof Y.ID) this.insistThere(item.parent);
    const place = this.placeOf(item);
    const { content } = item;
    if (place.at === 'gone' || content instanceof Y.ContentDeleted) return;
    if (place.at === 'text') {
      if (!(content instanceof Y.ContentString)) throw new Unfit('wrong type');
      if (item.length > LONGEST_RUN) throw new Unfit('too long');
      return;
    }
    const key = this.keyOf(item);
    if (key === null || key.length === 0 || key.length > LONGEST_KEY) throw new Unfit('bad key');
    if (place.at === 'member') return this.lookAtField(place.of, key, content);
    if (place.name === 'head') return lookAtHead(key, content);
    if (place.name === 'counters') return this.lookAtCounter(item.id.client, key, content);
    if (!(content instanceof Y.ContentType) || !(content.type instanceof Y.Map)) throw new Unfit('wrong type');
    const members = this.doc.getMap(place.name);
    if (!members.has(key)) this.count(place.name, members.size, MOST[place.name as Collection]);
  }

  private lookAtField(member: Y.Item, key: string, content: Content): void {
    const { type } = member.content as Y.ContentType;
    this.count(member, type._map.size, MOST_FIELDS);
    if (content instanceof Y.ContentType) {
      if (!isWritten(key) || !(content.type instanceof Y.Text)) throw new Unfit('wrong type');
      return;
    }
    const value = plainValue(content);
    lookAtValue(value);
    if (key === 'order') lookAtOrder(value);
  }

  private lookAtCounter(client: number, key: string, content: Content): void {
    const value = plainValue(content);
    if (key !== String(client)) throw new Unfit('not yours');
    if (!Number.isSafeInteger(value) || (value as number) < 0) throw new Unfit('wrong type');
    const counters = this.doc.getMap('counters');
    if (!counters.has(key)) this.count('counters', counters.size, MOST_COUNTERS);
  }

  private count(what: object | string, before: number, most: number): void {
    const count = (this.added.get(what) ?? before) + 1;
    if (count > most) throw new Unfit('too many');
    this.added.set(what, count);
  }

  /** Nobody deletes what is not there yet, nor the counters of another tab, nor the document's own marks. */
  private lookAtDeletions(): void {
    const { ds } = this.update;
    for (const [client, ranges] of ds.clients)
      for (const { clock, len } of ranges) if (clock + len > this.endOf(client)) throw new Unfit('gap');
    const counters = this.doc.getMap('counters') as Y.AbstractType<unknown>;
    for (const [key, item] of counters._map)
      if (!item.deleted && key !== String(item.id.client) && Y.isDeleted(ds, item.id)) throw new Unfit('not yours');
    for (const [client, item] of counters._map)
      if (!item.deleted && Y.isDeleted(ds, item.id) && !this.structs.has(Number(client))) throw new Unfit('not yours');
    const schema = (this.doc.getMap('head') as Y.AbstractType<unknown>)._map.get('schema');
    if (schema && !schema.deleted && Y.isDeleted(ds, schema.id)) throw new Unfit('not yours');
  }

  private insistThere({ client, clock }: Y.ID): void {
    if (clock >= this.endOf(client)) throw new Unfit('gap');
  }

  /** What has an id, in the update or else in the document. */
  private at(id: Y.ID): Struct | Y.GC {
    const found = holding(this.structs.get(id.client) ?? [], id.clock);
    if (found && !(found instanceof Y.Skip)) return found;
    return Y.getItem(this.doc.store, id);
  }

  /** Follows what an item stands beside until one says where it is; only as far as nobody has been before. */
  private placeOf(item: Y.Item): Place {
    const passed: Y.Item[] = [];
    let place: Place | undefined;
    for (let now: Y.Item = item; !place;) {
      place = this.places.get(now) ?? this.said(now);
      passed.push(now);
      if (place) break;
      const beside = now.origin ?? now.rightOrigin;
      if (!beside || passed.length > 1e6) throw new Unfit('unreadable');
      const next = this.at(beside);
      if (next instanceof Y.Item) now = next;
      else place = { at: 'gone' };
    }
    for (const one of passed) this.places.set(one, place);
    return place;
  }

  /** Where an item says itself that it is; undefined where only its neighbours know. */
  private said({ parent }: Y.Item): Place | undefined {
    if (parent === null) return undefined;
    if (typeof parent === 'string') return listCalled(parent);
    if (parent instanceof Y.ID) {
      const holder = this.at(parent);
      return holder instanceof Y.Item ? this.inside(holder) : { at: 'gone' };
    }
    if (parent._item) return this.inside(parent._item);
    for (const [name, type] of this.doc.share) if ((type as unknown) === parent) return listCalled(name);
    return undefined;
  }

  private inside(holder: Y.Item): Place {
    if (holder.deleted || holder.content instanceof Y.ContentDeleted) return { at: 'gone' };
    if (!(holder.content instanceof Y.ContentType)) throw new Unfit('wrong type');
    const around = this.placeOf(holder);
    if (around.at === 'gone') return around;
    if (around.at === 'list' && holder.content.type instanceof Y.Map) return { at: 'member', of: holder };
    if (around.at === 'member' && holder.content.type instanceof Y.Text) return { at: 'text' };
    throw new Unfit('too deep');
  }

  private keyOf(item: Y.Item): string | null {
    for (let now: Struct | Y.GC = item; now instanceof Y.Item;) {
      if (now.parentSub !== null) return now.parentSub;
      if (!now.origin) return null;
      now = this.at(now.origin);
    }
    return null;
  }
}

/** Of structs in the order of their clocks, the one that holds a clock. */
function holding(structs: readonly Struct[], clock: number): Struct | undefined {
  let [low, high] = [0, structs.length - 1];
  while (low <= high) {
    const middle = (low + high) >> 1;
    const struct = structs[middle]!;
    if (clock < struct.id.clock) high = middle - 1;
    else if (clock >= struct.id.clock + struct.length) low = middle + 1;
    else return struct;
  }
  return undefined;
}

function listCalled(name: string): Place {
  if (name !== 'head' && name !== 'counters' && !(COLLECTIONS as readonly string[]).includes(name))
    throw new Unfit('unknown collection');
  return { at: 'list', name };
}

function lookAtHead(key: string, content: Content): void {
  const value = plainValue(content);
  if (!HEAD.includes(key)) throw new Unfit('bad key');
  if (typeof value !== 'string') throw new Unfit('wrong type');
  lookAtValue(value);
}

/** The one value of a map's key. */
function plainValue(content: Content): unknown {
  if (!(content instanceof Y.ContentAny || content instanceof Y.ContentJSON)) throw new Unfit('wrong type');
  const values = content.arr as unknown[];
  if (values.length !== 1) throw new Unfit('wrong type');
  return values[0];
}

/** Level by level, so that depth costs no stack. */
function lookAtValue(value: unknown): void {
  let [values, characters] = [0, 0];
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > VALUE.depth) throw new Unfit('too deep');
    const next: unknown[] = [];
    for (const one of level) {
      if (typeof one === 'string') characters += one.length;
      else if (one instanceof Uint8Array || typeof one === 'bigint') throw new Unfit('wrong type');
      else if (typeof one === 'object' && one !== null)
        for (const [key, inner] of Object.entries(one)) {
          characters += Array.isArray(one) ? 0 : key.length;
          next.push(inner);
        }
      if (++values + next.length > VALUE.values) throw new Unfit('too many');
    }
    if (characters > VALUE.characters) throw new Unfit('too long');
    level = next;
  }
}

function lookAtOrder(value: unknown): void {
  if (!isOrderKey(value)) throw new Unfit('bad order');
}

/** Whether a value is a key that another can be made beside. Source: fractional-indexing. */
export function isOrderKey(value: unknown): value is string {
  if (typeof value !== 'string' || value.length > LONGEST_ORDER) return false;
  try {
    generateKeyBetween(value, null);
    return true;
  } catch {
    // The library throws on what is no key of its own.
    return false;
  }
}
