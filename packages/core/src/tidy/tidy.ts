import { phraseBlock } from '../geometry/draw-link.js';
import { boxOf, unionOf } from '../geometry/points.js';
import { freeSpot } from '../commands/free-spot.js';
import { onMap } from '../commands/maker.js';
import { drawnBox } from '../drawn/drawn.js';
import { emptyMap } from '../map/types.js';
import { kindOfLink, kindOfTopic } from '../map/style.js';
import type { Change } from '../map/changes.js';
import type { Legend, Link, Topic, TopicMap } from '../map/types.js';
import type { Pulse } from '../pulse.js';
import { isBlank } from '../words/normal-form.js';
import type { Sort } from './block-shapes.js';
import { clearLinks } from './clear-links.js';
import type { Cleared } from './clear-links.js';
import { lettersIn } from './frame.js';
import type { Frame } from './frame.js';
import { framed } from './framed.js';
import type { Framed } from './framed.js';
import { partsOf } from './graph.js';
import type { Box, Graph, Tie } from './graph.js';
import { layered } from './layered.js';
import type { Layout, Place } from './layered.js';
import { outward } from './outward.js';
import { asGiven } from './pull-apart.js';
import { timeline } from './timeline.js';

export const TIDY_WAYS = ['downward', 'outward', 'sideways', 'timeline'] as const;
export type TidyWay = (typeof TIDY_WAYS)[number];

/** Canvas units between parts that nothing joins. */
const APART = 60;
/** How much further apart things are tried where words have no room, and up to how many links. */
const WIDER = [1.15, 1.35];
const MANY = 150;

interface Wanted {
  way: TidyWay;
  /** the topics that may move; left out: all */
  topicIds?: readonly string[];
  /** what all of it is to be read in; left out: as large as it comes. A map in time is not fitted. */
  frame?: Frame;
  /** whether links stay on the routes they have, as where the kind alone decides the looks */
  keepRoutes?: boolean;
}

/**
 * What lays a map out anew, as one gesture: topics in the way that is asked for, no two on each other; links on courses that
 * are clear, where the map allows. Stays about where it was, and keeps the person's order where nothing else decides. A link
 * kind that sets a route keeps it. In a frame it is drawn in blocks where it could not be read otherwise.
 */
export function tidyMap(
  map: TopicMap,
  wanted: Wanted,
  legend: Legend | undefined = map.legend,
  pulse?: Pulse,
): Change[] {
  const chosen = wanted.topicIds && new Set(wanted.topicIds);
  const topics = map.topics.filter(({ id }) => chosen?.has(id) ?? true);
  if (topics.length === 0) return [];
  const ids = new Map(topics.map(({ id }, i) => [id, i]));
  const inside = map.links.filter(({ from, to }) => ids.has(from) && ids.has(to));
  const moving = map.links.filter(({ from, to }) => ids.has(from) || ids.has(to));
  const graph: Graph = { boxes: topics, ties: inside.map((link) => tieOf(link, ids)) };
  const { places, courses } = inFrame({
    map,
    topics,
    inside,
    moving,
    graph,
    legend,
    pulse,
    keepRoutes: false,
    ...wanted,
  });
  return [
    ...topics.map((topic, i): Change => ({ do: 'set', in: 'topics', id: topic.id, fields: { ...places[i]! } })),
    ...moving.map((link): Change => {
      const fields = asGiven(courses.get(link.id)!, kindOfLink(legend, link.kind)?.route);
      return { do: 'set', in: 'links', id: link.id, fields };
    }),
  ];
}

/** What is tidied, worked out once. */
interface Tidied extends Wanted {
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

interface Drawing extends Pick<Cleared, 'courses' | 'unclear'> {
  /** by position of the topic */
  places: readonly Place[];
}

/** How much more the links of a drawing that is better otherwise may cost. */
const AS_CLEAR = 1.15;
/** How many drawings in blocks are looked at. */
const [FEW, MOST] = [4, 16];
/** How many links across the branches are led through all that are looked at. */
const LOOKED_AT = 80;
/** What of the letters in blocks is enough for a map to be drawn plainly. */
const PLAIN_ENOUGH = 0.9;

/** Plainly drawn, or in blocks where that is read better in its frame. What is in blocks now stays so while it can. */
function inFrame(tidied: Tidied): Drawing {
  const { way, topics, inside, map, legend } = tidied;
  const plain = plainly(tidied);
  if (!tidied.frame || way === 'timeline') return plain;
  // What is chosen alone stays within its own place.
  const frame = topics.length < map.topics.length ? sizeOf(topics, [], legend) : tidied.frame;
  const blocks = inBlocks(tidied, frame);
  if (!blocks) return plain;
  const letters = ({ places, courses }: Drawing): number =>
    lettersIn(
      sizeOf(
        topics.map((topic, i) => ({ ...topic, ...places[i]! })),
        inside.map((link) => ({ ...link, ...courses.get(link.id) })),
        legend,
      ),
      frame,
    );
  const [large, blocked] = [letters(plain), letters(blocks)];
  if (large > blocked) return plain;
  return !isInBlocks(inside) && large >= PLAIN_ENOUGH * blocked && plain.unclear <= blocks.unclear ? plain : blocks;
}

/** Whether most of what is drawn hangs on trunks already. */
const isInBlocks = (links: readonly Link[]): boolean =>
  links.filter(({ route }) => route === 'elbow').length > links.length / 2;

function sizeOf(
  topics: readonly Topic[],
  links: readonly Link[],
  legend: Legend | undefined,
): { width: number; height: number } {
  const { left, top, right, bottom } = drawnBox({ ...emptyMap(), topics: [...topics], links: [...links] }, legend)!;
  return { width: right - left, height: bottom - top };
}

const SORTS: Record<TidyWay, Sort> = { downward: 'below', sideways: 'beside', outward: 'around', timeline: 'below' };

function inBlocks(tidied: Tidied, frame: Frame): Drawing | null {
  const { map, topics, inside, moving, graph, legend, keepRoutes, way, pulse } = tidied;
  const roots = partsOf(graph).map((part) => part[centreOf(partOf(graph, part).graph, part, topics, legend)]!);
  const drawn = (laid: Framed, isPolished: boolean) => {
    const { places } = settled(map, topics, { places: laid.topics, ways: [] });
    const set = new Map(inside.flatMap(({ id }, i) => (laid.courses[i] ? [[id, laid.courses[i]] as const] : [])));
    const clear = clearLinks(
      movedTo(map, topics, places),
      map.links.map((link) => ({ ...link, ...set.get(link.id) })),
      new Set(moving.flatMap(({ id }) => (set.has(id) ? [] : [id]))),
      { legend, keepRoutes, corridors: true, isPolished, ...(pulse && { pulse }) },
    );
    const { unclear, covered, cost } = clear;
    return { laid, places, courses: new Map([...set, ...clear.courses]), unclear, covered, cost };
  };
  const drawings: ReturnType<typeof drawn>[] = [];
  const stays = isInBlocks(inside);
  const across = moving.length - (topics.length - roots.length);
  const [few, most] = [FEW, MOST].map((count) => Math.max(2, Math.min(count, Math.round(LOOKED_AT / (1 + across)))));
  for (const laid of framed({ topics, links: inside, graph, roots, legend, keepRoutes }, frame, SORTS[way], stays)) {
    drawings.push(drawn(laid, false));
    // Among a few the links are the clearest; many are looked at where words would have lines over them.
    if (drawings.length >= (drawings.at(-1)!.covered === 0 ? few! : most!)) break;
  }
  const fewest = Math.min(...drawings.map(({ covered }) => covered));
  const clearest = drawings.filter(({ covered }) => covered === fewest);
  const least = Math.min(...clearest.map(({ cost }) => cost));
  const best = clearest.find(({ cost }) => cost <= AS_CLEAR * least);
  return best ? (best.covered === 0 ? best : drawn(best.laid, true)) : null;
}

function plainly(tidied: Tidied): Drawing {
  const { map, topics, inside, moving, graph, way, legend, keepRoutes, pulse } = tidied;
  const bare = packed(graph, topics, way, legend);
  const drawnOn = ({ places, ways }: Layout): Drawing => {
    const waysOf = new Map(inside.map(({ id }, i) => [id, ways[i]!]));
    const clear = clearLinks(movedTo(map, topics, places), map.links, new Set(moving.map(({ id }) => id)), {
      legend,
      keepRoutes,
      wayOf: ({ id }) => waysOf.get(id) ?? [],
      ...(pulse && { pulse }),
    });
    return { places, courses: clear.courses, unclear: clear.unclear };
  };
  let best = drawnOn(settled(map, topics, bare));
  // Where words still lie on something, all is moved further apart, as far as that helps and does not take long.
  for (const wider of moving.length > MANY ? [] : WIDER) {
    if (best.unclear === 0) break;
    const next = drawnOn(settled(map, topics, stretched(bare, wider)));
    if (next.unclear >= best.unclear) break;
    best = next;
  }
  return best;
}

/** All topics of a map, some of them moved. */
function movedTo(map: TopicMap, topics: readonly Topic[], places: readonly Place[]): Topic[] {
  const moved = new Map(topics.map((topic, i) => [topic.id, { ...topic, ...places[i]! }]));
  return map.topics.map((topic) => moved.get(topic.id) ?? topic);
}

function tieOf(link: Link, ids: ReadonlyMap<string, number>): Tie {
  const block = isBlank(link.phrase) ? null : phraseBlock(link);
  return {
    from: ids.get(link.from)!,
    to: ids.get(link.to)!,
    words: block && { width: block.width + 8, height: block.height + 4 },
  };
}

/**
 * Each part laid out by itself, then the parts beside each other in rows; a timeline is one part. Where nothing has a place
 * in time, what leads to something comes before it.
 */
function packed(graph: Graph, topics: readonly Topic[], way: TidyWay, legend: Legend | undefined): Layout {
  const times = topics.map(({ sequence }) => sequence);
  if (way === 'timeline' && times.some((time) => time !== undefined))
    return { places: timeline(graph, times), ways: graph.ties.map(() => []) };
  const whole: Layout = { places: topics.map(() => ({ x: 0, y: 0 })), ways: graph.ties.map(() => []) };
  const parts = partsOf(graph).map((part) => {
    const own = partOf(graph, part);
    const laid =
      way === 'outward' ? outward(own.graph, centreOf(own.graph, part, topics, legend)) : inLayers(own.graph, way);
    const box = unionOf(laid.places.map((place, i) => boxOf({ ...own.graph.boxes[i]!, ...place })))!;
    return { part, ties: own.ties, laid, box, width: box.right - box.left, height: box.bottom - box.top };
  });
  const area = parts.reduce((sum, { width, height }) => sum + (width + APART) * (height + APART), 0);
  const widest = Math.max(1.5 * Math.sqrt(area), ...parts.map(({ width }) => width));
  let [left, top, tall] = [0, 0, 0];
  for (const { part, ties, laid, box, width, height } of parts) {
    if (left > 0 && left + width > widest) [left, top, tall] = [0, top + tall + APART, 0];
    const step = { x: left - box.left, y: top - box.top };
    laid.places.forEach((place, i) => (whole.places[part[i]!] = by(place, step)));
    laid.ways.forEach((points, i) => (whole.ways[ties[i]!] = points.map((point) => by(point, step))));
    [left, tall] = [left + width + APART, Math.max(tall, height)];
  }
  return whole;
}

function stretched({ places, ways }: Layout, by: number): Layout {
  const further = ({ x, y }: Place): Place => ({ x: x * by, y: y * by });
  return { places: places.map(further), ways: ways.map((points) => points.map(further)) };
}

const by = ({ x, y }: Place, step: Place): Place => ({ x: x + step.x, y: y + step.y });

/** A part as a graph of its own, and which ties of the whole its ties are. */
function partOf({ boxes, ties }: Graph, part: readonly number[]): { graph: Graph; ties: number[] } {
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

/** Sideways is downward with width and height exchanged. */
function inLayers({ boxes, ties }: Graph, way: TidyWay): Layout {
  if (way === 'downward') return layered({ boxes, ties });
  const turned = ({ width, height, x, y }: Box): Box => ({ width: height, height: width, x: y, y: x });
  const { places, ways } = layered({
    boxes: boxes.map(turned),
    ties: ties.map(({ words, ...tie }) => ({ ...tie, words: words && { width: words.height, height: words.width } })),
  });
  const back = ({ x, y }: Place): Place => ({ x: y, y: x });
  return { places: places.map(back), ways: ways.map((points) => points.map(back)) };
}

/** What stands in the middle: the root of the map, else what leads to most others, else what most is tied to; of several the first. */
function centreOf({ ties, boxes }: Graph, part: readonly number[], topics: readonly Topic[], legend?: Legend): number {
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

/** About where they were; a selection beside what does not move. Whole units. */
function settled(map: TopicMap, topics: readonly Topic[], { places, ways }: Layout): Layout {
  const middle = (of: readonly Topic[]): Place & { width: number; height: number } => {
    const { left, top, right, bottom } = unionOf(of.map((topic) => boxOf(topic)))!;
    return { x: (left + right) / 2, y: (top + bottom) / 2, width: right - left, height: bottom - top };
  };
  const now = middle(topics.map((topic, i) => ({ ...topic, ...places[i]! })));
  const before = middle(topics);
  const moving = new Set(topics.map(({ id }) => id));
  const others = map.topics.filter(({ id }) => !moving.has(id));
  const spot = others.length > 0 ? freeSpot({ ...map, topics: others }, before, now) : before;
  const step = { x: Math.round(spot.x - now.x), y: Math.round(spot.y - now.y) };
  return {
    places: places.map(({ x, y }) => onMap({ x: Math.round(x) + step.x, y: Math.round(y) + step.y })),
    ways: ways.map((points) => points.map((point) => by(point, step))),
  };
}
