import { isStructural } from '../map/kinds.js';
import { kindOfTopic } from '../map/style.js';
import type { Legend, TopicMap } from '../map/types.js';

/**
 * A map as a reviewer sees it: nobody's name on it, and, unless the teacher opens them, nothing that stands behind topics and
 * nothing of kinds that stand beside the structure.
 */
export function forReviewers(map: TopicMap, legend: Legend, withNotes: boolean): TopicMap {
  const topics = withNotes
    ? map.topics
    : map.topics
        .filter(({ kind }) => isStructural(kindOfTopic(legend, kind)))
        .map(({ note: _1, source: _2, weblinks: _3, files: _4, ...drawn }) => drawn);
  const ids = new Set(topics.map(({ id }) => id));
  return {
    ...map,
    author: '',
    topics: topics.map(({ by: _1, task: _2, ...drawn }) => drawn),
    links: map.links.filter(({ from, to }) => ids.has(from) && ids.has(to)).map(({ by: _, ...drawn }) => drawn),
    tours: withNotes ? map.tours : [],
    wordBank: [],
  };
}
