import { figureFault } from './figure-fault';

test.each([
  ['25', false, { least: 0, most: 1000 }, null],
  ['2.5', false, { least: 0 }, null],
  ['-1', false, { least: 0 }, 'It is 0 at least.'],
  ['5000', false, { most: 1000 }, 'It is 1000 at most.'],
  ['2.5', false, { whole: true }, 'Only whole figures are taken here.'],
  ['', false, {}, 'A figure is wanted here.'],
  [' ', false, { mayBeEmpty: true }, null],
  // A sign alone, or letters: the browser gives no text, and that is no wish to say nothing.
  ['', true, { mayBeEmpty: true }, 'That is no figure.'],
  ['12e', false, {}, 'That is no figure.'],
])('“%s” (unreadable: %s) within %j: %s', (text, isBad, limits, fault) => {
  expect(figureFault(text, isBad, limits)).toBe(fault);
});
