/** @jest-environment jsdom */
import { expect, jest, test } from '@jest/globals';
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { render } from '../testing/signed-in';
import { tell, useTakeBack } from './told';
import { ToldLast } from './told-last';

const user = userEvent.setup();

function Page() {
  useTakeBack();
  return (
    <>
      <input aria-label="A field" />
      <ToldLast />
    </>
  );
}
const shown = (): string | null =>
  screen.queryByRole('button', { name: 'Take it back' })?.previousSibling?.textContent ?? null;

test('what was done last is said, and taken back by its button', async () => {
  render(<Page />);
  const undo = jest.fn();
  act(() => tell('The kind Force is removed.', undo));
  expect(shown()).toBe('The kind Force is removed.');
  await user.click(screen.getByRole('button', { name: 'Take it back' }));
  expect(undo).toHaveBeenCalledTimes(1);
  expect(shown()).toBeNull();
});

test('Mod+Z takes back one after the other, newest first, each once', async () => {
  render(<Page />);
  const order: string[] = [];
  for (const name of ['first', 'second']) act(() => tell(`${name} is removed.`, () => order.push(name)));
  await user.keyboard('{Control>}z{/Control}');
  // What was said before it does not come up again.
  expect(shown()).toBeNull();
  await user.keyboard('{Control>}z{/Control}');
  await user.keyboard('{Control>}z{/Control}');
  expect(order).toEqual(['second', 'first']);
});

test('in a field Mod+Z is the field’s', async () => {
  render(<Page />);
  const undo = jest.fn();
  act(() => tell('A term is removed.', undo));
  await user.click(screen.getByRole('textbox'));
  await user.keyboard('{Control>}z{/Control}');
  expect(undo).not.toHaveBeenCalled();
});

test('what is only told offers nothing, and does not stand before what can be taken back', async () => {
  render(<Page />);
  const undo = jest.fn();
  act(() => tell('A term is removed.', undo));
  act(() => tell('The map is printed.'));
  expect(shown()).toBeNull();
  expect(screen.getByText('The map is printed.')).toBeTruthy();
  await user.keyboard('{Control>}z{/Control}');
  expect(undo).toHaveBeenCalledTimes(1);
});

test('another page takes nothing back of this one', async () => {
  const { unmount } = render(<Page />);
  const undo = jest.fn();
  act(() => tell('A term is removed.', undo));
  unmount();
  render(<Page />);
  await user.keyboard('{Control>}z{/Control}');
  expect(undo).not.toHaveBeenCalled();
});
