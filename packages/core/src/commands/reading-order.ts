import { generateNKeysBetween } from 'fractional-indexing';
import { applyChanges, done, refused } from '../map/changes.js';
import type { Change, Maker, Outcome } from '../map/changes.js';
import { sortMap } from '../map/order.js';
import type { Legend, Link, TopicMap } from '../map/types.js';
import { mapOutline } from '../outline/map-outline.js';
import { cutLoose, hangFrom } from './branches.js';
import { hangsBy } from './hanging.js';
import { setPhrase } from './links.js';
import { addTopic, growTopic } from './topics.js';
import { deleteMarks } from './whole-map.js';
import type { NewTopic } from './topics.js';

/**
 * The order in which a map is read is that of its links: what hangs from a topic is read in the order of the links that lead
 * there. These commands change it by the links' keys, and see to it that each topic goes on hanging by the link it hung by.
 */

type Keyed = Link & { order: string };

/** Links in their order, each with a key; files that have none are given some. */
function keyed(links: readonly Link[]): { links: readonly Keyed[]; changes: Change[] } {
  const rise = links.every(({ order }, i) => order !== undefined && (i === 0 || links[i - 1]!.order! < order));
  if (rise) return { links: links as readonly Keyed[], changes: [] };
  const keys = generateNKeysBetween(null, null, links.length);
  return {
    links: links.map((link, i) => ({ ...link, order: keys[i]! })),
    changes: links.map(({ id }, i) => orderOf(id, keys[i]!)),
  };
}

const orderOf = (id: string, order: string): Change => ({ do: 'set', in: 'links', id, fields: { order } });

/** Sets a link right after another, or before all; links that lead to the same topic and would come first are set behind it. */
function setAfter(map: TopicMap, id: string, after: string | null): Change[] {
  const link = map.links.find((one) => one.id === id)!;
  const { links, changes } = keyed(map.links.filter((one) => one !== link));
  const at = after === null ? 0 : links.findIndex((one) => one.id === after) + 1;
  const overtaken = links.slice(0, at).filter(({ to }) => to === link.to);
  const keys = generateNKeysBetween(links[at - 1]?.order ?? null, links[at]?.order ?? null, 1 + overtaken.length);
  return [...changes, ...[link, ...overtaken].map((one, i) => orderOf(one.id, keys[i]!))];
}

/** The links by which others hang from a topic, in the order they are read. */
const hanging = (map: TopicMap, from: string): Link[] => {
  const hangs = hangsBy(map);
  return map.links.filter((link) => link.from === from && hangs.get(link.to) === link);
};

/** Reads a branch one place earlier or later among those beside it. */
export function moveInOrder(map: TopicMap, id: string, by: 1 | -1): Outcome {
  const link = hangsBy(map).get(id);
  if (!link) return refused('readBySize');
  const beside = hanging(map, link.from);
  const at = beside.indexOf(link);
  const other = beside[at + by];
  if (!other) return refused(by < 0 ? 'readFirst' : 'readLast');
  return done(...setAfter(map, link.id, by > 0 ? other.id : linkBefore(map, other.id, link.id)));
}

/** The link that comes before another in the whole map, leaving one out. */
const linkBefore = (map: TopicMap, id: string, but: string): string | null => {
  const others = map.links.filter((one) => one.id !== but);
  return others[others.findIndex((one) => one.id === id) - 1]?.id ?? null;
};

/** Where something is read among what hangs from a topic: before all, after all, or after the one a link leads to. */
export type Place = 'first' | 'last' | { after: string };

/** Hangs a topic with its branch from another, and reads it in a place there. */
export function hangInOrder(
  map: TopicMap,
  { id, from, place, linkKind }: { id: string; from: string; place: Place; linkKind: string | null },
  maker: Maker,
  legend: Legend,
): Outcome {
  const hung = hangFrom(map, { ids: [id], from, linkKind }, maker, legend);
  if (!hung.ok) return hung;
  const now = applyChanges(map, hung.changes);
  const link = hangsBy(map).get(id)?.id ?? now.links.at(-1)!.id;
  const there = hanging(now, from).filter((one) => one.id !== link);
  const [first, last] = [there[0], there.at(-1)];
  if (!first || !last) return hung;
  const after = place === 'last' ? last.id : place === 'first' ? linkBefore(now, first.id, link) : place.after;
  return done(...hung.changes, ...setAfter(now, link, after));
}

/** Sets a topic in: it hangs from what is read before it at its depth, as the last there. */
export function indent(map: TopicMap, id: string, linkKind: string | null, maker: Maker, legend: Legend): Outcome {
  const link = hangsBy(map).get(id);
  const beside = link ? hanging(map, link.from).map(({ to }) => to) : topsOf(map);
  const over = beside[beside.indexOf(id) - 1];
  if (over === undefined) return refused('nothingBefore');
  return hangInOrder(map, { id, from: over, place: 'last', linkKind }, maker, legend);
}

/** Sets a topic out: it is read after what it hung from, hanging from what that hangs from, or from nothing. */
export function outdent(map: TopicMap, id: string, maker: Maker, legend: Legend): Outcome {
  const hangs = hangsBy(map);
  const link = hangs.get(id);
  if (!link) return refused('hangsFromNothing');
  const over = hangs.get(link.from);
  if (!over) return cutLoose(map, [id]);
  return hangInOrder(map, { id, from: over.from, place: { after: over.id }, linkKind: link.kind }, maker, legend);
}

/** Deletes topics as lines of an outline are deleted: what hung from one hangs one higher, in its place, with its words. */
export function deleteRows(map: TopicMap, ids: readonly string[], maker: Maker, legend: Legend): Outcome {
  let now = map;
  const changes: Change[] = [];
  const take = (outcome: Outcome): Outcome => {
    if (!outcome.ok) return outcome;
    changes.push(...outcome.changes);
    now = sortMap(applyChanges(now, outcome.changes));
    return outcome;
  };
  for (const id of ids) {
    // The last first: each is read right after what it hung from.
    for (const { to } of hangsBy(now).has(id) ? hanging(now, id).toReversed() : []) {
      const out = take(outdent(now, to, maker, legend));
      // What is linked to the one above already is only cut loose.
      if (!out.ok && out.code !== 'linkedAlready') return out;
    }
  }
  const gone = deleteMarks(now, ids);
  return gone.ok ? done(...changes, ...gone.changes) : gone;
}

const topsOf = (map: TopicMap): string[] =>
  mapOutline(map)
    .filter(({ depth }) => depth === 0)
    .map(({ id }) => id);

/** Makes a topic that is read after another, beside it or as the first that hangs from it. */
export function addInOrder(
  map: TopicMap,
  wanted: Omit<NewTopic, 'at'> & {
    after: string | null;
    as: 'beside' | 'below';
    phrase: string;
    linkKind: string | null;
  },
  at: { x: number; y: number },
  maker: Maker,
  legend: Legend,
): Outcome {
  const { after, as, phrase, linkKind, ...topic } = wanted;
  const link = after === null ? undefined : hangsBy(map).get(after);
  const from = after !== null && as === 'below' ? after : link?.from;
  if (from === undefined) return addTopic(map, { ...topic, at }, maker, legend);
  const grown = growTopic(map, { ...topic, from, linkKind }, maker, legend);
  if (!grown.ok) return grown;
  const now = applyChanges(map, grown.changes);
  const made = now.links.at(-1)!.id;
  const worded = setPhrase(now, made, phrase);
  if (!worded.ok) return worded;
  const fellows = hanging(now, from).filter((one) => one.id !== made);
  const place = as === 'beside' ? link!.id : fellows.length > 0 ? linkBefore(now, fellows[0]!.id, made) : made;
  return done(...grown.changes, ...worded.changes, ...(place === made ? [] : setAfter(now, made, place)));
}
