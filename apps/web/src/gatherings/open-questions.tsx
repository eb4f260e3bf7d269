import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useGatherings } from '../common/queries';
import { useSend } from '../common/send';
import { Button, buttonClass } from '../ui/button';
import { Trouble } from '../ui/field';

/** Questions that wait for one's ideas, or that one has open. */
export function OpenQuestions() {
  const open = (useGatherings().data ?? []).filter((one) => one.open);
  if (open.length === 0) return null;
  return (
    <section className="mb-8" aria-label="Open questions">
      <h2 className="caption mb-2">Open questions</h2>
      <ul className="grid gap-3">
        {open.map(({ id, question, className, leads, ideas }) => (
          <li key={id} className="card flex flex-wrap items-center justify-between gap-4 p-4">
            <div className="min-w-0 flex-1">
              <p className="text-sm text-quiet">{className}</p>
              <h3 className="words text-lg font-semibold">{question}</h3>
              <p className="text-sm text-quiet">{ideas === 1 ? 'one idea so far' : `${ideas} ideas so far`}</p>
            </div>
            <Link
              className={buttonClass(leads ? 'plain' : 'action')}
              to={`/gatherings/${id}`}
              aria-label={`${leads ? 'Open the board' : 'Answer'}: ${question}`}
            >
              {leads ? 'Open the board' : 'Answer'}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The word that stands beside a question on the projector. */
export function CodeOnTheBoard() {
  const navigate = useNavigate();
  const { send, trouble } = useSend([]);
  const [code, setCode] = useState('');
  return (
    <form
      noValidate
      className="mt-8 border-t border-rule pt-4"
      onSubmit={(event) => {
        event.preventDefault();
        void send(async (post) => {
          const { id } = await post<{ id: string }>('gatherings/find', { code });
          await navigate(`/gatherings/${id}`);
        });
      }}
    >
      <Trouble>{trouble}</Trouble>
      <label className="flex flex-wrap items-center gap-2">
        <span className="text-quiet">Is there a question with a code on the board?</span>
        <input
          className="field w-28 font-mono"
          value={code}
          maxLength={20}
          autoCapitalize="characters"
          autoComplete="off"
          placeholder="K7M2Q"
          aria-label="Code on the board"
          onChange={({ target }) => setCode(target.value)}
        />
        <Button type="submit" disabled={code.trim() === ''}>
          Go to the question
        </Button>
      </label>
    </form>
  );
}
