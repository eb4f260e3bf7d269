import { branchOf, CrossingCounter, dropTarget, headsOf, markAt, snapStep, withGroups } from '@ichnograph/core';
import type { Legend, Link, LoosePicture, Topic, TopicMap } from '@ichnograph/core';
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
  /** the topics that would be hung where they are let go; none where more than they and their branches is in the hand */
  heads: readonly string[];
}
const NOTHING: Grasped = { id: '', at: { x: 0, y: 0 }, step: { x: 0, y: 0 }, carried: [], heads: [] };

/** Where a hand is: a mouse's or a finger's event, the page's or React's. */
type Pointed = OnScreen | { changedTouches: ArrayLike<OnScreen> };
interface OnScreen {
  clientX: number;
  clientY: number;
}

/** What letting go would do, where it is more than leaving what is in the hand there. */
export type Drop =
  | { does: 'hang'; heads: readonly string[]; target: Topic; isBelow: boolean }
  | { does: 'between'; id: string; link: Link };

/** What stands on a map and can be taken hold of. */
type Standing = Topic | LoosePicture;

const sameDrop = (one: Drop | null, other: Drop | null): boolean =>
  one !== null && other !== null && keyOf(one) === keyOf(other);
const keyOf = (drop: Drop): string => (drop.does === 'hang' ? drop.target.id : drop.link.id);

export type Drag = ReturnType<typeof useDrag>;

/**
 * What a hand drags, from grasping it to letting go: with its group, with its branch where that is wanted, or for once with
 * Alt; drawn into line; hung where it is dropped on another topic, put between two where it is dropped on their link. Nothing
 * of the map changes before it is let go.
 */
export function useDrag(map: TopicMap, legend: Legend, gestures: Gestures | undefined, withBranch: boolean) {
  const flow = useReactFlow();
  const layer = useRef<LiftedHandle>(null);
  /** what is dragged, where it was when it was grasped (another person may move it meanwhile), and all that goes with it */
  const grasped = useRef<Grasped>(NOTHING);
  const [carried, setCarried] = useState<readonly Standing[] | null>(null);
  const [drop, setDrop] = useState<Drop | null>(null);
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
    const branch = event.altKey === withBranch ? ids : branchOf(map, ids);
    const all = new Set(withGroups(map, branch));
    const isMore = all.size > branch.length || map.pictures.some(({ id }) => all.has(id));
    const { x, y } = node.type === 'picture' ? node.data.picture : node.data.topic;
    grasped.current = {
      id: node.id,
      at: { x, y },
      step: { x: 0, y: 0 },
      carried: [...map.topics, ...map.pictures].filter((one) => all.has(one.id)),
      heads: isMore ? [] : headsOf(map, ids),
    };
  };
  /** What letting go there would do. */
  const under = (event: Pointed): Drop | null => {
    const { carried, heads } = grasped.current;
    if (!gestures || heads.length === 0) return null;
    const { clientX, clientY } = 'changedTouches' in event ? event.changedTouches[0]! : event;
    const at = flow.screenToFlowPosition({ x: clientX, y: clientY });
    const target = dropTarget(
      map,
      carried.map(({ id }) => id),
      at,
    );
    if (target) return { does: 'hang', heads, target, isBelow: branchOf(map, heads).includes(target.id) };
    // What is linked already is only moved: on a crowded map a link lies under every other place.
    const [id, ...more] = heads;
    if (id === undefined || more.length > 0 || map.links.some(({ from, to }) => from === id || to === id)) return null;
    const over = markAt(map, legend, 'links', at);
    const link = map.links.find((one) => one.id === over);
    return link ? { does: 'between', id, link } : null;
  };
  const clear = (): void => {
    setCarried(null);
    setDrop(null);
    setCrossings(null);
    counting.current = null;
  };
  const letGo = (event: Pointed): void => {
    const { step, carried } = grasped.current;
    const dropped = under(event);
    clear();
    grasped.current = NOTHING;
    if (Math.hypot(step.x, step.y) * flow.getZoom() < LEAST_DRAG) return;
    if (dropped?.does === 'hang') gestures?.onHang(dropped.heads, dropped.target.id);
    else if (dropped) gestures?.onBetween(dropped.id, dropped.link.id, step);
    else
      gestures?.onMove(
        carried.map(({ id }) => id),
        step,
      );
  };
  const hover = (event: Pointed): void => {
    const next = under(event);
    if (next !== drop && !sameDrop(next, drop)) setDrop(next);
  };

  return { lifted, drop, crossings, layer, grasp, follow, hover, letGo };
}
