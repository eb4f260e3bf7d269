import { drawLink } from '../geometry/draw-link.js';
import { pointAlong } from '../geometry/points.js';
import type { Point } from '../geometry/points.js';
import type { Legend, TopicMap } from '../map/types.js';
import { markBoxes } from '../drawn/drawn.js';

/** Canvas units from the upper edge of a region to the middle of its title. */
const TITLE = 11;

/** Where what is said is tied to: a topic's right edge, the end of a link's words, a region's edge level with its title. */
export function anchorPoint(map: TopicMap, legend: Legend | undefined, id: string): Point | null {
  const topic = map.topics.find((one) => one.id === id);
  if (topic) return { x: topic.x + topic.width / 2, y: topic.y };
  const region = markBoxes(map, legend, 'regions').get(id);
  if (region) return { x: region.right, y: region.top + TITLE };
  const link = map.links.find((one) => one.id === id);
  const [from, to] = [link?.from, link?.to].map((end) => map.topics.find((one) => one.id === end));
  if (!link || !from || !to) return null;
  const { line, phrase } = drawLink(link, from, to, legend);
  return phrase
    ? { x: phrase.box.right, y: (phrase.box.top + phrase.box.bottom) / 2 }
    : (pointAlong(line, 0.5) ?? null);
}
