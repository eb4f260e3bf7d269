import { leftToJudge, matchTerms } from '@ichnograph/core';
import type { Assignment, MarkDetail, TopicMap } from '@ichnograph/core';
import type {
  CommentRow,
  JudgementRow,
  MapProposition,
  Pile,
  PileEntry,
  SecondMarkRow,
  SubmissionDetail,
} from '@ichnograph/contract';
import { MessageSquarePlus } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import { api } from '../common/api';
import { Failed } from '../common/failures';
import { useHiddenNames } from '../common/hidden-names';
import { useTitle } from '../common/page';
import type { PageKey } from '../common/page-keys';
import {
  useComments,
  useJudgements,
  useMapPropositions,
  useMark,
  usePile,
  useSecondMarks,
  useSubmission,
  useTimeZone,
} from '../common/queries';
import { useSend } from '../common/send';
import { commentsWithoutNames, detailWithoutNames, pileWithoutNames } from '../common/without-names';
import { Waiting } from '../common/waiting';
import { FrozenDesk, useFrozen } from '../map';
import { ReviewsOfMap } from '../reviews';
import { Confirm } from '../ui/dialog';
import { Trouble } from '../ui/field';
import { ChangesList, ChangesOnMap, useChanges } from './changes';
import { CriteriaToGive } from './criteria-to-give';
import { Earlier, stateSentence } from './earlier';
import { judgedOf } from './judgement';
import { inResults, toJudge, toJudgeResult, toJudgeSentence, SENTENCE_KEYS } from './marking-keys';
import { MarkHead, notJudgedWords } from './mark-head';
import { MarkingActions } from './marking-actions';
import { isNewest, modeOf } from './mode';
import { OwnMarks } from './own-marks';
import { OwnPoints } from './own-points';
import { SentencesToJudge } from './sentences-to-judge';
import { Trail } from './trail';
import { ByFeel } from './by-feel';
import { Making } from './making';
import { Mend } from './mend';
import { Batches } from './batches';
import { ReferenceList, ReferenceOver, useAgainstReference } from './reference-over';
import { RemarkBank } from './remark-bank';
import { useHere } from './use-here';
import { useJudge } from './use-judge';
import { BringBack, OwnComment, WriteComment } from './comments';
import { PileList, PileRail } from './pile-list';
import { isWaiting } from './pile-page';

/** One map at a time, from the list of the class. An earlier one of the same work can be opened by its id. */
export function MarkingPage() {
  const { id, workId, submissionId } = useParams();
  const pile = usePile(id!);
  const entry = pile.data?.entries.find((one) => one.workId === workId);
  const wanted = submissionId ?? entry?.submission?.id ?? null;
  const submission = useSubmission(wanted);
  const comments = useComments(wanted);
  const judgements = useJudgements(wanted);
  const seconds = useSecondMarks(submission.data?.marksSecond ? wanted : null);
  const { hidden } = useHiddenNames();
  const propositions = useMapPropositions(wanted);
  const mark = useMark(wanted);
  if (pile.data === undefined) return <Waiting of={pile} what="Opening the map …" />;
  if (wanted === null) return <Failed error={new Error('nothing was handed in')} />;
  if (submission.data === undefined) return <Waiting of={submission} what="Opening the map …" />;
  if (comments.data === undefined) return <Waiting of={comments} what="Opening the comments …" />;
  if (judgements.data === undefined) return <Waiting of={judgements} what="Opening the marks …" />;
  if (mark.data === undefined) return <Waiting of={mark} what="Opening the marks …" />;
  if (propositions.data === undefined) return <Waiting of={propositions} what="Reading the sentences …" />;
  if (submission.data.marksSecond && seconds.data === undefined)
    return <Waiting of={seconds} what="Opening what you gave …" />;
  return (
    <Marking
      key={submission.data.id}
      pile={hidden ? pileWithoutNames(pile.data) : pile.data}
      detail={hidden ? detailWithoutNames(submission.data) : submission.data}
      comments={hidden ? commentsWithoutNames(comments.data, submission.data) : comments.data}
      seconds={seconds.data ?? []}
      judgements={judgements.data}
      mark={mark.data.mark}
      propositions={propositions.data}
      workId={workId!}
    />
  );
}

interface Props {
  pile: Pile;
  detail: SubmissionDetail;
  comments: CommentRow[];
  judgements: JudgementRow[];
  /** null for who marks a second time, blind to the first */
  mark: MarkDetail | null;
  propositions: MapProposition[];
  /** what one gave as a second marker */
  seconds: SecondMarkRow[];
  workId: string;
}

function Marking({ pile, detail, comments, judgements, mark, propositions, seconds, workId }: Props) {
  const names = detail.members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ');
  const given = detail.members.map(({ givenName }) => givenName).join(' and ');
  useTitle(`Marking ${names}`);
  const navigate = useNavigate();
  const zone = useTimeZone();
  const { trouble, send } = useSend([`submissions/${detail.id}`, `publications/${pile.publicationId}`]);
  const [deleted, setDeleted] = useState<CommentRow | null>(null);
  const [bank, setBank] = useState(false);
  const mode = modeOf(detail);
  const mayMark = mode === 'marks';
  // While maps wait, those are gone through, round and round; after that all that were handed in.
  const isHere = (entry: PileEntry): boolean => entry.workId === workId;
  const handedIn = pile.entries.filter(({ submission }) => submission);
  const left = handedIn.filter((entry) => isWaiting(entry) || isHere(entry));
  const round = left.some((entry) => !isHere(entry)) ? left : handedIn;
  const goOn = (step: 1 | -1): void => {
    const next = round.at((round.findIndex(isHere) + step) % round.length);
    if (!next || isHere(next)) return;
    // Who gives levels goes on giving them: on the next map the keys are among its criteria at once.
    const atCriteria = Boolean(document.activeElement?.closest('[data-criterion]'));
    void navigate(`/piles/${pile.publicationId}/${next.workId}`, { state: { atCriteria } });
  };
  const { state } = useLocation() as { state: { atCriteria?: boolean } | null };
  useEffect(() => {
    if (state?.atCriteria) inResults(toJudge);
  }, [state, detail.id]);
  const { map, assignment } = useFrozen(detail);
  const changes = useChanges(detail, map, assignment);
  const [withReference, setWithReference] = useState(false);
  const reference = useAgainstReference(map, assignment, withReference);
  const others = useHere(workId).filter((one) => one.workId === workId);
  const [asked] = useSearchParams();
  const start = startOf(asked, propositions, map, assignment);
  const judged = useMemo(() => judgedOf(judgements), [judgements]);
  const judge = useJudge(detail.id, detail.revision, judged, send);
  const post = (what: string, said: string): Promise<boolean> =>
    send(() => api.post(`submissions/${detail.id}/${what}`), said, { changes: 'everything' });
  const giveBack = (unjudged = false): Promise<boolean> =>
    send(() => api.post(`submissions/${detail.id}/return`, { unjudged }), `Returned to ${given}.`, {
      changes: 'everything',
    });
  /** Asks first where something is not judged, and goes on to the next map where that is wanted. */
  const [asking, setAsking] = useState<{ thenOn: boolean } | null>(null);
  const wantBack = (thenOn: boolean): void => {
    if (mark && leftToJudge(mark) > 0) setAsking({ thenOn });
    else
      void giveBack().then((done) => {
        if (done && thenOn) goOn(1);
      });
  };
  const anywhere = (chord: string, name: string, run: () => void): PageKey => ({
    chords: [chord],
    name,
    run,
    whileTyping: true,
  });
  const keys: PageKey[] = [
    anywhere('Alt+PageDown', 'To the next map of the pile', () => goOn(1)),
    anywhere('Alt+PageUp', 'To the map before', () => goOn(-1)),
    anywhere('Alt+C', 'To the first criterion without a level', () => inResults(toJudge)),
    anywhere('Alt+R', 'To the first result that waits for you', () => inResults(toJudgeResult)),
    anywhere('Alt+S', 'To the first sentence without a verdict', () => inResults(toJudgeSentence)),
    anywhere('Alt+M', 'Write a comment', () =>
      inResults(() => document.querySelector<HTMLElement>('[data-write-comment]')),
    ),
    ...(mayMark
      ? [
          anywhere('Alt+Enter', 'Return this map, and on to the next', () => wantBack(true)),
          { chords: ['/'], name: 'Open the remark bank', run: () => setBank(true) },
        ]
      : []),
    ...SENTENCE_KEYS,
  ];
  const giveLevel = (criterion: string, level: number | null): Promise<boolean> =>
    mode === 'marks second'
      ? send(() => api.put(`submissions/${detail.id}/second-marks`, { criterion, level }), 'The level is kept.', {
          as: `${criterion} ${level}`,
        })
      : judge('criterion', criterion, level);
  return (
    <FrozenDesk
      detail={detail}
      comments={comments}
      id="marking"
      keys={keys}
      crumbs={[
        { name: pile.className, to: '/' },
        { name: pile.title, to: `/piles/${pile.publicationId}` },
        { name: names },
      ]}
      actions={
        <MarkingActions
          detail={detail}
          mode={mode}
          given={given}
          reference={
            mode === 'marks' && assignment.reference ? { shown: withReference, onChange: setWithReference } : null
          }
          onPost={(what, said) => void post(what, said)}
          onReturn={wantBack}
        />
      }
      left={{
        name: 'Pile',
        size: 176,
        wideFrom: 1440,
        content: <PileList pile={pile} workId={workId} />,
        rail: () => <PileRail pile={pile} workId={workId} />,
      }}
      results="Results"
      railHead={(_view, open) =>
        mayMark && (
          <button
            type="button"
            aria-label="Write a comment"
            className="mx-auto mb-1 flex rounded-sm border border-rule bg-white p-1.5 hover:bg-canvas"
            onClick={open}
          >
            <MessageSquarePlus aria-hidden size={16} />
          </button>
        )
      }
      drawnOver={
        <>
          {changes && <ChangesOnMap changes={changes} after={map} />}
          {reference && <ReferenceOver all={reference} map={map} legend={assignment.legend} />}
        </>
      }
      above={(view) => (
        <>
          {others.length > 0 && (
            <p role="status" className="border-b border-rule bg-ochre-wash px-3.5 py-1.5 text-sm">
              {others.map(({ person }) => person.givenName).join(' and ')} {others.length === 1 ? 'has' : 'have'} this
              map open too. What one of you gives first stands; the other is told.
            </p>
          )}
          {mode === 'marks second' ? (
            <p className="border-b border-rule px-3.5 pb-3 text-indigo">
              You mark this map a second time, and see nothing of what was given and said.
            </p>
          ) : (
            mark && (
              <MarkHead
                mark={mark}
                assignment={view.frozen.assignment}
                onShow={view.go}
                asReturned={detail.returnedAt !== null}
              />
            )
          )}
          {reference && <ReferenceList all={reference} view={view} />}
          <Trouble>{trouble}</Trouble>
          {deleted && <BringBack comment={deleted} send={send} onDone={() => setDeleted(null)} />}
          {detail.broughtFrom !== null && <BroughtIn detail={detail} />}
          {detail.note && (
            <section className="border-b border-rule px-3.5 py-2">
              <h2 className="caption">Note from {given}</h2>
              <p className="words whitespace-pre-wrap">{detail.note}</p>
            </section>
          )}
          <p className="px-3.5 pt-2 text-sm text-quiet">{stateSentence(detail, isNewest(detail), given, zone)}</p>
          <Earlier detail={detail} pile={pile} zone={zone} />
          {changes && <ChangesList changes={changes} view={view} />}
          <Batches />
          {mayMark && <WriteComment onBank={() => setBank(true)} submissionId={detail.id} view={view} send={send} />}
        </>
      )}
      start={start}
      dialogs={(view) =>
        mayMark && (
          <>
            <RemarkBank open={bank} onOpenChange={setBank} detail={detail} view={view} />
            {mark && (
              <Confirm
                open={asking !== null}
                title={`Return to ${given} with something not judged`}
                yes="Return all the same"
                no="Judge it first"
                onAnswer={(yes) => {
                  setAsking(null);
                  if (yes)
                    void giveBack(true).then((done) => {
                      if (done && asking?.thenOn) goOn(1);
                    });
                }}
              >
                Nobody has judged: {notJudgedWords(mark, assignment).join(', ')}. What goes back unjudged counts nothing
                in the mark of {given}.
              </Confirm>
            )}
          </>
        )
      }
      sentences={(view) => (
        <SentencesToJudge detail={detail} all={propositions} view={view} mayMark={mayMark} send={send} />
      )}
      ownPoints={judged.judgement.points}
      sum={mark ? { earned: mark.sum, outOf: mark.outOf } : undefined}
      {...(mayMark && {
        resultAction: (result) => (
          <>
            <OwnPoints
              key={result.id}
              result={result}
              onComment={(text) =>
                send(
                  () => api.post(`submissions/${detail.id}/comments`, { anchor: 'result', target: result.id, text }),
                  'The comment is kept.',
                )
              }
              given={judged.of('result', result.id)}
              onJudge={(value, reason) => judge('result', result.id, value, reason)}
            />
            {(result.status === 'partly' || result.status === 'unmet') && (
              <Mend submissionId={detail.id} requirement={result.id} />
            )}
          </>
        ),
      })}
      below={() => (
        <>
          <CriteriaToGive
            criteria={assignment.criteria}
            mode={mode}
            judged={judged}
            seconds={seconds}
            onGive={giveLevel}
          />
          {mode !== 'marks second' && (
            <ReviewsOfMap
              submissionId={detail.id}
              number={detail.number}
              assignment={assignment}
              levelOf={(criterion) => judged.of('criterion', criterion)?.value ?? null}
            />
          )}
          {mark && (
            <OwnMarks
              members={detail.members}
              {...{ mark, assignment, judged, mayMark }}
              onGive={(accountId, points, reason) => judge('person', accountId, points, reason)}
            />
          )}
          {mayMark && (
            <ByFeel
              value={judged.of('feel', 'whole')?.value ?? null}
              publicationId={pile.publicationId}
              onGive={(share) => void judge('feel', 'whole', share)}
            />
          )}
          <Making detail={detail} map={map} assignment={assignment} />
          {mode !== 'marks second' && (
            <Trail submissionId={detail.id} {...{ assignment, map, propositions }} members={detail.members} />
          )}
        </>
      )}
      card={(comment, letter, view) => (
        <OwnComment
          key={comment.id}
          comment={comment}
          letter={letter}
          view={view}
          mayMark={mayMark}
          send={send}
          onDeleted={setDeleted}
        />
      )}
    />
  );
}

/** What an address asks to be shown first: a requirement, a sentence by its key, or a term. */
function startOf(
  asked: URLSearchParams,
  propositions: readonly MapProposition[],
  { topics }: TopicMap,
  { terms, language }: Assignment,
): { requirement: string | null; ids: readonly string[] } {
  const [says, term] = [asked.get('says'), asked.get('term')];
  const at = term === null ? -1 : terms.findIndex(({ text }) => text === term);
  const placed = at < 0 ? null : matchTerms(terms, topics, language)[at];
  const said = propositions.find(({ key }) => key === says)?.links ?? [];
  return { requirement: asked.get('requirement'), ids: [...said, ...(placed ? [placed.topic.id] : [])] };
}

/** That its students did not hand it in themselves, and from which file it came. */
function BroughtIn({ detail: { broughtFrom, handedInBy } }: { detail: SubmissionDetail }) {
  return (
    <p className="words border-b border-rule px-3.5 py-2 text-quiet">
      Brought in by {handedInBy.givenName} {handedInBy.familyName}
      {broughtFrom !== '' && <> from “{broughtFrom}”</>}
    </p>
  );
}
