import { done, refused } from '../map/changes.js';
import type { Maker, Outcome } from '../map/changes.js';
import { LIMITS } from '../map/types.js';
import type { Tour, TopicMap } from '../map/types.js';
import { topicOf } from './maker.js';

/** A way through a map: topics in order as stops, with words for each. */

type Stop = Tour['stops'][number];

/** Characters that the words of one stop have room for. */
const MOST_WORDS = 5000;
const MOST_STOPS = 500;

const tourOf = (map: TopicMap, id: string): Tour | undefined => map.tours.find((tour) => tour.id === id);
const set = (id: string, fields: Partial<Tour>): Outcome => done({ do: 'set', in: 'tours', id, fields });

/** Begins a tour with topics as its stops, in the order in which they are given. */
export function makeTour(map: TopicMap, title: string, topics: readonly string[], maker: Maker): Outcome {
  if (title.length > LIMITS.text) return refused('titleTooLong', { most: LIMITS.text });
  const stops = topics.filter((id) => topicOf(map, id)).map((topic) => ({ topic, words: '' }));
  if (stops.length > MOST_STOPS) return refused('stopsFull', { most: MOST_STOPS });
  return done({ do: 'add', to: 'tours', item: { id: maker.newId(), title: title.trim(), stops } });
}

export function nameTour(map: TopicMap, id: string, title: string): Outcome {
  if (!tourOf(map, id)) return refused('tourGone');
  if (title.length > LIMITS.text) return refused('titleTooLong', { most: LIMITS.text });
  return set(id, { title: title.trim() });
}

export const removeTour = (map: TopicMap, id: string): Outcome =>
  tourOf(map, id) ? done({ do: 'remove', from: 'tours', id }) : refused('tourGone');

/** Stops of a tour as they are wanted; a topic may be a stop more than once. */
function setStops(map: TopicMap, id: string, change: (stops: readonly Stop[]) => readonly Stop[]): Outcome {
  const tour = tourOf(map, id);
  if (!tour) return refused('tourGone');
  const stops = change(tour.stops);
  if (stops.length > MOST_STOPS) return refused('stopsFull', { most: MOST_STOPS });
  return stops === tour.stops ? done() : set(id, { stops: [...stops] });
}

/** Goes to topics too, after a stop or at the end. */
export const addStops = (map: TopicMap, id: string, topics: readonly string[], after?: number): Outcome =>
  setStops(map, id, (stops) => {
    const added = topics.filter((topic) => topicOf(map, topic)).map((topic) => ({ topic, words: '' }));
    return added.length === 0 ? stops : stops.toSpliced((after ?? stops.length - 1) + 1, 0, ...added);
  });

export const removeStop = (map: TopicMap, id: string, at: number): Outcome =>
  setStops(map, id, (stops) => (stops[at] ? stops.toSpliced(at, 1) : stops));

/** Takes a stop to another place of its tour. */
export const moveStop = (map: TopicMap, id: string, from: number, to: number): Outcome =>
  setStops(map, id, (stops) => {
    const stop = stops[from];
    if (!stop || to < 0 || to >= stops.length || from === to) return stops;
    return stops.toSpliced(from, 1).toSpliced(to, 0, stop);
  });

/** Says what is said at a stop. */
export function sayAtStop(map: TopicMap, id: string, at: number, words: string): Outcome {
  if (words.length > MOST_WORDS) return refused('noteTooLong', { most: MOST_WORDS });
  return setStops(map, id, (stops) => {
    const stop = stops[at];
    return !stop || stop.words === words ? stops : stops.with(at, { ...stop, words });
  });
}
