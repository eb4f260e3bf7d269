import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';
import { kindNames } from '../words.js';

export const formsCycle = requirementType({
  id: 'forms-cycle',
  group: 'structure',
  asks: () => 'made',
  asksNothing: ({ min }) => min <= 1,
  staysMet: true,
  params: { kinds: { type: 'kinds' }, min: { type: 'number', default: 3, least: 0, whole: true } },
  sentence:
    'Arrows lead round through at least <b-min>{min}</b-min> {kinds, select, undefined {topics} other {<b-kinds>{kinds}</b-kinds>}}',
  shown: ({ kinds }, assignment) => ({ kinds: kindNames(assignment, kinds) }),
  messages: {
    found: 'A circle of {count} is there.',
    none: 'No circle yet: let the last arrow lead back to the first topic.',
    small: 'The largest circle has {count}: take in {missing} more.',
  },
  check: ({ kinds, min }, { index }) => {
    const wanted = new Set(index.topicsOf(kinds).map(({ id }) => id));
    const count = index.cycles.reduce((most, part) => Math.max(most, part.filter((id) => wanted.has(id)).length), 0);
    return {
      fraction: ramp(count, min),
      figures: { topics: count },
      code: count === 0 ? 'none' : count < min ? 'small' : 'found',
      data: { count, missing: min - count },
      evidence: [],
    };
  },
});
