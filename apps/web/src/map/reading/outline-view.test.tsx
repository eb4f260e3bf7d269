/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { emptyMap } from '@ichnograph/core';
import { screen, within } from '@testing-library/react';
import { link, topic } from '../../testing/marks';
import { render } from '../../testing/signed-in';
import { OutlineView } from './outline-view';

test('the outline is a list in a list for each level, with its ties, in the language of its words', () => {
  const map = {
    ...emptyMap(),
    topics: [topic('root', 0, 0), topic('a', -100, 100), topic('a1', -100, 200), topic('b', 100, 100)],
    links: [
      link('root', 'a', { phrase: 'has' }),
      link('a', 'a1'),
      link('root', 'b'),
      link('b', 'a1', { phrase: 'leans on' }),
    ],
  };
  render(<OutlineView map={map} language="de" onGo={() => undefined} />);
  const item = (name: RegExp) => screen.getByRole('button', { name }).closest('li')!;
  expect(within(item(/^root$/)).getByRole('button', { name: /a1$/ })).toBeTruthy();
  expect(within(item(/has\s+a$/)).getByRole('button', { name: /a1$/ })).toBeTruthy();
  expect(within(item(/^b$/)).queryByRole('button', { name: /a1$/ })).toBeNull();
  expect(screen.getByRole('list', { name: 'Ties of b' }).textContent).toContain('leans on a1');
  expect(
    item(/^root$/)
      .closest('[lang]')!
      .getAttribute('lang'),
  ).toBe('de');
});
