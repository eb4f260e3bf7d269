/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { render } from '../testing/signed-in';
import { Dialog } from './dialog';

/** A dialog that is left by Done, or by what opens a field that wants the focus. */
function Page() {
  const [open, setOpen] = useState(false);
  const [finding, setFinding] = useState(false);
  return (
    <>
      <button onClick={() => setOpen(true)}>Ask</button>
      {finding && <input autoFocus aria-label="Find" />}
      <Dialog open={open} onOpenChange={setOpen} title="Asked">
        <button onClick={() => setOpen(false)}>Done</button>
        <button
          onClick={() => {
            setOpen(false);
            setFinding(true);
          }}
        >
          Find
        </button>
      </Dialog>
    </>
  );
}

const user = userEvent.setup();

test('a dialog gives the focus back to what opened it', async () => {
  render(<Page />);
  await user.click(screen.getByRole('button', { name: 'Ask' }));
  await user.click(screen.getByRole('button', { name: 'Done' }));
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Ask' })));
});

test('it takes the focus from nothing that was opened meanwhile', async () => {
  render(<Page />);
  await user.click(screen.getByRole('button', { name: 'Ask' }));
  await user.click(screen.getByRole('button', { name: 'Find' }));
  const field = screen.getByRole('textbox', { name: 'Find' });
  field.focus();
  await new Promise((resolve) => setTimeout(resolve));
  expect(document.activeElement).toBe(field);
});
