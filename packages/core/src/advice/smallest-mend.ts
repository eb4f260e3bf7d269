import { checkMap } from '../checking/check-map.js';
import { addLink, setPhrase, turnLinks } from '../commands/links.js';
import { asItsKind, setTopicKind } from '../commands/looks.js';
import { growTopic, setText } from '../commands/topics.js';
import { removeMarks } from '../commands/whole-map.js';
import { applyChanges } from '../map/changes.js';
import type { Outcome } from '../map/changes.js';
import { isStructural } from '../map/kinds.js';
import { MapIndex } from '../map-index/map-index.js';
import type { Assignment, CheckContext, Link, Topic, TopicMap } from '../map/types.js';
import type { Result } from '../requirements/types.js';
import { isBlank } from '../words/normal-form.js';
import { againstReference } from '../class-readings/against-reference.js';
import { breaksOf } from './breaks.js';
import { safeHelp } from './safe-help.js';

/** One edit of a mend, by what it does and to what. */
export type Edit =
  | { do: 'link'; from: string; phrase: string; to: string }
  | { do: 'unlink' | 'turn'; from: string; phrase: string; to: string }
  | { do: 'say'; from: string; to: string }
  | { do: 'remove' | 'as its kind'; topic: string }
  | { do: 'rename'; topic: string; as: string }
  | { do: 'recast'; topic: string; kind: string }
  | { do: 'place'; term: string; under: string }
  | { do: 'arrange' };

export interface SmallestMend {
  edits: Edit[];
  /** whether fewer cannot do it; else it is a short way, and there may be a shorter */
  fewest: boolean;
}

/** Words that stand for those that a student would find. */
const SOME_WORDS = 'needs words';
const MOST_EDITS = 8;
/** How many half-mended maps are followed at a time. */
const BEAM = 4;
/** Up to so many topics every edit of the whole map is tried, not only those near the evidence. */
const SMALL = 40;
const MOST_CHECKS = 6000;
const CLOSE = 1e-9;

interface Candidate {
  edit: Edit;
  outcome: Outcome;
}
interface Tried {
  map: TopicMap;
  edits: Edit[];
  result: Result;
}

/**
 * The fewest edits that would meet a requirement, found by search over the commands and verified by checking again: every
 * single edit first, then the most promising further. One edit that does it is the fewest there can be; two are, where every
 * single one was tried and did not. What would do worse elsewhere, or lay lines over words, is none.
 * @param isOver asked between checks whether time is up
 * @returns null where the requirement is met, does not apply, or no way was found
 */
export function smallestMend(
  map: TopicMap,
  assignment: Assignment,
  requirementId: string,
  context: CheckContext = {},
  isOver: () => boolean = () => false,
): SmallestMend | null {
  const requirements = assignment.requirements.filter(({ id }) => id === requirementId);
  const alone: Assignment = { ...assignment, requirements };
  let checks = 0;
  const isSpent = (): boolean => checks >= MOST_CHECKS || isOver();
  const check = (tried: TopicMap): Result => {
    checks += 1;
    return checkMap(tried, alone, context).results[0]!;
  };
  if (requirements.length === 0) return null;
  const breaks = breaksOf(map, assignment, requirementId, context);
  const first = check(map);
  if (first.status !== 'partly' && first.status !== 'unmet') return null;
  let beam: Tried[] = [{ map, edits: [], result: first }];
  let triedAll = map.topics.length <= SMALL;
  for (let depth = 1; depth <= MOST_EDITS; depth++) {
    const next: Tried[] = [];
    for (const one of beam) {
      for (const { edit, outcome } of candidates(one.map, alone, one.result, depth === 1 && triedAll)) {
        if (isSpent()) {
          triedAll = false;
          break;
        }
        if (!outcome.ok || outcome.changes.length === 0) continue;
        const changed = applyChanges(one.map, outcome.changes);
        const result = check(changed);
        const edits = [...one.edits, edit];
        if (result.status === 'met') {
          if (!breaks(changed)) return { edits, fewest: depth === 1 || (depth === 2 && triedAll) };
          continue;
        }
        if ((result.fraction ?? 0) > (one.result.fraction ?? 0) + CLOSE) next.push({ map: changed, edits, result });
      }
    }
    if (next.length === 0) return null;
    beam = next.sort((a, b) => (b.result.fraction ?? 0) - (a.result.fraction ?? 0)).slice(0, BEAM);
  }
  return null;
}

/** The single edits that are worth trying: those on what the evidence names, or on everything. */
function* candidates(map: TopicMap, assignment: Assignment, result: Result, all: boolean): Generator<Candidate> {
  const index = new MapIndex(map, assignment);
  const { legend, terms } = assignment;
  const flagged = new Set(result.evidence.flatMap(({ topics }) => topics));
  const flaggedLinks = new Set(result.evidence.flatMap(({ links }) => links));
  for (const { id, from, to } of map.links) if (flaggedLinks.has(id)) flagged.add(from).add(to);
  const topics = map.topics.filter(({ id }) => all || flagged.size === 0 || flagged.has(id));
  const links = map.links.filter(({ id, from, to }) =>
    all || flaggedLinks.size === 0 ? all || flagged.has(from) || flagged.has(to) : flaggedLinks.has(id),
  );
  const textOf = (id: string): string => index.topicById.get(id)!.text;
  const said = ({ from, phrase, to }: Link) => ({ from: textOf(from), phrase, to: textOf(to) });
  const maker = { newId: () => `mend-${map.topics.length}-${map.links.length}`, by: '' };

  const help = safeHelp(result, map, assignment);
  if (help) yield { edit: { do: 'arrange' }, outcome: help.outcome() };
  // What the reference would tie comes first, in its words.
  for (const { how, label, ends } of againstReference(map, assignment)) {
    const [from, to] = ends;
    if (how === 'missing' && from !== null && to !== null)
      yield {
        edit: { do: 'link', from: textOf(from), phrase: label.phrase, to: textOf(to) },
        outcome: addLink(map, { from, to, phrase: label.phrase, kind: null }, maker),
      };
  }
  for (const link of links) {
    if (isBlank(link.phrase) || flaggedLinks.has(link.id))
      yield {
        edit: { do: 'say', from: textOf(link.from), to: textOf(link.to) },
        outcome: setPhrase(map, link.id, SOME_WORDS),
      };
    yield { edit: { do: 'turn', ...said(link) }, outcome: turnLinks(map, [link.id]) };
  }
  const missing = terms.filter((_, i) => !index.termMatches[i]);
  for (const { text } of missing)
    for (const topic of topics.filter(({ id }) => flagged.has(id)))
      yield { edit: { do: 'rename', topic: topic.text, as: text }, outcome: setText(map, topic.id, text, legend) };
  for (const term of missing) {
    const under = index.root ?? map.topics[0];
    if (under)
      yield {
        edit: { do: 'place', term: term.text, under: under.text },
        outcome: growTopic(
          map,
          { from: under.id, text: term.text, kind: term.kind ?? under.kind, linkKind: null },
          maker,
          legend,
        ),
      };
  }
  for (const one of topics)
    for (const other of map.topics) {
      if (one === other || index.neighbours.get(one.id)?.has(other.id)) continue;
      yield linked(map, other, one, maker);
      yield linked(map, one, other, maker);
    }
  // Nothing is mended by setting it beside the structure, where no requirement looks.
  const kinds = legend.topicKinds.filter(isStructural);
  for (const { id, text } of topics) {
    yield { edit: { do: 'as its kind', topic: text }, outcome: asItsKind(map, [id], assignment) };
    for (const { id: kind, name } of kinds)
      yield { edit: { do: 'recast', topic: text, kind: name }, outcome: setTopicKind(map, [id], kind, assignment) };
  }
  for (const link of links) yield { edit: { do: 'unlink', ...said(link) }, outcome: removeMarks(map, [link.id]) };
  for (const { id, text } of topics) yield { edit: { do: 'remove', topic: text }, outcome: removeMarks(map, [id]) };
}

const linked = (map: TopicMap, from: Topic, to: Topic, maker: { newId: () => string; by: string }): Candidate => ({
  edit: { do: 'link', from: from.text, phrase: '', to: to.text },
  outcome: addLink(map, { from: from.id, to: to.id, phrase: SOME_WORDS, kind: null }, maker),
});
