import { freeSpot } from '../commands/free-spot.js';
import { fitTopic } from '../geometry/fit.js';
import { connectedParts } from '../map-index/graph.js';
import { matchText, matchTerms } from '../map/terms.js';
import type { Topic } from '../map/types.js';
import { pick } from '../random.js';
import type { Random } from '../random.js';
import { wordsOf } from '../words/normal-form.js';
import { some, without, withTopics } from './way.js';
import type { Spoiling, Way } from './way.js';

/** The topics that terms are matched to, without the root: nobody loses that one. */
const termTopics = ({ index }: Spoiling): Topic[] =>
  index.termMatches.flatMap((match) => (match && match.topic !== index.root ? [match.topic] : []));

/** What the starter gave comes last: careless work begins with what one has written oneself. */
const ownFirst = (topics: readonly Topic[]): Topic[] => [
  ...topics.filter(({ origin }) => origin === undefined),
  ...topics.filter(({ origin }) => origin !== undefined),
];

/** Terms are left out, those first that nothing hangs from. */
export const dropTerms: Way = (spoiling) => {
  const { map, index, random } = spoiling;
  const terms = some(ownFirst(termTopics(spoiling)), 1, random);
  const wanted = Math.max(1, Math.round(terms.length * 0.2));
  const gone = new Set<string>();
  const parts = connectedParts(
    index.structuralTopics.map(({ id }) => id),
    index.neighbours,
  ).length;
  for (const topic of ownFirst(terms)) {
    if (gone.size >= wanted) break;
    const left = new Set([...gone, topic.id]);
    const rest = index.structuralTopics.filter(({ id }) => !left.has(id)).map(({ id }) => id);
    const around = new Map(
      rest.map((id) => [id, new Set([...index.neighbours.get(id)!].filter((next) => !left.has(next)))]),
    );
    if (connectedParts(rest, around).length <= parts) gone.add(topic.id);
  }
  if (gone.size === 0 && terms[0]) gone.add(terms[0].id);
  return gone.size === 0 ? map : without(map, gone);
};

/** Letters change places, so that the term can still be guessed. */
export const misspellTerms: Way = (spoiling) => {
  const { map, assignment, random } = spoiling;
  const able = ownFirst(termTopics(spoiling).filter(({ text }) => [...text].length >= 5));
  const own = able.filter(({ origin }) => origin === undefined);
  const chosen = some(own.length > 0 ? own : able, 0.3, random);
  return withTopics(
    map,
    chosen.map((topic) => {
      const others = assignment.terms.filter((term) => matchText(term.text, [], [topic], assignment.language) === null);
      return {
        ...topic,
        text: misspelt(topic.text, random, (text) => !isAny(text, topic, others, assignment.language)),
      };
    }),
  );
};

function isAny(text: string, topic: Topic, terms: readonly { text: string }[], language: string): boolean {
  return matchTerms(terms, [{ ...topic, text }], language).some((match) => match !== null);
}

function misspelt(text: string, random: Random, isGood: (text: string) => boolean): string {
  const letters = [...text];
  for (let tries = 0; tries < 12; tries++) {
    const at = 1 + Math.floor(random() * (letters.length - 2));
    const [a, b] = [letters[at]!, letters[at + 1]!];
    if (a === b || a === ' ' || b === ' ') continue;
    const swapped = [...letters.slice(0, at), b, a, ...letters.slice(at + 2)].join('');
    if (isGood(swapped)) return swapped;
  }
  return text;
}

/** Terms are cut short or put in words of one’s own, the given ones too, until they are not the terms any more. */
export const renameTerms: Way = (spoiling) => {
  const { map, assignment, random } = spoiling;
  const topics = termTopics(spoiling);
  const given = topics.filter(({ origin }) => origin !== undefined);
  const own = topics.filter(({ origin }) => origin === undefined);
  const chosen = [...(given.length ? some(given, 0.3, random) : []), ...(own.length ? some(own, 0.25, random) : [])];
  return withTopics(
    map,
    chosen.map((topic) => {
      const short = wordsOf(topic.text)
        .map((word) => `${[...word].slice(0, 3).join('')}.`)
        .join(' ');
      const texts = [short, `${short} (it)`, `our ${short}`, `${short} ${topic.id}`];
      const free = texts.find((text) => !isAny(text, topic, assignment.terms, assignment.language));
      const text = free ?? topic.text;
      return { ...topic, text: text.charAt(0).toUpperCase() + text.slice(1) };
    }),
  );
};

/** Topics are on the map twice, the second one tied to where the first is. */
export const doubleTopic: Way = (spoiling) => {
  const { map, index, assignment, random } = spoiling;
  const linked = index.structuralTopics.filter(
    (topic) => topic !== index.root && topic.text.trim() !== '' && (index.neighbours.get(topic.id)?.size ?? 0) > 0,
  );
  const own = linked.filter((topic) => index.kindOf(topic)?.givenBy === 'student');
  const chosen = some(own.length > 1 ? own : linked, 0.12, random).slice(0, 4);
  let next = map;
  for (const topic of linked.length === 0 ? [] : chosen) {
    const { origin: _origin, ...looks } = topic;
    const size = fitTopic(topic, assignment.legend);
    const spot = freeSpot(next, { x: topic.x, y: topic.y + topic.height + 30 }, size);
    const id = freeId(next.topics, `${topic.id}-again`);
    const links = index.structuralLinks.filter(({ from, to }) => from === topic.id || to === topic.id);
    const { origin: _linkOrigin, ...link } = pick(links, random);
    next = {
      ...next,
      topics: [...next.topics, { ...looks, ...spot, id }],
      links: [
        ...next.links,
        {
          ...link,
          id: freeId(next.links, `${link.id}-again`),
          from: link.from === topic.id ? id : link.from,
          to: link.to === topic.id ? id : link.to,
        },
      ],
    };
  }
  return next;
};

function freeId(things: readonly { id: string }[], wanted: string): string {
  const taken = new Set(things.map(({ id }) => id));
  let id = wanted;
  for (let i = 2; taken.has(id); i++) id = `${wanted}-${i}`;
  return id;
}
