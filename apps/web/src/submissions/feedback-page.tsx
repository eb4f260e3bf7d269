import type { SubmissionDetail } from '@ichnograph/contract';
import { ReactFlowProvider } from '@xyflow/react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { alertAloud } from '../app/announcer';
import { api, sentenceOfError } from '../app/api';
import { HeadOfPage } from '../app/crumbs';
import { showMoment } from '../app/dates';
import { Failed } from '../app/failures';
import { Loading, useTitle } from '../app/page';
import { refresh, useSubmission, useTimeZone } from '../app/queries';
import { CommentCard, FrozenMap, ReportHead, ResultsList, SentencesView, useFrozen, useGo } from '../map';
import { Button, buttonClass } from '../ui/button';
import { Desk } from '../ui/desk';
import { Segments } from '../ui/segments';
import { Link } from 'react-router';

/** What came back: the map as handed in, the comments in its margin, the results. */
export function FeedbackPage() {
  const submission = useSubmission(useParams().id!);
  if (submission.isPending) return <Loading what="Opening the comments …" />;
  if (submission.isError) return <Failed error={submission.error} />;
  return (
    <ReactFlowProvider>
      <Feedback key={submission.data.id} detail={submission.data} />
    </ReactFlowProvider>
  );
}

const VIEWS = ['Map', 'Sentences'] as const;

function Feedback({ detail }: { detail: SubmissionDetail }) {
  useTitle(`Comments on ${detail.title}`);
  const navigate = useNavigate();
  const zone = useTimeZone();
  const frozen = useFrozen(detail);
  const [view, setView] = useState<(typeof VIEWS)[number]>('Map');
  const [selection, setSelection] = useState<readonly string[]>([]);
  const [requirement, setRequirement] = useState<string | null>(null);
  const go = useGo(frozen, setSelection);
  const revise = async (): Promise<void> => {
    try {
      await api.post(`works/${detail.workId}/revise`);
      await refresh();
      await navigate(`/works/${detail.workId}`);
    } catch (error) {
      alertAloud(sentenceOfError(error));
    }
  };
  const { map, assignment, report } = frozen;
  return (
    <>
      <HeadOfPage
        crumbs={[{ name: detail.className, to: '/' }, { name: detail.title }]}
        middle={<Segments label="View" options={VIEWS} value={view} onChange={setView} />}
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
      />
      <Desk
        id="feedback"
        right={{
          name: 'requirements',
          size: 288,
          content: (
            <div className="pb-4">
              <Returned detail={detail} zone={zone} />
              <ReportHead report={report} />
              <ResultsList
                assignment={assignment}
                report={report}
                chosen={requirement}
                onChoose={setRequirement}
                onGo={go}
                showPoints
              />
            </div>
          ),
        }}
      >
        {view === 'Map' ? (
          <FrozenMap
            detail={detail}
            frozen={frozen}
            selection={selection}
            onSelect={setSelection}
            requirement={requirement}
            card={(comment) => (
              <CommentCard
                comment={comment}
                map={map}
                legend={assignment.legend}
                {...(comment.target && { onGo: () => go([comment.target!]) })}
              />
            )}
          />
        ) : (
          <SentencesView
            map={map}
            legend={assignment.legend}
            onGo={(id) => {
              setView('Map');
              setSelection([id]);
            }}
          />
        )}
      </Desk>
    </>
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
