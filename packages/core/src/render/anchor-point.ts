import { drawLink } from '../geometry/draw-link.js';
import { pointAlong } from '../geometry/points.js';
import type { Point } from '../geometry/points.js';
import type { Legend, TopicMap } from '../map/types.js';

/** Where what is said of a topic or link is tied to it: at a topic's right edge, at the end of a link's words. */
export function anchorPoint(map: TopicMap, legend: Legend | undefined, id: string): Point | null {
  const topic = map.topics.find((one) => one.id === id);
  if (topic) return { x: topic.x + topic.width / 2, y: topic.y };
  const region = map.regions.find((one) => one.id === id);
  if (region) {
    const first = map.topics.find((one) => region.topics.includes(one.id));
    return first ? { x: first.x + first.width / 2, y: first.y } : null;
  }
  const link = map.links.find((one) => one.id === id);
  const [from, to] = [link?.from, link?.to].map((end) => map.topics.find((one) => one.id === end));
  if (!link || !from || !to) return null;
  const { line, phrase } = drawLink(link, from, to, legend);
  return phrase
    ? { x: phrase.box.right, y: (phrase.box.top + phrase.box.bottom) / 2 }
    : (pointAlong(line, 0.5) ?? null);
}
