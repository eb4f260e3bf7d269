import { directionOf, hasRightToLeft } from '../geometry/direction.js';
import { linkStyle } from '../map/style.js';
import type { Change } from '../map/changes.js';
import type { Legend, Topic, TopicMap } from '../map/types.js';

/** Whether a map is read from right to left: more of its topics with letters of such a script begin so than do not. */
export function readsLeftward(topics: readonly Pick<Topic, 'text'>[]): boolean {
  let leftward = 0;
  for (const { text } of topics)
    if (hasRightToLeft(text) && directionOf(text) === 'rtl') leftward++;
    else if (/\p{L}/u.test(text)) leftward--;
  return leftward > 0;
}

/** A map seen in a mirror: what stood at the left stands at the right, and lines bow to the other side. */
export const mirroredMap = (map: TopicMap, legend: Legend | undefined): TopicMap => ({
  ...map,
  topics: map.topics.map((topic) => ({ ...topic, x: -topic.x })),
  links: map.links.map((link) => {
    const { route, bend } = linkStyle(link, legend);
    return route === 'curved' && bend !== 0 ? { ...link, bend: -bend } : link;
  }),
});

/** Changes of places and courses that were reckoned in a mirror, as the map itself takes them. */
export const mirroredChanges = (changes: readonly Change[], map: TopicMap, legend: Legend | undefined): Change[] => {
  const links = new Map(map.links.map((link) => [link.id, link]));
  return changes.map((change) => {
    if (change.do !== 'set') return change;
    const { fields } = change;
    if (typeof fields.x === 'number') return { ...change, fields: { ...fields, x: -fields.x } };
    const link = links.get(change.id);
    if (change.in !== 'links' || !link) return change;
    const { route, bend } = linkStyle({ ...link, ...fields }, legend);
    return route === 'curved' && bend !== 0 ? { ...change, fields: { ...fields, bend: -bend } } : change;
  });
};
