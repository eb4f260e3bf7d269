/** @jest-environment jsdom */
import { beforeEach, expect, test } from '@jest/globals';
import type { ClassRow } from '@ichnograph/contract';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answered, serve } from '../testing/serve';
import { render } from '../testing/signed-in';
import { AddNames } from './add-names';

const of = { id: 'c', name: 'Technology 9B' } as ClassRow;
const shown = () => render(<AddNames of={of} known={[]} onMade={() => undefined} onCancel={() => undefined} />);
const field = () => screen.getByRole<HTMLTextAreaElement>('textbox', { name: 'Names' });
beforeEach(() => localStorage.clear());

test('names that were written and not made are there when one comes back, and gone once they are made', async () => {
  const user = userEvent.setup();
  serve({
    'POST classes/c/known-names': answered({ known: [] }),
    'POST classes/c/students': answered([]),
  });
  const first = shown();
  await user.type(field(), 'Ada Ruiz\nBela Novak');
  first.unmount();
  const second = shown();
  expect(field().value).toBe('Ada Ruiz\nBela Novak');
  await user.click(await screen.findByRole('button', { name: 'Make 2 accounts' }));
  await screen.findByRole('button', { name: /^Make/ });
  second.unmount();
  shown();
  expect(field().value).toBe('');
});

test('names that are given up are gone', async () => {
  const user = userEvent.setup();
  serve({ 'POST classes/c/known-names': answered({ known: [] }) });
  const first = shown();
  await user.type(field(), 'Ada Ruiz');
  await user.click(screen.getByRole('button', { name: 'Cancel' }));
  first.unmount();
  shown();
  expect(field().value).toBe('');
});
