import { MessageType } from '@hocuspocus/server';
import * as encoding from 'lib0/encoding';
import { readDocumentName } from './document-names.js';
import { spokenOf } from './gated-socket.js';

const NAME = 'work:0a1b2c3d-0000-4000-8000-0123456789ab';
function message(name: string, type: number, ...parts: (number | string | Uint8Array)[]): Uint8Array {
  const encoder = encoding.createEncoder();
  encoding.writeVarString(encoder, name);
  encoding.writeVarUint(encoder, type);
  for (const part of parts)
    if (typeof part === 'number') encoding.writeVarUint(encoder, part);
    else if (typeof part === 'string') encoding.writeVarString(encoder, part);
    else encoding.writeVarUint8Array(encoder, part);
  return encoding.toUint8Array(encoder);
}
const bytes = new Uint8Array([1, 2]);

test('a client may say who it is, the steps of synchronising, where it points, and good-bye', () => {
  expect(spokenOf(message(NAME, MessageType.Auth, 0, 'cookie'))).toEqual({ name: NAME, changes: false });
  expect(spokenOf(message(NAME, MessageType.Sync, 0, bytes))).toEqual({ name: NAME, changes: false });
  for (const step of [1, 2])
    expect(spokenOf(message(NAME, MessageType.Sync, step, bytes))).toEqual({ name: NAME, changes: true });
  expect(spokenOf(message(NAME, MessageType.Stateless, '{}'))).toEqual({ name: NAME, changes: false });
  expect(spokenOf(message(NAME, MessageType.CLOSE, 'bye'))).toEqual({ name: NAME, changes: false });
});

test.each<[string, Uint8Array]>([
  ['a word to all peers', message(NAME, MessageType.BroadcastStateless, '{"type":"stored"}')],
  ['a long word of oneself', message(NAME, MessageType.Stateless, 'x'.repeat(5000))],
  ['whether somebody is there', message(NAME, MessageType.Awareness, bytes)],
  ['that something was synchronised', message(NAME, MessageType.SyncStatus, 1)],
  ['an answer to a step', message(NAME, MessageType.SyncReply, 0, bytes)],
  ['a step that is none', message(NAME, MessageType.Sync, 3, bytes)],
  ['a step without its bytes', message(NAME, MessageType.Sync, 1)],
  ['an answer to who it is', message(NAME, MessageType.Auth, 1, 'denied')],
  ['a token without an end', message(NAME, MessageType.Auth, 0, 'x'.repeat(200))],
  ['a name with a blank behind it', message(`${NAME} `, MessageType.Sync, 0, bytes)],
  ['nothing', new Uint8Array()],
])('%s is refused', (_, data) => {
  expect(() => spokenOf(data)).toThrow();
});

test.each([
  '',
  'work',
  'work:',
  `${NAME}:`,
  NAME.toUpperCase(),
  `work:${NAME}`,
  'work:__proto__',
  `Work${NAME.slice(4)}`,
])('%j is no name of a document', (name) => {
  expect(readDocumentName(name)).toBeNull();
});
