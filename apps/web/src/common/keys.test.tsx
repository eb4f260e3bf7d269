/** @jest-environment jsdom */
import { beforeEach, expect, jest, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { render } from '../testing/signed-in';
import { useKeys } from './keys';
import type { KeyAct } from './keys';
import { KeysOfPage } from './page-keys';
import { useSingleLetters } from './single-letters';

const run = jest.fn();
beforeEach(() => {
  run.mockClear();
  useSingleLetters.getState().set(true);
});

function Acts({ acts }: { acts: Readonly<Record<string, Omit<KeyAct, 'run'>>> }) {
  useKeys((chord) => (acts[chord] ? { ...acts[chord], run: () => run(chord) } : null));
  return (
    <>
      <input aria-label="Words" />
      <input type="checkbox" aria-label="A tick" />
      <div role="dialog">
        <button type="button">In a card</button>
      </div>
    </>
  );
}
const press = (init: KeyboardEventInit, target: Element | Document = document.body): boolean =>
  fireEvent.keyDown(target, { bubbles: true, ...init });

test('a chord does what it does here, and is not the browser’s any more', () => {
  render(<Acts acts={{ 'Mod+F': {} }} />);
  expect(press({ key: 'f', code: 'KeyF', ctrlKey: true })).toBe(false);
  expect(press({ key: 'p', code: 'KeyP', ctrlKey: true })).toBe(true);
  expect(run.mock.calls).toEqual([['Mod+F']]);
});

test('where words are typed only what says so acts', () => {
  render(<Acts acts={{ 'Alt+M': { whileTyping: true }, N: {}, Delete: {} }} />);
  const field = screen.getByRole('textbox');
  press({ key: 'm', code: 'KeyM', altKey: true }, field);
  press({ key: 'n', code: 'KeyN' }, field);
  press({ key: 'Delete', code: 'Delete' }, field);
  expect(run.mock.calls).toEqual([['Alt+M']]);
  // A tick is no place to type.
  press({ key: 'n', code: 'KeyN' }, screen.getByRole('checkbox'));
  expect(run).toHaveBeenLastCalledWith('N');
});

test('held, a key acts once, unless it goes on', () => {
  render(<Acts acts={{ 'Alt+Enter': {}, ArrowDown: { held: true } }} />);
  for (const repeat of [false, true, true]) {
    press({ key: 'Enter', code: 'Enter', altKey: true, repeat });
    press({ key: 'ArrowDown', code: 'ArrowDown', repeat });
  }
  expect(run.mock.calls.filter(([chord]) => chord === 'Alt+Enter')).toHaveLength(1);
  expect(run.mock.calls.filter(([chord]) => chord === 'ArrowDown')).toHaveLength(3);
});

test('under what lies over the page, and inside a card, no key of the page acts', () => {
  const { unmount } = render(<Acts acts={{ N: {} }} />);
  press({ key: 'n', code: 'KeyN' }, screen.getByRole('button', { name: 'In a card' }));
  const over = document.createElement('div');
  over.dataset.overAll = '';
  document.body.append(over);
  press({ key: 'n', code: 'KeyN' });
  expect(run).not.toHaveBeenCalled();
  over.remove();
  press({ key: 'n', code: 'KeyN' });
  expect(run).toHaveBeenCalledTimes(1);
  unmount();
  press({ key: 'n', code: 'KeyN' });
  expect(run).toHaveBeenCalledTimes(1);
});

test('while a word is composed, and where single letters are off, letters are letters', () => {
  render(<Acts acts={{ N: {}, 'Alt+N': {} }} />);
  press({ key: 'n', code: 'KeyN', isComposing: true });
  press({ key: 'Process', code: 'KeyN' });
  useSingleLetters.getState().set(false);
  press({ key: 'n', code: 'KeyN' });
  press({ key: 'N', code: 'KeyN', shiftKey: true });
  expect(run).not.toHaveBeenCalled();
  press({ key: 'n', code: 'KeyN', altKey: true });
  expect(run.mock.calls).toEqual([['Alt+N']]);
});

test('what came last is asked first; what somebody nearer took is left alone', () => {
  const inner = jest.fn();
  function Inner() {
    useKeys((chord) => (chord === 'N' ? { run: inner } : null));
    return (
      <div onKeyDown={(event) => event.preventDefault()}>
        {/* eats its keys */}
        <button type="button">Taken</button>
      </div>
    );
  }
  render(
    <>
      <Acts acts={{ N: {}, M: {} }} />
      <Inner />
    </>,
  );
  press({ key: 'm', code: 'KeyM' });
  press({ key: 'm', code: 'KeyM' }, screen.getByRole('button', { name: 'Taken' }));
  expect(run.mock.calls).toEqual([['M']]);
});

test('on a French keyboard the sign that is printed on the key counts, and AltGr writes', () => {
  render(<Acts acts={{ A: {}, '?': {}, 'Alt+E': {} }} />);
  press({ key: 'a', code: 'KeyQ' });
  press({ key: '?', code: 'KeyM', shiftKey: true });
  press({ key: '€', code: 'KeyE', ctrlKey: true, altKey: true, modifierAltGraph: true });
  expect(run.mock.calls).toEqual([['A'], ['?']]);
});

test('? lists the keys of a page, which act from the page and not from the list', () => {
  render(
    <KeysOfPage
      keys={[
        { chords: ['G'], name: 'Go on', run: () => run('go') },
        { chords: ['1'], name: 'Sound' },
      ]}
    />,
  );
  press({ key: 'g', code: 'KeyG' });
  press({ key: '?', code: 'Slash', shiftKey: true });
  expect(run.mock.calls).toEqual([['go']]);
  const list = screen.getByRole('dialog', { name: 'Keys of this page' });
  expect([...list.querySelectorAll('dd')].map(({ textContent }) => textContent)).toEqual(['Go on', 'Sound']);
  press({ key: 'g', code: 'KeyG' });
  expect(run).toHaveBeenCalledTimes(1);
});
