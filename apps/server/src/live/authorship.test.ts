import { LiveMap, fillDocument } from '@ichnograph/livemap';
import { emptyMap } from '@ichnograph/core';
import * as Y from 'yjs';
import { keepAuthors } from './authorship.js';

const NOOR = { connection: 'noor' };
const JUNO = { connection: 'juno' };
const accountOf = (origin: unknown): string | null =>
  origin === NOOR ? 'account-noor' : origin === JUNO ? 'account-juno' : null;

/** A client's own copy whose changes reach the server's document as coming from its connection. */
function client(server: Y.Doc, connection: object): LiveMap {
  const doc = new Y.Doc();
  Y.applyUpdate(doc, Y.encodeStateAsUpdate(server), 'server');
  doc.on('update', (update: Uint8Array, origin: unknown) => {
    if (origin !== 'server') Y.applyUpdate(server, update, connection);
  });
  server.on('update', (update: Uint8Array) => Y.applyUpdate(doc, update, 'server'));
  return new LiveMap(doc, 'client');
}
const put = (live: LiveMap, id: string, by: string): void =>
  live.apply([{ do: 'add', to: 'topics', item: { id, text: id, kind: null, x: 0, y: 0, width: 1, height: 1, by } }]);
const byOf = (live: LiveMap, id: string): unknown => live.snapshot.topics.find((topic) => topic.id === id)?.by;

let server: Y.Doc;
beforeEach(() => {
  server = new Y.Doc();
  const given = { id: 'given', text: 'Arch', kind: null, x: 0, y: 0, width: 1, height: 1 };
  fillDocument(server, { ...emptyMap(), topics: [given] });
  keepAuthors(server, accountOf);
});

test('whoever’s connection brought it is its author, whatever it says', () => {
  const noor = client(server, NOOR);
  put(noor, 'a', 'account-juno');
  expect(byOf(noor, 'a')).toBe('account-noor');
});

test('nobody changes it afterwards, not even by taking the topic off and bringing one of its id', () => {
  const [noor, juno] = [client(server, NOOR), client(server, JUNO)];
  put(noor, 'a', 'account-noor');
  juno.apply([{ do: 'set', in: 'topics', id: 'a', fields: { by: 'account-juno' } }]);
  expect(byOf(juno, 'a')).toBe('account-noor');
  juno.apply([{ do: 'remove', from: 'topics', id: 'a' }]);
  put(juno, 'a', 'account-juno');
  expect(byOf(juno, 'a')).toBe('account-noor');
});

test('what the server gave has no author and keeps none', () => {
  const noor = client(server, NOOR);
  noor.apply([{ do: 'set', in: 'topics', id: 'given', fields: { by: 'account-noor', text: 'An arch' } }]);
  expect(noor.snapshot.topics[0]).toMatchObject({ text: 'An arch' });
  expect(noor.snapshot.topics[0]).not.toHaveProperty('by');
});

test('undoing does not stumble over the stamp', () => {
  const noor = client(server, NOOR);
  put(noor, 'a', 'nobody');
  noor.undo();
  expect(byOf(noor, 'a')).toBeUndefined();
  expect(noor.snapshot.topics).toHaveLength(1);
  noor.redo();
  expect(byOf(noor, 'a')).toBe('account-noor');
});

test('links and bank entries are stamped too; junk is left alone', () => {
  const noor = client(server, NOOR);
  put(noor, 'a', '');
  noor.apply([
    { do: 'add', to: 'links', item: { id: 'l', from: 'a', to: 'given', phrase: '', kind: null, by: 'x' } },
    { do: 'add', to: 'wordBank', item: { id: 'w', text: 'rust', by: 'x' } },
  ]);
  noor.doc.getMap('topics').set('junk', 7);
  expect(noor.snapshot.links[0]!.by).toBe('account-noor');
  expect(noor.snapshot.wordBank[0]!.by).toBe('account-noor');
});
