import { drawnBox } from '../drawn/drawn.js';
import { phraseBlock } from '../geometry/draw-link.js';
import { distance } from '../geometry/points.js';
import type { Change } from '../map/changes.js';
import { kindOfLink } from '../map/style.js';
import { emptyMap } from '../map/types.js';
import type { Legend, Link, Topic, TopicMap } from '../map/types.js';
import type { Pulse } from '../pulse.js';
import { isBlank } from '../words/normal-form.js';
import { blocked, isInBlocks } from './blocks/blocked.js';
import { lettersIn } from './frame.js';
import type { Graph, Tie } from './graph.js';
import { mirroredChanges, mirroredMap, readsLeftward } from './leftward.js';
import { plainly } from './plainly.js';
import { asGiven } from './links/pull-apart.js';
import type { Drawing, Tidied, Wanted } from './tidied.js';

/**
 * What lays a map out anew, as one gesture: topics in the way that is asked for, no two on each other; links on courses that
 * are clear, where the map allows. Stays about where it was, and keeps the person's order where nothing else decides. A link
 * kind that sets a route keeps it. In a frame it is drawn in blocks where it could not be read otherwise. A map that is read
 * from right to left is laid out so, save in time.
 */
export function tidyMap(
  map: TopicMap,
  wanted: Wanted,
  legend: Legend | undefined = map.legend,
  pulse?: Pulse,
): Change[] {
  if (wanted.way === 'timeline' || !readsLeftward(map.topics)) return rightward(map, wanted, legend, pulse);
  return mirroredChanges(rightward(mirroredMap(map, legend), wanted, legend, pulse), map, legend);
}

function rightward(map: TopicMap, wanted: Wanted, legend: Legend | undefined, pulse: Pulse | undefined): Change[] {
  const chosen = wanted.topicIds && new Set(wanted.topicIds);
  // What a hand set apart stays there.
  const topics = map.topics.filter(({ id, marks }) => (chosen?.has(id) ?? true) && !marks?.includes('kept'));
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

/** What of the letters in blocks is enough for a map to be drawn plainly. */
const PLAIN_ENOUGH = 0.9;
/** What is enough for a plain drawing that moves things half as far. */
const STAYS = 0.75;

/** Maps of more topics are drawn in blocks wherever they can be: drawn plainly they are never read as large in a frame. */
const PLAIN_ONCE = 100;

/** Plainly drawn, or in blocks where that is read better in its frame. What is in blocks now stays so while it can. */
function inFrame(tidied: Tidied): Drawing {
  const { way, topics, inside, map, legend } = tidied;
  if (!tidied.frame || way === 'timeline') return plainly(tidied);
  // What is chosen alone stays within its own place.
  const frame = topics.length < map.topics.length ? sizeOf(topics, [], legend) : tidied.frame;
  const blocks = blocked(tidied, frame);
  if (blocks && topics.length > PLAIN_ONCE) return blocks;
  const plain = plainly(tidied);
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
  const [large, larger] = [letters(plain), letters(blocks)];
  if (large > larger) return plain;
  const moved = ({ places }: Drawing): number => places.reduce((sum, place, i) => sum + distance(place, topics[i]!), 0);
  if (large >= STAYS * larger && 2 * moved(plain) < moved(blocks)) return plain;
  return !isInBlocks(inside) && large >= PLAIN_ENOUGH * larger && plain.unclear <= blocks.unclear ? plain : blocks;
}

function sizeOf(
  topics: readonly Topic[],
  links: readonly Link[],
  legend: Legend | undefined,
): { width: number; height: number } {
  const { left, top, right, bottom } = drawnBox({ ...emptyMap(), topics: [...topics], links: [...links] }, legend)!;
  return { width: right - left, height: bottom - top };
}

function tieOf(link: Link, ids: ReadonlyMap<string, number>): Tie {
  const block = isBlank(link.phrase) ? null : phraseBlock(link);
  return {
    from: ids.get(link.from)!,
    to: ids.get(link.to)!,
    words: block && { width: block.width + 8, height: block.height + 4 },
  };
}
