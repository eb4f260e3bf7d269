/** @jest-environment jsdom */
import { emptyMap } from '@ichnograph/core';
import type { Topic } from '@ichnograph/core';
import { expect, jest, test } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { render } from '../../testing/signed-in';
import { BorneCard, NotesView } from './borne';

const topic = (id: string, fields: Partial<Topic> = {}): Topic => ({
  id,
  text: id,
  kind: null,
  x: 0,
  y: 0,
  width: 100,
  height: 40,
  ...fields,
});
const hash = 'a'.repeat(64);
const arch = topic('Arch', {
  note: 'It pushes **outward**.\n\n- on both sides',
  source: 'Our book, p. 12',
  weblinks: [{ url: 'https://example.org/arches', title: 'On arches' }, { url: 'https://example.org/bare' }],
  files: [{ src: hash, name: 'drawing.pdf' }, { src: 'gone' }],
});

test('everything a topic bears is read in full, and each address and file opens by one click', () => {
  render(<NotesView map={{ ...emptyMap(), topics: [arch, topic('Deck')] }} onGo={() => undefined} />);
  const view = within(screen.getByTestId('notes'));
  expect(view.getByText('outward').tagName).toBe('STRONG');
  expect(view.getByText('on both sides').tagName).toBe('LI');
  expect(view.getByText('Source: Our book, p. 12')).toBeTruthy();
  const [named, bare, file, none] = view.getAllByRole<HTMLAnchorElement>('link');
  expect([named!.textContent, named!.href, named!.rel]).toEqual([
    'On arches',
    'https://example.org/arches',
    'noopener noreferrer nofollow',
  ]);
  expect(bare!.textContent).toBe('https://example.org/bare');
  expect([file!.textContent, file!.download]).toEqual(['drawing.pdf', 'drawing.pdf']);
  expect(file!.getAttribute('href')).toBe(`/api/files/${hash}`);
  // What names nothing here is said, and leads nowhere.
  expect(none).toBeUndefined();
  expect(view.getByText('File without a name')).toBeTruthy();
  // Only what bears something is listed.
  expect(view.queryByRole('button', { name: 'Deck' })).toBeNull();
});

test('a topic in the list leads to where it is on the map', async () => {
  const go = jest.fn();
  render(<NotesView map={{ ...emptyMap(), topics: [arch] }} onGo={go} />);
  await userEvent.click(screen.getByRole('button', { name: 'Arch' }));
  expect(go).toHaveBeenCalledWith('Arch');
});

test('a map without any says so', () => {
  render(<NotesView map={{ ...emptyMap(), topics: [topic('Deck')] }} onGo={() => undefined} />);
  expect(screen.getByText(/No topic of this map has a note/)).toBeTruthy();
});

test('HTML in a note is words, and pictures from elsewhere are not fetched', () => {
  const note = '<img src=x onerror="alert(1)"> ![far](https://example.org/a.png) <script>alert(1)</script>';
  render(<NotesView map={{ ...emptyMap(), topics: [topic('Arch', { note })] }} onGo={() => undefined} />);
  expect(document.querySelector('img, script')).toBeNull();
  expect(screen.getByTestId('notes').textContent).toContain('<script>');
});

test('the card is out of the way of the hand until its topic is chosen', () => {
  const { rerender } = render(<BorneCard topic={arch} isChosen={false} />);
  const card = () => screen.getByTestId('note-card');
  expect([card().className.includes('pointer-events-none'), card().tabIndex]).toEqual([true, -1]);
  rerender(<BorneCard topic={arch} isChosen />);
  expect([card().className.includes('pointer-events-none'), card().tabIndex]).toEqual([false, 0]);
  expect(card().getAttribute('aria-label')).toBe('What Arch bears');
});
