import { linkStyle, normalForm, topicStyle } from '@ichnograph/core';
import type { Legend, Link, Topic, TopicMap } from '@ichnograph/core';
import type { Say } from '../format.js';
import { named } from './words.js';

/**
 * A map's kinds as a given legend has them: by the name that its own legend gives them; an id that its own does not know is
 * the given one's, or stands for its name. What has no such kind has none, and keeps its looks.
 */
export function ontoKinds(map: TopicMap, legend: Legend, say: Say): TopicMap {
  const { legend: own, ...rest } = map;
  const topicKind = among(legend.topicKinds, own?.topicKinds, say);
  const linkKind = among(legend.linkKinds, own?.linkKinds, say);
  const topic = (one: Topic): Topic => {
    const kind = topicKind(one.kind);
    if (kind !== null || one.kind === null) return { ...one, kind };
    const { shape, fill, outline, ink, fontSize } = topicStyle(one, own);
    return { ...one, kind, shape, fill, outline, ink, fontSize };
  };
  const link = (one: Link): Link => {
    const kind = linkKind(one.kind);
    if (kind !== null || one.kind === null) return { ...one, kind };
    const { route, colour, width, dash, arrow } = linkStyle(one, own);
    return { ...one, kind, route, colour, width, dash, arrow };
  };
  return { ...rest, topics: map.topics.map(topic), links: map.links.map(link), legend };
}

interface Kind {
  id: string;
  name: string;
}

function among(
  given: readonly Kind[],
  own: readonly Kind[] | undefined,
  say: Say,
): (id: string | null) => string | null {
  const refused = new Set<string>();
  return (id) => {
    if (id === null) return null;
    const known = own?.find((kind) => kind.id === id);
    if (!known && given.some((kind) => kind.id === id)) return id;
    const name = known?.name ?? id;
    const found = given.find((kind) => normalForm(kind.name) === normalForm(name));
    if (!found && !refused.has(name)) say(named(name), 'a kind that the assignment does not have, left out');
    refused.add(name);
    return found?.id ?? null;
  };
}
