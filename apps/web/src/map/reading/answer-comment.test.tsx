/** @jest-environment jsdom */
import { afterEach, expect, test } from '@jest/globals';
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { readDraft } from '../../common/drafts';
import { answered, serve } from '../../testing/serve';
import { render } from '../../testing/signed-in';
import { AnswerComment } from './answer-comment';

const user = userEvent.setup();
afterEach(() => localStorage.clear());
const field = () => screen.getByRole<HTMLTextAreaElement>('textbox', { name: 'Your answer' });
const aMoment = (): Promise<void> => act(() => new Promise<void>((resolve) => setTimeout(resolve, 1)));

test('an answer is sent once by Ctrl+Enter, however often it is pressed, and the field closes', async () => {
  const server = serve({ 'POST comments/k/answers': answered({}) });
  render(<AnswerComment commentId="k" />);
  await user.click(screen.getByRole('button', { name: 'Answer' }));
  await user.keyboard('I will.{Control>}{Enter}{Enter}{/Control}');
  await aMoment();
  expect(server.asked('POST comments/k/answers')).toEqual([{ text: 'I will.' }]);
  expect(screen.queryByRole('textbox')).toBeNull();
  expect(readDraft('maren', 'answer to k')).toBeNull();
});

test('what was begun stays while another comment is looked at', async () => {
  const { unmount } = render(<AnswerComment commentId="k" />);
  await user.click(screen.getByRole('button', { name: 'Answer' }));
  await user.keyboard('Half an ans');
  unmount();
  const other = render(<AnswerComment commentId="other" />);
  expect(screen.queryByRole('textbox')).toBeNull();
  other.unmount();
  render(<AnswerComment commentId="k" />);
  expect(field().value).toBe('Half an ans');
});

test('an answer that did not arrive is in its field again, with the reason', async () => {
  serve({});
  render(<AnswerComment commentId="k" />);
  await user.click(screen.getByRole('button', { name: 'Answer' }));
  await user.keyboard('I will.');
  await user.click(screen.getByRole('button', { name: 'Answer' }));
  expect(screen.getByRole('alert').textContent).toMatch(/The server does not answer/);
  expect(field().value).toBe('I will.');
});

test('an empty answer is not sent, and Cancel keeps none', async () => {
  const server = serve({ 'POST comments/k/answers': answered({}) });
  render(<AnswerComment commentId="k" />);
  await user.click(screen.getByRole('button', { name: 'Answer' }));
  await user.keyboard('  {Control>}{Enter}{/Control}');
  expect(server.asked('POST comments/k/answers')).toEqual([]);
  await user.keyboard('words');
  await user.click(screen.getByRole('button', { name: 'Cancel' }));
  expect([screen.queryByRole('textbox'), readDraft('maren', 'answer to k')]).toEqual([null, null]);
});
