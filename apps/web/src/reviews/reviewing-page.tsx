import { openStoredAssignment, openStoredMap } from '@ichnograph/core';
import { REVIEW_LIMITS } from '@ichnograph/contract';
import type { ReviewDetail } from '@ichnograph/contract';
import { ReactFlowProvider } from '@xyflow/react';
import { ClipboardPen } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { SaidError, sentenceOfError } from '../common/api';
import { showMoment } from '../common/dates';
import { HeadOfPage } from '../common/head-of-page';
import { useTitle } from '../common/page';
import { useReview, useTimeZone } from '../common/queries';
import { useSend } from '../common/send';
import { Waiting } from '../common/waiting';
import { BorneCard, ReadMap, useShow } from '../map';
import { Criteria, sentenceWords } from '../marking';
import { Button } from '../ui/button';
import { Confirm } from '../ui/dialog';
import { Desk } from '../ui/desk';
import { Trouble } from '../ui/field';
import { Prose } from '../ui/prose';
import { useSavedReview } from './use-saved-review';

/** Another's map, without their name: what is opened of it is judged, and something is said to whoever made it. */
export function ReviewingPage() {
  const review = useReview(useParams().id!);
  // What an earlier visit asked for is not what stands there now.
  if (review.data === undefined || !review.isFetchedAfterMount) return <Waiting of={review} what="Opening the map …" />;
  return (
    <ReactFlowProvider>
      <Reviewing key={review.data.id} detail={review.data} />
    </ReactFlowProvider>
  );
}

const VERDICTS = ['sound', 'shaky', 'wrong'] as const;
const WORDS = { sound: 'Sound', shaky: 'Shaky', wrong: 'Wrong' } as const;

function Reviewing({ detail }: { detail: ReviewDetail }) {
  const { id, title, className, number, of, state, open, closesAt, criteria, sentences, propositions } = detail;
  useTitle(`A map to look at: ${title}`);
  const navigate = useNavigate();
  const zone = useTimeZone();
  const map = useMemo(() => openStoredMap(detail.map), [detail.map]);
  const assignment = useMemo(() => openStoredAssignment(detail.assignment), [detail.assignment]);
  const { legend } = assignment;
  const { given, change, isSaved, fault, settle } = useSavedReview(detail);
  const { send, trouble, isSending } = useSend(['reviews']);
  const [asking, setAsking] = useState(false);
  const [selection, select] = useState<readonly string[]>([]);
  const selected = useMemo(() => new Set(selection), [selection]);
  const { showMarks } = useShow();
  const mayGive = open && state !== 'sent';
  const go = (link: string): void => {
    select([link]);
    showMarks(map, legend, [link], { padding: { top: 90, bottom: 90, left: 90, right: 90 }, duration: 200 });
  };
  const sendIt = (): Promise<boolean> =>
    send(async (post) => {
      if (!(await settle())) throw new SaidError('What you gave could not be kept yet, so it was not sent.');
      await post(`reviews/${id}/send`);
      await navigate('/');
    }, 'Your review is sent.');
  const bearer = map.topics.find(
    (one) => selection.length === 1 && one.id === selection[0] && (one.note || one.source),
  );
  const left = criteria ? assignment.criteria.filter((one) => given.levels[one.id] === undefined).length : 0;
  const panel = (
    <div className="pb-6">
      <div className="border-b border-rule px-3.5 py-3">
        <p className="font-semibold">{of === 1 ? 'A map to look at' : `Map ${number} of ${of} to look at`}</p>
        <p className="text-sm text-quiet">
          You are not told who made it, and they are not told that it was you. Your teacher knows.
        </p>
        <p className="text-sm text-quiet">
          {state === 'sent'
            ? 'Sent. It stays as it is.'
            : !open
              ? 'The time to look at these maps is over.'
              : closesAt
                ? `To be sent until ${showMoment(closesAt, zone)}.`
                : 'Send it when you are done.'}
        </p>
      </div>
      <div className="px-3.5 pt-2">
        <Trouble>{trouble || (fault !== null && sentenceOfError(fault))}</Trouble>
      </div>
      {criteria && (
        <Criteria
          criteria={assignment.criteria}
          levelOf={(criterion) => given.levels[criterion] ?? null}
          onJudge={
            mayGive
              ? (criterion, level) => {
                  const { [criterion]: _, ...rest } = given.levels;
                  change({ levels: level === null ? rest : { ...rest, [criterion]: level } });
                  return Promise.resolve();
                }
              : undefined
          }
        />
      )}
      {sentences && (
        <section aria-label="Sentences" className="mt-4">
          <h2 className="caption px-3.5">
            Sentences · {Object.keys(given.verdicts).length} of {propositions.length} judged
          </h2>
          <ul>
            {propositions.map((one) => {
              const words = sentenceWords(one, propositions, map, legend);
              const said = `${words.from} ${words.phrase || '…'} ${words.to}`;
              return (
                <li
                  key={one.key}
                  className={`border-b border-rule px-3.5 py-1.5 ${one.links.some((link) => selected.has(link)) ? 'bg-ochre-wash' : ''}`}
                >
                  <button
                    type="button"
                    className="words mb-1 w-full text-left hover:underline"
                    onClick={() => go(one.links[0]!)}
                  >
                    {words.from} <b className="text-action">{words.phrase || '…'}</b> {words.to}.
                  </button>
                  <div role="group" aria-label={`Verdict on “${said}”`} className="flex gap-1">
                    {VERDICTS.map((verdict) => (
                      <Button
                        key={verdict}
                        small
                        disabled={!mayGive}
                        aria-pressed={given.verdicts[one.key] === verdict}
                        className={given.verdicts[one.key] === verdict ? 'border-ink bg-wash' : ''}
                        onClick={() => {
                          const { [one.key]: before, ...rest } = given.verdicts;
                          change({ verdicts: before === verdict ? rest : { ...rest, [one.key]: verdict } });
                        }}
                      >
                        {WORDS[verdict]}
                      </Button>
                    ))}
                  </div>
                </li>
              );
            })}
          </ul>
          {propositions.length === 0 && <p className="px-3.5 text-quiet">No link of this map says anything yet.</p>}
        </section>
      )}
      <label className="mt-4 block px-3.5">
        <span className="caption mb-1 block">To whoever made it</span>
        <textarea
          className="field"
          rows={5}
          maxLength={REVIEW_LIMITS.words}
          readOnly={!mayGive}
          placeholder="What is good about it, and what would make it better?"
          value={given.words}
          onChange={({ target }) => change({ words: target.value })}
        />
      </label>
      {assignment.brief && (
        <details className="mt-3 px-3.5 text-sm">
          <summary className="cursor-pointer text-action underline">What was asked for</summary>
          <Prose text={assignment.brief} />
        </details>
      )}
    </div>
  );
  return (
    <>
      <HeadOfPage
        crumbs={[{ name: className, to: '/' }, { name: title }]}
        actions={
          mayGive && (
            <>
              <span role="status" className="hidden text-quiet sm:inline" data-testid="review-state">
                {isSaved ? 'Saved' : 'Saving …'}
              </span>
              <Button look="action" disabled={isSending} onClick={() => setAsking(true)}>
                Send it …
              </Button>
            </>
          )
        }
      />
      <Confirm
        open={asking}
        title="Send this review"
        yes="Send it"
        no="Go on looking"
        onAnswer={(yes) => {
          setAsking(false);
          if (yes) void sendIt();
        }}
      >
        It goes to your teacher and stays as it is. Whoever made the map reads it once your teacher releases it, without
        your name.
      </Confirm>
      <Desk
        id="reviewing"
        right={{
          name: 'Review',
          size: 340,
          wideFrom: 1200,
          content: panel,
          rail: (openCard) => <ReviewRail onOpen={openCard} left={left} />,
        }}
      >
        <ReadMap
          {...{ map, assignment, className, selection }}
          what="Map to look at"
          state="To be looked at"
          onSelect={select}
          fitKey={id}
        >
          {bearer && <BorneCard key={bearer.id} topic={bearer} isChosen />}
        </ReadMap>
      </Desk>
    </>
  );
}

/** The way to the review where there is no room for it beside the map. */
function ReviewRail({ onOpen, left }: { onOpen: () => void; left: number }) {
  return (
    <button
      type="button"
      aria-label={left > 0 ? `Open the review: ${left} still to judge` : 'Open the review'}
      className="mx-auto mt-1 flex flex-col items-center gap-1 rounded-sm border border-rule bg-white p-1.5 hover:bg-canvas"
      onClick={onOpen}
    >
      <ClipboardPen aria-hidden size={18} />
      {left > 0 && <span className="font-mono text-sm">{left}</span>}
    </button>
  );
}
