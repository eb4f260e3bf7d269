import { HocuspocusProvider, HocuspocusProviderWebsocket } from '@hocuspocus/provider';
import { LIVE_PATH, workDocument } from '@ichnograph/contract';
import type {
  Here,
  LiveMessage,
  OneHere,
  ProblemDetails,
  StudentTask,
  TeacherTask,
  WorkDetail,
} from '@ichnograph/contract';
import { LiveMap } from '@ichnograph/livemap';
import type { Socket } from 'node:net';
import WebSocket from 'ws';
import * as Y from 'yjs';

export const DEMO_PASSWORD = 'alder-quay';
/** Of newcomers, once they have changed their first one. */
export const OWN_PASSWORD = 'a password of my own';
const BRIDGES = 'How bridges carry loads';

export interface Answer<T> {
  status: number;
  body: T;
  problem: ProblemDetails;
  headers: Headers;
}

/** Waits for what a test is about, looking often; fails with what it waited for. */
export async function until<T>(
  what: string,
  look: () => T | Promise<T>,
  patience = 60_000,
): Promise<NonNullable<Exclude<T, false>>> {
  const end = Date.now() + patience;
  for (;;) {
    const found = await look();
    if (found) return found as NonNullable<Exclude<T, false>>;
    if (Date.now() > end) throw new Error(`waited in vain for ${what}`);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}

/** A person at a browser, as far as the server can tell. */
export class Person {
  cookie = '';
  constructor(readonly url = process.env.ICHNOGRAPH_TEST_URL!) {}

  static async signedIn(name: string, url?: string): Promise<Person> {
    const person = new Person(url);
    // By the demo's one click: the door for passwords counts tries, and has tests of its own.
    const { status } = await person.post(`demo/sign-in/${name}`);
    if (status !== 204) throw new Error(`${name} could not sign in: ${status}`);
    return person;
  }

  /** A student of the class who was not there before: nobody else's test has touched their work. */
  static async newcomer(givenName: string): Promise<Person> {
    const head = await Person.signedIn('halina');
    const name = `new-${givenName.toLowerCase()}`;
    const account = { role: 'student', givenName, familyName: 'Newcomer', name, password: 'a long first one' };
    const { body } = await head.post<{ id: string }>('accounts', account);
    const classes = (await head.get<{ id: string; name: string }[]>('classes')).body;
    const room = classes.find((one) => one.name === 'Technology 9B');
    await head.post(`classes/${room!.id}/people`, { accountId: body.id, part: 'student' });
    const person = await Person.signedIn(name);
    await person.post('password', { current: account.password, next: OWN_PASSWORD });
    return person;
  }

  async call<T = unknown>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer<T>> {
    const response = await fetch(`${this.url}/api/${path}`, {
      method,
      // A connection kept for the next request would keep the test's process from ending.
      headers: {
        connection: 'close',
        cookie: this.cookie,
        ...(body !== undefined && { 'content-type': 'application/json' }),
        ...headers,
      },
      ...(body !== undefined && { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const set = response.headers.getSetCookie().find((one) => one.startsWith('ichnograph_session='));
    if (set) this.cookie = set.split(';')[0]!;
    const text = await response.text();
    const isJson = response.headers.get('content-type')?.includes('json') ?? false;
    const parsed: unknown = isJson && text !== '' ? JSON.parse(text) : undefined;
    return { status: response.status, body: parsed as T, problem: parsed as ProblemDetails, headers: response.headers };
  }

  get = <T = unknown>(path: string): Promise<Answer<T>> => this.call<T>('GET', path);
  post = <T = unknown>(path: string, body: unknown = {}): Promise<Answer<T>> => this.call<T>('POST', path, body);

  async task(): Promise<StudentTask> {
    return (await this.get<StudentTask[]>('today/student')).body.find(({ title }) => title === BRIDGES)!;
  }

  async teacherTask(): Promise<TeacherTask> {
    return (await this.get<TeacherTask[]>('today/teacher')).body.find(
      ({ title, className }) => title === BRIDGES && className === 'Technology 9B',
    )!;
  }

  /** The student's work, begun if it was not. */
  async work(): Promise<WorkDetail> {
    return (await this.post<WorkDetail>(`publications/${(await this.task()).publicationId}/work`)).body;
  }

  /** Opens a live connection to a work. */
  live(workId: string, headers: Record<string, string> = {}): LiveClient {
    return this.document(workDocument(workId), headers);
  }

  /** Opens a live connection to any document. */
  document(name: string, headers: Record<string, string> = {}): LiveClient {
    return new LiveClient(this, name, { cookie: this.cookie, origin: this.url, ...headers });
  }
}

/** What would keep the test's process from ending: sockets say good-bye politely, and wait for the answer. */
const ends: (() => void)[] = [];
export const endLater = (end: () => void): void => void ends.push(end);
afterAll(() => {
  for (const end of ends.splice(0)) end();
});

export class LiveClient {
  readonly doc = new Y.Doc();
  readonly live = new LiveMap(this.doc, String(this.doc.clientID));
  stored: Record<string, number> = {};
  refused = false;
  closedWith: number | null = null;
  closedBecause: string | null = null;
  messages: LiveMessage[] = [];
  /** who else is here, by the key of their opening */
  readonly others = new Map<string, OneHere>();
  private readonly sockets: WebSocket[] = [];
  private readonly socket: HocuspocusProviderWebsocket;
  private readonly provider: HocuspocusProvider;

  constructor({ url }: Person, name: string, headers: Record<string, string>) {
    const { sockets } = this;
    class Socket extends WebSocket {
      constructor(address: string) {
        super(address, { headers });
        sockets.push(this);
        // A socket closed before it was open says so as an error, when the provider no longer listens to it.
        this.on('error', () => undefined);
      }
    }
    this.socket = new HocuspocusProviderWebsocket({
      url: `${url.replace('http', 'ws')}${LIVE_PATH}`,
      WebSocketPolyfill: Socket,
      delay: 100,
      minDelay: 50,
      maxDelay: 300,
    });
    this.provider = new HocuspocusProvider({
      websocketProvider: this.socket,
      name,
      document: this.doc,
      token: 'cookie',
      awareness: null,
      onAuthenticationFailed: () => {
        this.refused = true;
      },
      onClose: ({ event }) => {
        this.closedWith = event.code;
        this.closedBecause = event.reason;
      },
      onStateless: ({ payload }) => {
        const message = JSON.parse(payload) as LiveMessage;
        this.messages.push(message);
        if (message.type === 'here') {
          if (message.all) this.others.clear();
          for (const one of message.people) this.others.set(one.key, one);
          for (const key of message.gone) this.others.delete(key);
        }
        if (message.type === 'stored') this.stored = { ...this.stored, ...message.counters };
      },
    });
    this.provider.attach();
    endLater(() => this.close());
  }

  get client(): string {
    return this.live.client;
  }
  opened = (): Promise<unknown> =>
    until('the live map to open', () => this.doc.getMap('head').has('schema') && this.provider.isSynced);
  saved = (): Promise<unknown> =>
    until('the server to say stored', () => (this.stored[this.client] ?? 0) >= this.live.made);

  /** Says where this person points, what they hold; or whatever a page of ours would not. */
  say(here: Partial<Here> | string): void {
    this.provider.sendStateless(typeof here === 'string' ? here : JSON.stringify({ type: 'here', holds: [], ...here }));
  }
  /** The other side goes deaf and dumb, without a word. */
  freeze(): void {
    for (const socket of this.sockets) (socket as unknown as { _socket: Socket })._socket.pause();
  }

  close(): void {
    this.provider.destroy();
    this.socket.destroy();
    this.live.destroy();
    for (const socket of this.sockets.splice(0)) socket.terminate();
  }
}
