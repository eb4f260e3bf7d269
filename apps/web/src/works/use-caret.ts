import { useLayoutEffect, useRef } from 'react';
import type { RefObject } from 'react';
import type { EditorState } from './editor';

/** Keeps the caret between the letters it stands between while somebody else's come into the field. @returns to be told of each move */
export function useCaret(
  field: RefObject<HTMLTextAreaElement | HTMLInputElement | null>,
  merged: EditorState['merged'],
): () => void {
  const caret = useRef<[number, number] | null>(null);
  const done = useRef(merged);
  useLayoutEffect(() => {
    // What was merged into another field before this one is none of its business.
    if (merged === done.current) return;
    done.current = merged;
    if (!merged || !caret.current) return;
    const [start, end] = caret.current.map(merged.at) as [number, number];
    field.current?.setSelectionRange(start, end);
  }, [merged, field]);
  return () => {
    const { selectionStart, selectionEnd } = field.current ?? {};
    if (typeof selectionStart === 'number') caret.current = [selectionStart, selectionEnd ?? selectionStart];
  };
}
