import { instantOf, showFull, showMoment } from './dates';

test('what is typed in the school’s zone is one instant, summer and winter', () => {
  expect(instantOf('2026-11-27', '18:00', 'Europe/Oslo')).toBe('2026-11-27T17:00:00.000Z');
  expect(instantOf('2026-07-01', '18:00', 'Europe/Oslo')).toBe('2026-07-01T16:00:00.000Z');
  expect(instantOf('2026-07-01', '18:00', 'America/Lima')).toBe('2026-07-01T23:00:00.000Z');
});

test.each([
  ['', '18:00'],
  ['2026-11-27', ''],
  ['27.11.2026', '18:00'],
])('%j and %j make no instant', (date, time) => expect(instantOf(date, time, 'UTC')).toBeNull());

test('instants are shown in the school’s zone, wherever the reader is', () => {
  expect(showFull('2026-11-24T23:30:00Z', 'Europe/Oslo')).toBe('Wednesday 25 November 2026, 00:30:00');
  expect(showMoment('2001-01-01T12:00:00Z', 'Europe/Oslo')).toBe('Mon 1 Jan, 13:00');
  expect(showMoment(new Date().toISOString(), 'Europe/Oslo')).toMatch(/^today, \d\d:\d\d$/);
});
