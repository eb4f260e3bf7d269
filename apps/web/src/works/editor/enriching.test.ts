import { jest } from '@jest/globals';
import { emptyMap, OWN_LEGEND, ownAssignment } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';
import { fillDocument, LiveMap } from '@ichnograph/livemap';
import * as Y from 'yjs';
import { commandsFor } from '../commands/list';
import { createEditor } from './editor';
import type { Editor } from './editor';

/** Gathering onto the map, pictures, files and other maps: what the hand does beyond topics and links. */

let live: LiveMap;
const opened = (fields: Partial<Assignment> = {}): Editor => {
  const doc = new Y.Doc();
  const topic = (id: string, text: string, x: number) => ({ id, text, kind: 'idea', x, y: 0, width: 80, height: 40 });
  fillDocument(doc, { ...emptyMap(), topics: [topic('a', 'Arch', 0), topic('b', 'Beam', 300)] });
  live = new LiveMap(doc, 'tab');
  return createEditor(live, { ...ownAssignment('Bridges', OWN_LEGEND), ...fields }, 'me');
};
const textsOf = (editor: Editor): string[] => editor.store.getState().map.topics.map(({ text }) => text);
const HERE = { x: 0, y: 0 };
const BELL = { src: 'noto/bell', alt: 'A bell' };
const file = (name: string, content = 'x') => new File([content], name);

beforeEach(() => {
  let count = 0;
  jest
    .spyOn(crypto, 'randomUUID')
    .mockImplementation(() => `00000000-0000-4000-8000-${String(++count).padStart(12, '0')}` as const);
});
afterEach(() => jest.restoreAllMocks());

describe('terms straight onto the map', () => {
  test('each in a free place of its own, joined to what is selected, which stays selected', () => {
    const editor = opened();
    editor.actions.select(['a']);
    for (const term of ['Keystone', 'Vault']) expect(editor.actions.gatherOnto(term, 'a', HERE)).toBe(true);
    const { map, selection } = editor.store.getState();
    expect(textsOf(editor)).toEqual(['Arch', 'Beam', 'Keystone', 'Vault']);
    expect(map.links.map(({ from }) => from)).toEqual(['a', 'a']);
    expect(selection).toEqual(['a']);
    expect(new Set(map.topics.map(({ x, y }) => `${x} ${y}`)).size).toBe(4);
  });
  test('many lines at once, joined to nothing when that is chosen; what is there already is said', () => {
    const editor = opened();
    expect(editor.actions.gatherOnto('Pier\nDeck\n\nArch', null, HERE)).toBe(true);
    expect(textsOf(editor)).toEqual(['Arch', 'Beam', 'Pier', 'Deck']);
    expect(live.snapshot.links).toEqual([]);
    editor.actions.gatherOnto('arch', null, HERE);
    expect(editor.store.getState().refusal).toBe('That is on the map already.');
    expect(editor.actions.gatherOnto('  ', null, HERE)).toBe(false);
  });
});

describe('pictures', () => {
  test('into what is selected; with nothing selected beside everything; never in the place of another unasked', () => {
    const editor = opened();
    editor.actions.select(['a', 'b']);
    editor.actions.openPictures('Library');
    editor.actions.takePicture(BELL, HERE);
    expect(live.snapshot.topics.map(({ pictures }) => pictures)).toEqual([[BELL], [BELL]]);
    expect(editor.store.getState().pictures).toBeNull();
    editor.actions.select([]);
    editor.actions.openPictures('Library');
    editor.actions.takePicture({ src: 'noto/canoe', alt: '' }, HERE);
    const [loose] = live.snapshot.pictures;
    expect(editor.store.getState().selection).toEqual([loose!.id]);
    editor.actions.openPictures('Library', { of: loose!.id, src: null });
    editor.actions.takePicture(BELL, HERE);
    expect(live.snapshot.pictures.map(({ src }) => src)).toEqual(['noto/bell']);
    editor.actions.undo();
    expect(live.snapshot.pictures.map(({ src }) => src)).toEqual(['noto/canoe']);
  });
  test('for the young one that goes onto the map is a topic, whose words can be typed at once', () => {
    const editor = opened({ drawing: { pictureFirst: true } });
    editor.actions.takePicture(BELL, { x: 0, y: 400 });
    expect(live.snapshot.topics.at(-1)).toMatchObject({ text: 'A bell', pictures: [{ src: 'noto/bell' }] });
    expect(editor.store.getState().typing).toMatchObject({ what: 'topic' });
  });
  test('a letter typed on a chosen picture is no word of it', () => {
    const editor = opened();
    editor.actions.takePicture(BELL, HERE);
    const [chosen] = editor.store.getState().selection;
    editor.actions.typeOver(chosen!);
    expect(editor.store.getState()).toMatchObject({ typing: null, pictures: null });
  });
});

describe('files from outside', () => {
  const answering = (answer: object, status = 200): void => {
    jest.spyOn(globalThis, 'fetch').mockImplementation(() =>
      Promise.resolve(
        new Response(JSON.stringify(answer), {
          status,
          headers: { 'content-type': status < 400 ? 'application/json' : 'application/problem+json' },
        }),
      ),
    );
  };
  const row = { src: 'a'.repeat(64), name: 'x', at: '', type: '', bytes: 1, isSketch: false };

  test('a picture goes into the topic it was dropped on, in the shape it has', async () => {
    answering({ ...row, width: 1600, height: 800 });
    const editor = opened();
    await editor.actions.bringFiles([file('x.jpg')], ['a'], HERE);
    expect(live.snapshot.topics[0]!.pictures).toEqual([{ src: row.src, alt: '', width: 96, height: 48 }]);
    expect(editor.store.getState().bringing).toBe(0);
  });
  test('another file stands beside what a topic bears; dropped on nothing it is said where it belongs', async () => {
    answering({ ...row, name: 'notes.pdf', width: null, height: null });
    const editor = opened();
    await editor.actions.bringFiles([file('notes.pdf')], ['b'], HERE);
    expect(live.snapshot.topics[1]!.files).toEqual([{ src: row.src, name: 'notes.pdf' }]);
    await editor.actions.bringFiles([file('notes.pdf')], [], HERE);
    expect(editor.store.getState().refusal).toContain('Drop it on the topic it belongs to');
  });
  test('what the server refuses is said, and the next one is brought all the same; one too large is not sent', async () => {
    answering({ title: 'Refused', status: 422, detail: 'Files of this sort are not taken.' }, 422);
    const editor = opened();
    await editor.actions.bringFiles([file('a.exe'), file('b.exe')], ['a'], HERE);
    expect(editor.store.getState()).toMatchObject({
      bringing: 0,
      refusal: '“b.exe”: Files of this sort are not taken.',
    });
    expect(globalThis.fetch).toHaveBeenCalledTimes(2);
    await editor.actions.bringFiles([file('big.jpg', 'x'.repeat(10 * 1024 * 1024 + 1))], ['a'], HERE);
    expect(editor.store.getState().refusal).toContain('larger than 10 MB');
    expect(globalThis.fetch).toHaveBeenCalledTimes(2);
  });
});

test('another map is laid below this one, its kinds told by their names, and nothing of this one is touched', () => {
  const editor = opened();
  const legend = {
    ...OWN_LEGEND,
    topicKinds: [{ id: 'q7', name: 'Question', purpose: '', givenBy: 'student', shape: 'ellipse', fill: '#ffffff' }],
  } as typeof OWN_LEGEND;
  const why = { id: 'w', text: 'Why?', kind: 'q7', x: 0, y: 0, width: 80, height: 40 };
  editor.actions.bringIn({ ...emptyMap(), topics: [why], legend });
  const brought = live.snapshot.topics.at(-1)!;
  expect(brought).toMatchObject({ text: 'Why?', kind: 'question' });
  expect(brought.y).toBeGreaterThan(60);
  expect(live.snapshot.topics.slice(0, 2).map(({ id, y }) => [id, y])).toEqual([
    ['a', 0],
    ['b', 0],
  ]);
  expect(editor.store.getState().selection).toEqual([brought.id]);
});

test('a teacher leaves tools out: their commands are gone, all others are there', () => {
  const ids = (drawing: Assignment['drawing']): string[] =>
    commandsFor(
      { ...ownAssignment('x', OWN_LEGEND), ...(drawing && { drawing }) },
      { mayEdit: true, mayHandIn: false },
    ).map(({ id }) => id);
  const some = ids({ tools: ['notes', 'regions'] });
  expect(some).toEqual(expect.arrayContaining(['about', 'region', 'undo', 'link', 'find']));
  for (const gone of ['picture', 'sketch', 'paper', 'row', 'lead', 'copy-looks', 'tidy-downward']) {
    expect(ids(undefined)).toContain(gone);
    expect(some).not.toContain(gone);
  }
  expect(ids(undefined)).not.toContain('bring-own');
  expect(ids(undefined)).not.toContain('bring-file');
  expect(ids({ ownMaps: true })).toEqual(expect.arrayContaining(['bring-own', 'bring-file']));
});

describe('pictures that lie loose', () => {
  test('several are put one after the other while the dialog stays; each becomes a topic that can be linked', () => {
    const editor = opened();
    editor.actions.openPictures('Library');
    expect(editor.actions.takePicture(BELL, HERE, true)).toBe(true);
    expect(editor.actions.takePicture({ ...BELL, src: 'noto/ferry', alt: 'A ferry' }, HERE, true)).toBe(true);
    const { map, pictures, selection } = editor.store.getState();
    expect([map.pictures.length, pictures?.tab, selection]).toEqual([2, 'Library', []]);
    editor.actions.select(map.pictures.map(({ id }) => id));
    editor.actions.picturesAsTopics();
    expect(textsOf(editor)).toEqual(['Arch', 'Beam', 'A bell', 'A ferry']);
    expect(editor.store.getState().selection).toHaveLength(2);
    editor.actions.undo();
    expect(editor.store.getState().map.pictures).toHaveLength(2);
  });
  test('are copied and pasted; a double click looks at one large', () => {
    const editor = opened();
    editor.actions.takePicture(BELL, HERE);
    const { id } = editor.store.getState().map.pictures[0]!;
    const can = (command: string): boolean | undefined =>
      commandsFor(editor.assignment, { mayEdit: true, mayHandIn: false })
        .find((one) => one.id === command)!
        .can?.(editor.store.getState());
    expect([can('duplicate'), can('copy'), can('as-topic'), can('look-large')]).toEqual([true, true, true, true]);
    editor.actions.duplicate();
    expect(editor.store.getState().map.pictures).toHaveLength(2);
    editor.actions.edit(id);
    expect(editor.store.getState().large).toBe('noto/bell');
  });
});
