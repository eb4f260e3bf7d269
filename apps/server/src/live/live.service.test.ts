import 'reflect-metadata';
import { createServer } from 'node:http';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { HocuspocusProvider, HocuspocusProviderWebsocket } from '@hocuspocus/provider';
import { LIVE_PATH, workDocument } from '@ichnograph/contract';
import { WebSocket } from 'ws';
import * as Y from 'yjs';
import { LiveService } from './live.service.js';
import type { Right } from './live.service.js';

const ID = '00000000-0000-4000-8000-000000000001';
const quiet = { info: () => undefined, warn: () => undefined, error: () => undefined };

/** Answers one after the other; the last one stays. */
class Rights {
  asked = 0;
  constructor(private readonly answers: (Right | Error)[]) {}
  of = (): Promise<Right> => {
    const answer = this.answers[Math.min(this.asked++, this.answers.length - 1)]!;
    return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer);
  };
}

let http: Server;
let live: LiveService;
let provider: HocuspocusProvider;
const closings: string[] = [];

/** What was stored, as it is told to the log. */
const appended: Uint8Array[] = [];

async function opened(rights: Rights, doc = new Y.Doc()): Promise<void> {
  const sessions = {
    onEnd: () => undefined,
    isLive: () => Promise.resolve(true),
    find: () => Promise.resolve({ session: { id: 's', expiresAt: new Date(8e12) }, account: { id: 'a' } }),
  };
  const log = {
    isFull: false,
    listen: () => undefined,
    load: () => Promise.resolve({ doc, stored: {} }),
    append: (_name: string, update: Uint8Array) => appended.push(update),
    drained: () => Promise.resolve(),
    close: () => Promise.resolve(),
  };
  live = new LiveService(
    sessions as never,
    {} as never,
    log as never,
    { now: () => new Date() },
    { onLeave: () => undefined } as never,
    quiet as never,
  );
  live.register('work', rights.of);
  http = createServer();
  live.attach(http);
  await new Promise<void>((done) => http.listen(0, '127.0.0.1', done));
  const url = `ws://127.0.0.1:${(http.address() as AddressInfo).port}${LIVE_PATH}`;
  class Socket extends WebSocket {
    constructor(address: string) {
      super(address, { headers: { origin: url.replace('ws', 'http').replace(LIVE_PATH, '') } });
    }
  }
  provider = new HocuspocusProvider({
    websocketProvider: new HocuspocusProviderWebsocket({ url, WebSocketPolyfill: Socket }),
    name: workDocument(ID),
    document: new Y.Doc(),
    token: 'cookie',
    awareness: null,
    onClose: ({ event }) => closings.push(event.reason),
  });
  provider.attach();
}

const until = async (true_: () => boolean): Promise<void> => {
  while (!true_()) await new Promise((soon) => setTimeout(soon, 20));
};

afterEach(async () => {
  provider.destroy();
  provider.configuration.websocketProvider.destroy();
  await live.beforeApplicationShutdown();
  http.closeAllConnections();
  await new Promise((done) => http.close(done));
  closings.length = 0;
  appended.length = 0;
});

test('who was let in stays while nobody can be asked, and is asked about again', async () => {
  const rights = new Rights(['write', new Error('the database is away'), 'write']);
  await opened(rights);
  await until(() => rights.asked >= 3);
  expect(closings).toEqual([]);
}, 15_000);

test('who may no more when somebody can be asked again is shown out', async () => {
  const rights = new Rights(['write', new Error('the database is away'), null]);
  await opened(rights);
  await until(() => closings.length > 0);
  expect(closings).toEqual(['not yours']);
}, 15_000);

test('a document of an earlier version is upgraded and stored before anybody has it', async () => {
  const stored = new Y.Doc();
  const topic = new Y.Map<unknown>([['text', 'Arch']]);
  stored.getMap('topics').set('a', topic);
  stored.getMap('head').set('schema', 1);
  const before = Y.encodeStateAsUpdate(stored);
  await opened(new Rights(['write']), stored);
  const { document } = provider;
  await until(() => document.getMap('head').has('schema'));
  const mine = document.getMap<Y.Map<unknown>>('topics').get('a')!.get('text');
  expect(mine).toBeInstanceOf(Y.Text);
  const read = new Y.Doc();
  for (const update of [before, ...appended]) Y.applyUpdate(read, update);
  expect(String(read.getMap<Y.Map<unknown>>('topics').get('a')!.get('text'))).toBe('Arch');
  expect(Y.encodeStateVector(read)).toEqual(Y.encodeStateVector(document));
}, 15_000);
