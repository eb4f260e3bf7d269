import { linkStyle, topicStyle } from '../map/style.js';
import { LINK_LOOKS, TOPIC_LOOKS } from '../map/types.js';
import type { Assignment, Legend, Link, Topic, TopicMap } from '../map/types.js';
import { WordForms } from '../words/word-forms.js';
import { pairsOf } from './pairs.js';
import type { Pair } from './pairs.js';
import { sharedShift } from './shift.js';

type Ids = [before: string, after: string];

/** What became of a map. Lists are in the order of the later map's file, what was removed in that of the earlier. */
export interface Difference {
  topics: {
    added: string[];
    removed: string[];
    renamed: Ids[];
    recast: Ids[];
    restyled: Ids[];
    moved: Ids[];
    enriched: Ids[];
  };
  links: {
    added: string[];
    removed: string[];
    rephrased: Ids[];
    turned: Ids[];
    rehung: Ids[];
    recast: Ids[];
    restyled: Ids[];
  };
}

/** From here on a topic has been moved, in canvas units. */
const MOVED = 1;
const CLOSE = 1e-9;

/**
 * The difference of two maps: what was added and removed, and what else is true of what stands in both. A pair stands
 * in every list that holds for it.
 */
export function differenceOf(
  before: TopicMap,
  after: TopicMap,
  assignment?: Pick<Assignment, 'legend' | 'language'>,
): Difference {
  const { topics, links } = pairsOf(before, after, new WordForms(assignment?.language ?? 'en'));
  const legends: Legends = {
    before: before.legend ?? assignment?.legend,
    after: after.legend ?? assignment?.legend,
  };
  const shift = sharedShift(topics);
  const topicPairs = listing(topics);
  const linkPairs = listing(links);
  const isTurned = turnedBy(topics);
  const isRehung = rehungBy(topics);
  return {
    topics: {
      ...addedAndRemoved(before.topics, after.topics, topics),
      renamed: topicPairs((one) => saysOtherwise(one.before.text, one.after.text)),
      recast: topicPairs(isRecast),
      restyled: topicPairs((one) => isRestyled(one, (topic, side) => topicStyle(topic, legends[side]), TOPIC_LOOKS)),
      moved: topicPairs(
        (one) => Math.hypot(one.after.x - one.before.x - shift.x, one.after.y - one.before.y - shift.y) > MOVED + CLOSE,
      ),
      enriched: topicPairs((one) => materialOf(one.before) !== materialOf(one.after)),
    },
    links: {
      ...addedAndRemoved(before.links, after.links, links),
      rephrased: linkPairs((one) => saysOtherwise(one.before.phrase, one.after.phrase)),
      turned: linkPairs(isTurned),
      rehung: linkPairs(isRehung),
      recast: linkPairs(isRecast),
      restyled: linkPairs((one) => isRestyled(one, (link, side) => linkStyle(link, legends[side]), LINK_LOOKS)),
    },
  };
}

interface Legends {
  before: Legend | undefined;
  after: Legend | undefined;
}

const listing =
  <T extends { id: string }>(pairs: readonly Pair<T>[]) =>
  (holds: (pair: Pair<T>) => boolean): Ids[] =>
    pairs.filter(holds).map(({ before, after }) => [before.id, after.id]);

function addedAndRemoved<T extends { id: string }>(
  before: readonly T[],
  after: readonly T[],
  pairs: readonly Pair<T>[],
): { added: string[]; removed: string[] } {
  const [earlier, later] = [new Set(pairs.map((pair) => pair.before)), new Set(pairs.map((pair) => pair.after))];
  return {
    added: after.filter((item) => !later.has(item)).map(({ id }) => id),
    removed: before.filter((item) => !earlier.has(item)).map(({ id }) => id),
  };
}

const collapsed = (text: string): string => text.replace(/\s+/g, ' ').trim();
const saysOtherwise = (before: string, after: string): boolean => collapsed(before) !== collapsed(after);
const isRecast = ({ before, after }: Pair<{ kind: string | null }>): boolean => before.kind !== after.kind;

/** A recast one wears its new kind's looks by that alone; it is restyled where its own looks differ too. */
function isRestyled<T extends Topic | Link, L extends keyof T & string>(
  { before, after }: Pair<T>,
  styleOf: (item: T, side: keyof Legends) => Partial<Record<L, unknown>>,
  looks: readonly L[],
): boolean {
  const [was, is] = [styleOf(before, 'before'), styleOf(after, 'after')];
  const differs = (one: unknown, other: unknown): boolean => plain(one) !== plain(other);
  const recast = isRecast({ before, after });
  return looks.some((look) => differs(was[look], is[look]) && (!recast || differs(before[look], after[look])));
}
const plain = (value: unknown): unknown => (typeof value === 'string' ? value.toLowerCase() : value);

/** What a topic carries beside its words, as one text to compare; what is empty is not there. */
function materialOf({ note, source, weblinks, pictures, files }: Topic): string {
  const list = (items: readonly Record<string, unknown>[] | undefined, fields: readonly string[]): unknown =>
    (items ?? []).map((item) => fields.map((field) => item[field] || ''));
  return JSON.stringify([
    note || '',
    source || '',
    list(weblinks, ['url', 'title']),
    list(pictures, ['src', 'alt']),
    list(files, ['src', 'name']),
  ]);
}

/** For each end of an earlier link what became of it. */
const laterOf = (topics: readonly Pair<Topic>[]): ((id: string) => string | undefined) => {
  const later = new Map(topics.map(({ before, after }) => [before.id, after.id]));
  return (id) => later.get(id);
};

function turnedBy(topics: readonly Pair<Topic>[]): (pair: Pair<Link>) => boolean {
  const later = laterOf(topics);
  return ({ before, after }) => later(before.to) === after.from && later(before.from) === after.to;
}

function rehungBy(topics: readonly Pair<Topic>[]): (pair: Pair<Link>) => boolean {
  const later = laterOf(topics);
  return ({ before, after }) => {
    const were = [later(before.from), later(before.to)];
    return !were.includes(after.from) || !were.includes(after.to);
  };
}
