import { done, refused } from '../map/changes.js';
import type { Change, Maker, Outcome } from '../map/changes.js';
import { LIMITS } from '../map/types.js';
import { linkStyle } from '../map/style.js';
import type { Link, TopicMap } from '../map/types.js';
import { isFixed } from './looks.js';
import type { Ruled } from './looks.js';
import { topicOf } from './maker.js';

interface NewLink {
  from: string;
  to: string;
  phrase: string;
  kind: string | null;
}

/** Line breaks of its own stay, those around nothing do not. */
const tidy = (phrase: string): string =>
  phrase
    .split('\n')
    .map((line) => line.replace(/\s+/g, ' ').trim())
    .filter((line) => line !== '')
    .join('\n');
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
export const setPhrase = (map: TopicMap, id: string, phrase: string): Outcome => setPhrases(map, [id], phrase);

/** Gives several links the same words. */
export function setPhrases(map: TopicMap, ids: readonly string[], phrase: string): Outcome {
  const links = map.links.filter(({ id }) => ids.includes(id));
  if (links.length === 0) return refused('linkGone');
  const words = tidy(phrase);
  if (words.length > LIMITS.text) return TOO_LONG;
  const others = links.filter((link) => link.phrase !== words);
  return done(...others.map(({ id }) => ({ do: 'set', in: 'links', id, fields: { phrase: words } }) as const));
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

/** Takes one end of a link to another topic. */
export function reattach(map: TopicMap, id: string, end: 'from' | 'to', topic: string): Outcome {
  const link = map.links.find((one) => one.id === id);
  if (!link) return refused('linkGone');
  if (link[end] === topic) return done();
  const ends = { from: link.from, to: link.to, [end]: topic };
  const [from, to] = [topicOf(map, ends.from), topicOf(map, ends.to)];
  if (!from || !to) return refused('endGone');
  if (from === to) return refused('toItself', { text: from.text });
  if (map.links.some((one) => one.id !== id && one.from === from.id && one.to === to.id))
    return refused('linkedAlready', { from: from.text, to: to.text });
  return done({ do: 'set', in: 'links', id, fields: { [end]: topic } });
}

/** Joins several topics with one: all lead to it, or it leads to all. What is joined that way round already stays as it is. */
export function linkAll(
  map: TopicMap,
  { ids, one, way, kind }: { ids: readonly string[]; one: string; way: 'to one' | 'from one'; kind: string | null },
  maker: Maker,
): Outcome {
  if (!topicOf(map, one)) return refused('endGone');
  const pairs = ids
    .filter((id) => id !== one && topicOf(map, id))
    .map((id) => (way === 'to one' ? { from: id, to: one } : { from: one, to: id }))
    .filter(({ from, to }) => !map.links.some((link) => link.from === from && link.to === to));
  if (pairs.length === 0) return refused('allLinked');
  if (map.links.length + pairs.length > LIMITS.links) return refused('linksFull', { most: LIMITS.links });
  return done(
    ...pairs.map((ends): Change => ({ do: 'add', to: 'links', item: newLink({ ...ends, phrase: '', kind }, maker) })),
  );
}

/**
 * How far a link bows and where its words stand, by hand: within what a link may hold. A straight one becomes a curve by it,
 * unless the kind alone decides the looks.
 */
export function bendLink(
  map: TopicMap,
  id: string,
  { bend, phraseAt }: { bend?: number; phraseAt?: number },
  rules: Ruled,
): Outcome {
  const link = map.links.find((one) => one.id === id);
  if (!link) return refused('linkGone');
  const { route } = linkStyle(link, rules.legend);
  if (bend !== undefined && route === 'straight' && isFixed(rules)) return refused('looksFixed');
  const within = (value: number, least: number): number => Math.round(Math.min(1, Math.max(least, value)) * 100) / 100;
  return done({
    do: 'set',
    in: 'links',
    id,
    fields: {
      ...(bend !== undefined && { bend: within(bend, -1), ...(route === 'straight' && { route: 'curved' }) }),
      ...(phraseAt !== undefined && { phraseAt: within(phraseAt, 0) }),
    },
  });
}
