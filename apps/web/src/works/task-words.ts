import type { TopicTask } from '@ichnograph/core';
import type { Person } from '@ichnograph/contract';
import { shortDay } from '../common/dates';

export const TASK_WORDS = { 'to do': 'To do', 'under way': 'Under way', done: 'Done' } as const;

/** How far a task is, until when, and whose. */
export function taskSentence({ state, due, who = [] }: TopicTask, members: readonly Person[]): string {
  const names = who.flatMap((id) => members.find((one) => one.id === id)?.givenName ?? []);
  return [TASK_WORDS[state], due && `until ${shortDay(due)}`, names.join(', ')].filter(Boolean).join(' · ');
}
