import { ownAssignment, OWN_LEGEND } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';
import { packed, unpacked } from './shared-assignment.js';

/** What a thread is given, as it comes through a port. */
const sent = <T extends { assignment: Assignment; n: number }>(task: T): T => structuredClone(packed(task)) as T;
const opened = unpacked(({ assignment }: { assignment: Assignment; n: number }) => assignment);
const named = (title: string): Assignment => ownAssignment(title, OWN_LEGEND);

test('an assignment comes as it was, is read once for all tasks that name it, and what else a task holds comes along', () => {
  const one = named('One');
  const first = opened(sent({ assignment: one, n: 1 }));
  expect(first).toEqual(one);
  expect(first).not.toBe(one);
  expect(opened(sent({ assignment: one, n: 2 }))).toBe(first);
  expect(opened(sent({ assignment: named('One'), n: 3 }))).not.toBe(first);
  expect(unpacked(({ n }: { assignment: Assignment; n: number }) => n)(sent({ assignment: one, n: 4 }))).toBe(4);
});

test('a task that names none goes as it is', () => {
  const task = { papers: [], onePage: true };
  expect(packed(task)).toBe(task);
});

test('what many others came after is read again, and is the same', () => {
  const old = named('Old');
  const before = opened(sent({ assignment: old, n: 0 }));
  for (let i = 0; i < 20; i++) opened(sent({ assignment: named(`${i}`), n: i }));
  const after = opened(sent({ assignment: old, n: 0 }));
  expect(after).not.toBe(before);
  expect(after).toEqual(before);
});
