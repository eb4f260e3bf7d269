import { DndContext, DragOverlay, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import type { DragEndEvent } from '@dnd-kit/core';
import { kindOfTopic } from '@ichnograph/core';
import type { Chip, Legend } from '@ichnograph/core';
import type { WorkDetail } from '@ichnograph/contract';
import { ReactFlowProvider, useReactFlow } from '@xyflow/react';
import { useRef, useState } from 'react';
import { useParams } from 'react-router';
import { useStore } from 'zustand';
import { HeadOfPage } from '../app/crumbs';
import { showMoment } from '../app/dates';
import { Failed } from '../app/failures';
import { Loading, useTitle } from '../app/page';
import { useMe, useTimeZone, useWork } from '../app/queries';
import { Brief } from '../assignments';
import { SentencesView, useShow } from '../map';
import type { Padding } from '../map';
import { Button } from '../ui/button';
import { Desk } from '../ui/desk';
import { Dialog } from '../ui/dialog';
import { Segments } from '../ui/segments';
import { CANVAS_SHORTCUTS } from './canvas-keys';
import { ChecksPanel } from './checks-panel';
import { DeleteGiven } from './delete-given';
import { EditorProvider, useEditor, useEditorState } from './editor';
import { HandInDialog } from './hand-in-dialog';
import { LeftPanel } from './left-panel';
import { LinkDialog } from './link-dialog';
import { LooksBar } from './looks-bar';
import { MapCanvas } from './map-canvas';
import { Notices } from './notices';
import { ReadingLine } from './reading-line';
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
  if (!ready)
    return (
      <Loading
        what={
          state === 'closed'
            ? 'This map could not be opened. Load the page again, or go to Today.'
            : 'Opening the map …'
        }
      />
    );
  return (
    <EditorProvider value={open.editor}>
      <ReactFlowProvider>
        <MapDesk detail={detail} open={open} />
      </ReactFlowProvider>
    </EditorProvider>
  );
}

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
    requestAnimationFrame(() =>
      showMarks(open.editor.store.getState().map, assignment.legend, ids, { padding: AROUND, duration: 200 }),
    );
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
  const placeNearCentre = (chip: Chip): void => {
    if (mayEdit) actions.placeNear(chip, centre());
  };
  return (
    <DndContext
      sensors={sensors}
      onDragStart={({ active }) => {
        setCarried(active.data.current as Chip);
      }}
      onDragCancel={() => setCarried(null)}
      onDragEnd={dropped}
      autoScroll={false}
    >
      <HeadOfPage
        crumbs={[{ name: detail.className, to: '/' }, { name: detail.title }]}
        middle={<Segments label="View" options={VIEWS} value={view} onChange={setView} />}
        actions={
          <>
            {detail.due && <span className="hidden text-quiet xl:inline">Due {showMoment(detail.due, zone)}</span>}
            <Button onClick={() => setShowBrief(true)}>Brief</Button>
            {detail.mayHandIn && (
              <Button look="action" onClick={() => setShowHandIn(true)}>
                {detail.submissions.length > 0 ? 'Hand in again …' : 'Hand in …'}
              </Button>
            )}
          </>
        }
      />
      <Desk
        id="map"
        left={{
          name: 'legend and word bank',
          size: 216,
          content: <LeftPanel open={open} mayEdit={mayEdit} onPlace={placeNearCentre} />,
        }}
        right={{
          name: 'requirements',
          size: 288,
          content: <ChecksPanel open={open} onGo={go} onPlaceTerm={placeNearCentre} mayEdit={mayEdit} />,
        }}
      >
        {mayEdit && <LooksBar assignment={assignment} />}
        <div className="relative min-h-0 flex-1">
          <Notices detail={detail} open={open} />
          {view === 'Map' ? (
            <MapCanvas detail={detail} open={open} host={host} centre={centre} onKeys={() => setShowKeys(true)} />
          ) : (
            <LiveSentences legend={assignment.legend} onGo={(id) => go([id])} />
          )}
        </div>
        <ReadingLine open={open} />
      </Desk>
      <DragOverlay dropAnimation={null}>
        {carried && (
          <div
            className="card inline-block border-l-4 px-2 py-1"
            style={{ borderLeftColor: kindOfTopic(assignment.legend, carried.kind)?.outline ?? '#4d5867' }}
          >
            {carried.text}
          </div>
        )}
      </DragOverlay>
      <Dialog open={showBrief} onOpenChange={setShowBrief} title={detail.title} description={assignment.focusQuestion}>
        <Brief text={assignment.brief} />
      </Dialog>
      <Dialog open={showKeys} onOpenChange={setShowKeys} title="Keys on the map">
        <Shortcuts />
      </Dialog>
      <HandInDialog detail={detail} open={open} shown={showHandIn} onShow={setShowHandIn} />
      <LinkDialog
        onClosed={() => {
          if (!open.editor.store.getState().typing) host.current?.focus({ preventScroll: true });
        }}
      />
      <DeleteGiven host={host} open={open} />
    </DndContext>
  );
}

function LiveSentences({ legend, onGo }: { legend: Legend; onGo: (id: string) => void }) {
  return <SentencesView map={useEditorState(({ map }) => map)} legend={legend} onGo={onGo} />;
}

function Shortcuts() {
  return (
    <dl className="grid grid-cols-[11rem_1fr] gap-x-4 gap-y-1.5">
      {CANVAS_SHORTCUTS.map(([keys, what]) => (
        <div key={keys} className="contents">
          <dt className="font-mono text-sm">{keys}</dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  );
}
