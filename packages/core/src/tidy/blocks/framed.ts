import { drawLink } from '../../geometry/draw-link.js';
import { bendThrough } from '../../geometry/path.js';
import { shareAt } from '../../geometry/points.js';
import { kindOfLink, linkStyle } from '../../map/style.js';
import type { Legend, Link, Topic } from '../../map/types.js';
import type { Course } from '../links/laid-links.js';
import type { Frame } from '../frame.js';
import type { Graph } from '../graph.js';
import { inBlocks } from './in-blocks.js';
import type { Sort } from './block-shapes.js';
import type { Place } from '../layers/layered.js';

/** Topics in their places, and the courses of the links that they hang by; all other links are still to be drawn. */
export interface Framed {
  topics: Topic[];
  /** by position of the link */
  courses: (Course | null)[];
  /** its letters beside the largest that any drawing has */
  share: number;
}

/** What is laid out to be read in a frame. */
interface Wanted {
  topics: readonly Topic[];
  links: readonly Link[];
  graph: Graph;
  /** the topic, by position, from which each part that nothing joins to another goes out */
  roots: readonly number[];
  legend: Legend | undefined;
  keepRoutes: boolean;
}

/**
 * Lays topics out in blocks that fill a frame: what hangs from a topic stands below it, or right of it where the map goes
 * sideways, on trunks that are elbows of its links. A link whose kind sets another route takes none.
 * @yields drawings, the best first; none where too few links may be elbows for trunks to be told
 */
export function* framed(wanted: Wanted, frame: Frame, sort: Sort, stays: boolean): Generator<Framed> {
  const { topics, links, graph, roots, legend, keepRoutes } = wanted;
  const mayElbow = links.map((link) => (routeSet(link, legend, keepRoutes) ?? 'elbow') === 'elbow');
  if (mayElbow.filter(Boolean).length < ELBOWS * links.length) return;
  for (const { places, turns, words, hangsBy, share } of inBlocks(graph, roots, frame, sort, stays)) {
    const moved = topics.map((topic, i) => ({ ...topic, x: Math.round(places[i]!.x), y: Math.round(places[i]!.y) }));
    const courses: Framed['courses'] = links.map(() => null);
    hangsBy.forEach((tie, box) => {
      if (tie === null || !mayElbow[tie]) return;
      const { from, to } = graph.ties[tie]!;
      const at = { turn: turns[box] ?? null, words: words[box]!, legend };
      courses[tie] = courseThrough(links[tie]!, [moved[from]!, moved[to]!], at);
    });
    yield { topics: moved, courses, share };
  }
}

/** The share of links that must be free to be elbows. */
const ELBOWS = 0.8;
/** Parts of one in which bends are given: lines that run together shall be one line. */
const FINE = 10_000;

/** The route that a link must keep, if any. */
const routeSet = (link: Link, legend: Legend | undefined, keepRoutes: boolean): Course['route'] | undefined =>
  keepRoutes ? linkStyle(link, legend).route : kindOfLink(legend, link.kind)?.route;

/** The elbow that comes by a place, or straight where there is none; its words as near as can be to theirs. */
function courseThrough(
  link: Link,
  [from, to]: readonly [Topic, Topic],
  { turn, words, legend }: { turn: Place | null; words: Place | null; legend: Legend | undefined },
): Course {
  const route = turn ? 'elbow' : 'straight';
  const bend = turn ? bendThrough('elbow', from, to, turn, FINE) : 0;
  const bare: Link = { ...link, route, bend };
  const phraseAt = words ? shareAt(drawLink(bare, from, to, legend).line, words, FINE) : 0.5;
  return { route, bend, phraseAt };
}
