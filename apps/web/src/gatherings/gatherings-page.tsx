import type { GatheringRow } from '@ichnograph/contract';
import { Link } from 'react-router';
import { showDay } from '../common/dates';
import { Page } from '../common/page';
import { useGatherings, useTimeZone } from '../common/queries';
import { Waiting } from '../common/waiting';
import { AskClass } from './ask-dialog';

/** The questions one has put to classes. */
export function GatheringsPage() {
  const gatherings = useGatherings();
  if (gatherings.data === undefined) return <Waiting of={gatherings} what="Opening your questions …" />;
  const [open, closed] = [true, false].map((is) => gatherings.data.filter((one) => one.open === is));
  return (
    <Page
      title="Questions to a class"
      lead="Ask what a class knows, sort what comes in, and make a word bank, a starter or a map of it."
      actions={<AskClass look="action" />}
    >
      {gatherings.data.length === 0 && (
        <p className="text-quiet">
          You have asked nothing yet. A question is answered by a whole class in a few minutes.
        </p>
      )}
      <List title="Open" rows={open!} />
      <List title="Closed" rows={closed!} />
    </Page>
  );
}

function List({ title, rows }: { title: string; rows: readonly GatheringRow[] }) {
  const zone = useTimeZone();
  if (rows.length === 0) return null;
  return (
    <section aria-label={title} className="mb-8">
      <h2 className="caption mb-2">{title}</h2>
      <ul className="grid max-w-3xl gap-px">
        {rows.map(({ id, question, className, ideas, at }) => (
          <li key={id} className="card flex flex-wrap items-baseline justify-between gap-x-4 px-3 py-2">
            <Link className="words min-w-0 flex-1 font-semibold text-action underline" to={`/gatherings/${id}`}>
              {question}
            </Link>
            <span className="text-sm text-quiet">
              {className} · {ideas === 1 ? 'one idea' : `${ideas} ideas`} · {showDay(at, zone)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
