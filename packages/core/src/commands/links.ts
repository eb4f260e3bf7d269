import { done, refused } from '../map/changes.js';
import type { Maker, Outcome } from '../map/changes.js';
import { LIMITS } from '../map/types.js';
import type { Link, TopicMap } from '../map/types.js';
import { topicOf } from './maker.js';

interface NewLink {
  from: string;
  to: string;
  phrase: string;
  kind: string | null;
}

const tidy = (phrase: string): string => phrase.replace(/\s+/g, ' ').trim();
const TOO_LONG = refused('phraseTooLong', { most: LIMITS.text });

export const newLink = (wanted: NewLink, maker: Maker): Link => ({ id: maker.newId(), ...wanted, by: maker.by });

/** Joins two topics. A link to itself, and a second one the same way round, are refused with the reason. */
export function addLink(map: TopicMap, wanted: NewLink, maker: Maker): Outcome {
  const [from, to] = [topicOf(map, wanted.from), topicOf(map, wanted.to)];
  if (!from || !to) return refused('endGone');
  if (from === to) return refused('toItself', { text: from.text });
  if (map.links.some((link) => link.from === from.id && link.to === to.id)) {
    return refused('linkedAlready', { from: from.text, to: to.text });
  }
  if (map.links.length >= LIMITS.links) return refused('linksFull', { most: LIMITS.links });
  const phrase = tidy(wanted.phrase);
  if (phrase.length > LIMITS.text) return TOO_LONG;
  return done({ do: 'add', to: 'links', item: newLink({ ...wanted, phrase }, maker) });
}

/** Changes the words on a link; it may have none. */
export function setPhrase(map: TopicMap, id: string, phrase: string): Outcome {
  const link = map.links.find((one) => one.id === id);
  if (!link) return refused('linkGone');
  const words = tidy(phrase);
  if (words.length > LIMITS.text) return TOO_LONG;
  return words === link.phrase ? done() : done({ do: 'set', in: 'links', id, fields: { phrase: words } });
}

/** Turns links round, so that each reads the other way. One that would then stand twice is refused, and all with it. */
export function turnLinks(map: TopicMap, ids: readonly string[]): Outcome {
  const turned = map.links.filter((link) => ids.includes(link.id));
  const twice = turned.find((link) =>
    map.links.some((other) => !ids.includes(other.id) && other.from === link.to && other.to === link.from),
  );
  if (twice) return refused('otherWayThere');
  return done(
    ...turned.map(({ id, from, to }) => ({ do: 'set', in: 'links', id, fields: { from: to, to: from } }) as const),
  );
}
