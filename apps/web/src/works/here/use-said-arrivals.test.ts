import { arrivalsSaid } from './use-said-arrivals';

const person = (givenName: string) => ({ id: givenName, givenName, familyName: 'X' });
const [amara, kofi, noor] = [person('Amara'), person('Kofi'), person('Noor')];

test('who came and who went is one sentence each, and who came back at once is not mentioned', () => {
  expect(arrivalsSaid([], [amara])).toBe('Amara is here now.');
  expect(arrivalsSaid([], [amara, kofi, noor])).toBe('Amara, Kofi, and Noor are here now.');
  expect(arrivalsSaid([amara, kofi], [kofi, noor])).toBe('Noor is here now. Amara left.');
  expect(arrivalsSaid([amara], [{ ...amara }])).toBeNull();
});
