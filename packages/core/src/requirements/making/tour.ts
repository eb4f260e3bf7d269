import { ramp } from '../fractions.js';
import { requirementType } from '../types.js';

export const tour = requirementType({
  id: 'tour',
  group: 'making',
  asks: () => 'made',
  asksNothing: ({ minStops }) => minStops === 0,
  notOfReference: true,
  staysMet: true,
  params: { minStops: { type: 'number', default: 3, least: 0, whole: true } },
  sentence:
    'A tour leads through the map in at least <b-minStops>{minStops}</b-minStops> {minStops, plural, one {stop} other {stops}}',
  messages: {
    none: 'No tour yet.',
    found: 'The longest has {count, plural, one {1 stop} other {{count} stops}}.',
    short: 'The longest has {count, plural, one {1 stop} other {{count} stops}}: add {missing} more.',
  },
  check: ({ minStops }, { index }) => {
    const count = Math.max(
      0,
      ...index.map.tours.map(({ stops }) => stops.filter(({ topic }) => index.topicById.has(topic)).length),
    );
    return {
      fraction: ramp(count, minStops),
      figures: { stops: count },
      code: index.map.tours.length === 0 ? 'none' : count < minStops ? 'short' : 'found',
      data: { count, missing: minStops - count },
      evidence: [],
    };
  },
});
