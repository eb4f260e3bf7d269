import type { Align, Arrow, Dash, Legend, Link, LinkKind, Route, Shape, Topic, TopicKind } from './types.js';

export interface TopicStyle {
  shape: Shape;
  fill: string;
  outline: string;
  ink: string;
  fontSize: number;
  bold: boolean;
  italic: boolean;
  align: Align;
  z: number;
}

export interface LinkStyle {
  route: Route;
  bend: number;
  phraseAt: number;
  phraseSize: number;
  colour: string;
  width: number;
  dash: Dash;
  arrow: Arrow;
  z: number;
}

/** How large the words of a link are where no hand made them larger or smaller, canvas units. */
export const PHRASE_SIZE = 13;

export const kindOfTopic = (legend: Legend | undefined, id: string | null): TopicKind | undefined =>
  legend?.topicKinds.find((kind) => kind.id === id);
export const kindOfLink = (legend: Legend | undefined, id: string | null): LinkKind | undefined =>
  legend?.linkKinds.find((kind) => kind.id === id);

/** How a topic looks: its own value, else that of the kind its `kind` names, else the default. */
export function topicStyle(topic: Topic, legend: Legend | undefined): TopicStyle {
  const kind = kindOfTopic(legend, topic.kind);
  return {
    shape: topic.shape ?? kind?.shape ?? 'rounded',
    fill: topic.fill ?? kind?.fill ?? '#ffffff',
    outline: topic.outline ?? kind?.outline ?? '#333333',
    ink: topic.ink ?? kind?.ink ?? '#1a1a1a',
    fontSize: topic.fontSize ?? kind?.fontSize ?? 14,
    bold: topic.bold ?? false,
    italic: topic.italic ?? false,
    align: topic.align ?? 'centre',
    z: topic.z ?? 1,
  };
}

export const linkArrow = ({ arrow, kind }: Link, legend: Legend | undefined): Arrow =>
  arrow ?? kindOfLink(legend, kind)?.arrow ?? 'forward';

/** How a link looks, by the same rule. */
export function linkStyle(link: Link, legend: Legend | undefined): LinkStyle {
  const kind = kindOfLink(legend, link.kind);
  const route = link.route ?? kind?.route ?? 'straight';
  return {
    route,
    bend: link.bend ?? (route === 'curved' ? 0.2 : 0),
    phraseAt: link.phraseAt ?? 0.5,
    phraseSize: link.phraseSize ?? PHRASE_SIZE,
    colour: link.colour ?? kind?.colour ?? '#333333',
    width: link.width ?? kind?.width ?? 1.5,
    dash: link.dash ?? kind?.dash ?? 'solid',
    arrow: linkArrow(link, legend),
    z: link.z ?? 0,
  };
}
