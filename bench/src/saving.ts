import { readFileSync } from 'node:fs';
import { HocuspocusProvider, HocuspocusProviderWebsocket } from '@hocuspocus/provider';
import { LIVE_PATH, workDocument } from '@ichnograph/contract';
import type { LiveMessage, StudentTask, WorkDetail } from '@ichnograph/contract';
import { LiveMap } from '@ichnograph/livemap';
import mysql from 'mysql2/promise';
import WebSocket from 'ws';
import * as Y from 'yjs';
// @ts-expect-error the scripts of this project are plain JavaScript
import { Stack } from '../../scripts/lib/stack.mjs';
import { mapOf } from './maps.js';
import { line, ms, quantile, times, title } from './measure.js';

interface RunningStack {
  start: () => Promise<unknown>;
  remove: () => Promise<void>;
  url: string;
  server: { pid: number };
  settings: Record<string, string>;
}

const PEOPLE = 50;
const SECONDS = 20;
const TOPICS = 60;

/** How soon an edit is saved, beside what the database itself needs, and what an open map takes of the server’s memory. */
export async function benchSaving(): Promise<void> {
  const stack = new (Stack as new (name: string, options: object) => RunningStack)('bench', {
    env: { ICHNOGRAPH_LOG: 'silent' },
  });
  await stack.start();
  try {
    const people = await readyPeople(stack.url);
    title('From an edit to “saved”, each person one change a second in a map of their own');
    const [first] = people;
    const before = memoryOf(stack.server.pid);
    await first!.open();
    await editing([first!], 5);
    const alone = await editing([first!], SECONDS);
    await Promise.all(people.map((person) => person.open()));
    await Promise.all(people.map((person) => person.fill()));
    await editing(people, 5);
    const opened = memoryOf(stack.server.pid);
    const together = await editing(people, SECONDS);
    const inserts = await inserting(stack.settings, first!.changeSize);
    line('1 person: p50 · p95', `${ms(quantile(alone, 0.5))} · ${ms(quantile(alone, 0.95))}`);
    line('50 people: p50 · p95', `${ms(quantile(together, 0.5))} · ${ms(quantile(together, 0.95))}`);
    line(
      '50 committed INSERTs a second of that size: p50 · p95',
      `${ms(quantile(inserts, 0.5))} · ${ms(quantile(inserts, 0.95))}`,
    );
    line(
      'p95 of 50 people : p95 of the INSERTs',
      times(quantile(together, 0.95) / quantile(inserts, 0.95)),
      'wanted: at most 10',
    );
    title(`Server memory, ${PEOPLE} open maps of ${TOPICS} topics`);
    line('a map', `${((opened - before) / PEOPLE / 1024).toFixed(2)} MiB`, 'wanted: below 2 MiB');
    for (const person of people) person.close();
  } finally {
    await stack.remove();
  }
}

/** Resident memory of a process in KiB, as Linux counts it. */
const memoryOf = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]);

async function readyPeople(url: string): Promise<Drawer[]> {
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
  for (let i = 0; i < PEOPLE; i++) {
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

/** One student at a map, as their browser does it. */
class Drawer {
  private readonly doc = new Y.Doc();
  private readonly live = new LiveMap(this.doc, String(this.doc.clientID));
  private readonly waiting: { count: number; done: () => void }[] = [];
  private socket?: HocuspocusProviderWebsocket;
  private provider?: HocuspocusProvider;
  private at = 0;
  changeSize = 0;

  constructor(
    private readonly url: string,
    private readonly workId: string,
    private readonly cookie: string,
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

  /** A map of sixty topics. */
  async fill(): Promise<void> {
    const { topics, links } = mapOf(TOPICS, 3);
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

const pause = (milliseconds: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** Each of them does one thing a second, all of them spread over that second. */
async function everySecond(count: number, seconds: number, act: (i: number) => Promise<number>): Promise<number[]> {
  const found: number[] = [];
  await Promise.all(
    Array.from({ length: count }, async (_, i) => {
      await pause((1000 * i) / count);
      for (let second = 0; second < seconds; second++) {
        const start = performance.now();
        found.push(await act(i));
        await pause(Math.max(0, 1000 - (performance.now() - start)));
      }
    }),
  );
  return found;
}

const editing = (people: readonly Drawer[], seconds: number): Promise<number[]> =>
  everySecond(people.length, seconds, (i) => people[i]!.edit());

/** As many rows of that size, each in a transaction of its own, in the same database. */
async function inserting(settings: Record<string, string>, size: number): Promise<number[]> {
  const pool = mysql.createPool({
    socketPath: settings.ICHNOGRAPH_DB_SOCKET,
    user: settings.ICHNOGRAPH_DB_USER,
    password: settings.ICHNOGRAPH_DB_PASSWORD,
    database: settings.ICHNOGRAPH_DB_NAME,
    connectionLimit: PEOPLE,
  } as mysql.PoolOptions);
  try {
    await pool.query(
      'CREATE TABLE bench_rows (id BIGINT AUTO_INCREMENT PRIMARY KEY, body BLOB NOT NULL) ENGINE=InnoDB',
    );
    const body = Buffer.alloc(Math.max(1, size), 7);
    const insert = async (): Promise<number> => {
      const start = performance.now();
      await pool.query('INSERT INTO bench_rows (body) VALUES (?)', [body]);
      return performance.now() - start;
    };
    await everySecond(PEOPLE, 3, insert);
    return await everySecond(PEOPLE, SECONDS, insert);
  } finally {
    await pool.end();
  }
}
