import type { Legend, Link, TopicMap } from '../map/types.js';
import { propositionOf } from './sentence.js';

/** Links that follow each other, as one running text: "Deck rests on Beam, which carries Dead load." */
export interface Path {
  links: readonly Link[];
  text: string;
}

/**
 * Reads links as one path, along their arrows, in whatever order they were chosen.
 * @returns null where they are fewer than two, part, meet or run in a ring
 */
export function pathOf({ topics, links }: TopicMap, chosen: readonly string[], legend: Legend): Path | null {
  const left = links.filter(({ id }) => chosen.includes(id));
  if (left.length < 2 || left.length !== chosen.length) return null;
  const starts = left.filter(({ from }) => !left.some(({ to }) => to === from));
  if (starts.length !== 1) return null;
  const path = [starts[0]!];
  for (;;) {
    const following = left.filter(({ from }) => from === path.at(-1)!.to);
    if (following.length === 0) break;
    if (following.length > 1 || path.length > left.length) return null;
    path.push(following[0]!);
  }
  if (path.length !== left.length) return null;
  const topicById = new Map(topics.map((topic) => [topic.id, topic]));
  const read = path.map((link) => propositionOf(link, topicById.get(link.from)!, topicById.get(link.to)!, legend));
  const text = read.map(({ from, phrase, to }, i) => `${i === 0 ? from : ', which'} ${phrase || '…'} ${to}`).join('');
  return { links: path, text: `${text}.` };
}
