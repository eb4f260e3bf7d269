import Flatbush from 'flatbush';
import { boxesMeet, segmentEnters } from '../../geometry/boxes.js';
import { phraseBlocks, phraseBoxOn } from '../../geometry/draw-link.js';
import { longestOutside, solidOf } from '../../geometry/drawn-part.js';
import type { Solid } from '../../geometry/drawn-part.js';
import { bendThrough, centreLine } from '../../geometry/path.js';
import { boxAround, boxOf, polyline, shareAt, unionOf } from '../../geometry/points.js';
import type { Box, Point, Polyline } from '../../geometry/points.js';
import type { TextBlock } from '../../geometry/text.js';
import { kindOfLink, linkStyle } from '../../map/style.js';
import type { LinkStyle } from '../../map/style.js';
import type { Legend, Link, Topic } from '../../map/types.js';
import { isBlank } from '../../words/normal-form.js';

/** What a way costs at least, of whatever stands beside it: words under a topic, and a line through one. */
const COST = { wordsOnTopic: 170, lineInTopic: 40 } as const;
const ELBOWS = [0, 0.15, -0.15, 0.3, -0.3];
/** Where straight lines and curves lead through what is drawn close, the corridors between it do: bends, the least first. */
const corridorsBy = (step: number): number[] =>
  Array.from({ length: Math.round(1.92 / step) + 1 }, (_, i) => i * step - 0.96)
    .map((bend) => Math.round(bend * 100) / 100)
    .sort((a, b) => Math.abs(a) - Math.abs(b));
const [COARSEST, COARSE, FINE] = [corridorsBy(0.16), corridorsBy(0.08), corridorsBy(0.02)];
/** Of these, what does not lead far round: no further than a share of the way or, of a short one, so many canvas units. */
const roundBy = (length: number): number[] =>
  FINE.filter((bend) => Math.abs(bend) <= 0.6 || Math.abs(bend) * length <= 300);
const BENDS = [0.15, -0.15, 0.32, -0.32];
/** Shares of a line at which its words may stand, and more of them. */
const EVERYWHERE = Array.from({ length: 17 }, (_, i) => 0.5 + (i % 2 === 0 ? 1 : -1) * Math.ceil(i / 2) * 0.05);
const ALONG: readonly number[] = [0.5, 0.42, 0.58, 0.34, 0.66, 0.24, 0.76, 0.18, 0.82];
/** A bend through given room: what is less is straight, what is more is not tried. */
const [LEAST_BEND, MOST_BEND] = [0.03, 0.6];
/** How far a link may lead round what is drawn close, canvas units. */
const OUTSIDE = 24;

/** What words keep clear round them, canvas units: the lines that they are chosen by are a little coarser than those drawn. */
const CLEAR = 2;
const grown = ({ left, top, right, bottom }: Box, by: number): Box => ({
  left: left - by,
  top: top - by,
  right: right + by,
  bottom: bottom + by,
});

/** A box as both its readers have it. */
export interface Bounds extends Box {
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
}
const boundsOf = ({ left, top, right, bottom }: Box): Bounds => ({
  left,
  top,
  right,
  bottom,
  minX: left,
  minY: top,
  maxX: right,
  maxY: bottom,
});

/** A short straight part of a way, from `a` to `b`: what is near it is soon found. */
export interface Piece {
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
  way: Way;
  a: Point;
  b: Point;
}
/** The longest that a slanting part may be, canvas units. */
const SLANTING = 160;

function piecesOf(way: Way): Piece[] {
  const pieces: Piece[] = [];
  const { points } = way.line;
  for (let i = 1; i < points.length; i++) {
    const [from, to] = [points[i - 1]!, points[i]!];
    const [x, y] = [to.x - from.x, to.y - from.y];
    const count = Math.ceil(Math.min(Math.abs(x), Math.abs(y)) / SLANTING) || 1;
    let a = from;
    for (let part = 1; part <= count; part++) {
      const b = part === count ? to : { x: from.x + (x * part) / count, y: from.y + (y * part) / count };
      pieces.push({
        minX: Math.min(a.x, b.x),
        minY: Math.min(a.y, b.y),
        maxX: Math.max(a.x, b.x),
        maxY: Math.max(a.y, b.y),
        way,
        a,
        b,
      });
      a = b;
    }
  }
  return pieces;
}

/** Where words could stand on a way, and what that costs whatever other links do. */
export interface WordsPlace {
  at: number;
  box: Bounds;
  cost: number;
}

export type Route = Pick<LinkStyle, 'route' | 'bend'>;

/** One way that a link could take; what is asked of it is worked out once, when it is first asked for. */
export class Way {
  /** what it costs whatever stands beside it: the plainest is best */
  readonly plain: number;
  private drawn?: Polyline;
  private parts?: readonly Piece[];
  private inTopics?: number;
  private placed?: WordsPlace[];

  constructor(
    readonly link: Link,
    readonly route: Route,
    /** shares of the line at which its words may stand */
    private readonly along: readonly number[],
    private readonly ground: Ground,
  ) {
    this.plain =
      route.route === 'elbow' ? 4 + 2 * Math.abs(route.bend) : route.bend === 0 ? 0 : 1 + 4 * Math.abs(route.bend);
  }

  get line(): Polyline {
    return (this.drawn ??= this.ground.lineOf(this.link, this.route));
  }

  get pieces(): readonly Piece[] {
    return (this.parts ??= piecesOf(this));
  }

  /** with what it costs to run through topics */
  get cost(): number {
    this.inTopics ??= this.ground.topicsEntered(this);
    return this.plain + COST.lineInTopic * this.inTopics;
  }

  /** Where its words could stand, the plainest first; none where it has none. */
  get words(): readonly WordsPlace[] {
    return (this.placed ??= this.placesOfWords());
  }

  private placesOfWords(): WordsPlace[] {
    const block = this.ground.blockOf(this.link);
    const { points } = this.line;
    if (!block || points.length === 0) return [];
    const room = this.along.length > 1 ? this.ground.roomOf(this.link) : undefined;
    return [...this.along, ...(room ? [shareAt(points, room)] : [])].map((at) => {
      const box = boundsOf(grown(phraseBoxOn(points, at, block)!, CLEAR));
      return { at, box, cost: 2 * Math.abs(at - 0.5) + COST.wordsOnTopic * this.ground.topicsMet(box) };
    });
  }
}

/** The topics as they stand, and the ways that links can take between them. */
export class Ground {
  private readonly byId: ReadonlyMap<string, Topic>;
  private readonly solids: ReadonlyMap<string, Solid>;
  private readonly boxes: readonly Box[];
  private readonly tree: Flatbush | null;
  /** around all topics, and a little more */
  private readonly all: Box;
  private readonly blocks = phraseBlocks();

  /** @param wayOf where a link was given room to pass */
  constructor(
    private readonly topics: readonly Topic[],
    private readonly legend: Legend | undefined,
    private readonly wayOf: (link: Link) => readonly Point[],
    private readonly keepRoutes: boolean,
    private readonly corridors: boolean,
  ) {
    this.byId = new Map(topics.map((topic) => [topic.id, topic]));
    this.solids = new Map(topics.map((topic) => [topic.id, solidOf(topic, legend)]));
    this.boxes = topics.map((topic) => boxOf(topic, 2));
    this.tree = topics.length > 0 ? new Flatbush(topics.length) : null;
    for (const { left, top, right, bottom } of this.boxes) this.tree?.add(left, top, right, bottom);
    this.tree?.finish();
    this.all = unionOf(topics.map((topic) => boxOf(topic, OUTSIDE))) ?? { left: 0, top: 0, right: 0, bottom: 0 };
  }

  /**
   * All ways of a link, the plainest first. A kind that sets a route keeps it.
   * @param isOneOfMany whether so many links are led that each is led through fewer corridors
   */
  waysOf(link: Link, isOneOfMany: boolean): Way[] {
    if (this.corridors) return this.throughCorridors(link, isOneOfMany ? COARSEST : COARSE, ALONG);
    const set = this.routeSet(link);
    if (set === 'elbow') return ELBOWS.map((bend) => this.way(link, 'elbow', bend));
    const straight = set === 'curved' ? [] : [this.way(link, 'straight', 0)];
    if (set === 'straight') return straight;
    const room = this.roomOf(link);
    const given = room ? bendThrough('curved', this.byId.get(link.from)!, this.byId.get(link.to)!, room) : 0;
    const led = Math.abs(given) < LEAST_BEND ? [] : [Math.min(MOST_BEND, Math.max(-MOST_BEND, given))];
    return [...straight, ...[...led, ...BENDS].map((bend) => this.way(link, 'curved', bend))];
  }

  /** Many more ways, for a link that is clear on none of the others. */
  moreWaysOf(link: Link): Way[] {
    if (this.corridors) return this.throughCorridors(link, FINE, EVERYWHERE);
    const set = this.routeSet(link);
    const routes = set ? [set] : (['straight', 'curved', 'elbow'] as const);
    const [from, to] = [this.byId.get(link.from)!, this.byId.get(link.to)!];
    const round = roundBy(Math.hypot(to.x - from.x, to.y - from.y));
    return routes.flatMap((route) =>
      (route === 'straight' ? [0] : round).map((bend) => this.way(link, route, bend, EVERYWHERE)),
    );
  }

  private throughCorridors(link: Link, bends: readonly number[], along: readonly number[]): Way[] {
    const set = this.routeSet(link);
    const [from, to] = [this.byId.get(link.from)!, this.byId.get(link.to)!];
    const routes = set ? [set] : (['straight', 'curved', 'elbow'] as const);
    return routes
      .flatMap((route) => (route === 'straight' ? [0] : bends).map((bend) => ({ route, bend })))
      .filter((one) => one.bend === 0 || this.isAmong(from, to, one))
      .map(({ route, bend }) => this.way(link, route, bend, along));
  }

  private way(link: Link, route: Route['route'], bend: number, along = ALONG): Way {
    return new Way(link, { route, bend }, along, this);
  }

  private routeSet(link: Link): Route['route'] | undefined {
    return this.keepRoutes ? linkStyle(link, this.legend).route : kindOfLink(this.legend, link.kind)?.route;
  }

  /** Whether a link stays among the topics, so that it takes no room of its own round them. */
  private isAmong(from: Point, to: Point, { route, bend }: Route): boolean {
    const line = centreLine(from, to, route, bend);
    const { left, top, right, bottom } = boxAround(line);
    return left >= this.all.left && top >= this.all.top && right <= this.all.right && bottom <= this.all.bottom;
  }

  /** The way of a link as it is drawn now. */
  wayNow(link: Link, { route, bend, phraseAt }: LinkStyle): Way {
    return new Way(link, { route, bend }, [phraseAt], this);
  }

  /** the middle of the room that a link was given */
  roomOf(link: Link): Point | undefined {
    const way = this.wayOf(link);
    return way[Math.floor(way.length / 2)];
  }

  blockOf(link: Link): TextBlock | null {
    return isBlank(link.phrase) ? null : this.blocks(link);
  }

  lineOf(link: Link, { route, bend }: Route): Polyline {
    const line = coarseLine(this.byId.get(link.from)!, this.byId.get(link.to)!, route, bend);
    return polyline(longestOutside(line, [this.solids.get(link.from)!, this.solids.get(link.to)!]));
  }

  topicsMet(box: Box): number {
    return this.within(box).filter((t) => boxesMeet(box, this.boxes[t]!)).length;
  }

  topicsEntered({ pieces, link: { from, to } }: Way): number {
    const entered = new Set<number>();
    for (const { minX, minY, maxX, maxY, a, b } of pieces)
      for (const t of this.tree?.search(minX, minY, maxX, maxY) ?? [])
        if (!entered.has(t) && segmentEnters(a, b, this.boxes[t]!)) entered.add(t);
    return [...entered].filter((t) => this.topics[t]!.id !== from && this.topics[t]!.id !== to).length;
  }

  private within({ left, top, right, bottom }: Box): number[] {
    return this.tree && left <= right ? this.tree.search(left, top, right, bottom) : [];
  }
}

/** How far off the line that ways are chosen by may be from the one that is drawn, canvas units. */
const OFF = 1;
const STEPS = [4, 8, 16, 32] as const;

/** `centreLine` in as few steps as keep a curve within `OFF` of itself: a quadratic one is off by |P″| / 8 over the steps squared. */
function coarseLine(a: Point, b: Point, route: Route['route'], bend: number): Point[] {
  if (route !== 'curved') return centreLine(a, b, route, bend);
  const c = { x: (a.x + b.x) / 2 - bend * (b.y - a.y), y: (a.y + b.y) / 2 + bend * (b.x - a.x) };
  const most = (Math.abs(bend) * Math.hypot(b.x - a.x, b.y - a.y)) / 2 / OFF;
  const steps = STEPS.find((count) => count ** 2 >= most) ?? 32;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const t = i / steps;
    const [p, q, r] = [(1 - t) ** 2, 2 * t * (1 - t), t ** 2];
    return { x: p * a.x + q * c.x + r * b.x, y: p * a.y + q * c.y + r * b.y };
  });
}
