import { drawLink } from '../geometry/draw-link.js';
import { boxOf, lengthOf, unionOf } from '../geometry/points.js';
import { bendThrough, centreLine } from '../geometry/path.js';
import type { Change } from '../map/changes.js';
import { linkStyle } from '../map/style.js';
import type { Legend, Link, Topic, TopicMap } from '../map/types.js';
import { branchOf, hangsBy } from './hanging.js';
import type { Spot } from './maker.js';

/** How exactly a line has to lead down before it leads across, canvas units. */
const NEAR = 3;
/** Parts of one in which a turn is said, so that it stands where it stood. */
const FINE = 10_000;
/** What lies between two that hang on one trunk, and how far they are set in, where nothing else says so; canvas units. */
const GAP = { usual: 25, least: 12, most: 60 };
/** Beginnings that lie no further apart are of one column, canvas units. */
const COLUMN = 80;
const INDENT = { least: 16, most: 80 };

/** The bend with which an elbow leads straight down (or up) from a topic and then across to another, as along a trunk. */
export const trunkBend = (from: Spot, to: Spot): number =>
  Math.abs(to.x - from.x) >= Math.abs(to.y - from.y) ? -0.5 : 0.5;

/** The course of a link along a trunk, its words on the part that leads across. */
export function trunkCourse(from: Topic, to: Topic, route: Link['route']): Pick<Link, 'route' | 'bend' | 'phraseAt'> {
  const [down, across] = [Math.abs(to.y - from.y) - from.height / 2, Math.abs(to.x - from.x) - to.width / 2];
  const share = down > 0 && across > 0 ? (down + across / 2) / (down + across) : 0.5;
  return { ...(route && { route }), bend: trunkBend(from, to), phraseAt: Math.round(share * FINE) / FINE };
}

/** Whether a link leads along a trunk: down from the middle of its topic, then across. */
export function isOnTrunk(link: Link | undefined, from: Topic, to: Topic, legend: Legend | undefined): boolean {
  if (!link) return false;
  const { route, bend } = linkStyle(link, legend);
  if (route !== 'elbow') return false;
  const [, turn, second] = centreLine(from, to, route, bend);
  return Math.abs(turn!.x - from.x) < NEAR && Math.abs(second!.y - to.y) < NEAR && to.y > from.y;
}

export interface PlaceOnTrunk {
  /** the upper left corner */
  left: number;
  top: number;
  /** how far the trunk's links are bent is up to `trunkBend`; they have their route themselves */
  route: Link['route'];
}

/**
 * Where the next one stands that hangs on a topic's trunk: below the last of those that do, or, where nothing hangs from it and
 * it hangs on a trunk itself, set in below it. Null where nothing there hangs on a trunk.
 */
export function nextOnTrunk(map: TopicMap, parent: Topic, legend: Legend | undefined): PlaceOnTrunk | null {
  const hangs = hangsBy(map);
  const children = map.topics.filter(({ id }) => hangs.get(id)?.from === parent.id);
  const onTrunk = children
    .filter((child) => isOnTrunk(hangs.get(child.id), parent, child, legend))
    .map((child) => ({ child, box: boxOf(child) }));
  const furthest = Math.max(...onTrunk.map(({ box }) => box.left));
  // A long stack stands in several columns, the last of which goes on.
  const [last, before] = onTrunk
    .filter(({ box }) => furthest - box.left < COLUMN)
    .sort((a, b) => b.box.top - a.box.top);
  if (last) {
    const gap = before ? last.box.top - bottomOf(map, before.child) : GAP.usual;
    const { route } = hangs.get(last.child.id)!;
    return { left: last.box.left, top: bottomOf(map, last.child) + between(gap, GAP), route };
  }
  const own = hangs.get(parent.id);
  const above = map.topics.find(({ id }) => id === own?.from);
  if (children.length > 0 || !above || !isOnTrunk(own, above, parent, legend)) return null;
  return { ...setInBelow(parent, above), route: own!.route };
}

/** The upper left corner of what is set in below a topic on a trunk, as far as that is set in itself. */
export function setInBelow(topic: Topic, above: Spot): { left: number; top: number } {
  const { left, bottom } = boxOf(topic);
  return { left: topic.x + between(left - above.x, INDENT), top: bottom + GAP.usual };
}

const between = (value: number, { least, most }: { least: number; most: number }): number =>
  Math.min(most, Math.max(least, value));
/** The lower end of a topic and of what hangs below it. */
function bottomOf(map: TopicMap, { id }: Topic): number {
  const branch = new Set(branchOf(map, [id]));
  return unionOf(map.topics.filter((one) => branch.has(one.id)).map((one) => boxOf(one)))!.bottom;
}

/** What keeps elbows turning where they turned when topics have moved: on their trunks, or as far from the first of their ends. */
export function keptTurns(
  before: TopicMap,
  after: TopicMap,
  moved: ReadonlySet<string>,
  legend: Legend | undefined,
): Change[] {
  const [then, now] = [before, after].map(({ topics }) => new Map(topics.map((topic) => [topic.id, topic])));
  return after.links.flatMap((link): Change[] => {
    if (!moved.has(link.from) && !moved.has(link.to)) return [];
    const { route, bend } = linkStyle(link, legend);
    const [from, to, newFrom, newTo] = [
      then!.get(link.from),
      then!.get(link.to),
      now!.get(link.from)!,
      now!.get(link.to)!,
    ];
    if (route !== 'elbow' || !from || !to) return [];
    const [, turn] = centreLine(from, to, route, bend);
    const by = { x: turn!.x + newFrom.x - from.x, y: turn!.y + newFrom.y - from.y };
    const kept = isOnTrunk(link, from, to, legend)
      ? trunkBend(newFrom, newTo)
      : Math.min(1, Math.max(-1, bendThrough(route, newFrom, newTo, by, FINE)));
    if (isOnTrunk(link, from, to, legend) && link.phraseAt !== undefined) {
      // Words stay as far from the lower end as they were, however long the trunk is now.
      const [long, longer] = [
        lengthOf(drawLink(link, from, to, legend).line),
        lengthOf(drawLink({ ...link, bend: kept }, newFrom, newTo, legend).line),
      ];
      const phraseAt = Math.max(0, 1 - ((1 - link.phraseAt) * long) / (longer || 1));
      return [{ do: 'set', in: 'links', id: link.id, fields: { bend: kept, phraseAt } }];
    }
    return kept === bend ? [] : [{ do: 'set', in: 'links', id: link.id, fields: { bend: kept } }];
  });
}
