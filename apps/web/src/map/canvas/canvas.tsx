import '@xyflow/react/dist/base.css';
import './canvas.css';
import { drawnBox, markAt } from '@ichnograph/core';
import {
  Background,
  BackgroundVariant,
  ConnectionMode,
  ReactFlow,
  SelectionMode,
  useReactFlow,
  useStore as useFlowStore,
  ViewportPortal,
} from '@xyflow/react';
import type { EdgeChange, FinalConnectionState, NodeChange } from '@xyflow/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import type {
  ClipboardEvent,
  ComponentProps,
  KeyboardEvent,
  MouseEvent as ReactMouseEvent,
  ReactNode,
  RefObject,
} from 'react';
import { useMapIsHere } from '../../common/head-of-page';
import { BalloonLayer, markScaleAt } from './balloon-layer';
import { Behind, RegionTitles } from './behind';
import { CanvasLink, CanvasPicture, CanvasTopic } from './canvas-marks';
import type { LinkEdge, MarkNode } from './canvas-marks';
import type { Flags } from './flags';
import { FromAfar, useDetail } from './from-afar';
import type { Gestures, Spot } from './gestures';
import { DropMark, InHand } from './in-hand';
import { Lifted } from './lifted';
import { Overview } from './overview';
import { useDrag } from './use-drag';
import { NOT_MOVED, useGlide } from './use-glide';
import { useMarks } from './use-marks';
import { useSteady } from './use-steady';
import type { Shown } from './use-marks';
import { FREE, useShow } from './view';
import type { Padding } from './view';

interface Props extends Omit<Shown, 'moved' | 'mayEdit'> {
  label: string;
  /** what the words on the map are in */
  language?: string;
  flags: Flags;
  /** what covers the canvas when the whole map is first shown */
  padding?: Padding;
  /** whether a tap adds to what is chosen, for hands without keys */
  gathering?: boolean;
  /** whether a drag takes along what hangs from the topic in the hand */
  withBranch?: boolean;
  /** where topics stood before they were laid out anew: they are seen to go from there */
  glide?: ReadonlyMap<string, Spot> | null;
  onGlided?: () => void;
  /** whose words are hidden until they are pointed at or chosen */
  blank?: 'topics' | 'phrases' | null;
  /** whether a small overview shows where on the map one is */
  overview?: boolean;
  /** the overview was put away */
  onOverview?: () => void;
  /** what is pasted, and text to be copied or cut, while the canvas has the focus */
  clipboard?: { onPaste: (data: DataTransfer) => void; onCopy: () => string; onCut: () => string } | undefined;
  /** what may be dropped on the map from elsewhere, and where it was let go */
  drops?: { takes: (data: DataTransfer) => boolean; onDrop: (data: DataTransfer, at: Spot) => void } | undefined;
  /** a place where no topic and no link is was double-clicked, on a map that is only read */
  onSpot?: ((at: Spot) => void) | undefined;
  /** a region's title was pressed, on a map that is only read */
  onRegion?: ((id: string) => void) | undefined;
  onSelect: (ids: readonly string[]) => void;
  onHover?: (id: string | null) => void;
  onKey?: (event: KeyboardEvent) => void;
  gestures?: Gestures | undefined;
  /** drawn in map coordinates, over the marks */
  overlay?: ReactNode;
  /** drawn in screen coordinates */
  children?: ReactNode;
  fitKey: string;
  hostRef?: RefObject<HTMLDivElement | null>;
}

const CENTRE: [number, number] = [0.5, 0.5];
const NEVER = (): boolean => false;
const CONNECTING = { stroke: '#1f6f63', strokeWidth: 2, strokeDasharray: '5 4' };
const ADDING = ['Shift', 'Control', 'Meta'];
const OTHER_BUTTONS = [1, 2];
const NODE_TYPES = { topic: CanvasTopic, picture: CanvasPicture };
const EDGE_TYPES = { link: CanvasLink };

/** The one canvas: of students, markers and readers. It owns nothing but the view and what is in the hand. */
export function Canvas({
  label,
  language,
  flags,
  padding = FREE,
  gathering = false,
  withBranch = false,
  glide = null,
  onGlided,
  blank = null,
  overview = false,
  onOverview,
  clipboard,
  drops,
  onSpot,
  onRegion,
  onSelect,
  onHover,
  onKey,
  gestures,
  overlay,
  children,
  fitKey,
  hostRef,
  ...shown
}: Props) {
  const { map, selection } = shown;
  const flow = useReactFlow<MarkNode, LinkEdge>();
  const own = useRef<HTMLDivElement>(null);
  const host = hostRef ?? own;
  const [moved, setMoved] = useState<ReadonlyMap<string, Spot>>(NOT_MOVED);
  const { nodes, edges } = useMarks({ ...shown, moved, mayEdit: gestures !== undefined });
  const settled = useFit(fitKey, shown, padding);
  const drag = useDrag(map, shown.legend, gestures, withBranch);
  useGlide(glide, map, setMoved, onGlided);
  const pressed = gestures?.onRegion ?? onRegion;

  const select = (changes: readonly (NodeChange<MarkNode> | EdgeChange<LinkEdge>)[]): void => {
    const selects = changes.filter((change) => change.type === 'select');
    if (selects.length === 0) return;
    const next = new Set(pending.current ?? selection);
    for (const { id, selected } of selects)
      if (selected) next.add(id);
      else if (!gathering) next.delete(id);
    // Nodes and edges report one click in two calls; both must see the same selection grow.
    pending.current = next;
    queueMicrotask(() => {
      pending.current = null;
    });
    onSelect([...next]);
  };
  const pending = useRef<Set<string> | null>(null);
  useMapIsHere();

  /** Of several that are chosen a plain press goes on with the one alone; one that drags them is no press. */
  const narrow = ({ shiftKey, ctrlKey, metaKey }: ReactMouseEvent, id: string): void => {
    if (selection.size > 1 && selection.has(id) && !gathering && !shiftKey && !ctrlKey && !metaKey) onSelect([id]);
  };

  const onNodesChange = (changes: NodeChange<MarkNode>[]): void => {
    select(changes);
    drag.follow(changes);
  };
  const connected = (event: MouseEvent | TouchEvent, { fromNode }: FinalConnectionState): void => {
    if (!fromNode) return;
    const { clientX, clientY } = 'changedTouches' in event ? event.changedTouches[0]! : event;
    const at = flow.screenToFlowPosition({ x: clientX, y: clientY });
    const target = markAt(map, shown.legend, 'topics', at);
    if (target !== undefined) gestures?.onLink(fromNode.id, target);
    else gestures?.onGrow(fromNode.id, at);
  };
  const handlers = useSteady({
    onNodesChange,
    onEdgesChange: select,
    onNodeDragStart: drag.grasp,
    onNodeDrag: drag.hover,
    onNodeDragStop: drag.letGo,
    onSelectionDragStart: (event: ReactMouseEvent, dragged: MarkNode[]): void =>
      drag.grasp(event, dragged[0]!, dragged),
    onSelectionDrag: drag.hover,
    onSelectionDragStop: drag.letGo,
    onConnectEnd: connected,
    onNodeClick: (event: ReactMouseEvent, { id }: MarkNode): void => narrow(event, id),
    onEdgeClick: (event: ReactMouseEvent, { id }: LinkEdge): void => narrow(event, id),
    onNodeDoubleClick: (_event: unknown, { id }: MarkNode): void => gestures?.onEdit(id),
    onEdgeDoubleClick: (_event: unknown, { id }: LinkEdge): void => gestures?.onEdit(id),
    onEdgeMouseEnter: (_event: unknown, { id }: LinkEdge): void => onHover?.(id),
    onEdgeMouseLeave: (): void => onHover?.(null),
    onNodeMouseEnter: (_event: unknown, { id }: MarkNode): void => onHover?.(id),
    onNodeMouseLeave: (): void => onHover?.(null),
    // The other button pulls the map; pressed and not pulled on an empty place, it asks for the menu of that.
    onPaneContextMenu: (event: MouseEvent | ReactMouseEvent): void => {
      const { clientX, clientY } = event;
      host.current?.dispatchEvent(
        new window.MouseEvent('contextmenu', { bubbles: true, cancelable: true, button: 2, clientX, clientY }),
      );
    },
    // Movements without an event are the program's own.
    onMove: (event: MouseEvent | TouchEvent | null): void => {
      if (event) settled();
    },
  });
  return (
    // What stands over the map is no part of it: cards and comments are read like any others.
    <div className="relative h-full w-full">
      {/* The canvas takes keys only while it has the focus itself; Escape leaves it. */}
      <div
        ref={host}
        className="canvas absolute inset-0"
        role="application"
        aria-label={label}
        tabIndex={0}
        id="canvas"
        data-testid="canvas"
        data-focus-home
        data-blank={blank ?? undefined}
        data-lifting={drag.lifted ? '' : undefined}
        onKeyDown={onKey}
        onPaste={(event) => {
          if (!clipboard || isField(event)) return;
          clipboard.onPaste(taken(event));
        }}
        onDragOver={(event) => {
          if (drops?.takes(event.dataTransfer)) event.preventDefault();
        }}
        onDrop={(event) => {
          if (!drops?.takes(event.dataTransfer)) return;
          event.preventDefault();
          drops.onDrop(event.dataTransfer, flow.screenToFlowPosition({ x: event.clientX, y: event.clientY }));
        }}
        onCopy={(event) => {
          if (clipboard && !isField(event)) taken(event).setData('text/plain', clipboard.onCopy());
        }}
        onCut={(event) => {
          if (clipboard && !isField(event)) taken(event).setData('text/plain', clipboard.onCut());
        }}
        onClick={({ target }) => {
          // The ring of a topic, pressed and not pulled.
          const ring = (target as Element).closest('.grip');
          const of = ring?.closest('.react-flow__node')?.getAttribute('data-id');
          if (of) gestures?.onGrow(of, null);
        }}
        onPointerDownCapture={settled}
        onKeyDownCapture={settled}
        onDoubleClick={(event) => {
          const target = event.target as Element;
          const isFree = target.classList.contains('react-flow__pane');
          const at = flow.screenToFlowPosition({ x: event.clientX, y: event.clientY });
          if (gestures && isFree) gestures.onMake(at);
          if (isFree || target.closest('[data-picture]')) onSpot?.(at);
        }}
      >
        <div lang={language} className="contents">
          <ReactFlow<MarkNode, LinkEdge>
            nodes={nodes}
            edges={edges}
            nodeTypes={NODE_TYPES}
            edgeTypes={EDGE_TYPES}
            nodeOrigin={CENTRE}
            {...handlers}
            connectionMode={ConnectionMode.Loose}
            connectOnClick={false}
            connectionRadius={0}
            isValidConnection={NEVER}
            connectionLineStyle={CONNECTING}
            nodesDraggable={gestures !== undefined}
            nodesConnectable={gestures !== undefined}
            nodesFocusable={false}
            edgesFocusable={false}
            disableKeyboardA11y
            elevateNodesOnSelect={false}
            elevateEdgesOnSelect={false}
            zIndexMode="manual"
            deleteKeyCode={null}
            multiSelectionKeyCode={ADDING}
            selectionKeyCode={null}
            selectionOnDrag={gestures !== undefined}
            selectionMode={SelectionMode.Partial}
            // Choosing several by finger: one draws the frame, two move the map.
            panOnDrag={gestures ? (gathering ? false : OTHER_BUTTONS) : true}
            panActivationKeyCode="Space"
            panOnScroll
            zoomActivationKeyCode="Control"
            zoomOnDoubleClick={false}
            minZoom={0.08}
            maxZoom={4}
            proOptions={{ hideAttribution: true }}
            // From the first step on: `drop` tells a drag from a click, so that nothing of the way is lost.
            nodeDragThreshold={0}
            onlyRenderVisibleElements={map.topics.length > 400}
          >
            {/* Survey marks would show through what is dimmed. */}
            {shown.concern === null && (
              <Background variant={BackgroundVariant.Cross} gap={120} size={7} color="#c3c8bd" />
            )}
            <ViewportPortal>
              <Behind map={map} legend={shown.legend} />
              <Evidence
                map={map}
                legend={shown.legend}
                flags={flags}
                concern={shown.concern}
                inHand={moved}
                host={host}
              />
              {pressed && (
                <RegionTitles
                  map={map}
                  legend={shown.legend}
                  selection={selection}
                  what={gestures ? 'change it' : 'choose it'}
                  onRegion={pressed}
                />
              )}
              {drag.lifted && (
                <Lifted
                  lifted={drag.lifted}
                  map={map}
                  legend={shown.legend}
                  selection={selection}
                  handle={drag.layer}
                />
              )}
              {overlay}
              {drag.drop && <DropMark map={map} legend={shown.legend} drop={drag.drop} />}
            </ViewportPortal>
            {overview && <Overview onClose={onOverview} />}
            <MarkScale host={host} />
          </ReactFlow>
        </div>
        <InHand map={map} {...drag} />
      </div>
      {children}
    </div>
  );
}

/** What happens in a field on the canvas is the field's. */
const isField = ({ target }: ClipboardEvent): boolean => (target as Element).closest('input, textarea') !== null;
function taken(event: ClipboardEvent): DataTransfer {
  event.preventDefault();
  return event.clipboardData;
}

/** What a report flags: on its marks, or counted under the headings of a map seen from afar. */
function Evidence({
  host,
  ...balloons
}: ComponentProps<typeof BalloonLayer> & { host: RefObject<HTMLDivElement | null> }) {
  const { map, legend, flags } = balloons;
  const detail = useDetail(map, legend);
  const near = useMemo(() => {
    if (detail.words) return flags;
    const counted = new Set(detail.headings.flatMap(({ marks }) => marks));
    return new Map([...flags].filter(([id]) => !counted.has(id)));
  }, [detail, flags]);
  return (
    <>
      <BalloonLayer {...balloons} flags={near} />
      <FromAfar detail={detail} flags={flags} host={host} />
    </>
  );
}

/** Tells the balloons how much to grow on a map shown small, so that their numbers can still be read. */
function MarkScale({ host }: { host: RefObject<HTMLDivElement | null> }) {
  const zoom = useFlowStore(({ transform }) => transform[2]);
  useEffect(() => host.current?.style.setProperty('--mark-scale', String(markScaleAt(zoom))), [host, zoom]);
  return null;
}

/**
 * Shows the whole map, and again while panels settle and windows change, until a person does anything on it: from then on
 * the view is theirs.
 * @returns to be called when they do
 */
function useFit(key: string, { map, legend }: Pick<Shown, 'map' | 'legend'>, padding: Padding): () => void {
  const { show } = useShow();
  const width = useFlowStore((state) => state.width);
  const height = useFlowStore((state) => state.height);
  const settled = useRef<string | null>(null);
  const newest = useRef({ map, legend, padding });
  useEffect(() => {
    newest.current = { map, legend, padding };
  });
  const ready = map.topics.length > 0;
  useEffect(() => {
    if (!ready || width === 0 || height === 0 || settled.current === key) return;
    show(drawnBox(newest.current.map, newest.current.legend), { padding: newest.current.padding });
  }, [key, ready, width, height, show]);
  return () => {
    settled.current = key;
  };
}
