import type { Pile } from '@ichnograph/contract';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { namesOf } from './pile-page';

/** The class beside the map that is being marked, one line a work. */
export function PileList({ pile, workId }: { pile: Pile; workId: string }) {
  const here = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    // Its answer differs from browser to browser, and an effect's answer is called when the page goes on.
    here.current?.scrollIntoView({ block: 'nearest' });
  }, [workId]);
  const returned = pile.entries.filter(({ state }) => state === 'returned' || state === 'done').length;
  return (
    <nav aria-label="Pile" className="pb-4">
      <h2 className="caption px-3.5 pb-2 pt-3 pr-8">
        {returned} of {pile.entries.length} returned
      </h2>
      <ul>
        {pile.entries.map((entry) => {
          const line = (
            <>
              <span className="words block leading-tight">{namesOf(entry)}</span>
              <span className="text-sm text-quiet">
                {entry.late && 'late · '}
                {entry.submission ? `${entry.submission.earned} · ${entry.state}` : entry.state}
              </span>
            </>
          );
          const isHere = entry.workId === workId;
          const look = `block border-b border-rule px-3 py-1.5 ${isHere ? 'border-l-[3px] border-l-action bg-wash pl-[9px]' : ''}`;
          return (
            <li key={entry.members[0]!.id}>
              {entry.submission ? (
                <Link
                  ref={isHere ? here : null}
                  className={`${look} hover:bg-canvas`}
                  aria-current={isHere ? 'page' : undefined}
                  to={`/piles/${pile.publicationId}/${entry.workId}`}
                >
                  {line}
                </Link>
              ) : (
                <div className={`${look} text-quiet`}>{line}</div>
              )}
            </li>
          );
        })}
      </ul>
    </nav>
  );
}
