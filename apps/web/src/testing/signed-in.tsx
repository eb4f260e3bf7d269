import { QueryClientProvider } from '@tanstack/react-query';
import { render as renderBare, renderHook as renderHookBare } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { queries } from '../common/queries';

const me = { id: 'maren', name: 'maren', givenName: 'Maren', familyName: 'Sund', role: 'teacher' };
const welcome = { me, school: 'Tollen School', timeZone: 'Europe/Oslo', demo: false };

function SignedIn({ children }: { children: ReactNode }) {
  queries.setQueryData(['welcome'], (now: unknown) => now ?? welcome);
  return (
    <QueryClientProvider client={queries}>
      <MemoryRouter>{children}</MemoryRouter>
    </QueryClientProvider>
  );
}

/** Shows a part of a page as Maren, a teacher, has it; what belongs to an account is kept under `maren`. */
export const render = (ui: ReactNode) => renderBare(ui, { wrapper: SignedIn });
export const renderHook = <T,>(use: () => T) => renderHookBare(use, { wrapper: SignedIn }).result;
