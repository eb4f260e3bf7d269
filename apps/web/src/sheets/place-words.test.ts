import { placeWords } from './place-words';

test.each([
  ['$.title', 'The title'],
  ['$.requirements[3].params.min', 'Requirement 4'],
  ['$.terms[0].text', 'Term 1'],
  ['$.starter.topics[2]', 'The starter map'],
  // What nobody has named is said as it stands.
  ['$.weather[1]', '$.weather[1]'],
])('%s is “%s”', (path, words) => {
  expect(placeWords(path)).toBe(words);
});
