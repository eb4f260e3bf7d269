import { effectiveKindOfNew, isBlank, linkStyle, propositionOf } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
import { readChosen, Reading, ReadSentence } from '../../map';
import { useEditorState } from '../editor';
import type { OpenWork } from '../use-live-work';

/** How the link in question would read the other way, so that its arrow is set right; null for all else. */
export function turnedReading(map: TopicMap, legend: Legend, id: string | null, phrase: string | undefined) {
  const link = map.links.find((one) => one.id === id);
  const [from, to] = [link?.from, link?.to].map((end) => map.topics.find((one) => one.id === end));
  if (!link || !from || !to || linkStyle(link, legend).arrow !== 'forward') return null;
  const read = propositionOf(phrase === undefined ? link : { ...link, phrase }, to, from, legend);
  return isBlank(read.phrase) ? null : read;
}

/** Reads out what is selected, pointed at or being typed, along the arrow. */
export function ReadingLine({ open, onMap }: { open: OpenWork; onMap: boolean }) {
  const map = useEditorState((state) => state.map);
  const typing = useEditorState((state) => state.typing);
  const words = useEditorState((state) => state.words);
  const next = useEditorState((state) => state.next);
  const hovered = useEditorState((state) => state.hovered);
  const selection = useEditorState((state) => state.selection);
  const parent = typing?.what === 'new' ? map.topics.find(({ id }) => id === typing.from) : undefined;
  const shown = typing && 'id' in typing ? typing.id : (hovered ?? (selection.length === 1 ? selection[0]! : null));
  if (typing?.what === 'new')
    return parent ? (
      <ReadSentence from={parent.text} phrase="" to={words || '…'} />
    ) : (
      <span className="truncate">A new {effectiveKindOfNew(next.topicKind, open.assignment)?.name ?? 'topic'}</span>
    );
  const turned = turnedReading(map, open.assignment.legend, shown, typing?.what === 'phrase' ? words : undefined);
  if (shown)
    return (
      <>
        <Reading map={map} ruled={open.assignment} id={shown} phrase={typing?.what === 'phrase' ? words : undefined} />
        {turned && (
          <span className="hidden min-w-0 truncate text-sm text-quiet 2xl:inline">
            turned round: {turned.from} <b className="font-semibold">{turned.phrase}</b> {turned.to}.
          </span>
        )}
      </>
    );
  return (
    <span className="truncate text-quiet">
      {selection.length > 1
        ? readChosen(map, open.assignment, selection)
        : onMap && 'Point at a link to read it along its arrow.'}
    </span>
  );
}
