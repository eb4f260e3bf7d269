import { normalForm } from '../words/normal-form.js';
import { effectiveKind } from './kinds.js';
import { kindOfLink, kindOfTopic, linkStyle, topicStyle } from './style.js';
import type { Legend, Link, Topic, TopicMap } from './types.js';

/**
 * A map that was drawn with another legend, as this one tells its kinds: by the kind's name, else by how it looks, else by
 * none, and then it keeps its looks. Words, places and ties stay. What the map's legend does not know is taken for a kind of
 * this legend by its id.
 */
export function ontoLegend(map: TopicMap, legend: Legend, put: KindsPut = {}): TopicMap {
  const { legend: own, ...rest } = map;
  if (!own) return rest;
  const topic = (one: Topic): Topic => {
    const was = kindOfTopic(own, one.kind);
    if (!was) return one;
    const named = chosen(was.name, legend.topicKinds, put);
    if (named) return { ...one, kind: named.id };
    const looks = topicStyle(one, own);
    const alike = effectiveKind({ ...one, ...looks, kind: null }, { styleMode: 'free', legend });
    return alike ? { ...one, kind: alike.id } : { ...one, ...pickLooks(looks), kind: null };
  };
  const link = (one: Link): Link => {
    const was = kindOfLink(own, one.kind);
    if (!was) return one;
    const named = chosen(was.name, legend.linkKinds, put);
    if (named) return { ...one, kind: named.id };
    const { route, colour, width, dash, arrow } = linkStyle(one, own);
    const alike = legend.linkKinds.find((kind) => {
      const style = linkStyle({ ...one, kind: kind.id }, legend);
      return style.dash === dash && style.colour === colour && style.width === width;
    });
    return alike ? { ...one, kind: alike.id } : { ...one, kind: null, route, colour, width, dash, arrow };
  };
  return { ...rest, topics: map.topics.map(topic), links: map.links.map(link) };
}

/** What somebody said about names of kinds: the id of the kind that each stands for. */
export type KindsPut = Readonly<Record<string, string>>;

const chosen = <T extends { id: string; name: string }>(
  name: string,
  kinds: readonly T[],
  put: KindsPut,
): T | undefined => kinds.find(({ id }) => id === put[normalForm(name)]) ?? sameName(name, kinds);

/** Names of kinds that a map uses and a legend does not have, in the map's order. */
export function kindsUnknown(map: TopicMap, legend: Legend): { topics: string[]; links: string[] } {
  const { legend: own } = map;
  if (!own) return { topics: [], links: [] };
  const names = (used: readonly ({ name: string } | undefined)[], kinds: readonly { name: string }[]): string[] => [
    ...new Set(used.flatMap((kind) => (kind && !sameName(kind.name, kinds) ? [kind.name] : []))),
  ];
  return {
    topics: names(
      map.topics.map(({ kind }) => kindOfTopic(own, kind)),
      legend.topicKinds,
    ),
    links: names(
      map.links.map(({ kind }) => kindOfLink(own, kind)),
      legend.linkKinds,
    ),
  };
}

function sameName<T extends { name: string }>(name: string, kinds: readonly T[]): T | undefined {
  const wanted = normalForm(name);
  return kinds.find((kind) => normalForm(kind.name) === wanted);
}

const pickLooks = ({ shape, fill, outline, ink, fontSize }: ReturnType<typeof topicStyle>) => ({
  shape,
  fill,
  outline,
  ink,
  fontSize,
});
