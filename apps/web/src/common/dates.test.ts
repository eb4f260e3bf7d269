import { instantOf, showFull, showMoment, shortDay } from './dates';

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

test('a day that is kept is shown short; one that no calendar has breaks nothing', () => {
  expect([shortDay('2026-12-05'), shortDay('2026-12-05', 'short'), shortDay('2026-13-99')]).toEqual([
    '5 Dec',
    'Sat 5 Dec',
    '2026-13-99',
  ]);
});
