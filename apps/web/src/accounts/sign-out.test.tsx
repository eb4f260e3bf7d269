/** @jest-environment jsdom */
import type { Me } from '@ichnograph/contract';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Announcer } from '../common/announcer';
import { writeDraft } from '../common/drafts';
import { answered, serve } from '../testing/serve';
import { render } from '../testing/signed-in';
import { useSignOut } from './sign-out';

const user = userEvent.setup();
const me = { id: 'maren', name: 'maren', givenName: 'Maren', familyName: 'Oyelaran', role: 'teacher' } as Me;

function Door() {
  const { signOut, dialog } = useSignOut(me);
  return (
    <>
      <button type="button" onClick={() => void signOut()}>
        Sign out
      </button>
      {dialog}
      <Announcer />
    </>
  );
}
const leave = () => user.click(screen.getByRole('button', { name: 'Sign out' }));
const dialog = () => screen.queryByRole('alertdialog');

beforeEach(() => {
  // jsdom keeps no databases.
  Object.assign(globalThis, { indexedDB: { databases: () => Promise.resolve([]) } });
});
afterEach(() => localStorage.clear());

test('with nothing under way one is out at once, and nothing of the person stays here', async () => {
  const server = serve({ 'POST sign-out': answered(null) });
  localStorage.setItem('ichnograph:maren:copied', '{}');
  localStorage.setItem('ichnograph:tobias:copied', '{}');
  render(<Door />);
  await leave();
  expect(dialog()).toBeNull();
  expect(server.asked('POST sign-out')).toHaveLength(1);
  expect([localStorage.getItem('ichnograph:maren:copied'), localStorage.getItem('ichnograph:tobias:copied')]).toEqual([
    null,
    '{}',
  ]);
});

test('before a comment or a part of a sheet that was not sent is lost, it asks', async () => {
  const server = serve({ 'POST sign-out': answered(null) });
  writeDraft('maren', 'comment on s', { text: 'Half a' });
  render(<Door />);
  await leave();
  expect(dialog()?.textContent).toContain('Something you began was not sent');
  await user.click(screen.getByRole('button', { name: 'Stay signed in' }));
  expect([dialog(), server.asked('POST sign-out')]).toEqual([null, []]);
  await leave();
  await user.click(screen.getByRole('button', { name: 'Sign out and lose them' }));
  expect(server.asked('POST sign-out')).toHaveLength(1);
});

test('a map whose changes have not arrived is named as such', async () => {
  serve({ 'POST sign-out': answered(null) });
  localStorage.setItem('ichnograph:maren:unsent:work', 'true');
  render(<Door />);
  await leave();
  expect(dialog()?.textContent).toContain('Some changes have not reached the server');
});

test('somebody else’s drafts on this machine ask nothing', async () => {
  const server = serve({ 'POST sign-out': answered(null) });
  writeDraft('tobias', 'comment on s', { text: 'His' });
  render(<Door />);
  await leave();
  expect([dialog(), server.asked('POST sign-out').length]).toEqual([null, 1]);
});

test('without a connection one stays signed in, keeps everything, and is told', async () => {
  serve({});
  localStorage.setItem('ichnograph:maren:copied', '{}');
  render(<Door />);
  await leave();
  await waitFor(() => expect(screen.getByRole('alert').textContent).toMatch(/The server does not answer/));
  expect(localStorage.getItem('ichnograph:maren:copied')).toBe('{}');
});

test('a session that is over already is signed out of', async () => {
  serve({ 'POST sign-out': answered({ detail: 'Sign in first.' }, 401) });
  localStorage.setItem('ichnograph:maren:copied', '{}');
  render(<Door />);
  await leave();
  await waitFor(() => expect(localStorage.getItem('ichnograph:maren:copied')).toBeNull());
});
