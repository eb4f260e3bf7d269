import { normalForm } from '@ichnograph/core';
import { useState } from 'react';
import { Dialog } from '../../ui/dialog';
import { useEditor, useEditorState } from '../editor';

/** Asks for a topic without a pointer: to link to, to hang from, to take an end of a link to. Type a part of its text, choose it. */
export function LinkDialog({ onClosed }: { onClosed: () => void }) {
  const { actions } = useEditor();
  const asking = useEditorState((state) => state.asking);
  const map = useEditorState((state) => state.map);
  const held = useEditorState(({ map: { topics, links }, selection }) =>
    [...topics, ...links].find(({ id }) => selection.includes(id)),
  );
  const [words, setWords] = useState('');
  const wanted = normalForm(words);
  const found = map.topics.filter(({ id, text }) => id !== held?.id && normalForm(text).includes(wanted));
  const choose = (to: string): void => {
    if (!held || !asking) return;
    setWords('');
    if (asking === 'link') actions.link(held.id, to);
    else if (asking === 'hang') actions.hang(held.id, to);
    else actions.reattach(held.id, asking, to);
  };
  const name = held && 'text' in held ? held.text : '';
  return (
    <Dialog
      open={asking !== null && held !== undefined}
      onOpenChange={(is) => {
        if (!is) actions.ask(null);
      }}
      title={
        asking === 'hang'
          ? `Hang “${name}” from …`
          : asking === 'from'
            ? 'Let the link begin at …'
            : asking === 'to'
              ? 'Let the link lead to …'
              : `Link from “${name}”`
      }
      onCloseAutoFocus={(event) => {
        event.preventDefault();
        onClosed();
      }}
    >
      <input
        data-autofocus
        className="field mb-2"
        aria-label="Find a topic"
        placeholder="Type a part of its text"
        value={words}
        onChange={({ target }) => setWords(target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && found[0]) {
            event.preventDefault();
            choose(found[0].id);
          }
        }}
      />
      <ul className="grid max-h-64 gap-px overflow-y-auto" aria-label="Topics">
        {found.map(({ id, text }) => (
          <li key={id}>
            <button
              type="button"
              className="words w-full rounded-sm px-2 py-1 text-left hover:bg-wash"
              onClick={() => choose(id)}
            >
              {text}
            </button>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="text-quiet">No other topic has these words.</p>}
    </Dialog>
  );
}
