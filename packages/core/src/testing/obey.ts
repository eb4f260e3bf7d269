import { addLink, reattach, setPhrase, turnLinks } from '../commands/links.js';
import { asItsKind, setLinkKind, setLooks, setTopicKind } from '../commands/looks.js';
import { setText } from '../commands/topics.js';
import { setNote } from '../commands/enrich.js';
import { applyChanges } from '../map/changes.js';
import type { Change } from '../map/changes.js';
import { topicStyle } from '../map/style.js';
import { MapIndex } from '../map-index/map-index.js';
import {
  maker,
  changesOf,
  set,
  one,
  inTurn,
  everyTopic,
  everyLink,
  topicOf,
  linkOf,
  atTopic,
  remove,
  eachOf,
  turnOne,
  removeLink,
  say,
  merged,
  rootOf,
  kindNamed,
  recast,
  place,
  madeBy,
  grow,
  pointedAt,
  tie,
  tieIn,
  tieMany,
  hangElsewhere,
  tieBranches,
  letGo,
  gather,
  moveOne,
  moveOut,
  slideWords,
  bendOne,
  bowedApart,
  either,
  closer,
  PALE,
  FANS,
  linksLook,
  material,
  words,
} from './ways.js';
import type { Told, Obey } from './ways.js';

/** By requirement type and message. */
export const OBEY: Readonly<Record<string, Readonly<Record<string, Obey>>>> = {
  'all-terms-present': {
    missing: (told) => {
      const { text, kind } = told.assignment.terms.find((term) => term.text === told.data.term)!;
      return place(told, { text, kind: kind ?? 'own' });
    },
    near: everyTopic(({ map, data, assignment }, id) => setText(map, id, data.term as string, assignment.legend)),
  },
  'terms-unchanged': {
    renamed: everyTopic(({ map, data, assignment }, id) => setText(map, id, data.text as string, assignment.legend)),
    renamedTwice: one(({ map, topics, data, assignment }) => {
      const [id] = topics;
      const other = map.topics.find((topic) => topic.id !== id && topic.text === data.text)!;
      return [...changesOf(setText(map, id!, data.text as string, assignment.legend)), ...merged(map, id!, [other.id])];
    }),
    otherKind: one(({ map, topics, data, assignment }) => {
      const given = assignment.starter!.topics.find(({ text }) => text === data.text)!;
      return changesOf(setTopicKind(map, [...topics], given.kind, assignment));
    }),
    gone: (told) => {
      const { id, text, kind } = told.assignment.starter!.topics.find((topic) => topic.text === told.data.text)!;
      return place(told, { text, kind, origin: id });
    },
  },
  'right-kind': {
    bare: recast(kindNamed),
    wrong: recast(kindNamed),
    bareOwn: eachOf(({ topics }) => topics),
    wrongOwn: eachOf(({ topics }) => topics),
    wrongNone: recast(() => null),
  },
  'topic-count': { few: grow, many: eachOf(({ map }) => map.topics.map(({ id }) => id)) },
  'link-count': { few: either(tieMany, grow), many: eachOf(({ map }) => map.links.map(({ id }) => id)) },
  'kind-count': { few: grow, tooMany: eachOf(({ topics }) => topics) },
  'short-topics': {
    long: function* ({ map, topics: [id], assignment }) {
      for (const word of topicOf(map, id!)
        .text.split(' ')
        .toSorted((a, b) => b.length - a.length))
        yield changesOf(setText(map, id!, word, assignment.legend));
    },
  },
  'no-duplicate-topics': { twice: one(({ map, topics: [kept, ...others] }) => merged(map, kept!, others)) },
  'supporting-material': {
    without: one(({ map, topics, params }) => topics.flatMap((id) => material(map, id, params.what))),
  },
  'note-length': {
    short: one(({ map, topics, data }) =>
      topics.flatMap((id) =>
        changesOf(setNote(map, id, `${topicOf(map, id).note ?? ''} ${words(Number(data.missing))}`)),
      ),
    ),
    long: one(({ map, assignment, topics: [id], data, params }) => {
      const { branches } = new MapIndex(map, assignment);
      let over = Number(data.over);
      return map.topics.flatMap((one) => {
        if (params.per === 'branch' ? !branches.get(one.id)?.has(id!) : one.id !== id) return [];
        const all = (one.note ?? '').split(' ').filter(Boolean);
        const kept = all.slice(0, Math.max(0, all.length - over));
        over -= all.length - kept.length;
        return changesOf(setNote(map, one.id, kept.join(' ')));
      });
    }),
  },
  'prompts-answered': {
    open: one(({ map, topics, data, assignment }) =>
      topics
        .slice(0, 1)
        .flatMap((id) => changesOf(setText(map, id, `${data.text as string} stone`, assignment.legend))),
    ),
  },
  'blanks-filled': {
    empty: everyTopic(({ map, assignment }, id) => setText(map, id, 'Arch', assignment.legend)),
    wrong: everyTopic(({ map, assignment }, id) => setText(map, id, 'Arch', assignment.legend)),
    gone: (told) => place(told, { text: 'Arch', kind: 'part', origin: 's1' }),
  },
  'starter-rewired': { asGiven: either(hangElsewhere, tieIn, grow) },
  'all-connected': { alone: tieIn, apart: tieIn },
  'links-per-topic': { few: either(tieMany, grow, pointedAt), many: letGo },
  'from-root': {
    unreached: tieIn,
    wrongWay: function* (told) {
      for (const { id } of atTopic(told.map, told.topics[0]!))
        yield [...changesOf(turnLinks(told.map, [id])), set('links', id, { arrow: 'forward' })];
      yield* tieIn(told);
    },
  },
  'sits-under': {
    loose: function* (told) {
      const { map, params, topics, assignment } = told;
      const index = new MapIndex(map, assignment);
      for (const parent of map.topics) {
        if (!(params.parents as string[]).includes(index.kindOf(parent)?.id ?? '') || parent.id === topics[0]) continue;
        yield tie(map, topics[0]!, parent.id);
        yield tie(map, parent.id, topics[0]!);
      }
    },
  },
  depth: {
    shallow: function* (told) {
      const { levels } = new MapIndex(told.map, told.assignment);
      const deepest = Math.max(...levels.values());
      for (const [id, level] of levels) {
        if (level !== deepest) continue;
        let from = id;
        yield inTurn(told.map, Array.from({ length: Math.ceil(Number(told.data.missing)) }), (map) => {
          const [changes] = grow({ ...told, map, topics: [from], data: {} });
          from = madeBy(changes!).id;
          return changes!;
        });
      }
    },
    tooDeep: hangElsewhere,
  },
  'main-branches': {
    few: (told) => grow({ ...told, topics: [rootOf(told)] }),
    branch: gather,
  },
  branching: { heavy: gather },
  'cross-links': {
    few: either(tieMany, tieBranches),
    wordless: say,
  },
  'no-cycles': {
    circle: either(turnOne, removeLink),
  },
  'anchor-links': {
    number: function* (told) {
      const { map, topics, data, params } = told;
      const links = atTopic(map, topics[0]!);
      if (links.length > Number(data.count)) {
        for (const { id } of links) yield remove(map, ...links.filter((link) => link.id !== id).map((link) => link.id));
      } else
        for (const other of map.topics)
          if ((params.targets as string[]).includes(other.kind ?? '')) yield tie(map, topics[0]!, other.id, 'shows');
    },
    elsewhere: function* ({ map, topics, params }) {
      const links = atTopic(map, topics[0]!);
      for (const other of map.topics)
        if ((params.targets as string[]).includes(other.kind ?? ''))
          for (const link of links)
            yield changesOf(reattach(map, link.id, link.from === topics[0] ? 'to' : 'from', other.id));
    },
    otherKind: one(({ map, topics, params, assignment }) =>
      changesOf(
        setLinkKind(
          map,
          atTopic(map, topics[0]!).map(({ id }) => id),
          params.linkKind as string,
          assignment,
        ),
      ),
    ),
  },
  'forms-cycle': {
    none: function* ({ map, assignment }) {
      const arrows = new MapIndex(map, assignment).structuralLinks.filter(
        ({ arrow = 'forward' }) => arrow === 'forward',
      );
      for (const { from: first, to: second } of arrows)
        for (const { from, to: third } of arrows) if (from === second && third !== first) yield tie(map, third, first);
    },
    small: function* ({ map, assignment, data }) {
      const { cycles, structuralTopics } = new MapIndex(map, assignment);
      for (const part of cycles) {
        const others = structuralTopics
          .filter(({ id }) => !part.includes(id))
          .slice(0, Math.ceil(Number(data.missing)));
        yield inTurn(map, [...others, null], (now, next) =>
          next
            ? tie(now, next === others[0] ? part[0]! : others[others.indexOf(next) - 1]!.id, next.id)
            : tie(now, others.at(-1)?.id ?? part[0]!, part[0]!),
        );
      }
    },
  },
  'allowed-links': {
    other: function* ({ map, links: [id], assignment }) {
      yield changesOf(turnLinks(map, [id!]));
      for (const { id: kind } of assignment.legend.topicKinds)
        for (const end of ['from', 'to'] as const)
          yield changesOf(setTopicKind(map, [linkOf(map, id!)[end]], kind, assignment));
      yield remove(map, id!);
    },
  },
  'no-parallel-links': {
    twice: function* ({ map, links }) {
      for (const kept of links) yield remove(map, ...links.filter((id) => id !== kept));
    },
  },
  'links-labelled': { bare: say },
  'precise-phrases': { few: say, many: say, vague: say, noVerb: say },
  'arrowed-links': {
    plain: function* ({ map, links: [id] }) {
      const { from, to } = linkOf(map, id!);
      yield [set('links', id!, { arrow: 'forward' })];
      yield [set('links', id!, { arrow: 'forward', from: to, to: from })];
    },
  },
  'phrase-variety': {
    again: function* (told) {
      for (const id of told.links) yield* say({ ...told, links: [id] });
    },
  },
  'propositions-present': {
    otherWords: everyLink(({ map }, id) => setPhrase(map, id, 'pushes on')),
    wrongWay: one(({ map, links }) =>
      inTurn(map, links, (now, id) => {
        const turned = changesOf(turnLinks(now, [id]));
        return [...turned, ...changesOf(setPhrase(applyChanges(now, turned), id, 'pushes on'))];
      }),
    ),
    missing: ({ map, assignment }) => {
      const index = new MapIndex(map, assignment);
      const [from, to] = ['Arch', 'Pier'].map((text) => index.matchText(text)?.topic.id);
      return from && to && from !== to
        ? [changesOf(addLink(map, { from, to, phrase: 'pushes on', kind: null }, maker(map)))]
        : [];
    },
  },
  'propositions-absent': {
    wrong: either(
      turnOne,
      one(({ map, links }) => remove(map, ...links)),
    ),
  },
  'like-reference': {
    alone: function* ({ map, topics, assignment }) {
      const index = new MapIndex(map, assignment);
      for (const { text } of assignment.reference!.topics) {
        const other = index.matchText(text)?.topic.id;
        if (!other || other === topics[0]) continue;
        yield tie(map, topics[0]!, other);
        yield tie(map, other, topics[0]!);
      }
    },
    missing: (told) => place(told, { text: told.data.text as string, kind: 'part' }),
  },
  'kind-style': {
    wrong: everyTopic(({ map, assignment, data }, id) => {
      const kind = assignment.legend.topicKinds.find(({ name }) => name === data.kind)!;
      if (assignment.styleMode === 'guided') return asItsKind(map, [id], assignment);
      return setLooks(map, [id], { shape: kind.shape, fill: kind.fill }, assignment);
    }),
    noneOwn: eachOf(({ topics }) => topics),
    none: function* ({ map, topics, assignment }) {
      for (const { shape, fill } of assignment.legend.topicKinds)
        yield changesOf(setLooks(map, [...topics], { shape, fill }, assignment));
    },
  },
  'link-style': {
    wrong: function* ({ map, links, assignment, params }) {
      yield changesOf(setLinkKind(map, [...links], params.linkKind as string, assignment));
      yield changesOf(asItsKind(map, [...links], assignment));
    },
  },
  'fan-style': {
    mixed: linksLook(() => FANS.map((colour) => ({ colour }))),
    thin: linksLook(() => [{ width: 2.5 }, { width: 4 }]),
    alike: linksLook(() => FANS.map((colour) => ({ colour }))),
  },
  'ink-contrast': {
    faint: function* ({ map, topics, assignment }) {
      yield changesOf(setLooks(map, [...topics], { ink: '#000000' }, assignment));
      for (const fill of PALE) yield changesOf(setLooks(map, [...topics], { fill }, assignment));
      yield changesOf(setLooks(map, [...topics], { ink: '#000000', fill: '#ffffff' }, assignment));
    },
  },
  'pale-fills': {
    dark: function* ({ map, topics, assignment }) {
      yield changesOf(asItsKind(map, topics, assignment));
      for (const fill of PALE) yield changesOf(setLooks(map, [...topics], { fill }, assignment));
    },
  },
  'text-size': {
    small: function* (told) {
      const larger = changesOf(setLooks(told.map, [told.topics[0]!], { fontSize: 14 }, told.assignment));
      yield larger;
      for (const move of moveOne({ ...told, map: applyChanges(told.map, larger) })) yield [...larger, ...move];
    },
  },
  'branch-colours': {
    off: one(({ map, topics, assignment }) => {
      const index = new MapIndex(map, assignment);
      const [branch] = [...index.branches.get(topics[0]!)!];
      const { fill, ink } = topicStyle(topicOf(map, branch!), assignment.legend);
      return [set('topics', topics[0]!, { fill, ink })];
    }),
    near: function* ({ map, topics: [id], assignment }) {
      const { branches } = new MapIndex(map, assignment);
      const own = [...branches].filter(([, of]) => of.size === 1 && of.has(id!)).map(([one]) => one);
      for (const fill of PALE) yield changesOf(setLooks(map, own, { fill }, assignment));
    },
  },
  'few-crossings': { crossing: moveOne, crossings: moveOne },
  'clear-text': { over: moveOne, overMany: moveOne, under: moveOne },
  'no-overlaps': { overlap: moveOne, overlaps: moveOne },
  'clear-phrases': {
    onTopic: either(slideWords, moveOne),
    onPhrase: either(slideWords, bendOne, bowedApart),
    onLine: either(slideWords, bendOne, (told) => moveOne({ ...told, topics: told.map.topics.map(({ id }) => id) })),
    amid: either(slideWords, moveOne, moveOut),
    under: moveOne,
  },
  'short-links': { long: moveOne },
  'in-sequence': { right: moveOne, down: moveOne },
  arrangement: { downward: moveOne, outward: moveOne },
  'fits-paper': { small: closer, topic: closer },
  'map-details': {
    missing: () => [[{ do: 'entitle', fields: { title: 'Bridges', author: 'A', focusQuestion: 'Why?' } }]],
  },
  tour: {
    none: tourOf,
    short: tourOf,
  },
};

function tourOf({ map }: Told): (readonly Change[])[] {
  const stops = map.topics.slice(0, 3).map(({ id }) => ({ topic: id, words: '' }));
  return stops.length < 3 ? [] : [[{ do: 'add', to: 'tours', item: { id: 'round', title: 'Round', stops } }]];
}
