import type { Pile, SubmissionDetail } from '@ichnograph/contract';
import { Link } from 'react-router';
import { showMoment } from '../common/dates';
import { timeWords } from '../common/figures';

/** What was handed in before, each with the comments it had. */
export function Earlier({ detail, pile, zone }: { detail: SubmissionDetail; pile: Pile; zone: string }) {
  if (detail.submissions.length < 2) return null;
  const base = `/piles/${pile.publicationId}/${detail.workId}`;
  return (
    <nav aria-label="What was handed in" className="px-3.5 pt-1.5 text-sm">
      <ul>
        {detail.submissions.map(({ id, number, handedInAt, returnedAt }, i) => (
          <li key={id}>
            <Link
              className={id === detail.id ? 'font-semibold' : 'text-action underline'}
              aria-current={id === detail.id ? 'page' : undefined}
              to={i === 0 ? base : `${base}/${id}`}
            >
              No. {number}, {showMoment(handedInAt, zone)}
            </Link>
            {returnedAt && <span className="text-quiet"> · returned</span>}
          </li>
        ))}
      </ul>
    </nav>
  );
}

export function stateSentence(
  { state, handedInAt, late, number, returnedAt, opened }: SubmissionDetail,
  newest: boolean,
  given: string,
  zone: string,
): string {
  const handedIn = `Handed in ${showMoment(handedInAt, zone)}${late ? ', late' : ''}${number > 1 ? `, ${timeWords(number)}` : ''}.`;
  if (returnedAt)
    return `${handedIn} Returned ${showMoment(returnedAt, zone)}${newest ? (opened ? ', and read' : ', not read yet') : ''}.`;
  if (!newest) return `${handedIn} It was handed in again since.`;
  return state === 'handed in'
    ? `${handedIn} ${given} can hand in again until you write the first comment or return it.`
    : `${handedIn} You are marking it; ${given} can look at it and change nothing.`;
}
