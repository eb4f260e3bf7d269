import { drawnPart } from '../geometry/drawn-part.js';
import { boxesMeet, entersBox } from '../geometry/boxes.js';
import { meetingPoint } from '../geometry/meetings.js';
import { boxOf, polyline } from '../geometry/points.js';
import type { Polyline } from '../geometry/points.js';
import { done, refused } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import type { Legend, Link, Topic, TopicMap } from '../map/types.js';
import { onMap } from './maker.js';
import type { Spot } from './maker.js';

/** How many topics are tried elsewhere, those first whose links cross most, and in how many places each. */
const [TRIED, RINGS, AROUND] = [14, [70, 140, 220, 320], 12] as const;
const GAP = 12;

interface Drawn {
  link: Link;
  line: Polyline;
}

/** The links of a map as they are drawn, to count what crosses while topics are moved. */
export class CrossingCounter {
  private readonly byId: Map<string, Topic>;
  private readonly drawn: Drawn[];

  constructor(
    private readonly map: TopicMap,
    private readonly legend: Legend,
  ) {
    this.byId = new Map(map.topics.map((topic) => [topic.id, topic]));
    this.drawn = map.links.map((link) => this.draw(link, this.byId));
  }

  private draw(link: Link, byId: ReadonlyMap<string, Topic>): Drawn {
    return { link, line: polyline(drawnPart(link, byId.get(link.from)!, byId.get(link.to)!, this.legend)) };
  }

  /** The map with topics where `places` says, or as it is: what hangs on these topics, drawn so, and all other links. */
  private placed(ids: ReadonlySet<string>, places?: ReadonlyMap<string, Spot>) {
    const hangs = ({ from, to }: Link): boolean => ids.has(from) || ids.has(to);
    const byId = places
      ? new Map([...this.byId].map(([id, topic]) => [id, places.has(id) ? { ...topic, ...places.get(id)! } : topic]))
      : this.byId;
    const own = this.drawn.filter(({ link }) => hangs(link)).map((one) => (places ? this.draw(one.link, byId) : one));
    return { byId, own, rest: this.drawn.filter(({ link }) => !hangs(link)) };
  }

  /** Crossings of links that hang on these topics, where those stand by `places`, or where they are. */
  of(ids: ReadonlySet<string>, places?: ReadonlyMap<string, Spot>): number {
    const { own, rest } = this.placed(ids, places);
    let count = 0;
    own.forEach((one, i) => {
      for (const other of rest) if (cross(one, other)) count++;
      for (const other of own.slice(i + 1)) if (cross(one, other)) count++;
    });
    return count;
  }

  /** Which of its links run over which topics that are not their ends, and which other lines over these topics. */
  private overTopics(ids: ReadonlySet<string>, places?: ReadonlyMap<string, Spot>): string[] {
    const { byId, own, rest } = this.placed(ids, places);
    const topics = [...byId.values()];
    const runsOver = ({ link, line }: Drawn, topic: Topic): boolean =>
      topic.id !== link.from && topic.id !== link.to && entersBox(line, boxOf(topic));
    const over = (lines: readonly Drawn[], under: readonly Topic[]): string[] =>
      lines.flatMap((line) =>
        under.filter((topic) => runsOver(line, topic)).map((topic) => `${line.link.id} ${topic.id}`),
      );
    const held = topics.filter(({ id }) => ids.has(id));
    return [...over(own, topics), ...over(rest, held)];
  }

  /**
   * The one topic whose move takes most crossings away, where to, and how many; null where none does. What would lay lines
   * over topics instead is none.
   */
  bestMove(): { id: string; at: Spot; fewer: number } | null {
    const worst = this.map.topics
      .map((topic) => ({ topic, count: this.of(new Set([topic.id])) }))
      .filter(({ count }) => count > 0)
      .sort((a, b) => b.count - a.count)
      .slice(0, TRIED);
    let best: { id: string; at: Spot; fewer: number } | null = null;
    for (const { topic, count } of worst) {
      const ids = new Set([topic.id]);
      const over = new Set(this.overTopics(ids));
      for (const at of this.spotsFor(topic)) {
        const there = new Map([[topic.id, at]]);
        const fewer = count - this.of(ids, there);
        if (fewer > (best?.fewer ?? 0) && this.overTopics(ids, there).every((pair) => over.has(pair)))
          best = { id: topic.id, at, fewer };
      }
    }
    return best;
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
    return [middle, ...tied].flatMap((around) =>
      RINGS.flatMap((far) =>
        Array.from({ length: AROUND }, (_, i) => {
          const turn = (2 * Math.PI * i) / AROUND;
          return { x: Math.round(around.x + far * Math.cos(turn)), y: Math.round(around.y + far * Math.sin(turn)) };
        }).filter((at) => taken.every((box) => !boxesMeet(box, boxOf({ ...topic, ...at })))),
      ),
    );
  }
}

function cross(one: Drawn, other: Drawn): boolean {
  const [a, b] = [one.link, other.link];
  if (a.from === b.from || a.from === b.to || a.to === b.from || a.to === b.to) return false;
  return boxesMeet(one.line.box, other.line.box) && meetingPoint(one.line.points, other.line.points) !== null;
}

/** Moves the one topic whose move takes most crossings away. */
export function uncross(map: TopicMap, legend: Legend): Outcome {
  const best = new CrossingCounter(map, legend).bestMove();
  return best
    ? done({ do: 'set', in: 'topics', id: best.id, fields: { ...onMap(best.at) } })
    : refused('noBetterPlace');
}
