import { linkStyle, topicStyle } from '@ichnograph/core';
import type { Legend, Link, Topic, TopicMap } from '@ichnograph/core';
import { fitForXml } from '../files/xml.js';
import { kindName, linkKindName } from '../outlines/lines.js';

export const NAMESPACE = 'http://graphml.graphdrawing.org/xmlns';
/** The key under which all of a map, a topic or a link is kept for our own reader. */
export const WHOLE = 'ichnograph';

export type Plain = Readonly<Record<string, string | undefined>>;

/** What any program reads of a topic: resolved, by the names of GraphML's keys. */
export function plainTopic(topic: Topic, legend: Legend | undefined): Plain {
  const { shape, fill, outline, ink, fontSize } = topicStyle(topic, legend);
  return {
    label: fitForXml(topic.text),
    kind: fitted(kindName(legend, topic)),
    x: String(topic.x),
    y: String(topic.y),
    width: String(topic.width),
    height: String(topic.height),
    shape,
    fill,
    outline,
    ink,
    fontSize: String(fontSize),
    note: fitted(topic.note),
  };
}

export function plainLink(link: Link, legend: Legend | undefined): Plain {
  const { colour, width, dash, route, arrow } = linkStyle(link, legend);
  return {
    label: fitForXml(link.phrase),
    kind: fitted(linkKindName(legend, link)),
    colour,
    lineWidth: String(width),
    dash,
    route,
    arrow,
  };
}

export const plainMap = ({ title, author, focusQuestion }: TopicMap): Plain => ({
  title: fitForXml(title),
  author: fitForXml(author),
  focusQuestion: fitForXml(focusQuestion),
});
const fitted = (text: string | undefined): string | undefined => text && fitForXml(text);
