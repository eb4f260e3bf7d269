import { againstReference } from '@ichnograph/core';
import type { Assignment, BesideReference, TopicMap } from '@ichnograph/core';
import { useMemo } from 'react';
import type { FrozenView } from '../map';

const LOOKS = {
  shared: { word: 'shared', ink: '#1f6f63', dash: undefined },
  'other phrase': { word: 'another phrase', ink: '#8a5a00', dash: undefined },
  turned: { word: 'turned round', ink: '#9e2b3f', dash: undefined },
  missing: { word: 'missing', ink: '#9e2b3f', dash: '7 6' },
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
export function ReferenceOver({ all, map }: { all: readonly BesideReference[]; map: TopicMap }) {
  const at = new Map(map.topics.map((topic) => [topic.id, topic]));
  const line = (from: string | null, to: string | null, how: BesideReference['how'], key: string) => {
    const [a, b] = [from && at.get(from), to && at.get(to)];
    if (!a || !b) return null;
    const { ink, dash } = LOOKS[how];
    return (
      <line
        key={key}
        x1={a.x}
        y1={a.y}
        x2={b.x}
        y2={b.y}
        stroke={ink}
        strokeOpacity={how === 'missing' ? 0.8 : 0.28}
        strokeWidth={how === 'missing' ? 2 : 10}
        strokeDasharray={dash}
      />
    );
  };
  return (
    <svg
      aria-hidden
      data-testid="reference-over"
      className="pointer-events-none absolute left-0 top-0 overflow-visible"
      width="1"
      height="1"
    >
      {all.map(({ how, links, ends }, i) =>
        how === 'missing'
          ? line(ends[0], ends[1], how, String(i))
          : links.map((id) => {
              const link = map.links.find((one) => one.id === id)!;
              return line(link.from, link.to, how, `${i} ${id}`);
            }),
      )}
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
