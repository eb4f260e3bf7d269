import type { ReactNode } from 'react';

/** One part of the sheet, in the order of thought. */
export function Section({
  id,
  title,
  lead,
  actions,
  children,
}: {
  id: string;
  title: string;
  lead?: string;
  actions?: ReactNode;
  children: ReactNode;
}) {
  return (
    <section id={id} aria-labelledby={`${id}-title`} className="scroll-mt-4 border-b border-rule pb-8 pt-6">
      <div className="mb-3 flex items-end justify-between gap-x-4 gap-y-2 max-md:flex-wrap">
        <div className="min-w-0">
          <h2 id={`${id}-title`} className="text-xl font-semibold" tabIndex={-1}>
            {title}
          </h2>
          {lead && <p className="max-w-[70ch] text-quiet">{lead}</p>}
        </div>
        {actions && <div className="flex shrink-0 gap-2 max-sm:flex-wrap">{actions}</div>}
      </div>
      {children}
    </section>
  );
}
