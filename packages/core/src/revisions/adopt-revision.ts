import { freeSpot } from '../commands/free-spot.js';
import { refitted } from '../commands/maker.js';
import { pairsOf } from '../comparison/pairs.js';
import { applyChanges } from '../map/changes.js';
import type { Change } from '../map/changes.js';
import { emptyMap } from '../map/types.js';
import type { Assignment, Topic, TopicMap } from '../map/types.js';
import { WordForms } from '../words/word-forms.js';

/** Where ids of what is added come from. */
export interface Names {
  /** @param given the id in the starter: with one answer for each, adopting twice comes to the same as once */
  idFor: (given: string) => string;
}

/**
 * What moves a work on from one revision of its assignment to the next. What the teacher changed of what was given
 * follows where the student left it as it was; what was added is added in a free place; what is given no more stays on
 * the map as the student's own. The student's own words, places and looks are never touched.
 */
export function adoptRevision(map: TopicMap, old: Assignment, next: Assignment, names: Names): Change[] {
  const given = givenChanges(map, old, next);
  const adopted = applyChanges(map, given);
  const added = addedChanges(adopted, old, next, names);
  return [...entitled(map, old, next), ...given, ...added];
}

const starterOf = ({ starter }: Assignment): TopicMap => starter ?? emptyMap();

/** Title and focus question, where they still are the assignment's. */
function entitled(map: TopicMap, old: Assignment, next: Assignment): Change[] {
  const fields = Object.fromEntries(
    (['title', 'focusQuestion'] as const).flatMap((field) =>
      map[field] === old[field] && next[field] !== old[field] ? [[field, next[field]]] : [],
    ),
  );
  return Object.keys(fields).length > 0 ? [{ do: 'entitle', fields }] : [];
}

/** How a starter's marks are known again in the next one: by id, origin or words, as everywhere maps are compared. */
function knownAgain(old: Assignment, next: Assignment) {
  const { topics, links } = pairsOf(starterOf(old), starterOf(next), new WordForms(next.language));
  return {
    topics: new Map(topics.map((pair) => [pair.before.id, pair])),
    links: new Map(links.map((pair) => [pair.before.id, pair])),
  };
}

function givenChanges(map: TopicMap, old: Assignment, next: Assignment): Change[] {
  const pairs = knownAgain(old, next);
  const topicKinds = new Set(next.legend.topicKinds.map(({ id }) => id));
  const linkKinds = new Set(next.legend.linkKinds.map(({ id }) => id));
  const known = (kind: string | null, kinds: ReadonlySet<string>): string | null =>
    kind !== null && kinds.has(kind) ? kind : null;
  const topics = map.topics.flatMap((topic): Change[] => {
    const pair = topic.origin === undefined ? undefined : pairs.topics.get(topic.origin);
    const wasGiven = topic.origin !== undefined && starterOf(old).topics.some(({ id }) => id === topic.origin);
    const fields = {
      ...(wasGiven && { origin: pair?.after.id as string }),
      ...(pair && topic.text === pair.before.text && { text: pair.after.text }),
      kind: known(pair && topic.kind === pair.before.kind ? pair.after.kind : topic.kind, topicKinds),
    };
    // A kind's shape and letters may be others now: the size follows them.
    return changeOf('topics', topic, refitted(topic, fields, next.legend));
  });
  const links = map.links.flatMap((link): Change[] => {
    const pair = link.origin === undefined ? undefined : pairs.links.get(link.origin);
    const was = link.origin !== undefined && starterOf(old).links.some(({ id }) => id === link.origin);
    return changeOf('links', link, {
      ...(was && { origin: pair?.after.id }),
      ...(pair && link.phrase === pair.before.phrase && { phrase: pair.after.phrase }),
      kind: known(pair && link.kind === pair.before.kind ? pair.after.kind : link.kind, linkKinds),
    });
  });
  return [...topics, ...links];
}

/** A change of those fields that differ; none where nothing does. */
function changeOf(list: 'topics' | 'links', item: { id: string }, fields: object): Change[] {
  const others = Object.entries(fields).filter(
    ([name, value]) => (item as unknown as Record<string, unknown>)[name] !== value,
  );
  return others.length === 0 ? [] : [{ do: 'set', in: list, id: item.id, fields: Object.fromEntries(others) }];
}

/** What the next starter has and the old one had not, each topic in a free place near its own. */
function addedChanges(map: TopicMap, old: Assignment, next: Assignment, { idFor }: Names): Change[] {
  const pairs = knownAgain(old, next);
  const [oldTopics, oldLinks] = [
    new Set([...pairs.topics.values()].map(({ after }) => after.id)),
    new Set([...pairs.links.values()].map(({ after }) => after.id)),
  ];
  let now = map;
  const changes: Change[] = [];
  const add = (change: Change): void => {
    changes.push(change);
    now = applyChanges(now, [change]);
  };
  const byOrigin = (id: string): Topic | undefined => now.topics.find(({ origin }) => origin === id);
  for (const given of starterOf(next).topics) {
    if (oldTopics.has(given.id) || byOrigin(given.id)) continue;
    const { toComplete: _prompt, by: _by, order: _order, ...topic } = given;
    add({
      do: 'add',
      to: 'topics',
      item: { ...topic, ...freeSpot(now, given, given), id: idFor(given.id), origin: given.id },
    });
  }
  for (const given of starterOf(next).links) {
    const [from, to] = [byOrigin(given.from), byOrigin(given.to)];
    const there = now.links.some(({ origin }) => origin === given.id);
    if (oldLinks.has(given.id) || there || !from || !to) continue;
    const { by: _by, order: _order, ...link } = given;
    add({ do: 'add', to: 'links', item: { ...link, id: idFor(given.id), from: from.id, to: to.id, origin: given.id } });
  }
  return changes;
}
