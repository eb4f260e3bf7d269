import { freeSpot } from '../commands/free-spot.js';
import { onMap } from '../commands/maker.js';
import { boxOf, unionOf } from '../geometry/points.js';
import { kindOfTopic } from '../map/style.js';
import type { Legend, Link, Topic, TopicMap } from '../map/types.js';
import type { Pulse } from '../pulse.js';
import type { Cleared } from './links/clear-links.js';
import type { Frame } from './frame.js';
import type { Graph } from './graph.js';
import type { Layout, Place } from './layers/layered.js';

export const TIDY_WAYS = ['downward', 'outward', 'sideways', 'timeline'] as const;
export type TidyWay = (typeof TIDY_WAYS)[number];

export interface Wanted {
  way: TidyWay;
  /** the topics that may move; left out: all */
  topicIds?: readonly string[];
  /** what all of it is to be read in; left out: as large as it comes */
  frame?: Frame;
  /** whether links stay on the routes they have, as where the kind alone decides the looks */
  keepRoutes?: boolean;
}

/** What is tidied, worked out once. */
export interface Tidied extends Wanted {
  map: TopicMap;
  topics: readonly Topic[];
  /** links between them, and all that end at one of them */
  inside: readonly Link[];
  moving: readonly Link[];
  graph: Graph;
  legend: Legend | undefined;
  keepRoutes: boolean;
  pulse: Pulse | undefined;
}

/** A layout of topics, and the courses of all links that move with them. */
export interface Drawing extends Pick<Cleared, 'courses' | 'unclear'> {
  /** by position of the topic */
  places: readonly Place[];
}

/** All topics of a map, some of them moved. */
export function movedTo(map: TopicMap, topics: readonly Topic[], places: readonly Place[]): Topic[] {
  const moved = new Map(topics.map((topic, i) => [topic.id, { ...topic, ...places[i]! }]));
  return map.topics.map((topic) => moved.get(topic.id) ?? topic);
}

/** A part as a graph of its own, and which ties of the whole its ties are. */
export function partOf({ boxes, ties }: Graph, part: readonly number[]): { graph: Graph; ties: number[] } {
  const place = new Map(part.map((box, i) => [box, i]));
  const own = [...ties.keys()].filter((tie) => place.has(ties[tie]!.from));
  return {
    ties: own,
    graph: {
      boxes: part.map((box) => boxes[box]!),
      ties: own.map((tie) => ({
        ...ties[tie]!,
        from: place.get(ties[tie]!.from)!,
        to: place.get(ties[tie]!.to)!,
      })),
    },
  };
}

/** What stands in the middle: the root of the map, else what leads to most others, else what most is tied to; of several the first. */
export function centreOf(
  { ties, boxes }: Graph,
  part: readonly number[],
  topics: readonly Topic[],
  legend?: Legend,
): number {
  const root = part.findIndex((topic) => kindOfTopic(legend, topics[topic]!.kind)?.root);
  if (root >= 0) return root;
  const out: number[][] = boxes.map(() => []);
  const tied = boxes.map(() => 0);
  const isLedTo = boxes.map(() => false);
  for (const { from, to } of ties) {
    out[from]!.push(to);
    isLedTo[to] = true;
    tied[from]! += 1;
    tied[to]! += 1;
  }
  const reached = (start: number): number => {
    const seen = new Set([start]);
    for (const box of seen) for (const next of out[box]!) seen.add(next);
    return seen.size;
  };
  const worth = boxes.map((_, box) => (isLedTo[box] ? 0 : boxes.length * reached(box)) + tied[box]!);
  return worth.indexOf(worth.reduce((most, one) => Math.max(most, one), 0));
}

export const by = ({ x, y }: Place, step: Place): Place => ({ x: x + step.x, y: y + step.y });

/** Where they were, as far as most of them can be; a selection beside what does not move. Whole units. */
export function settled(map: TopicMap, topics: readonly Topic[], { places, ways }: Layout): Layout {
  const moving = new Set(topics.map(({ id }) => id));
  const others = map.topics.filter(({ id }) => !moving.has(id));
  const laid = topics.map((topic, i) => ({ ...topic, ...places[i]! }));
  const step = others.length > 0 ? stepBeside({ ...map, topics: others }, topics, laid) : usualStep(topics, laid);
  return {
    places: places.map(({ x, y }) => onMap({ x: Math.round(x) + step.x, y: Math.round(y) + step.y })),
    ways: ways.map((points) => points.map((point) => by(point, step))),
  };
}

/** The step that most topics would take back: after a small change most stand still. */
function usualStep(topics: readonly Topic[], laid: readonly Topic[]): Place {
  const usual = (along: 'x' | 'y'): number => {
    const steps = topics.map((topic, i) => topic[along] - laid[i]![along]).sort((a, b) => a - b);
    return Math.round(steps[steps.length >> 1] ?? 0);
  };
  return { x: usual('x'), y: usual('y') };
}

/** The step that takes all of them where they were, or to the free place nearest to it. */
function stepBeside(map: TopicMap, topics: readonly Topic[], laid: readonly Topic[]): Place {
  const middle = (of: readonly Topic[]): Place & { width: number; height: number } => {
    const { left, top, right, bottom } = unionOf(of.map((topic) => boxOf(topic)))!;
    return { x: (left + right) / 2, y: (top + bottom) / 2, width: right - left, height: bottom - top };
  };
  const now = middle(laid);
  const spot = freeSpot(map, middle(topics), now);
  return { x: Math.round(spot.x - now.x), y: Math.round(spot.y - now.y) };
}
