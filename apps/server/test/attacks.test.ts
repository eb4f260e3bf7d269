import { gzipSync } from 'node:zlib';
import { MessageType } from '@hocuspocus/server';
import { LIVE_CLOSED, LIVE_PATH, ownMapDocument, starterDocument, workDocument } from '@ichnograph/contract';
import type { AccountRow, ExportState, Pile, RevisionPreview, SubmissionDetail } from '@ichnograph/contract';
import * as encoding from 'lib0/encoding';
import { WebSocket } from 'ws';
import * as Y from 'yjs';
import { Stack } from '../../../scripts/lib/stack.mjs';
import { classAtWork } from './setup/class-at-work.js';
import { DEMO_PASSWORD, Person, until } from './setup/client.js';
import type { LiveClient } from './setup/client.js';

/** What one person can do to all. Small here; `npm run faults` does the same many times larger. */
const LARGE = process.env.ICHNOGRAPH_FAULTS === 'large';
const size = (small: number, large: number): number => (LARGE ? large : small);

// Attacks are made on a server of their own.
const stack = new Stack('attacks', { env: { ICHNOGRAPH_LOG: 'silent' } }) as {
  start: () => Promise<unknown>;
  remove: () => Promise<void>;
  url: string;
};
let school: string;
beforeAll(async () => {
  school = process.env.ICHNOGRAPH_TEST_URL!;
  await stack.start();
  process.env.ICHNOGRAPH_TEST_URL = stack.url;
}, 180_000);
afterAll(async () => {
  process.env.ICHNOGRAPH_TEST_URL = school;
  await stack.remove();
}, 180_000);

/** Longer than that nobody waits for an answer because of somebody else; each of these took many times as long once. */
const PATIENCE_MS = 3000;

/** Does something, and has somebody else ask for a page again and again meanwhile. */
async function whileOthersAsk<T>(deed: () => Promise<T>): Promise<T> {
  let over = false;
  const slowest = (async () => {
    let most = 0;
    while (!over) {
      const begun = performance.now();
      expect((await new Person().get('welcome')).status).toBe(200);
      most = Math.max(most, performance.now() - begun);
    }
    return most;
  })();
  try {
    return await deed();
  } finally {
    over = true;
    expect(await slowest).toBeLessThan(PATIENCE_MS);
  }
}

async function sent(person: Person, path: string, body: Uint8Array | string, headers: Record<string, string> = {}) {
  const response = await fetch(`${person.url}/api/${path}`, {
    method: 'POST',
    headers: { connection: 'close', cookie: person.cookie, 'content-type': 'application/json', ...headers },
    body: body as never,
  });
  const answer = await response.text();
  return { status: response.status, bytes: answer.length, answer };
}
const BYTES = { 'content-type': 'application/octet-stream' };

describe('what is sent', () => {
  test('nothing large is read for somebody unknown, and nothing compressed for anybody', async () => {
    const [nobody, noor] = [new Person(), await Person.signedIn('noor')];
    const large = new Uint8Array(size(10, 10) * 2 ** 20);
    await whileOthersAsk(async () => {
      expect((await sent(nobody, 'files?name=x', large, BYTES)).status).toBe(401);
      const zipped = gzipSync(JSON.stringify({ name: 'noor', password: 'x', more: Array(200_000).fill({}) }));
      for (const path of ['sign-in', 'files?name=x', 'own-maps'])
        for (const who of [nobody, noor]) {
          const { status, bytes } = await sent(who, path, zipped, { 'content-encoding': 'gzip' });
          expect([path, [401, 415, 422].includes(status), bytes < 1000]).toEqual([path, true, true]);
        }
    });
  });

  test('ten megabytes of a file hold nobody up, and wide JSON is not taken', async () => {
    const noor = await Person.signedIn('noor');
    await whileOthersAsk(async () => {
      expect((await sent(noor, 'files?name=x', new Uint8Array(10 * 2 ** 20), BYTES)).status).toBe(422);
      const wide = `{"title":"x","folder":[${'{},'.repeat(300_000)}{}]}`;
      expect((await sent(noor, 'classes', wide)).status).toBe(413);
      // Where a map may be sent there is room for as much; it is looked through and refused as quickly.
      expect((await sent(noor, 'own-maps', wide)).status).toBe(422);
    });
  });

  test('a list of faults ends', async () => {
    const { tobias, room } = await classAtWork('Faults');
    const people = Array.from({ length: 100 }, () => ({ givenName: 5, familyName: 5, more: 1 }));
    const { status, problem } = await tobias.post(`classes/${room.id}/students`, { people });
    expect([status, problem.problems!.length]).toEqual([422, 20]);
  });

  test('a cookie that is no token is nobody’s', async () => {
    const odd = new Person();
    odd.cookie = 'ichnograph_session=j:{}';
    expect((await odd.get('welcome')).status).toBe(200);
    expect((await odd.get('classes')).status).toBe(401);
  });

  test('drawings that are slow to read or to draw are ended, and others’ pictures do not wait for them', async () => {
    const [noor, juno] = await Promise.all(['noor', 'juno'].map((name) => Person.signedIn(name)));
    const comments = `${'<!---->'.repeat(size(30, 1000))}<p>no drawing</p>`;
    const blurred = `<svg xmlns="http://www.w3.org/2000/svg" width="2000" height="2000"><defs><filter id="f"><feGaussianBlur stdDeviation="900"/></filter></defs>${'<rect width="2000" height="2000" filter="url(#f)"/>'.repeat(size(6, 60))}</svg>`;
    const plain = '<svg xmlns="http://www.w3.org/2000/svg" width="20" height="20"><rect width="9" height="9"/></svg>';
    await whileOthersAsk(async () => {
      expect((await sent(noor!, 'files?name=x', comments, BYTES)).status).toBe(201);
      const [slow, other] = await Promise.all([
        sent(noor!, 'files?name=x', blurred, BYTES),
        sent(juno!, 'files?name=x', plain, BYTES),
      ]);
      expect([slow.status, other.status]).toEqual([201, 201]);
    });
  });
});

/** A live connection that says what it likes. */
class Hostile {
  closed: { code: number; reason: string } | null = null;
  refused = false;
  private constructor(
    private readonly socket: WebSocket,
    private readonly name: string,
  ) {}

  static async on({ url, cookie }: Person, name: string): Promise<Hostile> {
    const socket = new WebSocket(`${url.replace('http', 'ws')}${LIVE_PATH}`, { headers: { cookie, origin: url } });
    const hostile = new Hostile(socket, name);
    socket.on('close', (code, reason) => (hostile.closed = { code, reason: reason.toString() }));
    socket.on('error', () => (hostile.refused = true));
    socket.on('open', () => {
      hostile.say(MessageType.Auth, (encoder) => {
        encoding.writeVarUint(encoder, 0);
        encoding.writeVarString(encoder, 'cookie');
      });
    });
    await until('an answer at the door', () => socket.readyState === WebSocket.OPEN || hostile.refused);
    return hostile;
  }

  private say(type: MessageType, write: (encoder: encoding.Encoder) => void): void {
    const encoder = encoding.createEncoder();
    encoding.writeVarString(encoder, this.name);
    encoding.writeVarUint(encoder, type);
    write(encoder);
    this.socket.send(encoding.toUint8Array(encoder));
  }

  update(update: Uint8Array): void {
    this.say(MessageType.Sync, (encoder) => {
      encoding.writeVarUint(encoder, 2);
      encoding.writeVarUint8Array(encoder, update);
    });
  }

  /** Asks for all of the document so many times and takes none of the answers in. */
  neverRead(times: number): void {
    this.socket.pause();
    for (let i = 0; i < times; i++)
      this.say(MessageType.Sync, (encoder) => {
        encoding.writeVarUint(encoder, 0);
        encoding.writeVarUint8Array(encoder, Y.encodeStateVector(new Y.Doc()));
      });
  }

  close(): void {
    this.socket.terminate();
  }
}

/** What somebody who has the document would send after doing something to it. */
function changeOf(doc: Y.Doc, act: (copy: Y.Doc) => void, clientID?: number): Uint8Array {
  const copy = new Y.Doc();
  Y.applyUpdate(copy, Y.encodeStateAsUpdate(doc));
  if (clientID !== undefined) copy.clientID = clientID;
  const before = Y.encodeStateVector(copy);
  copy.transact(() => act(copy));
  return Y.encodeStateAsUpdate(copy, before);
}
const firstOf = (doc: Y.Doc): Y.Map<unknown> => [...doc.getMap<Y.Map<unknown>>('topics').values()][0]!;
const many = (doc: Y.Doc, name: string, count: number): void => {
  for (let i = 0; i < count; i++) doc.getMap(name).set(`m${i}`, new Y.Map());
};
function deepen(outer: Y.Map<unknown>, levels: number): void {
  let map = outer;
  for (let i = 0; i < levels; i++) {
    const inner = new Y.Map<unknown>();
    map.set('in', inner);
    map = inner;
  }
}

describe('live documents', () => {
  let drawer: Awaited<ReturnType<Awaited<ReturnType<typeof classAtWork>>['student']>>;
  let desk: Awaited<ReturnType<typeof classAtWork>>;
  beforeAll(async () => {
    desk = await classAtWork('Attacked');
    drawer = await desk.student('Vic', 'Mine', 'Yours');
  });

  const ATTACKS: Record<string, (doc: Y.Doc) => Uint8Array> = {
    'an order that is none': (doc) => changeOf(doc, (copy) => firstOf(copy).set('order', 'zzz')),
    'maps in maps in maps': (doc) => changeOf(doc, (copy) => deepen(firstOf(copy), size(1000, 10_000))),
    'lists in lists in lists': (doc) =>
      changeOf(doc, (copy) => firstOf(copy).set('marks', JSON.parse('['.repeat(2000) + ']'.repeat(2000)))),
    'counters by the thousand': (doc) =>
      changeOf(doc, (copy) => {
        for (let i = 0; i < size(1000, 100_000); i++) copy.getMap('counters').set(`${i}`, 1);
      }),
    'topics by the thousand': (doc) => changeOf(doc, (copy) => many(copy, 'topics', size(6000, 100_000))),
    'a gap': (doc) => {
      const copy = new Y.Doc();
      Y.applyUpdate(copy, Y.encodeStateAsUpdate(doc));
      firstOf(copy).set('x', 1);
      return changeOf(copy, (ahead) => firstOf(ahead).set('x', 2));
    },
    'bytes of nothing': () => new Uint8Array([7, 7, 7, 7]),
    'a collection of one’s own': (doc) => changeOf(doc, (copy) => copy.getMap('mine').set('a', 1)),
  };

  test.each(Object.keys(ATTACKS))(
    '%s: that connection ends with a reason, and nothing of it is kept or passed on',
    async (what) => {
      const { person, work, client } = drawer;
      const before = Y.encodeStateVector(client.doc);
      const hostile = await Hostile.on(person, workDocument(work.id));
      await whileOthersAsk(async () => {
        hostile.update(ATTACKS[what]!(client.doc));
        await until('the end of that connection', () => hostile.closed);
      });
      expect(hostile.closed).toMatchObject({ code: LIVE_CLOSED.misfit.code });
      expect(hostile.closed!.reason).toMatch(/^does not fit: /);
      // Whoever is there goes on as if nothing had been.
      client.live.apply([{ do: 'entitle', fields: { title: `After ${what}` } }]);
      await client.saved();
      expect(Y.decodeStateVector(Y.encodeStateVector(client.doc)).size).toBeLessThanOrEqual(
        Y.decodeStateVector(before).size + 1,
      );
    },
  );

  test('after all that the map is handed in, read, named and revised like any other', async () => {
    const { person, work } = drawer;
    const id = await drawer.handIn();
    expect((await person.get<SubmissionDetail>(`submissions/${id}`)).body.map.title).toBe(
      `After ${Object.keys(ATTACKS).at(-1)}`,
    );
    expect((await person.post(`works/${work.id}/versions`, { name: 'Still here' })).status).toBe(201);
    const preview = await desk.tobias.get<RevisionPreview>(`assignments/${desk.id}/next-revision`);
    expect([preview.status, preview.body.works.length]).toEqual([200, 1]);
  });

  test('an own map takes as many topics as a map may have, and lists it at once', async () => {
    const { person } = drawer;
    const { id } = (await person.post<{ id: string }>('own-maps', { title: 'Large' })).body;
    const own: LiveClient = person.document(ownMapDocument(id));
    await own.opened();
    const hostile = await Hostile.on(person, ownMapDocument(id));
    await whileOthersAsk(async () => {
      hostile.update(changeOf(own.doc, (copy) => many(copy, 'topics', size(20_000, 100_000))));
      await until('the end of that connection', () => hostile.closed);
      expect((await person.get('own-maps')).status).toBe(200);
      expect((await person.post('own-maps', { title: 'Copy', copyOf: id })).status).toBe(201);
    });
    own.close();
  });

  test('nobody sends changes under the name of somebody who is there', async () => {
    const { tobias, id } = desk;
    const head = await Person.signedIn('halina');
    const name = 'attacks-colleague';
    const wanted = { role: 'teacher', givenName: 'Col', familyName: 'League', name, password: 'a long first one' };
    const accountId = (await head.post<AccountRow>('accounts', wanted)).body.id;
    await tobias.post(`assignments/${id}/collaborators`, { accountId });
    const colleague = await Person.signedIn(name);
    // With a first password nothing opens, the socket neither.
    const early = await Hostile.on(colleague, starterDocument(id));
    expect(early.refused).toBe(true);
    await colleague.post('password', { current: wanted.password, next: 'a password of my own' });

    const owner = tobias.document(starterDocument(id));
    await owner.opened();
    owner.live.apply([{ do: 'entitle', fields: { title: 'Mine' } }]);
    await owner.saved();
    const forged = changeOf(owner.doc, (copy) => copy.getMap('head').set('title', 'Forged'), owner.doc.clientID);
    const forger = await Hostile.on(colleague, starterDocument(id));
    forger.update(forged);
    await until('the end of that connection', () => forger.closed);
    expect(forger.closed!.code).toBe(LIVE_CLOSED.tryAgain.code);
    owner.live.apply([{ do: 'entitle', fields: { title: 'Still mine' } }]);
    await owner.saved();

    // Unshared while it is open: the connection ends, and writes nothing more.
    const open = colleague.document(starterDocument(id));
    await open.opened();
    await tobias.call('DELETE', `assignments/${id}/collaborators/${accountId}`);
    await until('the door', () => open.closedBecause !== null || open.closedWith !== null);
    open.live.apply([{ do: 'entitle', fields: { title: 'After all' } }]);
    owner.live.apply([{ do: 'entitle', fields: { title: 'The last word' } }]);
    await owner.saved();
    expect(owner.live.snapshot.title).toBe('The last word');
    owner.close();
    open.close();
  });

  test('one person has so many connections, and no more', async () => {
    const { person, work } = drawer;
    const all = await Promise.all(Array.from({ length: 30 }, () => Hostile.on(person, workDocument(work.id))));
    expect(all.filter(({ refused }) => refused).length).toBeGreaterThanOrEqual(30 - 16);
    for (const one of all) one.close();
    const again = person.live(work.id);
    await again.opened();
    again.close();
  });

  test('who takes in nothing of what is sent is cut off, makes room, and who reads goes on', async () => {
    const { person } = drawer;
    const { id } = (await person.post<{ id: string }>('own-maps', { title: 'Heavy' })).body;
    const own = person.document(ownMapDocument(id));
    await own.opened();
    const shape = { kind: null, x: 0, y: 0, width: 80, height: 40 };
    for (let i = 0; i < 40; i++)
      own.live.apply([
        { do: 'add', to: 'topics', item: { id: `t${i}`, text: `t${i}`, note: 'load '.repeat(1000), ...shape } },
      ]);
    await own.saved();
    const deaf: Hostile[] = [];
    await whileOthersAsk(async () => {
      for (let i = 0; i < 16; i++) {
        const one = await Hostile.on(person, ownMapDocument(id));
        if (one.refused) break;
        one.neverRead(size(60, 400));
        deaf.push(one);
      }
      expect(deaf.length).toBeGreaterThan(10);
      const reader = await until('room for somebody who reads', async () => {
        const one = await Hostile.on(person, ownMapDocument(id));
        return one.refused ? null : one;
      });
      reader.close();
    });
    own.live.apply([{ do: 'entitle', fields: { title: 'Still heavy' } }]);
    await own.saved();
    for (const one of [...deaf, own]) one.close();
  });

  test('an address that a browser would run is not kept', async () => {
    const { client } = drawer;
    const [topic] = client.live.snapshot.topics;
    const weblinks = [{ url: ' java\tscript:alert(1)', title: 'x' }];
    client.live.apply([{ do: 'set', in: 'topics', id: topic!.id, fields: { weblinks } }]);
    await client.saved();
    const id = await drawer.handIn();
    expect(JSON.stringify((await drawer.person.get<SubmissionDetail>(`submissions/${id}`)).body.map)).not.toContain(
      'alert',
    );
  });
});

describe('crowding out', () => {
  test('one hand-in a work at a time', async () => {
    const { student, tobias, publicationId } = await classAtWork('Rush');
    const { person, work, client } = await student('Rush');
    const hand = () => person.post(`works/${work.id}/hand-in`, { client: client.client, count: client.live.made });
    const answers = await whileOthersAsk(() => Promise.all(Array.from({ length: 8 }, hand)));
    expect(answers.map(({ status }) => status).sort()).toEqual([201, ...Array(7).fill(409)]);
    const { entries } = (await tobias.get<Pile>(`publications/${publicationId}/pile`)).body;
    expect(entries.find(({ workId }) => workId === work.id)!.submission!.number).toBe(1);
  });

  test('what is begun and cancelled counts until it has ended', async () => {
    const maren = await Person.signedIn('maren');
    const { publicationId } = await maren.teacherTask();
    const begun = await Promise.all(
      Array.from({ length: size(12, 40) }, async () => {
        const { status, body } = await maren.post<ExportState>(`publications/${publicationId}/exports`, { as: 'pdf' });
        if (status === 201) await maren.call('DELETE', `exports/${body.id}`);
        return status;
      }),
    );
    expect(begun.filter((status) => status === 201).length).toBeLessThanOrEqual(3);
  });

  test('a list of wrong names makes strangers wait, and nobody who signed in there before', async () => {
    const known = new Person();
    const signIn = (person: Person, name: string, password: string, cookie: string) =>
      fetch(`${person.url}/api/sign-in`, {
        method: 'POST',
        headers: { connection: 'close', 'content-type': 'application/json', cookie },
        body: JSON.stringify({ name, password }),
      });
    const first = await signIn(known, 'leila', DEMO_PASSWORD, '');
    const device = first.headers
      .getSetCookie()
      .find((one) => one.startsWith('ichnograph_device='))!
      .split(';')[0]!;
    const guesses: number[] = [];
    for (let i = 0; i < 110; i++) guesses.push((await signIn(known, `guess-${i}`, 'a guess', '')).status);
    expect(guesses.at(-1)).toBe(429);
    expect((await signIn(known, 'leila', DEMO_PASSWORD, device)).status).toBe(204);
    // A device is one person's: it opens no door for the next name on a list.
    expect((await signIn(known, 'mateus', DEMO_PASSWORD, device)).status).toBe(429);
    // Nobody is locked out for good: a stranger's turn comes.
    await until('a stranger’s turn', async () => (await signIn(known, 'mateus', DEMO_PASSWORD, '')).status === 204);
  });

  test('codes of classes are guessed a few times, not a thousand', async () => {
    const noor = await Person.signedIn('noor');
    const guesses: number[] = [];
    for (let i = 0; i < 14; i++) guesses.push((await noor.post('classes/join', { code: `GUESS${i}` })).status);
    expect([guesses[0], guesses.at(-1)]).toEqual([422, 429]);
  });
});
