import { GATHERING_LIMITS } from '@ichnograph/contract';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { SaidError } from '../common/api';
import { useClasses } from '../common/queries';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { ClassChoice } from '../ui/class-choice';
import { Dialog } from '../ui/dialog';
import { Trouble } from '../ui/field';

/** Puts a question to a class. */
export function AskClass({ look = 'plain' }: { look?: 'plain' | 'action' }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look={look} onClick={() => setOpen(true)}>
        Ask a class
      </Button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title="Ask a class"
        description="The question stands on the projector with a code; your students answer on their own devices, and alike ideas fall together."
      >
        {open && <AskForm />}
      </Dialog>
    </>
  );
}

function AskForm() {
  const navigate = useNavigate();
  const classes = (useClasses().data ?? []).filter(({ archived, part }) => !archived && part !== null);
  const { send, trouble, isSending } = useSend(['gatherings']);
  const [chosen, choose] = useState('');
  const [question, setQuestion] = useState('What do you know already about ');
  const [anonymous, setAnonymous] = useState(true);
  const classId = chosen || (classes[0]?.id ?? '');
  const ask = (): Promise<boolean> =>
    send(async (post) => {
      if (classId === '') throw new SaidError('You teach no class yet.');
      if (question.trim() === '') throw new SaidError('A question has words.');
      const { id } = await post<{ id: string }>('gatherings', { classId, question: question.trim(), anonymous });
      await navigate(`/gatherings/${id}`);
    }, 'The question is open.');
  return (
    <form
      noValidate
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        void ask();
      }}
    >
      <Trouble>{trouble}</Trouble>
      <label className="block">
        <span className="mb-1 block font-semibold">Question</span>
        <textarea
          className="field"
          rows={2}
          data-autofocus
          maxLength={GATHERING_LIMITS.question}
          value={question}
          onChange={({ target }) => setQuestion(target.value)}
          onFocus={({ target }) => target.setSelectionRange(target.value.length, target.value.length)}
        />
      </label>
      <ClassChoice label="Class" classes={classes} value={classId} onChange={choose} />
      <label className="flex items-start gap-2">
        <input
          type="checkbox"
          className="mt-1"
          checked={anonymous}
          onChange={({ target }) => setAnonymous(target.checked)}
        />
        <span>
          Students do not see who sent what
          <span className="block text-sm text-quiet">You do, and the projector shows names only when you say so.</span>
        </span>
      </label>
      <Button type="submit" look="action" className="justify-self-end" disabled={isSending}>
        Open the question
      </Button>
    </form>
  );
}
