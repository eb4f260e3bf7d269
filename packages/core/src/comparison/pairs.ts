import { grouped } from '../grouped.js';
import type { Link, Topic, TopicMap } from '../map/types.js';
import { isBlank } from '../words/normal-form.js';
import type { WordForms } from '../words/word-forms.js';

export interface Pair<T> {
  before: T;
  after: T;
}

/** What of two maps is the same thing, drawn twice; each in the order of the later map. */
export interface Pairs {
  topics: Pair<Topic>[];
  links: Pair<Link>[];
}

/** One way of knowing a thing again: two belong together that share a key. */
interface Round<T> {
  before: (item: T) => readonly string[];
  after: (item: T) => readonly string[];
}

const sameKey = <T>(keys: (item: T) => readonly string[]): Round<T> => ({ before: keys, after: keys });

/** In each round each that is left of `before`, in order, takes the first left of `after` that shares a key with it. */
function pairUp<T>(before: readonly T[], after: readonly T[], rounds: readonly Round<T>[]): Pair<T>[] {
  const partner = new Map<T, T>();
  const taken = new Set<T>();
  for (const round of rounds) {
    const places = grouped(
      after.flatMap((item, place) =>
        taken.has(item) ? [] : [...new Set(round.after(item))].map((key) => ({ key, place })),
      ),
      ({ key }) => key,
    );
    const firstFree = (key: string): number =>
      places.get(key)?.find(({ place }) => !taken.has(after[place]!))?.place ?? Infinity;
    for (const item of before) {
      if (partner.has(item)) continue;
      const first = after[Math.min(...round.before(item).map(firstFree))];
      if (!first) continue;
      partner.set(item, first);
      taken.add(first);
    }
  }
  const earlier = new Map([...partner].map(([one, other]) => [other, one]));
  return after.flatMap((item) => (earlier.has(item) ? [{ before: earlier.get(item)!, after: item }] : []));
}

/** Pairs the topics and links of two maps by id, by where they came from, and by what they say. */
export function pairsOf(before: TopicMap, after: TopicMap, words: WordForms): Pairs {
  const byId = sameKey<{ id: string }>(({ id }) => [id]);
  const topics = pairUp(before.topics, after.topics, [
    byId,
    {
      before: ({ id, origin }) => [`copy of ${id}`, ...(origin ? [`both of ${origin}`, `start ${origin}`] : [])],
      after: ({ id, origin }) => [`start ${id}`, ...(origin ? [`both of ${origin}`, `copy of ${origin}`] : [])],
    },
    sameKey(({ text }) => (isBlank(text) ? [] : [words.normal(text)])),
  ]);

  // A link's ends are said by the topics of the earlier map, so that both maps speak of the same ones.
  const earlier = new Map(topics.map((pair) => [pair.after.id, pair.before.id]));
  const ends = (link: Link, turned = false): string[] => {
    const [from, to] = [earlier.get(link.from), earlier.get(link.to)];
    if (from === undefined || to === undefined) return [];
    return [JSON.stringify(turned ? [to, from] : [from, to])];
  };
  const own = (link: Link): string[] => [JSON.stringify([link.from, link.to])];
  const saying =
    (keys: (link: Link) => string[]) =>
    (link: Link): string[] =>
      keys(link).map((key) => `${key} ${words.folded(link.phrase)}`);
  const links = pairUp(before.links, after.links, [
    byId,
    { before: saying(own), after: saying(ends) },
    { before: own, after: ends },
    { before: own, after: (link) => ends(link, true) },
  ]);
  return { topics, links };
}
