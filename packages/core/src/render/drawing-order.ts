import { linkStyle, topicStyle } from '../map/style.js';
import type { Legend, Link, Topic, TopicMap } from '../map/types.js';

export type Mark = { what: 'topic'; topic: Topic } | { what: 'link'; link: Link };

/** What is drawn first comes first: by z, at one z links before topics, then file order. */
export function drawingOrder(map: TopicMap, legend: Legend | undefined): Mark[] {
  const marks: { z: number; layer: number; mark: Mark }[] = [
    ...map.links.map((link) => ({ z: linkStyle(link, legend).z, layer: 0, mark: { what: 'link' as const, link } })),
    ...map.topics.map((topic) => ({
      z: topicStyle(topic, legend).z,
      layer: 1,
      mark: { what: 'topic' as const, topic },
    })),
  ];
  return marks.sort((a, b) => a.z - b.z || a.layer - b.layer).map(({ mark }) => mark);
}
