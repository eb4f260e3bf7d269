import { topic } from '../testing/make.js';
import { matchTerms, matchText } from './terms.js';

const texts = (...list: string[]) => list.map((text, i) => topic(`t${i}`, { text }));
const found = (terms: (string | { text: string; accept: string[] })[], topics: string[], language = 'en') =>
  matchTerms(
    terms.map((term) => (typeof term === 'string' ? { text: term } : term)),
    texts(...topics),
    language,
  ).map((match) => match && `${match.topic.text}${match.near ? ' (near)' : ''}`);

test.each<[string, (string | { text: string; accept: string[] })[], string[], (string | null)[]]>([
  ['the same words', ['Arch'], ['arch'], ['arch']],
  ['another ending', ['Dead load'], ['dead loads'], ['dead loads']],
  ['another wording', [{ text: 'Foundation', accept: ['footing'] }], ['footings'], ['footings']],
  ['a misspelling', ['Abutment'], ['Abuttment'], ['Abuttment (near)']],
  ['two misspellings in a long word', ['Expansion joint'], ['Expanson jont'], ['Expanson jont (near)']],
  ['none in a short word', ['Beam'], ['Bean'], [null]],
  ['another first letter', ['Keystone'], ['Geystone'], [null]],
  ['nothing blank', ['Arch'], ['  '], [null]],
  ['a topic serves one term', ['Arch', 'arch'], ['Arch'], ['Arch', null]],
  ['equal words before endings, whatever the order of terms', ['Loads', 'Load'], ['load'], [null, 'load']],
  ['not near to what is another term’s wording', ['Tension', 'Tensing'], ['tensing'], [null, 'tensing']],
  ['in file order', ['Pier'], ['pier', 'Pier'], ['pier']],
])('%s', (_, terms, topics, wanted) => expect(found(terms, topics)).toEqual(wanted));

test.each([
  ['Straße', 'strasse', 'de', 'strasse'],
  ['Straße', 'strasse', 'en', null],
  ['ISI', 'ısı', 'tr', null],
  ['Isı', 'ısı', 'tr', null],
  ['Brücke', 'Brucke', 'de', 'Brucke'],
  ['橋', '橋', 'ja', '橋'],
  ['גשר', 'גשר', 'he', 'גשר'],
  ['crème', 'crème', 'fr', 'crème'],
])('other scripts: %s and %s in %s', (term, text, language, wanted) =>
  expect(found([term], [text], language)).toEqual([wanted]),
);

test('a text named elsewhere brings the other wordings of the first term of its form', () => {
  const terms = [
    { text: 'Foundation', accept: ['footing'] },
    { text: 'foundation', accept: ['base'] },
  ];
  expect(matchText('FOUNDATION', terms, texts('Footing'), 'en')?.topic.id).toBe('t0');
  expect(matchText('FOUNDATION', terms, texts('Base'), 'en')).toBeNull();
});
