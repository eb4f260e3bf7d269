import type { Connection, Document } from '@hocuspocus/server';
import { HERE_LIMITS, LIVE_CLOSED } from '@ichnograph/contract';
import type { Here, LiveMessage, OneHere, Person } from '@ichnograph/contract';
import { randomUUID } from 'node:crypto';
import type { GatedSocket } from './gated-socket.js';
import { Allowance, NotHere, readHere } from './here.js';

/** What changed within this is told at once; with the page's own pause and its way, well within 200 ms. */
const GATHER_MS = 40;
const PING_MS = 900;
/** Who answers no ping for this long is gone, whatever the connection says of itself. */
const SILENT_MS = 2700;
/** Bytes that wait to be read by somebody: until they are read they are told nothing of pointers, so that what is stored comes first. */
const BEHIND = 64 * 1024;

interface Guest {
  key: string;
  person: Person;
  socket: GatedSocket;
  here: Here;
  allowance: Allowance;
  /** what the others were told last; null where they know of nobody */
  told: OneHere | null;
  /** something was not told to this one: next time they are told all */
  isBehind: boolean;
}

/**
 * Who has which map open, where they point, what they hold and type: stamped with the person by the server, told to the others
 * of the same map, kept in memory as long as they are there and nowhere else.
 */
export class Hands {
  private readonly rooms = new Map<Document, Map<Connection, Guest>>();
  private readonly waiting = new Set<Document>();
  private timer: NodeJS.Timeout | null = null;
  private readonly pinging = setInterval(() => this.ping(), PING_MS);

  join(connection: Connection, { id, givenName, familyName }: Person): void {
    const guests = this.rooms.get(connection.document) ?? new Map<Connection, Guest>();
    this.rooms.set(connection.document, guests);
    const socket = connection.webSocket as GatedSocket;
    const here: Here = { type: 'here', holds: [] };
    guests.set(connection, {
      key: randomUUID(),
      person: { id, givenName, familyName },
      socket,
      here,
      allowance: new Allowance(HERE_LIMITS.atOnce, HERE_LIMITS.perSecond, performance.now()),
      told: null,
      isBehind: true,
    });
    this.changed(connection.document);
  }

  /** What a page says; what is no such thing, or comes too often, ends that connection and nothing else. */
  hear(connection: Connection, payload: string): void {
    const guest = this.rooms.get(connection.document)?.get(connection);
    if (!guest) return;
    try {
      if (!guest.allowance.takes(performance.now())) throw new NotHere('too often');
      guest.here = readHere(payload);
    } catch (error) {
      if (!(error instanceof NotHere)) throw error;
      const { code, reason } = LIVE_CLOSED.notHere;
      return guest.socket.showOut({ code, reason: `${reason}: ${error.message}` });
    }
    this.changed(connection.document);
  }

  /** Of those who were here, some left. */
  leaveAllBut(document: Document, left: readonly Connection[]): void {
    const guests = this.rooms.get(document);
    if (!guests) return;
    const gone: string[] = [];
    for (const [connection, { key, told }] of guests)
      if (!left.includes(connection)) {
        guests.delete(connection);
        if (told) gone.push(key);
      }
    if (guests.size === 0) this.rooms.delete(document);
    else if (gone.length > 0) this.tellAll(guests, { type: 'here', people: [], gone });
  }

  /** What may be done by those who are here is another now. */
  changed(document: Document): void {
    this.waiting.add(document);
    this.timer ??= setTimeout(() => {
      this.timer = null;
      for (const one of [...this.waiting]) this.tell(one);
    }, GATHER_MS);
  }

  close(): void {
    clearInterval(this.pinging);
    clearTimeout(this.timer ?? undefined);
  }

  private tell(document: Document): void {
    this.waiting.delete(document);
    const guests = this.rooms.get(document);
    if (!guests) return;
    const [people, gone]: [OneHere[], string[]] = [[], []];
    for (const [connection, guest] of guests) {
      const seen = seenOf(connection, guest);
      if (seen === null && guest.told) gone.push(guest.key);
      if (seen && !isSame(seen, guest.told)) people.push(seen);
      guest.told = seen;
    }
    const behind = [...guests].filter(([, { isBehind }]) => isBehind);
    if (people.length > 0 || gone.length > 0) this.tellAll(guests, { type: 'here', people, gone });
    for (const [connection, guest] of behind) {
      if (guest.socket.bufferedAmount > BEHIND) continue;
      guest.isBehind = false;
      const others = [...guests.values()].flatMap(({ key, told }) => (key === guest.key || !told ? [] : [told]));
      connection.sendStateless(JSON.stringify({ type: 'here', people: others, gone: [], all: true }));
    }
  }

  private tellAll(guests: ReadonlyMap<Connection, Guest>, message: Extract<LiveMessage, { type: 'here' }>): void {
    const words = JSON.stringify(message);
    for (const [connection, guest] of guests) {
      const isOwnAlone = message.gone.length === 0 && message.people.every(({ key }) => key === guest.key);
      if (guest.isBehind || isOwnAlone) continue;
      if (guest.socket.bufferedAmount > BEHIND) guest.isBehind = true;
      else connection.sendStateless(words);
    }
  }

  /** Browsers answer a ping by themselves, also where the page sleeps: who does not is not there. */
  private ping(): void {
    for (const [document, guests] of this.rooms) {
      for (const [connection, guest] of guests) {
        const { socket, told, isBehind } = guest;
        if (socket.readyState === socket.OPEN) socket.ping();
        const isSeen = seenOf(connection, guest) !== null;
        if (isSeen !== (told !== null) || isBehind) this.changed(document);
      }
    }
  }
}

const isSilent = (socket: GatedSocket): boolean => performance.now() - socket.heard > SILENT_MS;

/** What the others see of somebody: nothing of one who reads and did not choose to be seen, nor of one who fell silent. */
function seenOf({ readOnly }: Connection, { key, person, here, socket }: Guest): OneHere | null {
  if (isSilent(socket) || (readOnly && here.shown !== true)) return null;
  const { at, holds, types, view } = here;
  return { key, person, reads: readOnly, holds, ...(at && { at }), ...(types && { types }), ...(view && { view }) };
}

const isSame = (one: OneHere, other: OneHere | null): boolean =>
  other !== null &&
  one.at === other.at &&
  one.holds === other.holds &&
  one.types === other.types &&
  one.view === other.view &&
  one.reads === other.reads;
