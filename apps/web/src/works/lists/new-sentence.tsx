import { isBlank } from '@ichnograph/core';
import { Plus } from 'lucide-react';
import { useRef, useState } from 'react';
import { Button } from '../../ui/button';
import { TOPIC_NAMES } from './topic-names';

/** A sentence that is written makes what it needs on the map. */
export function NewSentence({
  language,
  onWrite,
}: {
  language: string;
  /** @returns whether it stands on the map */
  onWrite: (from: string, phrase: string, to: string) => boolean;
}) {
  const [words, setWords] = useState({ from: '', phrase: '', to: '' });
  const first = useRef<HTMLInputElement>(null);
  const last = useRef<HTMLInputElement>(null);
  const field = (name: keyof typeof words, label: string) => ({
    'aria-label': label,
    placeholder: label,
    className: 'field min-w-24 flex-1 py-1',
    dir: 'auto',
    value: words[name],
    onChange: ({ target }: { target: { value: string } }) => setWords({ ...words, [name]: target.value }),
  });
  return (
    <form
      lang={language}
      className="flex flex-wrap items-center gap-1.5 border-t border-rule bg-white px-3 py-2"
      aria-label="A new sentence"
      onSubmit={(event) => {
        event.preventDefault();
        // Enter in an unfinished sentence goes on to its end.
        if (isBlank(words.to) && !isBlank(words.from)) return last.current?.focus();
        if (!onWrite(words.from, words.phrase, words.to)) return;
        setWords({ from: '', phrase: '', to: '' });
        first.current?.focus();
      }}
    >
      <input ref={first} list={TOPIC_NAMES} {...field('from', 'A topic')} />
      <input {...field('phrase', 'what it does to')} />
      <input ref={last} list={TOPIC_NAMES} {...field('to', 'another topic')} />
      <Button type="submit" small>
        <Plus aria-hidden size={14} />
        Add the sentence
      </Button>
    </form>
  );
}
