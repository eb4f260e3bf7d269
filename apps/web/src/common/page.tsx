import { useEffect } from 'react';
import type { ReactNode } from 'react';

/** Names the browser's tab and, to those who listen, the page. */
export function useTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} · Ichnograph`;
  }, [title]);
}

/** A page to read, with its heading. Pages with a canvas have a frame of their own. */
export function Page({
  title,
  tab = title,
  lead,
  actions,
  children,
}: {
  title: string;
  /** what the browser's tab says, where another page has the same heading */
  tab?: string;
  lead?: ReactNode;
  actions?: ReactNode;
  children: ReactNode;
}) {
  useTitle(tab);
  return (
    <main id="main" tabIndex={-1} className="mx-auto w-full max-w-5xl px-4 py-8 outline-none sm:px-6">
      <div className="mb-6 flex flex-wrap items-start justify-between gap-3">
        <div className="min-w-0">
          <h1 className="words text-xl font-semibold">{title}</h1>
          {lead && <div className="words mt-1 text-quiet">{lead}</div>}
        </div>
        {actions && <div className="flex flex-wrap gap-2">{actions}</div>}
      </div>
      {children}
    </main>
  );
}

export function Loading({ what }: { what: string }) {
  return (
    <main id="main" tabIndex={-1} className="px-6 py-10 text-quiet outline-none">
      <div role="status">
        <h1>{what}</h1>
      </div>
    </main>
  );
}
