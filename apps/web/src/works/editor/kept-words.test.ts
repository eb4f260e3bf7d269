import { fitTopic, LIMITS } from '@ichnograph/core';
import { LiveMap } from '@ichnograph/livemap';
import * as Y from 'yjs';
import { link, topic } from '../../testing/marks';
import { openEditor } from './opened';

/** Words that are typed are never lost unsaid. */

const two = () => openEditor({ topics: [topic('a', 0, 0), topic('b', 300, 0)], links: [link('a', 'b')] });

test('words too long for a topic are all in its note, and its beginning stands on the map', () => {
  const open = two();
  const long = 'the load goes down '.repeat(30).trim();
  open.actions.edit('a');
  open.say(long);
  open.actions.make({ x: 0, y: 300 });
  open.say(long);
  const [changed, , made] = open.state().map.topics;
  for (const one of [changed!, made!]) {
    expect(one.note).toBe(long);
    expect(one.text).toMatch(/^the load goes down .* …$/);
  }
  expect(open.state().refusal).toBe('That is longer than 300 characters: all of it is in the topic’s note.');
  open.actions.undo();
  expect(open.state().map.topics).toHaveLength(2);
  open.actions.edit('a');
  open.say(`${long} again`);
  expect(open.state().map.topics[0]!.note).toBe(`${long}\n\n${long} again`);
});

test('words that are refused stay in the field, beside the reason', () => {
  const open = two();
  open.actions.edit('a-b');
  open.say('x'.repeat(LIMITS.text + 1));
  expect(open.state()).toMatchObject({ typing: { what: 'phrase', id: 'a-b' }, words: 'x'.repeat(LIMITS.text + 1) });
  expect(open.state().refusal).toContain('300');
  open.say('rests on');
  expect(open.said()).toEqual(['a rests on b']);
});

test.each([
  ['a topic', 'a', 'Arch', { what: 'new', at: { x: 0, y: 0 } }, /Your words, “Arch”, are kept for a new topic here/],
  ['a link', 'a-b', 'rests on', null, /You had typed “rests on”/],
])('words typed into %s that a mate deletes are kept, or said', (_, id, words, typing, said) => {
  const open = two();
  open.actions.edit(id);
  open.actions.type(words);
  const list = id === 'a' ? 'topics' : 'links';
  if (list === 'topics') open.live.apply([{ do: 'remove', from: 'links', id: 'a-b' }]);
  open.live.apply([{ do: 'remove', from: list, id }]);
  const { typing: now, refusal } = open.state();
  if (typing) expect(now).toMatchObject(typing);
  else expect(now).toBeNull();
  expect(refusal).toMatch(said);
  if (typing) {
    open.actions.commit();
    expect(open.state().map.topics.map(({ text }) => text)).toEqual(['b', 'Arch']);
  }
});

test('a field in which nothing was changed goes with what it was of, and nothing is said', () => {
  const open = two();
  open.actions.edit('a');
  open.live.apply([
    { do: 'remove', from: 'links', id: 'a-b' },
    { do: 'remove', from: 'topics', id: 'a' },
  ]);
  expect(open.state()).toMatchObject({ typing: null, refusal: null });
});

test('what is kept for a new topic is a row where the map is read as a list, with its words', () => {
  const open = two();
  open.actions.edit('a');
  open.actions.type('Arch');
  open.live.apply([
    { do: 'remove', from: 'links', id: 'a-b' },
    { do: 'remove', from: 'topics', id: 'a' },
  ]);
  open.actions.keptAsRow('b');
  expect(open.state()).toMatchObject({ typing: { what: 'row', after: 'b', as: 'beside' }, words: 'Arch' });
  expect(open.state().refusal).toContain('“Arch”');
  open.actions.commit();
  expect(open.state().map.topics.map(({ text }) => text)).toEqual(['b', 'Arch']);
});

test('the end of a note whose topic a mate deletes is said', () => {
  const open = two();
  expect(open.actions.setNote('a', 'It carries')).toBe(true);
  open.live.apply([
    { do: 'remove', from: 'links', id: 'a-b' },
    { do: 'remove', from: 'topics', id: 'a' },
  ]);
  expect(open.actions.setNote('a', 'It carries the deck.')).toBe(false);
  expect(open.state().refusal).toContain('It carries the deck.');
});

describe('while a mate writes into the same words', () => {
  /** What the mate has, and their letters as they come. */
  const mate = (
    open: ReturnType<typeof two>,
    list: 'topics' | 'links',
    id: string,
    field: string,
    words: string,
  ): void => {
    const doc = new Y.Doc();
    Y.applyUpdate(doc, Y.encodeStateAsUpdate(open.live.doc));
    new LiveMap(doc, 'mate').apply([{ do: 'set', in: list, id, fields: { [field]: words } }]);
    Y.applyUpdate(open.live.doc, Y.encodeStateAsUpdate(doc), 'remote');
  };

  test('the letters of both are there, in the field at once and then on the map', () => {
    const open = two();
    open.actions.edit('a');
    open.actions.type('a arch');
    mate(open, 'topics', 'a', 'text', 'stone a');
    expect(open.state().words).toBe('stone a arch');
    expect(open.state().merged!.at(6)).toBe(12);
    open.actions.commit();
    expect(open.state().map.topics[0]!.text).toBe('stone a arch');
    open.actions.edit('a-b');
    open.actions.type('rests on');
    mate(open, 'links', 'a-b', 'phrase', 'has');
    open.actions.commit();
    expect(['stone a arch hasrests on b', 'stone a arch rests onhas b']).toContain(open.said()[0]);
  });

  test('what was typed before a reload is merged with what came meanwhile', () => {
    const open = two();
    mate(open, 'topics', 'b', 'text', 'old b');
    open.actions.resume({ what: 'topic', id: 'b' }, 'b beam', 'b');
    expect(open.state().words).toBe('old b beam');
  });

  test('letters that came at the very same time fit their topic, and that is no step to undo', () => {
    const open = two();
    const before = new Y.Doc();
    Y.applyUpdate(before, Y.encodeStateAsUpdate(open.live.doc));
    const theirs = 'a load that goes down through the deck into';
    open.actions.edit('a');
    open.say('a that rests on abutments, piers and towers');
    new LiveMap(before, 'mate').apply([
      { do: 'set', in: 'topics', id: 'a', fields: { text: theirs, width: 60, height: 34 } },
    ]);
    Y.applyUpdate(open.live.doc, Y.encodeStateAsUpdate(before), 'remote');
    const [topic] = open.state().map.topics;
    expect(topic!.text).toContain('load that goes down');
    expect(topic!.text).toContain('abutments, piers');
    expect(topic).toMatchObject(fitTopic(topic!, { topicKinds: [], linkKinds: [] }));
    open.actions.undo();
    expect(open.state().map.topics[0]!.text).toBe(theirs);
  });
});
