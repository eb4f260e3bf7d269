import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { alignmentDistance } from './edit-distance.js';
import { WordForms } from './word-forms.js';
import { normalForm, wordsOf } from './normal-form.js';
import { holdsVerb, knowsVerbsOf } from './verbs.js';

test.each([
  ['Dead  Load!', 'dead load'],
  ['café', 'cafe'],
  ['l’arc', 'larc'],
  ['Straße', 'straße'],
  ['ＡＢＣ', 'abc'],
  ['İzmir', 'izmir'],
  ['ısı', 'ısı'],
  ['e\u0301lan', 'elan'],
  ['橋を渡る', '橋を渡る'],
  ['גשר-תלוי', 'גשר תלוי'],
  ['x²', 'x2'],
  ['→', '→'],
  ['  ?! ', '?!'],
  ['', ''],
])('normal form of %j', (text, form) => expect(normalForm(text)).toBe(form));

test('normal form is idempotent', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (text) => expect(normalForm(normalForm(text))).toBe(normalForm(text))),
    { numRuns: 500 },
  );
});

const folded = (text: string, language: string): string => new WordForms(language).folded(text);

test('folded forms join what differs in ending only, by the language’s Snowball stemmer', () => {
  expect(folded('Dead loads', 'en')).toBe(folded('dead load', 'en-GB'));
  expect(folded('fairly', 'en')).toBe('fair');
  expect(folded('Brücken', 'de')).toBe(folded('Brücke', 'de'));
  expect(folded('loads', 'xx')).toBe('loads');
  expect(wordsOf('?')).toEqual(['?']);
});

test.each([
  ['arch', 'arch', 0],
  ['arch', 'acrh', 1],
  ['arch', 'arches', 2],
  ['', 'ab', 2],
  ['ca', 'abc', 3],
  ['橋梁', '橋', 1],
])('distance of %j and %j is %i', (a, b, far) => {
  expect(alignmentDistance(a, b, 5)).toBe(far);
});

test('the distance is the same both ways, and stopping early only ever says “more”', () => {
  const word = fc.string({ unit: fc.constantFrom('a', 'b', 'c'), maxLength: 8 });
  fc.assert(
    fc.property(word, word, fc.nat(4), (a, b, most) => {
      const whole = alignmentDistance(a, b, 20);
      expect(alignmentDistance(b, a, 20)).toBe(whole);
      expect(alignmentDistance(a, b, most)).toBe(Math.min(whole, most + 1));
    }),
    { numRuns: 500 },
  );
});

const phrases = JSON.parse(
  readFileSync(path.join(process.cwd(), 'packages/core/testdata/linking-phrases.json'), 'utf8'),
) as { withVerb: string[]; withoutVerb: string[] };

test('verbs are found in at least 95 % of two hundred linking phrases, half of them without one', () => {
  const wrong = [
    ...phrases.withVerb.filter((phrase) => !holdsVerb(phrase)),
    ...phrases.withoutVerb.filter((phrase) => holdsVerb(phrase)),
  ];
  expect([phrases.withVerb.length, phrases.withoutVerb.length]).toEqual([100, 100]);
  expect(wrong.length).toBeLessThanOrEqual(10);
});

test('verbs: nothing, a name the language has for itself, another language', () => {
  expect(holdsVerb('  ')).toBe(false);
  expect(holdsVerb('constructor of')).toBe(false);
  expect([knowsVerbsOf('en-GB'), knowsVerbsOf('de')]).toEqual([true, false]);
});
