import type { Point } from '../../geometry/points.js';
import { linkStyle } from '../../map/style.js';
import type { Legend, Link, Topic } from '../../map/types.js';
import type { Pulse } from '../../pulse.js';
import { LaidLinks, UNREADABLE } from './laid-links.js';
import type { Course } from './laid-links.js';
import { Ground } from './ways.js';
import type { Way } from './ways.js';

const PASSES = 3;
/** Of more links than this each is looked at once. */
const MANY = 800;
/** Of more links than this each is led through fewer corridors. */
const SEVERAL = 40;

interface Around {
  legend: Legend | undefined;
  keepRoutes?: boolean;
  /** whether links may take the corridors between what is drawn close */
  corridors?: boolean;
  /** whether many more ways are looked at for what is hard to read */
  isPolished?: boolean;
  /** where a link was given room to pass: tried first among bends */
  wayOf?: (link: Link) => readonly Point[];
  pulse?: Pulse;
}

/** How many links are looked at again, through many more ways, where words are hard to read. */
const POLISHED = 200;
/** How often at most all of them are gone through, each time with what stayed hard to read weighing more. */
const ROUNDS = 24;
/** After so many in turn that brought nothing no other is likely to. */
const STUCK = 4;

/**
 * Guided local search (Voudouris and Tsang 1999): words that stay hard to read weigh more each time, until what is in
 * their way makes room for them. The best that was found is drawn.
 */
function polish(drawing: LaidLinks, ground: Ground, links: readonly Link[]): void {
  const ways = new Map<Link, readonly Way[]>();
  const waysOf = (link: Link): readonly Way[] => {
    if (!ways.has(link)) ways.set(link, ground.moreWaysOf(link));
    return ways.get(link)!;
  };
  let left = POLISHED;
  let hard = links.filter((link) => !drawing.isReadable(link));
  let best = { count: hard.length, choices: drawing.choices() };
  for (let round = 0, worse = 0; round < ROUNDS && worse < STUCK && hard.length > 0 && left > 0; round++) {
    // What lies on words and whose words they are take turns in being led anew first.
    for (const link of round % 2 === 0 ? hard : hard.toReversed()) {
      if (left <= 0 || drawing.isReadable(link)) continue;
      left--;
      drawing.redraw(link, waysOf(link));
    }
    hard = links.filter((link) => !drawing.isReadable(link));
    for (const link of hard) drawing.weigh(link);
    worse = hard.length < best.count ? 0 : worse + 1;
    if (worse === 0) best = { count: hard.length, choices: drawing.choices() };
  }
  if (hard.length > best.count) drawing.restore(best.choices);
}

export interface Cleared {
  /** by id of every link that moves */
  courses: ReadonlyMap<string, Course>;
  /** of how many links the words lie on something or under a line, or the line runs through a topic or words */
  unclear: number;
  /** of how many the words lie on something or under a line, or the line runs over words */
  unreadable: number;
  /** how many words have a line over them; worked out when it is asked for */
  readonly covered: number;
  /** what all courses cost together, likewise */
  readonly cost: number;
}

/**
 * Chooses for each link a course that is clear: straight where that will do, bent where it would run through topics, words
 * or many lines, its words slid along it. One link after the other, the worst placed first, a few times over.
 * @param moving the links that may be changed; all others are in the way as they are
 */
export function clearLinks(
  topics: readonly Topic[],
  links: readonly Link[],
  moving: ReadonlySet<string>,
  {
    legend,
    keepRoutes = false,
    corridors = false,
    isPolished = true,
    wayOf = () => [],
    pulse = () => undefined,
  }: Around,
): Cleared {
  const ground = new Ground(topics, legend, wayOf, keepRoutes, corridors);
  const drawing = new LaidLinks();
  const own = links.filter(({ id }) => moving.has(id));
  const waysOf = new Map(own.map((link) => [link, ground.waysOf(link, own.length > SEVERAL)]));
  for (const link of links) {
    const style = linkStyle(link, legend);
    const way = waysOf.get(link)?.[0] ?? ground.wayNow(link, style);
    drawing.put({ way, words: way.words[0] ?? null });
  }
  const passes = own.length > MANY ? 1 : PASSES;
  for (let pass = 0, changed = true; changed && pass < passes; pass++) {
    changed = false;
    // What is straight and in nobody's way is as good as can be; later only what lies on something is looked at again.
    const bad = pass === 0 ? 1 : UNREADABLE;
    const costs = own.map((link) => ({ link, cost: drawing.costNow(link) })).filter(({ cost }) => cost >= bad);
    for (const { link } of costs.sort((a, b) => b.cost - a.cost)) {
      pulse();
      changed = drawing.redraw(link, waysOf.get(link)!) || changed;
    }
  }
  if (isPolished) {
    polish(drawing, ground, own);
    // What made room may be led better now, as long as that costs no words.
    drawing.keepWordsClear();
    for (const link of own) drawing.redraw(link, waysOf.get(link)!);
  }
  return {
    courses: new Map(own.map((link) => [link.id, drawing.courseOf(link)])),
    unclear: own.filter((link) => !drawing.isClear(link)).length,
    unreadable: own.filter((link) => !drawing.isReadable(link)).length,
    get cost() {
      return own.reduce((sum, link) => sum + drawing.costNow(link), 0);
    },
    get covered() {
      return own.reduce((sum, link) => sum + drawing.coveredBy(link), 0);
    },
  };
}
