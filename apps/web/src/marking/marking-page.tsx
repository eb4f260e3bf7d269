import type { Pile, SubmissionDetail } from '@ichnograph/contract';
import { useEffect } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api } from '../app/api';
import { showMoment } from '../app/dates';
import { Failed } from '../app/failures';
import { Loading, useTitle } from '../app/page';
import { usePile, useSubmission, useTimeZone } from '../app/queries';
import { useAction } from '../app/use-action';
import { FrozenDesk, ReportHead } from '../map';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';
import { OwnComment, WriteComment } from './comments';
import { PileList } from './pile-list';

/** One map at a time, from the list of the class. */
export function MarkingPage() {
  const { id, workId } = useParams();
  const pile = usePile(id!);
  const entry = pile.data?.entries.find((one) => one.workId === workId);
  const submission = useSubmission(entry?.submission?.id ?? null);
  if (pile.isPending || (entry?.submission && submission.isPending)) return <Loading what="Opening the map …" />;
  if (pile.isError || submission.isError) return <Failed error={pile.error ?? submission.error} />;
  if (!submission.data) return <Failed error={new Error('nothing was handed in')} />;
  return <Marking key={submission.data.id} pile={pile.data} detail={submission.data} workId={workId!} />;
}

function Marking({ pile, detail, workId }: { pile: Pile; detail: SubmissionDetail; workId: string }) {
  const names = detail.members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ');
  const given = detail.members.map(({ givenName }) => givenName).join(' and ');
  useTitle(`Marking ${names}`);
  const navigate = useNavigate();
  const zone = useTimeZone();
  const { trouble, act } = useAction();
  const mayMark = detail.newest && (detail.state === 'handed in' || detail.state === 'being marked');
  const marked = pile.entries.filter(({ submission }) => submission);
  const at = marked.findIndex((entry) => entry.workId === workId);
  usePageKeys((step) => {
    const next = marked[at + step];
    if (next) void navigate(`/piles/${pile.publicationId}/${next.workId}`);
  });
  return (
    <FrozenDesk
      detail={detail}
      id="marking"
      crumbs={[
        { name: pile.className, to: '/' },
        { name: pile.title, to: `/piles/${pile.publicationId}` },
        { name: names },
      ]}
      actions={
        mayMark && (
          <Button
            look="action"
            onClick={() => void act(() => api.post(`submissions/${detail.id}/return`), `Returned to ${given}.`)}
          >
            Return to {given}
          </Button>
        )
      }
      left={{ name: 'pile', size: 176, content: <PileList pile={pile} workId={workId} /> }}
      results="results"
      above={(view) => (
        <>
          <ReportHead report={view.frozen.report} />
          <Trouble>{trouble}</Trouble>
          {detail.note && (
            <section className="border-b border-rule px-3.5 py-2">
              <h2 className="caption">Note from {given}</h2>
              <p className="words whitespace-pre-wrap">{detail.note}</p>
            </section>
          )}
          <p className="px-3.5 pt-2 text-sm text-quiet">{stateSentence(detail, given, zone)}</p>
          {mayMark && <WriteComment submissionId={detail.id} view={view} act={act} />}
        </>
      )}
      card={(comment, view) => <OwnComment comment={comment} view={view} mayMark={mayMark} act={act} />}
    />
  );
}

function stateSentence(
  { state, handedInAt, late, number, returnedAt, newest }: SubmissionDetail,
  given: string,
  zone: string,
): string {
  const handedIn = `Handed in ${showMoment(handedInAt, zone)}${late ? ', late' : ''}${number > 1 ? `, for the ${number}. time` : ''}.`;
  if (returnedAt) return `${handedIn} Returned ${showMoment(returnedAt, zone)}.`;
  if (!newest) return `${handedIn} It was handed in again since.`;
  return state === 'handed in'
    ? `${handedIn} ${given} can hand in again until you write the first comment or return it.`
    : `${handedIn} You are marking it; ${given} can look at it and change nothing.`;
}

/** Page Up and Page Down change maps, as long as nothing is being written. */
function usePageKeys(go: (step: number) => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (
        (event.key !== 'PageDown' && event.key !== 'PageUp') ||
        (event.target as Element).closest('input, textarea, select, [role=dialog]')
      )
        return;
      event.preventDefault();
      go(event.key === 'PageDown' ? 1 : -1);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
