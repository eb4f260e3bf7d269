/** @jest-environment jsdom */
import { boxesMeet, boxOf } from '@ichnograph/core';
import type { Topic } from '@ichnograph/core';
import { link, topic } from '../../testing/marks';
import { commandsFor } from '../commands/list';
import type { DeskHand } from '../commands/command';
import { openEditor } from './opened';

/** What hangs from what: dropped, asked for by key, put in between, and taken along. */

const tree = () =>
  openEditor({
    topics: [
      topic('root', 0, 0),
      topic('a', -200, 120),
      topic('b', 200, 120),
      topic('a1', -200, 240),
      topic('new', 0, 400),
    ],
    links: [link('root', 'a', { phrase: 'has' }), link('root', 'b'), link('a', 'a1')],
  });
const press = ({ editor }: ReturnType<typeof tree>, id: string): void =>
  commandsFor(editor.assignment, { mayEdit: true, mayHandIn: true })
    .find((command) => command.id === id)!
    .run({ editor } as unknown as DeskHand);
const noneLiesOnAnother = (topics: readonly Topic[]): void =>
  topics.forEach((one, i) => {
    for (const other of topics.slice(i + 1)) expect(boxesMeet(boxOf(one), boxOf(other))).toBe(false);
  });

test('several that are dropped on a topic hang from it, and one undo takes all back', () => {
  const open = tree();
  open.actions.hang(['a', 'b'], 'new');
  expect(open.said()).toEqual(['new has a', 'new … b', 'a … a1']);
  noneLiesOnAnother(open.state().map.topics);
  open.actions.undo();
  expect(open.said()).toEqual(['root has a', 'root … b', 'a … a1']);
});

test('several that are chosen hang by key from what is pressed next', () => {
  const open = tree();
  open.actions.select(['a', 'b']);
  open.actions.ask('hang');
  open.actions.select(['new']);
  expect(open.state().asking).toBeNull();
  expect(open.said().slice(0, 2)).toEqual(['new has a', 'new … b']);
});

test('what is dropped on what hangs from it stays, and why is said', () => {
  const open = tree();
  open.actions.hang(['a'], 'a1');
  expect(open.state().refusal).toBe('“a1” hangs from “a” itself. Hang it elsewhere first.');
  expect(open.said()[0]).toBe('root has a');
});

test('what is dropped on a link goes in between, and the words that lead on are asked for; one undo takes it back', () => {
  const open = tree();
  open.actions.putBetween('new', 'root-a', { x: -100, y: -340 });
  expect(open.state()).toMatchObject({ typing: { what: 'phrase' } });
  open.say('rests on');
  expect(open.said()).toEqual(['root has new', 'root … b', 'a … a1', 'new rests on a']);
  expect(open.state().map.topics.at(-1)).toMatchObject({ x: -100, y: 60 });
  open.actions.undo();
  open.actions.undo();
  expect(open.said()[0]).toBe('root has a');
  expect(open.state().map.topics.at(-1)).toMatchObject({ x: 0, y: 400 });
});

test('what hangs from a topic is deleted, cut and copied with it', () => {
  const open = tree();
  open.actions.select(['a']);
  press(open, 'copy-branch');
  press(open, 'delete-branch');
  expect(open.state().map.topics.map(({ id }) => id)).toEqual(['root', 'b', 'new']);
  open.actions.paste();
  expect(open.state().map.topics.map(({ text }) => text)).toEqual(['root', 'b', 'new', 'a', 'a1']);
  expect(open.said()).toEqual(['root … b', 'a … a1']);
  open.actions.undo();
  // Pasted where one points, its middle comes to stand there.
  open.actions.pasteAt({ x: 500, y: 500 });
  expect(open.state().map.topics.slice(-2).map(({ x, y }) => [x, y])).toEqual([[500, 440], [500, 560]]); // prettier-ignore
  open.actions.undo();
  open.actions.undo();
  open.actions.select(['root']);
  press(open, 'cut-branch');
  expect(open.state().map.topics.map(({ id }) => id)).toEqual(['new']);
});

test('a topic that is made where one stands is laid beside it, however it is made', () => {
  const open = tree();
  for (const words of ['one', 'two', 'three']) {
    open.actions.make({ x: 0, y: 5 });
    open.say(words);
  }
  open.actions.make({ x: -205, y: 125 }, 'root');
  open.say('grown');
  expect(open.state().map.topics).toHaveLength(9);
  noneLiesOnAnother(open.state().map.topics);
});

test('where branches are coloured, what grows takes its branch’s colour', () => {
  const open = tree();
  open.actions.select(['a']);
  open.actions.colourBranch('#f6dcd2', true);
  open.actions.select(['a1']);
  open.actions.grow(false);
  open.say('grown');
  expect(open.state().map.topics.at(-1)).toMatchObject({ text: 'grown', fill: '#f6dcd2' });
  open.actions.cancelTyping();
  open.actions.select(['b']);
  open.actions.grow(false);
  open.say('other');
  expect(open.state().map.topics.at(-1)).not.toHaveProperty('fill');
});
