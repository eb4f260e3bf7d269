import { LIMITS } from '@ichnograph/core';
import { useLayoutEffect, useRef } from 'react';
import { useEditor, useEditorState } from '../editor';
import { useCaret } from '../use-caret';

/**
 * The field of what is typed in a list. Its words are the editor's, as they are on the map, so that they outlive a reload and
 * a deletion by somebody else. Enter ends it, Shift with Enter breaks the line, Escape forgets it, leaving it ends it too.
 */
export function TypedField({
  label,
  list,
  onShift,
  adds = false,
  onDone,
}: {
  label: string;
  /** id of a list of suggestions */
  list?: string;
  /** Tab and Shift with Tab set what is typed in and out, and end nothing */
  onShift?: (by: 'in' | 'out') => void;
  /** whether what is typed goes behind its words, and not into their place: they were given, or are just being written */
  adds?: boolean;
  /** what ended it; `left`: the field was left */
  onDone: (by: 'Enter' | 'Mod+Enter' | 'Tab' | 'Shift+Tab' | 'Escape' | 'left') => void;
}) {
  const { actions, store } = useEditor();
  const words = useEditorState((state) => state.words);
  const field = useRef<HTMLInputElement & HTMLTextAreaElement>(null);
  useLayoutEffect(() => {
    const { value } = field.current!;
    field.current!.focus({ preventScroll: true });
    field.current!.setSelectionRange(adds ? value.length : 0, value.length);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when the field appears
  }, []);
  const onSelect = useCaret(
    field,
    useEditorState((state) => state.merged),
  );
  const end = (by: Parameters<typeof onDone>[0]): void => {
    const { typing } = store.getState();
    // What has ended by a key is left a moment later.
    if (!typing) return;
    if (by === 'Escape') actions.cancelTyping();
    else actions.commit();
    // Refused, with the reason: what was typed is still there to be changed.
    if (store.getState().typing !== typing) onDone(by);
  };
  const props = {
    ref: field,
    'data-typing': true,
    'aria-label': label,
    className: 'field px-1.5 py-1',
    value: words,
    dir: 'auto',
    onChange: ({ target }: { target: { value: string } }) => actions.type(target.value),
    onSelect,
    onBlur: () => end('left'),
    onKeyDown: (event: React.KeyboardEvent) => {
      event.stopPropagation();
      if (event.nativeEvent.isComposing) return;
      const by =
        event.key === 'Tab'
          ? event.shiftKey
            ? 'Shift+Tab'
            : 'Tab'
          : event.key === 'Escape'
            ? 'Escape'
            : event.key === 'Enter' && !event.shiftKey
              ? event.ctrlKey || event.metaKey
                ? 'Mod+Enter'
                : 'Enter'
              : null;
      if (by === null) return;
      event.preventDefault();
      if (onShift && (by === 'Tab' || by === 'Shift+Tab')) return onShift(by === 'Tab' ? 'in' : 'out');
      end(by);
    },
  } as const;
  // Suggestions belong to a field of one line.
  return list === undefined ? (
    <textarea rows={1} {...props} style={{ fieldSizing: 'content' } as object} />
  ) : (
    <input list={list} maxLength={LIMITS.note} {...props} />
  );
}
