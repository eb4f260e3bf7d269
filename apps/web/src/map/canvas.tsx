import '@xyflow/react/dist/base.css';
import './canvas.css';
import { drawnBox, drawnMarks, markAt } from '@ichnograph/core';
import type { Legend, TopicMap } from '@ichnograph/core';
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
import { memo, useEffect, useRef, useState } from 'react';
import type { KeyboardEvent, ReactNode, RefObject } from 'react';
import { setHasMap } from '../app/crumbs';
import { BalloonLayer, markScaleAt } from './balloon-layer';
import { CanvasLink, CanvasTopic } from './canvas-marks';
import type { LinkEdge, TopicNode } from './canvas-marks';
import { Shapes } from './drawing';
import type { Flags } from './flags';
import { useMarks } from './use-marks';
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
}

interface Props extends Omit<Shown, 'moved' | 'mayEdit'> {
  label: string;
  flags: Flags;
  /** what covers the canvas when the whole map is first shown */
  padding?: Padding;
  /** whether a tap adds to what is chosen, for hands without keys */
  gathering?: boolean;
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

/** The one canvas: of students, markers and readers. It owns nothing but the view and what is in the hand. */
export function Canvas({
  label,
  flags,
  padding = FREE,
  gathering = false,
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
  const { nodes, edges } = useMarks({ ...shown, moved, mayEdit: gestures !== undefined });
  const settled = useFit(fitKey, shown, padding);
  /** where what is dragged was when it was grasped: another person may move it meanwhile */
  const grasped = useRef<Spot>({ x: 0, y: 0 });

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
    const steps = changes.flatMap((change) =>
      change.type === 'position' && change.position && gestures ? [[change.id, change.position] as const] : [],
    );
    if (steps.length > 0) setMoved((before) => new Map([...before, ...steps]));
  };
  const drop = (_event: unknown, node: TopicNode, dragged: TopicNode[]): void => {
    const step = { x: node.position.x - grasped.current.x, y: node.position.y - grasped.current.y };
    setMoved(NOT_MOVED);
    if (Math.hypot(step.x, step.y) * flow.getZoom() >= LEAST_DRAG)
      gestures?.onMove(
        dragged.map(({ id }) => id),
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
      onKeyDown={onKey}
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
        nodeOrigin={[0.5, 0.5]}
        onNodesChange={onNodesChange}
        onEdgesChange={select}
        onNodeDragStart={(_event, node) => {
          grasped.current = { x: node.data.topic.x, y: node.data.topic.y };
        }}
        onNodeDragStop={drop}
        onConnectEnd={connected}
        onNodeDoubleClick={(_event, node) => gestures?.onEdit(node.id)}
        onEdgeDoubleClick={(_event, edge) => gestures?.onEdit(edge.id)}
        onEdgeMouseEnter={(_event, edge) => onHover?.(edge.id)}
        onEdgeMouseLeave={() => onHover?.(null)}
        onNodeMouseEnter={(_event, node) => onHover?.(node.id)}
        onNodeMouseLeave={() => onHover?.(null)}
        connectionMode={ConnectionMode.Loose}
        connectionRadius={0}
        isValidConnection={() => false}
        connectionLineStyle={{ stroke: '#1f6f63', strokeWidth: 2, strokeDasharray: '5 4' }}
        nodesDraggable={gestures !== undefined}
        nodesConnectable={gestures !== undefined}
        nodesFocusable={false}
        edgesFocusable={false}
        disableKeyboardA11y
        elevateNodesOnSelect={false}
        elevateEdgesOnSelect={false}
        zIndexMode="manual"
        deleteKeyCode={null}
        multiSelectionKeyCode={['Shift', 'Control', 'Meta']}
        selectionKeyCode={null}
        selectionOnDrag={gestures !== undefined}
        selectionMode={SelectionMode.Partial}
        panOnDrag={gestures ? [1, 2] : true}
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
        onMove={(event) => {
          // Movements without an event are the program's own.
          if (event) settled();
        }}
      >
        {/* Survey marks would show through what is dimmed. */}
        {shown.concern === null && <Background variant={BackgroundVariant.Cross} gap={120} size={7} color="#c3c8bd" />}
        <ViewportPortal>
          <Behind map={map} legend={shown.legend} />
          <BalloonLayer map={map} legend={shown.legend} flags={flags} concern={shown.concern} inHand={moved} />
          {overlay}
        </ViewportPortal>
        <MarkScale host={host} />
      </ReactFlow>
      {children}
    </div>
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
