import { RANGE_MESSAGES, RANGE_PARAMS, rangeAsks, rangeVerdict, rangeAsksNothing } from '../count-range.js';
import { NEARLY_MESSAGES, uncountedTopics, withNearly } from '../nearly.js';
import { requirementType } from '../types.js';
import { kindNames, between } from '../words.js';

export const topicCount = requirementType({
  id: 'topic-count',
  group: 'content',
  asks: rangeAsks,
  asksNothing: rangeAsksNothing,
  staysMet: true,
  params: { kinds: { type: 'kinds' }, ...RANGE_PARAMS },
  sentence: `${between('topics')}{kinds, select, undefined {} other { of the kind <b-kinds>{kinds}</b-kinds>}}`,
  shown: ({ kinds }, assignment) => ({ kinds: kindNames(assignment, kinds) }),
  messages: { ...RANGE_MESSAGES, kindless: NEARLY_MESSAGES.kindless, beside: NEARLY_MESSAGES.beside },
  check: ({ kinds, ...range }, { index }) =>
    withNearly(rangeVerdict(index.topicsOf(kinds).length, range), () => uncountedTopics(index, kinds)),
});
