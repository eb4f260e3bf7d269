import { useState } from 'react';
import { api } from '../app/api';
import { useAction } from '../app/use-action';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';

/** A word in answer to a comment. */
export function AnswerComment({ commentId }: { commentId: string }) {
  const { trouble, act } = useAction();
  const [text, setText] = useState<string | null>(null);
  if (text === null)
    return (
      <Button small look="quiet" onClick={() => setText('')}>
        Answer
      </Button>
    );
  const send = async (): Promise<void> => {
    if (text.trim() === '') return;
    if (await act(() => api.post(`comments/${commentId}/answers`, { text: text.trim() }), 'Your answer is kept.'))
      setText(null);
  };
  return (
    <form
      className="mt-1"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <Trouble>{trouble}</Trouble>
      <textarea
        aria-label="Your answer"
        className="field"
        rows={2}
        maxLength={2000}
        autoFocus
        value={text}
        onChange={({ target }) => setText(target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return;
          event.preventDefault();
          void send();
        }}
      />
      <div className="mt-1 flex gap-1">
        <Button small type="submit" disabled={text.trim() === ''}>
          Answer
        </Button>
        <Button small look="quiet" onClick={() => setText(null)}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
