import RBush from 'rbush';
import { entersBox } from '../geometry/boxes.js';
import type { Point, Polyline } from '../geometry/points.js';
import { linkStyle } from '../map/style.js';
import type { LinkStyle } from '../map/style.js';
import type { Legend, Link, Topic } from '../map/types.js';
import type { Pulse } from '../pulse.js';
import { Ground } from './ways.js';
import type { Bounds, Piece, Way, WordsPlace } from './ways.js';

/** How a link takes its way, and where its words stand on it. */
export type Course = Pick<LinkStyle, 'route' | 'bend' | 'phraseAt'>;

/** Of what lies beside it: words on words, a line through words, lines that cross. */
const COST = { wordsOnWords: 170, lineInWords: 160, crossing: 6 } as const;
/** What words cost at least that lie on something or under a line. */
const UNREADABLE = Math.min(COST.wordsOnWords, COST.lineInWords);
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
const POLISHED = 300;
/** How often at most all of them are gone through, each time with what stayed hard to read weighing more. */
const ROUNDS = 24;
/** What words weigh that are not to be given up. */
const HELD = 20;

/**
 * Guided local search (Voudouris and Tsang 1999): words that stay hard to read weigh more each time, until what is in
 * their way makes room for them. The best that was found is drawn.
 */
function polish(drawing: Drawing, ground: Ground, links: readonly Link[]): void {
  const ways = new Map<Link, readonly Way[]>();
  const waysOf = (link: Link): readonly Way[] => {
    if (!ways.has(link)) ways.set(link, ground.moreWaysOf(link));
    return ways.get(link)!;
  };
  let left = POLISHED;
  let best = { count: Infinity, choices: drawing.choices() };
  for (let round = 0; round < ROUNDS && left > 0; round++) {
    const hard = links.filter((link) => !drawing.isReadable(link));
    if (hard.length < best.count) best = { count: hard.length, choices: drawing.choices() };
    if (hard.length === 0) return;
    // What lies on words and whose words they are take turns in being led anew first.
    for (const link of round % 2 === 0 ? hard : hard.toReversed()) {
      if (left <= 0 || drawing.isReadable(link)) continue;
      left--;
      drawing.redraw(link, waysOf(link));
    }
    for (const link of links) if (!drawing.areWordsClear(link)) drawing.weigh(link);
  }
  const count = links.filter((link) => !drawing.isReadable(link)).length;
  if (count > best.count) drawing.restore(best.choices);
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
  const drawing = new Drawing();
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
    const bad = pass === 0 ? 1 : COST.lineInWords;
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
    for (const link of own) drawing.redraw(link, [drawing.wayOf(link), ...waysOf.get(link)!]);
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

/** What has been chosen for a link. */
interface Choice {
  way: Way;
  words: WordsPlace | null;
}
const isSame = (one: Choice, other: Choice): boolean =>
  one.way.route.route === other.way.route.route &&
  one.way.route.bend === other.way.route.bend &&
  one.words?.at === other.words?.at;
/** Words as they stand. */
interface Text extends Bounds {
  link: Link;
}

/** All links as they are drawn at the moment. */
class Drawing {
  private readonly lines = new RBush<Piece>();
  private readonly texts = new RBush<Text>();
  private readonly now = new Map<Link, { choice: Choice; text: Text | null }>();
  /** of whose words more than once was hard to read */
  private readonly weights = new Map<Link, number>();
  private least = 1;

  put(choice: Choice): void {
    const { link, pieces } = choice.way;
    const text = choice.words && { ...choice.words.box, link };
    this.now.set(link, { choice, text });
    for (const piece of pieces) this.lines.insert(piece);
    if (text) this.texts.insert(text);
  }

  private take(link: Link): void {
    const { choice, text } = this.now.get(link)!;
    for (const piece of choice.way.pieces) this.lines.remove(piece);
    if (text) this.texts.remove(text);
  }

  wayOf(link: Link): Way {
    return this.now.get(link)!.choice.way;
  }

  courseOf(link: Link): Course {
    const { way, words } = this.now.get(link)!.choice;
    return { ...way.route, phraseAt: words?.at ?? 0.5 };
  }

  isClear(link: Link): boolean {
    const { way } = this.now.get(link)!.choice;
    return way.cost < way.plain + 1 && this.isReadable(link);
  }

  /** Whether its words lie on nothing and under no line, and its line runs through no others. */
  isReadable(link: Link): boolean {
    return this.areWordsClear(link) && this.textsUnder(this.now.get(link)!.choice.way) === 0;
  }

  /** Whether its words lie on nothing and under no line. */
  areWordsClear(link: Link): boolean {
    const { words } = this.now.get(link)!.choice;
    return words === null || this.wordsCost(words, link, Infinity) < UNREADABLE;
  }

  /** Whatever lies on these words costs more from now on. */
  weigh(link: Link): void {
    this.weights.set(link, this.weightOf(link) + 1);
  }
  private weightOf(link: Link): number {
    return this.weights.get(link) ?? this.least;
  }
  /** From now on no words are given up for anything else. */
  keepWordsClear(): void {
    this.least = HELD;
  }

  choices(): ReadonlyMap<Link, Choice> {
    return new Map([...this.now].map(([link, { choice }]) => [link, choice]));
  }

  restore(choices: ReadonlyMap<Link, Choice>): void {
    for (const [link, choice] of choices)
      if (!isSame(choice, this.now.get(link)!.choice)) {
        this.take(link);
        this.put(choice);
      }
  }

  /** How many words a link's line runs through, and how many lines run through its words. */
  coveredBy(link: Link): number {
    const { way, words } = this.now.get(link)!.choice;
    return this.textsUnder(way) + (words ? this.linesOver(words.box, link) : 0);
  }

  costNow(link: Link): number {
    const { way, words } = this.now.get(link)!.choice;
    return this.lineCost(way, Infinity) + (words ? this.wordsCost(words, link, Infinity) : 0);
  }

  /** Draws a link the way that costs least; says whether that is another. */
  redraw(link: Link, ways: readonly Way[]): boolean {
    const before = this.now.get(link)!.choice;
    const choice = this.cheapest(ways, link);
    if (!choice || isSame(choice, before)) return false;
    this.take(link);
    this.put(choice);
    return true;
  }

  private cheapest(ways: readonly Way[], link: Link): Choice | null {
    let choice: Choice | null = null;
    let least = Infinity;
    for (const way of ways) {
      if (way.plain >= least) continue;
      const cost = this.lineCost(way, least);
      if (cost >= least) continue;
      if (way.words.length === 0) [choice, least] = [{ way, words: null }, cost];
      for (const words of way.words) {
        const all = cost + this.wordsCost(words, link, least - cost);
        if (all < least) [choice, least] = [{ way, words }, all];
      }
    }
    return choice;
  }

  /** What a line costs among the others; what comes after more than `enough` is not worked out. */
  private lineCost(way: Way, enough: number): number {
    const sum = way.cost;
    if (sum > enough) return sum;
    const over = sum + COST.lineInWords * this.textsUnder(way, (enough - sum) / COST.lineInWords, true);
    return over > enough ? over : over + COST.crossing * this.crossed(way, (enough - over) / COST.crossing);
  }

  /** How many lines a way crosses, of links that share no end with its own; more than `most` are not counted. */
  private crossed({ pieces, link }: Way, most: number): number {
    const crossed = new Set<Way>();
    for (const piece of pieces) {
      for (const other of this.lines.search(piece))
        if (!crossed.has(other.way) && !sharesEnd(link, other.way.link) && cross(piece.segment, other.segment))
          crossed.add(other.way);
      if (crossed.size > most) break;
    }
    return crossed.size;
  }

  /** How many words a way runs through, its own left out; more than `most` are not counted. */
  private textsUnder({ pieces, link }: Way, most = Infinity, weighed = false): number {
    const under = new Set<Text>();
    let sum = 0;
    for (const piece of pieces) {
      for (const text of this.texts.search(piece))
        if (text.link !== link && !under.has(text) && entersBox(piece.segment, text)) {
          under.add(text);
          sum += weighed ? this.weightOf(text.link) : 1;
        }
      if (sum > most) break;
    }
    return sum;
  }

  /** How many lines run through a box, that of a link left out. */
  private linesOver(box: Bounds, link: Link): number {
    const over = new Set<Way>();
    for (const { way, segment } of this.lines.search(box))
      if (way.link !== link && !over.has(way) && entersBox(segment, box)) over.add(way);
    return over.size;
  }

  private wordsCost({ box, cost }: WordsPlace, link: Link, enough: number): number {
    const weight = this.weightOf(link);
    let sum = cost * weight;
    if (sum > enough) return sum;
    for (const text of this.texts.search(box)) if (text.link !== link) sum += COST.wordsOnWords * weight;
    return sum > enough ? sum : sum + COST.lineInWords * weight * this.linesOver(box, link);
  }
}

const sharesEnd = (one: Link, other: Link): boolean =>
  other.from === one.from || other.from === one.to || other.to === one.from || other.to === one.to;

/** Whether two straight lines cross: by plain arithmetic, since this only chooses and nothing is judged by it. */
function cross({ points: [a, b] }: Polyline, { points: [c, d] }: Polyline): boolean {
  return isLeft(a!, b!, c!) !== isLeft(a!, b!, d!) && isLeft(c!, d!, a!) !== isLeft(c!, d!, b!);
}
const isLeft = (a: Point, b: Point, c: Point): boolean => (b.x - a.x) * (c.y - a.y) > (b.y - a.y) * (c.x - a.x);
