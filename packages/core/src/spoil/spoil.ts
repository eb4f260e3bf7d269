import { MapIndex } from '../map-index/map-index.js';
import type { Assignment, TopicMap } from '../map/types.js';
import type { Random } from '../random.js';
import { allToRoot, cutLoose, stripPhrases, turnArrows, vaguePhrases } from './links.js';
import { darkFills, loseKinds, recolour, tinyText } from './looks.js';
import { crossLines, linesOverText, overlapTopics } from './places.js';
import { doubleTopic, dropTerms, misspellTerms, renameTerms } from './terms.js';
import type { Way } from './way.js';

/** The named ways in which real maps go wrong. */
export const WAYS = {
  'drop-terms': dropTerms,
  'misspell-terms': misspellTerms,
  'rename-terms': renameTerms,
  'cut-loose': cutLoose,
  'strip-phrases': stripPhrases,
  'vague-phrases': vaguePhrases,
  'turn-arrows': turnArrows,
  'cross-lines': crossLines,
  'overlap-topics': overlapTopics,
  'lines-over-text': linesOverText,
  'lose-kinds': loseKinds,
  recolour,
  'dark-fills': darkFills,
  'tiny-text': tinyText,
  'double-topic': doubleTopic,
  'all-to-root': allToRoot,
} as const satisfies Record<string, Way>;

export type WayName = keyof typeof WAYS;
export const isWay = (name: string): name is WayName => Object.hasOwn(WAYS, name);

/**
 * The map as a student might have handed it in who went wrong in this one way; at least half of it is untouched. The same
 * random sequence gives the same map. Where there is nothing to go wrong, the map itself.
 */
export const spoil = (map: TopicMap, assignment: Assignment, way: WayName, random: Random): TopicMap =>
  WAYS[way]({ map, assignment, index: new MapIndex(map, assignment), random });
