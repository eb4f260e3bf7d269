import { MapIndex } from '../../map-index/map-index.js';
import { mend } from '../../drawn/mend.js';
import type { Assignment, Topic, TopicMap } from '../../map/types.js';
import { resultOf } from '../../checking/check-map.js';
import { say } from '../../wording/say.js';
import { normalForm } from '../../words/normal-form.js';
import { bareMaps } from '../propose.js';
import { finding } from './sheet.js';
import type { Rule } from './sheet.js';

/** What the bare starter has already, and what the reference itself lacks. */

export const starterHasIt: Rule = ({ asked, assignment }) => {
  if (!assignment.starter) return [];
  const bare = bareMaps(assignment).map((map) => new MapIndex(mend(map).map, assignment));
  return asked
    .filter(
      ({ type, params, requirement }) =>
        type.staysMet &&
        params.max === undefined &&
        type.asks(params) === 'made' &&
        bare.some((index) => resultOf(requirement, index).status === 'met'),
    )
    .map((one) =>
      finding('starter-has-it', [one], `The starter map meets “${one.sentence}” before anybody has begun.`),
    );
};

export const referenceFails: Rule = ({ asked, assignment }) => {
  const { reference } = assignment;
  if (!reference) return [];
  const index = new MapIndex(mend(asBegunFrom(reference, assignment)).map, assignment);
  return asked
    .filter(({ type }) => !type.notOfReference)
    .flatMap((one) => {
      const result = resultOf(one.requirement, index);
      const { fraction } = result;
      return fraction !== null && fraction < 1
        ? [
            finding(
              'reference-fails',
              [one],
              `The reference map itself does not meet “${one.sentence}”: ${say(result.type, result)}`,
            ),
          ]
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
