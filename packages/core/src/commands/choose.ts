import { effectiveKind } from '../map/kinds.js';
import { linkStyle, topicStyle } from '../map/style.js';
import { LINK_LOOKS, TOPIC_LOOKS } from '../map/types.js';
import type { Assignment, Link, Topic, TopicMap } from '../map/types.js';
import { branchOf } from './hanging.js';

export const CHOICES = ['links that leave', 'links that arrive', 'branch', 'same kind', 'same looks'] as const;
export type Choice = (typeof CHOICES)[number];

type Rules = Pick<Assignment, 'legend' | 'styleMode'>;

/** What is chosen in one step from what is chosen now, by id, in the map's order. */
export function chooseBy(map: TopicMap, ids: readonly string[], choice: Choice, rules: Rules): string[] {
  const topics = map.topics.filter(({ id }) => ids.includes(id));
  const links = map.links.filter(({ id }) => ids.includes(id));
  switch (choice) {
    case 'links that leave':
      return map.links.flatMap(({ id, from }) => (ids.includes(from) ? [id] : []));
    case 'links that arrive':
      return map.links.flatMap(({ id, to }) => (ids.includes(to) ? [id] : []));
    case 'branch': {
      const branch = new Set(
        branchOf(
          map,
          topics.map(({ id }) => id),
        ),
      );
      return [...branch, ...map.links.flatMap(({ id, from, to }) => (branch.has(from) && branch.has(to) ? [id] : []))];
    }
    case 'same kind': {
      const kindOf = (topic: Topic): string => effectiveKind(topic, rules)?.id ?? '';
      const [ofTopics, ofLinks] = [new Set(topics.map(kindOf)), new Set(links.map(({ kind }) => kind))];
      return [
        ...map.topics.flatMap((topic) => (ofTopics.has(kindOf(topic)) ? [topic.id] : [])),
        ...map.links.flatMap(({ id, kind }) => (ofLinks.has(kind) ? [id] : [])),
      ];
    }
    case 'same looks': {
      const [ofTopics, ofLinks] = [
        new Set(topics.map((topic) => looksOf(topic, rules))),
        new Set(links.map((link) => lineOf(link, rules))),
      ];
      return [
        ...map.topics.flatMap((topic) => (ofTopics.has(looksOf(topic, rules)) ? [topic.id] : [])),
        ...map.links.flatMap((link) => (ofLinks.has(lineOf(link, rules)) ? [link.id] : [])),
      ];
    }
  }
}

function looksOf(topic: Topic, { legend }: Rules): string {
  const style = topicStyle(topic, legend);
  return JSON.stringify(TOPIC_LOOKS.map((look) => style[look]));
}

/** A link's looks without how far it bows, which is its place and no look. */
function lineOf(link: Link, { legend }: Rules): string {
  const style = linkStyle(link, legend);
  return JSON.stringify(LINK_LOOKS.filter((look) => look !== 'bend').map((look) => style[look]));
}
