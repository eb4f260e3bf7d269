import { rangeAsksNothing } from '../count-range.js';
import { ramp } from '../fractions.js';
import { NEARLY_MESSAGES, uncountedTopics, withNearly } from '../nearly.js';
import { requirementType } from '../types.js';
import { kindNames } from '../words.js';

export const kindCount = requirementType({
  id: 'kind-count',
  group: 'content',
  asks: ({ min }) => (min > 0 ? 'made' : 'kept'),
  asksNothing: rangeAsksNothing,
  staysMet: true,
  params: {
    kind: { type: 'kind', required: true },
    min: { type: 'number', default: 1, least: 0, whole: true },
    max: { type: 'number', least: 0, whole: true },
  },
  sentence:
    '{exact, select, yes {Exactly <b-min>{min}</b-min> {min, plural, one {topic} other {topics}}} other {{max, select, undefined {At least <b-min>{min}</b-min> {min, plural, one {topic} other {topics}}} other {Between <b-min>{min}</b-min> and <b-max>{max}</b-max> topics}}}} of the kind <b-kind>{kind}</b-kind>' +
    '{exact, select, yes {{min, plural, one { is} other { are}}} other {{max, select, undefined {{min, plural, one { is} other { are}}} other { are}}}} on the map',
  shown: ({ kind }, assignment) => ({ kind: kindNames(assignment, [kind]) }),
  messages: {
    enough: '{count} on the map.',
    few: '{count} on the map: add {missing} more.',
    many: '{count} on the map: {over} too many.',
    tooMany: 'Keep {max} of them, the strongest ones.',
    kindless: NEARLY_MESSAGES.kindless,
  },
  check: ({ kind, min, max }, { index }) => {
    const topics = index.map.topics.filter((topic) => index.kindOf(topic)?.id === kind);
    const count = topics.length;
    const over = max !== undefined && count > max;
    const verdict = {
      fraction: ramp(count, min, max),
      figures: { count },
      code: over ? 'many' : count < min ? 'few' : 'enough',
      data: { count, missing: min - count, ...(max !== undefined && { over: count - max }) },
      evidence: over ? [{ code: 'tooMany', data: { max }, topics: topics.map(({ id }) => id) }] : [],
    };
    return withNearly(verdict, () => uncountedTopics(index, [kind]));
  },
});
