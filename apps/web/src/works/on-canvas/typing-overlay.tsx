import { drawLink, effectiveKind, fitTopic, LIMITS, phraseBlock, pointAlong, topicStyle } from '@ichnograph/core';
import type { Assignment, Legend, Topic } from '@ichnograph/core';
import { useLayoutEffect, useRef } from 'react';
import type { KeyboardEvent, RefObject } from 'react';
import { useEditor, useEditorState } from '../editor';
import type { Typing } from '../editor';
import { useCaret } from '../use-caret';

/** The field in which words are typed, on the map where they will stand. */
export function TypingOverlay({ assignment, onDone }: { assignment: Assignment; onDone: (byKey: boolean) => void }) {
  const typing = useEditorState((state) => state.typing);
  if (!typing || typing.what === 'end' || typing.what === 'row') return null;
  return typing.what === 'phrase' ? (
    <PhraseField key={typing.id} id={typing.id} legend={assignment.legend} onDone={onDone} />
  ) : (
    <TopicField
      key={typing.what === 'new' ? 'new' : typing.id}
      typing={typing}
      assignment={assignment}
      onDone={onDone}
    />
  );
}

/** Enter ends typing, Escape forgets it, leaving the field ends it too. */
function useField(onDone: (byKey: boolean) => void) {
  const { actions, store } = useEditor();
  const ended = useRef(false);
  const end = (how: 'commit' | 'cancelTyping', byKey = true): void => {
    if (ended.current) return;
    ended.current = true;
    const { typing } = store.getState();
    actions[how]();
    // Refused, with the reason: what was typed is still there to be changed.
    ended.current = store.getState().typing !== typing;
    if (ended.current) onDone(byKey);
  };
  return {
    onBlur: () => end('commit', false),
    onKeyDown: (event: KeyboardEvent) => {
      event.stopPropagation();
      // While an input method composes, Enter chooses a word and ends nothing.
      if (event.nativeEvent.isComposing) return;
      if ((event.key === 'Enter' && !event.shiftKey) || event.key === 'Tab') {
        event.preventDefault();
        end('commit');
      }
      if (event.key === 'Escape') {
        event.preventDefault();
        end('cancelTyping');
      }
    },
  };
}

/** The field has the focus as soon as it is there, before the key that opened it takes effect. */
function useReady(input: RefObject<HTMLTextAreaElement | null>, selects: boolean): void {
  useLayoutEffect(() => {
    const field = input.current;
    field?.focus({ preventScroll: true });
    // What was given is added to, not overwritten.
    field?.setSelectionRange(selects ? 0 : field.value.length, field.value.length);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when the field appears
  }, []);
}

function TopicField({
  typing,
  assignment,
  onDone,
}: {
  typing: Extract<Typing, { what: 'new' | 'topic' }>;
  assignment: Assignment;
  onDone: (byKey: boolean) => void;
}) {
  const { actions } = useEditor();
  const words = useEditorState((state) => state.words);
  const { legend } = assignment;
  const next = useEditorState((state) => state.next);
  const existing = useEditorState(({ map }) =>
    typing.what === 'topic' ? map.topics.find(({ id }) => id === typing.id) : undefined,
  );
  const field = useField(onDone);
  const input = useRef<HTMLTextAreaElement>(null);
  useReady(input, typing.what === 'new' || existing?.origin === undefined);
  const onSelect = useCaret(
    input,
    useEditorState((state) => state.merged),
  );
  const base: Topic = existing ?? {
    id: 'new',
    text: '',
    kind: next.topicKind,
    x: 0,
    y: 0,
    width: 0,
    height: 0,
    ...(typing.what === 'new' && typing.at),
  };
  const topic = { ...base, text: words };
  const { width, height } = fitTopic(topic, legend);
  const style = topicStyle(topic, legend);
  const lines = Math.max(1, Math.round((height - 18) / (style.fontSize * 1.3)));
  return (
    <div
      className="nodrag nopan absolute z-[1000]"
      style={{ left: topic.x - width / 2 - 4, top: topic.y - height / 2 }}
    >
      <textarea
        ref={input}
        data-typing
        lang={assignment.language}
        dir="auto"
        aria-label={
          typing.what === 'new'
            ? `Text of the new topic, ${effectiveKind(base, assignment)?.name ?? 'no kind'}`
            : 'Text of the topic'
        }
        value={words}
        rows={lines}
        spellCheck
        onChange={({ target }) => actions.type(target.value)}
        onSelect={onSelect}
        {...field}
        className="block resize-none overflow-hidden border-2 border-action bg-white px-1 text-center outline-none"
        style={{
          width: width + 8,
          height,
          paddingTop: Math.max(0, (height - 4 - lines * style.fontSize * 1.3) / 2),
          fontSize: style.fontSize,
          lineHeight: 1.3,
          fontWeight: style.bold ? 700 : 400,
          fontStyle: style.italic ? 'italic' : 'normal',
        }}
      />
    </div>
  );
}

function PhraseField({ id, legend, onDone }: { id: string; legend: Legend; onDone: (byKey: boolean) => void }) {
  const { actions } = useEditor();
  const words = useEditorState((state) => state.words);
  const map = useEditorState((state) => state.map);
  const field = useField(onDone);
  const input = useRef<HTMLTextAreaElement>(null);
  useReady(input, true);
  const onSelect = useCaret(
    input,
    useEditorState((state) => state.merged),
  );
  const link = map.links.find((one) => one.id === id);
  const [from, to] = [link?.from, link?.to].map((end) => map.topics.find((one) => one.id === end));
  if (!link || !from || !to) return null;
  const { line, style } = drawLink(link, from, to, legend);
  const { lines, width, lineHeight } = phraseBlock({ ...link, phrase: words });
  const at = pointAlong(line, style.phraseAt) ?? { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  return (
    <div
      className="nodrag nopan absolute z-[1000]"
      style={{ left: at.x, top: at.y, transform: 'translate(-50%, -50%)' }}
    >
      <textarea
        ref={input}
        data-typing
        aria-label={`Words on the link from ${from.text} to ${to.text}`}
        title="Shift+Enter begins a new line"
        value={words}
        rows={lines.length}
        maxLength={LIMITS.text}
        placeholder="says what?"
        onPaste={({ currentTarget, clipboardData }) => {
          const { selectionStart, selectionEnd, value } = currentTarget;
          const kept = value.length - ((selectionEnd ?? 0) - (selectionStart ?? 0));
          if (kept + clipboardData.getData('text/plain').length > LIMITS.text)
            actions.refuse(`Words on a link have at most ${LIMITS.text} characters. What is beyond was left out.`);
        }}
        onChange={({ target }) => actions.type(target.value)}
        onSelect={onSelect}
        {...field}
        className="block resize-none overflow-hidden border-2 border-action bg-white px-1.5 py-0.5 text-center outline-none"
        style={{
          width: Math.max(7 * style.phraseSize, width + 2 * style.phraseSize),
          fontSize: style.phraseSize,
          lineHeight: `${lineHeight}px`,
        }}
      />
    </div>
  );
}
