import { Link } from 'react-router';
import { showDay } from '../common/dates';
import { useSharedWithMe, useTimeZone } from '../common/queries';

/** Maps that others let one see, or draw on. */
export function SharedWithYou() {
  const zone = useTimeZone();
  const shared = useSharedWithMe().data ?? [];
  if (shared.length === 0) return null;
  return (
    <section aria-labelledby="shared-with-you" className="mt-8">
      <h2 id="shared-with-you" className="caption mb-2">
        Shared with you
      </h2>
      <ul className="grid max-w-3xl gap-px">
        {shared.map(({ id, title, by, mayEdit, endsAt }) => (
          <li key={id} className="card flex flex-wrap items-baseline justify-between gap-x-4 px-3 py-2">
            <Link className="words font-semibold text-action underline" to={`/shared-maps/${id}`}>
              {title}
            </Link>
            <span className="words text-sm text-quiet">
              {by.givenName} {by.familyName} lets you {mayEdit ? 'draw on it' : 'see it'} until {showDay(endsAt, zone)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
