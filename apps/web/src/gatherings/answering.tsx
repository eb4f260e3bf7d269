import { asIdea } from '@ichnograph/core';
import { GATHERING_LIMITS } from '@ichnograph/contract';
import type { GatheringDetail, SentIdea } from '@ichnograph/contract';
import { X } from 'lucide-react';
import { useRef, useState } from 'react';
import { api } from '../common/api';
import { Page } from '../common/page';
import { useSend } from '../common/send';
import { Button } from '../ui/button';
import { Trouble } from '../ui/field';
import { NoWay } from './no-way';
import { setKnown } from './use-gathering';
import { byWeight } from './with-news';

/** What a student sees of a question: a place to answer, what they sent, and what the class says. */
export function Answering({ detail, isOpen }: { detail: GatheringDetail; isOpen: boolean }) {
  const { id, question, className, by, open, round, mine, ideas, anonymous } = detail;
  const { send, trouble } = useSend([]);
  const [text, setText] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const sendIt = (): void => {
    const idea = asIdea(text);
    if (idea === '') return;
    void send(
      async (post) => {
        const sent = await post<{ id: string }>(`gatherings/${id}/ideas`, { text: idea });
        const one: SentIdea = { id: sent.id, text: idea, round, at: new Date().toISOString() };
        setKnown(id, (known) => ({ ...known, mine: [...known.mine.filter((each) => each.id !== one.id), one] }));
      },
      `Sent: ${idea}`,
      {
        as: `send ${idea} ${mine.length}`,
        takes: () => {
          setText('');
          return () => setText((now) => (now === '' ? idea : now));
        },
      },
    );
    field.current?.focus();
  };
  const takeBack = (one: SentIdea): Promise<boolean> =>
    send(
      async () => {
        await api.delete(`gatherings/${id}/ideas/${one.id}`);
        setKnown(id, (known) => ({ ...known, mine: known.mine.filter((each) => each.id !== one.id) }));
      },
      `Taken back: ${one.text}`,
      { as: one.id },
    );
  return (
    <Page title={question} lead={`${by.givenName} ${by.familyName} asks ${className}.`}>
      <div className="grid max-w-2xl gap-6">
        <NoWay isOpen={isOpen} />
        <Trouble>{trouble}</Trouble>
        {open ? (
          <form
            noValidate
            onSubmit={(event) => {
              event.preventDefault();
              sendIt();
            }}
          >
            <label className="block">
              <span className="mb-1 block font-semibold">{round === 1 ? 'What you know' : 'What you know now'}</span>
              <span className="flex gap-2">
                <input
                  ref={field}
                  className="field min-h-11 text-lg"
                  value={text}
                  maxLength={GATHERING_LIMITS.idea}
                  autoFocus
                  autoComplete="off"
                  enterKeyHint="send"
                  placeholder="One idea, a word or a few"
                  onChange={({ target }) => setText(target.value)}
                />
                <Button type="submit" look="action" className="min-h-11">
                  Send
                </Button>
              </span>
            </label>
            <p className="mt-1 text-sm text-quiet">
              {anonymous
                ? 'Others in your class do not see who sent what. Your teacher does.'
                : 'Your class sees who sent what.'}
            </p>
          </form>
        ) : (
          <p role="status" className="border-l-4 border-ochre bg-ochre-wash px-3 py-2">
            This question is closed. What you sent is kept.
          </p>
        )}
        <section aria-labelledby="sent">
          <h2 id="sent" className="caption mb-1">
            What you sent
          </h2>
          {mine.length === 0 && <p className="text-quiet">Nothing yet. Each thing you send stands here.</p>}
          <ul className="grid">
            {mine.toReversed().map((one) => (
              <li key={one.id} className="flex items-center justify-between gap-3 border-b border-rule py-1">
                <span className="words">
                  {one.text}
                  {one.round === 2 && <span className="text-quiet"> · now</span>}
                </span>
                {open && (
                  <Button small look="quiet" aria-label={`Take back: ${one.text}`} onClick={() => void takeBack(one)}>
                    <X aria-hidden size={14} />
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </section>
        <section aria-labelledby="said">
          <h2 id="said" className="caption mb-1">
            What the class says
          </h2>
          {ideas.length === 0 ? (
            <p className="text-quiet">Nothing has come in yet.</p>
          ) : (
            <ul className="flex flex-wrap gap-1.5">
              {byWeight(ideas).map((idea) => (
                <li key={idea.id} className="card words px-2 py-1">
                  {idea.text}
                  {idea.people > 1 && <b className="font-mono text-sm"> {idea.people}</b>}
                  {idea.by.length > 0 && (
                    <span className="text-sm text-quiet"> {idea.by.map(({ givenName }) => givenName).join(', ')}</span>
                  )}
                </li>
              ))}
            </ul>
          )}
        </section>
      </div>
    </Page>
  );
}
