import { sentenceRows, sortedSentences } from '@ichnograph/core';
import type { Assignment, SentenceSort, TopicMap } from '@ichnograph/core';
import { Map as MapSign } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';
import { announce } from '../../common/announcer';
import { isWriting, writesLetter } from '../../common/chords';
import { useKeys } from '../../common/keys';
import { Button } from '../../ui/button';
import { useEditor, useEditorState } from '../editor';
import type { Spot } from '../editor';
import { flagsOf } from './flag-signs';
import { NewSentence } from './new-sentence';
import { CellWords, COLUMNS, NAMES } from './sentence-cells';
import type { Column } from './sentence-cells';
import { useSteadyOrder } from './steady-order';
import { TOPIC_NAMES, TopicNames } from './topic-names';
import { TypedField } from './typed-field';
import { useRows } from './use-rows';

const WIDTHS: Record<Column, string> = {
  from: 'minmax(7rem,1.1fr)',
  phrase: 'minmax(7rem,1.2fr)',
  to: 'minmax(7rem,1.1fr)',
  kind: 'minmax(6rem,8rem)',
  level: '3.5rem',
  crosses: '4rem',
  checks: '5rem',
};
const SORTS: Record<SentenceSort, string> = {
  map: 'As on the map',
  concern: 'Blank and vague first',
  from: 'By from',
  phrase: 'By words',
  to: 'By to',
  level: 'By level',
};
const SORTED_BY: Partial<Record<Column, SentenceSort>> = { from: 'from', phrase: 'phrase', to: 'to', level: 'level' };
const VAGUE_KEY = 'Alt+V';

/** Every proposition of the map as a row: read, found, sorted, and changed in place. */
export function SentencesGrid({
  map,
  assignment,
  mayEdit,
  centre,
  onGo,
}: {
  map: TopicMap;
  assignment: Assignment;
  mayEdit: boolean;
  /** where on the map a new topic is made */
  centre: () => Spot;
  onGo: (ids: readonly string[]) => void;
}) {
  const { actions } = useEditor();
  const { language, legend } = assignment;
  const selection = useEditorState((state) => state.selection);
  const typing = useEditorState((state) => state.typing);
  const report = useEditorState((state) => state.report);
  const flags = useMemo(() => flagsOf(report), [report]);
  const [sort, setSort] = useState<SentenceSort>('map');
  const [words, setWords] = useState('');
  const all = useMemo(() => sentenceRows(map, assignment), [map, assignment]);
  const rows = useSteadyOrder(all, sort, words, language);
  const columns = COLUMNS.filter((column) => column !== 'kind' || legend.linkKinds.length > 1);
  const listed = rows.map(({ link: { id } }) => ({ id }));
  const chosen = new Set(selection);
  const chosenLinks = map.links.filter(({ id }) => chosen.has(id)).map(({ id }) => id);
  const [anchor, setAnchor] = useState<string | null>(null);
  const span = (to: string): string[] => {
    const [a, b] = [listed.findIndex(({ id }) => id === (anchor ?? to)), listed.findIndex(({ id }) => id === to)];
    return listed.slice(Math.min(a, b), Math.max(a, b) + 1).map(({ id }) => id);
  };
  const choose = (id: string, extend: boolean): void => {
    if (!extend) setAnchor(id);
    actions.select(extend ? span(id) : [id]);
  };
  const grid = useRows(listed, columns.length, choose, { first: chosenLinks[0] });
  const row = rows[grid.index];
  const template = columns.map((column) => WIDTHS[column]).join(' ');

  /** What an act is done to: all that is chosen, if the row is among it, else the row. */
  const these = (id: string): string[] => (chosen.has(id) ? chosenLinks : [id]);
  const edit = (id: string, column: Column, fresh = false): void => {
    if (!mayEdit) return;
    if (column === 'from' || column === 'to') actions.editEnd(id, column, fresh);
    if (column === 'phrase')
      actions.editPhrases(
        id,
        these(id).filter((one) => one !== id),
        fresh,
      );
    if (column === 'kind') openKind(id, column);
  };
  /** Goes into the choice of kind that stands in a cell. */
  const openKind = (id: string, column: Column): void =>
    document.querySelector<HTMLElement>(`[data-cell="${CSS.escape(id)}/${columns.indexOf(column)}"] select`)?.focus();
  const done = (by: string, id: string, column: number): void => {
    if (by === 'left') return;
    if (by === 'Enter' || by === 'Mod+Enter') grid.go(listed.findIndex((one) => one.id === id) + 1, column);
    else grid.focusOn({ id, column: column + (by === 'Tab' ? 1 : by === 'Shift+Tab' && column > 0 ? -1 : 0) });
  };
  /** The next one that says nothing yet, or too little; the first time they are brought to the top. */
  const nextConcern = (): void => {
    const inOrder = sort === 'concern' && words === '' ? rows : sortedSentences(all, 'concern', language);
    const start = sort === 'concern' ? grid.index + 1 : 0;
    const next =
      inOrder.slice(start).find(({ concern }) => concern !== null) ?? inOrder.find(({ concern }) => concern !== null);
    setSort('concern');
    setWords('');
    if (!next) return announce('Every link has words that say something.');
    grid.focusOn({ id: next.link.id, column: columns.indexOf('phrase') });
    choose(next.link.id, false);
  };
  useKeys((chord) => (chord === VAGUE_KEY ? { run: nextConcern } : null));

  const onKeyDown = (event: KeyboardEvent): void => {
    if (!row || (event.target as HTMLElement).closest('select, button, [data-typing]')) return;
    if (grid.onMove(event)) return;
    const writes = isWriting(event);
    const mod = !writes && (event.ctrlKey || event.metaKey);
    const { id } = row.link;
    const column = columns[grid.column]!;
    const take = (run: () => void): void => {
      event.preventDefault();
      event.stopPropagation();
      run();
    };
    if (event.key === 'ArrowDown' && event.altKey) take(() => openKind(id, column));
    else if (event.key === 'Enter' || event.key === 'F2')
      take(() => {
        const [flag] = flags.get(id) ?? [];
        if (column === 'checks' && flag) actions.showRequirement(flag.requirement);
        else edit(id, column);
      });
    else if (event.key === ' ' && !mod)
      take(() => {
        setAnchor(id);
        actions.select(chosen.has(id) ? chosenLinks.filter((one) => one !== id) : [...chosenLinks, id]);
      });
    else if (mod && event.key.toLowerCase() === 'a') take(() => actions.select(listed.map((one) => one.id)));
    else if (event.key === 'Delete' && mayEdit)
      take(() => {
        const next = listed[grid.index + 1] ?? listed[grid.index - 1];
        actions.select(these(id));
        actions.remove();
        if (next) grid.focusOn({ id: next.id, column: grid.column });
      });
    else if (mayEdit && !mod && (writes || !event.altKey) && writesLetter(event))
      // The field is there before the letter takes effect, which then goes into it.
      flushSync(() => edit(id, column, true));
  };
  const concerns = { blank: 0, vague: 0 };
  for (const { concern } of all) if (concern) concerns[concern]++;
  return (
    <div className="flex h-full flex-col bg-paper" data-testid="sentences">
      <div className="flex flex-wrap items-center gap-2 border-b border-rule px-3 py-2">
        <input
          type="search"
          data-find
          className="field w-44 py-1"
          aria-label="Find in the sentences"
          placeholder="Find"
          value={words}
          onChange={({ target }) => setWords(target.value)}
        />
        <select
          className="field w-auto py-1"
          aria-label="Order of the sentences"
          value={sort}
          onChange={({ target }) => setSort(target.value as SentenceSort)}
        >
          {Object.entries(SORTS).map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <Button small onClick={nextConcern} title="Go to the next blank or vague one (Alt + V)">
          {concerns.blank + concerns.vague === 0
            ? 'None blank or vague'
            : `Blank ${concerns.blank} · vague ${concerns.vague}`}
        </Button>
        <span className="flex-1" />
        <Button
          small
          disabled={chosenLinks.length === 0}
          title="Show the chosen ones on the map"
          onClick={() => onGo(chosenLinks)}
        >
          <MapSign aria-hidden size={14} />
          On the map
        </Button>
      </div>
      <div
        role="grid"
        aria-label="Sentences of the map"
        aria-multiselectable
        aria-rowcount={rows.length + 1}
        aria-colcount={columns.length}
        aria-readonly={!mayEdit}
        ref={grid.scroller}
        className="min-h-0 flex-1 overflow-auto"
        onKeyDown={onKeyDown}
      >
        <div
          role="row"
          aria-rowindex={1}
          className="caption sticky top-0 z-10 grid min-w-[40rem] border-b border-ink bg-paper px-3"
          style={{ gridTemplateColumns: template }}
        >
          {columns.map((column, i) => {
            const by = SORTED_BY[column];
            return (
              <div
                key={column}
                role="columnheader"
                aria-colindex={i + 1}
                aria-sort={by && by === sort ? 'ascending' : undefined}
                className="px-1.5 py-1"
              >
                {by ? (
                  <button
                    type="button"
                    tabIndex={-1}
                    className="uppercase hover:text-ink"
                    onClick={() => setSort(sort === by ? 'map' : by)}
                  >
                    {NAMES[column]}
                    {by === sort && <span aria-hidden> ↓</span>}
                  </button>
                ) : (
                  NAMES[column]
                )}
              </div>
            );
          })}
        </div>
        {rows.length === 0 && (
          <p className="px-4 py-4 text-quiet">
            {map.links.length === 0
              ? 'No links yet. Write the first sentence below, or draw a link on the map.'
              : 'No sentence holds that.'}
          </p>
        )}
        <div lang={language} className="relative min-w-[40rem]" style={{ height: grid.virtual.getTotalSize() }}>
          {grid.virtual.getVirtualItems().map(({ index, start }) => {
            const one = rows[index]!;
            const { id } = one.link;
            return (
              <div
                key={id}
                role="row"
                ref={grid.virtual.measureElement}
                data-index={index}
                aria-rowindex={index + 2}
                aria-selected={chosen.has(id)}
                className={`absolute left-0 top-0 grid w-full items-center border-b border-rule px-3 ${chosen.has(id) ? 'bg-wash' : 'hover:bg-canvas'}`}
                style={{ gridTemplateColumns: template, transform: `translateY(${start}px)` }}
              >
                {columns.map((column, i) => {
                  const isOpen =
                    typing !== null &&
                    'id' in typing &&
                    typing.id === id &&
                    (typing.what === 'end' ? typing.end === column : typing.what === 'phrase' && column === 'phrase');
                  return (
                    <div
                      key={column}
                      role="gridcell"
                      aria-colindex={i + 1}
                      {...grid.cellProps(id, i)}
                      className="words cell min-h-9 px-1.5 py-1.5"
                      onClick={(event) => {
                        if ((event.target as HTMLElement).closest('select, button, [data-typing]')) return;
                        grid.focusOn({ id, column: i });
                        if (event.ctrlKey || event.metaKey)
                          actions.select(chosen.has(id) ? chosenLinks.filter((x) => x !== id) : [...chosenLinks, id]);
                        else choose(id, event.shiftKey);
                      }}
                      onDoubleClick={() => edit(id, column)}
                    >
                      {isOpen ? (
                        <TypedField
                          label={`${NAMES[column]} of this sentence`}
                          adds={(column === 'from' || column === 'to') && one[column].origin !== undefined}
                          {...(column !== 'phrase' && { list: TOPIC_NAMES })}
                          onDone={(by) => done(by, id, i)}
                        />
                      ) : (
                        <CellWords
                          column={column}
                          row={one}
                          assignment={assignment}
                          flags={flags.get(id) ?? []}
                          mayEdit={mayEdit}
                          onKind={(kind) => actions.setKindOfLinks(these(id), kind)}
                          onTopicKind={actions.setKindOfTopic}
                          onBack={() => grid.focusCell()}
                        />
                      )}
                    </div>
                  );
                })}
              </div>
            );
          })}
        </div>
      </div>
      <TopicNames topics={map.topics} />
      {mayEdit && (
        <NewSentence
          language={language}
          onWrite={(from, phrase, to) => actions.writeSentence(from, phrase, to, centre()) !== null}
        />
      )}
    </div>
  );
}
