import { Link, useParams } from 'react-router';
import type { Pile, PileEntry } from '@ichnograph/contract';
import { showMoment } from '../app/dates';
import { sumWords } from '../app/figures';
import { Page } from '../app/page';
import { usePile, useTimeZone } from '../app/queries';
import { Waiting } from '../app/waiting';
import { buttonClass } from '../ui/button';

export const namesOf = ({ members }: PileEntry): string =>
  members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ');
export const isWaiting = ({ state }: PileEntry): boolean => state === 'handed in' || state === 'being marked';

/** A class and what came of an assignment: who, in what state, with what. */
export function PilePage() {
  const pile = usePile(useParams().id!);
  if (pile.data === undefined) return <Waiting of={pile} what="Opening the pile …" />;
  return <PileTable pile={pile.data} />;
}

function PileTable({ pile }: { pile: Pile }) {
  const zone = useTimeZone();
  const waiting = pile.entries.filter(isWaiting);
  const [first] = [...waiting].sort((a, b) => a.submission!.handedInAt.localeCompare(b.submission!.handedInAt));
  const lead = `${pile.className}${pile.due ? `, due ${showMoment(pile.due, zone)}` : ''}. ${waiting.length === 0 ? 'Nothing waits to be marked.' : waiting.length === 1 ? 'One map waits to be marked.' : `${waiting.length} maps wait to be marked.`}`;
  return (
    <Page
      title={pile.title}
      lead={lead}
      actions={
        <>
          <Link className={buttonClass()} to={`/assignments/${pile.assignmentId}`}>
            The assignment
          </Link>
          {first && (
            <Link className={buttonClass('action')} to={`/piles/${pile.publicationId}/${first.workId}`}>
              Mark the oldest
            </Link>
          )}
        </>
      }
    >
      <table className="w-full text-left">
        <thead>
          <tr className="caption border-b border-ink">
            <th className="py-1">Student</th>
            <th>State</th>
            <th>Handed in</th>
            <th className="text-right">By check</th>
            <th className="text-right">To look at</th>
          </tr>
        </thead>
        <tbody>
          {pile.entries.map((entry) => (
            <tr key={entry.members[0]!.id} className={`border-b border-rule ${isWaiting(entry) ? 'bg-wash' : ''}`}>
              <td className="words py-1.5 pl-1 pr-3">
                {entry.submission ? (
                  <Link
                    className="font-semibold text-action underline"
                    to={`/piles/${pile.publicationId}/${entry.workId}`}
                  >
                    {namesOf(entry)}
                  </Link>
                ) : (
                  namesOf(entry)
                )}
              </td>
              <td className={`pr-3 ${entry.submission ? '' : 'text-quiet'}`}>
                {entry.state}
                {entry.left && <span className="text-quiet"> · left the class</span>}
              </td>
              <td className="pr-3">
                {entry.submission && (
                  <>
                    {showMoment(entry.submission.handedInAt, zone)}
                    {entry.late && <b className="text-madder"> late</b>}
                    {entry.submission.number > 1 && (
                      <span className="text-quiet"> · no. {entry.submission.number}</span>
                    )}
                  </>
                )}
              </td>
              <td className="pr-3 text-right font-mono text-sm">{entry.submission && sumWords(entry.submission)}</td>
              <td className="pr-1 text-right font-mono text-sm">{entry.submission?.flags}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Page>
  );
}
