import type { UseQueryResult } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { Failed } from './failures';
import { Loading } from './page';
import { isPassing, queries } from './queries';

/** What a page shows that has nothing to show yet. One that could not load asks again by itself (see `queries`). */
export function Waiting({ of, what }: { of: UseQueryResult; what: string }) {
  return of.isError ? <Failed error={of.error} /> : <Loading what={what} />;
}

const isStale = (): boolean =>
  queries
    .getQueryCache()
    .getAll()
    .some(
      (query) =>
        query.isActive() &&
        query.state.status === 'error' &&
        // What is refused is not there for this person any more, and its page says so.
        isPassing(query.state.error) &&
        query.state.data !== undefined,
    );
const subscribe = (listener: () => void): (() => void) => queries.getQueryCache().subscribe(listener);

/** Stands beside what was there when it could not be asked for again: that is never replaced by a failure. */
export function StaleNotice() {
  if (!useSyncExternalStore(subscribe, isStale)) return null;
  return (
    <p
      role="status"
      data-testid="stale"
      className="no-print fixed bottom-12 left-1/2 z-30 max-w-[90vw] -translate-x-1/2 border border-madder bg-madder-wash px-3 py-1.5 text-sm"
    >
      The server does not answer just now. What you see is what it said last; this page keeps asking.
    </p>
  );
}
