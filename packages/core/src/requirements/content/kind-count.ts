import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';
import { blank, kindName, manyOf, plural } from '../words.js';

type Params = { kind: string; min: number; max?: number };

export const kindCount = requirementType<Params>({
  id: 'kind-count',
  group: 'content',
  asks: ({ min }) => (min > 0 ? 'made' : 'kept'),
  params: {
    kind: { type: 'kind', required: true },
    min: { type: 'number', default: 1, least: 0, whole: true },
    max: { type: 'number', least: 0, whole: true },
  },
  sentence: ({ kind, min, max }, assignment) => {
    const name = kindName(assignment, kind);
    const one = (max ?? min) === 1;
    const named = blank('kind', one ? name : manyOf(name));
    return max === undefined
      ? ['At least ', blank('min', min), ' ', named, one ? ' is on the map' : ' are on the map']
      : ['Between ', blank('min', min), ' and ', blank('max', max), ' ', named, ' are on the map'];
  },
  messages: {
    enough: ({ count }) => `${count} on the map.`,
    few: ({ count, min }) => `${count} on the map: add ${plural(Number(min) - Number(count), 'more', 'more')}.`,
    many: ({ count, max }) => `${count} on the map: ${Number(count) - Number(max)} too many.`,
    tooMany: ({ name, max }) => `Keep ${max} of the ${name}, the strongest ones.`,
  },
  check: ({ kind, min, max }, { index, assignment }) => {
    const topics = index.map.topics.filter((topic) => index.kindOf(topic)?.id === kind);
    const count = topics.length;
    const over = max !== undefined && count > max;
    return {
      fraction: ramp(count, min, max),
      figures: { count },
      message: over ? 'many' : count < min ? 'few' : 'enough',
      data: { count, min, ...(max !== undefined && { max }) },
      evidence: over
        ? [
            {
              message: 'tooMany',
              data: { name: manyOf(kindName(assignment, kind)), max },
              topics: topics.map(({ id }) => id),
            },
          ]
        : [],
    };
  },
});
