import type { RequirementId } from '../requirements/registry.js';
import { lengthOf } from '../geometry/points.js';
import type { MapIndex } from '../map-index/map-index.js';
import type { Assignment, Link, TopicKind } from '../map/types.js';
import { requirementTypeOf } from '../requirements/registry.js';
import { withDefaults } from '../requirements/params.js';
import { isBlank, wordsOf } from '../words/normal-form.js';

type Params = Record<string, unknown>;
interface Example {
  index: MapIndex;
  assignment: Assignment;
}
/** What an example suggests to ask for by one type; the caller looks whether it is met, new and worth asking. */
type Suggest = (example: Example) => Params[];

/** A number to ask for where the example has so many: enough to mean something, few enough to leave room. */
export const roomBelow = (count: number): number =>
  count < 10 ? Math.max(1, Math.floor(count * 0.65)) : Math.floor((count * 0.75) / 5) * 5;

/** A limit where the example has so much: the next round step above it, and some room. */
const roomAbove = (size: number, step: number): number => Math.ceil((size * 1.15) / step) * step;

/** What a check finds, by its figures. */
function figuresOf(type: string, params: Params, { index, assignment }: Example): Record<string, number> {
  const asked = requirementTypeOf(type)!;
  const verdict = asked.check(withDefaults(asked, params), { index, assignment, context: undefined });
  return 'doesNotApply' in verdict ? {} : (verdict.figures ?? {});
}

const always: Suggest = () => [{}];
const never: Suggest = () => [];
/** A lower bound on what a figure counts; nothing where there is less than `least`. */
const atLeast =
  (type: string, figure: string, name: string, least = 1): Suggest =>
  (example) => {
    const count = figuresOf(type, {}, example)[figure] ?? 0;
    return count >= least ? [{ [name]: roomBelow(count) }] : [];
  };

const kindsOf = ({ index, assignment }: Example, which: (kind: TopicKind) => boolean) =>
  assignment.legend.topicKinds.filter(which).map((kind) => ({ kind, topics: index.topicsOf([kind.id]) }));

const worded = (links: readonly Link[]): Link[] => links.filter(({ phrase }) => !isBlank(phrase));

export const SUGGESTIONS: Readonly<Record<RequirementId, Suggest>> = {
  'all-terms-present': ({ index, assignment: { terms } }) => {
    const placed = index.termMatches.filter((match) => match && !match.near).length;
    return placed === terms.length ? [{}] : placed >= 3 ? [{ min: roomBelow(placed) }] : [];
  },
  'terms-unchanged': always,
  'right-kind': ({ assignment: { legend } }) => (legend.topicKinds.length > 1 ? [{}] : []),
  'topic-count': atLeast('topic-count', 'count', 'min', 4),
  'link-count': atLeast('link-count', 'count', 'min', 4),
  'kind-count': (example) =>
    kindsOf(example, ({ givenBy, root }) => givenBy === 'student' && !root).flatMap(({ kind, topics }) =>
      topics.length > 0 ? [{ kind: kind.id, min: roomBelow(topics.length) }] : [],
    ),
  'short-topics': ({ index }) => {
    const longest = Math.max(0, ...index.structuralTopics.map(({ text }) => wordsOf(text).length));
    return longest > 0 && longest <= 8 ? [{ maxWords: Math.max(4, longest + 1) }] : [];
  },
  'no-duplicate-topics': always,
  'supporting-material': (example) => {
    const counts = (['source', 'picture', 'weblink', 'file', 'note'] as const).map((what) => ({
      what,
      count: figuresOf('supporting-material', { what }, example).count ?? 0,
    }));
    const most = counts.reduce((best, one) => (one.count > best.count ? one : best));
    return most.count > 0 ? [{ what: most.what, min: roomBelow(most.count) }] : [];
  },
  'note-length': ({ index }) => {
    const words = index.structuralTopics.map(({ note }) => wordsOf(note ?? '').length);
    const least = Math.min(...words);
    return words.length > 0 && least >= 5 ? [{ minWords: roomBelow(least) }] : [];
  },
  'prompts-answered': always,
  'starter-rewired': (example) => {
    const { rewired = 0, given = 0 } = figuresOf('starter-rewired', {}, example);
    return rewired > 0 ? [{ minShare: Math.max(0.1, Math.floor((rewired / given) * 8) / 10) }] : [];
  },
  'all-connected': always,
  'links-per-topic': ({ index }) => {
    const least = Math.min(...[...index.neighbours.values()].map(({ size }) => size));
    return Number.isFinite(least) && least >= 2 ? [{ min: least }] : [];
  },
  'from-root': () => [{ follow: 'forward' }, {}],
  'sits-under': (example) => {
    const { index } = example;
    return kindsOf(example, ({ root, structural }) => !root && structural !== false).flatMap(({ kind, topics }) => {
      if (topics.length < 2) return [];
      const parents = example.assignment.legend.topicKinds.filter(
        ({ id, root, structural }) => id !== kind.id && !root && structural !== false,
      );
      const sits = parents.find(({ id }) =>
        topics.every((topic) =>
          [...(index.neighbours.get(topic.id) ?? [])].some(
            (next) => index.kindOf(index.topicById.get(next)!)?.id === id,
          ),
        ),
      );
      return sits ? [{ kinds: [kind.id], parents: [sits.id] }] : [];
    });
  },
  depth: ({ index }) => {
    const deepest = Math.max(0, ...index.levels.values());
    return deepest >= 2 ? [{ min: Math.max(2, deepest - 1) }] : [];
  },
  'main-branches': ({ index }) => {
    const count = index.mainBranches.length;
    return count >= 2 ? [{ min: Math.max(2, count - 1), max: count + 2 }] : [];
  },
  branching: ({ index }) => {
    const most = Math.max(0, ...[...index.levels.keys()].map((id) => index.children(id).length));
    return most > 0 && most <= 9 ? [{ maxChildren: Math.max(5, most + 1) }] : [];
  },
  'cross-links': ({ index }) => {
    const count = worded(index.crossLinks).length;
    return count > 0 ? [{ min: roomBelow(count) }] : [];
  },
  'no-cycles': ({ index }) => (index.structuralLinks.length > 3 ? [{}] : []),
  'anchor-links': (example) => {
    const { index } = example;
    return kindsOf(example, ({ structural }) => structural === false).flatMap(({ kind, topics }) => {
      const links = topics.map(({ id }) => index.linksAt.get(id) ?? []);
      const count = links[0]?.length ?? 0;
      if (count === 0 || links.some((own) => own.length !== count)) return [];
      const kinds = new Set(links.flat().map((link) => link.kind));
      const [linkKind] = kinds;
      const isKnown = example.assignment.legend.linkKinds.some(({ id }) => id === linkKind);
      return [{ kind: kind.id, ...(kinds.size === 1 && isKnown && { linkKind }), count }];
    });
  },
  'forms-cycle': (example) => {
    const { topics = 0 } = figuresOf('forms-cycle', {}, example);
    return topics >= 3 ? [{ min: Math.max(2, roomBelow(topics)) }] : [];
  },
  'allowed-links': ({ index }) => {
    const pairs = new Set<string>();
    for (const link of index.structuralLinks) {
      const [from, to] = index.ends(link).map((topic) => index.kindOf(topic)?.id);
      if (from === undefined || to === undefined) return [];
      pairs.add(JSON.stringify([from, to]));
    }
    return index.structuralLinks.length >= 6 && pairs.size <= 5
      ? [{ pairs: [...pairs].map((pair) => JSON.parse(pair) as string[]) }]
      : [];
  },
  'no-parallel-links': ({ index }) => (index.structuralLinks.length > 3 ? [{}] : []),
  'links-labelled': ({ index }) => {
    const share = worded(index.structuralLinks).length / index.structuralLinks.length;
    return share === 1 ? [{}] : share >= 0.75 ? [{ minShare: Math.floor(share * 10) / 10 }] : [];
  },
  'precise-phrases': ({ index }) => {
    const longest = Math.max(0, ...worded(index.structuralLinks).map(({ phrase }) => wordsOf(phrase).length));
    const maxWords = Math.max(8, longest);
    return longest > 0 && maxWords <= 12
      ? [true, false].map((needVerb) => ({ ...(maxWords > 8 && { maxWords }), ...(!needVerb && { needVerb }) }))
      : [];
  },
  'arrowed-links': ({ index }) => (index.structuralLinks.length > 3 ? [{}] : []),
  'phrase-variety': ({ index }) => (worded(index.structuralLinks).length >= 8 ? [{}] : []),
  'propositions-present': (example) => {
    const { index, assignment } = example;
    const termOf = new Map(
      index.termMatches.flatMap((match, i) =>
        match && !match.near ? [[match.topic.id, assignment.terms[i]!.text] as const] : [],
      ),
    );
    const between = worded(index.structuralLinks).filter(({ from, to }) => termOf.has(from) && termOf.has(to));
    const crossing = new Set(index.crossLinks);
    // What ties two branches is harder to see than what hangs in one, and says more.
    const best = [...between].sort((a, b) => Number(crossing.has(b)) - Number(crossing.has(a))).slice(0, 4);
    const propositions = best.map(({ from, to }) => ({ from: termOf.get(from)!, to: termOf.get(to)! }));
    const min = roomBelow(propositions.length);
    return propositions.length === 0 ? [] : [{ propositions, ...(min < propositions.length && { min }) }];
  },
  'like-reference': (example) => {
    const { closeness = 0 } = figuresOf('like-reference', {}, example);
    const min = Math.min(0.6, Math.floor(closeness * 8) / 10);
    return min >= 0.3 ? [{ min }] : [];
  },
  'kind-style': always,
  'link-style': ({ index, assignment: { legend } }) =>
    legend.linkKinds.flatMap(({ id, route, dash, width, colour, arrow }) => {
      const shows = [route, dash, width, colour, arrow].some((look) => look !== undefined);
      return shows && index.map.links.some((link) => link.kind === id) ? [{ linkKind: id }] : [];
    }),
  'fan-style': (example) => ((figuresOf('fan-style', {}, example).busy ?? 0) > 0 ? [{}] : []),
  'ink-contrast': always,
  'pale-fills': always,
  'text-size': always,
  'branch-colours': ({ index }) => (index.mainBranches.length > 1 ? [{}] : []),
  'few-crossings': (example) => {
    const { crossings = 0 } = figuresOf('few-crossings', {}, example);
    return example.index.map.links.length < 3 || crossings > 12
      ? []
      : [crossings === 0 ? {} : { max: crossings + Math.ceil(crossings / 2) }];
  },
  'clear-text': always,
  'no-overlaps': always,
  'clear-phrases': always,
  'short-links': ({ index }) => {
    const longest = Math.max(0, ...index.map.links.map((link) => lengthOf(index.drawnPart(link).points)));
    return longest > 0 && longest <= 600 ? [{ max: Math.max(200, roomAbove(longest, 20)) }] : [];
  },
  'in-sequence': ({ index }) =>
    index.map.topics.filter(({ sequence }) => sequence !== undefined).length > 2 ? [{}] : [],
  arrangement: always,
  'fits-paper': always,
  'map-details': ({ index: { map } }) => {
    const needs = (['title', 'author', 'focusQuestion'] as const).filter((name) => !isBlank(map[name]));
    return needs.length > 0 ? [{ needs }] : [];
  },
  tour: atLeast('tour', 'stops', 'minStops', 2),
  // What these ask for cannot be read off one map: answers, mistakes, who worked on it, when.
  'blanks-filled': never,
  'propositions-absent': never,
  'group-share': never,
  'on-time': never,
};
