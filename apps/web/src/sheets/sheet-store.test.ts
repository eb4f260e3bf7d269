import { emptySheet, SHEET_PARTS } from '@ichnograph/core';
import type { SheetDetail } from '@ichnograph/contract';
import { jest } from '@jest/globals';
import { createSheetStore } from './sheet-store';

/** What the server holds of a sheet, and how it answers the next saves. */
class Server {
  readonly versions = new Map(SHEET_PARTS.map((part) => [part as string, 1]));
  readonly bodies = new Map(Object.entries(emptySheet()) as [string, object][]);
  down = false;
  /** takes what is sent, and its answer never arrives */
  losesAnswers = false;
  /** answers wait for this */
  gate: Promise<unknown> = Promise.resolve();
  saves = 0;

  detail(): SheetDetail {
    const parts = Object.fromEntries(
      SHEET_PARTS.map((part) => [part, { version: this.versions.get(part)!, body: this.bodies.get(part)! }]),
    );
    return { id: 'sheet-1', parts } as unknown as SheetDetail;
  }

  /** Saves as somebody else would. */
  overtake(part: string, body: object): void {
    this.versions.set(part, this.versions.get(part)! + 1);
    this.bodies.set(part, body);
  }

  fetch = (address: string, { method, body }: { method: string; body?: string }): Promise<Response> => {
    if (this.down) return Promise.reject(new TypeError('no network'));
    if (method === 'GET') return answer(200, this.detail());
    const lost = this.losesAnswers;
    return this.gate
      .then(() => this.put(address, body!))
      .then((given) => {
        if (lost) throw new TypeError('no network');
        return given;
      });
  };

  private put(address: string, body: string): Promise<Response> {
    const part = address.split('/').at(-1)!;
    const sent = JSON.parse(body) as { version: number; body: { title?: string } };
    this.saves += 1;
    if (sent.body.title === 'refuse me') return answer(422, { detail: 'Too long.' });
    if (sent.version !== this.versions.get(part)) return answer(409, { detail: 'Tobias changed this part meanwhile.' });
    this.overtake(part, sent.body);
    return answer(200, { version: this.versions.get(part) });
  }
}

const answer = (status: number, body: object): Promise<Response> =>
  Promise.resolve(
    new Response(JSON.stringify(status < 400 ? body : { ...body, status }), {
      status,
      headers: { 'content-type': status < 400 ? 'application/json' : 'application/problem+json' },
    }),
  );

const kept = new Map<string, string>();
let server: Server;
beforeEach(() => {
  jest.useFakeTimers();
  kept.clear();
  server = new Server();
  Object.assign(globalThis, {
    fetch: server.fetch,
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
      removeItem: (key: string) => void kept.delete(key),
    },
  });
});
afterEach(() => void jest.useRealTimers());

const open = () => createSheetStore(server.detail(), 'maren');
type Writing = ReturnType<typeof open>;
const entitle = ({ change }: Writing, title: string): void => change('task', (task) => ({ ...task, title }));
const stateOf = ({ store }: Writing) => store.getState().parts.task.state;
const troubleOf = ({ store }: Writing) => store.getState().parts.task.trouble;
const titleIn = (from: Server): unknown => (from.bodies.get('task') as { title: string }).title;
const rest = (ms = 600): Promise<void> => jest.advanceTimersByTimeAsync(ms);

test('what is typed is saved once the hand rests, all of it in one sending', async () => {
  const writing = open();
  for (const title of ['T', 'To', 'Towers']) entitle(writing, title);
  expect([stateOf(writing), server.saves, kept.size]).toEqual(['waiting', 0, 1]);
  await rest();
  expect([stateOf(writing), server.saves, titleIn(server), kept.size]).toEqual(['saved', 1, 'Towers', 0]);
  entitle(writing, 'Towers!');
  await rest();
  expect([stateOf(writing), titleIn(server)]).toEqual(['saved', 'Towers!']);
});

test('without a connection it is kept in this browser, tried again, and not lost by a reload', async () => {
  const writing = open();
  server.down = true;
  entitle(writing, 'Kept');
  await rest();
  expect([stateOf(writing), kept.size]).toEqual(['unreachable', 1]);
  writing.end();
  const again = open();
  expect(again.store.getState().sheet.task.title).toBe('Kept');
  server.down = false;
  await rest(4000);
  expect([stateOf(again), titleIn(server), kept.size]).toEqual(['saved', 'Kept', 0]);
});

test('nobody’s words are saved over: the person says whether theirs or those that are there stand', async () => {
  for (const keep of ['mine', 'theirs'] as const) {
    server = new Server();
    Object.assign(globalThis, { fetch: server.fetch });
    const writing = open();
    server.overtake('task', { ...emptySheet().task, title: 'His' });
    entitle(writing, 'Mine');
    await rest();
    expect([stateOf(writing), titleIn(server), troubleOf(writing)]).toEqual([
      'overtaken',
      'His',
      'Tobias changed this part meanwhile.',
    ]);
    // What is typed meanwhile is not lost, and not sent either.
    entitle(writing, 'Mine, and more');
    await rest();
    expect(titleIn(server)).toBe('His');
    await writing.settle('task', keep);
    await rest();
    const stands = keep === 'mine' ? 'Mine, and more' : 'His';
    expect([stateOf(writing), titleIn(server), writing.store.getState().sheet.task.title]).toEqual([
      'saved',
      stands,
      stands,
    ]);
  }
});

test('what another one saved follows where nothing is being written, and nowhere else', async () => {
  const writing = open();
  server.overtake('task', { ...emptySheet().task, title: 'Hers' });
  server.overtake('criteria', { criteria: [] });
  entitle(writing, 'Being typed');
  await writing.follow(Object.fromEntries(server.versions));
  expect(writing.store.getState().sheet.task.title).toBe('Being typed');
  kept.clear();
  const reader = open();
  server.overtake('task', { ...emptySheet().task, title: 'Newer' });
  await reader.follow(Object.fromEntries(server.versions));
  expect([reader.store.getState().sheet.task.title, stateOf(reader)]).toEqual(['Newer', 'saved']);
});

test('what the server will not have is said, stays on the page, and is saved once it is mended', async () => {
  const writing = open();
  entitle(writing, 'refuse me');
  await rest();
  expect([stateOf(writing), troubleOf(writing)]).toEqual(['refused', 'Too long.']);
  expect(await writing.flush()).toBe(false);
  entitle(writing, 'Shorter');
  await rest();
  expect([stateOf(writing), troubleOf(writing)]).toEqual(['saved', null]);
  expect(await writing.flush()).toBe(true);
});

test('a saving whose answer was lost, and words after it: nobody is told that they changed it themselves', async () => {
  const writing = open();
  server.losesAnswers = true;
  entitle(writing, 'One');
  await rest();
  expect([stateOf(writing), titleIn(server)]).toEqual(['unreachable', 'One']);
  server.losesAnswers = false;
  entitle(writing, 'One, two');
  await rest();
  expect([stateOf(writing), titleIn(server), kept.size]).toEqual(['saved', 'One, two', 0]);
});

test.each(['before', 'after'])('the same through a reload, whose answer is from %s the saving', async (when) => {
  const writing = open();
  const before = server.detail();
  server.losesAnswers = true;
  entitle(writing, 'One');
  await rest();
  entitle(writing, 'One, two');
  writing.end();
  await rest();
  server.losesAnswers = false;
  const again = createSheetStore(when === 'before' ? before : server.detail(), 'maren');
  expect(again.store.getState().sheet.task.title).toBe('One, two');
  await rest(4000);
  expect([stateOf(again), titleIn(server)]).toEqual(['saved', 'One, two']);
});

test('where an answer was lost and somebody else was faster then, one is asked', async () => {
  const writing = open();
  server.losesAnswers = true;
  entitle(writing, 'Mine');
  await rest();
  server.losesAnswers = false;
  server.overtake('task', { ...emptySheet().task, title: 'His' });
  entitle(writing, 'Mine, and more');
  await rest();
  expect([stateOf(writing), titleIn(server)]).toEqual(['overtaken', 'His']);
});

test('what is mended while the refused one is still on its way is sent after it', async () => {
  const writing = open();
  let answerNow = (): void => undefined;
  server.gate = new Promise<void>((resolve) => (answerNow = resolve));
  entitle(writing, 'refuse me');
  await rest();
  entitle(writing, 'Mended');
  await rest();
  expect(server.saves).toBe(0);
  answerNow();
  await rest();
  expect([stateOf(writing), titleIn(server), troubleOf(writing)]).toEqual(['saved', 'Mended', null]);
});

test('one part that is saved leaves the trouble of another where it is', async () => {
  const writing = open();
  entitle(writing, 'refuse me');
  await rest();
  writing.change('criteria', { criteria: [] });
  await rest();
  const { task, criteria } = writing.store.getState().parts;
  expect([task, criteria]).toEqual([
    { state: 'refused', trouble: 'Too long.' },
    { state: 'saved', trouble: null },
  ]);
});

test('of two parts that were overtaken each is settled by itself', async () => {
  const writing = open();
  server.overtake('task', { ...emptySheet().task, title: 'His' });
  server.overtake('criteria', { criteria: [] });
  entitle(writing, 'Mine');
  writing.change('criteria', { criteria: [{ id: 'c', name: 'Mine', levels: [], weight: 1 }] as never });
  await rest();
  await writing.settle('task', 'theirs');
  const { task, criteria } = writing.store.getState().parts;
  expect([task.state, criteria.state, titleIn(server)]).toEqual(['saved', 'overtaken', 'His']);
});
