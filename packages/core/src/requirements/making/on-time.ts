import { requirementType } from '../types.js';

const HOUR = 3_600_000;

export const onTime = requirementType({
  id: 'on-time',
  group: 'making',
  asks: () => 'made',
  notOfReference: true,
  params: { graceHours: { type: 'number', default: 0, least: 0 } },
  sentence:
    'The map is handed in on time{graceHours, plural, =0 {} one {, <b-graceHours>{graceHours}</b-graceHours> hour of grace} other {, <b-graceHours>{graceHours}</b-graceHours> hours of grace}}',
  messages: {
    open: 'This is looked at once the map is handed in, where there is a due time.',
    early: 'It was in time.',
    late: 'It came {hours, plural, one {1 hour} other {{hours} hours}} late.',
  },
  check: ({ graceHours }, { context }) => {
    const { due, handedIn } = context ?? {};
    if (!due || !handedIn) return { doesNotApply: 'open' };
    const late = Date.parse(handedIn) - Date.parse(due) - graceHours * HOUR;
    return {
      fraction: late <= 0 ? 1 : 0,
      figures: { lateHours: Math.max(0, late / HOUR) },
      code: late <= 0 ? 'early' : 'late',
      data: { hours: Math.ceil(late / HOUR) },
      evidence: [],
    };
  },
});
