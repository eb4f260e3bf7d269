import type { IncomingMessage, Server as HttpServer } from 'node:http';
import type { Duplex } from 'node:stream';
import { Inject, Injectable } from '@nestjs/common';
import type { BeforeApplicationShutdown } from '@nestjs/common';
import { Hocuspocus } from '@hocuspocus/server';
import type { Connection, Document } from '@hocuspocus/server';
import { countersOf } from '@ichnograph/livemap';
import { LIVE_PATH } from '@ichnograph/contract';
import type { LiveMessage } from '@ichnograph/contract';
import type { Logger } from 'pino';
import { WebSocketServer } from 'ws';
import * as Y from 'yjs';
import { SESSION_COOKIE, SessionsService } from '../accounts/index.js';
import type { SignedIn } from '../accounts/index.js';
import { ClassesService } from '../classes/index.js';
import { Clock } from '../common/clock.js';
import { sameOrigin } from '../common/same-origin.js';
import { LOGGER } from '../common/tokens.js';
import { keepAuthors } from './authorship.js';
import { UpdateLog } from './update-log.js';

/** What someone may do with a live document; null: not even know that it is there. */
export type Right = 'write' | 'read' | null;
export type RightOf = (documentName: string, accountId: string) => Promise<Right>;

interface Context {
  signedIn: SignedIn;
}

const MAX_MESSAGE = 8 * 1024 * 1024;
const GONE = { code: 4401, reason: 'signed out' };

/** Live documents over WebSocket on the API's port: who may connect, what is stored, who is told. */
@Injectable()
export class LiveService implements BeforeApplicationShutdown {
  private readonly connections = new Map<Connection, SignedIn>();
  private readonly sockets = new WebSocketServer({ noServer: true, maxPayload: MAX_MESSAGE });
  private rightOf: RightOf = () => Promise.resolve(null);
  private expiry: NodeJS.Timeout | undefined;

  private readonly hocuspocus: Hocuspocus = new Hocuspocus({
    quiet: true,
    onAuthenticate: async ({ documentName, context, connectionConfig }) => {
      const { signedIn } = context as Context;
      const right = await this.rightOf(documentName, signedIn.account.id);
      if (!right) throw new Error('no such document');
      connectionConfig.readOnly = right === 'read';
    },
    onLoadDocument: async ({ documentName, document }) => {
      const stored = await this.log.load(documentName);
      if (!stored) throw new Error(`there is no live document ${documentName}`);
      Y.applyUpdate(document, Y.encodeStateAsUpdate(stored), 'load');
    },
    afterLoadDocument: ({ document, documentName }) => {
      // Synchronous with each change: an update is queued before anything else can happen to the document.
      document.on('update', (update: Uint8Array) => this.log.append(documentName, update, countersOf(document)));
      keepAuthors(document, (origin) => this.connections.get(origin as Connection)?.account.id ?? null);
      return Promise.resolve();
    },
    connected: ({ connection, context, documentName }) => {
      this.connections.set(connection, (context as Context).signedIn);
      // A client that comes back learns at once what of its own is stored already.
      void this.log.stored(documentName).then(
        (doc) => {
          if (doc)
            connection.sendStateless(
              JSON.stringify({ type: 'stored', counters: countersOf(doc) } satisfies LiveMessage),
            );
        },
        (error: unknown) => this.logger.warn({ err: error }, 'what is stored could not be read for a new connection'),
      );
      return Promise.resolve();
    },
    onDisconnect: () => {
      for (const connection of this.connections.keys()) {
        if (!connection.document.hasConnection(connection)) this.connections.delete(connection);
      }
      return Promise.resolve();
    },
    beforeUnloadDocument: ({ documentName }) => this.log.drained(documentName),
  });

  constructor(
    private readonly sessions: SessionsService,
    private readonly log: UpdateLog,
    private readonly clock: Clock,
    classes: ClassesService,
    @Inject(LOGGER) private readonly logger: Logger,
  ) {
    log.listen({
      stored: (name, counters) => this.tell(name, { type: 'stored', counters }),
      notStored: (name) => this.tell(name, { type: 'not stored' }),
    });
    sessions.onEnd((ids) => this.closeWhere(({ session }) => ids.includes(session.id)));
    classes.onLeave((accountId) => this.closeWhere(({ account }) => account.id === accountId));
  }

  /** Whoever owns a kind of document says who may do what with it. */
  decideBy(rightOf: RightOf): void {
    this.rightOf = rightOf;
  }

  /** Takes WebSocket upgrades of the live path; all others are none of its business and are ended. */
  attach(server: HttpServer): void {
    server.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
      this.upgrade(request, socket, head).catch((error: unknown) => {
        this.logger.warn({ err: error }, 'a live connection could not be opened');
        refuse(socket, '503 Service Unavailable');
      });
    });
    this.expiry = setInterval(() => this.closeWhere(({ session }) => session.expiresAt <= this.clock.now()), 60_000);
  }

  private async upgrade(request: IncomingMessage, socket: Duplex, head: Buffer): Promise<void> {
    socket.on('error', () => socket.destroy());
    if (new URL(request.url ?? '/', 'http://host').pathname !== LIVE_PATH) return refuse(socket, '404 Not Found');
    if (!sameOrigin(request.headers)) return refuse(socket, '403 Forbidden');
    const signedIn = await this.sessions.find(cookieOf(request.headers.cookie));
    if (!signedIn) return refuse(socket, '401 Unauthorized');
    this.sockets.handleUpgrade(request, socket, head, (webSocket) => {
      this.hocuspocus.handleConnection(webSocket, request, { signedIn } satisfies Context);
    });
  }

  /** Lets nobody write any more; those who look on are told that the work is in another state. */
  setWritable(documentName: string, writable: (accountId: string) => boolean): void {
    for (const [connection, { account }] of this.connections) {
      if (connection.document.name === documentName) connection.readOnly = !writable(account.id);
    }
    this.tell(documentName, { type: 'work changed' });
  }

  private tell(documentName: string, message: LiveMessage): void {
    const document: Document | undefined = this.hocuspocus.documents.get(documentName);
    document?.broadcastStateless(JSON.stringify(message));
  }

  private closeWhere(is: (signedIn: SignedIn) => boolean): void {
    for (const [connection, signedIn] of this.connections) {
      if (!is(signedIn)) continue;
      this.connections.delete(connection);
      connection.close(GONE);
      connection.webSocket.close(GONE.code, GONE.reason);
    }
  }

  async beforeApplicationShutdown(): Promise<void> {
    clearInterval(this.expiry);
    for (const socket of this.sockets.clients) socket.close(1001, 'the server ends');
    await this.log.close();
  }
}

const cookieOf = (header: string | undefined): string | undefined =>
  header
    ?.split(';')
    .map((part) => part.trim().split('='))
    .find(([name]) => name === SESSION_COOKIE)?.[1];

function refuse(socket: Duplex, status: string): void {
  socket.end(`HTTP/1.1 ${status}\r\nConnection: close\r\n\r\n`);
}
