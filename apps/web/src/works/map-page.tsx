import { DndContext, DragOverlay, MouseSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';
import type { Active, DragEndEvent } from '@dnd-kit/core';
import { bankChips, drawnBox, foldedOf, isBlank, kindOfTopic, markAt } from '@ichnograph/core';
import type { Chip, TitleBlockText, TopicMap } from '@ichnograph/core';
import type { WorkDetail } from '@ichnograph/contract';
import { ReactFlowProvider, useReactFlow } from '@xyflow/react';
import { Ellipsis, History, Keyboard, Search } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { useStore } from 'zustand';
import { HeadOfPage } from '../common/head-of-page';
import { showDay, showMoment } from '../common/dates';
import { Loading, useTitle } from '../common/page';
import { useKeys } from '../common/keys';
import { useMe, useTimeZone, useWork } from '../common/queries';
import { useIsPast } from '../common/use-is-past';
import { Waiting } from '../common/waiting';
import { FREE, MapFoot, useShow, ViewControls } from '../map';
import { Button, buttonClass } from '../ui/button';
import { Desk } from '../ui/desk';
import { Segments } from '../ui/segments';
import { CanvasMenu } from './panels/canvas-menu';
import { ChecksPanel } from './panels/checks-panel';
import { CommandMenu } from './commands/command-menu';
import { commandOf, CommandsProvider, commandsFor, useCommand } from './commands/list';
import { VIEWS } from './commands/command';
import type { DeskHand, Shown, View } from './commands/command';
import { DeleteGiven } from './dialogs/delete-given';
import { EditorProvider, useEditor, useEditorState } from './editor';
import type { Spot } from './editor';
import { HereList, useMarksOf, useOwnChoice, useSaidArrivals } from './here';
import { LeftPanel, LeftRail } from './panels/left-panel';
import { LooksBar } from './panels/looks-bar';
import { useKeptTyping } from './kept-typing';
import { shownOf } from './shown-of';
import { MapCanvas } from './map-canvas';
import { MapDialogs } from './dialogs/map-dialogs';
import { OtherView } from './other-view';
import { PresentingBar } from './presenting/presenting-bar';
import type { Writing } from './other-view';
import { AboutWork } from './told/about-work';
import type { DrawnMap } from './drawn-map';
import { Notices } from './told/notices';
import { ReadingLine } from './told/reading-line';
import { BesideMap, CommentsSign, ThreadsPanel, useThreads } from './threads';
import type { Beside } from './threads';
import { SaveWords } from './told/save-words';
import { hasVersions, useLiveWork } from './use-live-work';
import type { MapSource, OpenWork } from './use-live-work';

export function MapPage() {
  const work = useWork(useParams().id!);
  if (work.data === undefined) return <Waiting of={work} what="Opening the map …" />;
  return <OpenMap key={work.data.id} detail={work.data} work={work.data} />;
}

interface Drawn {
  detail: DrawnMap;
  /** where the map is a student's work */
  work: WorkDetail | null;
}

/** A map with all that draws and checks it. @param source left out for a student's work */
export function OpenMap({
  detail,
  work = null,
  source,
}: {
  detail: DrawnMap;
  work?: WorkDetail | null;
  source?: MapSource;
}) {
  const me = useMe();
  useTitle(`Map: ${detail.title}`);
  const open = useLiveWork(detail, work, me.id, source);
  if (!open) return <Loading what="Opening the map …" />;
  return <Opened detail={detail} work={work} open={open} />;
}

function Opened({ detail, work, open }: Drawn & { open: OpenWork }) {
  const ready = useStore(open.work.store, (store) => store.ready);
  const state = useStore(open.work.store, (store) => store.state);
  const slow = useStore(open.work.store, (store) => store.slow);
  if (!ready)
    return (
      <Loading
        what={
          state === 'closed'
            ? 'This map could not be opened. Load the page again, or go to Today.'
            : slow
              ? 'Opening the map … The server is slow to answer; this page keeps asking. What was saved is safe.'
              : 'Opening the map …'
        }
      />
    );
  return (
    <EditorProvider value={open.editor}>
      <ReactFlowProvider>
        <MapDesk detail={detail} work={work} open={open} />
      </ReactFlowProvider>
    </EditorProvider>
  );
}

/** Screen pixels that stay free around what is brought into sight. */
const ABOUT = { top: 30, right: 40, bottom: 30, left: 40 };

/** How far below the drawing something is made that belongs nowhere yet, canvas units. */
const BELOW = 60;

/** From this width on who still has terms to place sees them beside the map, pixels. */
const WIDE_WITH_TERMS = 1280;

const isView = (what: string): what is View => (VIEWS as readonly string[]).includes(what);

function MapDesk({ detail, work, open }: Drawn & { open: OpenWork }) {
  const zone = useTimeZone();
  const due = work?.due ?? null;
  const workState = work?.state ?? 'in progress';
  const isLate = useIsPast(due) && workState === 'in progress';
  const flow = useReactFlow();
  const editor = useEditor();
  const { actions } = editor;
  const host = useRef<HTMLDivElement>(null);
  const [view, showView] = useState<View>('Map');
  /** where the map is being written out, and the topic that was begun with */
  const [writing, setWriting] = useState<Writing | null>(null);
  const setView = (next: View): void => {
    setWriting(null);
    showView(next);
  };
  const [shown, setShown] = useState<Shown | null>(null);
  const [carried, setCarried] = useState<Chip | null>(null);
  const state = useStore(open.work.store, (store) => store.state);
  // The page itself follows these alone: what follows each edit of the map asks for the map itself.
  const title = useEditorState(({ map }) => map.title);
  const focusQuestion = useEditorState(({ map }) => map.focusQuestion);
  // A finger that stays a moment takes a term up; one that goes on at once scrolls the bank.
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
  );
  const { show, showMarks, seeMarks } = useShow();
  const { assignment } = open;
  const { legend } = assignment;
  const { mayEdit } = detail;
  const mayHandIn = work?.mayHandIn ?? false;
  const isShared = detail.members.length > 1;
  const [waits] = useState(() => mayEdit && bankChips(editor.store.getState().map, assignment).length > 0);
  const me = useMe();
  // Who teaches the class looks on while it is drawn.
  const isReader =
    (open.of === 'work' || open.of === 'shared') && !mayEdit && !detail.members.some(({ id }) => id === me.id);
  const { here } = open.work;
  const people = useMarksOf(
    detail.members,
    useStore(here.store, (state) => state.people),
  );
  const threads = useThreads(work?.id ?? null);
  const [beside, setBeside] = useState<Beside>('Requirements');
  useOwnChoice(here);
  useSaidArrivals(here);
  const focusCanvas = (): void => host.current?.focus({ preventScroll: true });
  /** Back to the work: to the field in which words are typed, if there is one. */
  const focusWork = (): void => {
    const field = host.current?.querySelector<HTMLElement>('[data-typing]');
    if (field) field.focus({ preventScroll: true });
    else focusCanvas();
  };
  const centre = (): Spot => {
    const box = host.current!.getBoundingClientRect();
    return flow.screenToFlowPosition({ x: box.x + box.width / 2, y: box.y + box.height / 2 });
  };
  /** The middle of the drawing, where it is not in sight. */
  const middle = (): Spot => {
    const box = drawnBox(editor.store.getState().map, legend);
    return box ? { x: (box.left + box.right) / 2, y: box.bottom + BELOW } : { x: 0, y: 0 };
  };
  const go = (ids: readonly string[]): void => {
    setView('Map');
    actions.select(ids);
    requestAnimationFrame(() =>
      showMarks(editor.store.getState().map, legend, ids, {
        padding: { top: 90, left: 90, right: 90, bottom: 90 },
        duration: 200,
      }),
    );
    focusCanvas();
  };
  /** What is seen now of the map. */
  const seen = (): TopicMap => {
    const { map, alone } = editor.store.getState();
    return shownOf(map, foldedOf(map), alone);
  };
  /** Shows what is chosen, if some of it is out of sight: what has just been made, pasted, or brought. */
  const bringIn = (ids = editor.store.getState().selection): void => seeMarks(seen(), legend, ids, ABOUT);
  const desk: DeskHand = {
    editor,
    mayEdit,
    mayHandIn,
    centre,
    bringIn,
    find: () => {
      const field = document.querySelector<HTMLElement>('#main [data-find]');
      if (field) return field.focus();
      setView('Map');
      actions.seek(editor.store.getState().sought ?? '');
    },
    leaveCanvas: () => document.getElementById('map-foot')?.focus({ preventScroll: true }),
    go,
    fit: () => show(drawnBox(seen(), legend), { duration: 160 }),
    frame: () => {
      const { width, height } = host.current!.getBoundingClientRect();
      return { width: width - FREE.left - FREE.right, height: height - FREE.top - FREE.bottom };
    },
    show: (what) => (isView(what) ? setView(what) : setShown(what)),
  };
  const commands = useMemo(
    () =>
      commandsFor(assignment, {
        mayEdit,
        mayHandIn,
        of: open.of,
        onLegend: open.onLegend,
        workId: detail.id,
        isShared,
      }),
    [assignment, mayEdit, mayHandIn, open.of, open.onLegend, detail.id, isShared],
  );
  usePageKeys(commands, desk);
  useKeptTyping(detail.id);
  const dropped = ({ active, activatorEvent, delta }: DragEndEvent): void => {
    setCarried(null);
    const from =
      'touches' in activatorEvent ? (activatorEvent as TouchEvent).touches[0]! : (activatorEvent as MouseEvent);
    const [x, y] = [from.clientX + delta.x, from.clientY + delta.y];
    const box = host.current?.getBoundingClientRect();
    // Not onto what lies over the map, such as the card that the term was taken from.
    const over = document.elementsFromPoint(x, y).find((element) => element.closest('#main'));
    if (
      !box ||
      x < box.left ||
      x > box.right ||
      y < box.top ||
      y > box.bottom ||
      !over ||
      !host.current?.contains(over)
    )
      return;
    const [chip, at] = [active.data.current as Chip, flow.screenToFlowPosition({ x, y })];
    const target = markAt(editor.store.getState().map, legend, 'topics', at);
    if (target === undefined) actions.place(chip, at);
    else actions.placeUnder(chip, target);
  };
  /** Places a term in the nearest free place, and brings it into sight if that is out of it. */
  const placeNearCentre = (chip: Chip): void => {
    if (!mayEdit || view !== 'Map') return;
    const id = actions.placeNear(chip, centre());
    if (id !== null) seeMarks(seen(), legend, [id], ABOUT);
  };
  const drawnBy = detail.members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ');
  const today = showDay(new Date().toISOString(), zone).replace(/^\w+ /, '');
  const block: TitleBlockText = {
    title,
    focusQuestion,
    drawnBy,
    assignment: detail.className,
    state: workState === 'in progress' ? 'being drawn' : workState,
    date: today,
  };
  return (
    <CommandsProvider value={{ commands, desk }}>
      <DndContext
        sensors={sensors}
        onDragStart={({ active }) => setCarried(active.data.current as Chip)}
        onDragCancel={() => setCarried(null)}
        onDragEnd={dropped}
        autoScroll={false}
        accessibility={{
          screenReaderInstructions: { draggable: 'Press Enter to place it on the map, or drag it there.' },
          announcements: CARRYING,
        }}
      >
        <HeadOfPage
          crumbs={[{ name: detail.className, to: open.back?.to ?? '/' }, { name: detail.title }]}
          middle={<Segments label="View" options={VIEWS} value={view} onChange={setView} />}
          actions={
            <>
              <HereList
                here={here}
                isShared={isShared}
                marks={people}
                isReader={isReader}
                onMap={() => setView('Map')}
              />
              {due && (
                <span className={`hidden text-right leading-tight lg:inline ${isLate ? 'text-ochre' : 'text-quiet'}`}>
                  {isLate ? 'Was due' : 'Due'} {showMoment(due, zone)}
                </span>
              )}
              {open.back && (
                <Link className={buttonClass('action')} to={open.back.to}>
                  {open.back.name}
                </Link>
              )}
              {open.of === 'work' && <Button onClick={() => setShown('brief')}>Brief</Button>}
              {mayHandIn && (
                <Button look="action" onClick={() => setShown('hand in')}>
                  {work && work.submissions.length > 0 ? 'Hand in again …' : 'Hand in …'}
                </Button>
              )}
            </>
          }
        />
        <Desk
          // Who writes at length has the whole width: another desk, with sides of its own.
          key={writing ? 'writing' : 'map'}
          id={writing ? 'writing' : 'map'}
          left={
            writing
              ? undefined
              : {
                  name: 'Legend and word bank',
                  size: 216,
                  wideFrom: waits ? WIDE_WITH_TERMS : 1440,
                  content: (
                    <LeftPanel
                      workId={detail.id}
                      open={open}
                      mayEdit={mayEdit}
                      centre={centre}
                      onPlace={placeNearCentre}
                    />
                  ),
                  rail: (openCard) => <LeftRail open={open} mayEdit={mayEdit} onOpen={openCard} />,
                }
          }
          right={
            open.of === 'mine' || open.of === 'shared' || writing
              ? undefined
              : {
                  name: work ? beside : 'Requirements',
                  size: 256,
                  wideFrom: 1200,
                  content: (
                    <>
                      {work && <BesideMap value={beside} unread={threads.unread} onChange={setBeside} />}
                      {work && beside === 'Comments' ? (
                        <ThreadsPanel workId={work.id} threads={threads} open={open} onGo={go} />
                      ) : (
                        <ChecksPanel open={open} onGo={go} onPlaceTerm={placeNearCentre} mayEdit={mayEdit} />
                      )}
                    </>
                  ),
                  rail: (openCard) => (
                    <>
                      {work && (
                        <CommentsSign
                          unread={threads.unread}
                          forMe={threads.forMe}
                          onOpen={() => {
                            setBeside('Comments');
                            openCard();
                          }}
                        />
                      )}
                      <ChecksPanel rail open={open} onGo={go} onPlaceTerm={placeNearCentre} mayEdit={mayEdit} />
                    </>
                  ),
                }
          }
        >
          {!isBlank(focusQuestion) && (
            <p className="words border-b border-rule bg-paper px-3.5 py-1 text-sm font-semibold" data-testid="question">
              {focusQuestion}
            </p>
          )}
          {mayEdit && !writing && (
            <LooksBar assignment={assignment} prompts={open.of === 'sheet'} onMap={view === 'Map'} />
          )}
          {work && <AboutWork work={work} open={open} />}
          {(open.of === 'work' || open.of === 'mine') && (
            <PresentingBar id={detail.id} onMap={view === 'Map'} onTour={() => setView('Tour')} />
          )}
          <Notices open={open} />
          <div className="relative min-h-0 flex-1">
            {view === 'Map' ? (
              <CanvasMenu onClosed={focusWork}>
                <MapCanvas
                  detail={detail}
                  work={work}
                  open={open}
                  host={host}
                  people={people}
                  threads={threads}
                  saidBeside={beside === 'Comments'}
                />
              </CanvasMenu>
            ) : (
              <WithMap>
                {(map) => (
                  <OtherView
                    mapId={detail.id}
                    view={view}
                    map={map}
                    assignment={assignment}
                    mayEdit={mayEdit}
                    centre={middle}
                    onGo={go}
                    writing={writing}
                    onWriting={setWriting}
                    onTaken={() => {
                      setView('Map');
                      requestAnimationFrame(desk.fit);
                    }}
                  />
                )}
              </WithMap>
            )}
          </div>
          <MapFoot
            view={view === 'Map' && <WithMap>{(map) => <ViewControls map={map} legend={legend} />}</WithMap>}
            reading={<ReadingLine open={open} onMap={view === 'Map'} />}
            title={title}
            focusQuestion={focusQuestion}
            drawnBy={drawnBy}
            assignment={detail.className}
            state={mayEdit ? <SaveWords state={state} /> : 'To be read'}
            date={today}
            onEntitle={mayEdit ? actions.entitle : undefined}
          >
            {hasVersions(open.of) && (
              <Button small onClick={() => setShown('versions')} aria-label="Versions" title="Versions of this map">
                <History aria-hidden size={14} />
              </Button>
            )}
            <FindButton />
            <CommandMenu bare group="map" name="More" sign={<Ellipsis aria-hidden size={14} />} />
            <Button small onClick={() => setShown('keys')} aria-label="Keys of this page" title="Keys of this page (?)">
              <Keyboard aria-hidden size={14} />
            </Button>
          </MapFoot>
        </Desk>
        <DragOverlay dropAnimation={null}>
          {carried && (
            <div
              className="card inline-block border-l-4 px-2 py-1"
              style={{ borderLeftColor: kindOfTopic(legend, carried.kind)?.outline ?? '#4d5867' }}
            >
              {carried.text}
            </div>
          )}
        </DragOverlay>
        <MapDialogs
          detail={detail}
          work={work}
          open={open}
          block={block}
          view={view}
          shown={shown}
          onShow={setShown}
          onClosed={focusWork}
          onGo={go}
          onTour={() => setView('Tour')}
          bringIn={bringIn}
        />
        <DeleteGiven host={host} open={open} />
      </DndContext>
    </CommandsProvider>
  );
}

/** What is drawn of the map as it is now, anew with each edit. */
function WithMap({ children }: { children: (map: TopicMap) => ReactNode }) {
  return children(useEditorState(({ map }) => map));
}

function FindButton() {
  const { title, onClick } = useCommand('find');
  return (
    <Button small onClick={onClick} aria-label="Find on the map" title={title}>
      <Search aria-hidden size={14} />
    </Button>
  );
}

const wordsOf = ({ active }: { active: Active }): string => (active.data.current as Chip).text;
/** What is said of a term that is dragged: its words, never its id. */
const CARRYING = {
  onDragStart: (event: { active: Active }) => `${wordsOf(event)} is taken up.`,
  onDragOver: () => undefined,
  onDragEnd: (event: { active: Active }) => `${wordsOf(event)} is let go.`,
  onDragCancel: (event: { active: Active }) => `${wordsOf(event)} stays where it was.`,
};

/** Keys of the page act wherever nothing is being typed and nothing lies over it; undo and redo go on as long as they are held. */
function usePageKeys(commands: ReturnType<typeof commandsFor>, desk: DeskHand): void {
  useKeys((chord) => {
    const command = commandOf(chord, 'page', commands, desk.editor.store.getState());
    return command && { run: () => command.run(desk), held: ['undo', 'redo'].includes(command.id) };
  });
}
