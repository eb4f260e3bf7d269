import type { CommentRow, NewComment } from '@ichnograph/contract';
import { useEffect, useRef, useState } from 'react';
import { api } from '../common/api';
import { useDraft } from '../common/drafts';
import { focusOn } from '../common/focus-on';
import type { Post, Send } from '../common/send';
import { CommentCard, subjectAt, subjectOf } from '../map';
import type { FrozenView } from '../map';
import { Button } from '../ui/button';
import { Writing } from '../ui/writing';

interface Saying {
  view: FrozenView;
  send: Send;
}

type Draft = Pick<NewComment, 'anchor' | 'text'> & { target: string | null };

/** Writes on what is chosen on the map, else on the whole. What was begun stays with what it was begun for. */
export function WriteComment({
  submissionId,
  view: {
    frozen: { map, assignment },
    selection,
    requirement,
    spot,
    chooseComment,
  },
  send,
  onBank,
}: Saying & { submissionId: string; onBank: () => void }) {
  const [keeps, setKeeps] = useState(false);
  const [draft, setDraft] = useDraft<Draft>(`comment on ${submissionId}`);
  // Of a link one speaks of what it says, or of how it is drawn.
  const [ofLink, setOfLink] = useState<'proposition' | 'link'>('proposition');
  const [chosen] = selection.length === 1 ? selection : [];
  const subject = subjectAt(map, chosen, spot, ofLink);
  const current: Draft = draft ?? { ...subject, text: '' };
  const elsewhere = draft !== null && draft.target !== subject.target;
  const isOfLink = current.anchor === 'proposition' || current.anchor === 'link';
  // Given back unless another was begun meanwhile: that one is not lost either, by standing before it.
  const latest = useRef(draft);
  useEffect(() => {
    latest.current = draft;
  });
  const takes = (): (() => void) => {
    setDraft(null);
    return () => setDraft(latest.current ? { ...current, text: `${current.text}\n${latest.current.text}` } : current);
  };
  const speakOf = (anchor: 'proposition' | 'link'): void => {
    setOfLink(anchor);
    if (draft) setDraft({ ...draft, anchor });
  };
  const write = async (): Promise<void> => {
    if (current.text.trim() === '') return;
    const { anchor, target, text } = current;
    const wanted: NewComment = { anchor, text: text.trim(), ...(target !== null && { target }) };
    const both = async (post: Post): Promise<void> => {
      const { id } = await post<CommentRow>(`submissions/${submissionId}/comments`, wanted);
      if (keeps) await post('remarks', { text: wanted.text, ...(requirement !== null && { requirement }) });
      chooseComment(id);
    };
    if (await send(both, keeps ? 'The comment is kept, and stands in the bank.' : 'The comment is kept.', { takes }))
      setKeeps(false);
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
        <span className="words mb-1 block text-sm text-quiet">{subjectOf(map, assignment.legend, current)}</span>
        <Writing
          data-write-comment
          placeholder="Write a comment …"
          value={current.text}
          onText={(text) => setDraft(text === '' ? null : { ...current, text })}
          onSend={() => void write()}
        />
      </label>
      <div className="mt-1.5 flex items-center justify-between gap-2">
        {elsewhere ? (
          <Button small look="quiet" className="min-w-0 shrink" onClick={() => setDraft({ ...draft, ...subject })}>
            <span className="truncate">Put it {subjectOf(map, assignment.legend, subject)}</span>
          </Button>
        ) : isOfLink ? (
          <Button small look="quiet" onClick={() => speakOf(current.anchor === 'link' ? 'proposition' : 'link')}>
            {current.anchor === 'link' ? 'Speak of what it says' : 'Speak of the link itself'}
          </Button>
        ) : (
          <span className="text-xs text-quiet">
            {current.anchor === 'map'
              ? 'Choose a topic, a link or a region, or double-click a spot, to speak of it.'
              : ''}
          </span>
        )}
        <Button small type="submit" disabled={current.text.trim() === ''}>
          Add
        </Button>
      </div>
      <div className="mt-1 flex items-center justify-between gap-2 text-sm">
        <label className="flex items-center gap-1.5">
          <input type="checkbox" checked={keeps} onChange={({ target }) => setKeeps(target.checked)} />
          Keep it for use again
        </label>
        <Button small look="quiet" title="The key /" onClick={onBank}>
          Remark bank
        </Button>
      </div>
    </form>
  );
}

/** A comment in the margin, which its writer may change until the map is returned. */
export function OwnComment({
  comment,
  letter,
  view: {
    frozen: { map, assignment },
    go,
    chooseComment,
  },
  mayMark,
  send,
  onDeleted,
}: Saying & { comment: CommentRow; letter: string; mayMark: boolean; onDeleted: (comment: CommentRow) => void }) {
  const [draft, setDraft] = useDraft<string>(`change of ${comment.id}`);
  const text = draft;
  const remove = async (): Promise<void> => {
    if (await send(() => api.delete(`comments/${comment.id}`), 'The comment is deleted.')) onDeleted(comment);
  };
  const change = async (): Promise<void> => {
    if (await send(() => api.patch(`comments/${comment.id}`, { text: text?.trim() }), 'The comment is changed.'))
      close();
  };
  const home = useRef<HTMLDivElement>(null);
  /** The field and its buttons go; the focus stays where the change was asked for. */
  const close = (): void => {
    setDraft(null);
    focusOn(() => home.current?.querySelector<HTMLElement>('[data-change]'));
  };
  return (
    <CommentCard
      comment={text === null ? comment : { ...comment, text: '' }}
      letter={letter}
      map={map}
      legend={assignment.legend}
      onClose={() => chooseComment(null)}
      {...(comment.target && { onGo: () => go([comment.target!]) })}
    >
      {text !== null && (
        <textarea
          aria-label="Change the comment"
          className="field"
          rows={3}
          maxLength={2000}
          value={text}
          onChange={({ target }) => setDraft(target.value)}
        />
      )}
      {mayMark && (
        <div ref={home} className="mt-1 flex gap-1">
          {text === null ? (
            <>
              <Button
                small
                data-change
                look="quiet"
                onClick={() => {
                  setDraft(comment.text);
                  focusOn(() => home.current?.parentElement?.querySelector('textarea'));
                }}
              >
                Change
              </Button>
              <Button small look="quiet" onClick={() => void remove()}>
                Delete
              </Button>
            </>
          ) : (
            <>
              <Button small onClick={() => void change()} disabled={text.trim() === ''}>
                Keep
              </Button>
              <Button small look="quiet" onClick={close}>
                Cancel
              </Button>
            </>
          )}
        </div>
      )}
    </CommentCard>
  );
}

/** What was deleted a moment ago, and the way back. */
export function BringBack({ comment, send, onDone }: { comment: CommentRow; send: Send; onDone: () => void }) {
  const restore = async (): Promise<void> => {
    if (await send(() => api.post(`comments/${comment.id}/restore`), 'The comment is back.')) onDone();
  };
  return (
    <p className="flex items-center justify-between gap-2 border-b border-rule bg-ochre-wash px-3.5 py-1.5 text-sm">
      <span className="min-w-0 truncate">Deleted: {comment.text}</span>
      <Button small onClick={() => void restore()}>
        Bring it back
      </Button>
    </p>
  );
}
