import { againstReference, drawLink, pathData } from '@ichnograph/core';
import type { Assignment, BesideReference, Legend, TopicMap } from '@ichnograph/core';
import { useMemo } from 'react';
import type { FrozenView } from '../map';

const LOOKS = {
  shared: { word: 'shared', ink: '#1f6f63' },
  'other phrase': { word: 'another phrase', ink: '#8a5a00' },
  turned: { word: 'turned round', ink: '#9e2b3f' },
  missing: { word: 'missing', ink: '#9e2b3f' },
} as const;
const ORDER = ['missing', 'turned', 'other phrase', 'shared'] as const;

/** What the reference says, beside what a map says; none where the assignment has no reference. */
export function useAgainstReference(map: TopicMap, assignment: Assignment, wanted: boolean): BesideReference[] | null {
  return useMemo(
    () => (wanted && assignment.reference ? againstReference(map, assignment) : null),
    [map, assignment, wanted],
  );
}

/** The reference laid over a map: what both say, what is said otherwise, and where a tie is missing. */
export function ReferenceOver({
  all,
  map,
  legend,
}: {
  all: readonly BesideReference[];
  map: TopicMap;
  legend: Legend;
}) {
  const topics = new Map(map.topics.map((topic) => [topic.id, topic]));
  const links = new Map(map.links.map((link) => [link.id, link]));
  // Bands lie along the links as core draws them; where none is, a dashed line goes straight.
  const bandOf = (id: string): string => {
    const link = links.get(id)!;
    return drawLink(link, topics.get(link.from)!, topics.get(link.to)!, legend).path;
  };
  const missing = ([from, to]: BesideReference['ends']): string | null => {
    const [a, b] = [from && topics.get(from), to && topics.get(to)];
    return a && b ? pathData([a, b]) : null;
  };
  return (
    <svg
      aria-hidden
      data-testid="reference-over"
      className="pointer-events-none absolute left-0 top-0 overflow-visible"
      width="1"
      height="1"
      fill="none"
    >
      {all.map(({ how, links: ids, ends }, i) => {
        const { ink } = LOOKS[how];
        if (how !== 'missing')
          return ids.map((id) => (
            <path key={`${i} ${id}`} d={bandOf(id)} stroke={ink} strokeOpacity={0.28} strokeWidth={10} />
          ));
        const d = missing(ends);
        return d && <path key={i} d={d} stroke={ink} strokeOpacity={0.8} strokeWidth={2} strokeDasharray="7 6" />;
      })}
    </svg>
  );
}

/** The same as a list with its figures. */
export function ReferenceList({ all, view }: { all: readonly BesideReference[]; view: FrozenView }) {
  const count = (how: BesideReference['how']): number => all.filter((one) => one.how === how).length;
  return (
    <section aria-label="Beside the reference" className="border-b border-rule px-3.5 py-2">
      <h2 className="caption mb-1">Beside the reference</h2>
      <p className="mb-1 text-sm">
        {count('shared')} of {all.length} shared, {count('other phrase')} in another phrase, {count('turned')} turned
        round, {count('missing')} missing.
      </p>
      <ul className="grid max-h-60 gap-0.5 overflow-y-auto text-sm">
        {ORDER.flatMap((how) =>
          all
            .filter((one) => one.how === how)
            .map(({ label: { from, phrase, to }, links, ends }, i) => {
              const ids = links.length > 0 ? links : ends.filter((end) => end !== null);
              return (
                <li key={`${how} ${i}`} className="words">
                  <button
                    type="button"
                    disabled={ids.length === 0}
                    className="text-left enabled:hover:underline"
                    onClick={() => view.go(ids)}
                  >
                    {from} <b>{phrase || '…'}</b> {to}
                  </button>{' '}
                  <span style={{ color: LOOKS[how].ink }}>
                    {LOOKS[how].word}
                    {how === 'missing' && ends.includes(null) && ', and a topic with it'}
                  </span>
                </li>
              );
            }),
        )}
      </ul>
    </section>
  );
}
