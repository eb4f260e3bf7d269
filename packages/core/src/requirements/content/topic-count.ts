import { RANGE_MESSAGES, RANGE_PARAMS, rangeAsks, rangeVerdict } from '../count-range.js';
import { requirementType } from '../types.js';
import { between, blank, kindNames } from '../words.js';

type Params = { kinds?: string[]; min?: number; max?: number };

export const topicCount = requirementType<Params>({
  id: 'topic-count',
  group: 'content',
  asks: rangeAsks,
  params: { kinds: { type: 'kinds' }, ...RANGE_PARAMS },
  sentence: ({ kinds, min, max }, assignment) => [
    ...between(min, max, 'topics'),
    ...(kinds ? [' of the kind ', blank('kinds', kindNames(assignment, kinds))] : []),
  ],
  messages: RANGE_MESSAGES,
  check: ({ kinds, ...range }, { index }) => rangeVerdict(index.topicsOf(kinds).length, range),
});
