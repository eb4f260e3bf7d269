import type { CommentRow, NewComment, Pile, SubmissionDetail } from '@ichnograph/contract';
import { ReactFlowProvider } from '@xyflow/react';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api } from '../app/api';
import { HeadOfPage } from '../app/crumbs';
import { showMoment } from '../app/dates';
import { Failed } from '../app/failures';
import { Loading, useTitle } from '../app/page';
import { usePile, useSubmission, useTimeZone } from '../app/queries';
import { useAction } from '../app/use-action';
import { CommentCard, FrozenMap, ReportHead, ResultsList, SentencesView, subjectOf, useFrozen, useGo } from '../map';
import { Button } from '../ui/button';
import { Desk } from '../ui/desk';
import { Trouble } from '../ui/field';
import { Segments } from '../ui/segments';
import { namesOf } from './pile-page';

/** One map at a time, from the list of the class. */
export function MarkingPage() {
  const { id, workId } = useParams();
  const pile = usePile(id!);
  const entry = pile.data?.entries.find((one) => one.workId === workId);
  const submission = useSubmission(entry?.submission?.id ?? null);
  if (pile.isPending || (entry?.submission && submission.isPending)) return <Loading what="Opening the map …" />;
  if (pile.isError || submission.isError) return <Failed error={pile.error ?? submission.error} />;
  if (!submission.data) return <Failed error={new Error('nothing was handed in')} />;
  return (
    <ReactFlowProvider>
      <Marking key={submission.data.id} pile={pile.data} detail={submission.data} workId={workId!} />
    </ReactFlowProvider>
  );
}

const VIEWS = ['Map', 'Sentences'] as const;

function Marking({ pile, detail, workId }: { pile: Pile; detail: SubmissionDetail; workId: string }) {
  const names = detail.members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ');
  const given = detail.members.map(({ givenName }) => givenName).join(' and ');
  useTitle(`Marking ${names}`);
  const navigate = useNavigate();
  const zone = useTimeZone();
  const frozen = useFrozen(detail);
  const [view, setView] = useState<(typeof VIEWS)[number]>('Map');
  const [selection, setSelection] = useState<readonly string[]>([]);
  const [requirement, setRequirement] = useState<string | null>(null);
  const { trouble, act } = useAction();
  const go = useGo(frozen, setSelection);
  const mayMark = detail.newest && (detail.state === 'handed in' || detail.state === 'being marked');
  const marked = pile.entries.filter(({ submission }) => submission);
  const at = marked.findIndex((entry) => entry.workId === workId);
  usePageKeys((step) => {
    const next = marked[at + step];
    if (next) void navigate(`/piles/${pile.publicationId}/${next.workId}`);
  });
  const { map, assignment, report } = frozen;
  return (
    <>
      <HeadOfPage
        crumbs={[
          { name: pile.className, to: '/' },
          { name: pile.title, to: `/piles/${pile.publicationId}` },
          { name: names },
        ]}
        middle={<Segments label="View" options={VIEWS} value={view} onChange={setView} />}
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
      />
      <Desk
        id="marking"
        left={{ name: 'pile', size: 176, content: <PileList pile={pile} workId={workId} /> }}
        right={{
          name: 'results',
          size: 288,
          content: (
            <div className="pb-4">
              <ReportHead report={report} />
              <Trouble>{trouble}</Trouble>
              {detail.note && (
                <section className="border-b border-rule px-3.5 py-2">
                  <h2 className="caption">Note from {given}</h2>
                  <p className="words whitespace-pre-wrap">{detail.note}</p>
                </section>
              )}
              <p className="px-3.5 pt-2 text-sm text-quiet">{stateSentence(detail, given, zone)}</p>
              {mayMark && <WriteComment detail={detail} frozen={frozen} selection={selection} act={act} />}
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
            card={(comment) => <OwnComment comment={comment} frozen={frozen} mayMark={mayMark} onGo={go} act={act} />}
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

function PileList({ pile, workId }: { pile: Pile; workId: string }) {
  const here = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    // Its answer differs from browser to browser, and an effect's answer is called when the page goes on.
    here.current?.scrollIntoView({ block: 'nearest' });
  }, [workId]);
  const returned = pile.entries.filter(({ state }) => state === 'returned' || state === 'done').length;
  return (
    <nav aria-label="Pile" className="pb-4">
      <h2 className="caption px-3.5 pb-2 pt-3 pr-8">
        {returned} of {pile.entries.length} returned
      </h2>
      <ul>
        {pile.entries.map((entry) => {
          const line = (
            <>
              <span className="words block leading-tight">{namesOf(entry)}</span>
              <span className="text-sm text-quiet">
                {entry.late && 'late · '}
                {entry.submission ? `${entry.submission.earned} · ${entry.state}` : entry.state}
              </span>
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

type Act = (work: () => Promise<unknown>, said: string) => Promise<boolean>;
interface Writing {
  detail: SubmissionDetail;
  frozen: ReturnType<typeof useFrozen>;
  act: Act;
}

function WriteComment({
  detail,
  frozen: { map, assignment },
  selection,
  act,
}: Writing & { selection: readonly string[] }) {
  const [text, setText] = useState('');
  const [target] = selection.length === 1 ? selection : [];
  const anchor = target === undefined ? 'map' : map.topics.some(({ id }) => id === target) ? 'topic' : 'link';
  const write = async (): Promise<void> => {
    const wanted: NewComment = { anchor, text: text.trim(), ...(target !== undefined && { target }) };
    if (await act(() => api.post(`submissions/${detail.id}/comments`, wanted), 'The comment is kept.')) setText('');
  };
  return (
    <form
      className="border-b border-rule px-3.5 pb-3 pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        void write();
      }}
    >
      <label className="block">
        <span className="words mb-1 block text-sm text-quiet">
          {subjectOf(map, assignment.legend, { anchor, target: target ?? null })}
        </span>
        <textarea
          className="field"
          rows={2}
          maxLength={2000}
          value={text}
          placeholder="Write a comment …"
          onChange={({ target: field }) => setText(field.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
              event.preventDefault();
              void write();
            }
          }}
        />
      </label>
      <div className="mt-1.5 flex items-center justify-between gap-2">
        <span className="text-xs text-quiet">{anchor === 'map' ? 'Choose a topic or a link to speak of it.' : ''}</span>
        <Button small type="submit" disabled={text.trim() === ''}>
          Add
        </Button>
      </div>
    </form>
  );
}

function OwnComment({
  comment,
  frozen: { map, assignment },
  mayMark,
  onGo,
  act,
}: Omit<Writing, 'detail'> & { comment: CommentRow; mayMark: boolean; onGo: (ids: readonly string[]) => void }) {
  const [text, setText] = useState<string | null>(null);
  const change = async (): Promise<void> => {
    if (await act(() => api.patch(`comments/${comment.id}`, { text: text?.trim() }), 'The comment is changed.'))
      setText(null);
  };
  return (
    <CommentCard
      comment={text === null ? comment : { ...comment, text: '' }}
      map={map}
      legend={assignment.legend}
      {...(comment.target && { onGo: () => onGo([comment.target!]) })}
    >
      {text !== null && (
        <textarea
          aria-label="Change the comment"
          className="field"
          rows={3}
          maxLength={2000}
          value={text}
          onChange={({ target }) => setText(target.value)}
        />
      )}
      {mayMark && (
        <div className="mt-1 flex gap-1">
          {text === null ? (
            <>
              <Button small look="quiet" onClick={() => setText(comment.text)}>
                Change
              </Button>
              <Button
                small
                look="quiet"
                onClick={() => void act(() => api.delete(`comments/${comment.id}`), 'The comment is deleted.')}
              >
                Delete
              </Button>
            </>
          ) : (
            <>
              <Button small onClick={() => void change()} disabled={text.trim() === ''}>
                Keep
              </Button>
              <Button small look="quiet" onClick={() => setText(null)}>
                Cancel
              </Button>
            </>
          )}
        </div>
      )}
    </CommentCard>
  );
}
