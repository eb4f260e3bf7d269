import RBush from 'rbush';
import { segmentEnters } from '../../geometry/boxes.js';
import type { Point } from '../../geometry/points.js';
import type { LinkStyle } from '../../map/style.js';
import type { Link } from '../../map/types.js';
import type { Bounds, Piece, Way, WordsPlace } from './ways.js';

/** How a link takes its way, and where its words stand on it. */
export type Course = Pick<LinkStyle, 'route' | 'bend' | 'phraseAt'>;

/** Of what lies beside it: words on words, a line through words, lines that cross. */
const COST = { wordsOnWords: 170, lineInWords: 160, crossing: 6 } as const;
/** What words cost at least that lie on something or under a line. */
export const UNREADABLE = Math.min(COST.wordsOnWords, COST.lineInWords);
/** What words weigh that are not to be given up. */
const HELD = 20;

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

/** All links as they are drawn at the moment, and what each of them costs. */
export class LaidLinks {
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

  /** Whatever lies on words that this link hides, or on its own where they are hidden, costs more from now on. */
  weigh(link: Link): void {
    const { way } = this.now.get(link)!.choice;
    const hidden = new Set([...this.under(way)].map((text) => text.link));
    if (!this.areWordsClear(link)) hidden.add(link);
    for (const one of hidden) this.weights.set(one, this.weightOf(one) + 1);
  }
  private weightOf(link: Link): number {
    return Math.max(this.least, this.weights.get(link) ?? 1);
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

  /** Draws a link the way that costs least, if that is less than now; says whether. */
  redraw(link: Link, ways: readonly Way[]): boolean {
    const choice = this.cheaper(ways, link);
    if (!choice) return false;
    this.take(link);
    this.put(choice);
    return true;
  }

  private cheaper(ways: readonly Way[], link: Link): Choice | null {
    let choice: Choice | null = null;
    let least = this.costNow(link);
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
    const over = sum + COST.lineInWords * this.weightUnder(way, (enough - sum) / COST.lineInWords);
    return over > enough ? over : over + COST.crossing * this.crossed(way, (enough - over) / COST.crossing);
  }

  /** How many lines a way crosses, of links that share no end with its own; more than `most` are not counted. */
  private crossed({ pieces, link }: Way, most: number): number {
    const crossed = new Set<Way>();
    for (const piece of pieces) {
      for (const other of this.lines.search(piece))
        if (!crossed.has(other.way) && !sharesEnd(link, other.way.link) && cross(piece, other)) crossed.add(other.way);
      if (crossed.size > most) break;
    }
    return crossed.size;
  }

  /** Words that a way runs through, its own left out. */
  private *under({ pieces, link }: Way): Generator<Text> {
    const seen = new Set<Text>();
    for (const { minX, minY, maxX, maxY, a, b } of pieces)
      for (const text of this.texts.search({ minX, minY, maxX, maxY }))
        if (text.link !== link && !seen.has(text) && segmentEnters(a, b, text)) {
          seen.add(text);
          yield text;
        }
  }

  /** How many words a way runs through. */
  private textsUnder(way: Way): number {
    return [...this.under(way)].length;
  }

  /** What the words weigh that a way runs through, up to `most` and a little more. */
  private weightUnder(way: Way, most: number): number {
    let sum = 0;
    for (const { link } of this.under(way)) if ((sum += this.weightOf(link)) > most) break;
    return sum;
  }

  /** How many lines run through a box, that of a link left out. */
  private linesOver(box: Bounds, link: Link): number {
    const over = new Set<Way>();
    for (const { way, a, b } of this.lines.search(box))
      if (way.link !== link && !over.has(way) && segmentEnters(a, b, box)) over.add(way);
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
function cross({ a, b }: Piece, { a: c, b: d }: Piece): boolean {
  return isLeft(a, b, c) !== isLeft(a, b, d) && isLeft(c, d, a) !== isLeft(c, d, b);
}
const isLeft = (a: Point, b: Point, c: Point): boolean => (b.x - a.x) * (c.y - a.y) > (b.y - a.y) * (c.x - a.x);
