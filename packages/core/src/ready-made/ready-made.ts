import { readyMadeOf } from './plan.js';
import { PLANS } from './plans.js';
import type { ReadyMade } from './plan.js';

/** What there is to begin from, for a list. */
export const READY_MADE: readonly { id: string; title: string; guidance: string }[] = PLANS.map(
  ({ id, title, guidance }) => ({ id, title, guidance }),
);

export function readyMade(id: string): ReadyMade | null {
  const plan = PLANS.find((one) => one.id === id);
  return plan ? readyMadeOf(plan) : null;
}
