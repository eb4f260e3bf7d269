/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useTakeBack } from './told';
import { ToldLast } from './told-last';
import { render } from '../testing/signed-in';
import { takeOut } from './take-out';

const user = userEvent.setup();

function Page() {
  useTakeBack();
  return <ToldLast />;
}

test('what is taken out of a list stands where it stood again, also after the list went on', async () => {
  render(<Page />);
  let list = ['a', 'b', 'c', 'd'];
  const change = (make: (all: string[]) => string[]): void => void (list = make(list));
  const out = (one: string): void =>
    act(() => takeOut(list, (other) => other === one, { change, keyOf: (it) => it, words: `${one} is removed.` }));
  out('b');
  out('d');
  list = [...list, 'e'];
  expect(list).toEqual(['a', 'c', 'e']);
  await user.keyboard('{Control>}z{/Control}');
  await user.keyboard('{Control>}z{/Control}');
  expect(list).toEqual(['a', 'b', 'c', 'd', 'e']);
});

test('nothing is said where nothing was taken out', () => {
  render(<Page />);
  act(() => takeOut(['a'], () => false, { change: () => undefined, keyOf: (it) => it, words: 'Gone.' }));
  expect(screen.queryByText('Gone.')).toBeNull();
});
