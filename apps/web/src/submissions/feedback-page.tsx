import { openStoredAssignment, openStoredMap } from '@ichnograph/core';
import type { MarkDetail } from '@ichnograph/core';
import type { CommentRow, MapProposition, SubmissionDetail } from '@ichnograph/contract';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api } from '../common/api';
import { showMoment } from '../common/dates';
import { useTitle } from '../common/page';
import { Criteria, JudgedSentences, judgedOf, MarkHead } from '../marking';
import type { Judged } from '../marking';
import {
  useComments,
  useJudgements,
  useMapPropositions,
  useMark,
  useReference,
  useSubmission,
  useTimeZone,
} from '../common/queries';
import { useSend } from '../common/send';
import { Waiting } from '../common/waiting';
import { AnswerComment, CommentCard, FrozenDesk, MapPicture, ReportHead, SettleComment } from '../map';
import type { FrozenView } from '../map';
import { ReviewsOfMap } from '../reviews';
import { Button, buttonClass } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Trouble } from '../ui/field';
import { EarlierBeside } from './earlier-beside';
import { WhatToMend } from './what-to-mend';

/** What came back: the map as handed in, the comments in its margin, the results. */
export function FeedbackPage() {
  const { id } = useParams();
  const submission = useSubmission(id!);
  const comments = useComments(id!);
  const judgements = useJudgements(id!);
  const propositions = useMapPropositions(id!);
  const mark = useMark(id!);
  if (submission.data === undefined) return <Waiting of={submission} what="Opening the comments …" />;
  if (comments.data === undefined) return <Waiting of={comments} what="Opening the comments …" />;
  if (judgements.data === undefined) return <Waiting of={judgements} what="Opening the marks …" />;
  if (mark.data === undefined) return <Waiting of={mark} what="Opening the marks …" />;
  if (propositions.data === undefined) return <Waiting of={propositions} what="Opening the marks …" />;
  return (
    <Feedback
      key={submission.data.id}
      detail={submission.data}
      comments={comments.data}
      judged={judgedOf(judgements.data)}
      mark={mark.data.mark}
      propositions={propositions.data}
    />
  );
}

function Feedback({
  detail,
  comments,
  judged,
  mark,
  propositions,
}: {
  detail: SubmissionDetail;
  comments: CommentRow[];
  judged: Judged;
  /** null until the map is returned */
  mark: MarkDetail | null;
  propositions: MapProposition[];
}) {
  useTitle(`Comments on ${detail.title}`);
  const navigate = useNavigate();
  const zone = useTimeZone();
  const { trouble, isSending, send } = useSend('everything');
  const revise = async (): Promise<void> => {
    if (await send(() => api.post(`works/${detail.workId}/revise`))) await navigate(`/works/${detail.workId}`);
  };
  return (
    <FrozenDesk
      detail={detail}
      comments={comments}
      id="feedback"
      crumbs={[{ name: detail.className, to: '/' }, { name: detail.title }]}
      actions={
        <>
          {detail.returnedAt && (
            <a className={buttonClass()} href={`/api/submissions/${detail.id}/paper`} download>
              As a paper
            </a>
          )}
          <EarlierBeside detail={detail} />
          {detail.showsReference && <ReferenceMap detail={detail} />}
          {detail.state === 'returned' ? (
            <Button look="action" disabled={isSending} onClick={() => void revise()}>
              Revise
            </Button>
          ) : (
            <Link className={buttonClass()} to={`/works/${detail.workId}`}>
              Go to the map
            </Link>
          )}
        </>
      }
      results="Requirements"
      above={(view) => (
        <>
          <Trouble>{trouble}</Trouble>
          <Returned detail={detail} comments={comments.length} zone={zone} />
          {mark ? (
            <MarkHead mark={mark} assignment={view.frozen.assignment} onShow={view.go} asReturned />
          ) : (
            <ReportHead report={view.frozen.report} />
          )}
          {detail.returnedAt && <WhatToMend view={view} judgement={judged.judgement} />}
        </>
      )}
      {...(propositions.length > 0 && {
        sentences: (view: FrozenView) => <JudgedSentences all={propositions} view={view} />,
      })}
      ownPoints={judged.judgement.points}
      sum={mark ? { earned: mark.sum, outOf: mark.outOf } : undefined}
      resultAction={(result) => {
        const given = judged.of('result', result.id);
        return given ? <p className="words mt-2 text-sm text-indigo">Your teacher: {given.reason}</p> : null;
      }}
      below={({ frozen: { assignment } }) => (
        <>
          {detail.returnedAt && (
            <Criteria
              criteria={assignment.criteria}
              levelOf={(criterion) => judged.of('criterion', criterion)?.value ?? null}
            />
          )}
          <ReviewsOfMap
            submissionId={detail.id}
            number={detail.number}
            assignment={assignment}
            levelOf={(criterion) => (detail.returnedAt ? (judged.of('criterion', criterion)?.value ?? null) : null)}
          />
        </>
      )}
      card={(comment, letter, { frozen: { map, assignment }, go, chooseComment }) => (
        <CommentCard
          comment={comment}
          letter={letter}
          onClose={() => chooseComment(null)}
          map={map}
          legend={assignment.legend}
          {...(comment.target && { onGo: () => go([comment.target!]) })}
        >
          {detail.returnedAt && (
            <div className="flex flex-wrap gap-1">
              <AnswerComment commentId={comment.id} />
              <SettleComment comment={comment} />
            </div>
          )}
        </CommentCard>
      )}
    />
  );
}

/** What the teacher would have handed in, for those whose map came back. */
function ReferenceMap({ detail }: { detail: SubmissionDetail }) {
  const [open, setOpen] = useState(false);
  const reference = useReference(open ? detail.id : null);
  const legend = useMemo(() => openStoredAssignment(detail.assignment).legend, [detail.assignment]);
  const map = useMemo(() => reference.data && openStoredMap(reference.data.map), [reference.data]);
  return (
    <>
      <Button onClick={() => setOpen(true)}>Reference map</Button>
      <Dialog
        wide
        open={open}
        onOpenChange={setOpen}
        title="What your teacher would have handed in"
        description="One good answer of several. Look for what it says that yours does not."
      >
        {map ? <MapPicture map={map} legend={legend} title="Reference map" /> : <p role="status">Opening it …</p>}
      </Dialog>
    </>
  );
}

function Returned({
  detail: { returnedBy, returnedAt, note, letter, broughtFrom },
  comments,
  zone,
}: {
  detail: SubmissionDetail;
  comments: number;
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
      <h2 className="text-lg font-semibold">Came back to you</h2>
      <p className="text-sm text-quiet">
        {returnedBy && `${returnedBy.givenName} ${returnedBy.familyName}, `}
        {showMoment(returnedAt, zone)}
      </p>
      <p className="mt-1">
        {comments === 0
          ? 'No comments this time. Below is what was found.'
          : comments === 1
            ? 'One comment stands in the margin.'
            : `${comments} comments stand in the margin.`}
      </p>
      {letter && <p className="words mt-2 whitespace-pre-wrap border-l-2 border-indigo pl-2">{letter}</p>}
      {broughtFrom && <p className="words mb-2 text-quiet">Brought in from “{broughtFrom}”.</p>}
      {note && (
        <p className="words mt-2 text-sm">
          <span className="text-quiet">Your note was: </span>
          {note}
        </p>
      )}
    </section>
  );
}
