import { fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import WebSocket from 'ws';
import type * as Y from 'yjs';
import { readyGroup } from './drawer.js';
import type { Drawer } from './drawer.js';
import { benchIdeas } from './ideas.js';
import { mapOf } from './maps.js';
import { line, ms, quantile, times, title } from './measure.js';
import { quietStack } from './stack.js';

const HANDS = 30;
const TOPICS = 200;
const GESTURES_A_SECOND = 20;
const SECONDS = 15;
/** A page says so often where its hand is, as long as it moves. */
const POINTS_A_SECOND = 12;

/**
 * Thirty hands on one map: how soon a gesture is seen by all others and stored, with all pointers moving and with none. Then
 * a class that answers a question.
 */
export async function benchLive(): Promise<void> {
  const stack = quietStack();
  await stack.start();
  try {
    const hands = await readyGroup(stack.url, HANDS);
    for (const hand of hands) await hand.open();
    await hands[0]!.fill(mapOf(TOPICS, 3));
    await until(() => hands.every(({ doc }) => doc.getMap('topics').size >= TOPICS));
    const size = hands[0]!.changeSize;
    await gestures(hands, 3);
    const still = await gestures(hands, SECONDS);
    const stop = pointing(hands);
    const seen = pointersSeen(hands);
    await gestures(hands, 2);
    seen.length = 0;
    const moving = await gestures(hands, SECONDS);
    stop();
    const echoed = await echo(size);
    title(`${HANDS} hands on one map of ${TOPICS} topics, ${GESTURES_A_SECOND} gestures a second in all`);
    const both = (found: readonly number[]): string => `${ms(quantile(found, 0.5))} · ${ms(quantile(found, 0.95))}`;
    line('a gesture seen by the others: p50 · p95', both(moving.seen), 'wanted: p95 at most 250 ms');
    line('the same with all pointers still', both(still.seen));
    line('a bare echo of as many bytes: p50 · p95', both(echoed));
    line('p95 : p95 of the bare echo', times(quantile(moving.seen, 0.95) / quantile(echoed, 0.95)));
    line('a gesture stored: p50 · p95', both(moving.stored));
    line(
      'p95 with pointers : p95 without',
      times(quantile(moving.stored, 0.95) / quantile(still.stored, 0.95)),
      'wanted: about 1',
    );
    line('a pointer seen by the others: p50 · p95', both(seen), 'wanted: p95 at most 200 ms');
    line('gestures lost', String(moving.lost + still.lost), 'wanted: 0');
    for (const hand of hands) hand.close();
    await benchIdeas(stack.url);
  } finally {
    await stack.remove();
  }
}

const pause = (milliseconds: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, milliseconds));
async function until(is: () => boolean): Promise<void> {
  while (!is()) await pause(20);
}

interface Found {
  /** milliseconds, one for each who sees a gesture */
  seen: number[];
  stored: number[];
  lost: number;
}

/** Hands move topics by turns; each move is known by where it leads. */
async function gestures(hands: readonly Drawer[], seconds: number): Promise<Found> {
  const found: Found = { seen: [], stored: [], lost: 0 };
  const ids = [...hands[0]!.doc.getMap('topics').keys()];
  const made = new Map<number, { at: number; left: number }>();
  // What a page makes of it is measured elsewhere: thirty pages in this one process would measure themselves.
  const stops = hands.map(({ doc }) => {
    const topics = doc.getMap<Y.Map<unknown>>('topics');
    const look = (events: Y.YEvent<Y.Map<unknown>>[], { local }: Y.Transaction): void => {
      if (local) return;
      for (const { target, keys } of events) {
        const gesture = keys.has('x') ? made.get(target.get('x') as number) : undefined;
        if (!gesture) continue;
        found.seen.push(performance.now() - gesture.at);
        gesture.left -= 1;
      }
    };
    topics.observeDeep(look as never);
    return () => topics.unobserveDeep(look as never);
  });
  const storing: Promise<void>[] = [];
  for (let i = 0; i < seconds * GESTURES_A_SECOND; i++) {
    const hand = hands[i % hands.length]!;
    const [x, at] = [1000 + (places += 1) / 8, performance.now()];
    made.set(x, { at, left: hands.length - 1 });
    hand.live.apply([{ do: 'set', in: 'topics', id: ids[i % ids.length]!, fields: { x } }]);
    storing.push(hand.saved().then(() => void found.stored.push(performance.now() - at)));
    await pause(1000 / GESTURES_A_SECOND);
  }
  await Promise.all(storing);
  await pause(1000);
  for (const stop of stops) stop();
  found.lost = [...made.values()].filter(({ left }) => left > 0).length;
  return found;
}
let places = 0;

/** All pointers move. @returns ends it */
function pointing(hands: readonly Drawer[]): () => void {
  const timers = hands.map((hand) =>
    setInterval(() => hand.say({ at: { x: performance.now(), y: 0 }, holds: [] }), 1000 / POINTS_A_SECOND),
  );
  return () => timers.forEach((timer) => clearInterval(timer));
}

/** How old a pointer is when others hear of it: where it points says when it did. */
function pointersSeen(hands: readonly Drawer[]): number[] {
  const found: number[] = [];
  for (const hand of hands)
    hand.onHere = ({ people }) => {
      for (const { at } of people) if (at) found.push(performance.now() - at.x);
    };
  return found;
}

/** As many bytes to as many others by a server that does nothing else, in a process of its own. */
export async function echo(size: number): Promise<number[]> {
  const child = fork(fileURLToPath(new URL('./echo.js', import.meta.url)));
  const port = await new Promise<number>((resolve) => child.once('message', (message) => resolve(message as number)));
  const found: number[] = [];
  const sockets = await Promise.all(
    Array.from(
      { length: HANDS },
      () =>
        new Promise<WebSocket>((resolve) => {
          const socket = new WebSocket(`ws://127.0.0.1:${port}`);
          socket.on('message', (data: Buffer) => found.push(performance.now() - data.readDoubleLE(0)));
          socket.once('open', () => resolve(socket));
        }),
    ),
  );
  for (let i = 0; i < SECONDS * GESTURES_A_SECOND; i++) {
    const bytes = Buffer.alloc(Math.max(8, size));
    bytes.writeDoubleLE(performance.now());
    sockets[i % HANDS]!.send(bytes);
    await pause(1000 / GESTURES_A_SECOND);
  }
  await pause(200);
  for (const socket of sockets) socket.close();
  child.kill();
  return found;
}
