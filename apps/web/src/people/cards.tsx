import type { Card, ClassRow } from '@ichnograph/contract';
import { Printer } from 'lucide-react';
import { useWelcome } from '../common/queries';
import { Button } from '../ui/button';

/** What each signs in with, to be printed and cut apart. It is shown this once: only a hash of a password is kept. */
export function Cards({ cards, of, onDone }: { cards: readonly Card[]; of: ClassRow; onDone: () => void }) {
  const school = useWelcome().data?.school ?? '';
  return (
    <section aria-labelledby="cards" className="min-w-0">
      <div className="no-print mb-3">
        <h2 id="cards" className="text-lg font-semibold">
          {cards.length === 1 ? 'The card' : `${cards.length} cards`} for {of.name}
        </h2>
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
              <dt className="font-sans text-quiet">Sign-in name</dt>
              <dd data-testid="card-name">{name}</dd>
              <dt className="font-sans text-quiet">First password</dt>
              <dd data-testid="card-password">{password}</dd>
            </dl>
          </li>
        ))}
      </ul>
    </section>
  );
}
