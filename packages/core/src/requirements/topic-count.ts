import { ramp } from './fractions.js';
import { requirementType } from './types.js';
import { between, blank, kindNames, more, tooMany } from './words.js';

type Params = { kinds?: string[]; min?: number; max?: number };

export const topicCount = requirementType<Params>({
  id: 'topic-count',
  group: 'content',
  params: {
    kinds: { type: 'kinds' },
    min: { type: 'number', least: 0, whole: true },
    max: { type: 'number', least: 0, whole: true },
  },
  sentence: ({ kinds, min, max }, assignment) => [
    ...between(min, max, 'topics'),
    ...(kinds ? [' of the kind ', blank('kinds', kindNames(assignment, kinds))] : []),
  ],
  messages: {
    enough: ({ count }) => `${count} on the map.`,
    few: ({ count, min }) => `${count} on the map: ${more(count, min)}.`,
    many: ({ count, max }) => `${count} on the map: ${tooMany(count, max)}.`,
  },
  check: ({ kinds, min, max }, { index }) => {
    const count = index.topicsOf(kinds).length;
    const message = max !== undefined && count > max ? 'many' : min !== undefined && count < min ? 'few' : 'enough';
    return {
      fraction: ramp(count, min, max),
      figures: { count },
      message,
      data: { count, ...(min !== undefined && { min }), ...(max !== undefined && { max }) },
      evidence: [],
    };
  },
});
