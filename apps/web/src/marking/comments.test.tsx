/** @jest-environment jsdom */
import { emptyMap } from '@ichnograph/core';
import type { Assignment, TopicMap } from '@ichnograph/core';
import { afterEach, expect, jest, test } from '@jest/globals';
import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useSend } from '../common/send';
import type { FrozenView } from '../map';
import { answered, serve } from '../testing/serve';
import { render } from '../testing/signed-in';
import { WriteComment } from './comments';

const user = userEvent.setup();
afterEach(() => localStorage.clear());

const at = (id: string, text: string) => ({ id, text, kind: null, x: 0, y: 0, width: 80, height: 40 });
const map: TopicMap = {
  ...emptyMap(),
  topics: [at('a', 'Arch'), at('b', 'Beam')],
  links: [{ id: 'l', from: 'a', to: 'b', phrase: 'meets', kind: null }],
};
const assignment = { legend: { topicKinds: [], linkKinds: [] } } as unknown as Assignment;
const chooseComment = jest.fn();
const POST = 'POST submissions/s/comments';

/** The form as it stands beside a map on which something is chosen. */
function Form({ chosen, requirement = null }: { chosen: string[]; requirement?: string | null }) {
  const { send, trouble } = useSend([]);
  const view = { frozen: { map, assignment }, selection: chosen, requirement, spot: null, chooseComment };
  return (
    <>
      {trouble && <p role="alert">{trouble}</p>}
      <WriteComment submissionId="s" view={view as unknown as FrozenView} send={send} onBank={() => undefined} />
    </>
  );
}
const field = () => screen.getByRole<HTMLTextAreaElement>('textbox');
const aMoment = (): Promise<void> => act(() => new Promise<void>((resolve) => setTimeout(resolve, 1)));

test('it speaks of what is chosen, else of the whole map', async () => {
  const server = serve({ [POST]: answered({ id: 'k' }) });
  const { rerender } = render(<Form chosen={[]} />);
  expect(screen.getByText('on the whole map')).toBeTruthy();
  rerender(<Form chosen={['a']} />);
  expect(screen.getByText('on “Arch”')).toBeTruthy();
  await user.type(field(), 'Where does it push?{Control>}{Enter}{/Control}');
  await aMoment();
  expect(server.asked(POST)).toEqual([{ anchor: 'topic', target: 'a', text: 'Where does it push?' }]);
  expect([field().value, chooseComment.mock.lastCall]).toEqual(['', ['k']]);
});

test('half a comment stays with what it was begun for when something else is chosen, and can be put there', async () => {
  const server = serve({ [POST]: answered({ id: 'k' }) });
  const { rerender } = render(<Form chosen={['a']} />);
  await user.type(field(), 'Half');
  rerender(<Form chosen={['b']} />);
  expect([field().value, screen.queryByText('on “Arch”') !== null]).toEqual(['Half', true]);
  await user.click(screen.getByRole('button', { name: 'Put it on “Beam”' }));
  await user.click(screen.getByRole('button', { name: 'Add' }));
  expect(server.asked(POST)).toEqual([{ anchor: 'topic', target: 'b', text: 'Half' }]);
});

test('it outlives the panel it stands in', async () => {
  serve({});
  const { unmount } = render(<Form chosen={['a']} />);
  await user.type(field(), 'Half a comment');
  unmount();
  render(<Form chosen={[]} />);
  expect([field().value, screen.queryByText('on “Arch”') !== null]).toEqual(['Half a comment', true]);
});

test('of a link one speaks of what it says, or of the link itself', async () => {
  const server = serve({ [POST]: answered({ id: 'k' }) });
  render(<Form chosen={['l']} />);
  await user.click(screen.getByRole('button', { name: 'Speak of the link itself' }));
  expect(screen.getByText('on the link from “Arch” to “Beam”')).toBeTruthy();
  await user.type(field(), 'It crosses three others.');
  await user.click(screen.getByRole('button', { name: 'Add' }));
  expect(server.asked(POST)).toMatchObject([{ anchor: 'link', target: 'l' }]);
});

test('kept for use again as well: a second try does not write the comment twice', async () => {
  const server = serve({
    [POST]: answered({ id: 'k' }),
    'POST remarks': [answered({ detail: 'Not just now.' }, 503), answered({})],
  });
  render(<Form chosen={['a']} requirement="r1" />);
  await user.type(field(), 'Say how.');
  await user.click(screen.getByRole('checkbox', { name: 'Keep it for use again' }));
  await user.click(screen.getByRole('button', { name: 'Add' }));
  await aMoment();
  expect([field().value, screen.getByRole('alert').textContent]).toEqual(['Say how.', 'Not just now.']);
  await user.click(screen.getByRole('button', { name: 'Add' }));
  await aMoment();
  expect(server.asked(POST)).toHaveLength(1);
  expect(server.asked('POST remarks').at(-1)).toEqual({ text: 'Say how.', requirement: 'r1' });
  expect(field().value).toBe('');
});

test('what was sent and failed stands before what was begun since', async () => {
  serve({ [POST]: answered({ detail: 'Not just now.' }, 503) });
  render(<Form chosen={['a']} />);
  await user.type(field(), 'First.');
  let settle = (): void => undefined;
  const gate = new Promise<void>((resolve) => (settle = resolve));
  const { fetch } = globalThis;
  globalThis.fetch = async (...asked) => {
    await gate;
    return fetch(...asked);
  };
  await user.keyboard('{Control>}{Enter}{/Control}');
  await user.type(field(), 'Second.');
  settle();
  await aMoment();
  await aMoment();
  expect(field().value).toBe('First.\nSecond.');
});

test('nothing but blanks is not sent', async () => {
  const server = serve({ [POST]: answered({ id: 'k' }) });
  render(<Form chosen={[]} />);
  await user.type(field(), '   {Control>}{Enter}{/Control}');
  expect(server.asked(POST)).toEqual([]);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Add' }).disabled).toBe(true);
});
