import { normalForm } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';
import { ChevronDown, ChevronUp, X } from 'lucide-react';
import { useState } from 'react';
import type { RefObject } from 'react';
import { useShow } from '../../map';
import { Button } from '../../ui/button';
import { useEditor, useEditorState } from '../editor';

/** The ids of topics and links whose words, notes or phrases hold what is looked for, in the map's order. */
function found({ topics, links }: TopicMap, words: string): string[] {
  const wanted = normalForm(words);
  if (wanted === '') return [];
  const holds = (text: string | undefined): boolean => text !== undefined && normalForm(text).includes(wanted);
  return [
    ...topics.flatMap(({ id, text, note, source }) => (holds(text) || holds(note) || holds(source) ? [id] : [])),
    ...links.flatMap(({ id, phrase }) => (holds(phrase) ? [id] : [])),
  ];
}

/** Of more matches than this the first are listed; the others are gone to one by one. */
const LISTED = 40;

/** A match as the list names it: a topic's words, or a link's between the topics it joins. */
function wordsOf({ topics, links }: TopicMap, id: string): string {
  const textOf = (topicId: string): string => topics.find((one) => one.id === topicId)?.text ?? '';
  const link = links.find((one) => one.id === id);
  return link ? `${textOf(link.from)} ${link.phrase} ${textOf(link.to)}` : textOf(id);
}

/** Looks for words on the map and jumps from one to the next; a match that is folded away is unfolded by going there. */
export function FindBar({ host }: { host: RefObject<HTMLDivElement | null> }) {
  const { actions, assignment, store } = useEditor();
  const sought = useEditorState((state) => state.sought);
  const map = useEditorState((state) => state.map);
  const { showMarks } = useShow();
  const [at, setAt] = useState(-1);
  if (sought === null) return null;
  const ids = found(map, sought);
  const go = (step: 1 | -1): void => {
    if (ids.length > 0) goTo(at < 0 ? (step > 0 ? 0 : ids.length - 1) : (at + step + ids.length) % ids.length);
  };
  const goTo = (next: number): void => {
    setAt(next);
    actions.select([ids[next]!]);
    showMarks(store.getState().map, assignment.legend, [ids[next]!], {
      padding: { top: 120, left: 120, right: 120, bottom: 120 },
      duration: 160,
    });
  };
  const close = (): void => {
    actions.seek(null);
    setAt(-1);
    host.current?.focus({ preventScroll: true });
  };
  const place = at >= 0 && at < ids.length ? `${at + 1} of ${ids.length}` : `${ids.length}`;
  return (
    <search
      className="card absolute right-3 top-3 z-30 grid gap-1.5 p-1.5"
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        close();
      }}
    >
      <div className="flex items-center gap-1.5">
        <input
          autoFocus
          className="field w-48"
          aria-label="Find on the map"
          placeholder="Find on the map"
          value={sought}
          onChange={({ target }) => {
            actions.seek(target.value);
            setAt(-1);
          }}
          onKeyDown={(event) => {
            if (event.key === 'Escape') return;
            event.stopPropagation();
            if (event.key === 'Enter') {
              event.preventDefault();
              go(event.shiftKey ? -1 : 1);
            }
          }}
        />
        <span role="status" className="min-w-14 text-center font-mono text-xs text-quiet">
          {sought === '' ? '' : ids.length === 0 ? 'none' : place}
        </span>
        <Button small look="quiet" aria-label="Match before" disabled={ids.length === 0} onClick={() => go(-1)}>
          <ChevronUp aria-hidden size={14} />
        </Button>
        <Button small look="quiet" aria-label="Next match" disabled={ids.length === 0} onClick={() => go(1)}>
          <ChevronDown aria-hidden size={14} />
        </Button>
        <Button small look="quiet" aria-label="Close finding" onClick={close}>
          <X aria-hidden size={14} />
        </Button>
      </div>
      {ids.length > 1 && (
        <ol aria-label="What has these words" className="grid max-h-56 gap-px overflow-y-auto">
          {ids.slice(0, LISTED).map((id, i) => (
            <li key={id}>
              <button
                type="button"
                aria-current={i === at}
                className="words w-full rounded-sm px-2 py-1 text-left hover:bg-wash aria-[current=true]:bg-wash"
                onClick={() => goTo(i)}
              >
                {wordsOf(map, id)}
              </button>
            </li>
          ))}
        </ol>
      )}
    </search>
  );
}
