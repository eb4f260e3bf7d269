import { branchOf, CrossingCounter, dropTarget, snapStep, withGroups } from '@ichnograph/core';
import type { Legend, LoosePicture, Topic, TopicMap } from '@ichnograph/core';
import { useReactFlow } from '@xyflow/react';
import type { NodeChange } from '@xyflow/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Gestures, Spot } from './gestures';
import type { MarkNode } from './canvas-marks';
import { lift } from './lifted';
import type { LiftedHandle } from './lifted';

/** What moved less was a click, screen pixels. */
const LEAST_DRAG = 3;
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
  carried: readonly Standing[];
}
/** What stands on a map and can be taken hold of. */
type Standing = Topic | LoosePicture;

const sameIds = (topics: readonly Standing[], ids: readonly string[]): boolean =>
  topics.length === ids.length && topics.every(({ id }, i) => ids[i] === id);

export type Drag = ReturnType<typeof useDrag>;

/**
 * What a hand drags, from grasping it to letting go: with its group, with Alt its branch; drawn into line; hung where it is
 * dropped on another topic. Nothing of the map changes before it is let go.
 */
export function useDrag(map: TopicMap, legend: Legend, gestures: Gestures | undefined) {
  const flow = useReactFlow();
  const layer = useRef<LiftedHandle>(null);
  /** what is dragged, where it was when it was grasped (another person may move it meanwhile), and all that goes with it */
  const grasped = useRef<Grasped>({ id: '', at: { x: 0, y: 0 }, step: { x: 0, y: 0 }, carried: [] });
  const [carried, setCarried] = useState<readonly Standing[] | null>(null);
  const [drop, setDrop] = useState<{ text: string; target: Topic } | null>(null);
  const [crossings, setCrossings] = useState<{ were: number; are: number } | null>(null);
  const counting = useRef<Counting | null>(null);
  // Of the map as it is now: somebody else may take away what is in the hand.
  const lifted = useMemo(() => carried && lift(map, carried), [map, carried]);
  const isHeld = carried !== null;
  useEffect(() => {
    if (!isHeld) return;
    // A drag whose end nobody tells, as when its topic is gone, ends with the hand all the same.
    const ended = (): void => {
      setTimeout(() => {
        setCarried(null);
        setDrop(null);
        setCrossings(null);
        counting.current = null;
      });
    };
    const ends = ['pointerup', 'pointercancel', 'blur'] as const;
    for (const end of ends) window.addEventListener(end, ended);
    return () => {
      for (const end of ends) window.removeEventListener(end, ended);
    };
  }, [isHeld]);

  const follow = (changes: readonly NodeChange<MarkNode>[]): void => {
    const { id, at, carried: all } = grasped.current;
    const change = changes.find((one) => one.type === 'position' && one.id === id);
    if (change?.type !== 'position' || !change.position || !gestures) return;
    const step = { x: change.position.x - at.x, y: change.position.y - at.y };
    if (!carried) setCarried(all);
    const ids = new Set(all.map((topic) => topic.id));
    const snapped = snapStep(map, ids, step, SNAP / flow.getZoom());
    grasped.current.step = snapped.step;
    layer.current?.to(snapped.step, snapped.guides);
    countCrossings(ids, snapped.step);
  };
  /** How many crossings the links in the hand make, where that is soon counted. */
  const countCrossings = (ids: ReadonlySet<string>, step: Spot): void => {
    if (map.links.length > MOST_COUNTED || performance.now() - (counting.current?.at ?? -Infinity) < COUNT_EVERY_MS)
      return;
    if (!counting.current) {
      const counter = new CrossingCounter(map, legend);
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
  const grasp = (event: { altKey: boolean }, node: MarkNode, dragged: readonly MarkNode[]): void => {
    const ids = dragged.map((one) => one.id);
    const all = new Set(withGroups(map, event.altKey ? branchOf(map, ids) : ids));
    const { x, y } = node.type === 'picture' ? node.data.picture : node.data.topic;
    grasped.current = {
      id: node.id,
      at: { x, y },
      step: { x: 0, y: 0 },
      carried: [...map.topics, ...map.pictures].filter((one) => all.has(one.id)),
    };
  };
  /** The topic under the hand, if what is dragged is one topic, alone or with its branch, that can hang there. */
  const under = (event: MouseEvent | TouchEvent): Topic | null => {
    const { id, carried } = grasped.current;
    if (!gestures || carried.length === 0 || map.pictures.some((one) => one.id === id)) return null;
    if (carried.length > 1 && !sameIds(carried, branchOf(map, [id]))) return null;
    const { clientX, clientY } = 'changedTouches' in event ? event.changedTouches[0]! : event;
    const at = flow.screenToFlowPosition({ x: clientX, y: clientY });
    const held = new Set(carried.map((topic) => topic.id));
    return dropTarget(map, [...held, ...branchOf(map, [id])], at) ?? null;
  };
  const clear = (): void => {
    setCarried(null);
    setDrop(null);
    setCrossings(null);
    counting.current = null;
  };
  const letGo = (event: unknown, node: MarkNode): void => {
    const { at, step, carried } = grasped.current;
    const target = under(event as MouseEvent);
    clear();
    grasped.current = { id: '', at, step: { x: 0, y: 0 }, carried: [] };
    if (Math.hypot(step.x, step.y) * flow.getZoom() < LEAST_DRAG) return;
    if (target) gestures?.onHang(node.id, target.id);
    else
      gestures?.onMove(
        carried.map(({ id }) => id),
        step,
      );
  };
  const hover = (event: MouseEvent | TouchEvent, node: MarkNode): void => {
    const target = under(event);
    if (node.type !== 'picture' && target?.id !== drop?.target.id)
      setDrop(target && { text: node.data.topic.text, target });
  };
  return { lifted, drop, crossings, layer, grasp, follow, hover, letGo };
}
