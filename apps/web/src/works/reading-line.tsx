import { effectiveKindOfNew } from '@ichnograph/core';
import { Reading, ReadSentence } from '../map';
import { useEditorState } from './editor';
import type { OpenWork } from './use-live-work';

/** Reads out what is selected, pointed at or being typed, along the arrow. */
export function ReadingLine({ open }: { open: OpenWork }) {
  const map = useEditorState((state) => state.map);
  const typing = useEditorState((state) => state.typing);
  const words = useEditorState((state) => state.words);
  const next = useEditorState((state) => state.next);
  const hovered = useEditorState((state) => state.hovered);
  const selection = useEditorState((state) => state.selection);
  const parent = typing?.what === 'new' ? map.topics.find(({ id }) => id === typing.from) : undefined;
  const shown =
    typing && typing.what !== 'new' ? typing.id : (hovered ?? (selection.length === 1 ? selection[0]! : null));
  if (typing?.what === 'new')
    return parent ? (
      <ReadSentence from={parent.text} phrase="" to={words || '…'} />
    ) : (
      <span className="truncate">A new {effectiveKindOfNew(next.topicKind, open.assignment)?.name ?? 'topic'}</span>
    );
  if (shown)
    return (
      <Reading map={map} ruled={open.assignment} id={shown} phrase={typing?.what === 'phrase' ? words : undefined} />
    );
  return (
    <span className="truncate text-quiet">
      {selection.length > 1
        ? `${selection.length} things are selected.`
        : 'Point at a link to read it along its arrow.'}
    </span>
  );
}
