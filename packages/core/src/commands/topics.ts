import { fitTopic } from '../geometry/fit.js';
import { boxOf } from '../geometry/points.js';
import { done, refused } from '../map/changes.js';
import type { Change, Maker, Outcome } from '../map/changes.js';
import { LIMITS } from '../map/types.js';
import type { Legend, Link, Topic, TopicMap } from '../map/types.js';
import { beginningOf } from '../words/beginning.js';
import { isBlank } from '../words/normal-form.js';
import { setNote } from './enrich.js';
import { newLink } from './links.js';
import { LONGEST } from '../map/types.js';
import { onMap, refitted, topicOf } from './maker.js';
import type { Spot } from './maker.js';
import { clearSpot, freeSpot } from './free-spot.js';
import { branchOf } from './hanging.js';
import { isOnTrunk, nextOnTrunk, setInBelow, trunkCourse } from './trunk.js';

const TOO_LONG = refused('topicTooLong', { most: LIMITS.text });
const FULL = refused('topicsFull', { most: LIMITS.topics });

export interface NewTopic {
  text: string;
  kind: string | null;
  at: Spot;
  origin?: string;
  /** whether it waited in the student's own bank */
  parked?: true;
  pictures?: Topic['pictures'];
  /** where it takes the colour of its branch */
  fill?: string | undefined;
  note?: string;
}

function newTopic(
  { text, kind, at, origin, parked, pictures, fill, note }: NewTopic,
  maker: Maker,
  legend: Legend,
): Topic {
  const topic: Topic = {
    id: maker.newId(),
    text,
    kind,
    ...onMap(at),
    width: 0,
    height: 0,
    by: maker.by,
    ...(origin !== undefined && { origin }),
    ...(parked && { parked }),
    ...(pictures && { pictures }),
    ...(fill !== undefined && { fill }),
    ...(note !== undefined && { note }),
  };
  return { ...topic, ...fitTopic(topic, legend) };
}

/** The words of a new topic out of a text of any length, and the note that takes all of it where it is too long. */
export const wordsAndNote = (text: string): { text: string; note?: string } =>
  text.length <= LIMITS.text ? { text } : { text: beginningOf(text), note: text.slice(0, LIMITS.note).toWellFormed() };

/** Makes a topic at a spot, or as near to it as none is laid on another. */
export function addTopic(map: TopicMap, wanted: NewTopic, maker: Maker, legend: Legend): Outcome {
  if (wanted.text.length > LIMITS.text) return TOO_LONG;
  if (map.topics.length >= LIMITS.topics) return FULL;
  const topic = newTopic(wanted, maker, legend);
  return done({ do: 'add', to: 'topics', item: { ...topic, ...onMap(clearSpot(map, wanted.at, topic)) } });
}

/**
 * Makes a topic that hangs from another and links it from there: on its trunk where others hang on one, else in the nearest free
 * place below it, or beside.
 */
export function growTopic(
  map: TopicMap,
  wanted: Omit<NewTopic, 'at'> & { from: string; linkKind: string | null; at?: Spot },
  maker: Maker,
  legend: Legend,
): Outcome {
  const parent = topicOf(map, wanted.from);
  if (!parent) return refused('parentGone');
  if (wanted.text.length > LIMITS.text) return TOO_LONG;
  if (map.topics.length >= LIMITS.topics) return FULL;
  const draft = newTopic({ ...wanted, at: wanted.at ?? parent }, maker, legend);
  const { spot, course } = wanted.at
    ? { spot: clearSpot(map, wanted.at, draft), course: {} }
    : placeUnder(map, parent, draft, legend);
  const topic = { ...draft, ...onMap(spot) };
  return done(
    { do: 'add', to: 'topics', item: topic },
    {
      do: 'add',
      to: 'links',
      item: { ...newLink({ from: parent.id, to: topic.id, phrase: '', kind: wanted.linkKind }, maker), ...course },
    },
  );
}

/** Where something of a size comes to stand that hangs from a topic, and the course of its link. */
export function placeUnder(
  map: TopicMap,
  parent: Topic,
  size: { width: number; height: number },
  legend: Legend,
): { spot: Spot; course: Pick<Link, 'route' | 'bend' | 'phraseAt'> } {
  const next = nextOnTrunk(map, parent, legend);
  if (!next) {
    const below = { x: parent.x, y: parent.y + parent.height / 2 + 70 + size.height / 2 };
    return { spot: freeSpot(map, below, size), course: {} };
  }
  const spot = { x: next.left + size.width / 2, y: next.top + size.height / 2 };
  return { spot, course: trunkCourse(parent, { ...parent, ...size, ...spot }, next.route) };
}

/**
 * Makes a topic in the middle of a link: the link leads to it with its words, and a new one leads on. Between two on a trunk
 * it stands in the place of the lower one, which hangs from it on a trunk of its own.
 */
export function splitLink(
  map: TopicMap,
  id: string,
  wanted: Omit<NewTopic, 'at'>,
  maker: Maker,
  legend: Legend,
): Outcome {
  const link = map.links.find((one) => one.id === id);
  if (!link) return refused('linkGone');
  if (wanted.text.length > LIMITS.text) return TOO_LONG;
  if (map.topics.length >= LIMITS.topics) return FULL;
  if (map.links.length >= LIMITS.links) return refused('linksFull', { most: LIMITS.links });
  const [from, to] = [topicOf(map, link.from)!, topicOf(map, link.to)!];
  if (isOnTrunk(link, from, to, legend)) return splitOnTrunk(map, link, [from, to], wanted, maker, legend);
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const draft = newTopic({ ...wanted, at: middle }, maker, legend);
  const topic = { ...draft, ...onMap(freeSpot(map, middle, draft)) };
  return done({ do: 'add', to: 'topics', item: topic }, ...leadOver(link, topic.id, maker));
}

/** The new one stands where the lower one stood, which is set in below it with all that hangs from it. */
function splitOnTrunk(
  map: TopicMap,
  link: Link,
  [from, to]: [Topic, Topic],
  wanted: Omit<NewTopic, 'at'>,
  maker: Maker,
  legend: Legend,
): Outcome {
  const draft = newTopic({ ...wanted, at: to }, maker, legend);
  const { left, top } = boxOf(to);
  const topic = { ...draft, ...onMap({ x: left + draft.width / 2, y: top + draft.height / 2 }) };
  const corner = setInBelow(topic, from);
  const step = { x: corner.left - left, y: corner.top - top };
  const lower = { ...to, x: to.x + step.x, y: to.y + step.y };
  const moves = moveMarks(map, branchOf(map, [to.id]), step);
  const [led, on] = leadOver(link, topic.id, maker);
  return done(
    { do: 'add', to: 'topics', item: topic },
    ...(moves.ok ? moves.changes : []),
    led,
    { do: 'set', in: 'links', id: link.id, fields: trunkCourse(from, topic, link.route) },
    on,
    { do: 'set', in: 'links', id: on.item.id, fields: trunkCourse(topic, lower, link.route) },
  );
}

/** Puts a topic that is there in the middle of a link: the link leads to it with its words, and a new one leads on. */
export function putBetween(map: TopicMap, { id, link: linkId }: { id: string; link: string }, maker: Maker): Outcome {
  const [topic, link] = [topicOf(map, id), map.links.find((one) => one.id === linkId)];
  if (!topic) return refused('topicGone');
  if (!link) return refused('linkGone');
  const [from, to] = [topicOf(map, link.from)!, topicOf(map, link.to)!];
  if (from === topic || to === topic) return refused('toItself', { text: topic.text });
  for (const [one, other] of [
    [from, topic],
    [topic, to],
  ] as const)
    if (map.links.some((each) => each.from === one.id && each.to === other.id))
      return refused('linkedAlready', { from: one.text, to: other.text });
  if (map.links.length >= LIMITS.links) return refused('linksFull', { most: LIMITS.links });
  return done(...leadOver(link, id, maker));
}

/** A link led over a topic: what it said leads there, and a new one without words leads on. */
const leadOver = (link: Link, over: string, maker: Maker) =>
  [
    { do: 'set', in: 'links', id: link.id, fields: { to: over, bend: undefined, phraseAt: undefined } },
    { do: 'add', to: 'links', item: newLink({ from: over, to: link.to, phrase: '', kind: link.kind }, maker) },
  ] as const satisfies Change[];

/** Changes a topic's words; its size follows in the same change. */
export function setText(map: TopicMap, id: string, text: string, legend: Legend): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  const words = text.trimEnd();
  if (isBlank(words)) return refused('noWords');
  if (words.length > LIMITS.text) return TOO_LONG;
  if (words === topic.text) return done();
  return done({ do: 'set', in: 'topics', id, fields: refitted(topic, { text: words }, legend) });
}

/**
 * Changes a topic's words to a text of any length: of what is too long for a topic its beginning stands there, and all of it
 * goes into the note, behind what that says already.
 */
export function setTextOrNote(map: TopicMap, id: string, text: string, legend: Legend): Outcome {
  if (text.trimEnd().length <= LIMITS.text) return setText(map, id, text, legend);
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  const noted = setNote(map, id, noteWith(topic.note, text));
  if (!noted.ok) return noted;
  const said = setText(map, id, beginningOf(text), legend);
  return said.ok ? done(...said.changes, ...noted.changes) : said;
}
const noteWith = (note: string | undefined, text: string): string => (note ? `${note}\n\n` : '') + text.trim();

/** Moves topics and loose pictures by a step. */
export function moveMarks(map: TopicMap, ids: readonly string[], step: Spot): Outcome {
  const chosen = new Set(ids);
  return done(
    ...(['topics', 'pictures'] as const).flatMap((list) =>
      map[list]
        .filter(({ id }) => chosen.has(id))
        .map(({ id, x, y }): Change => ({
          do: 'set',
          in: list,
          id,
          fields: { ...onMap({ x: x + step.x, y: y + step.y }) },
        })),
    ),
  );
}

/** Sets the least size of a topic by hand and keeps its upper left corner where it is. Its text's need still wins. */
export function resizeTopic(
  map: TopicMap,
  id: string,
  wanted: { width: number; height: number },
  legend: Legend,
): Outcome {
  const topic = topicOf(map, id);
  if (!topic) return refused('topicGone');
  const size = (length: number): number => Math.round(Math.min(LONGEST, Math.max(1, length)));
  const by = { minWidth: size(wanted.width), minHeight: size(wanted.height) };
  const fields = refitted(topic, by, legend);
  return done({
    do: 'set',
    in: 'topics',
    id,
    fields: {
      ...fields,
      ...onMap({
        x: topic.x + (fields.width! - topic.width) / 2,
        y: topic.y + (fields.height! - topic.height) / 2,
      }),
    },
  });
}
