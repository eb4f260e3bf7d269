import { HocuspocusProvider, HocuspocusProviderWebsocket } from '@hocuspocus/provider';
import { LIVE_PATH, workDocument } from '@ichnograph/contract';
import type { LiveMessage, StudentTask, WorkDetail } from '@ichnograph/contract';
import type { TopicMap } from '@ichnograph/core';
import { LiveMap } from '@ichnograph/livemap';
import WebSocket from 'ws';
import * as Y from 'yjs';

/** One student at a map, as their browser does it. */
export class Drawer {
  private readonly doc = new Y.Doc();
  private readonly live = new LiveMap(this.doc, String(this.doc.clientID));
  private readonly waiting: { count: number; done: () => void }[] = [];
  private socket?: HocuspocusProviderWebsocket;
  private provider?: HocuspocusProvider;
  private at = 0;
  changeSize = 0;

  constructor(
    private readonly url: string,
    readonly workId: string,
    readonly cookie: string,
  ) {}

  async open(): Promise<void> {
    if (this.provider) return;
    const { cookie, url } = this;
    class Socket extends WebSocket {
      constructor(address: string) {
        super(address, { headers: { cookie, origin: url } });
        this.on('error', () => undefined);
      }
    }
    this.doc.on('update', (update: Uint8Array) => (this.changeSize = update.length));
    this.socket = new HocuspocusProviderWebsocket({
      url: `${url.replace('http', 'ws')}${LIVE_PATH}`,
      WebSocketPolyfill: Socket,
    });
    await new Promise<void>((resolve) => {
      this.provider = new HocuspocusProvider({
        websocketProvider: this.socket!,
        name: workDocument(this.workId),
        document: this.doc,
        token: 'cookie',
        awareness: null,
        onSynced: () => resolve(),
        onStateless: ({ payload }) => this.hear(JSON.parse(payload) as LiveMessage),
      });
      this.provider.attach();
    });
  }

  private hear(message: LiveMessage): void {
    if (message.type !== 'stored') return;
    const stored = message.counters[this.live.client] ?? 0;
    while (this.waiting[0] && this.waiting[0].count <= stored) this.waiting.shift()!.done();
  }

  private saved(): Promise<void> {
    return new Promise((done) => this.waiting.push({ count: this.live.made, done }));
  }

  async fill({ topics, links }: TopicMap): Promise<void> {
    for (const item of topics) this.live.apply([{ do: 'add', to: 'topics', item }]);
    for (const item of links) this.live.apply([{ do: 'add', to: 'links', item }]);
    await this.saved();
  }

  /** Milliseconds until one moved topic is stored. */
  async edit(): Promise<number> {
    const { topics } = this.live.snapshot;
    const topic = topics[this.at++ % topics.length]!;
    const start = performance.now();
    this.live.apply([{ do: 'set', in: 'topics', id: topic.id, fields: { x: topic.x + 1 } }]);
    await this.saved();
    return performance.now() - start;
  }

  close(): void {
    this.provider?.destroy();
    this.socket?.destroy();
  }
}

/** So many students of their own, each with a work begun. */
export async function readyPeople(url: string, many: number): Promise<Drawer[]> {
  const call = async (cookie: string, path: string, body?: object): Promise<Response> => {
    const answer = await fetch(`${url}/api/${path}`, {
      method: body ? 'POST' : 'GET',
      headers: { cookie, ...(body && { 'content-type': 'application/json' }) },
      ...(body && { body: JSON.stringify(body) }),
    });
    if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
    return answer;
  };
  const signIn = async (name: string): Promise<string> =>
    (await call('', `demo/sign-in/${name}`, {})).headers.getSetCookie()[0]!.split(';')[0]!;
  const head = await signIn('halina');
  const classes = (await (await call(head, 'classes')).json()) as { id: string; name: string }[];
  const room = classes.find(({ name }) => name === 'Technology 9B');
  const people: Drawer[] = [];
  for (let i = 0; i < many; i++) {
    const name = `bench${i}`;
    const account = { role: 'student', givenName: 'Bench', familyName: String(i), name, password: 'a long first one' };
    const { id } = (await (await call(head, 'accounts', account)).json()) as { id: string };
    await call(head, `classes/${room!.id}/people`, { accountId: id, part: 'student' });
    const cookie = await signIn(name);
    await call(cookie, 'password', { current: account.password, next: 'a password of my own' });
    const [task] = (await (await call(cookie, 'today/student')).json()) as StudentTask[];
    const work = (await (await call(cookie, `publications/${task!.publicationId}/work`, {})).json()) as WorkDetail;
    people.push(new Drawer(url, work.id, cookie));
  }
  return people;
}
