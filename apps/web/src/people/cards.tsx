import type { Card, ClassRow } from '@ichnograph/contract';
import { Printer } from 'lucide-react';
import { useEffect } from 'react';
import { useBlocker } from 'react-router';
import { Page } from '../common/page';
import { useWelcome } from '../common/queries';
import { Button } from '../ui/button';
import { Confirm } from '../ui/dialog';

/** What each signs in with, to be printed and cut apart. It is shown this once: only a hash of a password is kept. */
export function Cards({ cards, of, onDone }: { cards: readonly Card[]; of: ClassRow; onDone: () => void }) {
  const school = useWelcome().data?.school ?? '';
  const leaving = useBlocker(true);
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent): void => event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, []);
  return (
    <Page title={`${cards.length === 1 ? 'The card' : `${cards.length} cards`} for ${of.name}`}>
      <Confirm
        open={leaving.state === 'blocked'}
        title="Have you printed them?"
        yes="Leave them"
        no="Stay here"
        danger
        onAnswer={(yes) => (yes ? leaving.proceed?.() : leaving.reset?.())}
      >
        These first passwords are shown this once. Who has none of them needs a new one.
      </Confirm>
      <div className="no-print mb-3">
        <p className="mb-3 max-w-[70ch] border-l-4 border-ochre bg-ochre-wash px-3 py-2">
          This is shown once. Print it now, or write it down: first passwords are not kept, and each is changed at the
          first sign-in.
        </p>
        <div className="flex gap-2">
          <Button look="action" onClick={() => window.print()}>
            <Printer aria-hidden size={14} />
            Print
          </Button>
          <Button onClick={onDone}>I have them</Button>
        </div>
      </div>
      <ul className="grid gap-3 sm:grid-cols-2 print:grid-cols-2" aria-label="Cards">
        {cards.map(({ id, givenName, familyName, name, password }) => (
          <li key={id} className="card break-inside-avoid border-dashed px-4 py-3">
            <p className="text-sm text-quiet">
              {school} · {of.name}
            </p>
            <p className="words text-lg font-semibold">
              {givenName} {familyName}
            </p>
            <dl className="mt-1 grid grid-cols-[8rem_1fr] font-mono">
              <dt className="font-sans text-quiet">Address</dt>
              <dd className="words">{window.location.origin}</dd>
              <dt className="font-sans text-quiet">Sign-in name</dt>
              <dd data-testid="card-name">{name}</dd>
              <dt className="font-sans text-quiet">First password</dt>
              <dd data-testid="card-password" className="whitespace-nowrap">
                {password}
              </dd>
            </dl>
          </li>
        ))}
      </ul>
    </Page>
  );
}
