import { isBlank } from '@ichnograph/core';
import type { TopicMap } from '@ichnograph/core';

/** The id of the list of a map's topics that fields suggest. */
export const TOPIC_NAMES = 'topics-of-map';

/** What fields that name a topic suggest. */
export function TopicNames({ topics }: Pick<TopicMap, 'topics'>) {
  return (
    <datalist id={TOPIC_NAMES}>
      {topics.map(({ id, text }) => (isBlank(text) ? null : <option key={id} value={text} />))}
    </datalist>
  );
}
