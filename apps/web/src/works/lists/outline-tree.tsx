import { DndContext, MouseSensor, pointerWithin, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';
import type { DragEndEvent } from '@dnd-kit/core';
import { noteAims } from '@ichnograph/core';
import type { Assignment, TopicMap } from '@ichnograph/core';
import { Map as MapSign, NotebookPen, Plus } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import type { KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';
import { chordOf, isWriting, writesLetter } from '../../common/chords';
import { Button } from '../../ui/button';
import { useEditor, useEditorState } from '../editor';
import type { Typing } from '../editor';
import { NEW_ROW, treeRows, withNewRow } from './outline-rows';
import type { TreeRow } from './outline-rows';
import { NewTie } from './new-tie';
import { NoteCell, NoteField, Phrase, TopicCell } from './outline-cells';
import { COLUMNS, NAMES, Row, TEMPLATE } from './outline-row';
import type { Column } from './outline-row';
import { OutlineFiles } from './outline-files';
import { TopicNames } from './topic-names';
import { TypedField } from './typed-field';
import { useRows } from './use-rows';

/** How far a level is set in, rem. */
const STEP = 1.25;

/** What else is open in a row: its note, or the line that ties it to another. */
type Open = { id: string; what: 'note' | 'tie' } | null;

/** The map as an outline that is written: what is changed here is changed on the map, and the other way round. */
export function OutlineTree({
  map,
  assignment,
  mayEdit,
  onGo,
  onWrite,
}: {
  map: TopicMap;
  assignment: Assignment;
  mayEdit: boolean;
  onGo: (ids: readonly string[]) => void;
  /** opens the editor for longer text at a topic */
  onWrite: (id: string | null) => void;
}) {
  const { actions, store } = useEditor();
  // A teacher may leave notes out of what is drawn with.
  const mayNote = mayEdit && (assignment.drawing?.tools?.includes('notes') ?? true);
  const selection = useEditorState((state) => state.selection);
  const typing = useEditorState((state) => state.typing);
  const seen = useMemo(() => treeRows(map), [map]);
  const rows = useMemo(() => (typing?.what === 'row' ? withNewRow(seen, typing) : seen), [seen, typing]);
  const aims = useMemo(() => noteAims(map, assignment), [map, assignment]);
  const [open, setOpen] = useState<Open>(null);
  const chosen = new Set(selection);
  const chosenTopics = map.topics.filter(({ id }) => chosen.has(id)).map(({ id }) => id);
  const [anchor, setAnchor] = useState<string | null>(null);
  const choose = (id: string, extend: boolean): void => {
    if (id === NEW_ROW) return;
    if (!extend) setAnchor(id);
    const [a, b] = [rows.findIndex((one) => one.id === (anchor ?? id)), rows.findIndex((one) => one.id === id)];
    actions.select(extend ? rows.slice(Math.min(a, b), Math.max(a, b) + 1).map((one) => one.id) : [id]);
  };
  const tree = useRows(rows, COLUMNS.length, choose, {
    first: chosenTopics[0],
    // Below a large branch a new line would be written out of sight.
    shown: typing?.what === 'row' ? NEW_ROW : undefined,
  });
  const row = rows[tree.index];
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  );

  const edit = ({ id, by }: TreeRow, column: Column, fresh = false): void => {
    if (!mayEdit || id === NEW_ROW) return;
    if (column === 'note') return writeNote(id);
    if (column === 'phrase' && by) return actions.editPhrases(by.id, [], fresh);
    if (column !== 'topic') return;
    if (fresh) actions.typeOver(id);
    else actions.edit(id);
  };
  const writeNote = (id: string): void => {
    if (mayNote) setOpen({ id, what: 'note' });
  };
  /** A row of its own after this one; after the first, from which all hangs, below it. */
  const writeAfter = (one: TreeRow): void =>
    actions.writeRow(one.id, one.parent === null && one.below > 0 ? 'below' : 'beside');
  const writeBelow = ({ id, folded }: TreeRow): void => {
    // What is written below must be seen there.
    if (folded) actions.foldThese([id]);
    actions.writeRow(id, 'below');
  };
  // Words whose topic somebody deleted meanwhile are kept for a new one: here that is a row, at the margin.
  const isKept = mayEdit && typing?.what === 'new';
  useEffect(() => {
    if (isKept) actions.keptAsRow(seen.findLast(({ parent }) => parent === null)?.id ?? null);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- when it happens
  }, [isKept]);
  const back = (id: string, column: Column): void => tree.focusOn({ id, column: COLUMNS.indexOf(column) });
  const parentOf = (id: string): string | null => rows.find((one) => one.id === id)?.parent ?? null;

  /** Tab and Shift+Tab in a new row set it in and out; Enter takes it and begins the next, Mod with Enter the first below it. */
  const endNew = (by: string, typed: Extract<Typing, { what: 'row' }>): void => {
    const [made] = store.getState().selection;
    const isOn = by === 'Enter' || by === 'Mod+Enter';
    if (isOn && made !== undefined && made !== typed.after)
      return actions.writeRow(made, by === 'Enter' ? 'beside' : 'below');
    const to = made ?? typed.after;
    if (by !== 'left' && to !== null) back(to, 'topic');
  };
  const shiftNew = ({ after, as }: Extract<Typing, { what: 'row' }>, by: 'in' | 'out'): void => {
    if (after === null) return;
    if (by === 'in' && as === 'beside') return actions.writeRow(after, 'below');
    if (by === 'in') return;
    if (as === 'below') return actions.writeRow(after, 'beside');
    const over = parentOf(after);
    if (over !== null) actions.writeRow(over, 'beside');
  };

  const onKeyDown = (event: KeyboardEvent): void => {
    if (!row || (event.target as HTMLElement).closest('button, input, textarea')) return;
    const writes = isWriting(event);
    const chord = chordOf(event);
    const column = COLUMNS[tree.column]!;
    const act = acts[chord];
    // Who only reads folds nothing: that is stored with the map.
    if (act && (mayEdit || LOOKS.has(chord))) {
      if (act(row, column) === false) return void tree.onMove(event);
      event.preventDefault();
      event.stopPropagation();
      return;
    }
    if (tree.onMove(event)) return;
    const mod = !writes && (event.ctrlKey || event.metaKey);
    if (mayEdit && !mod && (writes || !event.altKey) && writesLetter(event)) flushSync(() => edit(row, column, true));
  };
  /** What keys do to a row. `false`: no more than going on. */
  const acts: Record<string, (one: TreeRow, column: Column) => void | false> = {
    ArrowRight: (one, column) => (column === 'topic' && one.folded ? actions.foldThese([one.id]) : false),
    ArrowLeft: (one, column) => {
      if (column !== 'topic') return false;
      if (one.below > 0 && !one.folded) return actions.foldThese([one.id]);
      if (one.parent !== null)
        tree.go(
          rows.findIndex(({ id }) => id === one.parent),
          0,
        );
    },
    Enter: (one, column) => (column === 'topic' ? writeAfter(one) : edit(one, column)),
    'Mod+Enter': writeBelow,
    F2: edit,
    'Alt+ArrowUp': ({ id }) => kept(id, () => actions.moveInOrder(id, -1)),
    'Alt+ArrowDown': ({ id }) => kept(id, () => actions.moveInOrder(id, 1)),
    'Alt+ArrowRight': ({ id }) => kept(id, () => actions.indent(id)),
    'Alt+ArrowLeft': ({ id }) => kept(id, () => actions.outdent(id)),
    'Alt+N': ({ id }) => writeNote(id),
    'Alt+K': ({ id }) => setOpen({ id, what: 'tie' }),
    Delete: ({ id }) => {
      const these = chosen.has(id) ? chosenTopics : [id];
      const next = rows.slice(tree.index + 1).find((one) => !these.includes(one.id)) ?? rows[tree.index - 1];
      actions.deleteRows(these);
      if (next) back(next.id, 'topic');
    },
    ' ': ({ id }) => actions.select(chosen.has(id) ? chosenTopics.filter((one) => one !== id) : [...chosenTopics, id]),
    'Mod+A': () => actions.select(rows.map(({ id }) => id)),
  };
  const kept = (id: string, run: () => void): void => {
    run();
    tree.focusOn({ id, column: tree.column });
  };
  const drop = ({ active, over }: DragEndEvent): void => {
    if (!over) return;
    const [place, id] = String(over.id).split('/') as ['on' | 'before' | 'after', string];
    const target = rows.find((one) => one.id === id);
    if (!target || active.id === id) return;
    const held = String(active.id);
    if (place === 'on' || target.parent === null) actions.hangRow(held, id, place === 'before' ? 'first' : 'last');
    else {
      const fellows = rows.filter((one) => one.parent === target.parent && one.id !== held);
      const before = place === 'after' ? target : fellows[fellows.indexOf(target) - 1];
      actions.hangRow(held, target.parent, before?.by ? { after: before.by.id } : 'first');
    }
  };
  return (
    <div className="flex h-full flex-col bg-paper" data-testid="outline">
      <div className="flex flex-wrap items-center gap-2 border-b border-rule px-3 py-2">
        {mayEdit && (
          <>
            <Button
              small
              onClick={() => (row ? writeAfter(row) : actions.writeRow(null, 'beside'))}
              title="A new line (Enter)"
            >
              <Plus aria-hidden size={14} />
              New line
            </Button>
            {mayNote && (
              <Button small onClick={() => onWrite(chosenTopics[0] ?? null)}>
                <NotebookPen aria-hidden size={14} />
                Write it out
              </Button>
            )}
          </>
        )}
        <span className="flex-1" />
        {map.topics.length > 0 && <OutlineFiles map={map} />}
        <Button small disabled={chosenTopics.length === 0} onClick={() => onGo(chosenTopics)}>
          <MapSign aria-hidden size={14} />
          On the map
        </Button>
      </div>
      <DndContext sensors={sensors} collisionDetection={pointerWithin} onDragEnd={drop} accessibility={DRAG_WORDS}>
        <div
          role="treegrid"
          aria-label="Outline of the map"
          aria-multiselectable
          aria-readonly={!mayEdit}
          aria-rowcount={rows.length + 1}
          aria-colcount={COLUMNS.length}
          ref={tree.scroller}
          className="min-h-0 flex-1 overflow-auto"
          onKeyDown={onKeyDown}
        >
          <div
            role="row"
            aria-rowindex={1}
            className="caption sticky top-0 z-10 grid min-w-[36rem] border-b border-ink bg-paper px-3"
            style={{ gridTemplateColumns: TEMPLATE }}
          >
            {COLUMNS.map((column, i) => (
              <div key={column} role="columnheader" aria-colindex={i + 1} className="px-1.5 py-1">
                {NAMES[column]}
              </div>
            ))}
          </div>
          {rows.length === 0 && (
            <p className="px-4 py-4 text-quiet">
              Nothing is on the map yet.
              {mayEdit ? ' Begin with a line: what is written here stands on the map at once.' : ''}
            </p>
          )}
          <div
            lang={assignment.language}
            className="relative min-w-[36rem]"
            style={{ height: tree.virtual.getTotalSize() }}
          >
            {tree.virtual.getVirtualItems().map(({ index, start }) => {
              const one = rows[index]!;
              const { id, by } = one;
              const isNew = id === NEW_ROW;
              const isTyped = (column: Column): boolean =>
                typing !== null &&
                (column === 'topic'
                  ? (isNew && typing.what === 'row') || (typing.what === 'topic' && typing.id === id)
                  : column === 'phrase' && typing.what === 'phrase' && typing.id === by?.id);
              const done = (how: string, column: Column): void => {
                if (how === 'left') return;
                if (how === 'Mod+Enter' && mayEdit) return writeBelow(one);
                const on = COLUMNS.indexOf(column) + (how === 'Tab' ? 1 : how === 'Shift+Tab' ? -1 : 0);
                tree.focusOn({ id, column: Math.max(0, on) });
              };
              return (
                <Row
                  key={id}
                  row={one}
                  index={index}
                  start={start}
                  measure={tree.virtual.measureElement}
                  isChosen={chosen.has(id)}
                >
                  {COLUMNS.map((column, i) => (
                    <div
                      key={column}
                      role="gridcell"
                      aria-colindex={i + 1}
                      {...tree.cellProps(id, i)}
                      className="words cell min-h-9 min-w-0 px-1.5 py-1.5"
                      style={column === 'topic' ? { paddingLeft: `${0.4 + one.depth * STEP}rem` } : undefined}
                      onClick={(event) => {
                        if ((event.target as HTMLElement).closest('button, input, textarea')) return;
                        tree.focusOn({ id, column: i });
                        if (event.ctrlKey || event.metaKey)
                          actions.select(chosen.has(id) ? chosenTopics.filter((x) => x !== id) : [...chosenTopics, id]);
                        else choose(id, event.shiftKey);
                      }}
                      onDoubleClick={() => edit(one, column)}
                    >
                      {isTyped(column) ? (
                        <TypedField
                          label={
                            column === 'topic' ? (isNew ? 'A new topic' : 'Words of this topic') : 'Words it hangs by'
                          }
                          adds={
                            isNew ||
                            (column === 'topic' && map.topics.find((topic) => topic.id === id)?.origin !== undefined)
                          }
                          {...(isNew && typing?.what === 'row' && { onShift: (by) => shiftNew(typing, by) })}
                          onDone={(how) => (isNew && typing?.what === 'row' ? endNew(how, typing) : done(how, column))}
                        />
                      ) : column === 'topic' ? (
                        <TopicCell
                          row={one}
                          mayEdit={mayEdit}
                          onFold={() => {
                            actions.foldThese([id]);
                            back(id, 'topic');
                          }}
                        >
                          {open?.what === 'tie' && open.id === id && (
                            <NewTie
                              from={one.text}
                              onTie={(phrase, to) => actions.tie(id, phrase, to)}
                              onClose={() => {
                                setOpen(null);
                                back(id, 'topic');
                              }}
                            />
                          )}
                        </TopicCell>
                      ) : column === 'phrase' ? (
                        <Phrase row={one} />
                      ) : open?.what === 'note' && open.id === id ? (
                        <NoteField
                          id={id}
                          note={one.note}
                          of={one.text}
                          onClose={() => {
                            setOpen(null);
                            back(id, 'note');
                          }}
                        />
                      ) : (
                        <NoteCell
                          row={one}
                          aim={aims.get(id)}
                          goal={map.topics.find((topic) => topic.id === id)?.wordGoal}
                        />
                      )}
                    </div>
                  ))}
                </Row>
              );
            })}
          </div>
        </div>
      </DndContext>
      <TopicNames topics={map.topics} />
      {mayEdit && (
        <p className="border-t border-rule px-3 py-1.5 text-sm text-quiet">
          Enter a new line · Ctrl Enter one below · Alt with arrows: move, set in and out · ← → fold · Alt N note · Alt
          K tie
        </p>
      )}
    </div>
  );
}

/** Chords that change nothing of what was written. */
const LOOKS = new Set([' ', 'Mod+A']);

const DRAG_WORDS = {
  screenReaderInstructions: { draggable: 'Alt with the arrow keys moves a line, and sets it in and out.' },
};
