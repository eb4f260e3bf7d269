import { addTopic, emptyMap, growTopic, moveMarks, removeMarks, setText } from '@ichnograph/core';
import type { Legend, Outcome, TopicMap } from '@ichnograph/core';
import fc from 'fast-check';
import * as Y from 'yjs';
import { countersOf, fillDocument, LiveMap, SCHEMA_VERSION, snapshotOf, upgradeDocument } from './index.js';

const legend: Legend = { topicKinds: [], linkKinds: [] };
const changesOf = (outcome: Outcome) => {
  if (!outcome.ok) throw new Error(outcome.code);
  return outcome.changes;
};

/** A tab on a document of its own; `sync` carries everything both ways. */
function tab(client: string, start?: Y.Doc): LiveMap {
  const doc = new Y.Doc();
  if (start) Y.applyUpdate(doc, Y.encodeStateAsUpdate(start));
  return new LiveMap(doc, client);
}
function sync(a: LiveMap, b: LiveMap): void {
  Y.applyUpdate(b.doc, Y.encodeStateAsUpdate(a.doc), 'remote');
  Y.applyUpdate(a.doc, Y.encodeStateAsUpdate(b.doc), 'remote');
}
let ids = 0;
const maker = { newId: () => `id-${++ids}`, by: 'me' };
const add = (live: LiveMap, text: string, x = 0): string => {
  const changes = changesOf(addTopic(live.snapshot, { text, kind: null, at: { x, y: 0 } }, maker, legend));
  live.apply(changes);
  return live.snapshot.topics.at(-1)!.id;
};
const filled = (): Y.Doc => {
  const doc = new Y.Doc();
  const topics = ['Arch', 'Beam'].map((text, i) => ({
    id: `s${i}`,
    text,
    kind: null,
    x: i * 200,
    y: 0,
    width: 80,
    height: 40,
  }));
  fillDocument(doc, {
    ...emptyMap(),
    title: 'Bridges',
    topics,
    links: [{ id: 'l', from: 's0', to: 's1', phrase: 'meets', kind: null }],
  });
  return doc;
};

test('a filled document reads back as the map it was filled with, in order', () => {
  const { map, dropped } = snapshotOf(filled());
  expect(dropped).toEqual([]);
  expect(map.title).toBe('Bridges');
  expect(map.topics.map(({ text }) => text)).toEqual(['Arch', 'Beam']);
  expect(map.links).toMatchObject([{ from: 's0', to: 's1', phrase: 'meets' }]);
});

test('what did not change stays the very same object', () => {
  const live = tab('a', filled());
  const before = live.snapshot;
  live.apply(changesOf(moveMarks(before, ['s0'], { x: 5, y: 5 })));
  expect(live.snapshot.topics[0]).toMatchObject({ x: 5, y: 5 });
  expect(live.snapshot.topics[1]).toBe(before.topics[1]);
  expect(live.snapshot.links[0]).toBe(before.links[0]);
});

test('each gesture is one undo step, however fast they come, and one count', () => {
  const live = tab('a', filled());
  add(live, 'Cable');
  const grown = changesOf(
    growTopic(live.snapshot, { from: 's0', text: 'Pier', kind: null, linkKind: null }, maker, legend),
  );
  live.apply(grown);
  expect(live.snapshot.topics).toHaveLength(4);
  live.undo();
  expect(live.snapshot.topics.map(({ text }) => text)).toEqual(['Arch', 'Beam', 'Cable']);
  expect(live.snapshot.links).toHaveLength(1);
  live.undo();
  expect(live.snapshot.topics).toHaveLength(2);
  live.redo();
  expect(live.snapshot.topics.at(-1)!.text).toBe('Cable');
  expect(live.made).toBe(5);
  expect(countersOf(live.doc)).toEqual({ a: 5 });
});

test('undo leaves other people’s changes alone', () => {
  const start = filled();
  const [mine, theirs] = [tab('a', start), tab('b', start)];
  const own = add(mine, 'Cable');
  sync(mine, theirs);
  theirs.apply(changesOf(setText(theirs.snapshot, 's1', 'Truss', legend)));
  sync(mine, theirs);
  mine.undo();
  sync(mine, theirs);
  expect(theirs.snapshot.topics.find(({ id }) => id === own)).toBeUndefined();
  expect(mine.snapshot.topics.find(({ id }) => id === 's1')!.text).toBe('Truss');
  expect(mine.canUndo).toBe(false);
});

test('a deletion raises the counter, though it leaves the state vector unchanged', () => {
  const live = tab('a', filled());
  live.apply(changesOf(removeMarks(live.snapshot, ['s0'])));
  expect(countersOf(live.doc)).toEqual({ a: 1 });
  expect(live.snapshot.links).toEqual([]);
});

test('a link whose end another person deleted is mended away, the same on both sides', () => {
  const start = filled();
  const [a, b] = [tab('a', start), tab('b', start)];
  a.apply([{ do: 'remove', from: 'topics', id: 's1' }]);
  b.apply([{ do: 'add', to: 'links', item: { id: 'x', from: 's1', to: 's0', phrase: 'holds', kind: null } }]);
  sync(a, b);
  expect(a.snapshot).toEqual(b.snapshot);
  expect(a.snapshot.links).toEqual([]);
});

test('junk that a client writes into the document does not reach a snapshot', () => {
  const doc = filled();
  doc.getMap('topics').set('junk', 'not a topic');
  const odd = new Y.Map<unknown>();
  odd.set('x', Number.NaN);
  odd.set('fill', 'javascript:alert(1)');
  doc.getMap('topics').set('odd', odd);
  const { map, dropped } = snapshotOf(doc);
  expect(map.topics.map(({ id }) => id)).not.toContain('junk');
  expect(map.topics.find(({ id }) => id === 'odd')).toMatchObject({ x: 0, text: '' });
  expect(map.topics.find(({ id }) => id === 'odd')).not.toHaveProperty('fill');
  expect(dropped).toContainEqual({ what: 'value', id: 'odd', field: 'fill', because: 'out of range' });
});

test('two tabs that edit at once and meet in any order have the same map', () => {
  const edit = (live: LiveMap, [what, pick, amount]: [number, number, number]): void => {
    const map: TopicMap = live.snapshot;
    const topic = map.topics[pick % Math.max(1, map.topics.length)];
    if (what === 0 || !topic) add(live, `T${amount}`, amount);
    else if (what === 1) live.apply(changesOf(moveMarks(map, [topic.id], { x: amount, y: 1 })));
    else if (what === 2) live.apply(changesOf(removeMarks(map, [topic.id])));
    else if (what === 3) live.undo();
    else
      live.apply(
        changesOf(growTopic(map, { from: topic.id, text: `G${amount}`, kind: null, linkKind: null }, maker, legend)),
      );
  };
  const gesture = fc.tuple(fc.integer({ min: 0, max: 4 }), fc.nat(20), fc.nat(500));
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.boolean(), gesture, fc.boolean()), { maxLength: 24 }), (steps) => {
      const start = filled();
      const [a, b] = [tab('a', start), tab('b', start)];
      for (const [first, what, meet] of steps) {
        edit(first ? a : b, what);
        if (meet) sync(a, b);
      }
      sync(a, b);
      expect(a.snapshot).toEqual(b.snapshot);
    }),
    { numRuns: 60 },
  );
});

test('what two write in one note at a time is both kept, and one undo takes back one’s own', () => {
  const one = tab('one', filled());
  const id = add(one, 'Arch');
  const note = (live: LiveMap, words: string): void =>
    live.apply([{ do: 'set', in: 'topics', id, fields: { note: words } }]);
  note(one, 'An arch pushes.');
  const other = tab('other', one.doc);
  note(one, 'Every arch pushes.');
  note(other, 'An arch pushes outward.');
  sync(one, other);
  const noteOf = (live: LiveMap) => live.snapshot.topics.find((topic) => topic.id === id)!.note;
  expect(noteOf(one)).toBe('Every arch pushes outward.');
  expect(noteOf(other)).toBe(noteOf(one));
  other.undo();
  expect(noteOf(other)).toBe('Every arch pushes.');
});

describe('words that two write at once', () => {
  const say = (live: LiveMap, id: string, text: string): void =>
    live.apply(changesOf(setText(live.snapshot, id, text, legend)));
  const textOf = (live: LiveMap, id: string) => live.snapshot.topics.find((one) => one.id === id)!.text;

  test('are merged letter by letter, and undo takes back one’s own letters alone', () => {
    const [a, b] = [tab('a', filled()), tab('b', filled())];
    sync(a, b);
    say(a, 's0', 'Stone Arch');
    say(b, 's0', 'Arch of the old bridge');
    a.apply([{ do: 'set', in: 'links', id: 'l', fields: { phrase: 'nearly meets' } }]);
    b.apply([{ do: 'set', in: 'links', id: 'l', fields: { phrase: 'meets, but not at the keystone' } }]);
    sync(a, b);
    for (const one of [a, b]) {
      expect(textOf(one, 's0')).toBe('Stone Arch of the old bridge');
      expect(one.snapshot.links[0]!.phrase).toBe('nearly meets, but not at the keystone');
    }
    b.undo();
    b.undo();
    sync(a, b);
    expect([textOf(a, 's0'), a.snapshot.links[0]!.phrase]).toEqual(['Stone Arch', 'nearly meets']);
  });

  test('a size that follows from a merge is no step to undo', () => {
    const live = tab('a', filled());
    live.follow([{ do: 'set', in: 'topics', id: 's0', fields: { width: 120 } }]);
    expect([live.snapshot.topics[0]!.width, live.canUndo, live.made]).toEqual([120, false, 1]);
  });
});

describe('a document from before words were texts', () => {
  const old = (): Y.Doc => {
    const doc = filled();
    doc.transact(() => {
      doc.getMap('head').set('schema', 1);
      for (const name of ['topics', 'links'])
        for (const member of doc.getMap<Y.Map<unknown>>(name).values())
          for (const field of ['text', 'phrase']) {
            const value = member.get(field);
            if (value instanceof Y.Text) member.set(field, value.toJSON());
          }
    });
    return doc;
  };

  test('is upgraded once, and is the same map', () => {
    const doc = old();
    const before = snapshotOf(doc);
    expect(upgradeDocument(doc)).toBe(true);
    expect(snapshotOf(doc)).toEqual(before);
    expect(doc.getMap('head').get('schema')).toBe(SCHEMA_VERSION);
    expect(doc.getMap<Y.Map<unknown>>('topics').get('s0')!.get('text')).toBeInstanceOf(Y.Text);
    expect(upgradeDocument(doc)).toBe(false);
    expect(upgradeDocument(new Y.Doc())).toBe(false);
  });

  test('takes what a page wrote into it that was away meanwhile, and is upgraded again', () => {
    const doc = old();
    const away = tab('away', doc);
    upgradeDocument(doc);
    away.doc.getMap<Y.Map<unknown>>('topics').get('s1')!.set('text', 'Beam of oak');
    away.apply(changesOf(moveMarks(away.snapshot, ['s0'], { x: 5, y: 0 })));
    const live = tab('b', doc);
    sync(away, live);
    expect(away.snapshot).toEqual(live.snapshot);
    expect(['Beam', 'Beam of oak']).toContain(live.snapshot.topics[1]!.text);
    const before = live.snapshot;
    upgradeDocument(live.doc);
    expect(live.snapshot).toEqual(before);
  });
});
