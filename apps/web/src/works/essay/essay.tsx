import { isBlank, mapWithout, noteAims } from '@ichnograph/core';
import type { Assignment, TopicMap } from '@ichnograph/core';
import type { Editor as TextEditor } from '@tiptap/react';
import { useEditorState as useTextState } from '@tiptap/react';
import { ArrowLeft, ArrowRight, Bold, Italic, List, ListOrdered, TextQuote } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { CommittedFigure } from '../../common/committed';
import { MapPicture } from '../../map';
import { Button } from '../../ui/button';
import { useEditor } from '../editor';
import { OutlineFiles } from '../lists/outline-files';
import { WordCount } from '../lists/word-count';
import { NoteEditor } from './note-editor';
import { essaySections, sectionOf } from './sections';
import type { EssaySection } from './sections';

/** A map written out, branch by branch, with the branch's drawing beside it. All that is written lands in the topics' notes. */
export default function Essay({
  map,
  assignment,
  from,
  onBack,
}: {
  map: TopicMap;
  assignment: Assignment;
  /** the topic to begin with */
  from: string | null;
  onBack: () => void;
}) {
  const { actions } = useEditor();
  const sections = useMemo(() => essaySections(map), [map]);
  const aims = useMemo(() => noteAims(map, assignment), [map, assignment]);
  const [at, setAt] = useState(
    () => sectionOf(sections, from)?.id ?? sections.find(({ unwritten }) => unwritten > 0)?.id,
  );
  const section = sections.find(({ id }) => id === at) ?? sections[0];
  // Who goes to a part goes there to write; who is taken to another, since somebody deleted theirs, must not write on there.
  const [begins, setBegins] = useState(() => (sectionOf(sections, from) ? from : section?.id));
  const [text, setText] = useState<TextEditor | null>(null);
  const column = useRef<HTMLDivElement>(null);
  const goals = new Map(map.topics.map(({ id, wordGoal }) => [id, wordGoal]));
  const total = sections.reduce((sum, { words }) => sum + words, 0);
  const branch = useMemo(() => {
    // What stands alone is seen where it belongs.
    if (!section || section.rows.length === 1) return map;
    const ids = new Set(section.rows.map(({ id }) => id));
    return mapWithout(map, new Set(map.topics.filter(({ id }) => !ids.has(id)).map(({ id }) => id)));
  }, [map, section]);
  if (!section)
    return (
      <div className="p-6">
        <p className="mb-3 text-quiet">Nothing is on the map yet. Its topics are what is written about here.</p>
        <Button onClick={onBack}>Back to the outline</Button>
      </div>
    );
  const go = (to: EssaySection): void => {
    setAt(to.id);
    setBegins(to.id);
    actions.select([to.id]);
    column.current?.scrollTo({ top: 0 });
    if (to === section) textIn(to.id)?.focus();
  };
  const textIn = (id: string | undefined): HTMLElement | null | undefined =>
    id === undefined
      ? null
      : column.current?.querySelector<HTMLElement>(`[data-note="${CSS.escape(id)}"] [role=textbox]`);
  const step = (by: 1 | -1): EssaySection | undefined => sections[sections.indexOf(section) + by];
  /** From one text to the next, or to the one before. */
  const leave = (id: string, by: 1 | -1): boolean => {
    const field = textIn(section.rows[section.rows.findIndex((row) => row.id === id) + by]?.id);
    field?.focus();
    return Boolean(field);
  };
  return (
    <div
      className="grid h-full grid-cols-1 bg-paper md:grid-cols-[15rem_1fr] xl:grid-cols-[15rem_1fr_22rem]"
      data-testid="essay"
    >
      <nav aria-label="Parts" className="hidden min-h-0 overflow-y-auto border-r border-rule px-3 py-3 md:block">
        <Button small onClick={onBack}>
          <ArrowLeft aria-hidden size={14} />
          Back to the outline
        </Button>
        <p className="mb-2 mt-3 font-semibold">{total === 1 ? '1 word' : `${total} words`} so far</p>
        <ol>
          {sections.map((one) => (
            <li key={one.id}>
              <button
                type="button"
                aria-current={one === section}
                className={`flex w-full flex-wrap items-start justify-between gap-x-2 border-b border-rule px-1.5 py-1.5 text-left ${one === section ? 'bg-wash font-semibold' : 'hover:bg-canvas'}`}
                onClick={() => go(one)}
              >
                <span className="words min-w-0 grow">
                  {one.title}
                  {one.unwritten > 0 && (
                    <span className="block text-sm font-normal text-quiet">
                      {one.unwritten === one.rows.length
                        ? 'nothing written yet'
                        : `${one.unwritten} of ${one.rows.length} not written`}
                    </span>
                  )}
                </span>
                <WordCount count={one.words} aim={aims.get(one.id)} goal={goals.get(one.id)} />
              </button>
            </li>
          ))}
        </ol>
        <div className="mt-4 grid gap-1.5">
          <OutlineFiles map={map} />
        </div>
      </nav>
      <div ref={column} className="min-h-0 overflow-y-auto" lang={assignment.language}>
        <TextTools editor={text} />
        <div className="mx-auto max-w-[70ch] px-6 py-5">
          {at !== undefined && at !== section.id && (
            <p role="alert" className="mb-3 text-ochre">
              The part you were writing was deleted, or hangs elsewhere now. This is another one.
            </p>
          )}
          <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
            <h2 className="words text-xl font-semibold">{section.title}</h2>
            <label className="flex items-center gap-2 text-sm text-quiet">
              Words to write here
              <CommittedFigure
                key={section.id}
                className="field w-20 py-1 font-mono"
                inputMode="numeric"
                live={false}
                limits={{ least: 1, most: 100_000, whole: true, mayBeEmpty: true }}
                value={goals.get(section.id)}
                onCommit={(words) => actions.setWordGoal(section.id, words ?? null)}
              />
            </label>
          </div>
          {section.rows.map((row) => (
            <section key={row.id} className="mb-4" aria-label={row.text}>
              {row.depth > 0 && (
                <h3 className={`words mb-1 ${row.depth === 1 ? 'text-lg font-semibold' : 'font-semibold text-quiet'}`}>
                  {!isBlank(row.phrase) && <i className="mr-1.5 text-base font-normal text-quiet">{row.phrase}</i>}
                  {row.text}
                </h3>
              )}
              <NoteEditor
                row={row}
                begins={row.id === begins}
                language={assignment.language}
                onFocus={(editor) => {
                  setText(editor);
                  actions.select([row.id]);
                }}
                onLeave={(by) => leave(row.id, by)}
              />
            </section>
          ))}
          <p className="flex justify-between gap-2 border-t border-rule pt-3">
            {step(-1) ? (
              <Button small className="max-w-[48%]" onClick={() => go(step(-1)!)}>
                <ArrowLeft aria-hidden size={14} />
                <span className="truncate">{step(-1)!.title}</span>
              </Button>
            ) : (
              <span />
            )}
            {step(1) && (
              <Button small className="max-w-[48%]" onClick={() => go(step(1)!)}>
                <span className="truncate">{step(1)!.title}</span>
                <ArrowRight aria-hidden size={14} />
              </Button>
            )}
          </p>
        </div>
      </div>
      <aside aria-label="Drawing of this part" className="hidden min-h-0 border-l border-rule bg-canvas xl:block">
        <MapPicture bare map={branch} legend={assignment.legend} title={`Drawing of ${section.title}`} />
      </aside>
    </div>
  );
}

/** What shapes the words: few things, as Markdown has them. */
function TextTools({ editor }: { editor: TextEditor | null }) {
  const is = useTextState({
    editor,
    selector: ({ editor: now }) =>
      now && {
        bold: now.isActive('bold'),
        italic: now.isActive('italic'),
        list: now.isActive('bulletList'),
        numbers: now.isActive('orderedList'),
        quote: now.isActive('blockquote'),
      },
  });
  const tool = (name: string, Sign: typeof Bold, pressed: boolean | undefined, run: (on: TextEditor) => void) => (
    <Button
      small
      look="quiet"
      aria-label={name}
      title={name}
      aria-pressed={pressed ?? false}
      className={pressed ? 'bg-wash' : ''}
      disabled={!editor}
      onMouseDown={(event) => event.preventDefault()}
      onClick={() => editor && run(editor)}
    >
      <Sign aria-hidden size={16} />
    </Button>
  );
  return (
    <div
      role="toolbar"
      aria-label="Shape the words"
      className="sticky top-0 z-10 flex justify-center gap-0.5 border-b border-rule bg-paper py-1"
    >
      {tool('Bold', Bold, is?.bold, (on) => on.chain().focus().toggleBold().run())}
      {tool('Italic', Italic, is?.italic, (on) => on.chain().focus().toggleItalic().run())}
      {tool('List', List, is?.list, (on) => on.chain().focus().toggleBulletList().run())}
      {tool('Numbered list', ListOrdered, is?.numbers, (on) => on.chain().focus().toggleOrderedList().run())}
      {tool('Quotation', TextQuote, is?.quote, (on) => on.chain().focus().toggleBlockquote().run())}
    </div>
  );
}
