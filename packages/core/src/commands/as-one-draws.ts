import { boxesMeet, entersBox } from '../geometry/boxes.js';
import { drawLink, phraseBlock } from '../geometry/draw-link.js';
import { isBlank } from '../words/normal-form.js';
import { boxOf, polyline } from '../geometry/points.js';
import { applyChanges } from '../map/changes.js';
import type { Change } from '../map/changes.js';
import type { Legend, Link, Topic, TopicMap } from '../map/types.js';
import { pullApart } from '../tidy/links/pull-apart.js';
import { onMap } from './maker.js';
import type { Spot } from './maker.js';
import { pushedAside } from './aside.js';
import type { Standing } from './aside.js';
import { branchOf, hangsBy } from './hanging.js';
import { moveMarks } from './topics.js';
import { isOnTrunk, keptTurns, trunkCourse } from './trunk.js';

/**
 * What else changes so that something made, hung or grown by its words has room: neighbours move aside, elbows turn where they
 * turned, and lines and words of the neighbourhood that would run through something take a clear way, save where a hand has
 * led them. Nothing else moves.
 * @param changes what a command answered, which this comes behind in the same gesture
 * @param keepRoutes whether links stay on the routes they have
 */
export function roomFor(
  map: TopicMap,
  changes: readonly Change[],
  legend: Legend | undefined,
  keepRoutes = false,
): Change[] {
  const asked = applyChanges(map, changes);
  const worded = roomForWords(map, asked, legend);
  const made = applyChanges(asked, worded);
  const before = new Map(map.topics.map((topic) => [topic.id, topic]));
  const stand = standing(
    made,
    made.topics.filter((topic) => isElsewhere(before.get(topic.id), topic)),
    legend,
  );
  const met = (one: string, other: string): boolean => {
    const [a, b] = [before.get(one), before.get(other)];
    return a !== undefined && b !== undefined && boxesMeet(boxOf(a), boxOf(b));
  };
  const aside = (stand.size > 0 && pushedAside(made.topics, stand, met)) || NOBODY;
  const steps = [...aside].map(([id, spot]): Change => ({
    do: 'set',
    in: 'topics',
    id,
    fields: { ...onMap(spot) },
  }));
  const pushed = applyChanges(made, steps);
  const turns = keptTurns(made, pushed, new Set(aside.keys()), legend);
  const turned = applyChanges(pushed, turns);
  const unclear = unclearLinks(map, turned, new Set([...stand.keys(), ...aside.keys()]), legend);
  return [...worded, ...steps, ...turns, ...(unclear.length > 0 ? pullApart(turned, unclear, legend, keepRoutes) : [])];
}

/** Words that are longer than the part of a link that leads across from its trunk: what hangs there goes further to the right. */
function roomForWords(before: TopicMap, now: TopicMap, legend: Legend | undefined): Change[] {
  const said = new Map(before.links.map(({ id, phrase }) => [id, phrase]));
  const byId = new Map(now.topics.map((topic) => [topic.id, topic]));
  return now.links.flatMap((link): Change[] => {
    const [from, to] = [byId.get(link.from)!, byId.get(link.to)!];
    if (said.get(link.id) === link.phrase || isBlank(link.phrase) || !isOnTrunk(link, from, to, legend)) return [];
    const across = boxOf(to).left - from.x;
    const step = phraseBlock(link).width + BESIDE_WORDS - across;
    // What hangs to the left of its trunk is left to the hand.
    if (across < 0 || step <= 0) return [];
    const moves = moveMarks(now, branchOf(now, [to.id]), { x: step, y: 0 });
    const course = trunkCourse(from, { ...to, x: to.x + step }, link.route);
    return [...(moves.ok ? moves.changes : []), { do: 'set', in: 'links', id: link.id, fields: course }];
  });
}
/** What a trunk, an arrow and some air take beside the words of a link, canvas units. */
const BESIDE_WORDS = 34;

/** What hangs on a trunk takes the room of its line too, and what is in the way of that goes down, along the trunk. */
function standing(map: TopicMap, topics: readonly Topic[], legend: Legend | undefined): Map<string, Standing> {
  const hangs = hangsBy(map);
  const byId = new Map(map.topics.map((topic) => [topic.id, topic]));
  return new Map(
    topics.map((topic): [string, Standing] => {
      const link = hangs.get(topic.id);
      const from = byId.get(link?.from ?? '');
      if (!from || !isOnTrunk(link, from, topic, legend)) return [topic.id, {}];
      const box = boxOf(topic);
      return [topic.id, { room: { ...box, left: Math.min(box.left, from.x) }, way: 'down' }];
    }),
  );
}

const NOBODY: ReadonlyMap<string, Spot> = new Map();

const isElsewhere = (before: Topic | undefined, { x, y, width, height }: Topic): boolean =>
  !before || before.x !== x || before.y !== y || width > before.width || height > before.height;

/** Links that are new or led otherwise, or have to do with what moved, and run through a topic or have words on one. */
function unclearLinks(
  before: TopicMap,
  now: TopicMap,
  moved: ReadonlySet<string>,
  legend: Legend | undefined,
): string[] {
  const known = new Map(before.links.map((link) => [link.id, link]));
  const byId = new Map(now.topics.map((topic) => [topic.id, topic]));
  const isNew = (link: Link): boolean => {
    const was = known.get(link.id);
    return was?.from !== link.from || was.to !== link.to || was.phrase !== link.phrase;
  };
  return now.links.flatMap((link) => {
    const own = isNew(link) || moved.has(link.from) || moved.has(link.to);
    const against = own ? now.topics : now.topics.filter(({ id }) => moved.has(id));
    if (against.length === 0) return [];
    const { line, phrase } = drawLink(link, byId.get(link.from)!, byId.get(link.to)!, legend);
    const course = polyline(line);
    const isUnder = against.some(
      (topic) =>
        topic.id !== link.from &&
        topic.id !== link.to &&
        (entersBox(course, boxOf(topic)) || (phrase !== null && boxesMeet(phrase.box, boxOf(topic)))),
    );
    return isUnder ? [link.id] : [];
  });
}
