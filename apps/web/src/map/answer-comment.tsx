import { useState } from 'react';
import { api } from '../common/api';
import { useAction } from '../common/use-action';
import { useOnce } from '../common/use-once';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';
import { Writing } from '../ui/writing';

/** A word in answer to a comment. */
export function AnswerComment({ commentId }: { commentId: string }) {
  const { trouble, act } = useAction();
  const [text, setText] = useState<string | null>(null);
  const send = useOnce(async (): Promise<void> => {
    const said = text?.trim() ?? '';
    if (said === '') return;
    if (await act(() => api.post(`comments/${commentId}/answers`, { text: said }), 'Your answer is kept.'))
      setText(null);
  });
  if (text === null)
    return (
      <Button small look="quiet" onClick={() => setText('')}>
        Answer
      </Button>
    );
  return (
    <form
      className="mt-1"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <Trouble>{trouble}</Trouble>
      <Writing aria-label="Your answer" autoFocus value={text} onText={setText} onSend={send} />
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
