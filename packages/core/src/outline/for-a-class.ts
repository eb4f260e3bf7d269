import type { TopicMap } from '../map/types.js';

/**
 * A map as it is shown to a class: what is drawn, and nothing that stands behind it (notes, sources, weblinks, files, who made what), nor what
 * is said at the stops of a tour until whoever presents it is there.
 * @param tourId the tour that is shown; null: none
 */
export function forAClass(map: TopicMap, tourId: string | null): TopicMap {
  return {
    ...map,
    topics: map.topics.map(({ note: _1, source: _2, weblinks: _3, files: _4, by: _5, task: _6, ...drawn }) => drawn),
    links: map.links.map(({ by: _, ...drawn }) => drawn),
    tours: map.tours
      .filter(({ id }) => id === tourId)
      .map((tour) => ({ ...tour, stops: tour.stops.map(({ topic }) => ({ topic, words: '' })) })),
    wordBank: [],
  };
}
