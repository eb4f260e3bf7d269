/** @jest-environment jsdom */
import type { Card, ClassRow } from '@ichnograph/contract';
import { QueryClientProvider } from '@tanstack/react-query';
import { expect, jest, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter, Link, RouterProvider } from 'react-router';
import { queries } from '../common/queries';
import { Cards } from './cards';

const user = userEvent.setup();
const card: Card = { id: 'k', givenName: 'Søren', familyName: 'Ærø', name: 'soren', password: 'amber-otter-71' };

/** jsdom has none, and the router carries one from page to page. */
class Asked {
  readonly method = 'GET';
  readonly headers = new Map();
  readonly signal: AbortSignal | null | undefined;
  constructor(
    readonly url: string,
    { signal }: RequestInit = {},
  ) {
    this.signal = signal;
  }
}
Object.assign(globalThis, { Request: Asked });

function show() {
  const done = jest.fn();
  const cards = <Cards cards={[card]} of={{ id: 'c', name: '9B' } as ClassRow} onDone={done} />;
  const router = createMemoryRouter([
    {
      path: '/',
      element: (
        <>
          {cards}
          <Link to="/elsewhere">Another class</Link>
        </>
      ),
    },
    { path: '/elsewhere', element: <p>Elsewhere</p> },
  ]);
  queries.setQueryData(['welcome'], { me: null, school: 'Alder Quay School', timeZone: 'Europe/Oslo', demo: false });
  render(
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return done;
}

test('a card has where to go, the name and the password in one piece', () => {
  show();
  const password = screen.getByTestId('card-password');
  expect([password.textContent, password.className]).toEqual(['amber-otter-71', 'whitespace-nowrap']);
  expect(screen.getByTestId('card-name').textContent).toBe('soren');
  expect(screen.getByText(window.location.origin)).toBeTruthy();
});

test('leaving them asks first: staying keeps them, leaving goes', async () => {
  show();
  await user.click(screen.getByRole('link', { name: 'Another class' }));
  expect(screen.getByRole('alertdialog').textContent).toContain('Have you printed them?');
  await user.click(screen.getByRole('button', { name: 'Stay here' }));
  expect(screen.getByTestId('card-password')).toBeTruthy();
  await user.click(screen.getByRole('link', { name: 'Another class' }));
  await user.click(screen.getByRole('button', { name: 'Leave them' }));
  expect(await screen.findByText('Elsewhere')).toBeTruthy();
});

test('closing the window or loading it again is warned of', () => {
  show();
  const event = new Event('beforeunload', { cancelable: true });
  window.dispatchEvent(event);
  expect(event.defaultPrevented).toBe(true);
});

test('who has them says so, and is asked nothing', async () => {
  const done = show();
  await user.click(screen.getByRole('button', { name: 'I have them' }));
  expect(done).toHaveBeenCalledTimes(1);
});
