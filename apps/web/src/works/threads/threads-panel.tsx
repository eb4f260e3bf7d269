import type { CommentRow, NewComment } from '@ichnograph/contract';
import { useEffect, useState } from 'react';
import { api } from '../../common/api';
import { useWords } from '../../common/drafts';
import { useMe, useTimeZone } from '../../common/queries';
import { useSend } from '../../common/send';
import { showMoment } from '../../common/dates';
import { AnswerComment, MentionWriting, Said, SettleComment, subjectAt, subjectOf } from '../../map';
import { Button } from '../../ui/button';
import { Trouble } from '../../ui/field';
import { useEditorState } from '../editor';
import type { OpenWork } from '../use-live-work';
import { newIn } from './use-threads';
import type { Threads } from './use-threads';

/** So long threads are in sight before they count as read. */
const READ_MS = 1500;

/** What is said on a map while it is drawn: threads, newest word first, and a word of one's own on what is chosen. */
export function ThreadsPanel({
  workId,
  threads,
  open: { assignment },
  onGo,
}: {
  workId: string;
  threads: Threads;
  open: OpenWork;
  onGo: (ids: readonly string[]) => void;
}) {
  const { id: me } = useMe();
  const [settled, showSettled] = useState(false);
  const newSince = useRead(workId, threads);
  const last = ({ at, answers }: CommentRow): string => answers.at(-1)?.at ?? at;
  const shown = threads.all.filter((one) => settled || !one.settled).toSorted((a, b) => last(b).localeCompare(last(a)));
  const hidden = threads.all.length - threads.all.filter((one) => !one.settled).length;
  return (
    <div className="pb-4" data-testid="threads">
      {threads.mayBegin && <Begin workId={workId} threads={threads} open={{ assignment }} />}
      {threads.all.length === 0 && (
        <p className="px-3.5 py-3 text-quiet">
          {threads.mayBegin
            ? 'Nothing is said yet. Choose a topic or a link to speak of it; those who draw this map and those who teach you read along.'
            : 'Nothing is said on this map.'}
        </p>
      )}
      <ol aria-label="Comments">
        {shown.map((comment) => (
          <Thread
            key={comment.id}
            comment={comment}
            people={threads.people}
            legend={assignment.legend}
            newOnes={newIn(comment, newSince, me).length}
            onGo={onGo}
          />
        ))}
      </ol>
      {hidden > 0 && (
        <Button small look="quiet" className="mx-2 mt-2" onClick={() => showSettled(!settled)}>
          {settled
            ? 'Hide what is settled'
            : hidden === 1
              ? 'Show one that is settled'
              : `Show ${hidden} that are settled`}
        </Button>
      )}
    </div>
  );
}

/** Keeps that what is in sight was read. @returns since when things are shown as new: what one reads just now stays new to the eye */
function useRead(workId: string, { all, readUntil, unread }: Threads): string | null {
  const [since] = useState(readUntil);
  const { send } = useSend([`works/${workId}`, 'today']);
  const newest = all
    .flatMap(({ at, answers }) => [at, ...answers.map((one) => one.at)])
    .sort()
    .at(-1);
  useEffect(() => {
    if (unread === 0 || newest === undefined) return;
    const read = (): void => {
      if (document.visibilityState === 'visible')
        void send(() => api.put(`works/${workId}/comments/read`, { until: newest }));
    };
    const timer = setTimeout(read, READ_MS);
    document.addEventListener('visibilitychange', read);
    return () => {
      clearTimeout(timer);
      document.removeEventListener('visibilitychange', read);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once for each newest word
  }, [workId, newest, unread]);
  return since;
}

function Begin({ workId, threads, open }: { workId: string; threads: Threads; open: Pick<OpenWork, 'assignment'> }) {
  const map = useEditorState((state) => state.map);
  const selected = useEditorState((state) => state.selection);
  const { text, setText, takes } = useWords(`word on ${workId}`);
  const { trouble, send } = useSend([`works/${workId}`]);
  const [chosen] = selected.length === 1 ? selected : [];
  // A region is not chosen on the map: its title opens what changes it.
  const [region, setRegion] = useState('');
  const isRegion = map.regions.some(({ id }) => id === region);
  const subject = isRegion ? { anchor: 'region' as const, target: region } : subjectAt(map, chosen);
  const say = (): void => {
    if (text.trim() === '') return;
    const { anchor, target } = subject;
    const wanted: NewComment = { anchor, text: text.trim(), ...(target !== null && { target }) };
    void send(() => api.post(`works/${workId}/comments`, wanted), 'It is said, and can be read now.', { takes });
  };
  return (
    <form
      className="border-b border-rule px-3.5 pb-3 pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        say();
      }}
    >
      <Trouble>{trouble}</Trouble>
      {map.regions.length > 0 && (
        <select
          aria-label="Of what you speak"
          className="field mb-1 w-full py-1 text-sm"
          value={isRegion ? region : ''}
          onChange={({ target }) => setRegion(target.value)}
        >
          <option value="">What is chosen, or the whole map</option>
          {map.regions.map(({ id, title }) => (
            <option key={id} value={id}>
              The region “{title}”
            </option>
          ))}
        </select>
      )}
      <label className="block">
        <span className="words mb-1 block text-sm text-quiet">{subjectOf(map, open.assignment.legend, subject)}</span>
        <MentionWriting
          people={threads.people}
          placeholder="Say something while it is drawn; @ names somebody …"
          value={text}
          onText={setText}
          onSend={say}
        />
      </label>
      <Button small type="submit" className="mt-1" disabled={text.trim() === ''}>
        Say it
      </Button>
    </form>
  );
}

function Thread({
  comment,
  people,
  legend,
  newOnes,
  onGo,
}: {
  comment: CommentRow;
  people: Threads['people'];
  legend: OpenWork['assignment']['legend'];
  newOnes: number;
  onGo: (ids: readonly string[]) => void;
}) {
  const map = useEditorState((state) => state.map);
  const zone = useTimeZone();
  const { anchor, target } = comment;
  const subject = subjectOf(map, legend, comment);
  const isThere = [...map.topics, ...map.links].some(({ id }) => id === target);
  return (
    <li
      className={`border-b border-rule border-l-[3px] px-3 py-2 ${newOnes > 0 ? 'border-l-indigo bg-wash' : 'border-l-transparent'}`}
      data-thread={comment.id}
    >
      <p className="flex items-baseline justify-between gap-2 text-sm text-quiet">
        {isThere && target !== null ? (
          <button type="button" className="words min-w-0 text-left hover:underline" onClick={() => onGo([target])}>
            {subject}
          </button>
        ) : (
          <span className="words min-w-0">{anchor === 'topic' || anchor === 'link' ? 'on what is gone' : subject}</span>
        )}
        {newOnes > 0 && <b className="shrink-0 text-indigo">{newOnes === 1 ? 'new' : `${newOnes} new`}</b>}
        {comment.settled && <span className="shrink-0 text-action">settled</span>}
      </p>
      {[comment, ...comment.answers].map((one, i) => (
        <p key={one.id} className={`words whitespace-pre-wrap ${i > 0 ? 'mt-1 border-l-2 border-rule pl-2' : ''}`}>
          <b className="text-sm">{one.by.givenName}</b>{' '}
          <span className="text-xs text-quiet">{showMoment(one.at, zone)}</span>
          <br />
          <Said text={one.text} people={people} />
        </p>
      ))}
      <div className="mt-1 flex flex-wrap gap-1">
        <AnswerComment commentId={comment.id} people={people} />
        <SettleComment comment={comment} />
      </div>
    </li>
  );
}
