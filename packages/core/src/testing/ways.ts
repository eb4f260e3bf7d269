import { stepClear } from '../commands/arrange.js';
import { addLink, bendLink, reattach, setPhrase, turnLinks } from '../commands/links.js';
import { setLooks, setTopicKind } from '../commands/looks.js';
import { addTopic, growTopic, moveMarks } from '../commands/topics.js';
import type { NewTopic } from '../commands/topics.js';
import { setNote, setSource } from '../commands/enrich.js';
import { removeMarks } from '../commands/whole-map.js';
import { grouped } from '../grouped.js';
import { applyChanges } from '../map/changes.js';
import type { Change, Maker, Outcome } from '../map/changes.js';
import type { Assignment, Link, Topic, TopicMap } from '../map/types.js';
import { boxesMeet } from '../geometry/boxes.js';
import { boxOf } from '../geometry/points.js';
import { MapIndex } from '../map-index/map-index.js';
import type { Data } from '../requirements/types.js';

/** How somebody does exactly what a message says, by the commands that they would do it with: for tests of advice. */

/** What a message is said of. */
export interface Told {
  map: TopicMap;
  assignment: Assignment;
  /** the parameters of its requirement */
  params: Record<string, unknown>;
  topics: readonly string[];
  links: readonly string[];
  data: Data;
}

/** Ways to do it, the first one that comes to mind first: a person looks which one serves. */
export type Obey = (told: Told) => Iterable<readonly Change[]>;

export const maker = (map: TopicMap): Maker => {
  let count = map.topics.length + map.links.length;
  return { newId: () => `made-${++count}`, by: 'me' };
};
export const changesOf = (outcome: Outcome): readonly Change[] => (outcome.ok ? outcome.changes : []);
export const set = (list: 'topics' | 'links', id: string, fields: Record<string, unknown>): Change => ({
  do: 'set',
  in: list,
  id,
  fields,
});
export const one =
  (act: (told: Told) => readonly Change[]): Obey =>
  (told) => [act(told)];
/** Several acts, each on the map as the last one left it. */
export function inTurn<T>(
  map: TopicMap,
  items: Iterable<T>,
  act: (map: TopicMap, item: T) => readonly Change[],
): Change[] {
  const changes: Change[] = [];
  let now = map;
  for (const item of items) {
    const next = act(now, item);
    changes.push(...next);
    now = applyChanges(now, next);
  }
  return changes;
}
export const everyTopic = (act: (told: Told, id: string) => Outcome): Obey =>
  one((told) => inTurn(told.map, told.topics, (map, id) => changesOf(act({ ...told, map }, id))));
export const everyLink = (act: (told: Told, id: string) => Outcome): Obey =>
  one((told) => inTurn(told.map, told.links, (map, id) => changesOf(act({ ...told, map }, id))));

export const topicOf = (map: TopicMap, id: string): Topic => map.topics.find((topic) => topic.id === id)!;
export const linkOf = (map: TopicMap, id: string): Link => map.links.find((link) => link.id === id)!;
export const atTopic = (map: TopicMap, id: string): Link[] =>
  map.links.filter(({ from, to }) => from === id || to === id);
export const remove = (map: TopicMap, ...ids: readonly string[]): readonly Change[] => changesOf(removeMarks(map, ids));
export const eachOf = (list: (told: Told) => readonly string[]): Obey =>
  function* (told) {
    for (const id of list(told)) yield remove(told.map, id);
  };
export const turnOne: Obey = function* ({ map, links }) {
  for (const id of links) yield changesOf(turnLinks(map, [id]));
};
export const removeLink = eachOf(({ links }) => links);

/** Words that say something, another for every link. */
const VERBS = ['rests on', 'pushes on', 'carries', 'holds up', 'weighs on', 'leads to', 'protects', 'crosses'];
const saying = (map: TopicMap): string => VERBS.find((verb) => !map.links.some(({ phrase }) => phrase === verb))!;
export const say = everyLink(({ map }, id) => setPhrase(map, id, saying(map)));

/** Links of a topic that goes are moved to another; what would join that to itself goes. */
const moved = (map: TopicMap, from: string, to: string): Change[] =>
  atTopic(map, from).flatMap((link): Change[] => {
    const ends = { from: link.from === from ? to : link.from, to: link.to === from ? to : link.to };
    return ends.from === ends.to ? [{ do: 'remove', from: 'links', id: link.id }] : [set('links', link.id, ends)];
  });
export const merged = (map: TopicMap, kept: string, others: readonly string[]): Change[] =>
  inTurn(map, others, (now, id) => [...moved(now, id, kept), { do: 'remove', from: 'topics', id }]);

export const rootOf = ({ map, assignment }: Told): string => new MapIndex(map, assignment).root!.id;
export const kindNamed = ({ assignment, data }: Told): string | null =>
  assignment.legend.topicKinds.find((kind) => JSON.stringify(data.should ?? null).includes(`"${kind.name}"`))?.id ??
  null;
export const recast = (kind: (told: Told) => string | null): Obey =>
  one((told) => changesOf(setTopicKind(told.map, [...told.topics], kind(told), told.assignment)));

const kindsOf = ({ params, assignment }: Told): (string | null)[] =>
  (params.kinds as string[] | undefined) ??
  (typeof params.kind === 'string' ? [params.kind] : assignment.legend.topicKinds.map(({ id }) => id));
/** Links that are made say something. */
const worded = (map: TopicMap, outcome: Outcome): readonly Change[] =>
  changesOf(outcome).map((change) =>
    change.do === 'add' && change.to === 'links'
      ? { ...change, item: { ...change.item, phrase: saying(map) } }
      : change,
  );
/** A topic is put on the map: hung from any of those there, or alone below them. */
export function* place(
  { map, assignment: { legend } }: Told,
  wanted: Pick<NewTopic, 'text' | 'kind' | 'origin'>,
  from: readonly string[] = map.topics.map(({ id }) => id),
): Generator<readonly Change[]> {
  for (const id of from) yield worded(map, growTopic(map, { ...wanted, from: id, linkKind: null }, maker(map), legend));
  const below = Math.max(0, ...map.topics.map(({ y, height }) => y + height));
  yield changesOf(addTopic(map, { ...wanted, at: { x: 0, y: below + 40 } }, maker(map), legend));
}
export const madeBy = (changes: readonly Change[]): Topic =>
  changes.flatMap((change) => (change.do === 'add' && change.to === 'topics' ? [change.item] : []))[0]!;
/** Ideas of one's own. */
const IDEAS = ['Abutment', 'Cable', 'Deck', 'Ford', 'Girder', 'Hinge', 'Lantern', 'Mortar', 'Parapet', 'Quay', 'Strut'];
/** So many topics more of the kinds asked, each hung from the same one, or alone. */
export const grow: Obey = function* (told) {
  const [kind = null] = kindsOf(told).toSorted((a, b) => Number(b === 'own') - Number(a === 'own'));
  const from = told.topics.length > 0 ? told.topics : told.map.topics.map(({ id }) => id);
  for (let way = 0; way <= from.length; way++)
    yield inTurn(told.map, Array.from({ length: Math.ceil(Number(told.data.missing ?? 1)) }), (map) => {
      const terms = told.assignment.terms.filter((term) => term.kind === kind).map(({ text }) => text);
      const text = [...terms, ...IDEAS].find((idea) => !map.topics.some((topic) => topic.text.startsWith(idea)))!;
      return [...place({ ...told, map }, { text, kind }, from)][way]!;
    });
};
/** The same, each pointing at it. */
export const pointedAt: Obey = function* (told) {
  for (const way of grow(told))
    yield way.map((change) =>
      change.do === 'add' && change.to === 'links'
        ? { ...change, item: { ...change.item, from: change.item.to, to: change.item.from } }
        : change,
    );
};
export const tie = (map: TopicMap, from: string, to: string, kind: string | null = null): readonly Change[] =>
  changesOf(addLink(map, { from, to, phrase: saying(map), kind }, maker(map)));
/** A link more, between any of those named and any others, either way. */
export const tieIn: Obey = function* ({ map, topics, assignment }) {
  const ends = topics.length > 0 ? topics : map.topics.map(({ id }) => id);
  const { neighbours } = new MapIndex(map, assignment);
  for (const id of ends)
    for (const other of map.topics)
      if (other.id !== id && !neighbours.get(id)?.has(other.id)) {
        yield tie(map, id, other.id);
        yield tie(map, other.id, id);
      }
};
export const tieMany: Obey = function* (told) {
  const missing = Math.ceil(Number(told.data.missing ?? 1));
  let round: (readonly Change[])[] = [...tieIn(told)];
  for (let i = 1; i < missing; i++)
    round = round
      .slice(0, 12)
      .flatMap((changes) =>
        [...tieIn({ ...told, map: applyChanges(told.map, changes) })].slice(0, 12).map((more) => [...changes, ...more]),
      );
  yield* round;
};
/** One of those named goes elsewhere: hung from any other topic instead of what it hangs from. */
export const hangElsewhere: Obey = function* ({ map, topics, assignment }) {
  for (const id of topics)
    for (const link of atTopic(map, id))
      for (const other of map.topics) {
        if (other.id === link.from || other.id === link.to) continue;
        yield changesOf(reattach(map, link.id, link.from === id ? 'to' : 'from', other.id));
      }
  for (const id of topics)
    for (const { from, to, id: link } of atTopic(map, id)) {
      const far = from === id ? to : from;
      if (atTopic(map, far).length > 1) yield remove(map, link);
    }
  yield* tieIn({ map, topics, assignment, links: [], data: {}, params: {} });
};
/** A topic more in one branch, tied to another branch. */
export const tieBranches: Obey = function* (told) {
  const { mainBranches } = new MapIndex(told.map, told.assignment);
  for (const one of mainBranches)
    for (const other of mainBranches) {
      if (one === other) continue;
      const [grown] = grow({ ...told, topics: [one.id], data: {} });
      yield [...grown!, ...tie(applyChanges(told.map, grown!), madeBy(grown!).id, other.id)];
    }
};
/** So many of its ties are let go, or hung from another. */
export const letGo: Obey = function* (told) {
  const { map, topics, data } = told;
  const [one] = topics;
  const tiesOf = grouped(atTopic(map, one!), ({ from, to }) => (from === one ? to : from));
  const far = [...tiesOf.keys()];
  for (let first = 0; first < far.length; first++) {
    const gone = [...far, ...far].slice(first, first + Number(data.over)).flatMap((id) => tiesOf.get(id)!);
    yield remove(map, ...gone.map(({ id }) => id));
    for (const other of map.topics)
      yield inTurn(map, gone, (now, { id, from }) =>
        changesOf(reattach(now, id, from === one ? 'from' : 'to', other.id)),
      );
  }
};
/** Some of what hangs from a topic is gathered under a heading of its own. */
export const gather: Obey = function* (told) {
  const { map, topics, assignment } = told;
  const index = new MapIndex(map, assignment);
  const parents = topics.some((id) => index.levels.get(id) === 1) && told.params.maxChildren === undefined;
  const heavy = parents ? index.root!.id : topics[0]!;
  const links = index.structuralLinks.filter(
    ({ from, to }) =>
      (from === heavy || to === heavy) && index.levels.get(from === heavy ? to : from) === index.levels.get(heavy)! + 1,
  );
  for (const kind of ['own', 'part']) {
    const heading = worded(
      map,
      growTopic(map, { from: heavy, text: 'Works', kind, linkKind: null }, maker(map), assignment.legend),
    );
    for (let many = 2; many <= links.length; many++)
      yield [
        ...heading,
        ...links
          .slice(0, many)
          .map(({ id, from }) => set('links', id, { [from === heavy ? 'from' : 'to']: madeBy(heading).id })),
      ];
  }
};

/** Places all over a map and around it. */
function placesOn(map: TopicMap): { x: number; y: number }[] {
  const [xs, ys] = [map.topics.map(({ x }) => x), map.topics.map(({ y }) => y)];
  const steps = (all: number[], by: number): number[] =>
    Array.from(
      { length: 16 },
      (_, i) => Math.min(...all) - by + (i * (Math.max(...all) - Math.min(...all) + 2 * by)) / 15,
    );
  return steps(xs, 160).flatMap((x) => steps(ys, 90).map((y) => ({ x, y })));
}
/** One of the topics goes to another place: the nearest that is clear, or any. */
export const moveOne: Obey = function* ({ map, topics, links }) {
  const ends = links.flatMap((id) => [linkOf(map, id).from, linkOf(map, id).to]);
  const places = placesOn(map);
  const ways = [...new Set([...topics, ...ends])].map((id) => {
    const topic = topicOf(map, id);
    const others = map.topics.filter((one) => one !== topic).map((one) => boxOf(one, 12));
    const far = ({ x, y }: { x: number; y: number }): number => Math.hypot(x - topic.x, y - topic.y);
    const step = stepClear(map, [id]);
    return [
      ...(step ? [changesOf(moveMarks(map, [id], step))] : []),
      ...places
        .filter((at) => !others.some((other) => boxesMeet(boxOf({ ...topic, ...at }), other)))
        .sort((a, b) => far(a) - far(b))
        .map((at) => [set('topics', id, at)]),
    ];
  });
  for (let i = 0; i < places.length + 1; i++) for (const way of ways) if (way[i]) yield way[i]!;
};
/** A link leaves the crowd with both its topics. */
export const moveOut: Obey = ({ map, links }) => {
  const { from, to } = linkOf(map, links[0]!);
  const right = Math.max(...map.topics.map(({ x }) => x)) + 400;
  return [[set('topics', from, { x: right, y: 0 }), set('topics', to, { x: right + 400, y: 0 })]];
};
/** Words go along their link. */
export const slideWords: Obey = function* ({ map, links, assignment }) {
  for (const id of links)
    for (const phraseAt of [0.5, 0.4, 0.6, 0.3, 0.7, 0.2, 0.8, 0.1, 0.9])
      yield changesOf(bendLink(map, id, { phraseAt }, assignment));
};
/** A line goes another way. */
export const bendOne: Obey = function* ({ map, assignment }) {
  for (const { id } of map.links)
    for (const bend of [0.3, -0.3, 0.6, -0.6]) yield changesOf(bendLink(map, id, { bend }, assignment));
};
/** Two links between the same two topics: those drawn apart, and one of the links bowed. */
export const bowedApart: Obey = function* (told) {
  for (const move of moveOne(told))
    yield [...move, ...changesOf(bendLink(told.map, told.links[0]!, { bend: 0.6 }, told.assignment))];
};
export const either = (...ways: Obey[]): Obey =>
  function* (told) {
    for (const way of ways) yield* way(told);
  };
/** Closer together: everything at half the distance. */
export const closer: Obey = function* ({ map, assignment }) {
  for (const by of [0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3])
    yield map.topics.map(({ id, x, y }) => set('topics', id, { x: x * by, y: y * by }));
  for (const fontSize of [14, 18, 24])
    yield inTurn(map, map.topics, (now, { id }) => changesOf(setLooks(now, [id], { fontSize }, assignment)));
  // Or in rows, as near as they will go, in letters that are large enough.
  for (const fontSize of [undefined, 14, 18])
    for (const across of [2, 3, 4, 5]) {
      const larger =
        fontSize === undefined
          ? []
          : inTurn(map, map.topics, (now, { id }) => changesOf(setLooks(now, [id], { fontSize }, assignment)));
      const { topics } = applyChanges(map, larger);
      const [wide, high] = (['width', 'height'] as const).map((side) => Math.max(...topics.map((one) => one[side])));
      const spot = (i: number) => ({ x: (i % across) * (wide! + 12), y: Math.floor(i / across) * (high! + 12) });
      yield [...larger, ...topics.map(({ id }, i) => set('topics', id, spot(i)))];
    }
};

export const PALE = ['#ffffff', '#cfe0dc', '#f6dcd2', '#e6e0f3', '#f4ecc8', '#cfe6f5', '#e1f0cf', '#f3d6e6'];
export const FANS = ['#35596a', '#9a5138', '#5a4b86', '#35645b', '#7a6c3a', '#7a2e5d'];
export const linksLook = (looks: (told: Told) => readonly Parameters<typeof setLooks>[2][]): Obey =>
  function* (told) {
    for (const fields of looks(told)) yield changesOf(setLooks(told.map, [...told.links], fields, told.assignment));
  };
export const material = (map: TopicMap, id: string, what: unknown): readonly Change[] => {
  if (what === 'source') return changesOf(setSource(map, id, 'Field book, page 4'));
  if (what === 'picture') return [set('topics', id, { pictures: [{ src: 'library:arch' }] })];
  if (what === 'file') return [set('topics', id, { files: [{ src: 'file:plan' }] })];
  if (what === 'weblink') return [set('topics', id, { weblinks: [{ url: 'https://school.example/arch' }] })];
  return changesOf(setNote(map, id, 'An arch carries by pressing.'));
};
export const words = (count: number): string => Array.from({ length: count }, (_, i) => `word${i}`).join(' ');
