import type { CommentRow, NewComment } from '@ichnograph/contract';
import { useRef, useState } from 'react';
import { api } from '../app/api';
import { CommentCard, subjectOf } from '../map';
import type { FrozenView } from '../map';
import { Button } from '../ui/button';

type Act = (work: () => Promise<unknown>, said: string) => Promise<boolean>;
interface Writing {
  view: FrozenView;
  act: Act;
}

/** Writes on what is chosen on the map, else on the whole. */
export function WriteComment({
  submissionId,
  view: {
    frozen: { map, assignment },
    selection,
  },
  act,
}: Writing & { submissionId: string }) {
  const [text, setText] = useState('');
  const sending = useRef(false);
  const [target] = selection.length === 1 ? selection : [];
  const anchor = target === undefined ? 'map' : map.topics.some(({ id }) => id === target) ? 'topic' : 'link';
  const write = async (): Promise<void> => {
    // The keys come as fast as they are hit: one comment must not be written twice, nor an empty one at all.
    if (sending.current || text.trim() === '') return;
    sending.current = true;
    const wanted: NewComment = { anchor, text: text.trim(), ...(target !== undefined && { target }) };
    if (await act(() => api.post(`submissions/${submissionId}/comments`, wanted), 'The comment is kept.')) setText('');
    sending.current = false;
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

/** A comment in the margin, which its writer may change until the map is returned. */
export function OwnComment({
  comment,
  view: {
    frozen: { map, assignment },
    go,
  },
  mayMark,
  act,
}: Writing & { comment: CommentRow; mayMark: boolean }) {
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
      {...(comment.target && { onGo: () => go([comment.target!]) })}
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
