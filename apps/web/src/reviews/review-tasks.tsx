import { Link } from 'react-router';
import { showMoment } from '../common/dates';
import { useReviewTasks, useTimeZone } from '../common/queries';
import { buttonClass } from '../ui/button';

/** Maps of others that one was given to look at, as long as that is asked for. */
export function ReviewTasks() {
  const zone = useTimeZone();
  const open = (useReviewTasks().data ?? []).filter((one) => one.open);
  if (open.length === 0 || open.every(({ state }) => state === 'sent')) return null;
  return (
    <section className="mb-8" aria-label="To look at">
      <h2 className="caption mb-2">To look at</h2>
      <ul className="grid gap-3">
        {open.map(({ id, title, className, number, of, state, closesAt }) => (
          <li key={id} className="card flex flex-wrap items-center justify-between gap-4 p-4">
            <div className="min-w-0 flex-1">
              <p className="text-sm text-quiet">{className}</p>
              <h3 className="words text-lg font-semibold">
                Somebody’s map: {title}
                {of > 1 && ` (${number} of ${of})`}
              </h3>
              <p className="text-sm text-quiet">
                {state === 'sent' ? 'sent' : state}
                {closesAt && state !== 'sent' && ` · until ${showMoment(closesAt, zone)}`}
              </p>
            </div>
            <Link
              className={buttonClass(state === 'sent' ? 'plain' : 'action')}
              to={`/reviews/${id}`}
              aria-label={`${state === 'sent' ? 'Read' : 'Look at'} map ${number} of ${of}: ${title}`}
            >
              {state === 'sent' ? 'Read what you sent' : 'Look at it'}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
