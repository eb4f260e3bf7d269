import { emptyMap, fitTopic } from '@ichnograph/core';
import type { Legend, Link, Topic, TopicMap } from '@ichnograph/core';

type TopicRow = [id: string, text: string, kind: string | null, x: number, y: number, more?: Partial<Topic>];
type LinkRow = [from: string, phrase: string, to: string, more?: Partial<Link>];

/** A map written as two short lists; sizes follow from the text as everywhere. */
export function draw(legend: Legend, title: string, topics: readonly TopicRow[], links: readonly LinkRow[]): TopicMap {
  return {
    ...emptyMap(),
    title,
    topics: topics.map(([id, text, kind, x, y, more]) => {
      const topic: Topic = { id, text, kind, x, y, width: 0, height: 0, ...more };
      return { ...topic, ...fitTopic(topic, legend) };
    }),
    links: links.map(([from, phrase, to, more], i) => ({
      id: `link-${i + 1}`,
      from,
      to,
      phrase,
      kind: 'says',
      ...more,
    })),
  };
}
