import type { Idea } from '@ichnograph/contract';
import { thenAndNow } from './with-news';

const HEADS = {
  onlyThen: ['Only then', 'Said before, and not again'],
  both: ['Then and now', 'Said in both rounds'],
  onlyNow: ['Only now', 'New since then'],
} as const;

/** What the class knew already beside what it knows now. */
export function ThenAndNow({ ideas }: { ideas: readonly Idea[] }) {
  const sorted = thenAndNow(ideas);
  return (
    <div className="grid gap-4 md:grid-cols-3">
      {(Object.keys(HEADS) as (keyof typeof HEADS)[]).map((key) => (
        <section key={key} aria-label={HEADS[key][0]} className="border-t-2 border-ink pt-2">
          <h2 className="flex items-baseline gap-2 font-semibold">
            {HEADS[key][0]}
            <span className="font-mono text-sm font-normal text-quiet">{sorted[key].length}</span>
          </h2>
          <p className="mb-2 text-sm text-quiet">{HEADS[key][1]}</p>
          <ul className="grid gap-1">
            {sorted[key].map(({ id, text, persons: [then, now] }) => (
              <li key={id} className="flex items-baseline justify-between gap-3 border-b border-rule py-1 text-lg">
                <span className="words">{text}</span>
                <span className="whitespace-nowrap font-mono text-sm">
                  {key === 'both' ? `${then}, then ${now}` : then + now}
                </span>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
