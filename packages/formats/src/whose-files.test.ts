import { whoseFiles } from './whose-files.js';

const people = [
  ['noor', 'Noor', 'Halvorsen'],
  ['juno', 'Juno', 'Castellanos'],
  ['kofi', 'Kofi', 'Mensah-Boateng'],
  ['amy', 'Amara', 'Öztürk'],
  ['ann', 'Ann', 'Halvorsen'],
].map(([id, givenName, familyName]) => ({ id: id!, givenName: givenName!, familyName: familyName! }));

const whose = (...files: string[]) => whoseFiles(files, people);

test('a file is told by the names in its own, in any order and writing', () => {
  expect(whose('Noor Halvorsen.graphml')).toEqual(['noor']);
  expect(whose('halvorsen_noor-map-2.csv')).toEqual(['noor']);
  expect(whose('bridges-juno.md')).toEqual(['juno']);
  expect(whose('CastellanosJuno.opml')).toEqual(['juno']);
  expect(whose('castellanosjuno_final.txt')).toEqual(['juno']);
  expect(whose('Kofi Mensah Boateng_1234_assignsubmission_file/map.xtm')).toEqual(['kofi']);
  expect(whose('OZTURK.dot')).toEqual(['amy']);
  expect(whose('Amara Öztürk.json', 'noor.json')).toEqual(['amy', 'noor']);
});

test('where it could be two people’s, or nobody’s, nobody is named', () => {
  expect(whose('Halvorsen.csv')).toEqual([null]);
  expect(whose('map.csv', '')).toEqual([null, null]);
  expect(whose('announcement.csv')).toEqual([null]);
});

test('of two files for one person the surer is theirs; of two that are as sure neither', () => {
  expect(whose('juno.md', 'Juno Castellanos.md')).toEqual([null, 'juno']);
  expect(whose('juno.md', 'juno.opml')).toEqual([null, null]);
});
