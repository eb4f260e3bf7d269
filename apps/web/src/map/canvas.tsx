import '@xyflow/react/dist/base.css';
import './canvas.css';
import {
  branchOf,
  CrossingCounter,
  drawnBox,
  drawnMarks,
  dropTarget,
  markAt,
  markBoxes,
  snapStep,
  topicStyle,
  withGroups,
} from '@ichnograph/core';
import type { Legend, Topic, TopicMap } from '@ichnograph/core';
import {
  Background,
  BackgroundVariant,
  ConnectionMode,
  MiniMap,
  ReactFlow,
  SelectionMode,
  useReactFlow,
  useStore as useFlowStore,
  ViewportPortal,
} from '@xyflow/react';
import type { EdgeChange, FinalConnectionState, NodeChange } from '@xyflow/react';
import { memo, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { ClipboardEvent, KeyboardEvent, MouseEvent as ReactMouseEvent, ReactNode, RefObject } from 'react';
import { setHasMap } from '../app/crumbs';
import { BalloonLayer, markScaleAt } from './balloon-layer';
import { CanvasLink, CanvasTopic } from './canvas-marks';
import type { LinkEdge, TopicNode } from './canvas-marks';
import { Shapes } from './drawing';
import { lift, Lifted } from './lifted';
import type { Lift, LiftedHandle } from './lifted';
import type { Flags } from './flags';
import { useMarks } from './use-marks';
import { useSteady } from './use-steady';
import type { Shown } from './use-marks';
import { FREE, useShow } from './view';
import type { Padding } from './view';

export interface Spot {
  x: number;
  y: number;
}

/** What a person may do on the canvas. Without these it is there to be read. */
export interface Gestures {
  onMove: (ids: readonly string[], step: Spot) => void;
  onLink: (from: string, to: string) => void;
  /** the grip was dropped where there is no topic */
  onGrow: (from: string, at: Spot) => void;
  onMake: (at: Spot) => void;
  onEdit: (id: string) => void;
  /** a topic was dropped on another */
  onHang: (id: string, from: string) => void;
  /** a region's title was pressed */
  onRegion: (id: string) => void;
}

interface Props extends Omit<Shown, 'moved' | 'mayEdit'> {
  label: string;
  flags: Flags;
  /** what covers the canvas when the whole map is first shown */
  padding?: Padding;
  /** whether a tap adds to what is chosen, for hands without keys */
  gathering?: boolean;
  /** where topics stood before they were laid out anew: they are seen to go from there */
  glide?: ReadonlyMap<string, Spot> | null;
  /** whose words are hidden until they are pointed at or chosen */
  blank?: 'topics' | 'phrases' | null;
  /** whether a small overview shows where on the map one is */
  overview?: boolean;
  /** text that is pasted, and text to be copied or cut, while the canvas has the focus */
  clipboard?: { onPaste: (text: string) => void; onCopy: () => string; onCut: () => string } | undefined;
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
const NODE_TYPES = { topic: CanvasTopic };
const EDGE_TYPES = { link: CanvasLink };
/** What moved less was a click, screen pixels. */
const LEAST_DRAG = 3;
const NOT_MOVED = new Map<string, Spot>();

/** What lies behind topics and links: regions, and pictures that belong to no topic. */
const Behind = memo(function Behind({ map, legend }: { map: TopicMap; legend: Legend }) {
  const drawings = drawnMarks(map, legend, ['regions', 'pictures']);
  if (drawings.length === 0) return null;
  return (
    <svg aria-hidden width="1" height="1" className="pointer-events-none absolute -z-10 overflow-visible">
      {drawings.map(({ id, drawing: { at, shapes } }) => (
        <g key={id} transform={`translate(${at.x} ${at.y})`}>
          <Shapes shapes={shapes} />
        </g>
      ))}
    </svg>
  );
});

/** What of a region can be pressed: its title, and where there is none its upper left corner. */
function RegionTitles({ map, legend, onRegion }: { map: TopicMap; legend: Legend; onRegion: (id: string) => void }) {
  const boxes = useMemo(() => markBoxes(map, legend, 'regions'), [map, legend]);
  return map.regions.map((region) => {
    const own = boxes.get(region.id);
    if (!own) return null;
    return (
      <button
        key={region.id}
        type="button"
        className="nodrag nopan pointer-events-auto absolute cursor-pointer opacity-0 focus-visible:opacity-100"
        style={{ left: own.left, top: own.top, width: Math.max(24, own.right - own.left), height: 22 }}
        aria-label={`Region ${region.title || 'without a title'}: change it`}
        onClick={() => onRegion(region.id)}
      />
    );
  });
}

/** The one canvas: of students, markers and readers. It owns nothing but the view and what is in the hand. */
export function Canvas({
  label,
  flags,
  padding = FREE,
  gathering = false,
  glide = null,
  blank = null,
  overview = false,
  clipboard,
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
  const flow = useReactFlow<TopicNode, LinkEdge>();
  const own = useRef<HTMLDivElement>(null);
  const host = hostRef ?? own;
  const [moved, setMoved] = useState<ReadonlyMap<string, Spot>>(NOT_MOVED);
  const [lifted, setLifted] = useState<Lift | null>(null);
  const layer = useRef<LiftedHandle>(null);
  const [crossings, setCrossings] = useState<{ were: number; are: number } | null>(null);
  const counting = useRef<Counting | null>(null);
  const [drop, setDrop] = useState<{ text: string; target: Topic } | null>(null);
  const { nodes, edges } = useMarks({ ...shown, moved, mayEdit: gestures !== undefined });
  const settled = useFit(fitKey, shown, padding);
  /** what is dragged, where it was when it was grasped (another person may move it meanwhile), and all that goes with it */
  const grasped = useRef<Grasped>({ id: '', at: { x: 0, y: 0 }, step: { x: 0, y: 0 }, carried: [] });
  useGlide(glide, map, setMoved);

  const select = (changes: readonly (NodeChange<TopicNode> | EdgeChange<LinkEdge>)[]): void => {
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
  useEffect(() => {
    setHasMap(true);
    return () => setHasMap(false);
  }, []);

  const onNodesChange = (changes: NodeChange<TopicNode>[]): void => {
    select(changes);
    const { id, at, carried } = grasped.current;
    const change = changes.find((one) => one.type === 'position' && one.id === id);
    if (change?.type !== 'position' || !change.position || !gestures) return;
    const step = { x: change.position.x - at.x, y: change.position.y - at.y };
    const ids = new Set(carried.map((topic) => topic.id));
    if (!lifted) setLifted(lift(map, ids));
    const snapped = snapStep(map, ids, step, SNAP / flow.getZoom());
    grasped.current.step = snapped.step;
    layer.current?.to(snapped.step, snapped.guides);
    countCrossings(ids, snapped.step);
  };
  /** How many crossings the links in the hand make, where that is soon counted. */
  const countCrossings = (ids: ReadonlySet<string>, step: Spot): void => {
    if (map.links.length > MOST_COUNTED || performance.now() - (counting.current?.at ?? 0) < COUNT_EVERY_MS) return;
    if (!counting.current) {
      const counter = new CrossingCounter(map, shown.legend);
      counting.current = { counter, were: counter.of(ids), at: 0 };
    }
    const { counter, were } = counting.current;
    const places = new Map(
      map.topics.flatMap(({ id, x, y }) => (ids.has(id) ? [[id, { x: x + step.x, y: y + step.y }] as const] : [])),
    );
    const are = counter.of(ids, places);
    setCrossings((before) => (before?.are === are && before.were === were ? before : { were, are }));
    counting.current.at = performance.now();
  };
  const grasp = (event: { altKey: boolean }, node: TopicNode, dragged: readonly TopicNode[]): void => {
    const ids = dragged.map((one) => one.id);
    const all = new Set(withGroups(map, event.altKey ? branchOf(map, ids) : ids));
    const { x, y } = node.data.topic;
    grasped.current = {
      id: node.id,
      at: { x, y },
      step: { x: 0, y: 0 },
      carried: map.topics.filter((topic) => all.has(topic.id)),
    };
  };
  /** The topic under the hand, if what is dragged is one topic, alone or with its branch, that can hang there. */
  const under = (event: MouseEvent | TouchEvent): Topic | null => {
    const { id, carried } = grasped.current;
    if (!gestures || carried.length === 0) return null;
    if (carried.length > 1 && !sameIds(carried, branchOf(map, [id]))) return null;
    const { clientX, clientY } = 'changedTouches' in event ? event.changedTouches[0]! : event;
    const at = flow.screenToFlowPosition({ x: clientX, y: clientY });
    const held = new Set(carried.map((topic) => topic.id));
    return dropTarget(map, [...held, ...branchOf(map, [id])], at) ?? null;
  };
  const letGo = (event: unknown, node: TopicNode): void => {
    const { at, step, carried } = grasped.current;
    const target = under(event as MouseEvent);
    setLifted(null);
    setDrop(null);
    grasped.current = { id: '', at, step: { x: 0, y: 0 }, carried: [] };
    counting.current = null;
    setCrossings(null);
    if (Math.hypot(step.x, step.y) * flow.getZoom() < LEAST_DRAG) return;
    if (target) gestures?.onHang(node.id, target.id);
    else
      gestures?.onMove(
        carried.map(({ id }) => id),
        step,
      );
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
    onNodeDragStart: grasp,
    onNodeDrag: (event: MouseEvent | TouchEvent, node: TopicNode): void => {
      const target = under(event);
      if (target?.id !== drop?.target.id) setDrop(target && { text: node.data.topic.text, target });
    },
    onNodeDragStop: letGo,
    onSelectionDragStart: (event: ReactMouseEvent, dragged: TopicNode[]): void => grasp(event, dragged[0]!, dragged),
    onSelectionDragStop: (event: ReactMouseEvent, dragged: TopicNode[]): void => letGo(event, dragged[0]!),
    onConnectEnd: connected,
    onNodeDoubleClick: (_event: unknown, { id }: TopicNode): void => gestures?.onEdit(id),
    onEdgeDoubleClick: (_event: unknown, { id }: LinkEdge): void => gestures?.onEdit(id),
    onEdgeMouseEnter: (_event: unknown, { id }: LinkEdge): void => onHover?.(id),
    onEdgeMouseLeave: (): void => onHover?.(null),
    onNodeMouseEnter: (_event: unknown, { id }: TopicNode): void => onHover?.(id),
    onNodeMouseLeave: (): void => onHover?.(null),
    // Movements without an event are the program's own.
    onMove: (event: MouseEvent | TouchEvent | null): void => {
      if (event) settled();
    },
  });
  return (
    // The canvas takes keys only while it has the focus itself; Escape leaves it.
    <div
      ref={host}
      className="canvas relative h-full w-full"
      role="application"
      aria-label={label}
      tabIndex={0}
      id="canvas"
      data-testid="canvas"
      data-focus-home
      data-blank={blank ?? undefined}
      data-lifting={lifted ? '' : undefined}
      onKeyDown={onKey}
      onPaste={(event) => {
        if (clipboard && !isField(event)) clipboard.onPaste(taken(event).getData('text/plain'));
      }}
      onCopy={(event) => {
        if (clipboard && !isField(event)) taken(event).setData('text/plain', clipboard.onCopy());
      }}
      onCut={(event) => {
        if (clipboard && !isField(event)) taken(event).setData('text/plain', clipboard.onCut());
      }}
      onPointerDownCapture={settled}
      onKeyDownCapture={settled}
      onDoubleClick={(event) => {
        if (gestures && (event.target as Element).classList.contains('react-flow__pane'))
          gestures.onMake(flow.screenToFlowPosition({ x: event.clientX, y: event.clientY }));
      }}
    >
      <ReactFlow<TopicNode, LinkEdge>
        nodes={nodes}
        edges={edges}
        nodeTypes={NODE_TYPES}
        edgeTypes={EDGE_TYPES}
        nodeOrigin={CENTRE}
        {...handlers}
        connectionMode={ConnectionMode.Loose}
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
        panOnDrag={gestures ? OTHER_BUTTONS : true}
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
        {shown.concern === null && <Background variant={BackgroundVariant.Cross} gap={120} size={7} color="#c3c8bd" />}
        <ViewportPortal>
          <Behind map={map} legend={shown.legend} />
          <BalloonLayer map={map} legend={shown.legend} flags={flags} concern={shown.concern} inHand={moved} />
          {gestures && <RegionTitles map={map} legend={shown.legend} onRegion={gestures.onRegion} />}
          {lifted && <Lifted lifted={lifted} map={map} legend={shown.legend} selection={selection} handle={layer} />}
          {overlay}
          {drop && <DropRing target={drop.target} />}
        </ViewportPortal>
        {overview && (
          <MiniMap
            pannable
            zoomable
            ariaLabel="Overview of the map"
            nodeColor={({ data }: TopicNode) => topicStyle(data.topic, data.legend).fill}
            nodeStrokeColor="#4d5867"
            nodeStrokeWidth={6}
            nodeBorderRadius={0}
            bgColor="#fbfbf8"
            maskColor="rgb(22 32 46 / 0.12)"
            className="!m-3 border border-rule"
          />
        )}
        <MarkScale host={host} />
      </ReactFlow>
      {/* The window follows the hand: what lies under it need not be found again at every step. */}
      {lifted && <div className="absolute inset-0 z-[5]" />}
      {drop ? (
        <DropWords {...drop} />
      ) : (
        crossings && (crossings.were > 0 || crossings.are > 0) && <Crossings {...crossings} />
      )}
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

/** Screen pixels within which what is dragged is drawn into line. */
const SNAP = 6;
/** On a map of more links crossings are not counted while a hand moves, and never oftener than this. */
const [MOST_COUNTED, COUNT_EVERY_MS] = [300, 100];
interface Counting {
  counter: CrossingCounter;
  were: number;
  at: number;
}

interface Grasped {
  id: string;
  at: Spot;
  /** how far it has gone */
  step: Spot;
  carried: readonly Topic[];
}

const sameIds = (topics: readonly Topic[], ids: readonly string[]): boolean =>
  topics.length === ids.length && topics.every(({ id }, i) => ids[i] === id);

/** A ring around the topic on which what is in the hand would hang. */
function DropRing({ target: { x, y, width, height } }: { target: Topic }) {
  return (
    <div
      className="pointer-events-none absolute z-[998] border-2 border-dashed border-action bg-action/10"
      style={{ left: x - width / 2 - 6, top: y - height / 2 - 6, width: width + 12, height: height + 12 }}
    />
  );
}

/** Says what letting go will do, before it is done. */
function DropWords({ text, target }: { text: string; target: Topic }) {
  return (
    <p
      role="status"
      data-testid="drop-words"
      className="words pointer-events-none absolute left-1/2 top-3 z-30 max-w-[90%] -translate-x-1/2 border border-action bg-paper px-2.5 py-1"
    >
      Let go to hang “{text}” from “{target.text}”
    </p>
  );
}

function Crossings({ were, are }: { were: number; are: number }) {
  return (
    <p
      data-testid="crossings"
      className={`pointer-events-none absolute left-1/2 top-3 z-30 -translate-x-1/2 border bg-paper px-2.5 py-1 ${are > were ? 'border-madder' : are < were ? 'border-action' : 'border-rule'}`}
    >
      {are === 0 ? 'No crossing' : are === 1 ? '1 crossing' : `${are} crossings`}
      {are !== were && <span className="text-quiet"> · {were} before</span>}
    </p>
  );
}

const GLIDE_MS = 200;
/** More would not run smoothly: they are simply there. */
const MOST_GLIDING = 250;

/** Topics are seen to go from where they stood to where they were laid, unless less motion is asked for. */
function useGlide(
  from: ReadonlyMap<string, Spot> | null,
  map: TopicMap,
  setMoved: (places: ReadonlyMap<string, Spot>) => void,
): void {
  const newest = useRef(map);
  useEffect(() => {
    newest.current = map;
  });
  useLayoutEffect(() => {
    if (!from || from.size > MOST_GLIDING || window.matchMedia('(prefers-reduced-motion: reduce)').matches) return;
    const begun = performance.now();
    let frame = 0;
    const step = (): void => {
      const share = Math.min(1, (performance.now() - begun) / GLIDE_MS);
      const eased = 1 - (1 - share) ** 3;
      if (share === 1) return setMoved(NOT_MOVED);
      setMoved(
        new Map(
          newest.current.topics.flatMap(({ id, x, y }) => {
            const at = from.get(id);
            return at ? [[id, { x: at.x + (x - at.x) * eased, y: at.y + (y - at.y) * eased }] as const] : [];
          }),
        ),
      );
      frame = requestAnimationFrame(step);
    };
    setMoved(from);
    frame = requestAnimationFrame(step);
    return () => {
      cancelAnimationFrame(frame);
      setMoved(NOT_MOVED);
    };
  }, [from, setMoved]);
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
