import { HocuspocusProvider, HocuspocusProviderWebsocket } from '@hocuspocus/provider';
import { gatheringRoom, LIVE_PATH } from '@ichnograph/contract';
import type { LiveMessage } from '@ichnograph/contract';
import { randomUUID } from 'node:crypto';
import WebSocket from 'ws';
import * as Y from 'yjs';
import { line, ms, quantile, times, title } from './measure.js';
import { call, newcomers, signIn } from './people.js';

const STUDENTS = 120;
const WITHIN_MS = 60_000;
/** Long enough that no two are alike. */
const WORDS = ['arch', 'beam', 'cable', 'deck', 'pier', 'truss', 'tower', 'load', 'wind', 'rust', 'stone', 'span'];

/** A class of 120 sends an idea each within a minute: how soon it stands on the projector and on every device. */
export async function benchIdeas(url: string): Promise<void> {
  const people = await newcomers(url, STUDENTS, 'sends');
  const maren = await signIn(url, 'maren');
  const classes = await call<{ id: string; name: string }[]>(url, maren, 'classes');
  const classId = classes.find(({ name }) => name === 'Technology 9B')!.id;
  const wanted = { classId, question: 'What do you know?', anonymous: true };
  const { id } = await call<{ id: string }>(url, maren, 'gatherings', wanted);
  const sentAt = new Map<string, number>();
  const [board, devices, echoed]: number[][] = [[], [], []];
  const closes = await Promise.all([
    hears(url, maren, id, (text) => board!.push(performance.now() - sentAt.get(text)!)),
    ...people.map(({ cookie }) =>
      hears(url, cookie, id, (text) => devices!.push(performance.now() - sentAt.get(text)!)),
    ),
  ]);
  await Promise.all(
    people.map(async ({ cookie }, i) => {
      await pause((i / STUDENTS) * WITHIN_MS);
      const text = `${WORDS[i % WORDS.length]} ${WORDS[Math.floor(i / WORDS.length)]} of ${randomUUID().slice(0, 8)}`;
      // The cheapest thing that the server answers somebody who is signed in, in the same run.
      const asked = performance.now();
      await call(url, cookie, 'welcome');
      echoed!.push(performance.now() - asked);
      sentAt.set(text, performance.now());
      await call(url, cookie, `gatherings/${id}/ideas`, { text });
    }),
  );
  await pause(1000);
  title(`${STUDENTS} students send an idea each within ${WITHIN_MS / 1000} s, all with the question open`);
  const both = (found: readonly number[]): string => `${ms(quantile(found, 0.5))} · ${ms(quantile(found, 0.95))}`;
  line('an idea on the projector: p50 · p95', both(board!), 'wanted: within 1 s each');
  line('the slowest', ms(Math.max(...board!)));
  line('on the devices: p50 · p95', both(devices!));
  line('p95 on the projector : a plain answer', times(quantile(board!, 0.95) / quantile(echoed!, 0.95)));
  line('ideas that were not told', String(STUDENTS - board!.length), 'wanted: 0');
  for (const close of closes) close();
}

const pause = (milliseconds: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** Has a question open, and hears of each idea once. @returns closes it */
async function hears(url: string, cookie: string, id: string, hear: (text: string) => void): Promise<() => void> {
  class Socket extends WebSocket {
    constructor(address: string) {
      super(address, { headers: { cookie, origin: url } });
      this.on('error', () => undefined);
    }
  }
  const socket = new HocuspocusProviderWebsocket({
    url: `${url.replace('http', 'ws')}${LIVE_PATH}`,
    WebSocketPolyfill: Socket,
  });
  const known = new Set<string>();
  const provider = await new Promise<HocuspocusProvider>((resolve) => {
    const made: HocuspocusProvider = new HocuspocusProvider({
      websocketProvider: socket,
      name: gatheringRoom(id),
      document: new Y.Doc(),
      token: 'cookie',
      awareness: null,
      onStateless: ({ payload }) => {
        const message = JSON.parse(payload) as LiveMessage;
        // Let in: from now on it hears.
        if (message.type === 'work changed') resolve(made);
        if (message.type !== 'gathering') return;
        for (const { text } of message.ideas) if (!known.has(text)) hear((known.add(text), text));
      },
    });
    made.attach();
  });
  return () => {
    provider.destroy();
    socket.destroy();
  };
}
