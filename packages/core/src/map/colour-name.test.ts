import { BRANCH_FILLS } from '../commands/recolour.js';
import { colourName } from './colour-name.js';

test.each([
  ['#ffffff', 'white'],
  ['#000000', 'black'],
  ['#808080', 'grey'],
  ['#1f4e79', 'dark blue'],
  ['#7a2e5d', 'dark pink'],
  ['#8a5a00', 'brown'],
  ['#2f6b3c', 'dark green'],
  ['#ff0000', 'red'],
  ['#e3ddf2', 'pale violet'],
  ['#cfe0dc', 'pale turquoise'],
  ['no colour', 'no colour'],
])('%s is %s', (hex, name) => expect(colourName(hex)).toBe(name));

test('fills that are offered side by side have names that differ, but for two', () =>
  expect(new Set(BRANCH_FILLS.map(colourName)).size).toBeGreaterThanOrEqual(BRANCH_FILLS.length - 2));
