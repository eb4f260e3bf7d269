import { timeWords } from './figures';

test.each([
  [2, 'second'],
  [10, 'tenth'],
  [11, '11th'],
  [12, '12th'],
  [13, '13th'],
  [21, '21st'],
  [22, '22nd'],
  [103, '103rd'],
  [111, '111th'],
])('%i: for the %s time', (number, words) => {
  expect(timeWords(number)).toBe(`for the ${words} time`);
});
