import { normalForm } from '@ichnograph/core';
import { useState } from 'react';
import { Dialog } from '../ui/dialog';
import { useEditor, useEditorState } from './editor';

/** Links the selected topic to another without a pointer: type a part of its text, choose it. */
export function LinkDialog({ onClosed }: { onClosed: () => void }) {
  const { actions } = useEditor();
  const open = useEditorState((state) => state.linking);
  const map = useEditorState((state) => state.map);
  const from = useEditorState(({ map: { topics }, selection }) => topics.find(({ id }) => selection.includes(id)));
  const [words, setWords] = useState('');
  const wanted = normalForm(words);
  const found = map.topics.filter(({ id, text }) => id !== from?.id && normalForm(text).includes(wanted));
  const choose = (to: string): void => {
    if (!from) return;
    setWords('');
    actions.link(from.id, to);
  };
  return (
    <Dialog
      open={open && from !== undefined}
      onOpenChange={actions.askLink}
      title={`Link from “${from?.text ?? ''}”`}
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
      <ul className="grid max-h-64 gap-px overflow-y-auto" aria-label="Topics to link to">
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
