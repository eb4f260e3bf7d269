import { topic } from '../../testing/marks';
import type { Editor } from './editor';
import { openEditor } from './opened';

/** A kind that stands beside the structure comes first in this legend. */
const legend = {
  topicKinds: [],
  linkKinds: [
    { id: 'shows', name: 'shows', structural: false },
    { id: 'says', name: 'says' },
  ],
};

let editor: Editor;
let say: (words: string) => void;
const state = () => editor.store.getState();
const links = () => state().map.links.map(({ from, to, phrase, kind }) => [from, to, phrase, kind]);

beforeEach(() => {
  const topics = [topic('a', 0, 0), topic('b', 200, 0), topic('c', 400, 0)];
  ({ editor, say } = openEditor({ topics }, { legend }));
});

describe('while a topic is asked for', () => {
  beforeEach(() => {
    editor.actions.select(['a']);
    editor.actions.ask('link');
  });

  test('a press on one makes the link, and what is typed next are its words', () => {
    editor.actions.select(['b']);
    expect(state()).toMatchObject({ asking: null, typing: { what: 'phrase' } });
    say('rests on');
    expect(links()).toEqual([['a', 'b', 'rests on', 'says']]);
    expect(state().map.topics.map(({ text }) => text)).toEqual(['a', 'b', 'c']);
  });

  test('a press on the one that is held does nothing: it goes on being asked', () => {
    editor.actions.select(['a']);
    expect(state()).toMatchObject({ asking: 'link', selection: ['a'] });
  });

  test('a press on the empty canvas, or a rubber band, ends the asking', () => {
    editor.actions.select([]);
    expect(state()).toMatchObject({ asking: null, selection: [] });
    editor.actions.select(['a']);
    editor.actions.ask('link');
    editor.actions.select(['b', 'c']);
    expect(state()).toMatchObject({ asking: null, selection: ['b', 'c'] });
    expect(links()).toEqual([]);
  });

  test('where there is a link already, its words are opened and no topic is renamed', () => {
    editor.actions.select(['b']);
    say('rests on');
    editor.actions.select(['a']);
    editor.actions.ask('link');
    editor.actions.select(['b']);
    expect(state()).toMatchObject({ asking: null, words: 'rests on', typing: { what: 'phrase' } });
    expect(state().refusal).toContain('a');
    say('rests firmly on');
    expect(links()).toEqual([['a', 'b', 'rests firmly on', 'says']]);
  });

  test('the same by pulling the ring', () => {
    editor.actions.link('a', 'b');
    say('rests on');
    editor.actions.link('a', 'b');
    expect(state()).toMatchObject({ typing: { what: 'phrase' }, words: 'rests on' });
    editor.actions.cancelTyping();
    expect(links()).toEqual([['a', 'b', 'rests on', 'says']]);
  });
});

test('asked for another end, a press on a topic gives it', () => {
  editor.actions.link('a', 'b');
  say('rests on');
  editor.actions.ask('to');
  editor.actions.select(['c']);
  expect(links()).toEqual([['a', 'c', 'rests on', 'says']]);
  expect(state().asking).toBeNull();
});

test('asked what it hangs from, a press on a topic answers', () => {
  editor.actions.select(['b']);
  editor.actions.ask('hang');
  editor.actions.select(['a']);
  expect(links()).toEqual([['a', 'b', '', 'says']]);
});

test('several are tied to one with the words asked once, in one step back each', () => {
  editor.actions.select(['a', 'b', 'c']);
  editor.actions.linkAll('to one');
  expect(state().typing).toMatchObject({ what: 'phrase' });
  say('leads to');
  expect(links()).toEqual([
    ['a', 'c', 'leads to', 'says'],
    ['b', 'c', 'leads to', 'says'],
  ]);
});

describe('a kind of link that stands beside the structure', () => {
  test('is not the one that is drawn first', () => {
    expect(state().next.linkKind).toBe('says');
  });

  test('serves once, and the next line is an ordinary one', () => {
    editor.actions.chooseLinkKind('shows');
    editor.actions.link('a', 'b');
    say('');
    editor.actions.link('b', 'c');
    say('holds');
    expect(links().map(([, , , kind]) => kind)).toEqual(['shows', 'says']);
  });

  test('stays where it is pinned, until another is chosen', () => {
    editor.actions.chooseLinkKind('shows');
    editor.actions.pinLinkKind(true);
    editor.actions.link('a', 'b');
    editor.actions.link('b', 'c');
    expect(links().map(([, , , kind]) => kind)).toEqual(['shows', 'shows']);
    editor.actions.chooseLinkKind('says');
    expect(state().next).toMatchObject({ linkKind: 'says', isPinned: false });
  });

  test('what is refused does not use it up', () => {
    editor.actions.chooseLinkKind('shows');
    editor.actions.link('a', 'a');
    expect(state().next.linkKind).toBe('shows');
  });
});
