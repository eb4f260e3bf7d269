import { boxOf, unionOf } from '../geometry/points.js';
import { clearLinks } from './links/clear-links.js';
import type { Cleared } from './links/clear-links.js';
import { partsOf } from './graph.js';
import type { Box, Graph } from './graph.js';
import { layered } from './layers/layered.js';
import type { Layout, Place } from './layers/layered.js';
import { outward } from './outward.js';
import { by, centreOf, movedTo, partOf, settled } from './tidied.js';
import type { Drawing, Tidied, TidyWay } from './tidied.js';
import { timeline } from './timeline.js';

/** Canvas units between parts that nothing joins. */
const APART = 60;
/** How much further apart things are tried where words have no room. */
const WIDER = [1.15, 1.35];

/** As large as it comes: in layers, in rings, or along time. */
export function plainly(tidied: Tidied): Drawing {
  const { map, topics, inside, moving, legend, keepRoutes, pulse } = tidied;
  const bare = packed(tidied);
  const drawnOn = ({ places, ways }: Layout): Drawing & Pick<Cleared, 'unreadable'> => {
    const waysOf = new Map(inside.map(({ id }, i) => [id, ways[i]!]));
    const clear = clearLinks(movedTo(map, topics, places), map.links, new Set(moving.map(({ id }) => id)), {
      legend,
      keepRoutes,
      wayOf: ({ id }) => waysOf.get(id) ?? [],
      ...(pulse && { pulse }),
    });
    return { places, courses: clear.courses, unclear: clear.unclear, unreadable: clear.unreadable };
  };
  let best = drawnOn(settled(map, topics, bare));
  // Where words still lie on something, all is moved further apart, as far as that helps.
  for (const wider of WIDER) {
    if (best.unreadable === 0) break;
    const next = drawnOn(settled(map, topics, stretched(bare, wider)));
    if (next.unreadable >= best.unreadable) break;
    best = next;
  }
  return best;
}

/**
 * Each part laid out by itself, then the parts beside each other in rows; a timeline is one part. Where nothing has a place
 * in time, what leads to something comes before it.
 */
function packed({ graph, topics, way, legend, frame }: Tidied): Layout {
  const times = topics.map(({ sequence }) => sequence);
  if (way === 'timeline' && times.some((time) => time !== undefined))
    return { places: timeline(graph, times, frame), ways: graph.ties.map(() => []) };
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
