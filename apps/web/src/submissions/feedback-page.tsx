import type { SubmissionDetail } from '@ichnograph/contract';
import { Link, useNavigate, useParams } from 'react-router';
import { alertAloud } from '../app/announcer';
import { api, sentenceOfError } from '../app/api';
import { showMoment } from '../app/dates';
import { Failed } from '../app/failures';
import { Loading, useTitle } from '../app/page';
import { refresh, useSubmission, useTimeZone } from '../app/queries';
import { CommentCard, FrozenDesk, ReportHead } from '../map';
import { Button, buttonClass } from '../ui/button';

/** What came back: the map as handed in, the comments in its margin, the results. */
export function FeedbackPage() {
  const submission = useSubmission(useParams().id!);
  if (submission.isPending) return <Loading what="Opening the comments …" />;
  if (submission.isError) return <Failed error={submission.error} />;
  return <Feedback key={submission.data.id} detail={submission.data} />;
}

function Feedback({ detail }: { detail: SubmissionDetail }) {
  useTitle(`Comments on ${detail.title}`);
  const navigate = useNavigate();
  const zone = useTimeZone();
  const revise = async (): Promise<void> => {
    try {
      await api.post(`works/${detail.workId}/revise`);
      await refresh();
      await navigate(`/works/${detail.workId}`);
    } catch (error) {
      alertAloud(sentenceOfError(error));
    }
  };
  return (
    <FrozenDesk
      detail={detail}
      id="feedback"
      crumbs={[{ name: detail.className, to: '/' }, { name: detail.title }]}
      actions={
        detail.state === 'returned' ? (
          <Button look="action" onClick={() => void revise()}>
            Revise
          </Button>
        ) : (
          <Link className={buttonClass()} to={`/works/${detail.workId}`}>
            Go to the map
          </Link>
        )
      }
      results="requirements"
      above={({ frozen }) => (
        <>
          <Returned detail={detail} zone={zone} />
          <ReportHead report={frozen.report} />
        </>
      )}
      card={(comment, { frozen: { map, assignment }, go }) => (
        <CommentCard
          comment={comment}
          map={map}
          legend={assignment.legend}
          {...(comment.target && { onGo: () => go([comment.target!]) })}
        />
      )}
    />
  );
}

function Returned({
  detail: { returnedBy, returnedAt, comments, note },
  zone,
}: {
  detail: SubmissionDetail;
  zone: string;
}) {
  if (!returnedAt)
    return (
      <p className="border-b border-rule px-3.5 py-3 pr-9">
        Not returned yet. Comments appear here once your teacher returns the map.
      </p>
    );
  return (
    <section aria-label="Returned" className="border-b border-rule px-3.5 py-3">
      <h1 className="pr-6 text-lg font-semibold">Came back to you</h1>
      <p className="text-sm text-quiet">
        {returnedBy && `${returnedBy.givenName} ${returnedBy.familyName}, `}
        {showMoment(returnedAt, zone)}
      </p>
      <p className="mt-1">
        {comments.length === 0
          ? 'No comments this time. Below is what was found.'
          : comments.length === 1
            ? 'One comment stands in the margin.'
            : `${comments.length} comments stand in the margin.`}
      </p>
      {note && (
        <p className="words mt-2 text-sm">
          <span className="text-quiet">Your note was: </span>
          {note}
        </p>
      )}
    </section>
  );
}
