import { LIMITS } from '@ichnograph/core';
import type { OutlineRow } from '@ichnograph/core';
import { EditorContent, useEditor as useTextEditor } from '@tiptap/react';
import type { Editor as TextEditor } from '@tiptap/react';
import { useEffect, useRef } from 'react';
import { useKeptNote } from '../kept-note';
import { NOTE_EXTENSIONS, noteDocument, noteOf } from './note-markdown';

/** The words about one topic, as they will be read. They are the topic's note, kept while one writes. */
export function NoteEditor({
  row: { id, text: title, note },
  language,
  begins,
  onFocus,
  onLeave,
}: {
  row: OutlineRow;
  language: string;
  /** whether it takes the focus when it comes, behind its last word */
  begins: boolean;
  /** told which editor has the focus */
  onFocus: (editor: TextEditor) => void;
  /** an arrow left the text at its top or bottom. @returns whether there was somewhere to go */
  onLeave: (by: 1 | -1) => boolean;
}) {
  const { text, type, keep } = useKeptNote({ id, note });
  const written = useRef(note);
  const leave = useRef(onLeave);
  useEffect(() => {
    leave.current = onLeave;
  });
  const editor = useTextEditor({
    extensions: NOTE_EXTENSIONS,
    content: noteDocument(note),
    autofocus: begins && 'end',
    editorProps: {
      attributes: {
        'aria-label': `About ${title}`,
        role: 'textbox',
        'aria-multiline': 'true',
        class: 'prose words essay-text',
        lang: language,
        dir: 'auto',
        spellcheck: 'true',
      },
      handleKeyDown: (view, event) => {
        const way = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
        if (way === 0 || event.shiftKey || event.altKey || !view.state.selection.empty) return false;
        const { $head } = view.state.selection;
        const atEdge = way === 1 ? $head.after(1) === view.state.doc.content.size : $head.before(1) === 0;
        return atEdge && view.endOfTextblock(way === 1 ? 'down' : 'up') && leave.current(way);
      },
    },
    onFocus: ({ editor: focused }) => onFocus(focused),
    onUpdate: ({ editor: changed }) => {
      const now = noteOf(changed.getJSON());
      written.current = now;
      type(now);
    },
    onBlur: () => keep(),
  });
  // What somebody else wrote, or an undo took back, is shown; what is typed here is what is kept already.
  useEffect(() => {
    if (!editor || text === written.current) return;
    written.current = text;
    showIn(editor, text);
  }, [editor, text]);
  const isOver = text.length > LIMITS.note;
  return (
    <>
      <EditorContent editor={editor} data-note={id} />
      {isOver && (
        <p role="alert" className="text-sm text-madder">
          There is room for {LIMITS.note.toLocaleString('en')} characters about one topic. The end is not kept: shorten
          it.
        </p>
      )}
    </>
  );
}

/** Puts only what is otherwise into the text, so that the caret stays where it is. It is no step of one's own to undo. */
function showIn({ state, view, schema }: TextEditor, note: string): void {
  const next = schema.nodeFromJSON(noteDocument(note));
  const start = state.doc.content.findDiffStart(next.content);
  const ends = state.doc.content.findDiffEnd(next.content);
  if (start === null || !ends) return;
  // Where letters repeat the two would overlap (ProseMirror guide, "Diffing").
  const overlap = Math.max(0, start - Math.min(ends.a, ends.b));
  const change = state.tr.replace(start, ends.a + overlap, next.slice(start, ends.b + overlap));
  view.dispatch(change.setMeta('addToHistory', false).setMeta('preventUpdate', true));
}
