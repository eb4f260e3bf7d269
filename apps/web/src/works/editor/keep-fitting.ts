import { fitTopic } from '@ichnograph/core';
import type { Change, Legend, TopicMap } from '@ichnograph/core';

/** So many topics that were written last are kept an eye on: others' letters come into them within seconds. */
const MOST = 40;

/**
 * Where two write into one topic at once their letters are merged, and neither of their sizes fits what came of it. Each page
 * looks at the topics that it wrote itself; all come to the same size, which follows from words and legend alone.
 */
export function keepFitting(legend: Legend) {
  const written = new Map<string, string>();
  return {
    wrote: (changes: readonly Change[]): void => {
      for (const change of changes) {
        if (change.do !== 'set' || change.in !== 'topics' || typeof change.fields.text !== 'string') continue;
        written.delete(change.id);
        written.set(change.id, change.fields.text);
        const [oldest] = written.keys();
        if (written.size > MOST) written.delete(oldest!);
      }
    },
    /** What has to follow so that everything fits. */
    after: ({ topics }: TopicMap): Change[] =>
      written.size === 0
        ? []
        : topics.flatMap((topic): Change[] => {
            const mine = written.get(topic.id);
            if (mine === undefined || mine === topic.text) return [];
            written.set(topic.id, topic.text);
            const { width, height } = fitTopic(topic, legend);
            if (width === topic.width && height === topic.height) return [];
            return [{ do: 'set', in: 'topics', id: topic.id, fields: { width, height } }];
          }),
  };
}
