import { lineOfTrouble, placesIn } from './lines-of-file';

const TEXT = `{
  "title": "Bridges",
  "terms": [
    { "text": "Arch" },
    { "text": "" }
  ],
  "legend":
    { "topicKinds": [] }
}`;

test.each([
  ['$.title', 2],
  ['$.terms[1].text', 5],
  ['$.terms[1]', 5],
  // What is missing is missing in something.
  ['$.terms[0].kind', 4],
  ['$.brief', 1],
  ['$.legend.topicKinds', 8],
  ['$', 1],
])('%s stands on line %i', (path, line) => {
  expect(placesIn(TEXT, [{ path, reason: 'is wrong' }])).toEqual([{ path, reason: 'is wrong', line }]);
});

test('where a text stops being JSON', () => {
  expect(lineOfTrouble('{\n  "a": 1,\n  "b": ,\n}')).toBe(3);
  expect(lineOfTrouble('{\n  "a": 1')).toBe(2);
});
