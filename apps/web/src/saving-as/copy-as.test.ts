/** @jest-environment jsdom */
import { emptyMap, OWN_LEGEND } from '@ichnograph/core';
import { link, topic } from '../testing/marks';
import { sentencesTable } from './copy-as';

test('sentences are laid out for a spreadsheet and for a document, a cell each, with nothing that would be a tag or a tab', () => {
  const map = {
    ...emptyMap(),
    topics: [topic('a', 0, 0, { text: 'Arch\tor\nvault' }), topic('b', 0, 0, { text: 'Load < 5 & more' })],
    links: [link('a', 'b', { phrase: 'bears <b>' })],
  };
  const { plain, html } = sentencesTable(map, OWN_LEGEND);
  expect(plain).toBe('From\tPhrase\tTo\nArch or vault\tbears <b>\tLoad < 5 & more');
  const body = new DOMParser().parseFromString(html, 'text/html');
  expect([...body.querySelectorAll('td')].map((cell) => cell.textContent)).toEqual([
    'Arch or vault',
    'bears <b>',
    'Load < 5 & more',
  ]);
});
