import type { Pile, PileEntry } from '@ichnograph/contract';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { figure } from '../common/figures';
import { namesOf } from './pile-page';

/** Brings the work that is open into sight. */
function useInSight(workId: string) {
  const here = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    // Its answer differs from browser to browser, and an effect's answer is called when the page goes on.
    here.current?.scrollIntoView({ block: 'nearest' });
  }, [workId]);
  return here;
}

const stateOf = ({ submission, state, late, left }: PileEntry): string =>
  [
    ...(late ? ['late'] : []),
    ...(left ? ['left the class'] : []),
    ...(submission ? [figure(submission.earned)] : []),
    state,
  ].join(' · ');

/** The class beside the map that is being marked, one line a work. */
export function PileList({ pile, workId }: { pile: Pile; workId: string }) {
  const here = useInSight(workId);
  const returned = pile.entries.filter(({ state }) => state === 'returned' || state === 'done').length;
  return (
    <nav aria-label="Pile" className="pb-4">
      <p className="caption px-3.5 pb-2">
        {returned} of {pile.entries.length} returned
      </p>
      <ul>
        {pile.entries.map((entry) => {
          const line = (
            <>
              <span className="words block leading-tight">{namesOf(entry)}</span>
              <span className="text-sm text-quiet">{stateOf(entry)}</span>
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

/** How far a map has come, by colour and by how full its bar is. */
const BARS: Partial<Record<PileEntry['state'], { edge: string; fill: string; full: string }>> = {
  'handed in': { edge: 'border-indigo', fill: 'bg-indigo', full: 'w-0' },
  'being marked': { edge: 'border-ochre', fill: 'bg-ochre', full: 'w-1/2' },
  returned: { edge: 'border-action', fill: 'bg-action', full: 'w-full' },
  done: { edge: 'border-action', fill: 'bg-action', full: 'w-full' },
};

function StateBar({ state }: { state: PileEntry['state'] }) {
  const { edge, fill, full } = BARS[state] ?? { edge: 'border-rule', fill: '', full: 'w-0' };
  return (
    <span aria-hidden data-drawn className={`mx-auto mt-1 block h-[5px] w-6 border ${edge}`}>
      <span className={`block h-full ${fill} ${full}`} />
    </span>
  );
}

/** The pile as a rail: those who handed in, by their initials with a bar for the state: empty, half, full. */
export function PileRail({ pile, workId }: { pile: Pile; workId: string }) {
  const here = useInSight(workId);
  return (
    <nav aria-label="Pile">
      <ul>
        {pile.entries
          .filter(({ submission }) => submission)
          .map((entry) => {
            const isHere = entry.workId === workId;
            const words = `${namesOf(entry)}, ${stateOf(entry)}`;
            return (
              <li key={entry.members[0]!.id}>
                <Link
                  ref={isHere ? here : null}
                  title={words}
                  aria-label={words}
                  aria-current={isHere ? 'page' : undefined}
                  className={`block border-l-[3px] px-1 py-1.5 text-center font-mono text-xs font-bold ${isHere ? 'border-action bg-wash' : 'border-transparent text-quiet hover:bg-canvas'}`}
                  to={`/piles/${pile.publicationId}/${entry.workId}`}
                >
                  {initialsOf(entry)}
                  <StateBar state={entry.state} />
                </Link>
              </li>
            );
          })}
      </ul>
    </nav>
  );
}

const initialsOf = ({ members }: PileEntry): string =>
  members.map(({ givenName, familyName }) => `${[...givenName][0] ?? ''}${[...familyName][0] ?? ''}`).join(' ');
