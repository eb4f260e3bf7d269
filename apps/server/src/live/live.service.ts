import type { Server as HttpServer } from 'node:http';
import { Inject, Injectable } from '@nestjs/common';
import type { BeforeApplicationShutdown } from '@nestjs/common';
import { Hocuspocus } from '@hocuspocus/server';
import type { Connection, Document } from '@hocuspocus/server';
import type { Change, TopicMap } from '@ichnograph/core';
import { countersOf, lookAtUpdate, snapshotOf, upgradeDocument, writeChanges } from '@ichnograph/livemap';
import { LIVE_CLOSED } from '@ichnograph/contract';
import type { LiveMessage, LiveRefused } from '@ichnograph/contract';
import type { Logger } from 'pino';
import { messageYjsSyncStep1 } from 'y-protocols/sync';
import * as Y from 'yjs';
import { SessionsService } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { ClassesService } from '../classes/index.js';
import { briefly } from '../common/briefly.js';
import { Clock } from '../common/clock.js';
import { Database } from '../common/database.js';
import { LOGGER } from '../common/tokens.js';
import { keepAuthors } from './authorship.js';
import { readDocumentName } from './document-names.js';
import type { GatedSocket } from './gated-socket.js';
import { Sockets } from './sockets.js';
import { UpdateLog } from './update-log.js';
import type { Counters } from './update-log.js';
import { Hands } from './hands.js';

/** What someone may do with a live document; null: not even know that it is there. */
export type Right = 'write' | 'read' | null;
export type RightOf = (id: string, accountId: string) => Promise<Right>;

interface Context {
  signedIn: SignedIn;
}
/** A document in memory: what of it is stored, and how large it is at the most. */
interface Held {
  stored: Counters;
  bytes: number;
  /** whose changes bear which client id, as far as they came in while it was held */
  clients: Map<number, string>;
}

/** A document's state, encoded. The largest map that can be handed in needs about 6 MiB. */
const MAX_DOCUMENT = 24 * 1024 * 1024;
/** Often enough for a page to know within seconds that the way to here is free, or is not. */
const HEARTBEAT_MS = 3000;

/** Live documents over WebSocket on the API's port: who may connect, what is stored, who is told. */
@Injectable()
export class LiveService implements BeforeApplicationShutdown {
  private readonly sockets: Sockets;
  private readonly rights = new Map<string, RightOf>();
  /** kinds of which nothing is drawn and stored: those who are in hear what the server says, and say nothing */
  private readonly rooms = new Set<string>();
  /** of those who are in a room, as it was looked at last */
  private readonly rightsHeld = new WeakMap<Connection, Right>();
  private readonly held = new Map<string, Held>();
  private readonly turns = new Map<string, Promise<void>>();
  /** Let in at the door, and not looked at since because the database was away. */
  private readonly toLookAt = new Set<Connection>();
  private readonly timers: NodeJS.Timeout[] = [];
  private readonly hands = new Hands();

  private readonly hocuspocus: Hocuspocus = new Hocuspocus({
    quiet: true,
    onAuthenticate: async ({ documentName, context, connectionConfig }) => {
      const { signedIn } = context as Context;
      const right = await this.admit(documentName, signedIn);
      connectionConfig.readOnly = right === 'read' || this.isRoom(documentName);
    },
    onLoadDocument: async ({ documentName, document }) => {
      if (this.isRoom(documentName)) {
        this.held.set(documentName, { stored: {}, bytes: 0, clients: new Map() });
        return;
      }
      const loaded = await this.log.load(documentName).catch((error: unknown) => this.notNow(error));
      if (!loaded) throw new Refusal('not yours');
      await this.upgrade(documentName, loaded.doc);
      const state = Y.encodeStateAsUpdate(loaded.doc);
      this.held.set(documentName, { stored: loaded.stored, bytes: state.length, clients: new Map() });
      Y.applyUpdate(document, state, 'load');
    },
    afterLoadDocument: ({ document, documentName }) => {
      // Synchronous with each change: an update is queued before anything else can happen to the document.
      document.on('update', (update: Uint8Array, origin: unknown) => {
        if (origin === STORED) return;
        this.held.get(documentName)!.bytes += update.length;
        this.log.append(documentName, update, countersOf(document));
      });
      keepAuthors(document, (origin) => contextOf(origin)?.signedIn.account.id ?? null);
      return Promise.resolve();
    },
    beforeHandleMessage: ({ connection }) => {
      // Called by the library in the very tick in which a change is taken in: nothing comes between the look and the deed.
      connection.callbacks.beforeSync = (_connection, { type, payload }) => {
        if (type !== messageYjsSyncStep1 && !connection.readOnly) this.look(connection, payload);
        return Promise.resolve();
      };
      return Promise.resolve();
    },
    connected: async ({ connection, documentName }) => {
      (connection.webSocket as GatedSocket).open.add(documentName);
      // A client that comes back learns at once what of its own is stored already.
      connection.sendStateless(JSON.stringify(this.storedOf(documentName)));
      if (!this.isRoom(documentName)) this.hands.join(connection, contextOf(connection)!.signedIn.account);
      // Between the question at the door and now the state of the work may have become another.
      await this.inTurn(documentName, () => this.lookAfterTheDoor(connection));
    },
    onStateless: ({ connection, documentName, payload }) => {
      if (this.isRoom(documentName)) (connection.webSocket as GatedSocket).showOut(LIVE_CLOSED.notHere);
      else this.hands.hear(connection, payload);
      return Promise.resolve();
    },
    onDisconnect: ({ document, documentName }) => {
      this.hands.leaveAllBut(document, document.getConnections());
      for (const connection of this.toLookAt)
        if (!document.getConnections().includes(connection) && connection.document === document)
          this.toLookAt.delete(connection);
      for (const socket of this.sockets.all())
        if (!document.getConnections().some(({ webSocket }) => webSocket === socket)) socket.open.delete(documentName);
      return Promise.resolve();
    },
    beforeUnloadDocument: ({ documentName }) => this.log.drained(documentName),
    afterUnloadDocument: ({ documentName }) => {
      this.held.delete(documentName);
      return Promise.resolve();
    },
  });

  constructor(
    private readonly sessions: SessionsService,
    private readonly data: Database,
    private readonly log: UpdateLog,
    clock: Clock,
    classes: ClassesService,
    @Inject(LOGGER) private readonly logger: Logger,
  ) {
    this.sockets = new Sockets(sessions, clock, logger, (socket, request, signedIn) => {
      socket.refusesChange = (name) => this.refusesChange(name);
      this.hocuspocus.handleConnection(socket, request, { signedIn } satisfies Context);
    });
    log.listen({
      stored: (name, counters) => {
        const held = this.held.get(name);
        if (held) held.stored = counters;
        this.tell(name, { type: 'stored', counters });
      },
      notStored: (name) => this.tell(name, { type: 'not stored' }),
    });
    sessions.onEnd((ids) => this.sockets.showOut(({ session }) => ids.includes(session.id)));
    classes.onLeave((accountId) => {
      for (const [name, connection] of this.connections())
        if (contextOf(connection)?.signedIn.account.id === accountId)
          void this.inTurn(name, async () => {
            await this.lookAgain(connection);
            connection.sendStateless(JSON.stringify({ type: 'work changed' } satisfies LiveMessage));
          });
    });
  }

  /** Whoever owns a kind of document says who may do what with one. */
  register(kind: string, rightOf: RightOf): void {
    this.rights.set(kind, rightOf);
  }

  /** A kind of room: those who may come in hear what is said to it, each by what they may. */
  registerRoom(kind: string, rightOf: RightOf): void {
    this.rooms.add(kind);
    this.register(kind, rightOf);
  }

  private isRoom(documentName: string): boolean {
    return this.rooms.has(readDocumentName(documentName)?.kind ?? '');
  }

  /** Says something to those in a room: what those with this right are to hear. */
  tellRoom(documentName: string, said: Record<'write' | 'read', LiveMessage | null>): void {
    const words = { write: JSON.stringify(said.write), read: JSON.stringify(said.read) };
    for (const connection of this.hocuspocus.documents.get(documentName)?.getConnections() ?? []) {
      const right = this.rightsHeld.get(connection);
      if (right && said[right]) connection.sendStateless(words[right]);
    }
  }

  /** Takes WebSocket upgrades of the API's server, and keeps those who have a map open told. */
  attach(server: HttpServer): void {
    this.sockets.attach(server);
    this.timers.push(
      setInterval(() => this.sockets.showOutTheExpired(), 60_000),
      setInterval(() => {
        this.sockets.cutOffTheDeaf();
        for (const name of this.hocuspocus.documents.keys()) this.tell(name, this.storedOf(name));
        for (const connection of this.toLookAt)
          void this.inTurn(connection.document.name, () => this.lookAfterTheDoor(connection));
      }, HEARTBEAT_MS),
    );
  }

  /** Brings what was stored by an earlier version to this one; nobody is sent what a crash could still undo. */
  private async upgrade(documentName: string, doc: Y.Doc): Promise<void> {
    const before = Y.encodeStateVector(doc);
    if (!upgradeDocument(doc)) return;
    this.log.append(documentName, Y.encodeStateAsUpdate(doc, before), countersOf(doc));
    await this.log.drained(documentName);
  }

  /** @throws what the client is told as the reason of a refusal */
  private async admit(documentName: string, { session, account }: SignedIn): Promise<Right> {
    const name = readDocumentName(documentName);
    const rightOf = name && this.rights.get(name.kind);
    if (!rightOf) throw new Refusal('not yours');
    if (this.log.isFull) throw new Refusal('try again');
    const [live, right] = await Promise.all([this.sessions.isLive(session), rightOf(name.id, account.id)]).catch(
      (error: unknown) => this.notNow(error),
    );
    if (!live) throw new Refusal('signed out');
    if (!right) throw new Refusal('not yours');
    return right;
  }

  private notNow(error: unknown): never {
    this.logger.warn(briefly(error), 'a live document could not be opened');
    throw new Refusal('try again');
  }

  /** Looks again at what an open connection may do, and lets it do that and no more. */
  private async lookAgain(connection: Connection, whenNobodyAnswers?: () => void): Promise<void> {
    const { signedIn } = contextOf(connection)!;
    try {
      const right = await this.admit(connection.document.name, signedIn);
      if (this.isRoom(connection.document.name)) return this.seat(connection, right);
      const readOnly = right === 'read';
      if (readOnly !== connection.readOnly) this.hands.changed(connection.document);
      connection.readOnly = readOnly;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      if (error.reason === 'try again' && whenNobodyAnswers) whenNobodyAnswers();
      else connection.close({ code: 4403, reason: error.reason });
    }
  }

  /** From now on this one hears what is said to those with this right; what was said before they ask for. */
  private seat(connection: Connection, right: Right): void {
    if (this.rightsHeld.get(connection) === right) return;
    this.rightsHeld.set(connection, right);
    connection.sendStateless(JSON.stringify({ type: 'work changed' } satisfies LiveMessage));
  }

  /**
   * The door has just let this one in: while nobody can be asked, that stands, and is looked at again as soon as
   * somebody can. Who is shown out here would read that the network is away, where only storing is.
   */
  private async lookAfterTheDoor(connection: Connection): Promise<void> {
    this.toLookAt.delete(connection);
    await this.lookAgain(connection, () => this.toLookAt.add(connection));
  }

  /**
   * Takes a change apart before it is kept or passed on. What does not fit ends that connection, with a reason.
   * @throws where it must not be taken in
   */
  private look({ document, webSocket, context }: Connection, update: Uint8Array): void {
    const { account } = (context as Context).signedIn;
    const looked = lookAtUpdate(document, update);
    const refusal =
      'misfit' in looked
        ? { ...LIVE_CLOSED.misfit, reason: `${LIVE_CLOSED.misfit.reason}: ${looked.misfit}` }
        : this.bind(document, looked.clients, account.id);
    if (!refusal) return;
    this.logger.warn({ document: document.name, account: account.id, ...refusal }, 'a change was not taken in');
    (webSocket as GatedSocket).showOut(refusal);
    throw new Refusal('try again');
  }

  /**
   * A client id is its first bringer's. Another one may bring changes that bear it only while its owner is not here: after a
   * crash a mate may be the only one who still has them.
   */
  private bind(
    document: Document,
    clients: readonly number[],
    accountId: string,
  ): { code: number; reason: string } | null {
    const { clients: owners } = this.held.get(document.name)!;
    const here = new Set(document.getConnections().map((one) => contextOf(one)?.signedIn.account.id));
    for (const client of clients) {
      const owner = owners.get(client) ?? accountId;
      if (owner !== accountId && here.has(owner)) return LIVE_CLOSED.tryAgain;
      owners.set(client, accountId);
    }
    return null;
  }

  private refusesChange(name: string): { code: number; reason: string } | null {
    if (this.log.isFull) return LIVE_CLOSED.tryAgain;
    const held = this.held.get(name);
    const document = this.hocuspocus.documents.get(name);
    if (!held || !document || held.bytes <= MAX_DOCUMENT) return null;
    // The sum of what came is more than what is left of it: measured only when it matters.
    held.bytes = Y.encodeStateAsUpdate(document).length;
    return held.bytes <= MAX_DOCUMENT ? null : LIVE_CLOSED.full;
  }

  /** Changes a document by the server's own hand, for all who have it open, and waits until that is stored. */
  async change(documentName: string, changesOf: (map: TopicMap) => readonly Change[]): Promise<void> {
    this.data.insistOutside('changing a live document');
    const connection = await this.hocuspocus.openDirectConnection(documentName, {});
    try {
      const document = connection.document!;
      await this.log.drained(documentName);
      const update = changed(document, changesOf);
      if (update === null) return;
      // Nobody is sent what a crash could still undo: a page would send it back as its own.
      this.log.append(documentName, update, countersOf(document));
      await this.log.drained(documentName);
      Y.applyUpdate(document, update, STORED);
    } finally {
      await connection.disconnect();
    }
  }

  /** What may be done with a document is another now: those who have it open may do that and no more, and are told. */
  changed(documentName: string): Promise<void> {
    return this.inTurn(documentName, async () => {
      for (const connection of this.hocuspocus.documents.get(documentName)?.getConnections() ?? [])
        await this.lookAgain(connection);
      this.tell(documentName, { type: 'work changed' });
    });
  }

  /** Something that belongs to a document is otherwise now: those who have it open ask again. */
  told(documentName: string): void {
    this.tell(documentName, { type: 'work changed' });
  }

  /** One after the other for each document: the last to look sees the newest state, and has the last word. */
  private inTurn(documentName: string, work: () => Promise<void>): Promise<void> {
    const before = this.turns.get(documentName) ?? Promise.resolve();
    const mine = before.then(work).catch((error: unknown) => {
      this.logger.error(briefly(error), 'the rights to a live document could not be looked at');
    });
    this.turns.set(documentName, mine);
    void mine.then(() => {
      if (this.turns.get(documentName) === mine) this.turns.delete(documentName);
    });
    return mine;
  }

  private *connections(): Generator<[name: string, connection: Connection]> {
    for (const [name, document] of this.hocuspocus.documents)
      for (const connection of document.getConnections()) yield [name, connection];
  }

  private storedOf(name: string): LiveMessage {
    return { type: 'stored', counters: this.held.get(name)?.stored ?? {} };
  }

  private tell(documentName: string, message: LiveMessage): void {
    this.hocuspocus.documents.get(documentName)?.broadcastStateless(JSON.stringify(message));
  }

  async beforeApplicationShutdown(): Promise<void> {
    for (const timer of this.timers) clearInterval(timer);
    this.hands.close();
    this.sockets.close();
    await this.log.close();
  }
}

/** Origin of what is in the log already. */
const STORED = Symbol('stored');

/** What changes to a document come to, worked out on a copy; null where nothing is changed. */
function changed(document: Y.Doc, changesOf: (map: TopicMap) => readonly Change[]): Uint8Array | null {
  const copy = new Y.Doc();
  Y.applyUpdate(copy, Y.encodeStateAsUpdate(document));
  const before = Y.encodeStateVector(copy);
  const changes = changesOf(snapshotOf(copy).map);
  if (changes.length === 0) return null;
  copy.transact(() => writeChanges(copy, changes));
  return Y.encodeStateAsUpdate(copy, before);
}

const contextOf = (origin: unknown): Context | undefined =>
  (origin as { context?: Partial<Context> } | null | undefined)?.context as Context | undefined;

/** What the library tells the client as the reason; without a message, which the library would print. */
class Refusal extends Error {
  constructor(readonly reason: LiveRefused) {
    super('');
  }
}
