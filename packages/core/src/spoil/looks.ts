import { colourDistance } from '../map/colour.js';
import { topicStyle } from '../map/style.js';
import type { Topic } from '../map/types.js';
import { pick } from '../random.js';
import { some, withTopics } from './way.js';
import type { Spoiling, Way } from './way.js';

const PALE = ['#f7d9e3', '#d9f0d0', '#fbe9b8', '#d6dcf7', '#e9d8c6', '#cdeeee', '#f3cfc0', '#dcd2ee'];
const DARK = ['#1f3044', '#3a1f2b', '#23402f', '#40361c', '#2d2450'];

const kinded = ({ map, index }: Spoiling): Topic[] =>
  map.topics.filter((topic) => topic !== index.root && index.kindOf(topic) !== undefined);

/** Topics are plain where their kind should show. What stands beside the structure keeps its kind. */
export const loseKinds: Way = (spoiling) => {
  const { map, assignment, index, random } = spoiling;
  const able = kinded(spoiling).filter((topic) => index.isStructuralTopic(topic));
  const chosen = able.length ? some(able, 0.3, random) : [];
  return withTopics(
    map,
    chosen.map((topic) => {
      if (assignment.styleMode === 'guided') return { ...topic, kind: null };
      const { shape: _shape, fill: _fill, outline: _outline, ...plain } = topic;
      return { ...plain, kind: null };
    }),
  );
};

/** Topics have a colour that is not their kind's, pale enough to be read. */
export const recolour: Way = (spoiling) => {
  const { map, assignment, random } = spoiling;
  const able = kinded(spoiling);
  const chosen = able.length ? some(able, 0.3, random) : [];
  return withTopics(
    map,
    chosen.map((topic) => {
      const { fill } = topicStyle(topic, assignment.legend);
      const others = PALE.filter(
        (colour) =>
          colourDistance(colour, fill) > 12 &&
          assignment.legend.topicKinds.every((kind) => colourDistance(colour, kind.fill) > 6),
      );
      return { ...topic, fill: pick(others.length ? others : PALE, random) };
    }),
  );
};

/** Fills so dark that the ink on them cannot be read. */
export const darkFills: Way = ({ map, random }) =>
  withTopics(
    map,
    (map.topics.length ? some(map.topics, 0.3, random) : []).map((topic) => ({ ...topic, fill: pick(DARK, random) })),
  );

/** Words so small that nobody reads them. */
export const tinyText: Way = ({ map, random }) =>
  withTopics(
    map,
    (map.topics.length ? some(map.topics, 0.3, random) : []).map((topic) => ({
      ...topic,
      fontSize: pick([6, 7, 8], random),
    })),
  );
