/** @jest-environment jsdom */
import { beforeEach, expect, test } from '@jest/globals';
import { act, fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { topic } from '../../testing/marks';
import { render } from '../../testing/signed-in';
import { EditorProvider } from '../editor';
import type { Editor } from '../editor';
import { openEditor } from '../editor/opened';
import { Finder } from './finder';

const user = userEvent.setup();
let editor: Editor;
const host = { current: null as HTMLDivElement | null };
beforeEach(() => {
  const at = (id: string, text: string, x: number) => topic(id, x, 0, { text });
  ({ editor } = openEditor({ topics: [at('a', 'Arch', 0), at('b', 'Beam', 200), at('c', 'Bearing', 400)] }));
  render(
    <EditorProvider value={editor}>
      <div ref={(element) => void (host.current = element)} tabIndex={0} data-testid="canvas">
        <Finder host={host} />
      </div>
    </EditorProvider>,
  );
});
const ask = (what: 'link' | 'hang' | 'to'): void =>
  act(() => {
    editor.actions.select(['a']);
    editor.actions.ask(what);
  });
const links = () => editor.store.getState().map.links.map(({ from, to }) => [from, to]);

test('it names what is asked and has the focus; what is typed lists other topics', async () => {
  expect(screen.queryByRole('dialog')).toBeNull();
  ask('link');
  expect(screen.getByRole('dialog', { name: 'Link from “Arch” to …' })).toBeTruthy();
  expect(screen.queryAllByRole('listitem')).toEqual([]);
  await user.keyboard('{Enter}');
  expect(links()).toEqual([]);
  await user.keyboard('be');
  expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual(['Beam', 'Bearing']);
  expect(document.activeElement).toBe(screen.getByRole('textbox'));
});

test('a part of the words and Enter answer', async () => {
  ask('link');
  await user.keyboard('bear{Enter}');
  expect(links()).toEqual([['a', 'c']]);
  expect(screen.queryByRole('dialog')).toBeNull();
});

test('Enter that ends a composed word answers nothing', () => {
  ask('link');
  fireEvent.change(screen.getByRole('textbox'), { target: { value: 'Be' } });
  fireEvent.keyDown(screen.getByRole('textbox'), { key: 'Enter', isComposing: true });
  expect(links()).toEqual([]);
});

test('words that no topic has are said, and Enter does nothing', async () => {
  ask('link');
  await user.keyboard('pylon{Enter}');
  expect(screen.getByText('No other topic has these words.')).toBeTruthy();
  expect(links()).toEqual([]);
});

test('a press on the map answers too', () => {
  ask('hang');
  act(() => editor.actions.select(['b']));
  expect(links()).toEqual([['b', 'a']]);
});

test('Escape asks no more; what was chosen stays, and the next key is the canvas’s', async () => {
  ask('link');
  await user.keyboard('{Escape}');
  expect(screen.queryByRole('dialog')).toBeNull();
  expect(editor.store.getState().selection).toEqual(['a']);
  expect(document.activeElement).toBe(screen.getByTestId('canvas'));
});

test('its own keys reach no command of the map', async () => {
  const reached: string[] = [];
  screen.getByTestId('canvas').addEventListener('keydown', ({ key }) => reached.push(key), true);
  ask('link');
  const before = editor.store.getState().map.topics.length;
  await user.keyboard('{Delete}');
  expect(editor.store.getState().map.topics).toHaveLength(before);
});
