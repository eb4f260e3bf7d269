import { Eye } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { markWords } from '@ichnograph/core';
import type { Pile, PileEntry } from '@ichnograph/contract';
import { showMoment } from '../common/dates';
import { useHiddenNames } from '../common/hidden-names';
import { Page } from '../common/page';
import { usePile, useTimeZone } from '../common/queries';
import { Waiting } from '../common/waiting';
import { pileWithoutNames } from '../common/without-names';
import { CheckAgain } from '../revising';
import { buttonClass } from '../ui/button';
import { Segments } from '../ui/segments';
import { ReturnComplete } from './return-complete';
import { SecondMarkingSection } from './second-marking';
import { WriteOut } from './write-out';

export const namesOf = ({ members }: PileEntry): string =>
  members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ');
const isBack = ({ submission }: PileEntry): boolean => Boolean(submission?.returnedAt);
export const isWaiting = ({ state }: PileEntry): boolean => state === 'handed in' || state === 'being marked';

/** A class and what came of an assignment: who, in what state, with what. */
export function PilePage() {
  const pile = usePile(useParams().id!);
  const { hidden } = useHiddenNames();
  if (pile.data === undefined) return <Waiting of={pile} what="Opening the pile …" />;
  return <PileTable pile={hidden ? pileWithoutNames(pile.data) : pile.data} />;
}

const FILTERS = ['All', 'Waiting', 'Not looked at', 'Late', 'To judge', 'Returned', 'Left unjudged'] as const;
type Filter = (typeof FILTERS)[number];
const PASSES: Record<Filter, (entry: PileEntry) => boolean> = {
  All: () => true,
  Waiting: isWaiting,
  'Not looked at': (entry) => isWaiting(entry) && !entry.submission?.lookedAt,
  Late: ({ late }) => late,
  'To judge': (entry) => isWaiting(entry) && (entry.submission?.mark?.notJudged ?? 0) > 0,
  'Left unjudged': (entry) => isBack(entry) && (entry.submission?.mark?.notJudged ?? 0) > 0,
  Returned: ({ state }) => state === 'returned' || state === 'done',
};

/** By what a column sorts; what an entry has none of stands last. */
const COLUMNS = {
  Student: namesOf,
  State: ({ state }: PileEntry) => state,
  'Handed in': ({ submission }: PileEntry) => submission?.handedInAt ?? null,
  Mark: ({ submission }: PileEntry) => submission?.mark?.sum ?? null,
  'To judge': ({ submission }: PileEntry) => submission?.mark?.notJudged ?? null,
  Flags: ({ submission }: PileEntry) => submission?.flags ?? null,
  'Looked at': ({ submission }: PileEntry) => (submission ? Number(submission.lookedAt) : null),
} as const satisfies Record<string, (entry: PileEntry) => string | number | null>;
type Column = keyof typeof COLUMNS;
const COLUMN_NAMES = Object.keys(COLUMNS) as Column[];

function sorted(entries: readonly PileEntry[], column: Column, down: boolean): PileEntry[] {
  const keyOf = COLUMNS[column];
  return [...entries].sort((a, b) => {
    const [one, other] = [keyOf(a), keyOf(b)];
    if (one === null || other === null) return Number(one === null) - Number(other === null);
    const order = typeof one === 'number' ? one - (other as number) : one.localeCompare(other as string);
    return down ? -order : order;
  });
}

function PileTable({ pile }: { pile: Pile }) {
  const zone = useTimeZone();
  const names = useHiddenNames();
  const [filter, setFilter] = useState<Filter>('All');
  const [{ column, down }, setOrder] = useState<{ column: Column; down: boolean }>({
    column: 'Handed in',
    down: false,
  });
  const waiting = pile.entries.filter(isWaiting);
  const complete = waiting.filter(({ submission }) => submission?.mark?.notJudged === 0);
  const [first] = sorted(waiting, 'Handed in', false);
  const lead = `${pile.className}${pile.due ? `, due ${showMoment(pile.due, zone)}` : ''}. ${waiting.length === 0 ? 'Nothing waits to be marked.' : waiting.length === 1 ? 'One map waits to be marked.' : `${waiting.length} maps wait to be marked.`}`;
  const shown = sorted(pile.entries.filter(PASSES[filter]), column, down);
  return (
    <Page
      title={pile.title}
      tab={`Pile: ${pile.title}`}
      lead={lead}
      actions={
        <>
          <Link className={buttonClass()} to={`/class/${pile.publicationId}`}>
            The class together
          </Link>
          <Link className={buttonClass()} to={`/assignments/${pile.assignmentId}`}>
            The assignment
          </Link>
          {!pile.marksSecond && (
            <Link className={buttonClass()} to={`/piles/${pile.publicationId}/bring-in`}>
              Bring in files
            </Link>
          )}
          {!pile.marksSecond && (
            <Link className={buttonClass()} to={`/piles/${pile.publicationId}/reviews`}>
              Reviews
            </Link>
          )}
          <WriteOut publicationId={pile.publicationId} />
          <ReturnComplete publicationId={pile.publicationId} title={pile.title} complete={complete} />
          {first && (
            <Link className={buttonClass('action')} to={`/piles/${pile.publicationId}/${first.workId}`}>
              Mark the oldest
            </Link>
          )}
        </>
      }
    >
      {!pile.marksSecond && <CheckAgain assignmentId={pile.assignmentId} />}
      <div className="mb-3 flex flex-wrap gap-x-4 gap-y-2 p-0.5">
        <Segments label="Show" options={FILTERS} value={filter} onChange={setFilter} />
        <label className="flex items-center gap-1.5 whitespace-nowrap">
          <input type="checkbox" checked={names.hidden} onChange={({ target }) => names.set(target.checked)} />
          Hide names
        </label>
      </div>
      <div className="overflow-x-auto">
        <table className="w-full text-left max-md:min-w-[44rem]">
          <thead>
            <tr className="caption border-b border-ink">
              {COLUMN_NAMES.map((name, i) => (
                <th
                  key={name}
                  className={`py-1 ${i === COLUMN_NAMES.length - 1 ? 'pr-1 text-right' : i > 2 ? 'pr-3 text-right' : ''}`}
                  aria-sort={name === column ? (down ? 'descending' : 'ascending') : 'none'}
                >
                  <button
                    type="button"
                    className="caption hover:text-ink"
                    onClick={() => setOrder({ column: name, down: name === column && !down })}
                  >
                    {name}
                    <span aria-hidden>{name === column ? (down ? ' ↓' : ' ↑') : ''}</span>
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((entry) => (
              <Row key={entry.members[0]!.id} entry={entry} publicationId={pile.publicationId} zone={zone} />
            ))}
          </tbody>
        </table>
      </div>
      {shown.length === 0 && <p className="mt-3 text-quiet">None of them just now.</p>}
      {!pile.marksSecond && <SecondMarkingSection publicationId={pile.publicationId} />}
    </Page>
  );
}

function Row({ entry, publicationId, zone }: { entry: PileEntry; publicationId: string; zone: string }) {
  const { submission } = entry;
  return (
    <tr className={`border-b border-rule ${isWaiting(entry) ? 'bg-wash' : 'bg-paper'}`}>
      <td className="words py-1.5 pl-1 pr-3 max-md:sticky max-md:left-0 max-md:bg-inherit max-md:[overflow-wrap:normal] pointer-coarse:py-3">
        {submission ? (
          <Link className="font-semibold text-action underline" to={`/piles/${publicationId}/${entry.workId}`}>
            {namesOf(entry)}
          </Link>
        ) : entry.workId ? (
          <Link className="text-action underline" to={`/works/${entry.workId}`} title="Look at it while it is drawn">
            {namesOf(entry)}
          </Link>
        ) : (
          namesOf(entry)
        )}
      </td>
      <td className={`pr-3 ${submission ? '' : 'text-quiet'}`}>
        {entry.state}
        {entry.left && <span className="text-quiet"> · left the class</span>}
        {entry.unread > 0 && (
          <Link className="block text-sm font-semibold text-indigo underline" to={`/works/${entry.workId}`}>
            {entry.unread} new {entry.unread === 1 ? 'comment' : 'comments'}
          </Link>
        )}
      </td>
      <td className="pr-3">
        {submission && (
          <>
            {showMoment(submission.handedInAt, zone)}
            {entry.late && <b className="text-madder"> late</b>}
            {submission.broughtFrom !== null && <span className="text-quiet"> · brought in</span>}
            {submission.number > 1 && <span className="text-quiet"> · no. {submission.number}</span>}
          </>
        )}
      </td>
      <td className="pr-3 text-right font-mono text-sm">
        {submission?.mark && markWords(submission.mark.shown)}
        {submission && submission.own.length > 0 && (
          <span className="block text-xs text-quiet">
            {submission.own.length === 1 ? 'one has' : `${submission.own.length} have`} another
          </span>
        )}
        {submission?.feel != null && (
          <span className="block text-xs text-quiet">{Math.round(submission.feel * 100)} % by feel</span>
        )}
      </td>
      <td className="pr-3 text-right font-mono text-sm text-indigo">{submission?.mark?.notJudged || ''}</td>
      <td className="pr-3 text-right font-mono text-sm">{submission?.flags}</td>
      <td className="pr-1 text-right">
        {submission?.lookedAt && (
          <>
            <Eye aria-hidden size={15} className="ml-auto text-quiet" />
            <span className="sr-only">looked at</span>
          </>
        )}
      </td>
    </tr>
  );
}
