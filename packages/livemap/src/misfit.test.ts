import { emptyMap } from '@ichnograph/core';
import * as Y from 'yjs';
import { fillDocument, snapshotOf, writeChanges } from './document.js';
import { LiveMap } from './live-map.js';
import { lookAtUpdate } from './misfit.js';

const server = (): Y.Doc => {
  const doc = new Y.Doc();
  const topic = { id: 'arch', text: 'Arch', kind: null, x: 0, y: 0, width: 80, height: 40, note: 'Pushes.' };
  fillDocument(doc, { ...emptyMap(), title: 'Bridges', topics: [topic] });
  return doc;
};
const copyOf = (doc: Y.Doc): Y.Doc => {
  const copy = new Y.Doc();
  Y.applyUpdate(copy, Y.encodeStateAsUpdate(doc));
  return copy;
};
/** What a client that has the document sends after doing something to its own copy. */
function sent(doc: Y.Doc, act: (client: Y.Doc) => void): Uint8Array {
  const client = copyOf(doc);
  const before = Y.encodeStateVector(client);
  client.transact(() => act(client));
  return Y.encodeStateAsUpdate(client, before);
}
const misfitOf = (act: (client: Y.Doc) => void): unknown => {
  const doc = server();
  return lookAtUpdate(doc, sent(doc, act));
};
const topics = (doc: Y.Doc): Y.Map<Y.Map<unknown>> => doc.getMap('topics');
const member = (fields: object): Y.Map<unknown> => new Y.Map(Object.entries(fields));
const nested = (depth: number): unknown => (depth === 0 ? 1 : [nested(depth - 1)]);

test('what a page does fits, and names the page’s own client, step by step and all at once', () => {
  const doc = server();
  const page = copyOf(doc);
  const live = new LiveMap(page, String(page.clientID));
  const updates: Uint8Array[] = [];
  page.on('update', (update: Uint8Array) => updates.push(update));
  live.apply([
    { do: 'add', to: 'topics', item: { id: 'beam', text: 'Beam', kind: null, x: 0, y: 0, width: 80, height: 40 } },
    { do: 'add', to: 'links', item: { id: 'l', from: 'arch', to: 'beam', phrase: 'meets', kind: null } },
  ]);
  live.apply([
    { do: 'set', in: 'topics', id: 'arch', fields: { note: 'Pushes outward.', text: 'An arch', marks: [] } },
  ]);
  live.apply([{ do: 'entitle', fields: { title: 'Bridges and loads' } }]);
  live.apply([{ do: 'remove', from: 'topics', id: 'beam' }]);
  live.undo();
  live.undo();
  const whole = Y.encodeStateAsUpdate(page);
  const late = copyOf(doc);
  for (const update of updates) {
    expect(lookAtUpdate(doc, update)).toEqual({ clients: [page.clientID] });
    Y.applyUpdate(doc, update);
    // What is known already may come again, and is nobody's.
    expect(lookAtUpdate(doc, update)).toEqual({ clients: [] });
  }
  expect(lookAtUpdate(late, whole)).toEqual({ clients: [page.clientID] });
  expect(lookAtUpdate(doc, whole)).toEqual({ clients: [] });
});

test.each<[string, string, (doc: Y.Doc) => void]>([
  ['a list nobody knows', 'unknown collection', (doc) => doc.getMap('more').set('a', 1)],
  ['a list of another type', 'wrong type', (doc) => doc.getMap('topics').set('a', 'no topic')],
  ['an array in place of a list', 'bad key', (doc) => doc.get('links', Y.Array).insert(0, [1])],
  ['a topic with a map in it', 'wrong type', (doc) => topics(doc).get('arch')!.set('x', new Y.Map())],
  [
    'a map in a map in a new topic',
    'wrong type',
    (doc) => topics(doc).set('b', member({ deep: member({ er: member({}) }) })),
  ],
  [
    'marks in a note',
    'wrong type',
    (doc) => (topics(doc).get('arch')!.get('note') as Y.Text).format(0, 2, { b: true }),
  ],
  ['a picture in a note', 'wrong type', (doc) => (topics(doc).get('arch')!.get('note') as Y.Text).insertEmbed(0, {})],
  [
    'a note of a book',
    'too long',
    (doc) => (topics(doc).get('arch')!.get('note') as Y.Text).insert(0, 'x'.repeat(50_000)),
  ],
  ['an order that is none', 'bad order', (doc) => topics(doc).get('arch')!.set('order', 'zzz')],
  ['values in values in values', 'too deep', (doc) => topics(doc).get('arch')!.set('marks', nested(60))],
  ['a field of a million words', 'too long', (doc) => topics(doc).get('arch')!.set('text', 'x'.repeat(1e6))],
  [
    'a list of a hundred thousand values',
    'too many',
    (doc) => topics(doc).get('arch')!.set('marks', new Array(1e5).fill(1)),
  ],
  ['bytes', 'wrong type', (doc) => topics(doc).get('arch')!.set('text', new Uint8Array(3))],
  [
    'a thousand fields',
    'too many',
    (doc) => {
      for (let i = 0; i < 1000; i++) topics(doc).get('arch')!.set(`f${i}`, i);
    },
  ],
  [
    'six thousand topics',
    'too many',
    (doc) => {
      for (let i = 0; i < 6000; i++) topics(doc).set(`t${i}`, member({}));
    },
  ],
  ['a key as long as a page', 'bad key', (doc) => topics(doc).set('k'.repeat(1000), member({}))],
  ['a counter of somebody else', 'not yours', (doc) => doc.getMap('counters').set('17', 1)],
  ['a counter that counts backwards', 'wrong type', (doc) => doc.getMap('counters').set(String(doc.clientID), -1)],
  ['another schema', 'bad key', (doc) => doc.getMap('head').set('schema', 9)],
  ['no schema', 'not yours', (doc) => doc.getMap('head').delete('schema')],
])('%s does not fit: %s', (_, misfit, act) => {
  expect(misfitOf(act)).toEqual({ misfit });
});

test('what would wait for something that is not there is not taken: a gap, an end nobody sent, a deletion ahead', () => {
  const doc = server();
  const page = copyOf(doc);
  const updates: Uint8Array[] = [];
  page.on('update', (update: Uint8Array) => updates.push(update));
  for (const x of [1, 2, 3]) topics(page).get('arch')!.set('x', x);
  expect(lookAtUpdate(doc, updates[1]!)).toEqual({ misfit: 'gap' });
  expect(lookAtUpdate(doc, Y.mergeUpdates([updates[0]!, updates[2]!]))).toEqual({ misfit: 'gap' });
  const other = copyOf(page);
  expect(
    lookAtUpdate(
      doc,
      sent(page, (client) => topics(client).delete('arch')),
    ),
  ).toEqual({ misfit: 'gap' });
  expect(
    lookAtUpdate(
      doc,
      sent(other, (client) => topics(client).get('arch')!.set('y', 4)),
    ),
  ).toEqual({ misfit: 'gap' });
  expect(lookAtUpdate(doc, new Uint8Array([9, 9, 9]))).toEqual({ misfit: 'unreadable' });
});

test('a counter of another tab is nobody’s to delete', () => {
  const doc = server();
  const page = copyOf(doc);
  page.getMap('counters').set(String(page.clientID), 4);
  Y.applyUpdate(doc, Y.encodeStateAsUpdate(page));
  const deletes = sent(doc, (client) => client.getMap('counters').delete(String(page.clientID)));
  expect(lookAtUpdate(doc, deletes)).toEqual({ misfit: 'not yours' });
});

test('a document from before that holds what would not fit now is read all the same, and can be drawn on', () => {
  const doc = server();
  topics(doc).get('arch')!.set('order', 'zzz');
  let deep = new Y.Map<unknown>();
  topics(doc).get('arch')!.set('deep', deep);
  for (let i = 0; i < 3000; i++) {
    const next = new Y.Map<unknown>();
    deep.set('in', next);
    deep = next;
  }
  expect(snapshotOf(doc).map.topics.map(({ text }) => text)).toEqual(['Arch']);
  const item = { id: 'beam', text: 'Beam', kind: null, x: 0, y: 0, width: 80, height: 40 };
  doc.transact(() => writeChanges(doc, [{ do: 'add', to: 'topics', item }]));
  expect(snapshotOf(doc).map.topics).toHaveLength(2);
});

test('a note changes by whole letters, whatever their halves have in common', () => {
  const doc = server();
  const note = (words: string): void =>
    doc.transact(() => writeChanges(doc, [{ do: 'set', in: 'topics', id: 'arch', fields: { note: words } }]));
  note('A 😀 bridge');
  note('A 😁 bridge');
  expect(snapshotOf(doc).map.topics[0]!.note).toBe('A 😁 bridge');
  note('A 🐀 bridge');
  expect(snapshotOf(copyOf(doc)).map.topics[0]!.note).toBe('A 🐀 bridge');
});
