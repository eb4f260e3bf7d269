import { mentionBegun, mentionedIn, mentionOf } from './mentions.js';

const person = (givenName: string, familyName: string) => ({ id: `${givenName} ${familyName}`, givenName, familyName });
const [kofi, kofiM, noor, anne, annette] = [
  person('Kofi', 'Asante'),
  person('Kofi', 'Mensah'),
  person('Noor', 'Haddad'),
  person('Anne', 'Lee'),
  person('Annette', 'Roy'),
];

test('one is mentioned by the given name, and by both where two have it', () => {
  expect(mentionOf(noor, [noor, kofi])).toBe('@Noor');
  expect(mentionOf(kofi, [noor, kofi, kofiM])).toBe('@Kofi Asante');
});

test.each([
  ['@Noor, is this right?', ['Noor Haddad']],
  ['Ask @noor and @KOFI MENSAH.', ['Noor Haddad', 'Kofi Mensah']],
  ['@Kofi, which of you?', []],
  ['mail noor@noor.example', []],
  ['@Noora is somebody else', []],
  ['@Annette and @Anne', ['Annette Roy', 'Anne Lee']],
  ['Noor without a sign', []],
  ['@', []],
])('%j mentions %j', (words, wanted) => {
  expect([...mentionedIn(words, [kofi, kofiM, noor, anne, annette])].sort()).toEqual([...wanted].sort());
});

test('a mention that is begun is known by where it begins', () => {
  expect(mentionBegun('so @No', 6)).toEqual({ at: 3, name: 'No' });
  expect(mentionBegun('so @', 4)).toEqual({ at: 3, name: '' });
  expect(mentionBegun('a@b', 3)).toBeNull();
  expect(mentionBegun('@Noor\nnext', 10)).toBeNull();
  expect(mentionBegun('nothing', 7)).toBeNull();
});
