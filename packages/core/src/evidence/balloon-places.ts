import RBush from 'rbush';
import { drawLink } from '../geometry/draw-link.js';
import { boxOf, pointAlong } from '../geometry/points.js';
import type { Box, Point } from '../geometry/points.js';
import type { Legend, TopicMap } from '../map/types.js';

/** A row of numbered rings: where its middle is (canvas units), what it says, and how many marks it stands for. */
export interface BalloonPlace<F> {
  at: Point;
  flags: readonly F[];
  /** more than one: rings of one number that lay together */
  count: number;
  /** the topics and links it speaks of */
  marks: readonly string[];
}

/** A ring's radius and the step from one to the next, canvas units at scale 1. */
export const RING = { radius: 9, step: 19 } as const;
/** Rings of one number nearer than this (at scale 1) are one where they are drawn larger than the map. */
const TOGETHER = 46;

const boxAround = ({ x, y }: Point, rings: number, scale: number): Box => {
  const [across, down] = [(((rings - 1) * RING.step) / 2 + RING.radius + 1) * scale, (RING.radius + 1) * scale];
  return { left: x - across, right: x + across, top: y - down, bottom: y + down };
};

/**
 * Where the rings of flagged topics and links stand, so that they cover neither words nor each other where there is room:
 * each tries the corners and sides of its topic, or places along its link, in a fixed order, and takes the first that is
 * free, else the one least in the way. Where rings are drawn larger than the map, those of one and the same number that
 * lie together become one with a count.
 * @param flags by the id of a topic or link
 * @param keyOf what two rings must have in common to be of one number
 * @param scale how much larger than the map the rings are drawn, 1 or more
 */
export function balloonPlaces<F>(
  map: TopicMap,
  legend: Legend,
  flags: ReadonlyMap<string, readonly F[]>,
  keyOf: (flag: F) => string | number,
  scale = 1,
): BalloonPlace<F>[] {
  if (flags.size === 0) return [];
  const byId = new Map(map.topics.map((topic) => [topic.id, topic]));
  const words: Box[] = map.topics.map((topic) => boxOf(topic, -2));
  const lines = new Map(
    map.links.flatMap((link) => {
      const [from, to] = [byId.get(link.from), byId.get(link.to)];
      if (!from || !to) return [];
      const drawing = drawLink(link, from, to, legend);
      if (drawing.phrase) words.push(drawing.phrase.box);
      return [[link.id, drawing] as const];
    }),
  );
  const wanted: BalloonPlace<F>[] = [];
  for (const { id } of [...map.topics, ...map.links]) {
    const own = flags.get(id);
    if (own?.length) wanted.push({ at: homeOf(id), flags: own, count: 1, marks: [id] });
  }
  const [inTheWay, taken] = [new Covering(words), new Covering([])];
  return (scale > 1 ? merged(wanted, keyOf, scale) : wanted).map((place) => {
    const rings = place.flags.length;
    let [best, least] = [place.at, Infinity];
    for (const at of candidates(place, rings)) {
      const box = boxAround(at, rings, scale);
      const cost = inTheWay.over(box) + 3 * taken.over(box);
      if (cost < least) [best, least] = [at, cost];
      if (cost === 0) break;
    }
    taken.add(boxAround(best, rings, scale));
    return { ...place, at: best };
  });

  function homeOf(id: string): Point {
    const topic = byId.get(id);
    if (topic) return { x: topic.x - topic.width / 2, y: topic.y - topic.height / 2 };
    const drawing = lines.get(id);
    return (drawing && pointAlong(drawing.line, 0.5)) ?? { x: 0, y: 0 };
  }

  function candidates({ marks, at }: BalloonPlace<F>, rings: number): Point[] {
    const [id] = marks as [string];
    const topic = byId.get(id);
    if (topic) {
      const [w, h] = [topic.width / 2, topic.height / 2];
      const out = (RING.radius - 1) * scale;
      const along = (((rings - 1) * RING.step) / 2 + RING.radius) * scale;
      const { x, y } = topic;
      return [
        { x: x - w + along - 2 * out, y: y - h - out },
        { x: x + w - along + 2 * out, y: y - h - out },
        { x: x - w + along - 2 * out, y: y + h + out },
        { x: x + w - along + 2 * out, y: y + h + out },
        { x: x - w - along, y },
        { x: x + w + along, y },
        { x, y: y - h - out },
        { x, y: y + h + out },
      ];
    }
    const drawing = lines.get(id);
    if (!drawing) return [at];
    const beside = drawing.phrase?.box;
    const reach = (RING.radius + 3) * scale;
    return [
      ...(beside
        ? [
            { x: (beside.left + beside.right) / 2, y: beside.top - reach },
            { x: (beside.left + beside.right) / 2, y: beside.bottom + reach },
          ]
        : []),
      ...[0.5, 0.35, 0.65, 0.2, 0.8].flatMap((share) => pointAlong(drawing.line, share) ?? []),
    ];
  }
}

/** Boxes that tell how much of another they cover. */
class Covering {
  private readonly tree = new (class extends RBush<Box> {
    override toBBox = ({ left, top, right, bottom }: Box) => ({ minX: left, minY: top, maxX: right, maxY: bottom });
    override compareMinX = (a: Box, b: Box): number => a.left - b.left;
    override compareMinY = (a: Box, b: Box): number => a.top - b.top;
  })();

  constructor(boxes: readonly Box[]) {
    this.tree.load(boxes);
  }

  add(box: Box): void {
    this.tree.insert(box);
  }

  /** square units */
  over(box: Box): number {
    return this.tree.search(this.tree.toBBox(box)).reduce((sum, other) => {
      const across = Math.min(box.right, other.right) - Math.max(box.left, other.left);
      const down = Math.min(box.bottom, other.bottom) - Math.max(box.top, other.top);
      return sum + Math.max(0, across) * Math.max(0, down);
    }, 0);
  }
}

/** Rings of exactly the same numbers that lie near each other, as one with their count; the first keeps its place. */
function merged<F>(
  places: readonly BalloonPlace<F>[],
  keyOf: (flag: F) => string | number,
  scale: number,
): BalloonPlace<F>[] {
  const kept: BalloonPlace<F>[] = [];
  const byKey = new Map<string, number[]>();
  const near = TOGETHER * scale;
  for (const place of places) {
    const key = place.flags.map(keyOf).join(' ');
    const alike = byKey.get(key) ?? [];
    byKey.set(key, alike);
    const at = alike.find((i) => Math.hypot(kept[i]!.at.x - place.at.x, kept[i]!.at.y - place.at.y) < near);
    if (at === undefined) alike.push(kept.push(place) - 1);
    else {
      const one = kept[at]!;
      kept[at] = { ...one, count: one.count + 1, marks: [...one.marks, ...place.marks] };
    }
  }
  return kept;
}
