import { Link } from 'react-router';
import { useShowings } from '../common/queries';
import { buttonClass } from '../ui/button';

/** What somebody shows now to a class one is in. */
export function ShownNow() {
  const shown = useShowings(true).data ?? [];
  if (shown.length === 0) return null;
  return (
    <section className="mb-8" aria-label="Shown now">
      <h2 className="caption mb-2">Shown now</h2>
      <ul className="grid gap-3">
        {shown.map(({ id, title, by, className, mine, of }) => (
          <li key={id} className="card flex flex-wrap items-center justify-between gap-4 p-4">
            <div className="min-w-0 flex-1">
              <p className="text-sm text-quiet">{className}</p>
              <h3 className="words text-lg font-semibold">{title}</h3>
              <p className="text-sm text-quiet">
                {mine ? 'You show it, until you end it.' : `${by.givenName} ${by.familyName} shows it.`}
              </p>
            </div>
            {mine && of ? (
              <Link
                className={buttonClass()}
                to={'ownMapId' in of ? `/own-maps/${of.ownMapId}` : `/works/${of.workId}`}
              >
                Back to your map
              </Link>
            ) : (
              <Link className={buttonClass('action')} to={`/showings/${id}`} aria-label={`Follow: ${title}`}>
                Follow
              </Link>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
