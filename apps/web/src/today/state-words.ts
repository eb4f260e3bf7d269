import type { WorkState } from '@ichnograph/contract';

/** How a state reads to the student whose work it is. */
export const STATE_FOR_STUDENT: Record<WorkState, string> = {
  'not begun': 'Not begun',
  'in progress': 'In progress',
  'handed in': 'Handed in',
  'being marked': 'Being marked',
  returned: 'Returned to you',
  done: 'Done',
};

/** In the order a teacher's work goes: what waits first. */
export const STATES_FOR_TEACHER: WorkState[] = [
  'handed in',
  'being marked',
  'returned',
  'in progress',
  'not begun',
  'done',
];
