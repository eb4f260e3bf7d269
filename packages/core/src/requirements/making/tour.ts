import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';
import { blank, plural } from '../words.js';

type Params = { minStops: number };

export const tour = requirementType<Params>({
  id: 'tour',
  group: 'making',
  asks: () => 'made',
  params: { minStops: { type: 'number', default: 3, least: 0, whole: true } },
  sentence: ({ minStops }) => [
    'A tour leads through the map in at least ',
    blank('minStops', minStops),
    minStops === 1 ? ' stop' : ' stops',
  ],
  messages: {
    none: () => 'No tour yet.',
    found: ({ count }) => `The longest has ${plural(Number(count), 'stop')}.`,
    short: ({ count, min }) =>
      `The longest has ${plural(Number(count), 'stop')}: add ${Number(min) - Number(count)} more.`,
  },
  check: ({ minStops }, { index }) => {
    const count = Math.max(
      0,
      ...index.map.tours.map(({ stops }) => stops.filter(({ topic }) => index.topicById.has(topic)).length),
    );
    return {
      fraction: ramp(count, minStops),
      figures: { stops: count },
      message: index.map.tours.length === 0 ? 'none' : count < minStops ? 'short' : 'found',
      data: { count, min: minStops },
      evidence: [],
    };
  },
});
