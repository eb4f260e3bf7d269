import Flatbush from 'flatbush';
import { drawnPart } from '../geometry/drawn-part.js';
import { boxesMeet, entersBox } from '../geometry/boxes.js';
import { meetingPoint } from '../geometry/meetings.js';
import { drawLink } from '../geometry/draw-link.js';
import { boxOf, polyline } from '../geometry/points.js';
import type { Box, Polyline } from '../geometry/points.js';
import { done, refused } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import type { Legend, Link, Topic, TopicMap } from '../map/types.js';
import { isBlank } from '../words/normal-form.js';
import { onMap } from './maker.js';
import type { Spot } from './maker.js';

/** How many topics are tried elsewhere, those first whose links cross most, and in how many places each. */
const [TRIED, RINGS, AROUND] = [14, [70, 140, 220, 320], 12] as const;
const GAP = 12;
/** Of what a topic is linked to, round how many places are looked for. */
const TIED = 5;

interface Drawn {
  link: Link;
  line: Polyline;
  /** where its words stand, found out when it is asked */
  readonly words: Box | null;
}

/** One topic's move, and how many crossings are fewer after it. */
export interface Move {
  id: string;
  at: Spot;
  fewer: number;
}

/** Boxes of things, found by where they are. */
class Found<T> {
  private readonly tree: Flatbush | null;

  constructor(
    private readonly items: readonly T[],
    boxes: readonly Box[],
  ) {
    this.tree = items.length > 0 ? new Flatbush(items.length) : null;
    for (const { left, top, right, bottom } of boxes) this.tree?.add(left, top, right, bottom);
    this.tree?.finish();
  }

  near({ left, top, right, bottom }: Box): T[] {
    return this.tree?.search(left, top, right, bottom).map((i) => this.items[i]!) ?? [];
  }
}

/** The links of a map as they are drawn, to count what crosses while topics are moved. */
export class CrossingCounter {
  private readonly byId: ReadonlyMap<string, Topic>;
  private readonly drawn: readonly Drawn[];
  private readonly lines: Found<Drawn>;
  private readonly words: Found<Drawn>;
  private readonly topics: Found<Topic>;

  constructor(
    private readonly map: TopicMap,
    private readonly legend: Legend,
  ) {
    this.byId = new Map(map.topics.map((topic) => [topic.id, topic]));
    this.drawn = map.links.map((link) => this.draw(link));
    const lined = this.drawn.filter(({ line }) => line.points.length > 0);
    this.lines = new Found(
      lined,
      lined.map(({ line }) => line.box),
    );
    const worded = this.drawn.filter(({ words }) => words !== null);
    this.words = new Found(
      worded,
      worded.map(({ words }) => words!),
    );
    this.topics = new Found(
      map.topics,
      map.topics.map((topic) => boxOf(topic)),
    );
  }

  private topicAt(id: string, places?: ReadonlyMap<string, Spot>): Topic {
    const place = places?.get(id);
    const topic = this.byId.get(id)!;
    return place ? { ...topic, ...place } : topic;
  }

  private draw(link: Link, places?: ReadonlyMap<string, Spot>): Drawn {
    const [from, to] = [this.topicAt(link.from, places), this.topicAt(link.to, places)];
    const { legend } = this;
    return {
      link,
      line: polyline(drawnPart(link, from, to, legend)),
      // Most places are ruled out by lines alone.
      get words() {
        return isBlank(link.phrase) ? null : (drawLink(link, from, to, legend).phrase?.box ?? null);
      },
    };
  }

  /** The links that hang on topics, as they are drawn where those stand by `places`, or where they are. */
  private own(ids: ReadonlySet<string>, places?: ReadonlyMap<string, Spot>): Drawn[] {
    const own = this.drawn.filter(({ link }) => hangs(link, ids));
    return places ? own.map(({ link }) => this.draw(link, places)) : own;
  }

  /** Crossings of links that hang on these topics, where those stand by `places`, or where they are. */
  of(ids: ReadonlySet<string>, places?: ReadonlyMap<string, Spot>): number {
    const own = this.own(ids, places);
    let count = 0;
    own.forEach((one, i) => {
      for (const other of this.lines.near(one.line.box)) if (!hangs(other.link, ids) && cross(one, other)) count++;
      for (const other of own.slice(i + 1)) if (cross(one, other)) count++;
    });
    return count;
  }

  /** What of these topics, their links and the words of those lies on other topics, lines or words, or the other way round. */
  private laidOver(ids: ReadonlySet<string>, places?: ReadonlyMap<string, Spot>): string[] {
    const own = this.own(ids, places);
    const held = [...ids].map((id) => this.topicAt(id, places));
    const isRest = ({ link }: Drawn): boolean => !hangs(link, ids);
    const topicsNear = (box: Box): Topic[] => [
      ...this.topics.near(box).filter(({ id }) => !ids.has(id)),
      ...held.filter((topic) => boxesMeet(box, boxOf(topic))),
    ];
    const found: string[] = [];
    const runsOver = (one: Drawn, topic: Topic): void => {
      if (topic.id !== one.link.from && topic.id !== one.link.to && entersBox(one.line, boxOf(topic)))
        found.push(`${one.link.id} ${topic.id}`);
    };
    const runsThrough = (one: Drawn, other: Drawn): void => {
      if (one.link.id !== other.link.id && other.words && entersBox(one.line, other.words))
        found.push(`${one.link.id} words of ${other.link.id}`);
    };
    for (const one of own) {
      for (const topic of topicsNear(one.line.box)) runsOver(one, topic);
      for (const other of [...this.words.near(one.line.box).filter(isRest), ...own]) runsThrough(one, other);
      if (!one.words) continue;
      for (const other of this.lines.near(one.words).filter(isRest)) runsThrough(other, one);
      for (const { id } of topicsNear(one.words)) found.push(`words of ${one.link.id} ${id}`);
    }
    for (const topic of held) {
      for (const other of this.lines.near(boxOf(topic)).filter(isRest)) runsOver(other, topic);
      for (const { link } of this.words.near(boxOf(topic)).filter(isRest))
        found.push(`words of ${link.id} ${topic.id}`);
    }
    return found;
  }

  /**
   * Moves of one topic each that take crossings away, where to, and how many; that which takes most away first. What would lay
   * lines over topics or words instead, or words over topics, is none.
   */
  moves(most: number): Move[] {
    return this.map.topics
      .filter(({ marks }) => !marks?.includes('kept'))
      .map((topic) => ({ topic, count: this.of(new Set([topic.id])) }))
      .filter(({ count }) => count > 0)
      .sort((a, b) => b.count - a.count)
      .slice(0, TRIED)
      .flatMap(({ topic, count }) => this.bestMoveOf(topic, count) ?? [])
      .sort((a, b) => b.fewer - a.fewer)
      .slice(0, most);
  }

  private bestMoveOf(topic: Topic, count: number): Move | null {
    const ids = new Set([topic.id]);
    const moves = this.spotsFor(topic)
      .map((at) => ({ id: topic.id, at, fewer: count - this.of(ids, new Map([[topic.id, at]])) }))
      .filter(({ fewer }) => fewer > 0)
      .sort((a, b) => b.fewer - a.fewer);
    if (moves.length === 0) return null;
    const over = new Set(this.laidOver(ids));
    const isClear = ({ id, at }: Move): boolean =>
      this.laidOver(ids, new Map([[id, at]])).every((pair) => over.has(pair));
    return moves.find(isClear) ?? null;
  }

  /** Free places around what a topic is linked to. */
  private spotsFor(topic: Topic): Spot[] {
    const tied = this.map.links.flatMap(({ from, to }) =>
      from === topic.id ? [this.byId.get(to)!] : to === topic.id ? [this.byId.get(from)!] : [],
    );
    const middle = {
      x: tied.reduce((sum, { x }) => sum + x, 0) / tied.length,
      y: tied.reduce((sum, { y }) => sum + y, 0) / tied.length,
    };
    const taken = this.map.topics.filter(({ id }) => id !== topic.id).map((one) => boxOf(one, GAP));
    return [middle, ...tied.slice(0, TIED)].flatMap((around) =>
      RINGS.flatMap((far) =>
        Array.from({ length: AROUND }, (_, i) => {
          const turn = (2 * Math.PI * i) / AROUND;
          return { x: Math.round(around.x + far * Math.cos(turn)), y: Math.round(around.y + far * Math.sin(turn)) };
        }).filter((at) => taken.every((box) => !boxesMeet(box, boxOf({ ...topic, ...at })))),
      ),
    );
  }
}

const hangs = ({ from, to }: Link, ids: ReadonlySet<string>): boolean => ids.has(from) || ids.has(to);

function cross(one: Drawn, other: Drawn): boolean {
  const [a, b] = [one.link, other.link];
  if (a.from === b.from || a.from === b.to || a.to === b.from || a.to === b.to) return false;
  return boxesMeet(one.line.box, other.line.box) && meetingPoint(one.line.points, other.line.points) !== null;
}

/** Makes a move. */
export const makeMove = ({ id, at }: Move): Outcome => done({ do: 'set', in: 'topics', id, fields: { ...onMap(at) } });

/** Moves the one topic whose move takes most crossings away. */
export function uncross(map: TopicMap, legend: Legend): Outcome {
  const [best] = new CrossingCounter(map, legend).moves(1);
  return best ? makeMove(best) : refused('noBetterPlace');
}
