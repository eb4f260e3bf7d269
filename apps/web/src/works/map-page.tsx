import { DndContext, DragOverlay, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import type { DragEndEvent } from '@dnd-kit/core';
import { kindOfTopic } from '@ichnograph/core';
import type { Chip } from '@ichnograph/core';
import type { WorkDetail } from '@ichnograph/contract';
import { ReactFlowProvider, useReactFlow, useStore as useFlowStore } from '@xyflow/react';
import { Keyboard } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { useStore } from 'zustand';
import { announce, alertAloud } from '../app/announcer';
import { HeadOfPage } from '../app/crumbs';
import { showDay, showMoment } from '../app/dates';
import { Failed } from '../app/failures';
import { Loading, useTitle } from '../app/page';
import { useMe, useTimeZone, useWork } from '../app/queries';
import { Brief } from '../assignments';
import { Canvas, concernOf, flagsOf, Reading, ReadSentence, ReportHead, ResultsList, SentencesView, TitleBlock, useShow, ViewControls } from '../map';
import type { Gestures, Padding } from '../map';
import { Button } from '../ui/button';
import { Desk } from '../ui/desk';
import { Confirm, Dialog } from '../ui/dialog';
import { Segments } from '../ui/segments';
import { BankPanel } from './bank-panel';
import { CANVAS_SHORTCUTS, onCanvasKey } from './canvas-keys';
import { EditorProvider, useEditor, useEditorState } from './editor';
import type { Typing } from './editor';
import { FirstStep, isBare } from './first-step';
import { HandInDialog } from './hand-in-dialog';
import { LegendPanel } from './legend-panel';
import { LinkDialog } from './link-dialog';
import { LooksBar } from './looks-bar';
import { NextMark } from './next-mark';
import { ResizeGrip } from './resize-grip';
import { saveSentence, saveWords, SaveWords } from './save-words';
import { TypingOverlay } from './typing-overlay';
import { useLiveWork } from './use-live-work';
import type { OpenWork } from './use-live-work';

export function MapPage() {
  const work = useWork(useParams().id!);
  if (work.isPending) return <Loading what="Opening the map …" />;
  if (work.isError) return <Failed error={work.error} />;
  return <OpenMap key={work.data.id} detail={work.data} />;
}

function OpenMap({ detail }: { detail: WorkDetail }) {
  const me = useMe();
  useTitle(detail.title);
  const open = useLiveWork(detail, me.id);
  if (!open) return <Loading what="Opening the map …" />;
  return <Opened detail={detail} open={open} />;
}

function Opened({ detail, open }: { detail: WorkDetail; open: OpenWork }) {
  const ready = useStore(open.work.store, (store) => store.ready);
  const state = useStore(open.work.store, (store) => store.state);
  if (!ready) return <Loading what={state === 'closed' ? 'This map could not be opened. Load the page again, or go to Today.' : 'Opening the map …'} />;
  return (
    <EditorProvider value={open.editor}>
      <ReactFlowProvider><MapDesk detail={detail} open={open} /></ReactFlowProvider>
    </EditorProvider>
  );
}

/** What the title block and the view controls cover is kept free when the whole map is shown. */
const PADDING: Padding = { top: 44, left: 24, right: 24, bottom: 196 };
const AROUND: Padding = { top: 90, left: 90, right: 90, bottom: 220 };
const VIEWS = ['Map', 'Sentences'] as const;

function MapDesk({ detail, open }: { detail: WorkDetail; open: OpenWork }) {
  const zone = useTimeZone();
  const flow = useReactFlow();
  const { actions } = useEditor();
  const host = useRef<HTMLDivElement>(null);
  const [view, setView] = useState<(typeof VIEWS)[number]>('Map');
  const [showBrief, setShowBrief] = useState(false);
  const [showHandIn, setShowHandIn] = useState(false);
  const [showKeys, setShowKeys] = useState(false);
  const [carried, setCarried] = useState<Chip | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const { showMarks } = useShow();
  const { assignment } = open;
  const mayEdit = detail.mayEdit;
  const centre = (): { x: number; y: number } => {
    const box = host.current!.getBoundingClientRect();
    return flow.screenToFlowPosition({ x: box.x + box.width / 2, y: box.y + box.height / 2 });
  };
  const go = (ids: readonly string[]): void => {
    setView('Map');
    actions.select(ids);
    requestAnimationFrame(() => showMarks(open.editor.store.getState().map, assignment.legend, ids, { padding: AROUND, duration: 200 }));
    host.current?.focus({ preventScroll: true });
  };
  const dropped = ({ active, activatorEvent, delta }: DragEndEvent): void => {
    setCarried(null);
    const { clientX, clientY } = activatorEvent as PointerEvent;
    const [x, y] = [clientX + delta.x, clientY + delta.y];
    const box = host.current?.getBoundingClientRect();
    if (!box || x < box.left || x > box.right || y < box.top || y > box.bottom) return;
    actions.place(active.data.current as Chip, flow.screenToFlowPosition({ x, y }));
  };
  const placeNearCentre = (chip: Chip): void => { if (mayEdit) actions.placeNear(chip, centre()); };
  return (
    <DndContext sensors={sensors} onDragStart={({ active }) => { setCarried(active.data.current as Chip); }} onDragCancel={() => setCarried(null)} onDragEnd={dropped} autoScroll={false}>
      <HeadOfPage crumbs={[{ name: detail.className, to: '/' }, { name: detail.title }]} middle={<Segments label="View" options={VIEWS} value={view} onChange={setView} />}
        actions={<>
          {detail.due && <span className="hidden text-quiet xl:inline">Due {showMoment(detail.due, zone)}</span>}
          <Button onClick={() => setShowBrief(true)}>Brief</Button>
          {detail.mayHandIn && <Button look="action" onClick={() => setShowHandIn(true)}>{detail.submissions.length > 0 ? 'Hand in again …' : 'Hand in …'}</Button>}
        </>} />
      <Desk id="map" left={{ name: 'legend and word bank', size: 216, content: <LeftPanel open={open} mayEdit={mayEdit} onPlace={placeNearCentre} /> }}
        right={{ name: 'requirements', size: 288, content: <ChecksPanel detail={detail} open={open} onGo={go} onPlaceTerm={placeNearCentre} mayEdit={mayEdit} /> }}>
        {mayEdit && <LooksBar assignment={assignment} />}
        <div className="relative min-h-0 flex-1">
          <Notices detail={detail} open={open} />
          {view === 'Map'
            ? <MapCanvas detail={detail} open={open} host={host} centre={centre} onKeys={() => setShowKeys(true)} />
            : <SentencesView map={open.editor.store.getState().map} legend={assignment.legend} onGo={(id) => go([id])} />}
        </div>
        <ReadingLine open={open} />
      </Desk>
      <DragOverlay dropAnimation={null}>{carried && <div className="card inline-block border-l-4 px-2 py-1" style={{ borderLeftColor: kindOfTopic(assignment.legend, carried.kind)?.outline ?? '#4d5867' }}>{carried.text}</div>}</DragOverlay>
      <Dialog open={showBrief} onOpenChange={setShowBrief} title={detail.title} description={assignment.focusQuestion}><Brief text={assignment.brief} /></Dialog>
      <Dialog open={showKeys} onOpenChange={setShowKeys} title="Keys on the map"><Shortcuts /></Dialog>
      <HandInDialog detail={detail} open={open} shown={showHandIn} onShow={setShowHandIn} />
      <LinkDialog onClosed={() => { if (!open.editor.store.getState().typing) host.current?.focus({ preventScroll: true }); }} />
      <DeleteGiven host={host} open={open} />
    </DndContext>
  );
}

function MapCanvas({ detail, open, host, centre, onKeys }: { detail: WorkDetail; open: OpenWork; host: React.RefObject<HTMLDivElement | null>; centre: () => { x: number; y: number }; onKeys: () => void }) {
  const editor = useEditor();
  const { actions } = editor;
  const zone = useTimeZone();
  const map = useEditorState((state) => state.map);
  const selected = useEditorState((state) => state.selection);
  const report = useEditorState((state) => state.report);
  const requirement = useEditorState((state) => state.requirement);
  const typing = useEditorState((state) => state.typing);
  const state = useStore(open.work.store, (store) => store.state);
  const selection = useMemo(() => new Set(selected), [selected]);
  const bare = isBare(map);
  const flags = useMemo(() => flagsOf(bare ? null : report, map.topics.length, requirement), [bare, report, map.topics.length, requirement]);
  const concern = useMemo(() => concernOf(report?.results.find(({ id }) => id === requirement), map.links), [report, requirement, map.links]);
  const gestures = useMemo((): Gestures => ({
    onMove: actions.move, onLink: actions.link, onGrow: (from, at) => actions.make(at, from), onMake: (at) => actions.make(at), onEdit: actions.edit,
  }), [actions]);
  useInView(typing);
  const { legend } = open.assignment;
  return (
    <Canvas label={`Map with ${map.topics.length} topics and ${map.links.length} links. Arrow keys go from topic to topic; the view “Sentences” is the map as text.`}
      map={map} legend={legend} selection={selection} flags={flags} concern={concern} typing={typing && typing.what !== 'new' ? typing.id : null} padding={PADDING} fitKey={detail.id} hostRef={host}
      onSelect={actions.select} onHover={actions.hover} onKey={(event) => onCanvasKey(event, editor, centre, detail.mayEdit)} gestures={detail.mayEdit ? gestures : undefined}
      overlay={detail.mayEdit && <><ResizeGrip /><TypingOverlay legend={legend} onDone={() => requestAnimationFrame(() => { if (!editor.store.getState().typing) host.current?.focus({ preventScroll: true }); })} /></>}>
      <ViewControls map={map} legend={legend} padding={PADDING} />
      <Button small className="absolute bottom-3 left-[14.2rem] z-10" onClick={onKeys} aria-label="Keys on the map"><Keyboard aria-hidden size={14} /></Button>
      <TitleBlock title={map.title} focusQuestion={map.focusQuestion} drawnBy={detail.members.map(({ givenName, familyName }) => `${givenName} ${familyName}`).join(', ')} assignment={detail.className}
        state={<SaveWords state={state} />} date={showDay(new Date().toISOString(), zone).replace(/^\w+ /, '')} onEntitle={detail.mayEdit ? actions.entitle : undefined} />
    </Canvas>
  );
}

/** Brings what is being typed into view, by the least movement. */
function useInView(typing: Typing | null): void {
  const flow = useReactFlow();
  const width = useFlowStore((state) => state.width);
  const height = useFlowStore((state) => state.height);
  const at = typing?.what === 'new' ? typing.at : null;
  useEffect(() => {
    if (!at) return;
    const { x, y, zoom } = flow.getViewport();
    // What can be seen stays where it is under the hand.
    const step = (place: number, size: number): number => (place < 30 ? 110 - place : place > size - 30 ? size - 110 - place : 0);
    const [dx, dy] = [step(at.x * zoom + x, width), step(at.y * zoom + y, height)];
    if (dx !== 0 || dy !== 0) void flow.setViewport({ x: x + dx, y: y + dy, zoom }, { duration: 160 });
  }, [at, flow, width, height]);
}

function LeftPanel({ open, mayEdit, onPlace }: { open: OpenWork; mayEdit: boolean; onPlace: (chip: Chip) => void }) {
  const { legend } = open.assignment;
  return (
    <div className="px-3 py-2.5">
      {mayEdit && <NextMark legend={legend} />}
      <LegendPanel assignment={open.assignment} mayEdit={mayEdit} />
      {mayEdit && <BankPanel legend={legend} onPlace={onPlace} />}
    </div>
  );
}

function ChecksPanel({ open, onGo, onPlaceTerm, mayEdit }: { detail: WorkDetail; open: OpenWork; onGo: (ids: readonly string[]) => void; onPlaceTerm: (chip: Chip) => void; mayEdit: boolean }) {
  const { actions } = useEditor();
  const report = useEditorState((state) => state.report);
  const requirement = useEditorState((state) => state.requirement);
  const chips = useEditorState((state) => state.chips);
  const tooLong = useEditorState((state) => state.tooLong);
  const bare = useEditorState(({ map }) => isBare(map));
  const { assignment } = open;
  const own = assignment.legend.topicKinds.find(({ givenBy }) => givenBy === 'student')?.name ?? null;
  return (
    <div className="pb-4" data-testid="checks">
      {bare ? <FirstStep terms={chips.length} own={own} /> : report ? <ReportHead report={report} /> : <p className="px-3.5 py-3 text-quiet">Checking …</p>}
      {tooLong && <p className="border-b border-rule bg-ochre-wash px-3.5 py-2 text-sm">This map takes too long to check while you draw. It is checked when you hand in.</p>}
      <ResultsList assignment={assignment} report={bare ? null : report} chosen={requirement} onChoose={actions.showRequirement} onGo={onGo}
        termAction={(term) => {
          const chip = chips.find(({ text }) => text === term);
          return chip && mayEdit ? <Button small className="shrink-0" onClick={() => onPlaceTerm(chip)}>Place</Button> : null;
        }} />
    </div>
  );
}

/** Reads out what is selected, pointed at or being typed, along the arrow. */
function ReadingLine({ open }: { open: OpenWork }) {
  const map = useEditorState((state) => state.map);
  const typing = useEditorState((state) => state.typing);
  const words = useEditorState((state) => state.words);
  const next = useEditorState((state) => state.next);
  const hovered = useEditorState((state) => state.hovered);
  const selection = useEditorState((state) => state.selection);
  const { legend } = open.assignment;
  const parent = typing?.what === 'new' ? map.topics.find(({ id }) => id === typing.from) : undefined;
  const shown = typing && typing.what !== 'new' ? typing.id : hovered ?? (selection.length === 1 ? selection[0]! : null);
  return (
    <div aria-label="Reading line" role="region" className="flex min-h-[38px] items-center gap-3 border-t border-rule bg-paper px-3.5" data-testid="reading-line">
      <span className="shrink-0 text-quiet">Reads</span>
      {typing?.what === 'new'
        ? parent ? <ReadSentence from={parent.text} phrase="" to={words || '…'} /> : <span className="truncate">A new {kindOfTopic(legend, next.topicKind)?.name ?? 'topic'}</span>
        : shown ? <Reading map={map} legend={legend} id={shown} phrase={typing?.what === 'phrase' ? words : undefined} />
        : <span className="truncate text-quiet">{selection.length > 1 ? `${selection.length} things are selected.` : 'Point at a link to read it along its arrow.'}</span>}
    </div>
  );
}

/** What must be known before going on: the work's state, trouble with saving, why something was not done. */
function Notices({ detail, open }: { detail: WorkDetail; open: OpenWork }) {
  const { actions } = useEditor();
  const zone = useTimeZone();
  const refusal = useEditorState((state) => state.refusal);
  const state = useStore(open.work.store, (store) => store.state);
  const before = useRef(state);
  useEffect(() => {
    if (before.current === state) return;
    const was = before.current;
    before.current = state;
    if (saveSentence(state)) alertAloud(saveSentence(state)!);
    else if (state === 'saved' && was !== 'opening') announce(saveWords(state));
  }, [state]);
  const [newest] = detail.submissions;
  const about = detail.state === 'being marked' ? 'Your teacher has begun to mark this map. You can look at it; changes wait until it comes back.'
    : detail.state === 'returned' ? 'This map came back to you. Open the comments and choose “Revise” to go on with it.'
    : detail.state === 'handed in' && newest ? `Handed in ${showMoment(newest.handedInAt, zone)}. You may go on and hand in again until your teacher begins to mark.` : null;
  // Over the map, not above it: the map must not move under a hand because a connection came or went.
  return (
    <div className="pointer-events-none absolute inset-x-0 top-0 z-20 [&>*]:pointer-events-auto">
      {about && <p className="border-b border-rule bg-wash px-3.5 py-1.5 text-sm">{about}</p>}
      {saveSentence(state) && <p className="border-b border-madder bg-madder-wash px-3.5 py-1.5 text-sm" data-testid="save-trouble">{saveSentence(state)}</p>}
      {refusal && (
        <div className="flex items-start justify-between gap-3 border-b border-ochre bg-ochre-wash px-3.5 py-1.5 text-sm" data-testid="refusal"><p className="words min-w-0">{refusal}</p><Button small look="quiet" onClick={actions.dismiss}>Good</Button></div>
      )}
    </div>
  );
}

function DeleteGiven({ host, open }: { host: React.RefObject<HTMLDivElement | null>; open: OpenWork }) {
  const { actions } = useEditor();
  const deleting = useEditorState((state) => state.deleting);
  const given = open.editor.store.getState().map.topics.filter(({ id, origin }) => deleting?.includes(id) && origin !== undefined);
  const names = given.slice(0, 5).map(({ text }) => `“${text}”`).join(', ');
  return (
    <Confirm open={deleting !== null} danger title={given.length === 1 ? 'Delete a given topic?' : `Delete ${given.length} given topics?`} yes="Delete" no="Keep"
      onAnswer={(yes) => (yes ? actions.remove(true) : actions.keep())} onCloseAutoFocus={(event) => { event.preventDefault(); host.current?.focus({ preventScroll: true }); }}>
      <p>Your teacher gave {names}{given.length > 5 && ' and others'}. {given.length === 1 ? 'It goes' : 'They go'} back to the word bank, from where you can place {given.length === 1 ? 'it' : 'them'} again.</p>
    </Confirm>
  );
}

function Shortcuts() {
  return <dl className="grid grid-cols-[11rem_1fr] gap-x-4 gap-y-1.5">{CANVAS_SHORTCUTS.map(([keys, what]) => <div key={keys} className="contents"><dt className="font-mono text-sm">{keys}</dt><dd>{what}</dd></div>)}</dl>;
}
