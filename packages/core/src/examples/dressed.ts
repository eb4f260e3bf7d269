import { fitTopic } from '../geometry/fit.js';
import { isStructural } from '../map/kinds.js';
import type { Assignment, Legend, LinkKind, TopicKind, TopicMap } from '../map/types.js';
import { exampleLegend } from './sketch.js';

/** Which kind of a legend stands for each kind that examples are written with. */
export interface Roles {
  topics: ReadonlyMap<string, string>;
  links: ReadonlyMap<string, string>;
}

type Preferred = Readonly<Record<string, string | undefined>>;

/**
 * The kinds of an assignment's legend that play the parts of the examples' own: what starts the map, what is handed out, what
 * is one's own, what stands beside the structure. No kind plays two parts, so that a part may find nobody.
 * @param preferred by an example's kind, the kind that shall play it
 */
export function rolesIn({ topicKinds, linkKinds }: Legend, preferred: Preferred = {}): Roles {
  const isRoot = (kind: TopicKind): boolean => kind.root === true;
  const from = (who: TopicKind['givenBy']) => (kind: TopicKind) =>
    kind.givenBy === who && isStructural(kind) && !isRoot(kind);
  return {
    topics: cast<TopicKind>(topicKinds, preferred, [
      ['bridge', [isRoot]],
      ['target', [(kind) => !isStructural(kind)]],
      ['family', [from('student'), from('teacher')]],
      ['part', [from('teacher'), from('student')]],
      ['force', [from('teacher'), from('student')]],
    ]),
    links: cast<LinkKind>(linkKinds, preferred, [
      ['shows', [(kind) => !isStructural(kind)]],
      ['says', [isStructural]],
    ]),
  };
}

function cast<K extends { id: string }>(
  kinds: readonly K[],
  preferred: Preferred,
  parts: readonly (readonly [part: string, suits: readonly ((kind: K) => boolean)[]])[],
): Map<string, string> {
  const cast = new Map<string, string>();
  for (const [part] of parts) {
    const wanted = kinds.find(({ id }) => id === preferred[part]);
    if (wanted) cast.set(part, wanted.id);
  }
  const isFree = ({ id }: K): boolean => ![...cast.values()].includes(id);
  for (const [part, suits] of parts) {
    if (cast.has(part)) continue;
    const found = suits.flatMap((suit) => kinds.find((kind) => isFree(kind) && suit(kind)) ?? [])[0];
    if (found) cast.set(part, found.id);
  }
  return cast;
}

const OWN = {
  topics: new Set(exampleLegend.topicKinds.map(({ id }) => id)),
  links: new Set(exampleLegend.linkKinds.map(({ id }) => id)),
};

/** A map that was written with the examples' legend, as another one draws it; null where a part finds nobody. */
export function dressed(map: TopicMap, { topics, links }: Roles, legend: Legend): TopicMap | null {
  const plays = (kind: string | null, of: ReadonlyMap<string, string>): string | null | undefined =>
    kind === null ? null : of.get(kind);
  const dress = {
    topics: map.topics.map((topic) => ({ ...topic, kind: plays(topic.kind, topics) })),
    links: map.links.map((link) => ({ ...link, kind: plays(link.kind, links) })),
  };
  if ([...dress.topics, ...dress.links].some(({ kind }) => kind === undefined)) return null;
  return {
    ...map,
    topics: dress.topics.map((one) => {
      const topic = { ...one, kind: one.kind ?? null };
      return { ...topic, ...fitTopic(topic, legend) };
    }),
    links: dress.links.map((one) => ({ ...one, kind: one.kind ?? null })),
  };
}

/** Parameters in which kinds are named, with those that play them; null where a part finds nobody. */
export function dressedParams(
  params: Record<string, unknown>,
  { topics, links }: Roles,
): Record<string, unknown> | null {
  let whole = true;
  const dress = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(dress);
    if (typeof value !== 'string') return value;
    const own = OWN.topics.has(value) ? topics : OWN.links.has(value) ? links : null;
    if (!own) return value;
    whole &&= own.has(value);
    return own.get(value);
  };
  const dressedOnes = Object.fromEntries(Object.entries(params).map(([name, value]) => [name, dress(value)]));
  return whole ? dressedOnes : null;
}

export const dressedGiven = (given: Partial<Assignment>, roles: Roles, legend: Legend): Partial<Assignment> | null => {
  const map = (one: TopicMap | null | undefined) => (one ? dressed(one, roles, legend) : one);
  const [starter, reference] = [map(given.starter), map(given.reference)];
  if ((given.starter && !starter) || (given.reference && !reference)) return null;
  return {
    ...given,
    ...(starter && { starter }),
    ...(reference && { reference }),
    ...(given.terms && {
      terms: given.terms.map((term) => (term.kind ? { ...term, kind: roles.topics.get(term.kind) ?? null } : term)),
    }),
  };
};
