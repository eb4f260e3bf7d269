import { Presence } from './presence.js';

test('whoever said so a moment ago is there, the earliest first, each at their own sheet', () => {
  const presence = new Presence();
  expect(presence.note('a', 'maren', 0)).toEqual(['maren']);
  expect(presence.note('a', 'tobias', 5000)).toEqual(['maren', 'tobias']);
  expect(presence.note('b', 'piet', 5000)).toEqual(['piet']);
  // Maren said nothing for longer than a look or two takes.
  expect(presence.note('a', 'tobias', 15_001)).toEqual(['tobias']);
});
