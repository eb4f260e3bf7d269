import { requirementType } from '../types.js';
import { blank } from '../words.js';

type Params = { graceHours: number };
const HOUR = 3_600_000;

export const onTime = requirementType<Params>({
  id: 'on-time',
  group: 'making',
  asks: () => 'made',
  params: { graceHours: { type: 'number', default: 0, least: 0 } },
  sentence: ({ graceHours }) => [
    'The map is handed in on time',
    ...(graceHours === 0
      ? []
      : [', ', blank('graceHours', graceHours), graceHours === 1 ? ' hour of grace' : ' hours of grace']),
  ],
  messages: {
    open: () => 'This is looked at once the map is handed in, where there is a due time.',
    early: () => 'It was in time.',
    late: ({ hours }) => `It came ${hours} hours late.`,
  },
  check: ({ graceHours }, { context }) => {
    const { due, handedIn } = context ?? {};
    if (!due || !handedIn) return { doesNotApply: 'open' };
    const late = Date.parse(handedIn) - Date.parse(due) - graceHours * HOUR;
    return {
      fraction: late <= 0 ? 1 : 0,
      figures: { lateHours: Math.max(0, late / HOUR) },
      message: late <= 0 ? 'early' : 'late',
      data: { hours: Math.ceil(late / HOUR) },
      evidence: [],
    };
  },
});
