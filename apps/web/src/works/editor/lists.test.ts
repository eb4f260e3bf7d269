/** @jest-environment jsdom */
import { emptyMap, mapOutline } from '@ichnograph/core';
import { link, topic } from '../../testing/marks';
import { openEditor } from './opened';

/** What is done to a map where it is read as a list: each act is one undo step, and what is refused keeps the words. */

const family = () =>
  openEditor({
    topics: [topic('root', 0, 0), topic('a', -200, 120), topic('b', 200, 120), topic('a1', -200, 240)],
    links: [link('root', 'a', { phrase: 'has' }), link('root', 'b', { phrase: 'has' }), link('a', 'a1')],
  });
const outline = ({ state }: ReturnType<typeof family>): string =>
  mapOutline(state().map)
    .map(({ depth, text }) => `${'.'.repeat(depth)}${text}`)
    .join(' ');

describe('sentences', () => {
  test('an end is led to the topic that bears the words, else its topic is reworded', () => {
    const open = family();
    open.actions.editEnd('root-a', 'to');
    expect(open.state().words).toBe('a');
    open.say('B1');
    expect(open.said()[0]).toBe('root has B1');
    open.actions.editEnd('root-a', 'to');
    open.say('a1');
    expect(open.said()[0]).toBe('root has a1');
    open.actions.undo();
    expect(open.said()[0]).toBe('root has B1');
  });

  test('several get the same words in one act; what was typed fresh and left empty changes nothing', () => {
    const open = family();
    open.actions.editPhrases('root-a', ['a-a1']);
    open.say('holds');
    expect(open.said()).toEqual(['root holds a', 'root has b', 'a holds a1']);
    open.actions.undo();
    expect(open.said()).toEqual(['root has a', 'root has b', 'a … a1']);
    open.actions.editPhrases('root-b', [], true);
    open.actions.commit();
    expect(open.said()[1]).toBe('root has b');
  });

  test('a sentence that is refused stays open with its words, and why is said', () => {
    const open = family();
    open.actions.editEnd('root-a', 'to');
    open.say('root');
    expect(open.state()).toMatchObject({ typing: { what: 'end', id: 'root-a' }, words: 'root' });
    expect(open.state().refusal).toMatch(/cannot be linked to itself/);
    open.actions.cancelTyping();
    expect(open.state().refusal).toBeNull();
  });

  test('what is typed at an end goes on at its topic where the map is drawn', () => {
    const open = family();
    open.actions.resume({ what: 'end', id: 'root-a', end: 'to' }, 'alpha', null);
    expect(open.state()).toMatchObject({ typing: { what: 'topic', id: 'a' }, words: 'alpha' });
    open.actions.resume({ what: 'row', after: 'a', as: 'below' }, 'new', null);
    expect(open.state()).toMatchObject({ typing: { what: 'new', from: 'a' }, words: 'new' });
    open.actions.resume({ what: 'row', after: 'a', as: 'beside' }, 'new', null);
    expect(open.state()).toMatchObject({ typing: { what: 'new', from: 'root' } });
    open.actions.resume({ what: 'end', id: 'gone', end: 'to' }, 'lost', null);
    expect(open.state().words).toBe('new');
  });

  test('a new sentence takes what is there, from the map or the bank, and makes the rest', () => {
    const open = openEditor(
      { topics: [topic('root', 0, 0)], wordBank: [{ id: 'w', text: 'Arch' }] },
      { terms: [{ text: 'Pier', kind: 'x' }] },
    );
    open.actions.answer({ results: [] } as never, [{ text: 'Arch', kind: null, own: 'w', place: 'bank' } as never]);
    expect(open.actions.writeSentence('ROOT', 'carries', 'Arch', { x: 0, y: 0 })).not.toBeNull();
    expect(open.said()).toEqual(['root carries Arch']);
    expect(open.state().map.wordBank).toEqual([]);
    expect(open.actions.writeSentence('root', 'x', 'root', { x: 0, y: 0 })).toBeNull();
    expect(open.actions.writeSentence('Deck', 'rests on', 'arch', { x: 0, y: 0 })).not.toBeNull();
    expect(open.said()).toEqual(['root carries Arch', 'Deck rests on Arch']);
  });
});

describe('the outline', () => {
  test('lines are written, set in and out, moved, deleted, each one step to take back', () => {
    const open = family();
    open.actions.writeRow('a', 'beside');
    open.say('c');
    expect(outline(open)).toBe('root .a ..a1 .c .b');
    const [c] = open.state().selection;
    open.actions.indent(c!);
    expect(outline(open)).toBe('root .a ..a1 ..c .b');
    open.actions.moveInOrder(c!, -1);
    expect(outline(open)).toBe('root .a ..c ..a1 .b');
    open.actions.outdent(c!);
    expect(outline(open)).toBe('root .a ..a1 .c .b');
    open.actions.deleteRows(['a']);
    expect(outline(open)).toBe('root .a1 .c .b');
    for (const before of ['root .a ..a1 .c .b', 'root .a ..c ..a1 .b', 'root .a ..a1 ..c .b', 'root .a ..a1 .c .b']) {
      open.actions.undo();
      expect(outline(open)).toBe(before);
    }
  });

  test('what is typed in a new line stays while it is taken elsewhere; an empty one vanishes', () => {
    const open = family();
    open.actions.writeRow('a', 'beside');
    open.actions.type('deep');
    open.actions.writeRow('a', 'below');
    expect(open.state().words).toBe('deep');
    open.actions.commit();
    expect(outline(open)).toBe('root .a ..deep ..a1 .b');
    open.actions.writeRow('b', 'below');
    open.actions.commit();
    expect(outline(open)).toBe('root .a ..deep ..a1 .b');
  });

  test('ties lead to what is there, or to what is made; a line is hung where it is let go', () => {
    const open = family();
    expect(open.actions.tie('a1', 'leans on', 'B')).toBe(true);
    expect(open.said()).toContain('a1 leans on b');
    expect(open.actions.tie('a1', 'x', 'a1')).toBe(false);
    open.actions.hangRow('b', 'a', 'first');
    expect(outline(open)).toBe('root .a ..b ..a1');
    open.actions.hangRow('a1', 'root', 'last');
    expect(outline(open)).toBe('root .a ..b .a1');
  });

  test('words that somebody else deleted are said, not lost', () => {
    const open = family();
    open.actions.editEnd('root-b', 'to');
    open.actions.type('better');
    open.live.apply([{ do: 'remove', from: 'links', id: 'root-b' }]);
    expect(open.state()).toMatchObject({
      typing: null,
      refusal: 'The link is gone: it was deleted meanwhile. You had typed “better”.',
    });
  });
});

describe('tours and what is brought in', () => {
  test('a tour is made, named, led on, and gone with one undo', () => {
    const open = family();
    const id = open.actions.makeTour('', ['root', 'b'])!;
    expect(open.actions.addStop(id, 'A1')).toBe(true);
    expect(open.actions.addStop(id, 'nowhere')).toBe(false);
    expect(open.state().refusal).toBe('No topic reads “nowhere”.');
    open.actions.sayAtStop(id, 0, 'Here.');
    open.actions.moveStop(id, 2, 0);
    expect(open.state().map.tours[0]!.stops).toEqual([
      { topic: 'a1', words: '' },
      { topic: 'root', words: 'Here.' },
      { topic: 'b', words: '' },
    ]);
    open.actions.removeTour(id);
    expect(open.state().map.tours).toEqual([]);
    open.actions.undo();
    expect(open.state().map.tours).toHaveLength(1);
  });

  test('another map is hung from a topic, all that hangs from nothing in it, in one step; or its words wait in the bank', () => {
    const open = family();
    const other = {
      ...emptyMap(),
      topics: [topic('t', 0, 0), topic('u', 0, 90), topic('v', 200, 0)],
      links: [link('t', 'u', { phrase: 'of' })],
    };
    open.actions.bringIn(other, 'b');
    expect(open.said().slice(3)).toEqual(['t of u', 'b … t', 'b … v']);
    open.actions.undo();
    expect(open.state().map.topics).toHaveLength(4);
    open.actions.keepAsTerms(other);
    expect(open.state().map.wordBank.map(({ text }) => text)).toEqual(['t', 'u', 'v']);
  });
});

describe('what was given by somebody else', () => {
  const given = () =>
    openEditor({
      topics: [topic('root', 0, 0), topic('a', 0, 120, { origin: 'a' })],
      links: [link('root', 'a', { phrase: 'has' })],
    });

  test('a letter at its end of a sentence comes behind its words, which is said', () => {
    const open = given();
    open.actions.editEnd('root-a', 'to', true);
    expect(open.state()).toMatchObject({ words: 'a', typing: { what: 'end' } });
    expect(open.state().refusal).toMatch(/was given/);
    open.actions.cancelTyping();
    open.actions.editEnd('root-a', 'from', true);
    expect(open.state()).toMatchObject({ words: '', refusal: null });
  });

  test('its line is not deleted before that is agreed to', () => {
    const open = given();
    open.actions.deleteRows(['a']);
    expect(open.state()).toMatchObject({ deleting: ['a'] });
    expect(open.state().map.topics).toHaveLength(2);
    open.actions.remove(true);
    expect(open.state().map.topics).toHaveLength(1);
  });
});
