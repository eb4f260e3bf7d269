import { jest } from '@jest/globals';
import { emptyMap } from '@ichnograph/core';
import type { Assignment, Chip } from '@ichnograph/core';
import { fillDocument, LiveMap } from '@ichnograph/livemap';
import type { KeyboardEvent } from 'react';
import * as Y from 'yjs';
import { chordOf } from '../../common/chords';
import { onCanvasKey } from '../commands/canvas-keys';
import { commandOf, commandsFor } from '../commands/list';
import type { DeskHand } from '../commands/command';
import { createEditor } from './editor';
import type { Editor } from './editor';
import { isBare } from '../panels/first-step';

const assignment: Assignment = {
  title: 'Bridges',
  focusQuestion: '',
  brief: '',
  language: 'en',
  styleMode: 'guided',
  legend: {
    topicKinds: [
      { id: 'part', name: 'Part', purpose: '', givenBy: 'teacher', shape: 'rectangle', fill: '#d7e7ec' },
      { id: 'family', name: 'Family', purpose: '', givenBy: 'student', shape: 'parallelogram', fill: '#f6dcd2' },
      { id: 'seen', name: 'Seen outside', purpose: '', givenBy: 'student', shape: 'note', fill: '#ebe7d6' },
    ],
    linkKinds: [
      { id: 'says', name: 'says' },
      { id: 'shows', name: 'shows', structural: false },
    ],
  },
  terms: [{ text: 'Pier', kind: 'part' }],
  starter: null,
  reference: null,
  requirements: [],
  criteria: [],
};

let live: LiveMap;
let editor: Editor;
const state = () => editor.store.getState();
const texts = (): string[] => state().map.topics.map(({ text }) => text);
const idOf = (text: string): string => state().map.topics.find((topic) => topic.text === text)!.id;

beforeEach(() => {
  jest.spyOn(crypto, 'randomUUID').mockImplementation(
    (
      (count) => () =>
        `00000000-0000-4000-8000-${String(++count).padStart(12, '0')}` as const
    )(0),
  );
  const doc = new Y.Doc();
  const given = (id: string, text: string, x: number, y: number) => ({
    id,
    text,
    kind: 'part',
    x,
    y,
    width: 80,
    height: 40,
    origin: `s-${id}`,
  });
  fillDocument(doc, {
    ...emptyMap(),
    topics: [given('a', 'Arch', 0, 0), given('b', 'Beam', 200, 0), given('c', 'Cable', 0, 200)],
  });
  live = new LiveMap(doc, 'tab');
  editor = createEditor(live, assignment, 'me');
});
afterEach(() => jest.restoreAllMocks());

const make = (text: string, at = { x: 500, y: 500 }, from: string | null = null): void => {
  editor.actions.make(at, from);
  editor.actions.type(text);
  editor.actions.commit();
};
const link = (from: string, to: string, phrase: string): void => {
  editor.actions.link(from, to);
  editor.actions.type(phrase);
  editor.actions.commit();
};

describe('making', () => {
  test('a topic of one’s own is of the kind that is the next mark, and bears its maker', () => {
    expect(state().next).toMatchObject({ topicKind: 'family', linkKind: 'says' });
    make('Shapes');
    editor.actions.chooseTopicKind('seen');
    make('old bridge', { x: 600, y: 600 });
    expect(state().map.topics.slice(3)).toMatchObject([
      { text: 'Shapes', kind: 'family', by: 'me' },
      { kind: 'seen', by: 'me' },
    ]);
  });

  test('an empty new topic vanishes and leaves no undo step', () => {
    make('   ');
    expect(texts()).toEqual(['Arch', 'Beam', 'Cable']);
    expect(state()).toMatchObject({ typing: null, canUndo: false });
  });

  test('words that name a waiting term bring its kind and origin, and take an own term out of the bank', () => {
    const chips: Chip[] = [
      { key: 'starter:x', text: 'Pier', kind: 'part', origin: 'x' },
      { key: 'own:w', text: 'rust', kind: null, own: 'w' },
    ];
    editor.actions.addToBank('rust');
    const own = state().map.wordBank[0]!.id;
    editor.actions.answer(
      { version: 2, results: [], earned: 0, outOf: 0 },
      chips.map((chip) => (chip.own ? { ...chip, own } : chip)),
    );
    make('pier');
    make('Rust', { x: 700, y: 700 });
    expect(state().map.topics.slice(3)).toMatchObject([
      { text: 'pier', kind: 'part', origin: 'x' },
      { text: 'Rust', kind: 'family' },
    ]);
    expect(state().map.wordBank).toEqual([]);
    live.undo();
    expect(state().map.wordBank).toHaveLength(1);
    live.redo();
    // Deleted, it waits again, as it is called now; what was typed on the map alone does not.
    const rust = state().map.topics.at(-1)!.id;
    editor.actions.select([rust]);
    editor.actions.remove();
    expect(state().map.wordBank).toMatchObject([{ text: 'Rust' }]);
    live.undo();
    expect(state().map.wordBank).toEqual([]);
    make('Moss', { x: 900, y: 700 });
    editor.actions.select([state().map.topics.at(-1)!.id]);
    editor.actions.remove();
    expect(state().map.wordBank).toEqual([]);
  });

  test('pictures carried from the dialog go where they were let go; the dialog and what was selected stay', () => {
    editor.actions.select(['a']);
    editor.actions.openPictures('Library');
    const picture = { src: 'lib:umbrella', name: 'umbrella', width: null, height: null };
    editor.actions.dropPicture(picture, ['b'], { x: 0, y: 0 });
    editor.actions.dropPicture(picture, [], { x: 900, y: 900 });
    expect(state().map.topics.find(({ id }) => id === 'b')!.pictures).toEqual([
      { src: 'lib:umbrella', alt: 'umbrella' },
    ]);
    expect(state().map.pictures).toMatchObject([{ src: 'lib:umbrella', alt: 'umbrella', x: 900, y: 900 }]);
    expect(state()).toMatchObject({ selection: ['a'], pictures: { tab: 'Library' }, typing: null });
  });

  test('growing makes topic and link in one step and goes on to the words of the link', () => {
    editor.actions.select(['a']);
    editor.actions.grow(false);
    editor.actions.type('Keystone');
    editor.actions.commit();
    const [made] = state().map.links;
    expect(state()).toMatchObject({ selection: [idOf('Keystone')], typing: { what: 'phrase', id: made!.id } });
    editor.actions.type('is locked by a');
    editor.actions.commit();
    expect(state().map.links).toMatchObject([
      { from: 'a', to: idOf('Keystone'), phrase: 'is locked by a', kind: 'says' },
    ]);
    editor.actions.undo();
    editor.actions.undo();
    expect(texts()).toHaveLength(3);
    expect(state().map.links).toEqual([]);
  });

  test('what another person deletes while it is typed into ends the typing', () => {
    editor.actions.edit('b');
    live.doc.transact(() => live.doc.getMap('topics').delete('b'), 'remote');
    expect(state().typing).toBeNull();
  });
});

describe('refusing', () => {
  test('what cannot be done is said and changes nothing', () => {
    link('a', 'b', 'meets');
    const before = state().map;
    editor.actions.link('a', 'b');
    expect(state().refusal).toContain('already linked');
    editor.actions.link('a', 'a');
    expect(state().refusal).toContain('itself');
    expect(state().map).toBe(before);
    make('Shapes');
    expect(state().refusal).toBeNull();
  });

  test('given topics are deleted only after a yes; one’s own at once, links along', () => {
    make('Shapes');
    link('a', idOf('Shapes'), 'is one of the');
    editor.actions.select([idOf('Shapes')]);
    editor.actions.remove();
    expect(texts()).toHaveLength(3);
    expect(state().map.links).toEqual([]);
    editor.actions.select(['a', 'b']);
    editor.actions.remove();
    expect(state().deleting).toEqual(['a', 'b']);
    editor.actions.keep();
    expect(texts()).toHaveLength(3);
    editor.actions.remove();
    editor.actions.remove(true);
    expect(texts()).toEqual(['Cable']);
    expect(state()).toMatchObject({ deleting: null, selection: [] });
  });
});

describe('several at once', () => {
  test('looks, kinds and their taking back go to the whole selection', () => {
    link('a', 'b', 'meets');
    editor.actions.selectAll();
    editor.actions.setLooks({ fill: '#ffffff', colour: '#123456' });
    expect(state().map.topics.map(({ fill }) => fill)).toEqual(['#ffffff', '#ffffff', '#ffffff']);
    expect(state().map.links[0]!.colour).toBe('#123456');
    editor.actions.setTopicKind('family');
    expect(state().map.topics.every(({ kind, fill }) => kind === 'family' && fill === undefined)).toBe(true);
    editor.actions.setLinkKind('shows');
    expect(state().map.links[0]).toMatchObject({ kind: 'shows' });
    editor.actions.setLooks({ bold: true });
    editor.actions.asItsKind();
    expect(state().map.topics.some(({ bold }) => bold)).toBe(false);
  });

  test('copies come with their links and can be pasted again and again', () => {
    link('a', 'b', 'meets');
    editor.actions.select(['a', 'b']);
    editor.actions.copy();
    editor.actions.paste();
    editor.actions.paste();
    expect(texts()).toEqual(['Arch', 'Beam', 'Cable', 'Arch', 'Beam', 'Arch', 'Beam']);
    expect(state().map.links).toHaveLength(3);
    expect(
      state()
        .map.topics.slice(3)
        .some(({ origin }) => origin !== undefined),
    ).toBe(false);
  });
});

test('a starter is bare until the first thing is made', () => {
  expect(isBare(state().map)).toBe(true);
  editor.actions.move(['a'], { x: 10, y: 0 });
  expect(isBare(state().map)).toBe(true);
  link('a', 'b', '');
  expect(isBare(state().map)).toBe(false);
});

describe('keys on the canvas', () => {
  const canvas = {};
  const press = (key: string, more: Partial<KeyboardEvent> = {}): boolean => {
    let taken = false;
    const event = {
      key,
      code: /^[a-z]$/i.test(key) ? `Key${key.toUpperCase()}` : '',
      nativeEvent: {},
      target: canvas,
      currentTarget: canvas,
      preventDefault: () => (taken = true),
      ...more,
    } as unknown as KeyboardEvent;
    const commands = commandsFor(assignment, desk());
    // As in the page: what the canvas does not take is the page's.
    onCanvasKey(event, commands, desk());
    const command = taken ? undefined : commandOf(chordOf(event), 'page', commands, state());
    if (command) {
      event.preventDefault();
      command.run(desk());
    }
    return taken;
  };
  const desk = (mayEdit = true): DeskHand => ({
    editor,
    mayEdit,
    mayHandIn: mayEdit,
    centre: () => ({ x: 1, y: 2 }),
    bringIn: () => undefined,
    leaveCanvas: () => undefined,
    find: () => undefined,
    go: () => undefined,
    fit: () => undefined,
    frame: () => ({ width: 800, height: 600 }),
    show: () => undefined,
  });

  test('arrows go from topic to topic, Shift adds, Alt moves', () => {
    press('ArrowRight');
    expect(state().selection).toEqual(['a']);
    press('ArrowRight');
    expect(state().selection).toEqual(['b']);
    press('ArrowDown');
    expect(state().selection).toEqual(['c']);
    press('ArrowUp', { shiftKey: true });
    expect(new Set(state().selection)).toEqual(new Set(['c', 'a']));
    press('ArrowLeft', { altKey: true });
    expect(state().map.topics.map(({ x }) => x)).toEqual([-10, 200, -10]);
    press('ArrowLeft', { altKey: true, shiftKey: true });
    expect(state().map.topics[0]!.x).toBe(-11);
  });

  test('Tab grows only from one selected topic; otherwise it is the browser’s', () => {
    expect(press('Tab')).toBe(false);
    editor.actions.select(['a', 'b']);
    expect(press('Tab')).toBe(false);
    editor.actions.select(['a']);
    expect(press('Tab', { shiftKey: true })).toBe(false);
    expect(press('Tab')).toBe(true);
    expect(state().typing).toMatchObject({ what: 'new', from: 'a' });
  });

  test('typing begins with the letter, F2 and Enter on a link keep its words', () => {
    link('a', 'b', 'meets');
    const [made] = state().map.links;
    editor.actions.select([made!.id]);
    // The field opens empty, and the key itself brings the letter: dead keys and input methods arrive whole.
    expect(press('x')).toBe(false);
    expect(state()).toMatchObject({ typing: { what: 'phrase', fresh: true }, words: '' });
    editor.actions.commit();
    expect(state().map.links[0]!.phrase).toBe('meets');
    press('Dead');
    editor.actions.type('é');
    editor.actions.commit();
    expect(state().map.links[0]!.phrase).toBe('é');
    editor.actions.select([made!.id]);
    press('Enter');
    expect(state().words).toBe('é');
    editor.actions.cancelTyping();
    editor.actions.select(['b']);
    press('F2');
    expect(state()).toMatchObject({ typing: { what: 'topic', id: 'b' }, words: 'Beam' });
  });

  test('a given topic is not typed over: what is typed comes behind its words, and Escape leaves them', () => {
    editor.actions.select(['a']);
    press('x');
    expect(state()).toMatchObject({ typing: { what: 'topic', id: 'a' }, words: 'Arch' });
    expect(state().refusal).toContain('was given');
    editor.actions.cancelTyping();
    expect(texts()).toContain('Arch');
  });

  test('Alt with a digit chooses a kind without leaving the canvas', () => {
    press('™', { altKey: true, code: 'Digit2' });
    expect(state().next.topicKind).toBe('seen');
    make('old bridge');
    press('1', { altKey: true, code: 'Digit1' });
    expect(state().map.topics.at(-1)!.kind).toBe('family');
  });

  test('Alt+J goes round the links of a topic, Alt+K asks for the other end', () => {
    link('a', 'b', 'meets');
    link('c', 'a', 'holds');
    const [first, second] = state().map.links.map(({ id }) => id);
    editor.actions.select(['a']);
    press('j', { altKey: true });
    expect(state().selection).toEqual([first]);
    press('j', { altKey: true });
    expect(state().selection).toEqual([second]);
    editor.actions.select(['a']);
    press('k', { altKey: true });
    expect(state().asking).toBe('link');
  });

  test('Alt+U goes to what a topic hangs from, and stays where it hangs from nothing', () => {
    link('a', 'b', 'meets');
    editor.actions.select(['b']);
    press('u', { altKey: true });
    expect(state().selection).toEqual(['a']);
    press('u', { altKey: true });
    expect(state().selection).toEqual(['a']);
  });

  test('a map of one’s own offers a copy of itself, and nothing that speaks of an assignment', () => {
    const ids = (of: 'work' | 'mine' | 'sheet') =>
      commandsFor(assignment, { mayEdit: true, mayHandIn: false, of, workId: 'w' }).map(({ id }) => id);
    const about = ['brief', 'next-flag', 'flag-before', 'choose-flagged'];
    expect(ids('work')).toEqual(expect.arrayContaining([...about, 'versions', 'keep-own']));
    expect(ids('mine')).toEqual(expect.arrayContaining(['versions', 'keep-own']));
    expect(ids('sheet')).not.toContain('versions');
    expect(ids('mine').filter((id) => about.includes(id))).toEqual([]);
  });

  test('the usual commands, and Delete', () => {
    make('Shapes');
    press('d', { ctrlKey: true });
    expect(texts().filter((text) => text === 'Shapes')).toHaveLength(2);
    press('z', { ctrlKey: true });
    press('Z', { metaKey: true, shiftKey: true });
    expect(texts().filter((text) => text === 'Shapes')).toHaveLength(2);
    press('a', { ctrlKey: true });
    expect(state().selection).toHaveLength(5);
    expect(press('r', { ctrlKey: true })).toBe(false);
    editor.actions.select([idOf('Shapes')]);
    press('Delete');
    expect(texts().filter((text) => text === 'Shapes')).toHaveLength(1);
  });

  test('a reader goes about and changes nothing', () => {
    const before = state().map;
    editor.actions.select(['a']);
    for (const key of ['Delete', 'Tab', 'Enter', 'F2', 'x', 'Insert']) {
      const event = {
        key,
        code: '',
        nativeEvent: {},
        target: canvas,
        currentTarget: canvas,
        preventDefault: () => undefined,
      };
      onCanvasKey(event as unknown as KeyboardEvent, commandsFor(assignment, desk(false)), desk(false));
    }
    expect(state().map).toBe(before);
    expect(state().typing).toBeNull();
  });
});
