import { useEffect } from 'react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { create } from 'zustand';

interface Head {
  crumbs: { name: string; to?: string }[];
  middle?: ReactNode;
  actions?: ReactNode;
}

const useHead = create<{ head: Head | null; hasMap: boolean }>(() => ({ head: null, hasMap: false }));

/** Whether a map is drawn on this page now, to be skipped to. */
export const useHasMap = (): boolean => useHead(({ hasMap }) => hasMap);
export const setHasMap = (hasMap: boolean): void => useHead.setState({ hasMap });

/** Pages with a canvas put their way and their actions into the head of the window, so that none of it is lost to rows. */
export function HeadOfPage({ crumbs, middle, actions }: Head) {
  useEffect(() => useHead.setState({ head: { crumbs, middle, actions } }));
  useEffect(() => () => useHead.setState({ head: null }), []);
  return null;
}

export function Crumbs({ fallback }: { fallback: ReactNode }) {
  const head = useHead(({ head: one }) => one);
  if (!head) return fallback;
  return (
    <>
      <nav aria-label="Where you are" className="flex min-w-0 flex-1 items-baseline gap-2 max-md:sr-only">
        {head.crumbs.map(({ name, to }, i) => (
          <span
            key={name}
            className={`flex min-w-0 items-baseline gap-2 ${i === head.crumbs.length - 1 ? 'shrink font-semibold' : 'shrink-[3] text-quiet'}`}
          >
            {i > 0 && (
              <span aria-hidden className="text-quiet">
                /
              </span>
            )}
            {i === head.crumbs.length - 1 ? (
              <h1 className="truncate">{name}</h1>
            ) : to ? (
              <Link className="truncate hover:underline" to={to}>
                {name}
              </Link>
            ) : (
              <span className="truncate">{name}</span>
            )}
          </span>
        ))}
      </nav>
      {head.middle}
      {head.actions && <div className="flex shrink-0 items-center gap-2">{head.actions}</div>}
    </>
  );
}
