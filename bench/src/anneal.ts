import { boxesMeet, drawnBox, lettersIn, SCREEN, seeded } from '@ichnograph/core';
import type { Box, TopicMap } from '@ichnograph/core';

/** Moves in all; for a frame, in each that is tried. */
const MOVES = 400_000;
const MOVES_IN_FRAME = 100_000;
/** What counts beside a crossing: what lies on something else, and a line over words. */
const COST = { onEachOther: 8, overWords: 4, crossing: 1 } as const;
/** How warm it is at first and at last, in crossings. */
const [WARM, COLD] = [2, 0.05];
/** How much larger letters are tried each time in a frame, and how often a frame is tried. */
const LARGER = 1.04;
const TRIES = 2;
/** Canvas units that topics keep from each other. */
const APART = 8;

/**
 * A bound for what layouts are measured by: topics moved at random by simulated annealing (Davidson and Harel 1996), all
 * links straight, their words in the middle. Takes minutes a map.
 * @returns the map as it was drawn with fewest crossings, with nothing on anything and no line over words where it comes to that
 */
export function annealed(map: TopicMap): TopicMap {
  const search = new Search(map, seeded(map.topics.length));
  search.cool(MOVES, COST.crossing);
  return search.drawn();
}

/**
 * The largest letters of a frame in which the same search finds room for everything, whatever crosses: the drawing it
 * starts from is drawn together, step by step.
 */
export function annealedInFrame(map: TopicMap): TopicMap {
  let best = map;
  for (let tries = 0; tries < TRIES && lettersOf(best) < 14;) {
    const search = new Search(best, seeded(best.topics.length + tries));
    const letters = lettersOf(best) * LARGER;
    search.drawTogether({ width: (14 * SCREEN.width) / letters, height: (14 * SCREEN.height) / letters });
    search.cool(MOVES_IN_FRAME, 0);
    const isFound = search.cost(0) === 0 && lettersOf(search.drawn()) > lettersOf(best);
    if (isFound) best = search.drawn();
    tries = isFound ? 0 : tries + 1;
  }
  return best;
}

export function lettersOf(map: TopicMap): number {
  const { left, top, right, bottom } = drawnBox(map, undefined)!;
  return lettersIn({ width: right - left, height: bottom - top }, SCREEN);
}

const NOWHERE: Box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };

/** Places of topics while they are searched for. */
class Search {
  private readonly x: Float64Array;
  private readonly y: Float64Array;
  /** by line, the topics at its ends */
  private readonly from: Int32Array;
  private readonly to: Int32Array;
  private readonly linesOf: readonly number[][];
  /** by line, the box of its words; one of no words meets nothing */
  private readonly words: Box[];
  private room: Box;

  constructor(
    private readonly map: TopicMap,
    private readonly random: () => number,
  ) {
    const place = new Map(map.topics.map(({ id }, i) => [id, i]));
    this.x = Float64Array.from(map.topics, ({ x }) => x);
    this.y = Float64Array.from(map.topics, ({ y }) => y);
    this.from = Int32Array.from(map.links, ({ from }) => place.get(from)!);
    this.to = Int32Array.from(map.links, ({ to }) => place.get(to)!);
    this.linesOf = map.topics.map((_, t) => [...map.links.keys()].filter((l) => this.isEnd(l, t)));
    this.words = map.links.map(() => ({ ...NOWHERE }));
    for (const l of map.links.keys()) this.placeWords(l);
    this.room = drawnBox(map, undefined)!;
  }

  private isEnd(line: number, topic: number): boolean {
    return this.from[line] === topic || this.to[line] === topic;
  }

  /** All of it into a box of a size, as far as that goes without changing what is beside what. */
  drawTogether({ width, height }: { width: number; height: number }): void {
    const { left, top, right, bottom } = this.room;
    const [across, down] = [width / (right - left), height / (bottom - top)];
    for (const t of this.map.topics.keys()) {
      this.x[t] = (this.x[t]! - left) * across;
      this.y[t] = (this.y[t]! - top) * down;
    }
    this.room = { left: 0, top: 0, right: width, bottom: height };
    for (const t of this.map.topics.keys()) this.put(t, this.x[t]!, this.y[t]!);
  }

  private put(topic: number, x: number, y: number): void {
    const { left, top, right, bottom } = this.room;
    const { width, height } = this.map.topics[topic]!;
    this.x[topic] = Math.min(right - width / 2 - 2, Math.max(left + width / 2 + 2, x));
    this.y[topic] = Math.min(bottom - height / 2 - 2, Math.max(top + height / 2 + 2, y));
    for (const l of this.linesOf[topic]!) this.placeWords(l);
  }

  /** Moves topics about, ever less, until all moves are made or nothing is left to be better. */
  cool(moves: number, crossing: number): void {
    const { random, room } = this;
    const size = Math.max(room.right - room.left, room.bottom - room.top);
    let now = this.cost(crossing);
    for (let i = 0; i < moves && now > 0; i++) {
      const done = i / moves;
      const warm = WARM * (COLD / WARM) ** done;
      const t = Math.floor(random() * this.map.topics.length);
      const other = random() < 0.2 ? Math.floor(random() * this.map.topics.length) : t;
      const before = this.costAround(t, other, crossing);
      const [x, y, otherX, otherY] = [this.x[t]!, this.y[t]!, this.x[other]!, this.y[other]!];
      if (other !== t) {
        this.put(t, otherX, otherY);
        this.put(other, x, y);
      } else {
        const far = size * 0.5 * (1 - done) ** 2 + 20;
        this.put(t, x + (random() - 0.5) * far, y + (random() - 0.5) * far);
      }
      const gained = before - this.costAround(t, other, crossing);
      if (gained >= 0 || random() < Math.exp(gained / warm)) {
        now -= gained;
        continue;
      }
      this.put(t, x, y);
      if (other !== t) this.put(other, otherX, otherY);
    }
  }

  cost(crossing: number): number {
    let sum = 0;
    for (const t of this.map.topics.keys()) sum += this.topicOn(t, t + 1);
    for (const l of this.map.links.keys()) sum += this.lineCost(l, crossing, (other) => other > l);
    return sum;
  }

  /** What two topics, which may be one, and their lines cost. */
  private costAround(one: number, other: number, crossing: number): number {
    let sum = this.topicOn(one, 0);
    if (other !== one) sum += this.topicOn(other, 0);
    for (const l of this.linesOf[one]!)
      sum += this.lineCost(l, crossing, (beside) => !this.isEnd(beside, one) || beside > l);
    if (other !== one)
      for (const l of this.linesOf[other]!)
        if (!this.isEnd(l, one))
          sum += this.lineCost(
            l,
            crossing,
            (beside) => !this.isEnd(beside, one) && (!this.isEnd(beside, other) || beside > l),
          );
    return sum + this.wordsUnder(one, other) + (other === one ? 0 : this.wordsUnder(other, one));
  }

  private isOn({ left, top, right, bottom }: Box, t: number): boolean {
    const { width, height } = this.map.topics[t]!;
    const [x, y] = [this.x[t]!, this.y[t]!];
    return left < x + width / 2 && right > x - width / 2 && top < y + height / 2 && bottom > y - height / 2;
  }

  /** Topics, from a number on, that a topic lies on. */
  private topicOn(t: number, first: number): number {
    const { width, height } = this.map.topics[t]!;
    const [x, y] = [this.x[t]!, this.y[t]!];
    let count = 0;
    for (let o = first; o < this.x.length; o++) {
      if (o === t) continue;
      const other = this.map.topics[o]!;
      if (
        2 * Math.abs(this.x[o]! - x) < width + other.width + 2 * APART &&
        2 * Math.abs(this.y[o]! - y) < height + other.height + 2 * APART
      )
        count++;
    }
    return count * COST.onEachOther;
  }

  /** Words that lie on a topic, of lines that end neither at it nor at another. */
  private wordsUnder(t: number, apartFrom: number): number {
    let count = 0;
    for (let l = 0; l < this.words.length; l++)
      if (this.isOn(this.words[l]!, t) && !this.isEnd(l, t) && !this.isEnd(l, apartFrom)) count++;
    return count * COST.onEachOther;
  }

  /** In the middle of what its two topics leave of a line. */
  private placeWords(l: number): void {
    const { phrase } = this.map.links[l]!;
    if (phrase === '') return;
    const words = { width: 7 * phrase.length + 10, height: 20 };
    const [from, to] = [this.from[l]!, this.to[l]!];
    const [dx, dy] = [this.x[to]! - this.x[from]!, this.y[to]! - this.y[from]!];
    const covered = (t: number): number => {
      const { width, height } = this.map.topics[t]!;
      return Math.min(width / 2 / Math.abs(dx), height / 2 / Math.abs(dy), 1);
    };
    const at = (1 + covered(from) - covered(to)) / 2;
    const [x, y] = [this.x[from]! + at * dx, this.y[from]! + at * dy];
    const box = this.words[l]!;
    [box.left, box.right] = [x - words.width / 2, x + words.width / 2];
    [box.top, box.bottom] = [y - words.height / 2, y + words.height / 2];
  }

  /** What a line and its words cost beside the others that count. */
  private lineCost(l: number, crossing: number, counts: (other: number) => boolean): number {
    const [from, to] = [this.from[l]!, this.to[l]!];
    const own = this.words[l]!;
    let sum = 0;
    for (let t = 0; t < this.x.length; t++) if (this.isOn(own, t)) sum += COST.onEachOther;
    for (let o = 0; o < this.words.length; o++) {
      if (o === l || !counts(o)) continue;
      const theirs = this.words[o]!;
      if (boxesMeet(own, theirs)) sum += COST.onEachOther;
      if (this.runsInto(l, theirs)) sum += COST.overWords;
      if (this.runsInto(o, own)) sum += COST.overWords;
      if (crossing === 0 || this.isEnd(o, from) || this.isEnd(o, to)) continue;
      if (this.cross(from, to, this.from[o]!, this.to[o]!)) sum += crossing;
    }
    return sum;
  }

  private cross(a: number, b: number, c: number, d: number): boolean {
    return this.isLeft(a, b, c) !== this.isLeft(a, b, d) && this.isLeft(c, d, a) !== this.isLeft(c, d, b);
  }
  private isLeft(a: number, b: number, c: number): boolean {
    const { x, y } = this;
    return (x[b]! - x[a]!) * (y[c]! - y[a]!) > (y[b]! - y[a]!) * (x[c]! - x[a]!);
  }

  private runsInto(l: number, { left, top, right, bottom }: Box): boolean {
    const [from, to] = [this.from[l]!, this.to[l]!];
    const [ax, ay, bx, by] = [this.x[from]!, this.y[from]!, this.x[to]!, this.y[to]!];
    if (Math.max(ax, bx) < left || Math.min(ax, bx) > right || Math.max(ay, by) < top || Math.min(ay, by) > bottom)
      return false;
    // All corners on one side of the line: it passes by.
    const side = (x: number, y: number): boolean => (bx - ax) * (y - ay) > (by - ay) * (x - ax);
    const first = side(left, top);
    return side(right, top) !== first || side(left, bottom) !== first || side(right, bottom) !== first;
  }

  drawn(): TopicMap {
    return {
      ...this.map,
      topics: this.map.topics.map((topic, t) => ({ ...topic, x: this.x[t]!, y: this.y[t]! })),
      links: this.map.links.map((link) => ({ ...link, route: 'straight', bend: 0, phraseAt: 0.5 })),
    };
  }
}
