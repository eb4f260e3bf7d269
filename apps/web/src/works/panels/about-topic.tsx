import { isBlank, TOPIC_MARKS, topicMarks, wordsOf } from '@ichnograph/core';
import type { Topic } from '@ichnograph/core';
import { NotebookPen, X } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useRef, useState } from 'react';
import { stayWhereFocusIs } from '../../common/focus-home';
import { CommittedInput } from '../../common/committed';
import { Button, buttonClass } from '../../ui/button';
import { Files, Pictures } from './about-pictures';
import { BarName } from '../commands/bar-name';
import { useEditor, useEditorState } from '../editor';
import { useKeptNote } from '../kept-note';
import { useCaret } from '../use-caret';

/** What the selected topic bears besides its words: note, source, pictures, addresses, files, its place in time, marks. */
export function AboutTopic({ topics }: { topics: readonly Topic[] }) {
  const { actions } = useEditor();
  const about = useEditorState((state) => state.about);
  const [one, ...others] = topics;
  if (!one) return null;
  return (
    <Popover.Root open={about} onOpenChange={actions.about}>
      <Popover.Trigger className={buttonClass('plain', true)} title="Note, source, addresses, marks (Alt + N)">
        <NotebookPen aria-hidden size={14} />
        <BarName first>Notes</BarName>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={8}
          onCloseAutoFocus={stayWhereFocusIs}
          className="z-40 max-h-[75vh] w-[min(92vw,24rem)] overflow-y-auto border border-ink bg-paper p-3"
          aria-label={others.length > 0 ? `About ${topics.length} topics` : `About ${one.text}`}
        >
          {others.length === 0 && (
            <div key={one.id} className="grid gap-3">
              <Note topic={one} />
              <Line
                label="Source"
                hint="Where it comes from: a book and page, a person, a place"
                value={one.source ?? ''}
                onTake={(source) => actions.setSource(one.id, source)}
              />
              <Pictures topic={one} />
              <Addresses topic={one} />
              <Files topic={one} />
              <Sequence topic={one} />
            </div>
          )}
          <Marks topics={topics} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Note({ topic }: { topic: Topic }) {
  const { text, type, keep, merged } = useKeptNote(topic);
  const field = useRef<HTMLTextAreaElement>(null);
  const onSelect = useCaret(field, merged);
  const count = wordsOf(text).length;
  return (
    <label className="grid gap-1">
      <span className="flex justify-between gap-2">
        <span className="caption">Note</span>
        <span className="font-mono text-xs text-quiet">{count === 1 ? '1 word' : `${count} words`}</span>
      </span>
      <textarea
        ref={field}
        onSelect={onSelect}
        className="field min-h-28 resize-y leading-relaxed"
        maxLength={20000}
        value={text}
        spellCheck
        onChange={({ target }) => type(target.value)}
        onBlur={keep}
      />
      <span className="text-xs text-quiet">
        **bold**, *italic*, lists with - and headings with # are shown as such.
      </span>
    </label>
  );
}

/** One line that is taken on Enter and when it is left. */
function Line({
  label,
  hint,
  value,
  onTake,
}: {
  label: string;
  hint: string;
  value: string;
  onTake: (value: string) => boolean;
}) {
  return (
    <label className="grid gap-1">
      <span className="caption">{label}</span>
      <CommittedInput
        className="field"
        value={value}
        placeholder={hint}
        onCommit={(typed) => (onTake(typed) ? null : 'This was not taken.')}
      />
    </label>
  );
}

function Addresses({ topic }: { topic: Topic }) {
  const { actions } = useEditor();
  const [url, setUrl] = useState('');
  const [title, setTitle] = useState('');
  const add = (): void => {
    if (isBlank(url) || !actions.addWebAddress(topic.id, url, title)) return;
    setUrl('');
    setTitle('');
  };
  return (
    <section aria-label="Web addresses" className="grid gap-1">
      <h3 className="caption">Web addresses</h3>
      {(topic.weblinks ?? []).map((link) => (
        <div key={link.url} className="flex min-w-0 items-center gap-2">
          <a
            href={link.url}
            target="_blank"
            rel="noopener noreferrer nofollow"
            className="words min-w-0 flex-1 text-action underline"
          >
            {link.title ?? link.url}
          </a>
          <Button
            small
            look="quiet"
            aria-label={`Take ${link.title ?? link.url} away`}
            onClick={() => actions.removeWebAddress(topic.id, link.url)}
          >
            <X aria-hidden size={13} />
          </Button>
        </div>
      ))}
      <form
        className="grid grid-cols-[1fr_auto] gap-1"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <input
          className="field col-span-2"
          aria-label="Address"
          placeholder="https:// …"
          value={url}
          maxLength={2000}
          onChange={({ target }) => setUrl(target.value)}
        />
        <input
          className="field"
          aria-label="What it is"
          placeholder="What it is"
          value={title}
          maxLength={300}
          onChange={({ target }) => setTitle(target.value)}
        />
        <Button small type="submit" disabled={isBlank(url)}>
          Add
        </Button>
      </form>
    </section>
  );
}

function Sequence({ topic }: { topic: Topic }) {
  const { actions } = useEditor();
  const figure = topic.sequence === undefined ? '' : String(topic.sequence);
  return (
    <section aria-label="Place in a sequence" className="grid grid-cols-[7rem_1fr] gap-2">
      <Line
        label="Year or step"
        hint="1889"
        value={figure}
        onTake={(text) =>
          isBlank(text)
            ? actions.setSequence(topic.id, null, topic.when ?? '')
            : actions.setSequence(topic.id, Number(text.replace(',', '..')), topic.when ?? '')
        }
      />
      <Line
        label="As it is written"
        hint="spring 1889"
        value={topic.when ?? ''}
        onTake={(when) => actions.setSequence(topic.id, topic.sequence ?? null, when)}
      />
    </section>
  );
}

function Marks({ topics }: { topics: readonly Topic[] }) {
  const { actions } = useEditor();
  return (
    <section aria-label="Marks" className={topics.length === 1 ? 'mt-3 border-t border-rule pt-2' : ''}>
      <h3 className="caption mb-1">{topics.length === 1 ? 'Marks' : `Marks of ${topics.length} topics`}</h3>
      <div className="flex flex-wrap gap-1">
        {topicMarks.map((mark) => (
          <Button
            key={mark}
            small
            aria-pressed={topics.every(({ marks }) => marks?.includes(mark))}
            className="aria-pressed:bg-wash"
            onClick={() => actions.toggleMark(mark)}
          >
            {TOPIC_MARKS[mark]}
          </Button>
        ))}
        <Button small look="quiet" onClick={actions.clearMarks} disabled={topics.every(({ marks }) => !marks)}>
          Take all off
        </Button>
      </div>
    </section>
  );
}
