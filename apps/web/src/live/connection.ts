import { HocuspocusProvider, HocuspocusProviderWebsocket } from '@hocuspocus/provider';
import { LIVE_CLOSED, LIVE_PATH } from '@ichnograph/contract';
import type { Here, LiveMessage, LiveRefused } from '@ichnograph/contract';
import type * as Y from 'yjs';

/** The server says something every three seconds; one that is silent for longer is not at the other end any more. */
const SILENCE_MS = 7000;
const PATIENCE_MS = 5000;
const LOOK_MS = 1000;
const PAUSES_MS = [300, 600, 1200, 2000];

export interface ConnectionEvents {
  /** something about `state` is another now */
  onChange: () => void;
  onMessage: (message: LiveMessage) => void;
  /** connections fail one after the other: perhaps this person is signed out */
  onDoubt: () => void;
}

export interface ConnectionState {
  /** open, let in, and of one mind with the server at least once */
  open: boolean;
  readOnly: boolean;
  /** why it will not be opened again */
  ended: 'closed' | 'full' | 'not taken' | null;
}

/**
 * Keeps a document connected. Each connection is made anew and thrown away whole when it fails, falls silent or takes too
 * long: whatever state the one before was in, seconds after the way is free the next one is through.
 */
export class Connection {
  state: ConnectionState = { open: false, readOnly: false, ended: null };
  private line: Line | null = null;
  private failures = 0;
  private next: ReturnType<typeof setTimeout> | undefined;
  private readonly watch = setInterval(() => this.look(), LOOK_MS);

  constructor(
    private readonly doc: Y.Doc,
    private readonly name: string,
    private readonly events: ConnectionEvents,
  ) {
    window.addEventListener('online', this.hurry);
    window.addEventListener('offline', this.lose);
    document.addEventListener('visibilitychange', this.hurry);
    this.open();
  }

  /** Says something beside the document; lost where there is no way just now. */
  say(message: Here): void {
    if (this.state.open) this.line?.say(message);
  }

  destroy(): void {
    clearInterval(this.watch);
    clearTimeout(this.next);
    window.removeEventListener('online', this.hurry);
    window.removeEventListener('offline', this.lose);
    document.removeEventListener('visibilitychange', this.hurry);
    this.line?.destroy();
    this.line = null;
  }

  private open(): void {
    clearTimeout(this.next);
    this.line?.destroy();
    const line: Line = new Line(this.doc, this.name, {
      opened: (readOnly) => {
        this.failures = 0;
        this.set({ open: true, readOnly });
      },
      message: this.events.onMessage,
      failed: (why) => {
        if (line === this.line) this.lost(why);
      },
    });
    this.line = line;
  }

  /** The browser knows that there is no way sooner than silence tells. */
  private readonly lose = (): void => this.lost('no way');

  private lost(why: Failure): void {
    this.line?.destroy();
    this.line = null;
    const ended =
      why === 'not yours' || why === 'signed out' ? 'closed' : why === 'full' || why === 'not taken' ? why : null;
    this.set({ open: false, ended });
    if (ended) return;
    const pause = PAUSES_MS[Math.min(this.failures, PAUSES_MS.length - 1)]!;
    this.failures += 1;
    if (this.failures % 3 === 0) this.events.onDoubt();
    clearTimeout(this.next);
    this.next = setTimeout(() => this.open(), pause);
  }

  private readonly hurry = (): void => {
    if (!this.line && !this.state.ended && document.visibilityState === 'visible') this.open();
  };

  private look(): void {
    if (this.line?.isStuck()) this.lost('silent');
  }

  private set(state: Partial<ConnectionState>): void {
    this.state = { ...this.state, ...state };
    this.events.onChange();
  }
}

type Failure = LiveRefused | 'full' | 'not taken' | 'silent' | 'no way';

/** The library connects again by itself, even after it was told to end; here each connection is tried once. */
class OneTry extends HocuspocusProviderWebsocket {
  private tried = false;

  override connect(): Promise<void> {
    if (this.tried) return Promise.resolve();
    this.tried = true;
    return super.connect() as Promise<void>;
  }
}

/** One connection, from its making to its end. */
class Line {
  private readonly socket: OneTry;
  private readonly provider: HocuspocusProvider;
  private readonly begun = Date.now();
  private heard = Date.now();
  private isOpen = false;
  private isLetIn = false;
  private readOnly = false;
  private isOver = false;

  constructor(
    doc: Y.Doc,
    name: string,
    private readonly tell: {
      opened: (readOnly: boolean) => void;
      message: (message: LiveMessage) => void;
      failed: (why: Failure) => void;
    },
  ) {
    this.socket = new OneTry({
      url: `${location.origin.replace(/^http/, 'ws')}${LIVE_PATH}`,
      autoConnect: false,
      maxAttempts: 1,
      // Its own watch is off: ours throws the whole connection away.
      messageReconnectTimeout: 2 ** 30,
      onMessage: () => {
        this.heard = Date.now();
      },
    });
    this.provider = new HocuspocusProvider({
      websocketProvider: this.socket,
      name,
      document: doc,
      token: 'cookie',
      awareness: null,
      onAuthenticated: ({ scope }) => {
        this.isLetIn = true;
        this.readOnly = scope === 'readonly';
        this.opened();
      },
      onSynced: () => this.opened(),
      onStateless: ({ payload }) => {
        if (!this.isOver) tell.message(JSON.parse(payload) as LiveMessage);
      },
      onAuthenticationFailed: ({ reason }) => this.fail(reason),
      onClose: ({ event }) => this.fail(reasonOf(event)),
    });
    this.provider.attach();
    this.socket.connect().catch(() => this.fail('no way'));
  }

  say(message: Here): void {
    this.provider.sendStateless(JSON.stringify(message));
  }

  isStuck(): boolean {
    const now = Date.now();
    return this.isOpen ? now - this.heard > SILENCE_MS : now - this.begun > PATIENCE_MS;
  }

  destroy(): void {
    this.isOver = true;
    this.provider.destroy();
    this.socket.destroy();
  }

  private opened(): void {
    if (this.isOver || this.isOpen || !this.isLetIn || !this.provider.isSynced) return;
    this.isOpen = true;
    this.tell.opened(this.readOnly);
  }

  private fail(why: string): void {
    if (this.isOver) return;
    this.isOver = true;
    this.tell.failed(why as Failure);
  }
}

function reasonOf({ code, reason }: { code: number; reason: string }): Failure {
  if (code === LIVE_CLOSED.signedOut.code) return 'signed out';
  if (code === LIVE_CLOSED.misfit.code) return 'not taken';
  // 1009: a single change larger than a message may be.
  if (code === LIVE_CLOSED.full.code || code === 1009) return 'full';
  return reason === 'not yours' || reason === 'signed out' ? reason : 'no way';
}
