import { HocuspocusProvider, HocuspocusProviderWebsocket } from '@hocuspocus/provider';
import { LIVE_PATH, workDocument } from '@ichnograph/contract';
import type { AssignmentDetail, Here, LiveMessage, SheetDetail, StudentTask, WorkDetail } from '@ichnograph/contract';
import type { TopicMap } from '@ichnograph/core';
import { LiveMap } from '@ichnograph/livemap';
import WebSocket from 'ws';
import * as Y from 'yjs';
import { call, newcomers, signIn } from './people.js';

/** One student at a map, as their browser does it. */
export class Drawer {
  readonly doc = new Y.Doc();
  readonly live = new LiveMap(this.doc, String(this.doc.clientID));
  private readonly waiting: { count: number; done: () => void }[] = [];
  private socket?: HocuspocusProviderWebsocket;
  private provider?: HocuspocusProvider;
  private at = 0;
  changeSize = 0;
  /** told of what others do beside the map */
  onHere: (message: Extract<LiveMessage, { type: 'here' }>) => void = () => undefined;

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
    if (message.type === 'here') this.onHere(message);
    if (message.type !== 'stored') return;
    const stored = message.counters[this.live.client] ?? 0;
    while (this.waiting[0] && this.waiting[0].count <= stored) this.waiting.shift()!.done();
  }

  /** Says where this person points. */
  say(here: Omit<Here, 'type'>): void {
    this.provider!.sendStateless(JSON.stringify({ type: 'here', ...here }));
  }

  saved(): Promise<void> {
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
  const people: Drawer[] = [];
  for (const { cookie } of await newcomers(url, many)) {
    const [task] = await call<StudentTask[]>(url, cookie, 'today/student');
    const work = await call<WorkDetail>(url, cookie, `publications/${task!.publicationId}/work`, {});
    people.push(new Drawer(url, work.id, cookie));
  }
  return people;
}

/** So many students on one map. */
export async function readyGroup(url: string, many: number): Promise<Drawer[]> {
  const people = await newcomers(url, many);
  const maren = await signIn(url, 'maren');
  const sheet = await call<SheetDetail>(url, maren, 'assignments/sheets', { readyMade: 'timeline' });
  const classes = await call<{ id: string; name: string }[]>(url, maren, 'classes');
  const classId = classes.find(({ name }) => name === 'Technology 9B')!.id;
  const given = await call<AssignmentDetail>(url, maren, `assignments/${sheet.id}/publications`, { classId });
  const publication = given.publications[0]!.id;
  const groups = [{ members: people.map(({ id }) => id) }];
  await call(url, maren, `publications/${publication}/groups`, { groups }, 'PUT');
  const work = await call<WorkDetail>(url, people[0]!.cookie, `publications/${publication}/work`, {});
  return people.map(({ cookie }) => new Drawer(url, work.id, cookie));
}
