import type { SubmissionDetail, WorkDetail } from '@ichnograph/contract';
import { lookAgain, lookAgainSentence, numbered, say } from '@ichnograph/core';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useStore } from 'zustand';
import { api } from '../../common/api';
import { useDraft } from '../../common/drafts';
import { showMoment } from '../../common/dates';
import { useTimeZone } from '../../common/queries';
import { useSend } from '../../common/send';
import { useIsPast } from '../../common/use-is-past';
import { Sentence } from '../../map';
import { Button } from '../../ui/button';
import { Dialog } from '../../ui/dialog';
import { Trouble } from '../../ui/field';
import { StatusMark } from '../../ui/status-mark';
import { useEditor, useEditorState } from '../editor';
import { saveSentence } from '../told/save-words';
import type { OpenWork } from '../use-live-work';

/** What is not met yet, a note to the teacher, and the act itself, which waits until everything is saved. */
export function HandInDialog({
  detail,
  open: { work },
  shown,
  onShow,
  onGo,
  onPrint,
}: {
  detail: WorkDetail;
  open: OpenWork;
  shown: boolean;
  onShow: (shown: boolean) => void;
  /** leads to things on the map */
  onGo: (ids: readonly string[]) => void;
  /** shows it as it is on paper */
  onPrint: () => void;
}) {
  const navigate = useNavigate();
  const zone = useTimeZone();
  const isLate = useIsPast(detail.due);
  const { assignment } = useEditor();
  const report = useEditorState((state) => state.report);
  const state = useStore(work.store, (store) => store.state);
  const [draft, setNote] = useDraft<string>(`note on ${detail.id}`);
  const note = draft ?? '';
  const { trouble, isSending, send } = useSend('everything');
  const open = numbered(report?.results ?? []).filter(({ status }) => status !== 'met' && status !== 'not-applicable');
  const handIn = async (): Promise<void> => {
    let id = '';
    const post = async (): Promise<void> => {
      const { client, made: count } = work.live;
      ({ id } = await api.post<SubmissionDetail>(`works/${detail.id}/hand-in`, { note, client, count }));
    };
    if (!(await send(post, 'Your map is handed in.'))) return;
    setNote(null);
    await navigate(`/receipts/${id}`);
  };
  return (
    <Dialog open={shown} onOpenChange={onShow} title={`Hand in “${detail.title}”`}>
      <Trouble>{trouble}</Trouble>
      {open.length === 0 ? (
        <p className="mb-4">Everything that was asked for is met.</p>
      ) : (
        <div className="mb-4">
          <p className="mb-2">
            {open.length === 1 ? 'One thing is' : `${open.length} things are`} not wholly met. You may hand in all the
            same.
          </p>
          {/* It may scroll, so it can be reached by key. */}
          <ul
            tabIndex={0}
            aria-label="What is not wholly met"
            className="grid max-h-48 gap-1.5 overflow-y-auto border-y border-rule py-2"
          >
            {open.map(({ number, ...result }) => (
              <li key={result.id} className="flex items-start gap-2">
                <span className="w-5 text-right font-mono text-sm text-quiet">{number}</span>
                <span className="mt-[3px]">
                  <StatusMark status={result.status} />
                </span>
                <span className="words min-w-0">
                  <Sentence of={result.id} assignment={assignment} />
                  <span className="block text-sm text-quiet">{say(result.type, result)}</span>
                </span>
              </li>
            ))}
          </ul>
        </div>
      )}
      <LookAgainList onGo={onGo} onPrint={onPrint} />
      <label className="mb-4 block">
        <span className="mb-1 block font-semibold">A note to your teacher</span>
        <textarea
          className="field"
          rows={3}
          maxLength={2000}
          value={note}
          onChange={({ target }) => setNote(target.value === '' ? null : target.value)}
          placeholder="If there is something to say"
        />
      </label>
      {isLate && (
        <p className="mb-2 text-sm text-ochre">
          It was due {showMoment(detail.due!, zone)}, so it is handed in as late. Your teacher sees by how much.
        </p>
      )}
      <p className="mb-4 text-sm text-quiet">
        The map is kept as it is now, with its check.{' '}
        {detail.mayHandInAgain
          ? 'You may go on and hand in again until your teacher begins to mark.'
          : 'This assignment is handed in once: after that the map stays as it is.'}
      </p>
      <div className="flex items-center justify-end gap-3">
        {state !== 'saved' && (
          <span className="text-sm text-madder" role="status">
            {saveSentence(state) ?? 'Waiting until everything is saved …'}
          </span>
        )}
        <Button onClick={() => onShow(false)}>Not yet</Button>
        <Button look="action" disabled={isSending || state !== 'saved'} onClick={() => void handIn()}>
          {isSending ? 'Handing in …' : 'Hand in'}
        </Button>
      </div>
    </Dialog>
  );
}

/** What is worth another look whatever was asked for; a press leads there. */
function LookAgainList({ onGo, onPrint }: { onGo: (ids: readonly string[]) => void; onPrint: () => void }) {
  const { assignment } = useEditor();
  const map = useEditorState((state) => state.map);
  const found = useMemo(() => lookAgain(map, assignment), [map, assignment]);
  return (
    <section aria-label="Look again" className="mb-4">
      <div className="mb-1 flex items-baseline justify-between gap-3">
        <h3 className="font-semibold">Look again</h3>
        <Button small look="quiet" onClick={onPrint}>
          As it is on paper
        </Button>
      </div>
      <p className="mb-1 text-sm text-quiet">Is each where it belongs? Could its words be better?</p>
      <ul className="grid gap-1">
        {found.map((one) => (
          <li key={one.code} className="flex items-baseline justify-between gap-3">
            <span className="words min-w-0">{lookAgainSentence(one)}</span>
            {one.code === 'small' && (
              <Button small look="quiet" onClick={onPrint}>
                On several sheets
              </Button>
            )}
            {one.marks.length > 0 && (
              <Button small look="quiet" onClick={() => onGo(one.marks)}>
                Show
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
