import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';
import { blank, kindNames } from '../words.js';

type Params = { kinds?: string[]; min: number };

export const formsCycle = requirementType<Params>({
  id: 'forms-cycle',
  group: 'structure',
  asks: () => 'made',
  params: { kinds: { type: 'kinds' }, min: { type: 'number', default: 3, least: 0, whole: true } },
  sentence: ({ kinds, min }, assignment) => [
    'Arrows lead round through at least ',
    blank('min', min),
    ' ',
    kinds ? blank('kinds', kindNames(assignment, kinds)) : 'topics',
  ],
  messages: {
    found: ({ count }) => `A circle of ${count} is there.`,
    none: () => 'No circle yet: let the last arrow lead back to the first topic.',
    small: ({ count, min }) => `The largest circle has ${count}: take in ${Number(min) - Number(count)} more.`,
  },
  check: ({ kinds, min }, { index }) => {
    const wanted = new Set(index.topicsOf(kinds).map(({ id }) => id));
    const count = index.cycles.reduce((most, part) => Math.max(most, part.filter((id) => wanted.has(id)).length), 0);
    return {
      fraction: ramp(count, min),
      figures: { topics: count },
      message: count === 0 ? 'none' : count < min ? 'small' : 'found',
      data: { count, min },
      evidence: [],
    };
  },
});
