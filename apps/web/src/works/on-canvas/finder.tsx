import { normalForm } from '@ichnograph/core';
import { X } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { RefObject } from 'react';
import { Button } from '../../ui/button';
import { heldIn, useEditor, useEditorState } from '../editor';
import type { Asking } from '../editor';

const ASKED: Record<Asking, (name: string) => string> = {
  link: (name) => `Link from “${name}” to …`,
  hang: (name) => `Hang “${name}” from …`,
  from: () => 'Let the link begin at …',
  to: () => 'Let the link lead to …',
};

/**
 * Asks for a topic: to link to, to hang from, to take an end of a link to. A press on it answers, or a part of its words. It
 * lies beside the map, not over it.
 */
export function Finder({ host }: { host: RefObject<HTMLDivElement | null> }) {
  const asking = useEditorState((state) => state.asking);
  const held = useEditorState(heldIn);
  if (!asking || !held) return null;
  return <Asked key={held.id} what={ASKED[asking]('text' in held ? held.text : '')} held={held.id} host={host} />;
}

function Asked({ what, held, host }: { what: string; held: string; host: RefObject<HTMLDivElement | null> }) {
  const { actions, store } = useEditor();
  const map = useEditorState((state) => state.map);
  const refusal = useEditorState((state) => state.refusal);
  const [words, setWords] = useState('');
  const wanted = normalForm(words);
  // Nothing is listed before something is typed: the map lies open to the hand.
  const found =
    wanted === '' ? [] : map.topics.filter(({ id, text }) => id !== held && normalForm(text).includes(wanted));
  // Whatever ends the asking, the next key is the canvas's, unless words are typed on it already.
  useEffect(() => {
    const canvas = host.current;
    return () => {
      if (!store.getState().typing) canvas?.focus({ preventScroll: true });
    };
  }, [host, store]);
  return (
    <div
      role="dialog"
      aria-label={what}
      className="card nowheel absolute left-3 top-3 z-30 grid w-64 gap-1.5 border-ink p-2"
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Escape') actions.ask(null);
      }}
    >
      <div className="flex items-start justify-between gap-2">
        <p className="words min-w-0 text-sm font-semibold">{what}</p>
        <Button small look="quiet" aria-label="Ask no more" onClick={() => actions.ask(null)}>
          <X aria-hidden size={14} />
        </Button>
      </div>
      <p className="text-xs text-quiet">Press the topic on the map, or type a part of its words.</p>
      <input
        autoFocus
        className="field"
        aria-label="Find a topic"
        placeholder="Type a part of its text"
        value={words}
        onChange={({ target }) => setWords(target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || event.nativeEvent.isComposing || !found[0]) return;
          event.preventDefault();
          actions.answerWith(found[0].id);
        }}
      />
      {refusal && <p className="words text-xs text-madder">{refusal}</p>}
      {found.length > 0 && (
        <ul className="grid max-h-44 gap-px overflow-y-auto" aria-label="Topics">
          {found.map(({ id, text }) => (
            <li key={id}>
              <button
                type="button"
                className="words w-full rounded-sm px-2 py-1 text-left hover:bg-wash"
                onClick={() => actions.answerWith(id)}
              >
                {text}
              </button>
            </li>
          ))}
        </ul>
      )}
      {wanted !== '' && found.length === 0 && <p className="text-sm text-quiet">No other topic has these words.</p>}
    </div>
  );
}
