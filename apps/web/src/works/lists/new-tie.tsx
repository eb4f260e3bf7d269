import { isBlank } from '@ichnograph/core';
import { useState } from 'react';
import { Button } from '../../ui/button';
import { TOPIC_NAMES } from './topic-names';

/** The line that ties a topic to another: the words between them, and the other, of the map or new. */
export function NewTie({
  from,
  onTie,
  onClose,
}: {
  from: string;
  /** @returns whether it stands on the map */
  onTie: (phrase: string, to: string) => boolean;
  onClose: () => void;
}) {
  const [words, setWords] = useState({ phrase: '', to: '' });
  const field = (name: keyof typeof words, label: string) => ({
    'aria-label': label,
    placeholder: label,
    className: 'field min-w-20 flex-1 px-1.5 py-1 text-sm',
    dir: 'auto',
    value: words[name],
    onChange: ({ target }: { target: { value: string } }) => setWords({ ...words, [name]: target.value }),
  });
  return (
    <form
      aria-label={`A tie from ${from}`}
      className="ml-5 mt-1 flex flex-wrap gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isBlank(words.to) && onTie(words.phrase, words.to)) onClose();
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Escape') onClose();
      }}
    >
      <input autoFocus {...field('phrase', 'what it does to')} />
      <input list={TOPIC_NAMES} {...field('to', 'another topic')} />
      <Button type="submit" small>
        Tie
      </Button>
    </form>
  );
}
