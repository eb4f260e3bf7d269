import { MapIndex } from '../../map-index/map-index.js';
import { mend } from '../../map/mend.js';
import type { Assignment, Topic, TopicMap } from '../../map/types.js';
import { resultOf } from '../../checking/check-map.js';
import { normalForm } from '../../words/normal-form.js';
import { bareMaps } from '../propose.js';
import { finding } from './sheet.js';
import type { Rule } from './sheet.js';

/** What the bare starter has already, and what the reference itself lacks. */

/** Types that, once met, no addition to the map can lose: a starter that meets them leaves nothing to do. */
const STAYS_MET = new Set([
  'all-terms-present',
  'topic-count',
  'link-count',
  'kind-count',
  'supporting-material',
  'prompts-answered',
  'blanks-filled',
  'starter-rewired',
  'depth',
  'main-branches',
  'cross-links',
  'forms-cycle',
  'propositions-present',
  'tour',
]);

export const starterHasIt: Rule = ({ asked, assignment }) => {
  if (!assignment.starter) return [];
  const bare = bareMaps(assignment).map((map) => new MapIndex(mend(map).map, assignment));
  return asked
    .filter(
      ({ type, params, requirement }) =>
        STAYS_MET.has(type.id) &&
        params.max === undefined &&
        type.asks(params) === 'made' &&
        bare.some((index) => resultOf(requirement, index).status === 'met'),
    )
    .map((one) =>
      finding('starter-has-it', [one], `The starter map meets “${one.sentence}” before anybody has begun.`),
    );
};

/** A reference need not name its author, nor be given a tour. */
const NOT_OF_A_REFERENCE = new Set(['map-details', 'tour', 'group-share', 'on-time']);

export const referenceFails: Rule = ({ asked, assignment }) => {
  const { reference } = assignment;
  if (!reference) return [];
  const index = new MapIndex(mend(asBegunFrom(reference, assignment)).map, assignment);
  return asked
    .filter(({ type }) => !NOT_OF_A_REFERENCE.has(type.id))
    .flatMap((one) => {
      const { fraction, message } = resultOf(one.requirement, index);
      return fraction !== null && fraction < 1
        ? [finding('reference-fails', [one], `The reference map itself does not meet “${one.sentence}”: ${message}`)]
        : [];
    });
};

/** The reference with its topics standing for those of the starter: by id, else by the same text or its continuation. */
function asBegunFrom(reference: TopicMap, { starter }: Assignment): TopicMap {
  const given = starter?.topics ?? [];
  const taken = new Set(reference.topics.flatMap(({ origin }) => origin ?? []));
  const originOf = (topic: Topic): string | undefined => {
    if (topic.origin !== undefined) return topic.origin;
    const form = normalForm(topic.text);
    const same = (one: Topic): boolean =>
      one.toComplete ? form.startsWith(normalForm(one.text)) : form === normalForm(one.text);
    const found =
      given.find(({ id }) => id === topic.id && !taken.has(id)) ?? given.find((one) => same(one) && !taken.has(one.id));
    if (found) taken.add(found.id);
    return found?.id;
  };
  return {
    ...reference,
    topics: reference.topics.map((topic) => {
      const origin = originOf(topic);
      return origin === undefined ? topic : { ...topic, origin };
    }),
  };
}
