import { busyClock } from './busy-time.js';

test.each([
  ['while little time has gone, the wall’s', 400, 0, 400],
  ['of a process that was never let go on, what is free', 9000, 10, 500],
  ['of one that was busy all the time, the wall’s', 3000, 3000, 3000],
  ['of one whose other threads were busy too, no more than the wall’s', 3000, 5500, 3000],
  ['of one that got half a processor, what it was busy', 3000, 1500, 1500],
])('%s', (_, elapsed, used, told) => {
  let [wall, busy] = [70, 20];
  const now = busyClock(
    500,
    () => wall,
    () => busy,
  );
  expect(now()).toBe(0);
  [wall, busy] = [wall + elapsed, busy + used];
  expect(now()).toBe(told);
});

test('by default it goes on while this process works, and is not ahead of the wall', () => {
  const now = busyClock(0);
  // However little of a processor a busy machine gives it.
  const began = process.cpuUsage();
  while (process.cpuUsage(began).user < 40_000);
  expect(now()).toBeGreaterThan(20);
  expect(now()).toBeLessThan(10_000);
});
