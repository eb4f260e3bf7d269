import net from 'node:net';
import { MessageType } from '@hocuspocus/server';
import { workDocument } from '@ichnograph/contract';
import * as encoding from 'lib0/encoding';
import { endLater, Person, until } from './setup/client.js';

/** A live connection on which anything at all can be written. */
class RawSocket {
  closed = false;
  said = Buffer.alloc(0);
  private constructor(private readonly socket: net.Socket) {
    endLater(() => socket.destroy());
  }

  static async open({ url, cookie }: Person): Promise<RawSocket> {
    const { hostname, port, host, origin } = new URL(url);
    const raw = new RawSocket(net.connect(Number(port), hostname));
    raw.socket.on('data', (data) => (raw.said = Buffer.concat([raw.said, data])));
    raw.socket.on('close', () => (raw.closed = true));
    raw.socket.on('error', () => (raw.closed = true));
    raw.socket.write(
      [
        'GET /api/live HTTP/1.1',
        `Host: ${host}`,
        `Origin: ${origin}`,
        `Cookie: ${cookie}`,
        'Upgrade: websocket',
        'Connection: Upgrade',
        'Sec-WebSocket-Version: 13',
        'Sec-WebSocket-Key: AAAAAAAAAAAAAAAAAAAAAA==',
        '\r\n',
      ].join('\r\n'),
    );
    await until('the upgrade', () => raw.said.includes('101 Switching'));
    return raw;
  }

  write = (bytes: Uint8Array): void => void this.socket.write(bytes);
  end = (): void => void this.socket.destroy();
}

/** A masked frame, as clients must send them. */
function frame(payload: Uint8Array, { opcode = 2, fin = true, claims = payload.length } = {}): Buffer {
  const length =
    claims < 126
      ? Buffer.from([0x80 | claims])
      : Buffer.concat([Buffer.from([0x80 | 127]), Buffer.from(BigInt(claims).toString(16).padStart(16, '0'), 'hex')]);
  return Buffer.concat([Buffer.from([(fin ? 0x80 : 0) | opcode]), length, Buffer.alloc(4), Buffer.from(payload)]);
}

function message(name: string, type: number, write: (encoder: encoding.Encoder) => void = () => undefined): Uint8Array {
  const encoder = encoding.createEncoder();
  encoding.writeVarString(encoder, name);
  encoding.writeVarUint(encoder, type);
  write(encoder);
  return encoding.toUint8Array(encoder);
}

let person: Person;
let name: string;
beforeAll(async () => {
  person = await Person.newcomer('Wira');
  name = workDocument((await person.work()).id);
});
/** The server is the one that was started, and serves. */
const stillServes = async (): Promise<void> => {
  expect((await person.get('welcome')).status).toBe(200);
  const client = person.live(name.slice('work:'.length));
  await client.opened();
  client.live.apply([{ do: 'entitle', fields: { title: `After all that, ${Date.now()}` } }]);
  await client.saved();
  client.close();
};

test.each<[string, Buffer]>([
  ['an unmasked frame', Buffer.from([0x82, 0x01, 0x00])],
  ['an unknown opcode', frame(new Uint8Array(1), { opcode: 0xb })],
  ['a reserved bit', Buffer.from([0xf2, 0x81, 0, 0, 0, 0, 0])],
  ['text that is not UTF-8', frame(Buffer.from([0xff, 0xfe, 0xfd]), { opcode: 1 })],
  ['a header that claims more than the limit', frame(new Uint8Array(8), { claims: 2 ** 40 })],
  ['a header that claims more than a number holds', Buffer.from([0x82, 0xff, 255, 255, 255, 255, 255, 255, 255, 255])],
  ['a ping that is too long', frame(new Uint8Array(126), { opcode: 9, claims: 126 })],
  ['a broken-off ping', frame(new Uint8Array(2), { opcode: 9, fin: false })],
  ['a continuation of nothing', frame(new Uint8Array(2), { opcode: 0 })],
  ['a close with half a code', frame(new Uint8Array(1), { opcode: 8 })],
  ['a close with a code that may not be sent', frame(Buffer.from([3, 237]), { opcode: 8 })],
])('%s ends that connection and nothing else', async (_, bytes) => {
  const raw = await RawSocket.open(person);
  raw.write(bytes);
  await until('the connection to be ended', () => raw.closed);
  await stillServes();
});

test('half a frame and then nothing ends nothing', async () => {
  const raw = await RawSocket.open(person);
  raw.write(Buffer.from([0x82, 0xfe]));
  raw.end();
  await stillServes();
});

const junk = (encoder: encoding.Encoder): void => encoding.writeVarUint8Array(encoder, Buffer.from([250, 251, 3, 9]));
const word = (encoder: encoding.Encoder): void => encoding.writeVarString(encoder, '{"type":"stored"}');
const BROKEN: [string, (document: string) => Uint8Array][] = [
  ...Object.entries(MessageType)
    .flatMap(([type, code]): [string, number][] =>
      typeof code === 'number' && Number(code) >= 0 ? [[type, code]] : [],
    )
    .flatMap(([type, code]): [string, (document: string) => Uint8Array][] => [
      [`${type} with nothing in it`, (document) => message(document, code)],
      [`${type} with junk in it`, (document) => message(document, code, junk)],
      [`${type} with a word in it`, (document) => message(document, code, word)],
      [`${type} of no document`, () => message('', code, word)],
    ]),
  ['an unknown type', (document) => message(document, 99)],
  ['a negative type', (document) => message(document, 2 ** 40)],
  ['no bytes', () => new Uint8Array()],
  ['a name without an end', () => Buffer.from([255, 255, 255, 255, 7])],
  ['a name of another name', () => message('__proto__', MessageType.Auth, word)],
  ['a name that everything has', () => message('constructor', MessageType.Sync, junk)],
];

test('every type of message with broken insides, before and after a document is open', async () => {
  for (const [, make] of BROKEN) {
    const fresh = await RawSocket.open(person);
    fresh.write(frame(make(name)));
    const opened = await RawSocket.open(person);
    opened.write(
      frame(
        message(name, MessageType.Auth, (encoder) => {
          encoding.writeVarUint(encoder, 0);
          encoding.writeVarString(encoder, 'cookie');
        }),
      ),
    );
    opened.write(frame(make(name)));
    expect((await person.get('welcome')).status).toBe(200);
    fresh.end();
    opened.end();
  }
  await stillServes();
});

test('what a client has no business saying never reaches a peer', async () => {
  const [reader, writer] = [await Person.signedIn('maren'), person.live(name.slice('work:'.length))];
  await writer.opened();
  const before = writer.messages.length;
  const liar = await RawSocket.open(reader);
  liar.write(
    frame(
      message(name, MessageType.Auth, (encoder) => {
        encoding.writeVarUint(encoder, 0);
        encoding.writeVarString(encoder, 'cookie');
      }),
    ),
  );
  await until('the reader to be let in', () => liar.said.includes(name));
  for (const type of [MessageType.BroadcastStateless, MessageType.Stateless])
    liar.write(
      frame(
        message(name, type, (encoder) =>
          encoding.writeVarString(encoder, JSON.stringify({ type: 'stored', counters: { lie: 99 } })),
        ),
      ),
    );
  await until('the liar to be shown out', () => liar.closed);
  await until('more words of the server', () => writer.messages.length > before);
  expect(writer.stored.lie).toBeUndefined();
  writer.close();
});

test.each([' ', '\n', '%20', '.', ':', 'X'])('a name with %j behind it is no document', async (more) => {
  const client = person.live(`${name.slice('work:'.length)}${more}`);
  await until('the connection to be refused', () => client.closedWith === 1008);
  expect(client.live.snapshot.topics).toEqual([]);
  client.close();
});
