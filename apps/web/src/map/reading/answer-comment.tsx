import type { Person } from '@ichnograph/contract';
import { useState } from 'react';
import { api } from '../../common/api';
import { useWords } from '../../common/drafts';
import { useSend } from '../../common/send';
import { Button } from '../../ui/button';
import { Trouble } from '../../ui/field';
import { MentionWriting } from './mention-writing';

const NOBODY: readonly Person[] = [];

/** A word in answer to a comment; what was begun stays when another comment is looked at. */
export function AnswerComment({
  commentId,
  people = NOBODY,
}: {
  commentId: string;
  /** who may be mentioned */
  people?: readonly Person[];
}) {
  const { trouble, send } = useSend(['submissions', 'works']);
  const { text, setText, takes } = useWords(`answer to ${commentId}`);
  const [opened, open] = useState(false);
  const isOpen = opened || text !== '';
  const close = (): void => {
    setText('');
    open(false);
  };
  const answer = async (): Promise<void> => {
    const said = text.trim();
    if (said === '') return;
    const post = (): Promise<unknown> => api.post(`comments/${commentId}/answers`, { text: said });
    if (await send(post, 'Your answer is kept.', { takes })) open(false);
  };
  if (!isOpen)
    return (
      <Button small look="quiet" onClick={() => open(true)}>
        Answer
      </Button>
    );
  return (
    <form
      className="mt-1"
      onSubmit={(event) => {
        event.preventDefault();
        void answer();
      }}
    >
      <Trouble>{trouble}</Trouble>
      <MentionWriting
        people={people}
        aria-label="Your answer"
        autoFocus={opened}
        value={text}
        onText={setText}
        onSend={() => void answer()}
      />
      <div className="mt-1 flex gap-1">
        <Button small type="submit" disabled={text.trim() === ''}>
          Answer
        </Button>
        <Button small look="quiet" onClick={close}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
