import type { IncomingMessage, Server as HttpServer } from 'node:http';
import type { Duplex } from 'node:stream';
import { LIVE_CLOSED, LIVE_PATH } from '@ichnograph/contract';
import type { Logger } from 'pino';
import { WebSocketServer } from 'ws';
import { SESSION_COOKIE } from '../accounts/index.js';
import type { SessionsService, SignedIn } from '../accounts/index.js';
import { briefly } from '../common/briefly.js';
import type { Clock } from '../common/clock.js';
import { sameOrigin } from '../common/same-origin.js';
import { GatedSocket } from './gated-socket.js';

const MAX_MESSAGE = 8 * 1024 * 1024;
/** Tabs that one person has open at once; more than anyone looks at. */
const MOST_SOCKETS = 16;
/** Bytes that may wait to be read by one client. */
const MOST_UNREAD = 1024 * 1024;

/** The WebSocket connections of people who are signed in: who gets one, how many, and what ends it. */
export class Sockets {
  private readonly server = new WebSocketServer({
    noServer: true,
    maxPayload: MAX_MESSAGE,
    WebSocket: GatedSocket as never,
  });
  private readonly signedIn = new Map<GatedSocket, SignedIn>();
  private readonly deaf = new WeakSet<GatedSocket>();

  /** @param welcome what is done with a connection that is let in */
  constructor(
    private readonly sessions: SessionsService,
    private readonly clock: Clock,
    private readonly logger: Logger,
    private readonly welcome: (socket: GatedSocket, request: IncomingMessage, signedIn: SignedIn) => void,
  ) {}

  all(): Iterable<GatedSocket> {
    return this.signedIn.keys();
  }

  /** Takes WebSocket upgrades of the live path; all others are none of its business and are ended. */
  attach(server: HttpServer): void {
    server.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
      this.upgrade(request, socket, head).catch((error: unknown) => {
        this.logger.warn(briefly(error), 'a live connection could not be opened');
        refuse(socket, '503 Service Unavailable');
      });
    });
  }

  private async upgrade(request: IncomingMessage, socket: Duplex, head: Buffer): Promise<void> {
    socket.on('error', () => socket.destroy());
    if (!URL.canParse(request.url ?? '/', 'http://host')) return refuse(socket, '400 Bad Request');
    if (new URL(request.url ?? '/', 'http://host').pathname !== LIVE_PATH) return refuse(socket, '404 Not Found');
    if (!sameOrigin(request.headers)) return refuse(socket, '403 Forbidden');
    const signedIn = await this.sessions.find(cookieOf(request.headers.cookie));
    if (!signedIn) return refuse(socket, '401 Unauthorized');
    if (signedIn.account.mustChangePassword) return refuse(socket, '403 Forbidden');
    if (this.countOf(signedIn.account.id) >= MOST_SOCKETS) return refuse(socket, '429 Too Many Requests');
    this.server.handleUpgrade(request, socket, head, (webSocket) => {
      this.letIn(webSocket as GatedSocket, request, signedIn);
    });
  }

  private countOf(accountId: string): number {
    return [...this.signedIn.values()].filter(({ account }) => account.id === accountId).length;
  }

  private letIn(socket: GatedSocket, request: IncomingMessage, signedIn: SignedIn): void {
    // A broken frame is that client's trouble: without a listener it would end the process.
    socket.on('error', (error: Error) => {
      this.logger.info(briefly(error), 'a live connection was broken off');
      socket.terminate();
    });
    this.signedIn.set(socket, signedIn);
    socket.once('close', () => this.signedIn.delete(socket));
    this.welcome(socket, request, signedIn);
    // Somebody may have signed out between the question at the door and now.
    this.sessions.isLive(signedIn.session).then(
      (live) => {
        if (!live) socket.showOut(LIVE_CLOSED.signedOut);
      },
      () => socket.showOut(LIVE_CLOSED.tryAgain),
    );
  }

  /** Who does not read what is sent fills the server's memory: told twice that something waits, they are cut off. */
  cutOffTheDeaf(): void {
    for (const socket of this.all()) {
      const isDeaf = socket.bufferedAmount > MOST_UNREAD;
      if (isDeaf && this.deaf.has(socket)) socket.terminate();
      else if (isDeaf) this.deaf.add(socket);
      else this.deaf.delete(socket);
    }
  }

  showOut(is: (signedIn: SignedIn) => boolean): void {
    for (const [socket, signedIn] of this.signedIn) if (is(signedIn)) socket.showOut(LIVE_CLOSED.signedOut);
  }

  showOutTheExpired(): void {
    this.showOut(({ session }) => session.expiresAt <= this.clock.now());
  }

  close(): void {
    for (const socket of this.all()) socket.close(1001, 'the server ends');
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
